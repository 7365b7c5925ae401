import { isKind, type Part } from '../circuit/circuit';
import { pressOf } from '../devices/switch';
import type { Amps, Ohms } from '../quantities/units';
import type { Observation } from './observation';

/** Ten megohms draw a tenth of what a node has through this much, and change what is read there. */
const FAR_OHMS: Ohms = 1e6;
/** What conducts so much holds both of its ends. */
const HOLDS_AMPS: Amps = 1e-6;

/**
 * The nodes of a build that nothing holds: a broken string's, a lamp's without its resistor. The meter itself sets what is
 * read there; all others are read as they are.
 */
export function hangingNodes({
  circuit,
  parts,
}: Pick<Observation, 'circuit' | 'parts'>): ReadonlySet<string> {
  const held = new Set(circuit.parts.flatMap(drivenBy));
  const joints = circuit.parts.map((part) => jointsOf(part, parts[part.id]?.amps ?? 0));
  for (let more = true; more;) {
    more = false;
    for (const nets of joints) {
      if (!nets.some((net) => held.has(net))) continue;
      for (const net of nets) {
        if (held.has(net)) continue;
        held.add(net);
        more = true;
      }
    }
  }
  const all = new Set(circuit.parts.flatMap(({ pins }) => Object.values(pins)));
  return new Set([...all].filter((net) => !held.has(net) && net !== circuit.ground));
}

/** Nets that a part puts at volts of its own. */
function drivenBy(part: Part): readonly string[] {
  if (isKind(part, 'timer')) return [part.pins['output']!];
  const { pin: _pin, ...others } = part.pins;
  // A pin that only reads puts nothing there.
  if (isKind(part, 'pin')) return Object.values(part.params.drive === 'input' ? others : part.pins);
  return isKind(part, 'supply') || isKind(part, 'signal') ? Object.values(part.pins) : [];
}

/** Nets that a part holds together. */
function jointsOf(part: Part, amps: Amps): readonly string[] {
  const nets = Object.values(part.pins);
  if (isKind(part, 'capacitor') || isKind(part, 'timer')) return [];
  if (isKind(part, 'resistor') || isKind(part, 'potentiometer'))
    return part.params.ohms <= FAR_OHMS ? nets : [];
  if (isKind(part, 'switch')) return part.params.closed || pressOf(part.params) ? nets : [];
  if (isKind(part, 'ldr') || Math.abs(amps) >= HOLDS_AMPS) return nets;
  return part.kind === 'wire' || part.kind === 'speaker' || part.kind === 'inductor' ? nets : [];
}
