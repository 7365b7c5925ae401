import {
  apply,
  argument,
  call,
  Code,
  I64,
  less,
  num,
  over,
  size,
  sum,
  times,
  whole,
  type Local,
  type Value,
} from './code';

const [EXP, LOG, OMEGA] = [0, 1, 2] as const;

export const exp = (value: Value): Value => call(EXP, value);
export const log = (value: Value): Value => call(LOG, value);
/** Wright's omega: the y with y + ln y = z. */
export const omega = (value: Value): Value => call(OMEGA, value);

/** In the order of their numbers. */
export const FUNCTIONS: readonly (() => Code)[] = [writeExp, writeLog, writeOmega];

/** Where doubles end; what would be smaller is taken as the smallest. */
const [LOWEST, HIGHEST] = [-708, 709] as const;
/** ln 2 in two pieces, the first with trailing zeros so that whole multiples of it are exact. */
const LN2 = { high: 0.69314718036912381649, low: 1.90821492927058770002e-10 } as const;
const EXPONENT = {
  shift: 52n,
  bias: 1023n,
  mantissa: 0x000f_ffff_ffff_ffffn,
  one: 0x3ff0_0000_0000_0000n,
} as const;

/**
 * e^x = 2^k·e^r with |r| ≤ ln 2/2, and the series of e^r to its 13th power: what is left out is below 1e−17.
 * Source: Muller, Elementary Functions, 3rd edition, 11 (additive range reduction).
 */
function writeExp(): Code {
  const code = new Code(1);
  const x = code.keep(apply('max', num(LOWEST), apply('min', num(HIGHEST), argument.value))).value;
  const k = code.keep(apply('nearest', times(x, num(Math.LOG2E)))).value;
  const r = code.keep(less(x, times(k, num(LN2.high)), times(k, num(LN2.low)))).value;
  const factorials = [1];
  for (let n = 1; n <= 13; n++) factorials.push(factorials[n - 1]! * n);
  const series = horner(
    r,
    factorials.map((factorial) => 1 / factorial),
  );
  const power = apply(
    'shiftLeft',
    apply('addWhole', apply('toWhole', k), whole(EXPONENT.bias)),
    whole(EXPONENT.shift),
  );
  return code.put(times(series, apply('fromBits', power)));
}

/**
 * ln x = e·ln 2 + 2·artanh s with s = (m − 1)/(m + 1), m between √½ and √2; for x > 0.
 * Source: Muller, Elementary Functions, 3rd edition, 11; the series of artanh to its 21st power.
 */
function writeLog(): Code {
  const code = new Code(1);
  const bits = code.keep(apply('bitsOf', argument.value), I64).value;
  const exponent = apply(
    'fromWhole',
    apply('subtractWhole', apply('shiftRight', bits, whole(EXPONENT.shift)), whole(EXPONENT.bias)),
  );
  const mantissa = apply('orWhole', apply('andWhole', bits, whole(EXPONENT.mantissa)), whole(EXPONENT.one));
  const e = code.keep(exponent);
  const m = code.keep(apply('fromBits', mantissa));
  code.when(apply('more', m.value, num(Math.SQRT2)), () => {
    code.set(m, times(m.value, num(0.5)));
    code.set(e, sum(e.value, num(1)));
  });
  const s = code.keep(over(less(m.value, num(1)), sum(m.value, num(1)))).value;
  const square = code.keep(times(s, s)).value;
  const series = horner(
    square,
    Array.from({ length: 11 }, (_, n) => 2 / (2 * n + 1)),
  );
  return code.put(sum(times(e.value, num(LN2.low)), times(s, series), times(e.value, num(LN2.high))));
}

/** As `wrightOmega` of `omega.ts`, by the same source. */
function writeOmega(): Code {
  const code = new Code(1);
  const z = argument.value;
  const y = code.keep(num(0));
  const from = (value: Value) => () => {
    code.set(y, value);
    correctOmega(code, z, y);
    correctOmega(code, z, y);
  };
  code.when(
    apply('less', z, num(-36)),
    () => code.set(y, exp(z)),
    () =>
      code.when(apply('less', z, num(-2)), from(exp(z)), () =>
        code.when(apply('less', z, num(1 + Math.PI)), from(nearOne(code, z)), from(less(z, log(z)))),
      ),
  );
  return code.put(y.value);
}

/** One round of the fourth-order correction. */
function correctOmega(code: Code, z: Value, y: Local): void {
  const residual = code.keep(less(z, y.value, log(y.value))).value;
  const one = code.keep(sum(num(1), y.value)).value;
  const q = code.keep(times(num(2), one, sum(one, times(num(2 / 3), residual)))).value;
  const share = over(less(q, residual), less(q, residual, residual));
  code.set(y, times(y.value, sum(num(1), times(over(residual, one), share))));
}

/** So near that a parabola and one round of correction reach full precision. */
const NEARBY = 0.1;

/**
 * Omega at z, from its value at a place nearby where there is one.
 *
 * @param known omega at z − d, above 0; `d` not a number where there is none
 */
export function omegaFrom(code: Code, z: Value, known: Value, d: Value): Value {
  const y = code.keep(known);
  code.when(
    apply('less', size(d), num(NEARBY)),
    () => {
      const one = code.keep(sum(num(1), known)).value;
      const share = code.keep(over(d, one)).value;
      code.set(y, times(known, sum(num(1), share, over(times(num(0.5), share, share), one))));
      correctOmega(code, z, y);
    },
    () => code.set(y, omega(z)),
  );
  return y.value;
}

function nearOne(code: Code, z: Value): Value {
  const d: Local = code.keep(less(z, num(1)));
  return horner(d.value, [1, 1 / 2, 1 / 16, -1 / 192]);
}

/** A polynomial, its constant first. */
function horner(x: Value, terms: readonly number[]): Value {
  return terms.reduceRight<Value | undefined>(
    (above, term) => (above ? sum(num(term), times(x, above)) : num(term)),
    undefined,
  )!;
}
