import { formatOhms, formatQuantity, type LegPlace, type Sheet, type Step } from '@/core';
import { holeName } from './findings';
import { capital, lampName, partName, supplyName } from './names';

export interface StepWords {
  readonly title: string;
  readonly detail: string;
  /** The polarity cue, for parts that have one. */
  readonly cue?: string;
  readonly why: string;
}

/** One step of the build card in words, made from the plan's own holes. */
export function stepWords(step: Step, sheet: Sheet): StepWords {
  switch (step.action) {
    case 'place-jumper':
      return {
        title: `Put ${step.colour === 'green' ? 'a' : `the ${step.colour}`} jumper ${step.part} from ${hole(step.legs, 0)} to ${hole(step.legs, 1)}.`,
        detail: 'Press both ends right in.',
        why: step.legs.some((leg) => leg.hole.includes('+'))
          ? 'It brings plus to the lamp’s rows.'
          : 'It brings minus to the lamp’s rows.',
      };
    case 'place-part':
      return placeWords(step, sheet);
    case 'connect-supply':
      return {
        title: `Put the ${step.pin === 'plus' ? 'red' : 'black'} battery lead in the ${hole(step.legs, 0)}.`,
        detail: step.pin === 'minus' ? 'Minus first.' : 'Plus last: the lamp lights now.',
        cue: `${step.pin === 'plus' ? 'Red is plus' : 'Black is minus'}.`,
        why: `${capital(supplyName(sheet.sums.supply))}: ${formatQuantity(sheet.sums.supplyFigures.volts, 'V')}.`,
      };
    case 'gate':
      return gateWords(step.gate, sheet);
  }
}

function hole(legs: readonly LegPlace[], index: number): string {
  return holeName(legs[index]!.hole);
}

function placeWords(step: Extract<Step, { action: 'place-part' }>, sheet: Sheet): StepWords {
  const holes = step.legs.map((leg) => leg.hole).join(' and ');
  if (step.kind === 'led') {
    const anode = step.legs.find((leg) => leg.pin === 'anode')!.hole;
    const cathode = step.legs.find((leg) => leg.pin === 'cathode')!.hole;
    const above = step.positive
      ? ` ${step.positive.hole} will be the more positive, by ${formatQuantity(step.positive.volts, 'V')}.`
      : '';
    return {
      title: `Put the ${lampName(sheet.sums.lamp.type)} lamp ${step.part} in ${holes}.`,
      detail: `The only part on this card that must not be turned round.${above}`,
      cue: `Long leg in ${anode}. Short leg, on the flat edge of the rim, in ${cathode}.`,
      why: 'It turns current into light, in one direction only.',
    };
  }
  if (step.kind === 'resistor') {
    const { chosen, bands4, bands5 } = sheet.sums;
    const bands =
      (sheet.circuit.parts.some((p) => p.kind === 'resistor' && p.params.tolerance < 0.05)
        ? bands5
        : bands4) ?? bands5;
    return {
      title: `Put the resistor ${step.part}, ${formatOhms(chosen)}, in ${holes}.`,
      detail: `${bands ? `Bands: ${bands.join(', ')}. ` : ''}Bend the legs down; either way round is right.`,
      why: `It keeps the lamp at ${formatQuantity(sheet.sums.design.amps, 'A')}.`,
    };
  }
  return { title: `Put ${partName(step.part)} in ${holes}.`, detail: '', why: '' };
}

function gateWords(gate: 'before-power' | 'after-power', sheet: Sheet): StepWords {
  if (gate === 'before-power') {
    return {
      title: 'Stop: look before power.',
      detail: `Read every leg against the card: ${sheet.steps
        .flatMap((s) =>
          s.action === 'place-part' || s.action === 'place-jumper'
            ? [`${s.part} ${s.legs.map((l) => holeName(l.hole)).join(' to ')}`]
            : [],
        )
        .join('; ')}. No two legs of one part in one row.`,
      cue: 'Lamp’s long leg on the plus side?',
      why: 'A mistake found now costs nothing.',
    };
  }
  const point = sheet.expected.points.find((p) => p.id === 'resistor');
  const band = point ? `${formatQuantity(point.low, 'V')} to ${formatQuantity(point.high, 'V')}` : '';
  return {
    title: 'Stop: is it right?',
    detail: `The lamp is ${sheet.sums.design.brightness}. Across R1 the meter reads ${band}.`,
    cue: 'Lit is not enough: measure.',
    why: 'A lamp with too much current lights as well, and wears out.',
  };
}
