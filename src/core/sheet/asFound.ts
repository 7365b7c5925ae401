import { z } from 'zod';
import { fitLamp } from '../answers/fitLamp';
import { LAMP_TYPES, LAMPS, type LampType } from '../catalogue/lamps';
import { meterSchema, type MeterFigures } from '../catalogue/meter';
import { expectedReadings } from '../checking/expected';
import { isKind, type Circuit, type Part } from '../circuit/circuit';
import { accepted, type Outcome } from '../findings/finding';
import type { Amps, Ohms, Volts } from '../quantities/units';
import type { SheetRequest } from './request';
import type { Sheet } from './sheet';

const lampMeasured = z.strictObject({
  volts: z.number().min(0.8).max(6),
  amps: z.number().min(1e-5).max(0.1),
});

/** What is known of one bench that the lesson does not say: it narrows what its build may read. */
export const benchContextSchema = z.strictObject({
  /** Resistors that are really fitted, by their names in the plan: the drawer had only these. */
  ohms: z.record(z.string().max(20), z.number().min(0.1).max(10e6)).default({}),
  /** Lamps of this batch as measured, by their sort. */
  lamps: z.partialRecord(z.enum(LAMP_TYPES), lampMeasured).default({}),
  /** Another meter than the class's. */
  meter: meterSchema.optional(),
});

export interface BenchContext {
  readonly ohms: Readonly<Record<string, Ohms>>;
  readonly lamps: Readonly<Partial<Record<LampType, { readonly volts: Volts; readonly amps: Amps }>>>;
  readonly meter?: MeterFigures | undefined;
}

/** Lamps of one batch still differ by so much, either way. A starting figure. */
const WITHIN_BATCH: Volts = 0.04;

export function isEmptyContext({ ohms, lamps, meter }: BenchContext): boolean {
  return Object.keys(ohms).length === 0 && Object.keys(lamps).length === 0 && !meter;
}

/** A circuit with what is really fitted on a bench; what the context names and the circuit has not is passed over. */
export function circuitAsFound(
  circuit: Circuit,
  sorts: Sheet['sorts'],
  { ohms, lamps }: BenchContext,
): Circuit {
  const fitted = (part: Part): Part => {
    const own = ohms[part.id];
    if (isKind(part, 'resistor') && own !== undefined)
      return { ...part, params: { ...part.params, ohms: own } };
    const sort = sorts[part.id];
    const measured = sort && lamps[sort];
    if (!isKind(part, 'led') || !measured) return part;
    const { vf } = fitLamp({ ...LAMPS[sort], ...part.params }, [measured]);
    return { ...part, params: { ...part.params, vf, vfLow: vf - WITHIN_BATCH, vfHigh: vf + WITHIN_BATCH } };
  };
  return { ...circuit, parts: circuit.parts.map(fitted) };
}

/**
 * A lesson as it stands on one bench: its bands and mistakes are worked out from what is really there.
 *
 * @returns refused where the circuit does not settle with these parts
 */
export function sheetAsFound(
  sheet: Sheet,
  request: SheetRequest,
  context: BenchContext,
): Outcome<{ readonly sheet: Sheet; readonly request: SheetRequest }> {
  const circuit = circuitAsFound(sheet.circuit, sheet.sorts, context);
  const meter = context.meter ?? request.meter;
  const draws = { ...request.draws, samples: sheet.expected.samples };
  const expected = expectedReadings(circuit, sheet.checkpoints, meter, draws);
  if (!expected.ok) return expected;
  return accepted({
    sheet: { ...sheet, circuit, expected: expected.value },
    request: { ...request, meter },
  });
}
