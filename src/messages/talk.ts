import { boardOf, buildType, currentPaths, formatQuantity, type PatternId, type Sheet } from '@/core';
import { listWords } from './stepWords';

/** What there is to say and ask around a lesson, with its own figures in it. */
export interface Talk {
  readonly predict: readonly string[];
  readonly path: string;
  readonly sum: string;
  readonly parts: readonly string[];
  readonly analogy: string;
  readonly truth: string;
  readonly homework: string;
  readonly tools: readonly string[];
}

const V = (volts: number) => formatQuantity(volts, 'V');

export function talkFor(sheet: Sheet): Talk {
  const { pattern } = sheet;
  return {
    ...BY_PATTERN[pattern],
    predict: predictions(sheet),
    path: pathWords(sheet),
    sum: sumWords(sheet),
    parts: [...new Set(sheet.circuit.parts.map(({ kind }) => WHY[kind]).filter((why) => why !== undefined))],
    tools: TOOLS[buildType(boardOf(sheet.plan))],
  };
}

function predictions(sheet: Sheet): string[] {
  const { lamps, amps } = sheet.steady.design;
  const [first] = lamps;
  const several = lamps.length > 1;
  return [
    several
      ? `All ${lamps.length} lamps: which is brightest, and do all of them light?`
      : `Will the lamp be dim, fair or bright at ${formatQuantity(first!.amps, 'A')}?`,
    `What does the meter read ${sheet.expected.points.some(({ id }) => id.startsWith('R') || id === 'resistor') ? 'across R1' : 'across the supply'}?`,
    several
      ? `D1 is taken out: what do the others do, and what happens to the ${formatQuantity(amps, 'A')} of the supply?`
      : 'The lamp is turned round: what does the meter read across it then?',
  ];
}

/** The current's way, traced aloud; of like ways the first few. */
function pathWords(sheet: Sheet): string {
  const paths = currentPaths(sheet.circuit);
  const told = paths.slice(0, 3).map((path) => `out of plus, through ${listWords(path)}, back to minus`);
  const more = paths.length > 3 ? `; and ${paths.length - 3} more ways beside these` : '';
  return told.length ? `${told.join('; ')}${more}.` : 'Trace it with a finger from plus to minus.';
}

/** The volts along the first way add up to those of the supply. */
function sumWords(sheet: Sheet): string {
  const [path] = currentPaths(sheet.circuit);
  const solved = sheet.built.solved?.parts;
  if (!path || !solved) return '';
  const drops = path.map((id) => Math.abs(solved[id]?.volts ?? 0));
  const shown = path.map((id, i) => `${V(drops[i]!)} across ${id}`).filter((_, i) => drops[i]! > 1e-3);
  const total = drops.reduce((sum, volts) => sum + volts, 0);
  return `${shown.join(' + ')} = ${V(total)}, all that the supply gives.`;
}

const WHY: Readonly<Partial<Record<Sheet['circuit']['parts'][number]['kind'], string>>> = {
  supply: `The supply pushes: its volts are the height that the current falls through.`,
  resistor: 'The resistor decides how much current flows; without it the lamp would take what ruins it.',
  led: 'The lamp lets current pass one way only, and turns some of it into light.',
  potentiometer: 'The potentiometer is a resistor that a hand can change.',
  zener: 'The zener lets current pass backwards only above its own volts: it is the threshold.',
  switch: 'The button sees to it that the gauge does not empty the battery it measures.',
};

const TOOLS: Readonly<Record<ReturnType<typeof buildType>, readonly string[]>> = {
  plugged: ['multimeter with probes', 'flat pliers to bend legs', 'side cutters', 'magnifying glass'],
  soldered: [
    'iron with stand and sponge',
    'solder, 0.7 mm',
    'side cutters, glasses for everybody',
    'card strip with a slot as a jig',
    'strip cutter or 4 mm drill bit',
    'multimeter',
    'desolder braid',
  ],
  taped: ['scissors', 'ruler', 'clear tape', 'multimeter with thin probes', 'counted tin for coin cells'],
};

type Fixed = Pick<Talk, 'analogy' | 'truth' | 'homework'>;

const LOOP: Fixed = {
  analogy:
    'Water in a ring of pipe: the pump is the battery, the narrow piece the resistor. All of it flows everywhere at once, none is used up.',
  truth:
    '“A red lamp runs at 2 V” is half true: its volts follow its current. It is the current that is chosen, and the volts come by themselves.',
  homework: 'Find three lamps at home, and say of each what limits its current.',
};

const BY_PATTERN: Readonly<Record<PatternId, Fixed>> = {
  single: LOOP,
  'coin-light': {
    ...LOOP,
    truth:
      '“A lamp needs no resistor on a coin cell” holds because the cell has ohms of its own inside, and for that cell only.',
    homework: 'Leave it lit and write down every hour how bright it is: when would you call it dim?',
  },
  'walk-down': {
    ...LOOP,
    truth: '“Twice the current is twice as bright” is what the meter says; the eye sees much less of a step.',
    homework: 'Draw brightness, as you saw it, over ohms. Where does it stop to be worth the current?',
  },
  strings: {
    analogy: 'A chain of waterfalls shares the height; waterfalls side by side each want water of their own.',
    truth:
      '“Lamps side by side share the current” holds for like lamps with a resistor each. Unlike ones on one resistor do not share: the lowest takes it.',
    homework: 'Four red lamps on a USB port: how many ways are there, and which draws least?',
  },
  hogging: {
    analogy: 'Water leaves a tub through the lowest hole; the higher ones stay dry while it is open.',
    truth: '“The blue one is broken” is what everybody says first. Taken alone, it lights.',
    homework: 'Which pairs of colours would share fairly? Say it from the forward volts alone.',
  },
  dimmer: {
    analogy: 'A tap in the pipe, and a stop on the tap so that it never opens all the way.',
    truth: '“The knob turns the voltage down” is not what happens: it adds ohms, and the current falls.',
    homework: 'Where on the knob does the lamp look half as bright? It is not the middle: why?',
  },
  rgb: {
    analogy: 'Three taps into one basin: each colour has its own, and the basin shows the mixture.',
    truth:
      '“Equal current is equal brightness” fails here: green looks far brighter than red at the same current.',
    homework: 'Make cyan, magenta, orange and white, and note the three currents of each.',
  },
  gauge: {
    analogy: 'Overflow pipes at three heights: each runs only when the water stands above it.',
    truth:
      '“A battery at 12 V is full” depends on its kind and on what it gives just now: measure it under load.',
    homework:
      'Between which two volts do exactly two lamps burn? Check it by turning the supply down slowly.',
  },
  panel: {
    analogy: 'A row of houses, each with its own tap on the same main.',
    truth:
      '“If the last batch is dark the last joint is bad” holds only because each batch before it was tested.',
    homework: 'How long would a panel twice as large take you? Count joints, not lamps.',
  },
  'lamp-cover': {
    analogy: 'The same waterfalls in a chain, several chains side by side on one lake.',
    truth:
      '“Lamps that plug into the wall work just like this” is not so: those without a transformer are live everywhere, and are nobody’s lesson.',
    homework: 'One lamp of a string dies open, another shorts: what does each do to the rest of its string?',
  },
};
