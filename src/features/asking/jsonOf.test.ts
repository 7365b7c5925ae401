import { jsonOf } from './jsonOf';

it.each([
  [1],
  ['a "b"'],
  [null],
  [[1, undefined, { a: [{ b: null }] }]],
  [{ circuit: { parts: [{ id: 'R1', params: { ohms: 470 } }] }, seconds: 2, left: undefined }],
  [{}],
  [[]],
])('writes %j as JSON does', (value) => {
  expect(jsonOf(value)).toBe(JSON.stringify(value));
  expect(jsonOf([value, value])).toBe(JSON.stringify([value, value]));
});

it('writes what several questions hold once', () => {
  let asked = 0;
  const circuit = { toJSON: () => (asked++, 'large') };
  const wrapped = { circuit: { held: circuit } };
  for (const seconds of [1, 2, 3]) expect(jsonOf({ ...wrapped, seconds })).toContain('"large"');
  expect(asked).toBe(1);
});
