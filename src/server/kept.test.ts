import { keeper } from './kept';

describe('what is kept', () => {
  it('is made once for each thing that it hangs on', () => {
    const kept = keeper<number>();
    let made = 0;
    const ask = (key: string) => kept(key, () => ++made);
    expect([ask('a'), ask('b'), ask('a'), ask('b')]).toEqual([1, 2, 1, 2]);
  });

  it('goes when it has not been asked for longest', () => {
    const kept = keeper<number>();
    let made = 0;
    const ask = (key: string) => kept(key, () => ++made);
    for (let i = 0; i < 501; i++) {
      ask(`lesson ${i}`);
      ask('lesson 0');
    }
    expect(ask('lesson 0')).toBe(1);
    expect(ask('lesson 1')).toBe(502);
  });
});
