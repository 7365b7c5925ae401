import {
  formatEntered,
  formatQuantity,
  VALUED,
  type Built,
  type BuiltDifference,
  type LampFigures,
} from '@/core';
import { lampName } from './names';
import { KIND_NAMES } from './parts';

/** A sender's part that is another one here, with what it carries on either side. */
export function differenceWords({ part, kind, sent, here }: BuiltDifference): string {
  const name = `${KIND_NAMES[kind]} ${part}`;
  if (!here) return `The sender’s build has a ${name}${figures(sent!)}; the one worked out here has none.`;
  if (!sent) return `The build worked out here has a ${name}${figures(here)}; the sender’s has none.`;
  const [was, is] = [valueWords(sent), valueWords(here)];
  const [before, now] = [formatQuantity(sent.amps, 'A'), formatQuantity(here.amps, 'A')];
  if (was === is) return `${part} carries ${now} here; at the sender’s it carries ${before}.`;
  return `${part} is ${is} here and carries ${now}; the sender’s is ${was} and carries ${before}.`;
}

function valueWords({ kind, value }: Built): string {
  const valued = VALUED[kind];
  return valued && value !== null ? formatEntered(value, valued.unit) : '';
}

function figures(built: Built): string {
  const value = valueWords(built);
  return `${value ? ` of ${value}` : ''} that carries ${formatQuantity(built.amps, 'A')}`;
}

/** A sort of lamp whose figures the sender's store has otherwise. */
export function lampDifferenceWords(sent: LampFigures, own: LampFigures): string {
  return `The sender’s ${lampName(sent.type)} lamp has ${formatQuantity(sent.vf, 'V')} at ${formatQuantity(sent.at, 'A')}, the one in this store ${formatQuantity(own.vf, 'V')} at ${formatQuantity(own.at, 'A')}: the sums here use this store’s.`;
}
