import type { Command } from 'commander';
import { seriesValues, TIMER_FAMILIES, TIMING_FORMS, timingChoices } from '@/core';
import { Exit, print, valueOf } from './exit';
import { numberOption, oneOf, quantitiesOption, quantityOption } from './input';

interface Options {
  form: string;
  family: string;
  supply: string;
  period?: string;
  hertz?: string;
  duty?: string;
  resistors?: string;
  capacitors: string;
  capacitorTolerance: string;
}

/** Values of E12 that time well: 1 kΩ to 1 MΩ. */
const USUAL = seriesValues('E12').filter((ohms) => ohms >= 1e3 && ohms <= 1e6);

export function timingCommand(program: Command): void {
  program
    .command('timing')
    .description(
      'resistors and capacitors of a drawer for a wanted period, pitch, duty or pulse, closest first',
    )
    .requiredOption('--form <form>', TIMING_FORMS.join(', '))
    .requiredOption('--supply <volts>', 'volts of the supply')
    .option('--family <family>', TIMER_FAMILIES.join(' or '), 'bipolar')
    .option('--period <time>', 'period or pulse, for example 1.2s')
    .option('--hertz <pitch>', 'pitch instead of a period, for example 440Hz')
    .option('--duty <share>', 'share of the period that the output is high; standard form')
    .option('--resistors <ohms>', 'values to choose from, for example 1k,4k7,10k (E12 from 1k to 1M)')
    .option('--capacitors <farads>', 'values to choose from', '1n,10n,100n,1u,10u,100u')
    .option('--capacitor-tolerance <share>', 'how far capacitors lie from their value', '0.2')
    .action((options: Options) => {
      if ((options.period === undefined) === (options.hertz === undefined)) {
        throw new Exit(2, 'Give either --period or --hertz.');
      }
      const seconds =
        options.period === undefined
          ? 1 / quantityOption('hertz', options.hertz!, 'Hz')
          : quantityOption('period', options.period, 's');
      if (!(seconds > 0 && Number.isFinite(seconds)))
        throw new Exit(2, '--period and --hertz must be above zero.');
      const wish = {
        form: oneOf('form', options.form, TIMING_FORMS),
        family: oneOf('family', options.family, TIMER_FAMILIES),
        volts: quantityOption('supply', options.supply, 'V'),
        seconds,
        ...(options.duty === undefined ? {} : { duty: numberOption('duty', options.duty, 0, 1) }),
      };
      const tolerance = numberOption('capacitor-tolerance', options.capacitorTolerance, 0, 0.9);
      const drawer = {
        ohms: options.resistors === undefined ? USUAL : quantitiesOption('resistors', options.resistors, 'Ω'),
        capacitors: quantitiesOption('capacitors', options.capacitors, 'F').map((farads) => ({
          farads,
          tolerance,
        })),
        tolerance: 0.05,
      };
      print({ choices: valueOf(timingChoices(wish, drawer)) });
    });
}
