import { finding, refused, type Outcome, accepted } from '../findings/finding';
import type { Unit } from './units';

/** Powers of ten by prefix. */
const PREFIX: Readonly<Record<string, number>> = {
  p: -12,
  n: -9,
  u: -6,
  µ: -6,
  μ: -6,
  m: -3,
  k: 3,
  K: 3,
  M: 6,
  G: 9,
};

const SPELLINGS: Readonly<Record<string, Unit>> = {
  V: 'V',
  v: 'V',
  volt: 'V',
  volts: 'V',
  A: 'A',
  a: 'A',
  amp: 'A',
  amps: 'A',
  Ω: 'Ω',
  '\u2126': 'Ω',
  R: 'Ω',
  ohm: 'Ω',
  ohms: 'Ω',
  W: 'W',
  w: 'W',
  watt: 'W',
  watts: 'W',
  F: 'F',
  H: 'H',
  s: 's',
  sec: 's',
  Hz: 'Hz',
  hz: 'Hz',
  lx: 'lx',
  lux: 'lx',
  Ah: 'Ah',
  cd: 'cd',
};

/** A metre has the letter of a prefix: lengths are read by themselves. */
const LENGTH = /^([pnuµμmckKMG]?)m$/u;

const NUMBER = /^([+-]?(?:\d+(?:[.,]\d*)?|[.,]\d+)(?:[eE][+-]?\d+)?)\s*(.*)$/u;
/** `4k7`, `4R7`, `2V2`, `1M5`: the prefix or unit stands where the decimal point would. */
const LETTER_POINT = /^([+-]?\d+)([pnuµμmkKMGRVΩ\u2126])(\d+)(.*)$/u;

interface Parsed {
  value: number;
  unit?: Unit;
}

/**
 * Reads a figure the way the trade writes it.
 *
 * @param text what was typed: `4k7`, `22m`, `0.47u`, `9V`, `22 mA`, `2,71`
 * @param unit the SI unit that is expected
 * @param bareScale what a number with neither prefix nor unit is multiplied by (1e-3 in a mA column)
 * @returns the value in SI, or a refusal that carries the text as typed
 * @example parseQuantity('4k7', 'Ω') // { ok: true, value: 4700 }
 */
export function parseQuantity(text: string, unit: Unit, bareScale = 1): Outcome<number> {
  const typed = text.trim();
  if (typed === '') return refused(finding('empty-figure', { unit }));
  // Nobody marks thousands of nothing: 0,703 is a decimal comma.
  if (/^[+-]?(?!0)\d{1,3},\d{3}\b/u.test(typed)) {
    return refused(finding('ambiguous-comma', { typed, unit }));
  }
  const parsed = (unit === 'm' ? length(typed) : letterPoint(typed)) ?? plain(typed, bareScale);
  if (!parsed || !Number.isFinite(parsed.value)) {
    return refused(finding('not-a-figure', { typed, unit }));
  }
  if (parsed.unit && parsed.unit !== unit) {
    return refused(finding('wrong-unit', { typed, given: parsed.unit, unit }));
  }
  return accepted(parsed.value);
}

function letterPoint(typed: string): Parsed | undefined {
  const found = LETTER_POINT.exec(typed.replace(/\s+/gu, ''));
  if (!found) return undefined;
  const [, whole = '', letter = '', fraction = '', rest = ''] = found;
  const unit = SPELLINGS[letter] ?? (rest === '' ? undefined : SPELLINGS[rest]);
  if (rest !== '' && SPELLINGS[rest] === undefined) return undefined;
  // 5V2A names volts and amps: it is no figure of either.
  if (rest !== '' && SPELLINGS[letter] && SPELLINGS[letter] !== SPELLINGS[rest]) return undefined;
  const value = raised(`${whole}.${fraction}`, PREFIX[letter] ?? 0);
  return unit ? { value, unit } : { value };
}

function length(typed: string): Parsed | undefined {
  const [, digits = '', tail = ''] = NUMBER.exec(typed) ?? [];
  const prefix = LENGTH.exec(tail.trim())?.[1];
  if (prefix === undefined) return undefined;
  const power = prefix === 'c' ? -2 : (PREFIX[prefix] ?? 0);
  return { value: raised(digits.replace(',', '.'), power), unit: 'm' };
}

function plain(typed: string, bareScale: number): Parsed | undefined {
  const found = NUMBER.exec(typed);
  if (!found) return undefined;
  const digits = (found[1] ?? '').replace(',', '.');
  const value = Number(digits);
  const tail = (found[2] ?? '').trim();
  if (tail === '') return { value: value * bareScale };
  const whole = SPELLINGS[tail];
  if (whole) return { value, unit: whole };
  const power = PREFIX[tail.charAt(0)];
  const rest = tail.slice(1).trim();
  if (power === undefined) return undefined;
  if (rest === '') return { value: raised(digits, power) };
  const unit = SPELLINGS[rest];
  return unit ? { value: raised(digits, power), unit } : undefined;
}

/** Digits times a power of ten, rounded once: 22m is 0.022 and not 0.022000000000000002. */
function raised(digits: string, power: number): number {
  return /e/iu.test(digits) ? Number(digits) * 10 ** power : Number(`${digits}e${power}`);
}
