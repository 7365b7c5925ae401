import type { Command } from 'commander';
import { thresholds } from '@/core';
import { print, valueOf } from './exit';
import { quantityOption, readCircuit } from './input';

interface Options {
  supply: string;
  amps: string;
  from: string;
  to: string;
}

export function gaugeCommand(program: Command): void {
  program
    .command('gauge')
    .description('the supply volts at which each lamp of the circuit reaches a current')
    .argument('<file>', 'circuit file, - for standard input')
    .option('--supply <part>', 'the supply that varies', 'B1')
    .option('--amps <amps>', 'the current that counts as lit', '1mA')
    .option('--from <volts>', 'lowest supply', '0 V')
    .option('--to <volts>', 'highest supply', '24 V')
    .action((file: string, options: Options) => {
      const [amps, low, high] = [
        quantityOption('amps', options.amps, 'A'),
        quantityOption('from', options.from, 'V'),
        quantityOption('to', options.to, 'V'),
      ];
      print({ lamps: valueOf(thresholds(readCircuit(file), options.supply, amps, low, high)) });
    });
}
