import { LatestOnly } from './latestOnly';

/** A job that ends when the test says so. */
function controlled() {
  const open: { question: string; finish(): void; fail(): void }[] = [];
  const replies: string[] = [];
  const failures: unknown[] = [];
  const solver = new LatestOnly<string, string>(
    (question) =>
      new Promise((resolve, reject) => {
        open.push({
          question,
          finish: () => resolve(question.toUpperCase()),
          fail: () => reject(new Error(question)),
        });
      }),
    (reply) => replies.push(reply),
    (error) => failures.push(error),
  );
  const settle = () => new Promise((resolve) => setImmediate(resolve));
  return { open, replies, failures, solver, settle };
}

describe('only the latest question matters', () => {
  it('runs one at a time and skips those overtaken', async () => {
    const { open, replies, solver, settle } = controlled();
    for (const question of ['a', 'b', 'c', 'd']) solver.ask(question);
    expect(open.map((o) => o.question)).toEqual(['a']);
    open[0]!.finish();
    await settle();
    expect(replies).toEqual([]);
    expect(open.map((o) => o.question)).toEqual(['a', 'd']);
    open[1]!.finish();
    await settle();
    expect(replies).toEqual(['D']);
  });

  it('drops the reply of a job that was cancelled', async () => {
    const { open, replies, solver, settle } = controlled();
    solver.ask('a');
    solver.cancel();
    open[0]!.finish();
    await settle();
    expect(replies).toEqual([]);
    solver.ask('b');
    open[1]!.finish();
    await settle();
    expect(replies).toEqual(['B']);
  });

  it('asks anew at once where what runs was abandoned, and hears nothing of that any more', async () => {
    const { open, replies, failures, solver, settle } = controlled();
    expect(solver.abandon()).toBe(false);
    solver.ask('a');
    solver.ask('b');
    expect(solver.abandon()).toBe(true);
    solver.ask('c');
    solver.ask('d');
    expect(open.map((o) => o.question)).toEqual(['a', 'c']);
    open[0]!.fail();
    await settle();
    expect(open).toHaveLength(2);
    open[1]!.finish();
    await settle();
    open[2]!.finish();
    await settle();
    expect([replies, failures]).toEqual([['D'], []]);
  });

  it('goes on after a failure', async () => {
    const { open, replies, failures, solver, settle } = controlled();
    solver.ask('a');
    open[0]!.fail();
    await settle();
    expect(failures).toHaveLength(1);
    solver.ask('b');
    open[1]!.finish();
    await settle();
    expect(replies).toEqual(['B']);
  });
});
