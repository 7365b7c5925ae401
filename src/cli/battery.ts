import type { Command } from 'commander';
import { batteryLifeOf, DIM_AMPS, SUPPLY_KINDS } from '@/core';
import { print, valueOf } from './exit';
import { oneOf, quantityOption, readCircuit, wholeOption } from './input';

interface Options {
  supply: string;
  lamp: string;
  battery: string;
  cells: string;
  dim: string;
}

export function batteryCommand(program: Command): void {
  program
    .command('battery')
    .description('hours along the discharge until a lamp is dim and until the battery is empty')
    .argument('<file>', 'circuit file, - for standard input')
    .requiredOption('--battery <kind>', SUPPLY_KINDS.join(', '))
    .requiredOption('--lamp <part>', 'the lamp that must not get dim')
    .option('--supply <part>', 'the supply that stands for the battery', 'B1')
    .option('--cells <count>', 'cells in series', '1')
    .option('--dim <amps>', 'the current below which it is dim', `${DIM_AMPS * 1000}mA`)
    .action((file: string, options: Options) => {
      const kind = oneOf('battery', options.battery, SUPPLY_KINDS);
      const choice = { kind, cells: wholeOption('cells', options.cells, 1, 20), age: 'fresh' } as const;
      const dim = quantityOption('dim', options.dim, 'A');
      const life = valueOf(batteryLifeOf(readCircuit(file), options.supply, options.lamp, choice, dim));
      // JSON knows no infinity: what never comes is null.
      print({ toDim: finite(life.toDim), toEmpty: finite(life.toEmpty), points: life.points });
    });
}

function finite(hours: number | undefined): number | null {
  return hours !== undefined && Number.isFinite(hours) ? hours : null;
}
