import type { SourceChoice } from '../catalogue/supplies';
import { isKind, type Circuit } from '../circuit/circuit';
import { accepted, finding, refused, type Outcome } from '../findings/finding';
import type { Held } from '../observe/checkpoint';
import { withHeld } from '../observe/held';
import type { Moving } from '../observe/observation';
import { observe } from '../observe/observe';
import { atAge } from '../patterns/steady/parts';
import type { ChipTimes } from '../patterns/timed/figures';
import type { ProgramSums } from '../program/sums';
import type { PulseSums } from '../patterns/pulsed/pulses';
import type { SheetRequest } from './request';
import { timingIn } from '../patterns/family';
import { workOut } from './sheet';

/** Another setting of the same build, to be laid beneath its day. */
export const BENEATHS = [
  'nothing',
  'other family',
  'tired supply',
  'fresh supply',
  'no lamps',
  'its mean',
] as const;
export type Beneath = (typeof BENEATHS)[number];

/** What a lesson's circuit does over time, and the same with one setting otherwise. */
export interface Day {
  readonly seen: Moving;
  readonly timing: readonly ChipTimes[];
  readonly pulses?: PulseSums;
  readonly program?: ProgramSums;
  readonly other?: Moving;
}

/**
 * The day of a lesson: from its wishes straight to what its circuit does, without plan, draws and kit.
 *
 * @returns the run from switching on, or why the wishes have none
 */
export function dayOf(
  request: Pick<SheetRequest, 'choice' | 'style' | 'shelf' | 'stock'>,
  beneath: Beneath,
): Outcome<Day> {
  const worked = workOut(request, true);
  if (!worked.ok) return worked;
  const { circuit, seen, sums, started, supply } = worked.value;
  if (!seen) return refused(finding('does-not-move', {}));
  const { own } = sums;
  const day = {
    seen: switchedOn(seen),
    timing: timingIn(sums),
    ...(own.family === 'pulsed' ? { pulses: own.pulses } : {}),
    ...(own.family === 'program' ? { program: own.program } : {}),
  };
  if (beneath === 'nothing') return accepted(day);
  const other = observe(withHeld(otherwise(circuit, supply, beneath), started as Held | undefined));
  return accepted({
    ...day,
    ...(other.ok && other.value.kind === 'moving' ? { other: switchedOn(other.value) } : {}),
  });
}

/** The same, followed from switching on: with what comes before its rounds are alike. */
function switchedOn(seen: Moving): Moving {
  const { startUp, ...rest } = seen;
  return startUp ? { ...rest, run: startUp, window: startUp.window } : seen;
}

function otherwise(circuit: Circuit, supply: SourceChoice, beneath: Beneath): Circuit {
  switch (beneath) {
    case 'nothing':
      return circuit;
    case 'tired supply':
      return atAge(circuit, supply, 'tired');
    case 'fresh supply':
      return atAge(circuit, supply, 'fresh');
    case 'no lamps':
      return {
        ...circuit,
        parts: circuit.parts.filter((part) => !isKind(part, 'led') && !isKind(part, 'speaker')),
      };
    case 'its mean':
      return evened(circuit);
    case 'other family':
      return {
        ...circuit,
        parts: circuit.parts.map((part) =>
          isKind(part, 'timer')
            ? {
                ...part,
                params: { family: part.params.family === 'cmos' ? ('bipolar' as const) : ('cmos' as const) },
              }
            : part,
        ),
      };
  }
}

/** The same with its pulses evened out: the mean of them, all the time. */
function evened(circuit: Circuit): Circuit {
  return {
    ...circuit,
    parts: circuit.parts.map((part) => {
      if (!isKind(part, 'signal')) return part;
      const { amplitude, offset, duty } = part.params;
      return {
        ...part,
        params: { ...part.params, amplitude: 0, offset: offset + amplitude * (2 * duty - 1) },
      };
    }),
  };
}

/** The settings that may be laid beneath the day of such a circuit. */
export function beneathsFor({ parts }: Circuit): Beneath[] {
  const chips = parts.some((part) => isKind(part, 'timer'));
  const steady = parts.some((part) => isKind(part, 'supply'));
  const programmed = parts.some((part) => isKind(part, 'pin'));
  const fits: Readonly<Record<Beneath, boolean>> = {
    nothing: true,
    'other family': chips,
    'tired supply': steady,
    'fresh supply': steady,
    'no lamps': !programmed,
    'its mean': !steady,
  };
  return BENEATHS.filter((beneath) => fits[beneath]);
}
