/**
 * Runs one job at a time and only ever the newest that waits: replies to overtaken questions are dropped.
 */
export class LatestOnly<Question, Reply> {
  private busy = false;
  private waiting: { question: Question } | undefined;
  private asked = 0;
  /** Which piece of work is the one that counts: those abandoned do not. */
  private turns = 0;

  constructor(
    private readonly run: (question: Question) => Promise<Reply>,
    private readonly onReply: (reply: Reply, question: Question) => void,
    private readonly onFailure: (error: unknown) => void,
  ) {}

  ask(question: Question): void {
    this.asked++;
    if (this.busy) this.waiting = { question };
    else void this.work(question);
  }

  /** Drops what waits, and the reply of what runs. */
  cancel(): void {
    this.asked++;
    this.waiting = undefined;
  }

  /** Takes what runs for never to be answered, as when its worker was stopped. @returns whether anything ran */
  abandon(): boolean {
    const ran = this.busy;
    this.cancel();
    this.busy = false;
    this.turns++;
    return ran;
  }

  private async work(question: Question): Promise<void> {
    this.busy = true;
    const number = this.asked;
    const turn = ++this.turns;
    try {
      const reply = await this.run(question);
      if (number === this.asked) this.onReply(reply, question);
    } catch (error) {
      if (turn === this.turns) this.onFailure(error);
    }
    if (turn !== this.turns) return;
    this.busy = false;
    const next = this.waiting;
    this.waiting = undefined;
    if (next) void this.work(next.question);
  }
}
