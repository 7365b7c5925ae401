import { BAND_DEFAULTS, type BandOptions, type Circuit, type Draws, type Outcome, type Slice } from '@/core';

/** Who draws: a worker, or the core itself. */
export interface Drawer {
  slice(circuit: Circuit, seed: number, from: number, to: number, all: number): Promise<Outcome<Slice>>;
  gather(circuit: Circuit, slices: readonly Slice[], options: BandOptions): Promise<Outcome<Draws>>;
}

export interface SharedDraws {
  /** Undefined when it was cancelled. */
  readonly outcome: Promise<Outcome<Draws> | undefined>;
  cancel(): void;
}

/** Draws handed out at a time: a few hundredths of a second's work. */
const AT_A_TIME = 1000;

/**
 * Shares the draws of a circuit out among workers. Each draw depends on the seed and its number alone, and the slices
 * are put together in their order, so the figures are those of one worker.
 *
 * @param onProgress share of the draws that are done, 0 to 1
 */
export function shareDraws(
  circuit: Circuit,
  given: Partial<BandOptions>,
  drawers: readonly Drawer[],
  onProgress: (share: number) => void,
): SharedDraws {
  const options = { ...BAND_DEFAULTS, ...given };
  const count = Math.ceil(options.samples / AT_A_TIME);
  const slices = new Array<Slice>(count);
  let next = 0;
  let done = 0;
  let cancelled = false;
  let refusal: Outcome<Draws> | undefined;

  const work = async (drawer: Drawer): Promise<void> => {
    while (next < count && !cancelled && !refusal) {
      const at = next++;
      const to = Math.min(options.samples, (at + 1) * AT_A_TIME);
      const slice = await drawer.slice(circuit, options.seed, at * AT_A_TIME, to, options.samples);
      if (!slice.ok) {
        refusal = slice;
        return;
      }
      slices[at] = slice.value;
      done++;
      if (!cancelled) onProgress(done / count);
    }
  };
  const outcome = Promise.all(drawers.map(work)).then(() => {
    if (cancelled) return undefined;
    return refusal ?? drawers[0]!.gather(circuit, slices, options);
  });
  return {
    outcome,
    cancel() {
      cancelled = true;
    },
  };
}
