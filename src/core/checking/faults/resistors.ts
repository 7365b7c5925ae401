import { isKind, withPart, type Circuit, type PartOf } from '../../circuit/circuit';
import { candidate, shorted, type Candidate, type FaultContext } from './fault';

/** Ohms of a leg that only touches, or of a joint that never flowed. */
const LOOSE_OHMS = 1000;

/** A resistor bridged, of another value, or with a leg that hardly touches. */
export function resistorFaults({ circuit, drawer }: FaultContext, part: PartOf<'resistor'>): Candidate[] {
  const { ohms } = part.params;
  const here = { part: part.id };
  const wrong = (value: number, prior: number) =>
    candidate(
      'wrong-resistor',
      { ...here, ohms: value, wantedOhms: ohms },
      prior,
      valued(circuit, part, value),
    );
  const below = drawer.filter((value) => value < ohms * 0.99).slice(-2);
  const above = drawer.filter((value) => value > ohms * 1.01).slice(0, 2);
  return [
    candidate('resistor-shorted', here, 1, shorted(circuit, part)),
    wrong(ohms * 10, 0.8),
    wrong(ohms / 10, 0.8),
    wrong(ohms * 1000, 0.2),
    ...[...below, ...above].map((value) => wrong(value, 0.4)),
    candidate('loose-joint', { ...here, ohms: LOOSE_OHMS }, 0.2, valued(circuit, part, ohms + LOOSE_OHMS)),
  ];
}

/** Each two resistors of the kit in each other's place, where that makes a difference. */
export function resistorsExchanged(
  { circuit }: FaultContext,
  looked: readonly PartOf<'resistor'>[],
): Candidate[] {
  return looked.flatMap((part, i) =>
    looked
      .slice(i + 1)
      .flatMap((other) =>
        part.params.ohms === other.params.ohms
          ? []
          : [
              candidate(
                'resistors-exchanged',
                { part: part.id, other: other.id },
                0.4,
                valued(valued(circuit, part, other.params.ohms), other, part.params.ohms),
              ),
            ],
      ),
  );
}

function valued(circuit: Circuit, { id }: PartOf<'resistor'>, ohms: number): Circuit {
  return withPart(circuit, id, (part) =>
    isKind(part, 'resistor') ? { ...part, params: { ...part.params, ohms } } : part,
  );
}
