import type { Command } from 'commander';
import { formatOhms, formatPercent, SERIES_NAMES, seriesResistor } from '@/core';
import { Exit, print, valueOf } from './exit';
import { oneOf, quantityOption } from './input';

interface Options {
  supply: string;
  vf: string;
  amps: string;
  series: string;
  rule: string;
}

export function resistorCommand(program: Command): void {
  program
    .command('resistor')
    .description('the series resistor for one lamp, with one constant forward voltage')
    .requiredOption('--supply <volts>', 'volts of the supply')
    .requiredOption('--vf <volts>', 'forward volts of the lamp')
    .requiredOption('--amps <amps>', 'wanted current, for example 12mA')
    .option('--series <name>', `one of ${SERIES_NAMES.join(', ')}`, 'E12')
    .option('--rule <rule>', 'up or nearest', 'up')
    .action((options: Options) => {
      const supply = quantityOption('supply', options.supply, 'V');
      const vf = quantityOption('vf', options.vf, 'V');
      const amps = quantityOption('amps', options.amps, 'A');
      const series = oneOf('series', options.series, SERIES_NAMES);
      const rule = oneOf('rule', options.rule, ['up', 'nearest']);
      if (!(supply > 0) || !(vf > 0) || !(amps > 0))
        throw new Exit(2, '--supply, --vf and --amps must be above zero.');
      const found = valueOf(seriesResistor(supply, vf, amps, series, rule));
      const left = (supply - vf) / supply;
      const notes = [
        `${formatOhms(found.chosen)} gives ${formatPercent(found.amps / amps)} of the wanted current.`,
        ...(left < 0.2
          ? [
              `Only ${formatPercent(left)} of the supply is left for the resistor: small spreads move the current far.`,
            ]
          : []),
        ...(found.rating === undefined ? ['No rating up to 1 W keeps it below half load.'] : []),
      ];
      print({ ...found, notes });
    });
}
