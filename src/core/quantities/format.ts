import type { Unit } from './units';

/** Narrow no-break space: value and unit never part at a line's end. */
export const THIN = '\u202f';
export const MINUS = '\u2212';

const STEPS: readonly (readonly [number, string])[] = [
  [1e9, 'G'],
  [1e6, 'M'],
  [1e3, 'k'],
  [1, ''],
  [1e-3, 'm'],
  [1e-6, 'µ'],
  [1e-9, 'n'],
  [1e-12, 'p'],
];

/**
 * A figure with its unit at sensible digits: `8.83 mA`, `4.7 kΩ`, `2.91 V`.
 *
 * @param value in SI base units
 * @param unit what it is counted in
 * @param digits significant digits kept
 */
export function formatQuantity(value: number, unit: Unit, digits = 3): string {
  if (unit === 's' && Math.abs(value) >= LONG_SECONDS && Number.isFinite(value))
    return longTime(value, digits);
  const { text, prefix } = engineering(value, unit, digits);
  return `${text}${THIN}${prefix}${unit}`;
}

/** Longer times are said in minutes, and from two hours on in hours. */
const LONG_SECONDS = 1000;

function longTime(seconds: number, digits: number): string {
  return Math.abs(seconds) < 7200
    ? `${significant(seconds / 60, digits)}${THIN}min`
    : `${significant(seconds / 3600, digits)}${THIN}h`;
}

/** A capacitor by its value, without needless zeros: `4.7 µF`. */
export function formatFarads(farads: number): string {
  return formatEntered(farads, 'F');
}

/**
 * What is printed on a ceramic or film capacitor: two figures and the zeros after them, in picofarads. Source: IEC 60062.
 *
 * @example capacitorCode(100e-9) // '104'
 */
export function capacitorCode(farads: number): string {
  const picofarads = Math.round(farads * 1e12);
  if (picofarads < 100) return String(picofarads);
  const zeros = Math.floor(Math.log10(picofarads)) - 1;
  return `${Math.round(picofarads / 10 ** zeros)}${zeros}`;
}

/** A figure as somebody entered it: no zeros that were never typed (`10 mA`, `4.8 V`). */
export function formatEntered(value: number, unit: Unit): string {
  const [scale, prefix] = stepFor(Math.abs(value), unit);
  return `${Number((value / scale).toPrecision(6)).toString()}${THIN}${prefix}${unit}`;
}

/** The same without the unit, for columns whose head names it; `scale` is what the head counts in (1e-3 for mA). */
export function formatPlain(value: number, scale = 1, digits = 3): string {
  return significant(value / scale, digits);
}

/** Less than a thousandth of the smallest prefix is what rounding leaves of nothing. */
const NOTHING = 1e-15;

function engineering(given: number, unit: Unit, digits: number): { text: string; prefix: string } {
  if (!Number.isFinite(given)) return { text: '–', prefix: '' };
  const value = Math.abs(given) < NOTHING ? 0 : given;
  const rounded = Math.abs(Number(value.toPrecision(digits)));
  const [scale, prefix] = stepFor(rounded, unit);
  return { text: significant(value / scale, digits), prefix };
}

/** Volts and seconds from 0.1 and ohms from 0.01 up keep their unit (0.29 V, as a meter shows it); pitches from 0.01 Hz and light from 0.01 lx up too; currents below 1 A go to mA. */
const KEEPS_UNIT_FROM: Readonly<Partial<Record<Unit, number>>> = {
  V: 0.1,
  m: 0.1,
  cd: 0.1,
  Ω: 0.01,
  Hz: 0.01,
  lx: 0.01,
  s: 0.1,
};

function stepFor(size: number, unit: Unit): readonly [number, string] {
  if (size === 0) return [1, ''];
  if (size >= (KEEPS_UNIT_FROM[unit] ?? 1) && size < 1000) return [1, ''];
  return STEPS.find(([scale]) => size >= scale * (1 - 1e-12)) ?? [1e-12, 'p'];
}

function significant(value: number, digits: number): string {
  if (value === 0 || Math.abs(value) < 1e-15) return '0';
  const whole = Math.abs(value) >= 10 ** digits;
  const text = whole
    ? Math.round(value).toString()
    : Number(value.toPrecision(digits)).toFixed(decimals(value, digits));
  return text.replace('-', MINUS);
}

function decimals(value: number, digits: number): number {
  const rounded = Math.abs(Number(value.toPrecision(digits)));
  return Math.max(0, digits - 1 - Math.floor(Math.log10(rounded)));
}

/** Ohms without needless zeros: `330 Ω`, `4.7 kΩ`, `1 MΩ`, `6.8 Ω`. */
export function formatOhms(ohms: number): string {
  const [scale, prefix] = stepFor(Math.abs(ohms), 'Ω');
  return `${Number((ohms / scale).toPrecision(4)).toString()}${THIN}${prefix}Ω`;
}

/** Whole percent, or one decimal below ten. */
export function formatPercent(fraction: number): string {
  const percent = fraction * 100;
  const text = Math.abs(percent) < 10 ? Number(percent.toFixed(1)).toString() : percent.toFixed(0);
  return `${text.replace('-', MINUS)}${THIN}%`;
}

/** Hours as people say them: `40 min`, `7.5 h`, `270 h`. */
export function formatHours(hours: number): string {
  if (!Number.isFinite(hours)) return '–';
  if (hours < 1) return `${Math.round(hours * 60)}${THIN}min`;
  return `${significant(hours, 2)}${THIN}h`;
}
