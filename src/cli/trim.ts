import type { Command } from 'commander';
import { trimRange } from '@/core';
import { Exit, print, valueOf } from './exit';
import { numberOption, quantitiesOption, readCircuit } from './input';

interface Options {
  sensor: string;
  trim: string;
  check: string;
  target: string;
  stock: string;
}

export function trimCommand(program: Command): void {
  program
    .command('trim')
    .description('the range a trim resistor needs so that any sensor of the sort switches at the same light')
    .argument(
      '<file>',
      'circuit file with the sensor in the light of the switching point; - for standard input',
    )
    .requiredOption('--sensor <part>', 'the light-dependent resistor')
    .requiredOption('--trim <part>', 'the resistor that is trimmed')
    .requiredOption('--check <id>', 'the check that is read')
    .requiredOption('--target <value>', 'what it reads where the circuit switches, in V or A')
    .option('--stock <ohms>', 'potentiometers to choose from', '1k, 4k7, 10k, 22k, 47k, 100k, 220k, 470k, 1M')
    .action((file: string, options: Options) => {
      const circuit = readCircuit(file);
      const check = circuit.checks.find(({ id }) => id === options.check);
      if (!check) throw new Exit(2, `--check “${options.check}” is no check of the file.`);
      const target = numberOption('target', options.target, -1e12, 1e12);
      const stock = quantitiesOption('stock', options.stock, 'Ω');
      print(valueOf(trimRange(circuit, options.sensor, options.trim, check, target, stock)));
    });
}
