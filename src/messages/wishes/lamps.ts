import { AGES, type ParamsOf } from '@/core';
import { AGE_NAMES } from '@/messages/names';
import { knobNames } from './knob';
import { slotsOf } from './slots';

const s = slotsOf('single');
export const single = s.say`Light one ${s.lamp('lamp')} lamp from ${s.supply}, at about ${s.amps('amps')}, resistor on the ${s.choice(
  'side',
  'Resistor side',
  [
    ['plus', 'plus side'],
    ['minus', 'minus side'],
  ],
)}${s.resistorChoice}.`;

const c = slotsOf('coin-light');
const hasResistor = ({ resistor }: ParamsOf<'coin-light'>) => resistor;
const lampOrLamps = ({ copies }: ParamsOf<'coin-light'>) => (copies === 1 ? 'lamp' : 'lamps');
export const coinLight = c.say`Light ${c.count('copies', 'Number of lamps', 'Lesson', 'number of lamps')} ${c.lamp('lamp')} ${lampOrLamps} on ${c.choice(
  'cells',
  'Coin cells',
  [
    ['1', 'one coin cell'],
    ['2', 'two coin cells'],
  ],
)}, ${c.choice(
  'age',
  'Age of the supply',
  AGES.map((age) => [age, AGE_NAMES[age]] as const),
)}, ${c.either('resistor', 'Resistor', [
  ['without', 'straight across the cell'],
  ['with', 'each with a resistor'],
])}${c.when(hasResistor, c.say`, at about ${c.amps('amps')}${c.resistorChoice}`)}.`;

const w = slotsOf('walk-down');
export const walkDown = w.say`Find the glow of one ${w.lamp('lamp')} lamp from ${w.supply}, with ${w.count('steps', 'Number of resistors', 'Lesson', 'number of resistors')} resistors from high to low, ${w.values}.`;

const d = slotsOf('dimmer');
const lowest = d.figure('lowAmps', 'Lowest current', 'The current at the low end', 'A', 7);
export const dimmer = d.say`Dim one ${d.lamp('lamp')} lamp from ${d.supply}, from about ${{
  ...lowest,
  // Shown in milliamps, as it is typed where no unit is.
  shown: ({ lowAmps }: ParamsOf<'dimmer'>) => `${+(lowAmps * 1e3).toPrecision(6)} mA`,
  read: (typed: string) => lowest.read(/[a-zµ]/iu.test(typed) ? typed : `${typed} mA`),
}} to ${d.amps('amps', 'Highest current')}, knob at ${d.choice('position', 'Knob', ({ position }) => knobNames(position))}${d.resistorChoice}.`;
