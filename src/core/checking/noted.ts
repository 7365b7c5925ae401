import type { Measured } from '../catalogue/meter';
import { accepted, type Outcome } from '../findings/finding';
import { parseQuantity } from '../quantities/parse';

const UNIT = { volts: 'V', amps: 'A' } as const;
/** A bare number in a current column is in mA, as the column's head says. */
const BARE = { volts: 1, amps: 1e-3 } as const;

/**
 * A reading as typed: its value, and the last digit that was noted, which tells the meter's range.
 *
 * @example noteReading('2.71', 'volts') // { value: 2.71, step: 0.01 }
 */
export function noteReading(typed: string, measured: Measured): Outcome<{ value: number; step: number }> {
  const figure = parseQuantity(typed, UNIT[measured], BARE[measured]);
  if (!figure.ok) return figure;
  const number = /\d*[.,]?\d+/u.exec(typed)?.[0] ?? '';
  const decimals = /[.,](\d+)$/u.exec(number)?.[1]?.length ?? 0;
  const scale = parseQuantity(
    typed.replace(number, '1').replace(/^[-+]/u, ''),
    UNIT[measured],
    BARE[measured],
  );
  const step = scale.ok ? scale.value * 10 ** -decimals : 0;
  return accepted({ value: figure.value, step });
}
