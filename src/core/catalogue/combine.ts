import type { Ohms } from '../quantities/units';

export interface Pair {
  readonly how: 'series' | 'parallel';
  readonly first: Ohms;
  readonly second: Ohms;
  readonly ohms: Ohms;
}

/**
 * Two stocked values that together come closest to a wanted one without falling below it.
 *
 * @param values what there is; one value may be used twice
 * @param wanted ohms, positive
 * @example bestPair([100, 220], 200) // { how: 'series', first: 100, second: 100, ohms: 200 }
 */
export function bestPair(values: readonly Ohms[], wanted: Ohms): Pair | undefined {
  let best: Pair | undefined;
  const consider = (pair: Pair) => {
    if (pair.ohms >= wanted * (1 - 1e-9) && pair.ohms < (best?.ohms ?? Infinity) * (1 - 1e-9)) best = pair;
  };
  values.forEach((first, i) => {
    for (const second of values.slice(i)) {
      consider({ how: 'series', first, second, ohms: first + second });
      consider({ how: 'parallel', first, second, ohms: (first * second) / (first + second) });
    }
  });
  return best;
}
