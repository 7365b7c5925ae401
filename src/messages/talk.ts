import {
  boardOf,
  buildType,
  currentPaths,
  formatQuantity,
  isSource,
  reportOf,
  type ChipTimes,
  type Kind,
  type Sheet,
} from '@/core';
import { pulsePredictions, pulseTalk } from './pulses';
import { beamPath, beamPredictions, beamTalk } from './beam';
import { lightPath, lightPredictions, lightTalk } from './light';
import { soundPath, soundPredictions, soundTalk } from './sound';
import { mixPath, mixPredictions, mixTalk } from './mix';
import { PATTERN_WORDS } from './patterns';
import { programPath, programPredictions, programTalk } from './program';
import { rulePath, rulePredictions, ruleTalk } from './rule';
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
  const { analogy, truth, homework } = PATTERN_WORDS[sheet.pattern];
  return {
    analogy,
    truth,
    homework,
    predict: predictions(sheet),
    path: pathTalk(sheet),
    sum: sumTalk(sheet),
    parts: [...new Set(sheet.circuit.parts.map(({ id, kind }) => whyWords(sheet, id, kind)))],
    tools: TOOLS[buildType(boardOf(sheet.plan))],
  };
}

function pathTalk(sheet: Sheet): string {
  const { timing, light, beam, program, mix } = sheet.sums;
  if (mix) return mixPath(mix);
  if (sheet.sums.rule) return rulePath(sheet.sums.rule);
  if (sheet.sums.sound) return soundPath(sheet.sums.sound);
  if (beam) return beamPath(beam);
  if (program) return programPath(program);
  if (timing) return chargeWords(timing);
  return light ? lightPath(light) : pathWords(sheet);
}

function sumTalk(sheet: Sheet): string {
  const { timing, pulses, beam, program, mix } = sheet.sums;
  if (mix) return mixTalk(mix);
  if (sheet.sums.rule) return ruleTalk(sheet.sums.rule);
  if (program) return programTalk(program);
  if (sheet.sums.sound) return soundTalk(sheet.sums.sound);
  if (beam) return beamTalk(beam);
  if (timing) return timeWords(timing);
  if (sheet.sums.light) return lightTalk(sheet.sums.light);
  return pulses ? pulseTalk(pulses) : sumWords(sheet);
}

function whyWords({ circuit }: Sheet, id: string, kind: Kind): string {
  if (kind !== 'signal' || !isSource(circuit, id)) return WHY[kind];
  return 'The booster gathers what a cell gives and pushes it out in short strokes, higher than the cell itself could.';
}

function predictions(sheet: Sheet): string[] {
  const { lamps, amps } = sheet.sums.design;
  const [first] = lamps;
  if (sheet.sums.mix) return mixPredictions(sheet.sums.mix);
  if (sheet.sums.program) return programPredictions(sheet.sums.program);
  if (sheet.sums.pulses) return pulsePredictions(sheet.sums.pulses);
  if (sheet.sums.rule && sheet.sums.light) return rulePredictions(sheet.sums.rule, sheet.sums.light);
  if (sheet.sums.light) return lightPredictions(sheet.sums.light);
  if (sheet.sums.sound) return soundPredictions(sheet.sums.sound);
  if (sheet.sums.beam) return beamPredictions(sheet.sums.beam);
  if (sheet.sums.timing) return timedPredictions(sheet.sums.timing, lamps.length > 0);
  const several = lamps.length > 1;
  return [
    several
      ? `All ${lamps.length} lamps: which is brightest, and do all of them light?`
      : `Will the lamp be dim, fairly bright or bright at ${formatQuantity(first!.amps, 'A')}?`,
    `What does the meter read ${measuredWords(sheet)}?`,
    several
      ? `D1 is taken out: what do the others do, and what happens to the ${formatQuantity(amps, 'A')} of the supply?`
      : 'The lamp is turned round: what does the meter read across it then?',
  ];
}

/** The ways of the charge that keeps the time, traced aloud. */
function chargeWords(chips: readonly ChipTimes[]): string {
  return chips
    .map(({ chip, form, parts }) => {
      const { ra, r, c } = parts;
      if (form === 'standard')
        return `${c} fills from plus through ${listWords([ra!, r])}, and empties through ${r} into pin 7 of ${chip}`;
      if (form === 'one-shot')
        return `${c} fills through ${r} until ${chip} turns over, and is emptied for the next time`;
      return `${c} fills and empties through ${r}, out of the output of ${chip} and back into it`;
    })
    .join('; ')
    .concat('.');
}

/** The rule of thumb with this lesson's own figures. */
function timeWords(chips: readonly ChipTimes[]): string {
  return chips
    .map(({ parts, ideal, solved, form }) => {
      const { ra, r, c } = parts;
      const through = ra === undefined ? r : `(${ra} + ${r})`;
      const rule = `${form === 'one-shot' ? '1.10' : '0.693'} × ${through} × ${c} = ${formatQuantity(ideal.high, 's', 3)} up`;
      return `${rule}; in the real circuit ${formatQuantity(solved.high, 's', 3)}`;
    })
    .join('. ')
    .concat('.');
}

/** What may be asked before a lesson that moves is switched on. */
function timedPredictions([first]: readonly ChipTimes[], lamps: boolean): string[] {
  const { parts, solved } = first!;
  return [
    lamps
      ? `How long do ten flashes take, or one light? Guess before power; the sum says ${formatQuantity(solved.high + solved.low, 's', 2)} for one round.`
      : 'Is the tone deeper or higher than your own voice?',
    `${parts.r} is made twice as large: what becomes of the time?`,
    `${parts.c} is made ten times as large: what becomes of it then?`,
  ];
}

/** The first resistor that is measured, or the supply where there is none. */
function measuredWords({ checkpoints }: Sheet): string {
  const resistor = checkpoints.find(({ kind }) => kind === 'resistor');
  return resistor ? `across ${resistor.part}` : 'across the supply';
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
  const { seen } = sheet.built;
  if (!path || !seen) return '';
  const drops = path.map((id) => Math.abs(reportOf(seen, id).volts));
  const shown = path.map((id, i) => `${V(drops[i]!)} across ${id}`).filter((_, i) => drops[i]! > 1e-3);
  const total = drops.reduce((sum, volts) => sum + volts, 0);
  return `${shown.join(' + ')} = ${V(total)}, all that the supply gives.`;
}

const WHY: Readonly<Record<Kind, string>> = {
  supply: `The supply pushes: its volts are the height that the current falls through.`,
  resistor: 'The resistor decides how much current flows; without it the lamp would take what ruins it.',
  led: 'The lamp lets current pass one way only, and turns some of it into light.',
  potentiometer: 'The potentiometer is a resistor that a hand can change.',
  zener: 'The zener lets current pass backwards only above its own volts: it is the threshold.',
  switch: 'A button or a switch opens the ring: without it closed, nothing flows anywhere.',
  capacitor: 'The capacitor keeps charge: its volts cannot jump, they take time.',
  inductor: 'The coil keeps current flowing for a moment when the volts are gone.',
  diode: 'The diode lets current pass one way only, and keeps a little of the volts for itself.',
  transistor: 'The transistor is a switch that a small current works.',
  timer: 'The timer compares two thirds and one third of its supply, and remembers which came last.',
  ldr: 'The light sensor is a resistor that light makes smaller.',
  wire: 'A wire makes two points one.',
  speaker: 'The speaker turns current that comes and goes into sound.',
  pin: 'The controller’s pin is a supply that a program turns on and off.',
  signal: 'The signal is what comes from outside: it pushes and pulls.',
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
