import type { Hertz, Seconds } from '../quantities/units';

/** A sound of one channel. */
export interface Sound {
  /** Samples a second. */
  readonly rate: Hertz;
  /** From −1 to 1. */
  readonly samples: Float32Array;
}

/** How long a sound lasts. */
export function lengthOf({ rate, samples }: Sound): Seconds {
  return samples.length / rate;
}

/**
 * A sound between its samples: the cubic through two of them with the slopes of their neighbours, so that it has no
 * corners; silent before its beginning and after its end.
 * Source: Catmull & Rom, A class of local interpolating splines, 1974.
 */
export function valueAt({ rate, samples }: Sound, time: Seconds): number {
  const place = time * rate;
  const i = Math.floor(place);
  const t = place - i;
  const a = samples[i - 1] ?? 0;
  const b = samples[i] ?? 0;
  const c = samples[i + 1] ?? 0;
  const d = samples[i + 2] ?? 0;
  return b + (t / 2) * (c - a + t * (2 * a - 5 * b + 4 * c - d + t * (3 * (b - c) + d - a)));
}

/** A stretch of a sound, from its sample at or before `from`. */
export function stretchOf({ rate, samples }: Sound, from: Seconds, seconds: Seconds): Sound {
  const first = Math.round(from * rate);
  return { rate, samples: samples.subarray(first, first + Math.ceil(seconds * rate)) };
}
