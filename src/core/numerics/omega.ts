/** Looked up once: these stand in the innermost loops. */
const { exp, log } = Math;

/**
 * Wright omega on the real line: the y with y + ln y = z.
 * Two rounds of the fourth-order FSC correction reach full double precision.
 * Source: Lawrence, Corless & Jeffrey, ACM TOMS 38(3), 2012, algorithm 917.
 *
 * @param z any real number; below about -745 the result underflows to 0
 */
export function wrightOmega(z: number): number {
  if (z < -36) return exp(z);
  let y = start(z);
  for (let round = 0; round < 2; round++) {
    const residual = z - y - log(y);
    const one = 1 + y;
    const q = 2 * one * (one + (2 / 3) * residual);
    y *= 1 + (residual / one) * ((q - residual) / (q - 2 * residual));
  }
  return y;
}

function start(z: number): number {
  if (z < -2) return exp(z);
  if (z < 1 + Math.PI) {
    const d = z - 1;
    return 1 + d / 2 + (d * d) / 16 - (d * d * d) / 192;
  }
  return z - log(z);
}
