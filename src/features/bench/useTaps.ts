import { useRef, useState } from 'react';

/** Flashes that are timed: enough that a thumb's tenth of a second is little of them. */
export const TAPPED_FLASHES = 10;
/** Whoever has not tapped for so long has stopped. */
const PAUSE_MS = 12_000;

/**
 * Times flashes by taps: the first one starts the watch and counts nothing, the tenth after it stops it.
 *
 * @param onTimed seconds of ten flashes
 */
export function useTaps(onTimed: (seconds: number) => void) {
  const [counted, setCounted] = useState<number>();
  const started = useRef(0);
  const last = useRef(0);
  const tap = () => {
    const now = performance.now();
    const begins = counted === undefined || now - last.current > PAUSE_MS;
    last.current = now;
    if (begins) {
      started.current = now;
      setCounted(0);
    } else if (counted + 1 < TAPPED_FLASHES) setCounted(counted + 1);
    else {
      setCounted(undefined);
      onTimed((now - started.current) / 1000);
    }
  };
  return { counted, tap };
}
