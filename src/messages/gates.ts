import { boardOf, buildType, formatQuantity, type Sheet } from '@/core';
import { BRIGHTNESS_WORDS } from './names';
import { holeName } from './holes';
import type { StepWords } from './stepWords';

/** Legs that a student reads through before power; of larger builds the card itself is the list. */
const LISTED_MOST = 14;

/** The two gates every card has: a look before power, and a measurement after it. */
export function gateWords(gate: 'before-power' | 'after-power', sheet: Sheet): StepWords {
  return gate === 'before-power' ? beforePower(sheet) : afterPower(sheet);
}

function beforePower(sheet: Sheet): StepWords {
  const build = buildType(boardOf(sheet.plan));
  const pieces = sheet.steps.flatMap((s) =>
    s.action === 'place-part' || s.action === 'place-jumper'
      ? [`${s.part} ${s.legs.map((l) => holeName(l.hole)).join(' to ')}`]
      : [],
  );
  const list =
    pieces.length > 0 && pieces.length <= LISTED_MOST
      ? `Read every leg against the card: ${pieces.join('; ')}.`
      : 'Read every leg against the card, part by part.';
  if (build === 'taped') {
    return {
      title: 'Stop: look before the cell goes in.',
      detail:
        'The plus tape and the minus tape touch nowhere. Every lamp’s long leg lies on the plus side. Press every joint of tape flat with a fingernail.',
      cue: 'Long legs on the plus side?',
      why: 'Tapes that touch short the cell: it gets hot.',
    };
  }
  return {
    title: 'Stop: look before power.',
    detail: `${list} No two legs of one part in one ${build === 'plugged' ? 'row' : 'strip'}.`,
    cue: 'Lamp’s long leg on the plus side?',
    why: 'A mistake found now costs nothing.',
  };
}

function afterPower(sheet: Sheet): StepWords {
  const { lamps } = sheet.steady.design;
  const button = sheet.circuit.parts.some(({ kind }) => kind === 'switch') ? 'Hold the button.' : '';
  const looks = [...new Set(lamps.map(({ brightness }) => brightness))];
  const seen =
    lamps.length === 1
      ? `The lamp is ${BRIGHTNESS_WORDS[lamps[0]!.brightness]}.`
      : looks.length === 1
        ? `All ${lamps.length} lamps are ${BRIGHTNESS_WORDS[looks[0]!]}.`
        : `${lamps.map(({ part, brightness }) => `${part} is ${BRIGHTNESS_WORDS[brightness]}`).join(', ')}.`;
  const point = sheet.expected.points.find(({ id }) => id === 'resistor' || id.startsWith('R'));
  const total = sheet.expected.points.find(({ id }) => id === 'current');
  const read = point ?? total;
  const band = read
    ? `${formatQuantity(read.low, read.unit)} to ${formatQuantity(read.high, read.unit)}`
    : '';
  const where = point
    ? `Across ${point.id === 'resistor' ? 'R1' : point.id} the meter reads`
    : 'The supply gives';
  return {
    title: 'Stop: is it right?',
    detail: [button, seen, read ? `${where} ${band}.` : ''].filter(Boolean).join(' '),
    cue: 'Lit is not enough: measure.',
    why: 'A lamp with too much current lights as well, and wears out.',
  };
}
