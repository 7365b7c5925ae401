import { withPart, type Circuit, type Part } from '../../circuit/circuit';
import { at, type FaultCode, type Mistake } from '../../parts/mistake';
import { sourceOf } from '../../circuit/source';
import type { FaultContext } from './fault';
import { lookedAt } from './looked';

/** Kinds of which a kit holds several that are told apart by their value alone. */
const TOLD_BY_VALUE: Readonly<
  Partial<Record<Part['kind'], { readonly code: FaultCode; readonly prior: number }>>
> = {
  resistor: { code: 'resistors-exchanged', prior: 0.4 },
  zener: { code: 'zeners-exchanged', prior: 0.6 },
};

/** Each two of a kind in each other's place, where that makes a difference. */
export function exchangedParts(context: FaultContext): Mistake[] {
  const looked = lookedAt(context);
  return looked.flatMap((one, i) => {
    const told = TOLD_BY_VALUE[one.kind];
    if (!told) return [];
    return looked
      .slice(i + 1)
      .filter((other) => other.kind === one.kind && !sameFigures(one, other))
      .map((other): Mistake => {
        const circuit = fitted(fitted(context.circuit, one, other), other, one);
        return { ...told, data: at(one, { other: other.id }), circuit };
      });
  });
}

/** A light sensor and the resistor that shares the supply with it, each in the other's arm of the divider. */
export function exchangedArms({ circuit }: FaultContext): Mistake[] {
  const ends = new Set(Object.values(sourceOf(circuit)?.pins ?? {}));
  const arms = circuit.parts.filter(
    (part) =>
      (part.kind === 'ldr' || part.kind === 'resistor') &&
      Object.values(part.pins).some((net) => ends.has(net)),
  );
  return arms.flatMap((sensor) => {
    if (sensor.kind !== 'ldr') return [];
    const inner = innerNet(sensor, ends);
    return arms
      .filter((other) => other.kind === 'resistor' && inner !== undefined && innerNet(other, ends) === inner)
      .map((other): Mistake => {
        const swapped = withPart(circuit, sensor.id, () => ({ ...sensor, pins: other.pins }));
        return {
          code: 'arms-exchanged',
          data: at(sensor, { other: other.id }),
          prior: 0.8,
          circuit: withPart(swapped, other.id, () => ({ ...other, pins: sensor.pins })),
        };
      });
  });
}

/** The end of an arm that lies on no end of the supply. */
function innerNet({ pins }: Part, ends: ReadonlySet<string>): string | undefined {
  return Object.values(pins).find((net) => !ends.has(net));
}

function sameFigures(one: Part, other: Part): boolean {
  return JSON.stringify(one.params) === JSON.stringify(other.params);
}

/** The circuit with the figures of another part of its kind in a part's place. */
function fitted(circuit: Circuit, place: Part, { params }: Part): Circuit {
  return withPart(circuit, place.id, (part) => ({ ...part, params }) as Part);
}
