import { boardOf, buildType, partOf, type Sheet, type Step, sumsIn, timingIn, helpersIn } from '@/core';
import { beamSensorWords } from './beam';
import { capital, listed } from './grammar';
import { holeName } from './holes';
import { legName, TIMER_PINS } from './names';
import { channelAgain, hubWords } from './sound';
import { valueOf, type StepWords } from './stepWords';
import { HELPER_WORDS } from './timing';

type Placed = Extract<Step, { action: 'place-part' }>;

/** Parts of which there is one thing to say. */
export function furtherWords(step: Placed, holes: string, sheet: Sheet): StepWords | undefined {
  switch (step.kind) {
    case 'transistor':
      return transistorWords(step, holes, sheet);
    case 'ldr': {
      const beam = sumsIn(sheet.sums, 'beam')?.beam;
      return {
        title: `Put the light sensor ${step.part} in ${holes}.`,
        detail: beam
          ? beamSensorWords(beam)
          : 'Either way round is right. Its face looks up, to the light; no lamp beside it.',
        why: 'The more light falls on it, the fewer ohms it has.',
      };
    }
    case 'diode':
      return {
        title: `Put the diode ${step.part} in ${holes}.`,
        detail: 'It must not be turned round.',
        cue: `Ringed end in ${holeName(step.legs.find((leg) => leg.pin === 'cathode')!.hole)}.`,
        why: 'It lets current pass towards its ring, and not back.',
      };
    case 'signal':
      return {
        title: `Put the sound lead ${step.part} in ${holes}.`,
        detail: `${step.legs.map(({ pin, hole }) => `${capital(legName(step.kind, pin))} in ${holeName(hole)}`).join('. ')}. Its plug stays out of whatever plays until the card says so.`,
        cue: 'The bare wire is the shield: it goes to minus.',
        why: 'Left and right come in by one wire each, over a shield that both share.',
      };
    case 'speaker':
      return {
        title: `Put the leads of the speaker ${step.part} in ${holes}.`,
        detail: 'Either way round is right. Keep it away from ears until it is known how loud it is.',
        why: 'It turns current that comes and goes into sound.',
      };
    default:
      return undefined;
  }
}

/** A transistor by the order of its legs, as they are seen from its flat face. */
function transistorWords(step: Placed, holes: string, sheet: Sheet): StepWords {
  const { circuit } = sheet;
  const part = partOf(circuit, step.part);
  const turned = part?.kind === 'transistor' && part.params.leads === 'C-B-E';
  const order = turned ? 'collector, base, emitter' : 'emitter, base, collector';
  const at = (pin: string) => holeName(step.legs.find((leg) => leg.pin === pin)!.hole);
  return {
    title: `Put the transistor ${step.part} in ${holes}.`,
    detail: `${channelAgain(step.part, sheet)}Seen from its flat face, legs down, they are from left to right ${order}; other types differ, so read the bag.${hubWords(step.part, sheet)}`,
    cue: `Collector in ${at('collector')}, base in ${at('base')}, emitter in ${at('emitter')}.`,
    why: 'A small current into its base lets a large one pass from collector to emitter.',
  };
}

/** The two sides of a chip, from the end with the notch. */
const LEFT = TIMER_PINS.slice(0, 4);
const RIGHT = [...TIMER_PINS.slice(4)].reverse();

/** A chip lies by its notch: pin 1 left of it, and pin 8 across. */
export function timerWords(step: Placed, sheet: Sheet): StepWords {
  const at = (pin: string) => holeName(step.legs.find((leg) => leg.pin === pin)!.hole);
  const sideOf = (pins: readonly string[]) => listed(pins.map(at));
  const across = buildType(boardOf(sheet.plan)) === 'plugged' ? 'across the trench' : 'on the board';
  return {
    title: `Put the timer chip ${step.part}, ${valueOf(step.part, sheet)}, ${across}: pin 1 in ${at('ground')}, pin 8 in ${at('supply')}.`,
    detail: `${againWords(step.part, sheet)}Press its two rows of legs a little together first, then straight in, all eight at once. Pins 1 to 4 are then in ${sideOf(LEFT)}, pins 8 to 5 in ${sideOf(RIGHT)}.`,
    cue: `Notch at the end of ${at('ground')} and ${at('supply')}; pin 1 is left of the notch, seen from above.`,
    why: 'It compares two voltages, and remembers which was passed last.',
  };
}

/** Of a second chip that keeps its time the same way: what is the same again, and what is not. */
function againWords(part: string, { sums }: Sheet): string {
  const all = timingIn(sums);
  const at = all.findIndex(({ chip }) => chip === part);
  const [own, earlier] = [all[at], all.slice(0, Math.max(0, at)).find(({ form }) => form === all[at]?.form)];
  if (!own || !earlier) return '';
  const alike = JSON.stringify(own.values) === JSON.stringify(earlier.values);
  return `The same again on the second chip: as at ${earlier.chip}, with ${listed(Object.values(own.parts))} in the places of ${listed(Object.values(earlier.parts))}${alike ? '' : ', which have other values'}. `;
}

export function capacitorWords(step: Placed, holes: string, sheet: Sheet): StepWords {
  const what = `the capacitor ${step.part}, ${valueOf(step.part, sheet)},`;
  const why = timeOf(step.part, sheet) ?? helpOf(step.part, sheet) ?? 'It keeps charge.';
  if (!step.polarised)
    return {
      title: `Put ${what} in ${holes}.`,
      detail: `Either way round is right.${hubWords(step.part, sheet)}`,
      why,
    };
  const at = (pin: string) => holeName(step.legs.find((leg) => leg.pin === pin)!.hole);
  return {
    title: `Put ${what} in ${holes}.`,
    detail: `It must not be turned round: it would leak, and can vent.${hubWords(step.part, sheet)}`,
    cue: `Long leg in ${at('a')}. The leg beside the stripe, which is minus, in ${at('b')}.`,
    why,
  };
}

/** What a part is there for that neither sets a time nor guards a lamp. */
export function helpOf(part: string, { sums }: Sheet): string | undefined {
  const helper = helpersIn(sums).find((one) => one.part === part);
  return helper && `${capital(HELPER_WORDS[helper.job])}.`;
}

/** What a part that sets a time does there. */
export function timeOf(part: string, { sums }: Sheet): string | undefined {
  const chip = timingIn(sums).find(({ parts }) => Object.values(parts).includes(part));
  if (!chip) return undefined;
  const others = Object.values(chip.parts).filter((id) => id !== part);
  return `Together with ${listed(others)} it sets the time of ${chip.chip}.`;
}
