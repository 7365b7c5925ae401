import { isGapped, isProbed } from '@/core';
import { madeUpBench, type BenchName } from './benches';
import { benchNamed } from './benchNamed';
import { FAULTS, figureText, isHeader, type Command } from './header';
import type { Instrument, Said } from './lineServer';

/** How it says what it is; only an instrument that says so is told where its probes are. */
export const STANDIN = 'Mivvet,stand-in';

const MEASURES = [
  { header: 'MEASure:VOLTage:DC', of: 'volts' },
  { header: 'MEASure:CURRent:DC', of: 'amps' },
  { header: 'MEASure:FREQuency', of: 'hertz' },
  { header: 'MEASure:PERiod', of: 'seconds' },
] as const;

/** A bench meter that measures made-up benches. A hand holds the probes of a real one; here a command says where they are. */
export function standInMeter(): Instrument {
  let bench: BenchName | undefined;
  let point = '';
  return async (command: Command): Promise<Said> => {
    const { header, asks, rest } = command;
    if (asks && header === '*idn') return { answer: `${STANDIN} meter,0,1` };
    if (!asks && header === '*rst') {
      bench = undefined;
      point = '';
      return undefined;
    }
    if (!asks && isHeader('STANdin:BENCh', header)) {
      bench = benchNamed(rest);
      return bench ? undefined : { fault: FAULTS.missing };
    }
    if (!asks && isHeader('STANdin:PROBe', header)) {
      point = rest.replace(/^"(.*)"$/u, '$1');
      return point ? undefined : { fault: FAULTS.missing };
    }
    const measure = asks && MEASURES.find((one) => isHeader(one.header, header));
    if (!measure) return { fault: FAULTS.undefinedHeader };
    return bench ? measured(bench, point, measure.of) : { fault: FAULTS.noData };
  };
}

async function measured(bench: BenchName, id: string, of: (typeof MEASURES)[number]['of']): Promise<Said> {
  const { shown, points } = await madeUpBench(bench);
  const at = points.findIndex((one) => one.id === id);
  const [point, figure] = [points[at], shown[at]];
  if (!point || !figure) return { fault: FAULTS.noData };
  const isOf = isProbed(point) ? 'volts' : isGapped(point) ? 'amps' : point.measure;
  if (isOf !== of) return { fault: FAULTS.noData };
  return { answer: figureText(figure.value, figure.step, of === 'amps' ? -3 : 0) };
}
