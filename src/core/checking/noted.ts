import type { Measured } from '../catalogue/meter';
import { accepted, type Outcome } from '../findings/finding';
import { parseQuantity } from '../quantities/parse';

const UNIT = { volts: 'V', amps: 'A', hertz: 'Hz', seconds: 's' } as const;
/** A bare number in a current column is in mA, as the column's head says. */
const BARE = { volts: 1, amps: 1e-3, hertz: 1, seconds: 1 } as const;
/** Flashes over seconds, as they were counted: `7/10`, `10 / 15.2 s`. */
const COUNTED = /^\s*(\d+)\s*\/\s*(\d+(?:[.,]\d+)?)\s*s?\s*$/u;

/** What is neither heard nor flashes. */
const NOTHING = /^\s*(no sound|silent|none|never)\s*$/iu;

/** Of these no meter shows thousands: a comma is the decimal one, however many digits follow. */
const NEVER_THOUSANDS: ReadonlySet<Measured> = new Set(['volts', 'amps', 'seconds']);

function commaAsPoint(typed: string, measured: Measured): string {
  return NEVER_THOUSANDS.has(measured) ? typed.replace(/^(\s*[+-]?\d+),(\d+)/u, '$1.$2') : typed;
}

/**
 * A reading as typed: its value, and the last digit that was noted, which tells the meter's range.
 *
 * @example noteReading('2.71', 'volts') // { ok: true, value: { value: 2.71, step: 0.01 } }
 * @example noteReading('silent', 'hertz') // { ok: true, value: { value: 0, step: 0 } }
 * @example noteReading('7/10', 'hertz') // { ok: true, value: { value: 0.7, step: 0 } }
 */
export function noteReading(typed: string, measured: Measured): Outcome<{ value: number; step: number }> {
  if (measured === 'hertz' && NOTHING.test(typed)) return accepted({ value: 0, step: 0 });
  const counted = measured === 'hertz' ? COUNTED.exec(typed) : null;
  if (counted) {
    const seconds = Number(counted[2]!.replace(',', '.'));
    if (seconds > 0) return accepted({ value: Number(counted[1]) / seconds, step: 0 });
  }
  const plain = commaAsPoint(typed, measured);
  const figure = parseQuantity(plain, UNIT[measured], BARE[measured]);
  if (!figure.ok) return figure;
  const number = /\d*[.,]?\d+/u.exec(plain)?.[0] ?? '';
  const decimals = /[.,](\d+)$/u.exec(number)?.[1]?.length ?? 0;
  const scale = parseQuantity(
    plain.replace(number, '1').replace(/^[-+]/u, ''),
    UNIT[measured],
    BARE[measured],
  );
  const step = scale.ok ? scale.value * 10 ** -decimals : 0;
  return accepted({ value: figure.value, step });
}

/**
 * A reading as it would be typed in its column, with every digit that was noted: the other way round.
 *
 * @param step the last digit, in SI; 0 for what was counted
 * @example typedReading({ value: 0.00885, step: 1e-5 }, 'amps') // '8.85'
 */
export function typedReading({ value, step }: { value: number; step: number }, measured: Measured): string {
  const scale = BARE[measured];
  if (step === 0) return String(Number((value / scale).toPrecision(3)));
  const decimals = Math.max(0, Math.round(-Math.log10(step / scale)));
  return (value / scale).toFixed(decimals).replace(/^-(0\.?0*)$/u, '$1');
}
