import type { Look } from '@/core';
import type { BenchName } from '../standins/benches';
import { benchText } from '../standins/benchNamed';
import { readFigure } from '../standins/header';
import { withInstrument } from './lines';

/** What a bench takes at one setting of the supply, and how its lamps look. */
export interface SweptStep {
  readonly volts: number;
  readonly amps: number;
  readonly looks: Readonly<Record<string, Look>>;
}

/**
 * Turns a supply up step by step and notes what the bench takes.
 *
 * @param settings volts, from low to high
 */
export async function sweepBench(
  address: string,
  bench: BenchName,
  settings: readonly number[],
): Promise<SweptStep[]> {
  return withInstrument(address, async (line) => {
    line.tell(`*RST;:STAN:BENC ${benchText(bench)};:OUTP ON`);
    const steps: SweptStep[] = [];
    for (const setting of settings) {
      line.tell(`VOLT ${setting.toFixed(3)}`);
      const amps = readFigure(await line.ask('MEAS:CURR?'))?.value ?? Number.NaN;
      steps.push({ volts: setting, amps, looks: looksIn(await line.ask('STAN:SEEN?')) });
    }
    line.tell('OUTP OFF');
    return steps;
  });
}

function looksIn(text: string): Record<string, Look> {
  const pairs = text.split(',').map((one) => one.split(' '));
  return Object.fromEntries(pairs.flatMap(([lamp, look]) => (lamp && look ? [[lamp, look as Look]] : [])));
}
