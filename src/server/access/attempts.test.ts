import { tryCode, tryPassphrase, wrongTries } from './attempts';

const is = (code: string) => async () => (code === 'RIGHT' ? { code } : undefined);

it('a whole school comes in from one address, and the right code after a hundred wrong ones', async () => {
  const school = '192.168.7.20';
  for (let i = 0; i < 40; i++) expect(await tryCode(school, is('RIGHT'))).toEqual({ code: 'RIGHT' });
  const wrong = await Promise.all(Array.from({ length: 100 }, () => tryCode(school, is('WRONG'))));
  expect(wrong.every((answer) => answer === undefined)).toBe(true);
  expect(await tryCode(school, is('RIGHT'))).toEqual({ code: 'RIGHT' });
  expect(await tryCode('192.168.7.21', is('RIGHT'))).toEqual({ code: 'RIGHT' });
  expect(wrongTries()).toMatchObject([{ at: 'code', address: school, times: 100 }]);
});

it('who guesses at codes is looked at one by one and ever more slowly, however many are sent at once', async () => {
  let most = 0;
  let now = 0;
  const look = async () => {
    most = Math.max(most, ++now);
    await new Promise((next) => setTimeout(next, 1));
    now--;
    return undefined;
  };
  await Promise.all(Array.from({ length: 60 }, () => tryCode('192.168.7.22', look)));
  // As many as cost nothing, and one after another beyond that.
  expect(most).toBeLessThanOrEqual(31);
  most = 0;
  await Promise.all(Array.from({ length: 8 }, () => tryCode('192.168.7.22', look)));
  expect(most).toBe(1);
});

it('a passphrase is not looked at for a while where it was guessed at, and everywhere else it is', async () => {
  const guesser = '192.168.7.66';
  const answers: unknown[] = [];
  for (let i = 0; i < 6; i++) answers.push(await tryPassphrase(guesser, async () => false));
  expect(answers.slice(0, 5)).toEqual(Array(5).fill(false));
  const wait = { wait: expect.stringMatching(/^Too many wrong tries from here\. Wait \d+ seconds? and/u) };
  expect(answers[5]).toEqual(wait);
  // The right one is not looked at from there either.
  expect(await tryPassphrase(guesser, async () => true)).toEqual(wait);
  expect(await tryPassphrase('192.168.7.67', async () => true)).toBe(true);
  expect(wrongTries()[0]).toMatchObject({ at: 'passphrase', address: guesser, times: 5 });
});

it('a slip or two before the right passphrase are forgotten, and neighbours of one network are one', async () => {
  const own = 'fd00:1:2:3::17';
  for (let round = 0; round < 4; round++) {
    for (let i = 0; i < 3; i++) expect(await tryPassphrase(own, async () => false)).toBe(false);
    expect(await tryPassphrase(own, async () => true)).toBe(true);
  }
  for (let i = 0; i < 5; i++) await tryPassphrase(`fd00:1:2:9::${i}`, async () => false);
  expect(await tryPassphrase('fd00:1:2:9::aa', async () => true)).toHaveProperty('wait');
});
