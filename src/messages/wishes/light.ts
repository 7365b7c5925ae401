import { CONTROLLERS, measuredIn, readCount, SCENES, type ParamsOf, type Scene } from '@/core';
import { SCENE_WORDS } from '@/messages/light';
import type { Sentence } from './sentence';
import { slotsOf } from './slots';

type LightLesson = 'light-switch' | 'dusk-controller';

/** Where neither was measured before, what a sensor of the table has there. */
const MEASURED = { lit: 24e3, dark: 1100 };

/** The slots of a lesson with a light sensor, with the two clauses that both have. */
function lightSlots<Id extends LightLesson>(id: Id) {
  // Both have these wishes at the same paths, which TypeScript cannot see through the union.
  const slots = slotsOf(id as 'light-switch');
  const scene = (path: 'lit' | 'dark', label: string) =>
    slots.pick(
      label,
      (params) => params[path],
      SCENES.map((name) => [name, SCENE_WORDS[name]] as const),
      (params, key) => {
        const next = { ...params, [path]: key };
        // A measured sensor stays the one that it is: in another light it has what its two readings say of that.
        return params.sensor
          ? { ...next, sensor: { ...params.sensor, [path]: measuredIn(params, key as Scene) } }
          : next;
      },
    );
  const ohms = (path: 'lit' | 'dark') =>
    slots.figure(`sensor.${path}`, `Sensor where it is ${path}`, 'A light sensor', 'Ω', 7);
  const sensor = slots.pick(
    'Sensor',
    (params) => (params.sensor ? 'measured' : 'table'),
    [
      ['table', 'a sensor as in the table'],
      ['measured', 'our own sensor, which has'],
    ],
    (params, how) => slots.set(params, 'sensor', how === 'measured' ? MEASURED : undefined),
  );
  const measured = slots.say` ${ohms('lit')} ${({ lit }) => SCENE_WORDS[lit]} and ${ohms('dark')} ${({ dark }) => SCENE_WORDS[dark]}`;
  type Clause = Sentence<ParamsOf<Id>>;
  return {
    ...slotsOf(id),
    /** `be lit at dusk and dark in the lit classroom`. */
    scenes:
      slots.say`be lit ${scene('lit', 'Lit where')} and dark ${scene('dark', 'Dark where')}` as unknown as Clause,
    /** `with our own sensor, which has 24 kΩ at dusk and 1.1 kΩ in the lit classroom`. */
    sensor:
      slots.say`with ${sensor}${slots.when((params) => params.sensor !== undefined, measured)}` as unknown as Clause,
  };
}

/** Volts that lamps with a resistor inside are made for. */
const MADE_FOR = [5, 9, 12] as const;
/** Far enough for a lamp of ten milliamps to be no light to its own sensor. */
const SEEN_FROM = 0.5;

const l = lightSlots('light-switch');
const ownResistor = l.pick(
  'Resistor of the lamp',
  ({ madeFor }) => (madeFor === undefined ? 'own' : String(madeFor)),
  [
    ['own', 'behind a resistor of its own'],
    ...MADE_FOR.map((volts) => [String(volts), `made for ${volts} V, its resistor inside`] as const),
  ],
  (params, how) => l.set(params, 'madeFor', how === 'own' ? undefined : Number(how)),
);
const ownLight = l.pick(
  'Own light',
  ({ sees }) => (sees === undefined ? 'hidden' : 'sees'),
  [
    ['hidden', 'out of its sight'],
    ['sees', 'shining on it from'],
  ],
  (params, how) => l.set(params, 'sees', how === 'sees' ? SEEN_FROM : undefined),
);
const powerLamp = l.pick(
  'Power lamp',
  ({ power }) => (power === undefined ? 'none' : 'there'),
  [
    ['none', 'without a power lamp'],
    ['there', 'with a switch and a power lamp in'],
  ],
  (params, how) => l.set(params, 'power', how === 'there' ? 'red' : undefined),
);
const current = l.when(
  ({ madeFor, power }) => madeFor === undefined || power !== undefined,
  l.say`, at about ${l.amps('amps')}`,
);
const from = l.when(
  ({ sees }) => sees !== undefined,
  l.say` ${l.figure('sees', 'Distance of the lamp', 'A distance', 'm')}`,
);
const powerColour = l.when(
  ({ power }) => power !== undefined,
  l.say` ${l.lamp('power', 'Colour of the power lamp')}`,
);
export const lightSwitch = l.say`Let one ${l.lamp('lamp')} lamp, ${ownResistor}, ${l.scenes}${current}, from ${l.supply}, ${l.sensor}, the lamp ${ownLight}${from}, ${powerLamp}${powerColour}${l.resistorChoice}.`;

const d = lightSlots('dusk-controller');
type Dusk = ParamsOf<'dusk-controller'>;
const countsOf = ({ board }: Dusk) => CONTROLLERS[board].counts;
/** Counts as the board reads them: from none to all that it counts to. */
const counts = (path: 'threshold' | 'hysteresis', name: string, width: number) => (params: Dusk) =>
  d.typed(
    path,
    `${name} in counts`,
    width,
    String,
    readCount(`The ${name.toLowerCase()}`, 'counts', 0, countsOf(params)),
  );
const pin = (path: 'pins.lamp' | 'pins.reads', label: string) => d.count(path, label, 'A lead', 'pin');
const board = {
  ...d.controller('board'),
  // Counts of one board mean nothing on another.
  choose: (params: Dusk, key: string) => d.set(d.set(params, 'board', key), 'threshold', undefined),
};
const threshold = d.pick(
  'Threshold',
  (params) => (params.threshold === undefined ? 'half' : 'own'),
  [
    ['half', 'half way between them'],
    ['own', 'of our own:'],
  ],
  (params, how) => d.set(params, 'threshold', how === 'own' ? Math.round(countsOf(params) / 2) : undefined),
);
const ownThreshold = d.when(
  (params) => params.threshold !== undefined,
  d.say` ${counts('threshold', 'Threshold', 4)}`,
);
export const duskController = d.say`Let a ${board} make one ${d.lamp('lamp')} lamp on pin ${pin('pins.lamp', 'Pin of the lamp')} ${d.scenes}, at about ${d.amps('amps')}, by what pin ${pin('pins.reads', 'Pin that reads')} reads, ${d.sensor}, threshold ${threshold}${ownThreshold}, going on and off ${counts('hysteresis', 'Hysteresis', 3)} counts apart${d.resistorChoice}.`;
