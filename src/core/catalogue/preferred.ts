import type { Ohms } from '../quantities/units';

export const SERIES_NAMES = ['E3', 'E6', 'E12', 'E24', 'E48', 'E96'] as const;
export type SeriesName = (typeof SERIES_NAMES)[number];

const E24 = [
  1.0, 1.1, 1.2, 1.3, 1.5, 1.6, 1.8, 2.0, 2.2, 2.4, 2.7, 3.0, 3.3, 3.6, 3.9, 4.3, 4.7, 5.1, 5.6, 6.2, 6.8,
  7.5, 8.2, 9.1,
];

/** The values of one decade, 1 to below 10. Source: IEC 60063:2015 (E48 and E96 are 10^(i/n) at three digits). */
export function decade(series: SeriesName): readonly number[] {
  const n = Number(series.slice(1));
  if (n <= 24) return E24.filter((_, i) => i % (24 / n) === 0);
  return Array.from({ length: n }, (_, i) => Number((10 ** (i / n)).toFixed(2)));
}

/** All values of a series from 1 Ω to 10 MΩ, ascending. */
export function seriesValues(series: SeriesName): readonly Ohms[] {
  const values: number[] = [];
  for (let power = 0; power < 7; power++) {
    for (const step of decade(series)) values.push(Number((step * 10 ** power).toPrecision(3)));
  }
  return [...values, 1e7];
}

export interface Neighbours {
  /** Largest value at or below, if there is one. */
  readonly down?: Ohms;
  /** Smallest value at or above, if there is one. */
  readonly up?: Ohms;
  /** The one closer by ratio. */
  readonly nearest?: Ohms;
}

/**
 * The stocked values around a wanted one.
 *
 * @param values what there is, in any order
 * @param wanted ohms, positive
 * @example neighbours([270, 330], 291) // { down: 270, up: 330, nearest: 270 }
 */
export function neighbours(values: readonly Ohms[], wanted: Ohms): Neighbours {
  const slack = wanted * 1e-9;
  const below = values.filter((v) => v <= wanted + slack);
  const above = values.filter((v) => v >= wanted - slack);
  const down = below.length ? Math.max(...below) : undefined;
  const up = above.length ? Math.min(...above) : undefined;
  const nearest = closer(down, up, wanted);
  return {
    ...(down === undefined ? {} : { down }),
    ...(up === undefined ? {} : { up }),
    ...(nearest === undefined ? {} : { nearest }),
  };
}

function closer(down: Ohms | undefined, up: Ohms | undefined, wanted: Ohms): Ohms | undefined {
  if (down === undefined || up === undefined) return down ?? up;
  return wanted / down <= up / wanted ? down : up;
}
