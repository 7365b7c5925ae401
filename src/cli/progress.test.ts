import { progressOf } from './progress';

it('a long answer says how far it is, in tenths, and a short one nothing', () => {
  const said: string[] = [];
  let time = 0;
  const tell = progressOf(
    'mistakes',
    (text) => said.push(text),
    () => time,
  );
  tell(0.3);
  time = 2500;
  for (const done of [0.31, 0.35, 0.42, 0.5, 1]) tell(done);
  expect(said).toEqual(['mistakes: 31 %\n', 'mistakes: 42 %\n', 'mistakes: 100 %\n']);
});
