import { formatQuantity, partOf, type Sheet, type Step } from '@/core';
import { holeName } from './holes';
import { lengthWords } from './lengths';
import { lampName, supplyName } from './names';
import { valueOf, type StepWords } from './stepWords';

type Taped = Extract<Step, { action: 'lay-tape' | 'test-on-cell' | 'fold-cell' }>;

/** Steps of a card that is laid in tape. */
export function tapeWords(step: Taped, sheet: Sheet): StepWords {
  switch (step.action) {
    case 'lay-tape':
      return layWords(step);
    case 'test-on-cell': {
      const lamp = lampName(sheet.sorts[step.part] ?? '');
      return {
        title: `Try the ${lamp} lamp ${step.part} before it is fixed.`,
        detail: testWords(step.part, sheet),
        cue: 'Long leg on the plus face.',
        why: 'A dead lamp is changed in a second now, and not once it is under tape.',
      };
    }
    case 'fold-cell':
      if (sheet.supply.kind !== 'coin-20mm') return clipWords(sheet);
      return {
        title: `Lay the coin cell on the minus tape, plus face up, and fold the plus tape over it.`,
        detail:
          'Tape the fold down so that it presses. Flicker check: tap the card. Squeeze check: it must not get brighter when the cell is pressed; if it does, press the joints again. Then close the holder with its screw or tape it shut all round.',
        cue: 'Plus face up.',
        why: `${supplyName(sheet.supply)}: closed in, so that nobody takes the cell out with a fingernail.`,
      };
  }
}

/** Any other supply has leads, that are clipped where a cell would lie. */
function clipWords(sheet: Sheet): StepWords {
  return {
    title: 'Clip the black lead to the minus tape, then the red lead to the plus tape.',
    detail: 'Fold the end of each tape over once, so that the clip bites into copper and not into paper.',
    cue: 'Red on plus. The two clips must never touch.',
    why: `${supplyName(sheet.supply)}: connected last, when all is looked over.`,
  };
}

/** A lamp that the cell would overdrive is tried through its resistor only. */
function testWords(part: string, sheet: Sheet): string {
  const limited = sheet.circuit.parts.some((other) => other.kind === 'resistor');
  const lamp = partOf(sheet.circuit, part);
  if (!limited && lamp)
    return 'Slip its legs over the coin cell, one on each face: it lights. Turn it over if it does not.';
  return 'Touch it to a coin cell for a moment with its resistor in one leg: it lights. Turn it over if it does not.';
}

function layWords({ tape, length, from, to }: Extract<Step, { action: 'lay-tape' }>): StepWords {
  const mm = lengthWords(length);
  if (tape === 'p' || tape === 'm') {
    const name = tape === 'p' ? 'plus' : 'minus';
    return {
      title: `Cut ${mm} of tape and lay it as the ${name} tape, from the cell to the last lane.`,
      detail:
        'Peel, lay, rub flat with a fingernail. Fold corners instead of cutting: two pieces that only overlap are joined badly.',
      cue: `It must nowhere touch the ${tape === 'p' ? 'minus' : 'plus'} tape.`,
      why: `Everything that goes to ${name} lies on it.`,
    };
  }
  return {
    title: `Cut ${mm} of tape and lay it from ${holeName(from)} to ${holeName(to)}.`,
    detail: 'Rub it flat.',
    cue: 'It touches neither the plus nor the minus tape.',
    why: 'It joins the two things of its lane.',
  };
}

/** A part that is taped down leg by leg. */
export function tapedPartWords(step: Extract<Step, { action: 'place-part' }>, sheet: Sheet): StepWords {
  const [from, to] = step.legs.map(({ hole }) => holeName(hole)) as [string, string];
  const lamp = step.kind === 'led';
  const what = [lamp ? lampName(sheet.sorts[step.part] ?? '') : '', lamp ? 'lamp' : 'resistor', step.part]
    .filter(Boolean)
    .join(' ');
  const value = lamp ? '' : ` of ${valueOf(step.part, sheet)}`;
  const above = step.positive ? ` Between them will stand ${formatQuantity(step.positive.volts, 'V')}.` : '';
  return {
    title: `Tape the ${what}${value} from ${from} to ${to}.`,
    detail: `Fold each leg into a small zigzag on its tape, a strip of tape over it, and rub it flat.${above}`,
    ...(lamp ? { cue: `Long leg on ${from}, short leg on ${to}.` } : {}),
    why: lamp
      ? 'It turns current into light, in one direction only.'
      : 'It limits the current; either way round is right.',
  };
}
