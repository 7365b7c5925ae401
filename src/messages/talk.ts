import { boardOf, buildType, isSource, type Kind, type Sheet } from '@/core';
import { familyWords } from './families';
import { PATTERN_WORDS } from './patterns';

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

export function talkFor(sheet: Sheet): Talk {
  const { analogy, truth, homework } = PATTERN_WORDS[sheet.pattern];
  const { own } = sheet.sums;
  const family = familyWords(own);
  return {
    analogy,
    truth,
    homework,
    predict: family.predict(own, sheet),
    path: family.path(own, sheet),
    sum: family.sum(own, sheet),
    parts: [...new Set(sheet.circuit.parts.map(({ id, kind }) => whyWords(sheet, id, kind)))],
    tools: TOOLS[buildType(boardOf(sheet.plan))],
  };
}

function whyWords({ circuit }: Sheet, id: string, kind: Kind): string {
  if (kind !== 'signal' || !isSource(circuit, id)) return WHY[kind];
  return 'The booster gathers what a cell gives and pushes it out in short strokes, higher than the cell itself could.';
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
