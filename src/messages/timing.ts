import {
  formatEntered,
  formatFarads,
  formatOhms,
  formatPercent,
  formatQuantity,
  type ChipTimes,
  type Helper,
  type TimingOption,
  type TimingReason,
} from '@/core';
import type { SumLine } from './sumLines';
import { listWords } from './stepWords';

const S = (seconds: number) => formatQuantity(seconds, 's', 3);
const V = (volts: number) => formatQuantity(volts, 'V', 3);
const F = (farads: number) => formatFarads(farads);

/** The working of one chip's time, line by line: wished, by the rule of thumb, solved, and why these differ. */
export function timingLines(chip: ChipTimes): SumLine[] {
  const { form, values, ideal, solved, lower, upper, parts } = chip;
  const { ra, r, farads } = values;
  const through = ra === undefined ? formatOhms(r) : `(${formatOhms(ra)} + ${formatOhms(r)})`;
  const single = form === 'one-shot';
  return [
    { name: 'wished', work: partsWords(parts), figure: wishWords(chip) },
    {
      name: single ? 'by the rule of thumb, lit' : 'by the rule of thumb, up',
      work: `${single ? '1.10' : '0.693'} × ${through} × ${F(farads)}`,
      figure: S(ideal.high),
    },
    ...(single
      ? []
      : [{ name: 'and down', work: `0.693 × ${formatOhms(r)} × ${F(farads)}`, figure: S(ideal.low) }]),
    { name: 'solved, up', work: turnWords(chip), figure: S(solved.high), strong: true },
    ...(single
      ? []
      : [
          {
            name: 'solved, down',
            work: `${V(upper)} back to ${V(lower)}`,
            figure: S(solved.low),
            strong: true,
          },
        ]),
    ...(solved.low > 0 && !single
      ? [
          {
            name: 'once round',
            work: `up for ${formatPercent(solved.high / (solved.high + solved.low))} of it`,
            figure: chip.hertz > 20 ? formatQuantity(chip.hertz, 'Hz', 4) : S(solved.high + solved.low),
          },
        ]
      : []),
    { name: 'why another than the rule says', work: reasonWords(chip.reason), figure: awayWords(chip) },
  ];
}

function partsWords(parts: ChipTimes['parts']): string {
  return `${listWords(Object.values(parts))} set it`;
}

function turnWords({ lower, upper, form }: ChipTimes): string {
  return form === 'one-shot' ? `from empty to ${V(upper)}` : `from ${V(lower)} to ${V(upper)}`;
}

function wishWords({ wanted }: ChipTimes): string {
  const { high, low, period } = wanted;
  const asked = (seconds: number) => formatEntered(seconds, 's');
  if (period !== undefined)
    return period < 0.05 ? formatEntered(1 / period, 'Hz') : `${asked(period)} a round`;
  return low === undefined ? asked(high!) : `${asked(high!)} up, ${asked(low)} down`;
}

/** By how much the solver's time is off the rule's. */
function awayWords({ ideal, solved, form }: ChipTimes): string {
  const [rule, own] =
    form === 'one-shot' ? [ideal.high, solved.high] : [ideal.high + ideal.low, solved.high + solved.low];
  const share = own / rule - 1;
  return Math.abs(share) < 5e-4
    ? 'the same'
    : `${formatPercent(Math.abs(share))} ${share > 0 ? 'longer' : 'shorter'}`;
}

/** A supply that gives way by less is as good as steady. */
const SAGS_VOLTS = 2e-3;

export function reasonWords(reason: TimingReason): string {
  switch (reason.why) {
    case 'output-short':
      return `the output stays ${V(reason.volts)} under the rail, so the last bit of the way up is slow`;
    case 'output-loaded':
      return `its lamps draw the output ${V(reason.volts)} under the rail`;
    case 'discharge-ohms':
      return `pin 7 empties to ${V(reason.volts)}, through ohms of its own${reason.sag > SAGS_VOLTS ? `, and the supply sags by ${V(reason.sag)} with the load` : ''}`;
    case 'fed-from-output':
      return `it fills from an output ${V(reason.volts)} under the rail, and does not start from empty`;
    case 'rounding':
      return 'it does not go round by itself';
  }
}

/** One pair of the drawer: `100 kΩ, 180 kΩ, 4.7 µF`. */
export function optionName({ ra, r, farads }: TimingOption): string {
  return [...(ra === undefined ? [] : [formatOhms(ra)]), formatOhms(r), F(farads)].join(', ');
}

const CAUTIONS: Readonly<Record<TimingOption['cautions'][number], (leaks: number) => string>> = {
  'low-ohms': () => 'below 1 kΩ: much discharge current',
  'high-ohms': () => 'above 1 MΩ: leakage moves it',
  leaks: (share) => `may leak ${formatPercent(share)} of its charging current`,
};

/** What is wrong with a pair of the drawer. */
export function cautionWords(caution: TimingOption['cautions'][number], leaks: number): string {
  return CAUTIONS[caution](leaks);
}

export function optionRemarks({ cautions, leaks, sameTime }: TimingOption, taken: boolean): string {
  return [
    ...(taken ? ['taken'] : sameTime ? ['same time constant'] : []),
    ...cautions.map((caution) => cautionWords(caution, leaks)),
  ].join('; ');
}

/** What a part is there for that neither sets a time nor guards a lamp. */
export const HELPER_WORDS: Readonly<Record<Helper['job'], string>> = {
  'pull-up': 'holds the trigger up while nobody presses',
  empties: 'lets the diode empty the second capacitor without asking too much of the first output',
  swing: 'sets how far the speaker swings; more ohms, quieter',
  coupling: 'passes what comes and goes, and keeps the steady half of it from the speaker',
  'quiet-supply': 'across the supply, close to the chip: it lends the current of every switching',
  'sets-light': 'beside the sensor: it sets the light at which the lamp switches',
  'sets-hush': 'beside the sensor: it sets the light below which the alarm sounds',
  'guards-base': 'guards the base where the sensor has few ohms',
  mixes: 'mixes one side of the sound with the other, and sets how loud it becomes',
  'lets-sound-in': 'lets sound pass, and keeps the steady voltage of the base from what plays',
  'feeds-back': 'feeds the base from the collector, so that both find their place by themselves',
  'loads-stage': 'turns the collector’s current into volts that swing',
  'keeps-highs-out': 'slows what comes: higher tones do not get past',
  'keeps-lows-out': 'passes what changes fast enough, and nothing steady',
  'drives-base': 'keeps the current into the base within bounds',
  'holds-off': 'holds the base at plus, so that the lamps are dark until sound pulls it down',
  'quiet-control': 'keeps the two thirds still',
};
