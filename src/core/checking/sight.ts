import { LAMP_TYPES, type LampType } from '../catalogue/lamps';
import type { Circuit } from '../circuit/circuit';
import type { Outcome } from '../findings/finding';
import { looksIn } from '../observe/looksIn';
import type { Observation } from '../observe/observation';
import { reportOf } from '../observe/observe';
import { overloadOf } from '../parts/index';
import type { FaultCode } from '../parts/mistake';
import type { Candidate, FaultContext } from './faults/fault';
import { showsWith } from './looksHeld';
import type { OtherColour, Sight } from './seen';

/** Mistakes that hang on a leg that is pressed or not. */
const LOOSE: ReadonlySet<FaultCode> = new Set(['loose-joint', 'bad-contact']);

/**
 * How a build looks: its lamps, each in what it is looked at in, and what gets hot.
 *
 * @param circuit the candidate's own, or one of its draws
 */
export function sightOf(
  candidate: Candidate,
  circuit: Circuit,
  { shows, sorts }: Pick<FaultContext, 'shows' | 'sorts'>,
  seen: Outcome<Observation>,
): Sight {
  const { code, data } = candidate;
  const looks = looksIn(circuit, showsWith(shows, candidate), seen);
  const { part, lamp } = data;
  const colour =
    code === 'other-lamp' && part && lamp ? otherColour(part, sorts[part] ?? 'red', lamp) : undefined;
  return {
    code,
    looks: lamp === 'infrared' && part ? { ...looks, [part]: 'dark' } : looks,
    ...(colour ? { colour } : {}),
    ...(seen.ok && isHot(seen.value) ? { hot: true } : {}),
    ...(LOOSE.has(code) ? { loose: true } : {}),
  };
}

/** Chance that somebody sees that a lamp has another colour: of two that lie beside each other in the spectrum, or further. */
const NOTICED = { beside: 0.6, further: 0.97 } as const;

function otherColour(lamp: string, wanted: LampType, fitted: LampType): OtherColour | undefined {
  if (fitted === 'infrared') return undefined;
  const apart = Math.abs(LAMP_TYPES.indexOf(wanted) - LAMP_TYPES.indexOf(fitted));
  return { lamp, noticed: apart > 1 ? NOTICED.further : NOTICED.beside };
}

/** Whether a part carries more than it stands, so that it gets hot. */
function isHot(seen: Observation): boolean {
  return seen.circuit.parts.some((part) => {
    const how = overloadOf(part, reportOf(seen, part.id))?.how;
    return how !== undefined && how !== 'reverse' && how !== 'volts';
  });
}
