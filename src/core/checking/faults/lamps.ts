import { LAMP_TYPES } from '../../catalogue/lamps';
import { isKind, withPart, type Circuit, type PartOf } from '../../circuit/circuit';
import { candidate, endToEnd, opened, OPEN_OHMS, shorted, type Candidate, type FaultContext } from './fault';

/** A lamp turned round, dead either way, or of another sort. */
export function lampFaults(context: FaultContext, part: PartOf<'led'>): Candidate[] {
  const { circuit, lamps } = context;
  const lampType = context.sorts[part.id] ?? 'red';
  const here = { part: part.id };
  const others = LAMP_TYPES.filter((type) => lamps[type].vf !== lamps[lampType].vf).map((type) => {
    const { vf, at, n, rs, vfLow, vfHigh } = lamps[type];
    const params = { ...part.params, vf, at, n, rs, vfLow, vfHigh };
    const fitted = withPart(circuit, part.id, () => ({ ...part, params }));
    return candidate('other-lamp', { ...here, lamp: type }, 0.04, fitted);
  });
  return [
    // One of three in a house cannot be turned by itself.
    ...(part.body ? [] : [candidate('lamp-reversed', here, 3, probesStay(turned(circuit, part), part))]),
    candidate('lamp-open', here, 0.6, opened(circuit, part)),
    candidate('lamp-shorted', here, 1, shorted(circuit, part)),
    ...(part.body ? [] : others),
  ];
}

/** Three-colour lamps fitted with the other common leg: all three of a house are turned. */
export function otherCommon({ circuit }: FaultContext): Candidate[] {
  const lamps = circuit.parts.filter((part) => isKind(part, 'led')).filter((part) => part.body !== undefined);
  const houses = [...new Set(lamps.map((part) => part.body!.id))];
  return houses.map((house) => {
    const own = lamps.filter((part) => part.body!.id === house);
    const fitted = own.reduce((built, part) => probesStay(turned(built, part), part), circuit);
    return candidate('other-common', { part: house }, 0.8, fitted);
  });
}

function turned(circuit: Circuit, part: PartOf<'led'>): Circuit {
  const pins = { anode: part.pins['cathode']!, cathode: part.pins['anode']! };
  return withPart(circuit, part.id, (p) => ({ ...p, pins }));
}

/** A turned lamp is measured where it was meant to be: plus probe on the row of the wanted anode. */
function probesStay(circuit: Circuit, part: PartOf<'led'>): Circuit {
  return {
    ...circuit,
    parts: [
      ...circuit.parts.map((p) => (p.id === part.id ? { ...p, id: `${part.id} turned` } : p)),
      {
        id: part.id,
        kind: 'resistor',
        pins: endToEnd(part.pins),
        params: { ohms: OPEN_OHMS, tolerance: 0, watts: 1000 },
      },
    ],
  };
}
