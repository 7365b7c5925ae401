import type { Command } from 'commander';
import { run, RUN_DEFAULTS } from '@/core';
import { Exit, print, valueOf } from './exit';
import { quantityOption, readCircuit, wholeOption } from './input';

interface Options {
  for: string;
  settle: string;
  samples: string;
}

export function runCommand(program: Command): void {
  program
    .command('run')
    .description('the circuit over time: samples, cycles of every timer output, and true means')
    .argument('<file>', 'circuit file, - for standard input')
    .requiredOption('--for <time>', 'seconds to follow, for example 2s or 500ms')
    .option('--settle <time>', 'seconds before cycles are counted and means taken', '0s')
    .option('--samples <count>', 'evenly spaced instants, both ends included', String(RUN_DEFAULTS.samples))
    .action((file: string, options: Options) => {
      const seconds = quantityOption('for', options.for, 's');
      const settle = quantityOption('settle', options.settle, 's');
      if (!(seconds > 0)) throw new Exit(2, '--for must be above zero.');
      if (!(settle >= 0 && settle < seconds))
        throw new Exit(2, '--settle must be from 0 to less than --for.');
      const samples = wholeOption('samples', options.samples, 2, 10_000_000);
      const { time, nodes, parts, cycles, means } = valueOf(
        run(readCircuit(file), { seconds, settle, samples }),
      );
      print({
        time: [...time],
        nodes: mapped(nodes, (volts) => [...volts]),
        parts: mapped(parts, ({ amps }) => ({ amps: [...amps] })),
        cycles,
        means,
      });
    });
}

function mapped<T, U>(record: Readonly<Record<string, T>>, change: (value: T) => U): Record<string, U> {
  return Object.fromEntries(Object.entries(record).map(([name, value]) => [name, change(value)]));
}
