import { performance } from 'node:perf_hooks';

export interface Line {
  readonly work: string;
  readonly figure: string;
}

/** Median milliseconds of one run, after warming up. */
export function median(run: () => void, rounds = 25, warm = 8): number {
  for (let i = 0; i < warm; i++) run();
  const times = Array.from({ length: rounds }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  }).sort((a, b) => a - b);
  return times[Math.floor(rounds / 2)]!;
}

/** The same for work too short to time alone: each round runs it `times` times. */
export function medianOfMany(run: () => void, times: number): number {
  const many = () => {
    for (let i = 0; i < times; i++) run();
  };
  return median(many) / times;
}

export function ms(value: number): string {
  return value < 0.1 ? `${(value * 1000).toFixed(2)} µs` : `${value.toFixed(1)} ms`;
}
