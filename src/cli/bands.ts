import type { Command } from 'commander';
import { bands, DEFAULT_METER, judge, noteReading, readingAsNoted, type Band, type Measured } from '@/core';
import { Exit, print, valueOf } from './exit';
import { numberOption, readCircuit, wholeOption } from './input';

interface Options {
  samples: string;
  seed: string;
  coverage: string;
  check?: string[];
}

export function bandsCommand(program: Command): void {
  program
    .command('bands')
    .description('what each check of the circuit reads, from part to part')
    .argument('<file>', 'circuit file, - for standard input')
    .option('--samples <count>', 'drawn circuits', '20000')
    .option('--seed <number>', 'seed of the draws', '1')
    .option('--coverage <share>', 'share of the draws inside low and high', '0.95')
    .option('--check <id=value...>', 'a reading to be judged, for example "across R1=2.71"')
    .action((file: string, options: Options) => {
      const circuit = readCircuit(file);
      if (circuit.checks.length === 0)
        throw new Exit(2, 'circuit: checks is empty, so there is nothing to draw.');
      const drawn = valueOf(
        bands(circuit, {
          samples: wholeOption('samples', options.samples, 1, 10_000_000),
          seed: wholeOption('seed', options.seed, -2147483648, 4294967295),
          coverage: numberOption('coverage', options.coverage, 0.01, 0.9999),
        }),
      );
      const verdicts = verdictsOf(options.check ?? [], drawn.bands);
      print({
        checks: drawn.bands.map((band) => ({ ...band, ...verdicts.get(band.id) })),
        ...(drawn.unsettled > 0 ? { unsettled: drawn.unsettled } : {}),
      });
    });
}

function verdictsOf(given: readonly string[], all: readonly Band[]) {
  return new Map(
    given.map((text) => {
      const at = text.lastIndexOf('=');
      const [id, typed] = [text.slice(0, at), text.slice(at + 1)];
      const band = all.find((b) => b.id === id);
      if (at < 1 || !band) throw new Exit(2, `--check “${text}” must be ID=VALUE with a check of the file.`);
      const measured: Measured = band.unit === 'V' ? 'volts' : 'amps';
      const scale = band.unit === 'A' && /[\d.,]$/u.test(typed) ? `${typed} A` : typed;
      const { value, step } = valueOf(noteReading(scale, measured));
      const reading = readingAsNoted(DEFAULT_METER, measured, value, step, band.worstHigh);
      const { verdict, uncertainty } = judge(reading, band, DEFAULT_METER, measured);
      return [id, { reading: value, verdict, uncertainty }] as const;
    }),
  );
}
