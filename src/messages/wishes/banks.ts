import { parseQuantity, type LampType, type Outcome, type ParamsOf, type WayChoice } from '@/core';
import { listed } from './sentence';
import { slotsOf } from './slots';

const WAYS: readonly (readonly [key: string, words: string])[] = [
  ['best', 'in the way that is best'],
  ['own', 'each with its own resistor'],
  ['strings 2', 'in strings of 2'],
  ['strings 3', 'in strings of 3'],
  ['strings 4', 'in strings of 4'],
  ['strings 5', 'in strings of 5'],
  ['strings 6', 'in strings of 6'],
  ['shared', 'all on one resistor'],
];

function wayKey(way: WayChoice): string {
  return way.kind === 'strings' ? `strings ${way.length}` : way.kind;
}

function wayFrom(key: string): WayChoice {
  const [kind, length] = key.split(' ');
  if (kind === 'strings') return { kind, length: Number(length) };
  return { kind: kind as 'best' | 'own' | 'shared' };
}

const COLOURS_MOST = 6;
const s = slotsOf('strings');
type Groups = ParamsOf<'strings'>['groups'];

function nextLamp(groups: Groups): LampType {
  const order: readonly LampType[] = ['red', 'blue', 'yellow', 'green', 'white', 'orange'];
  return order.find((lamp) => !groups.some((group) => group.lamp === lamp)) ?? 'red';
}

const groupWords = ({ groups }: ParamsOf<'strings'>) =>
  listed(
    groups.map(({ lamp }, i) => {
      const left = groups.filter((_, k) => k !== i);
      const without = s.button('×', (params) => ({ ...params, groups: left }), `Without the ${lamp} lamps`);
      const count = s.count(`groups.${i}.count`, `Number of lamps ${i + 1}`, 'Lesson', 'number of lamps');
      return s.say`${count} ${s.lamp(`groups.${i}.lamp`, `Lamp ${i + 1}`)}${left.length > 0 ? without : ''}`;
    }),
  );
const moreColours = s.button('+ colour', (params) => ({
  ...params,
  groups: [...params.groups, { lamp: nextLamp(params.groups), count: 1 }],
}));
export const strings = s.say`Light ${groupWords} ${s.when(({ groups }) => groups.length < COLOURS_MOST, moreColours)} lamps from ${s.supply}, ${s.amps('amps')} each, ${s.pick(
  'Way to join them',
  ({ way }) => wayKey(way),
  WAYS,
  (params, key) => ({ ...params, way: wayFrom(key) }),
)}${s.resistorChoice}.`;

const LAMPS = { least: 2, most: 6 } as const;
const h = slotsOf('hogging');
const limit = h.figure('limitAmps', 'Current limit', 'The supply’s limit', 'A', 7);
/** A bare number is milliamps. */
const readLimit = (typed: string): Outcome<number> => {
  const figure = parseQuantity(typed, 'A', 1e-3);
  return figure.ok ? limit.read(`${figure.value}`) : figure;
};
const hoggingLamps = ({ lamps }: ParamsOf<'hogging'>) =>
  listed(
    lamps.map((_lamp, i) => {
      const left = lamps.filter((_, k) => k !== i);
      const without = h.button('×', (params) => ({ ...params, lamps: left }), `Without lamp ${i + 1}`);
      return h.say`${h.lamp(`lamps.${i}`, `Lamp ${i + 1}`)}${left.length >= LAMPS.least ? without : ''}`;
    }),
  );
const oneMore = h.button('+ lamp', (params) => ({ ...params, lamps: [...params.lamps, 'white'] }));
export const hogging = h.say`Put ${hoggingLamps} ${h.when(({ lamps }) => lamps.length < LAMPS.most, oneMore)} side by side on a bench supply at ${h.volts('volts', 'Supply voltage')}, limited to ${{ ...limit, read: readLimit }}.`;

const p = slotsOf('panel');
const panelCount = (path: 'rows' | 'columns' | 'batch', label: string) =>
  p.count(path, label, 'Panel', label.toLowerCase());
export const panel = p.say`Solder a panel of ${panelCount('rows', 'Rows')} by ${panelCount('columns', 'Columns')} ${p.lamp('lamp')} lamps for ${p.supply}, ${p.amps('amps')} each, in batches of ${panelCount('batch', 'Lamps in a batch')}${p.resistorChoice}.`;

const c = slotsOf('lamp-cover');
const lengths = [1, 2, 3, 4, 5, 6].map(
  (n) => [String(n), n === 1 ? 'each by itself' : `${n} in a string`] as const,
);
export const lampCover = c.say`Light ${c.count('count', 'Number of lamps', 'Cover', 'number of lamps')} ${c.lamp('lamp')} lamps under a cover, from an isolated 12 V supply, at about ${c.amps('amps')} a string, ${c.pick(
  'Lamps in a string',
  ({ length }) => (length === undefined ? 'best' : String(length)),
  [['best', 'as many in a string as hold steady'], ...lengths],
  (params, key) => c.set(params, 'length', key === 'best' ? undefined : Number(key)),
)}${c.resistorChoice}.`;
