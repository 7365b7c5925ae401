import {
  formatEntered,
  formatOhms,
  formatPercent,
  formatQuantity,
  GLOW_AMPS,
  HOOD_SHARE,
  SCENE_LUX,
  type LightSums,
  type Scene,
} from '@/core';
import { listWords } from './stepWords';
import type { SumLine } from './sumLines';

/** A scene after `it is`: `at dusk`. */
export const SCENE_WORDS: Readonly<Record<Scene, string>> = {
  hood: 'under a hood',
  dusk: 'at dusk',
  room: 'by a room lamp',
  classroom: 'in the lit classroom',
  window: 'at the window',
  torch: 'under a torch',
};

/** The same in one word, for narrow places. */
export const SCENE_SHORT: Readonly<Record<Scene, string>> = {
  hood: 'hood',
  dusk: 'dusk',
  room: 'room',
  classroom: 'class',
  window: 'window',
  torch: 'torch',
};

const L = (lux: number) => formatQuantity(lux, 'lx', 3);

/** A current that no eye and no usual meter sees is none. */
export function lampCurrent(amps: number): string {
  return amps < 1e-6 ? 'none' : formatQuantity(amps, 'A');
}

/** Where the lamp should switch and where it does, line by line. */
export function lightLines(light: LightSums): SumLine[] {
  const { aimLux, switches, lit, dark, trim, sensor } = light;
  const spread =
    switches.low !== undefined && switches.high !== undefined
      ? `${L(Math.min(switches.low, switches.high))} to ${L(Math.max(switches.low, switches.high))}`
      : 'not with every one';
  return [
    {
      name: 'it should switch at',
      work: `half way, by ratio, between ${L(SCENE_LUX[lit])} and ${L(SCENE_LUX[dark])}`,
      figure: L(aimLux),
    },
    {
      name: 'it switches at',
      work: `half of the lamp’s wished current, with ${trim} as chosen`,
      figure: switches.typical === undefined ? 'nowhere' : L(switches.typical),
      strong: true,
    },
    {
      name: 'from sensor to sensor',
      work: `${sensor} of the sort, half as many ohms again either way`,
      figure: spread,
    },
    ...hoodLine(light),
    ...ownLines(light),
  ];
}

/** What a tube over the sensor would change: the room must be so much lighter for the same light to reach it. */
export function hoodLine({ switches, sensor, own }: LightSums): SumLine[] {
  // A tube over a sensor that its own lamp looks at would hide that as well.
  if (switches.typical === undefined || own) return [];
  const work = `${formatPercent(HOOD_SHARE)} of the room’s light gets to ${sensor}: ${L(switches.typical)} ÷ ${HOOD_SHARE}`;
  return [{ name: 'under a tube, of the room', work, figure: L(switches.typical / HOOD_SHARE) }];
}

/** A lamp that its own sensor sees: what it adds, and how far apart going on and going off are then. */
function ownLines({ own, sensor }: LightSums): SumLine[] {
  if (!own) return [];
  const adds = {
    name: 'its own lamp adds',
    work: `${formatEntered(own.metres, 'm')} from ${sensor}`,
    figure: L(own.lux),
  };
  if (own.offLux === undefined) return [adds];
  const work = 'it holds itself lit between this and the light at which it goes on';
  return [adds, { name: 'it goes off at', work, figure: L(own.offLux) }];
}

/** The trim that makes any sensor of the sort switch where it should. */
export function trimWords({ range, trim }: LightSums): string {
  if (!range) return '';
  const pot = range.potentiometer
    ? `; a trim potentiometer of ${formatOhms(range.potentiometer.ohms)} covers it`
    : '; no trim potentiometer of the usual values covers it';
  return `For any sensor of the sort, ${trim} lies between ${formatQuantity(range.low, 'Ω', 2)} and ${formatQuantity(range.high, 'Ω', 2)}${pot}.`;
}

/** The two ways of the current, and what hangs between them. */
export function lightPath({ way, sensor, trim, through = ['R1'] }: LightSums): string {
  const [first, second] = way === 'dark-on' ? [trim, sensor] : [sensor, trim];
  const base = way === 'dark-on' ? 'hangs the base of Q1' : 'hangs the base of Q1, behind R3';
  return `The lamp’s way: out of plus, through ${listWords([...through, 'D1', 'Q1'])}, back to minus. Beside it: out of plus, through ${first} and ${second}, back to minus; between these two ${base}.`;
}

export function lightPredictions({ way, lit, dark, sensor }: LightSums): string[] {
  return [
    `A hand is held over ${sensor}: what does the lamp do, and why?`,
    `Is the lamp lit ${SCENE_WORDS[lit]}, and is it dark ${SCENE_WORDS[dark]}? Guess before power.`,
    way === 'dark-on'
      ? 'The lamp shines on its own sensor: what happens then?'
      : 'Sensor and resistor are exchanged: what does the lamp do then?',
  ];
}

/** What becomes of the lamp in the other light, where it keeps to its aim there. */
/** @param lamp what it is called: by its name where another shines beside it */
export function otherLight({ dark, sensor, scenes }: LightSums, lamp = 'the lamp'): string {
  const out = scenes.some(({ scene, amps }) => scene === dark && amps < GLOW_AMPS);
  return out ? `Then ${sensor} ${SCENE_WORDS[dark]}: ${lamp} goes out.` : '';
}

/** The rule in one sentence, traced aloud. */
export function lightTalk({ way, sensor, trim }: LightSums): string {
  return way === 'dark-on'
    ? `The darker, the more ohms of ${sensor}, the larger its share of the volts, and with it the base: from 0.6 V on the transistor lets the lamp’s current pass; ${trim} sets where.`
    : `The lighter, the fewer ohms of ${sensor}, the more of the volts are left for ${trim} and the base: from 0.6 V on the transistor lets the lamp’s current pass.`;
}
