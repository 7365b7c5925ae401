import { isKind, withPart, type Circuit, type PartOf } from '../../circuit/circuit';
import { candidate, type Candidate, type FaultContext } from './fault';

/** A zener turned round, where it conducts forwards; and each two in each other's place. */
export function zenerFaults({ circuit }: FaultContext, zeners: readonly PartOf<'zener'>[]): Candidate[] {
  const reversed = zeners.map((part) => {
    const pins = { anode: part.pins['cathode']!, cathode: part.pins['anode']! };
    const turned = withPart(circuit, part.id, (p) => ({ ...p, pins }));
    return candidate('zener-reversed', { part: part.id }, 1, turned);
  });
  const exchanged = zeners.flatMap((part, i) =>
    zeners
      .slice(i + 1)
      .flatMap((other) =>
        part.params.vz === other.params.vz
          ? []
          : [
              candidate(
                'zeners-exchanged',
                { part: part.id, other: other.id },
                0.6,
                swapped(circuit, part, other),
              ),
            ],
      ),
  );
  return [...reversed, ...exchanged];
}

function swapped(circuit: Circuit, one: PartOf<'zener'>, other: PartOf<'zener'>): Circuit {
  const fitted = (built: Circuit, { id }: PartOf<'zener'>, { params }: PartOf<'zener'>) =>
    withPart(built, id, (part) => (isKind(part, 'zener') ? { ...part, params } : part));
  return fitted(fitted(circuit, one, other), other, one);
}
