import { CONTROLLERS, formatPercent, formatQuantity, type MixSums } from '@/core';
import type { SumLine } from './sumLines';
import { listWords } from './stepWords';

const A = (amps: number) => formatQuantity(amps, 'A');

/** The colour of a mix: its name, or `a colour of its own`. */
export function mixName({ colour }: Pick<MixSums, 'colour'>): string {
  return colour === 'own' ? 'a colour of its own' : colour;
}

/** A mix in a line: `turquoise of red 0, green 255 and blue 118`. */
export function mixLine(mix: MixSums): string {
  return `${mixName(mix)} of ${listWords(mix.lamps.map(({ colour, step }) => `${colour} ${step}`))}`;
}

/** Each lamp’s mean as the share of its time times what it carries while it is on. */
export function mixLines({ board, lamps }: MixSums): SumLine[] {
  const { steps } = CONTROLLERS[board];
  return lamps.map(({ colour, step, peak, mean }) => ({
    name: `mean of ${colour}`,
    work: `${step} ÷ ${steps} × ${A(peak)}`,
    figure: step === 0 ? A(0) : A(mean),
  }));
}

export function mixTalk(mix: MixSums): string {
  const [first] = mix.lamps.filter(({ step }) => step > 0);
  const { steps } = CONTROLLERS[mix.board];
  const share = first
    ? `${first.step} of ${steps} steps: ${formatPercent(first.share)} of the time, and so a mean of ${A(first.mean)} out of ${A(first.peak)}`
    : 'all off';
  return `${mixLine(mix)}. ${first ? `${first.colour} is on for ${share}.` : ''} The eye does not count the three alike: of the light of white, green gives about two thirds and blue less than a tenth.`;
}

export function mixPath({ lamps }: MixSums): string {
  const [first] = lamps;
  return `Each colour has a way of its own: pin ${first!.pin} and ${first!.resistor} for ${first!.colour}. A pin gives all of its volts or none, some hundreds of times a second; the eye and the meter take the mean.`;
}

export function mixPredictions({ lamps, board }: MixSums): string[] {
  const { steps } = CONTROLLERS[board];
  const dim = lamps.find(({ step }) => step > 0 && step < steps) ?? lamps[0]!;
  return [
    `Pin ${dim.pin} is set to ${dim.step}: what does the meter read from it to ground, and does it ever stand at that?`,
    'All three at the same step: is that white? Which lamp has to be held back?',
    `The step of ${dim.colour} is halved: is its light half as bright to the eye?`,
  ];
}
