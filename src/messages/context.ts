import { formatQuantity, type BenchContext } from '@/core';
import { lampName } from './names';

/** What is different on a bench, in one line: `R1 330 Ω, red lamps 2.05 V, “fine meter”`; nothing where nothing is. */
export function contextWords({ ohms, lamps, meter }: BenchContext): string {
  return [
    ...Object.entries(ohms).map(([part, value]) => `${part} ${formatQuantity(value, 'Ω')}`),
    ...Object.entries(lamps).map(
      ([sort, { volts }]) => `${lampName(sort)} lamps ${formatQuantity(volts, 'V')}`,
    ),
    ...(meter ? [`“${meter.name}”`] : []),
  ].join(', ');
}
