import { BOOSTED, finding, formatPercent, readFigure, refused, type Outcome } from '@/core';
import { SUPPLY_NAMES } from '@/messages/names';
import { slotsOf } from './slots';

const p = slotsOf('pulsed');

/** A share of the time: `40 %`, or `0.4`; `40` can only be per cent. */
export function readShare(typed: string): Outcome<number> {
  const percent = /^\s*([\d.,]+)\s*%\s*$/u.exec(typed);
  const figure = readFigure(percent ? percent[1]! : typed, undefined);
  if (!figure.ok) return figure;
  const value = percent || figure.value >= 1 ? figure.value / 100 : figure.value;
  const { low, high } = p.limits('duty');
  if (value >= low && value <= high) return { ...figure, value };
  return refused(finding('out-of-range', { name: 'A share of the time', value, low, high, unit: '' }));
}

const cell = p.choice(
  'cell',
  'Cell behind the booster',
  BOOSTED.map((kind) => [kind, SUPPLY_NAMES[kind].one] as const),
);
export const pulsed = p.say`Let one ${p.lamp('lamp')} lamp carry ${p.amps('amps', 'Mean current')} on average, from a booster that makes of one ${cell} pulses of ${p.volts('volts', 'Peak of the pulses')} for ${p.typed('duty', 'Share of the time', 5, formatPercent, readShare)} of the time, at ${p.figure('hertz', 'Rate of the pulses', 'A rate', 'Hz', 7)}, through ${p.figure('ohms', 'Ohms of the booster', 'The booster’s own resistance', 'Ω', 5)} of its own, ${p.values}.`;
