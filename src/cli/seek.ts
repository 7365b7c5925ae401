import type { Command } from 'commander';
import { seek } from '@/core';
import { print, valueOf } from './exit';
import { numberOption, partField, readCircuit } from './input';

interface Options {
  vary: string;
  from: string;
  to: string;
  check: string;
  target: string;
}

export function seekCommand(program: Command): void {
  program
    .command('seek')
    .description('the value of one field at which a check of the file reads a target')
    .argument('<file>', 'circuit file, - for standard input')
    .requiredOption('--vary <part.field>', 'what may vary, for example R1.ohms or B1.volts')
    .requiredOption('--from <value>', 'where to look from')
    .requiredOption('--to <value>', 'and to; the first value on the way is given')
    .requiredOption('--check <id>', 'the check that is read')
    .requiredOption('--target <value>', 'what it is to read, in V or A')
    .action((file: string, options: Options) => {
      const { part, field } = partField('vary', options.vary);
      const wish = {
        part,
        field,
        from: numberOption('from', options.from, -1e12, 1e12),
        to: numberOption('to', options.to, -1e12, 1e12),
        check: options.check,
        target: numberOption('target', options.target, -1e12, 1e12),
      };
      print({ part, field, value: valueOf(seek(readCircuit(file), wish)) });
    });
}
