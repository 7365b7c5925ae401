import type { Command } from 'commander';
import { sweep } from '@/core';
import { Exit, print, valueOf } from './exit';
import { numberOption, partField, readCircuit, wholeOption } from './input';

interface Options {
  vary: string;
  from: string;
  to: string;
  steps: string;
  log?: boolean;
}

export function sweepCommand(program: Command): void {
  program
    .command('sweep')
    .description('solve with one field of one part going from one value to another')
    .argument('<file>', 'circuit file, - for standard input')
    .requiredOption('--vary <part.field>', 'what varies, for example B1.volts')
    .requiredOption('--from <value>', 'first value')
    .requiredOption('--to <value>', 'last value')
    .option('--steps <count>', 'points, both ends included', '101')
    .option('--log', 'space the points evenly by ratio')
    .action((file: string, options: Options) => {
      const { part, field } = partField('vary', options.vary);
      const from = numberOption('from', options.from, -1e12, 1e12);
      const to = numberOption('to', options.to, -1e12, 1e12);
      const steps = wholeOption('steps', options.steps, 1, 100_000);
      if (options.log && !(from * to > 0))
        throw new Exit(2, '--log wants --from and --to on one side of zero.');
      const plan = { part, field, from, to, steps, log: options.log ?? false };
      print(valueOf(sweep(readCircuit(file), plan)));
    });
}
