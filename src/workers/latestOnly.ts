/**
 * Runs one job at a time and only ever the newest that waits: replies to overtaken questions are dropped.
 */
export class LatestOnly<Question, Reply> {
  private busy = false;
  private waiting: { question: Question } | undefined;
  private asked = 0;

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

  private async work(question: Question): Promise<void> {
    this.busy = true;
    const number = this.asked;
    try {
      const reply = await this.run(question);
      if (number === this.asked) this.onReply(reply, question);
    } catch (error) {
      this.onFailure(error);
    }
    this.busy = false;
    const next = this.waiting;
    this.waiting = undefined;
    if (next) void this.work(next.question);
  }
}
