import {
  formatFarads,
  formatOhms,
  formatPercent,
  formatQuantity,
  LIT_AMPS,
  partOf,
  type Sheet,
  type SoundBand as Band,
  type SoundChannel,
  type SoundSums,
  type TestSound,
  sumsIn,
} from '@/core';
import { lampCurrent } from './light';
import { listed } from './grammar';
import { listWords } from './stepWords';
import type { SumLine } from './sumLines';

const V = (volts: number) => formatQuantity(volts, 'V', 3);
const H = (hertz: number) => formatQuantity(hertz, 'Hz', 2);
const F = (farads: number) => formatFarads(farads);

/** A channel after `the`. */
export const BAND_WORDS: Readonly<Record<Band, string>> = { low: 'low', middle: 'middle', high: 'high' };
/** What of music it is, as people say it. */
export const BAND_HEARD: Readonly<Record<Band, string>> = { low: 'bass', middle: 'voice', high: 'cymbals' };

/** A tone as it is asked for: `a tone of 80 Hz`, or silence. */
export function toneWords(hertz: number): string {
  return hertz > 0 ? `a tone of ${H(hertz)}` : 'silence';
}

/** The first stage, line by line. */
export function stageLines({ level, stage }: SoundSums): SumLine[] {
  const { transistor, load, loadOhms, mixOhms, feedOhms, supplyVolts, volts, baseVolts, amps, swing } = stage;
  const largest = Math.max(...Object.values(swing));
  return [
    {
      name: 'in silence through the load',
      work: `(${V(supplyVolts)} − ${V(volts)}) ÷ ${formatOhms(loadOhms)}`,
      figure: formatQuantity(amps, 'A', 3),
    },
    {
      name: `collector of ${transistor}`,
      work: `where ${load} and R3 leave it: (${V(volts)} − ${V(baseVolts)}) ÷ ${formatOhms(feedOhms)} feeds the base`,
      figure: V(volts),
      strong: true,
    },
    {
      name: 'both sides ask for',
      work: `2 × ${V(level)} × ${formatOhms(feedOhms)} ÷ ${formatOhms(mixOhms)}, were the gain of ${transistor} without end`,
      figure: V((2 * level * feedOhms) / mixOhms),
    },
    {
      name: 'it swings',
      work: `from lowest to highest, at the tones of the channels; the most that it can is ${V(supplyVolts)}`,
      figure: V(largest),
    },
  ];
}

/** What lets a tone through to a channel, corner by corner. */
export function cornerLines({ from, to }: SoundChannel): SumLine[] {
  const line = (name: string, corner: NonNullable<SoundChannel['from']>): SumLine => ({
    name,
    work: `1 ÷ (2π × ${formatOhms(corner.ohms)} × ${F(corner.farads)}), by ${listWords([...corner.resistors, corner.capacitor])}${corner.wished === undefined ? '' : `; wished: ${H(corner.wished)}`}`,
    figure: H(corner.hertz),
  });
  return [...(from ? [line('lets through from', from)] : []), ...(to ? [line('and up to', to)] : [])];
}

/** How a channel's lamps look at each tone. */
export function channelLook(amps: number): string {
  return amps < 2e-5 ? 'dark' : amps < LIT_AMPS ? `glow, ${lampCurrent(amps)}` : `lit, ${lampCurrent(amps)}`;
}

export function soundPath({ stage, channels, lead }: SoundSums): string {
  const switches = listWords(channels.map(({ transistor }) => transistor));
  return `The sound’s way: from ${lead} through R1 and R2, which mix both sides, and C1 to the base of ${stage.transistor}. Its collector is the sound hub: from there it goes on three ways at once, through each channel’s filter to the base of ${switches}. The lamps’ way: out of plus, through such a transistor, two lamps and their resistor, back to minus.`;
}

export function soundTalk({ stage, channels }: SoundSums): string {
  const [low, middle, high] = channels;
  return `In silence the hub stands at ${V(stage.volts)}, and no capacitor lets a steady voltage pass: every base is held at plus, and all is dark. A tone makes the hub swing by ${V(Math.max(...Object.values(stage.swing)))}; whatever of it gets through a filter pulls that base down by 0.65 V and more, once in every swing. Tones near ${H(low!.tone)} get through to ${low!.transistor}, near ${H(middle!.tone)} to ${middle!.transistor}, near ${H(high!.tone)} to ${high!.transistor}.`;
}

export function soundPredictions({ channels }: SoundSums): string[] {
  const [low, middle, high] = channels;
  return [
    `A tone of ${H(low!.tone)} is played, then ${H(middle!.tone)}, then ${H(high!.tone)}: which lamps light at which?`,
    `${middle!.from!.capacitor} is pulled out: what do the middle lamps do? And if a wire stands in its place?`,
    'The music is turned up until it sounds torn: which lamps light then that should not, and why?',
  ];
}

/** The lesson in a line: `lamps that follow bass, voice and cymbals, parted at 250 Hz and 2.5 kHz`. */
export function soundLine({ channels }: SoundSums): string {
  return `lamps for ${listWords(channels.map(({ band }) => BAND_HEARD[band]))}, tried at ${listWords(channels.map(({ tone }) => H(tone)))}`;
}

/** What is seen at each tone, as the card and the students’ sheet say it. */
export function soundSeen({ channels }: SoundSums): SumLine[] {
  return channels.map(({ band, tone, lamps, at, peak }) => ({
    name: listWords(lamps),
    work: `${BAND_WORDS[band]} channel, at ${H(tone)}: on for a part of every swing, ${formatQuantity(peak, 'A', 2)} at most`,
    figure: formatQuantity(at[band], 'A'),
  }));
}

/** Where a part's leg goes to the hub, it is said: the row that all channels share. */
export function hubWords(part: string, { circuit, sums }: Sheet): string {
  const sound = sumsIn(sums, 'sound')?.sound;
  if (!sound || !Object.values(partOf(circuit, part)?.pins ?? {}).includes('hub')) return '';
  return ` One leg is on the sound hub, the collector of ${sound.stage.transistor}.`;
}

/** A channel's parts in the order in which sound passes them. */
function channelParts({ from, to, pull, transistor, lamps, resistor }: SoundChannel): string[] {
  const filter = [...(to?.resistors ?? []), ...(to ? [to.capacitor] : []), from!.capacitor];
  return [...filter, ...(to ? [] : from!.resistors.slice(0, 1)), pull.part, transistor, ...lamps, resistor];
}

/** Of a channel's transistor: that its channel is the same again, and what is not. */
export function channelAgain(part: string, { sums }: Sheet): string {
  const channels = sumsIn(sums, 'sound')?.sound.channels ?? [];
  const at = channels.findIndex(({ transistor }) => transistor === part);
  const [own, first] = [channels[at], channels[0]];
  if (!own || !first || at === 0) return '';
  const names = `${listed(channelParts(own))} in the places of ${listed(channelParts(first))}`;
  return own.to
    ? `The ${BAND_WORDS[own.band]} channel is the same as the ${BAND_WORDS[first.band]} one with other values: ${names}. `
    : `The ${BAND_WORDS[own.band]} channel is like the ${BAND_WORDS[first.band]} one without a capacitor to plus, and its own comes before its resistor: ${names}. `;
}

/** What the finished build does at the tones of the channels after the first, and in silence. */
export function otherTones({ channels }: SoundSums): string {
  const then = channels
    .slice(1)
    .map(({ tone, band, lamps, at }) =>
      at[band] >= LIT_AMPS
        ? `at ${H(tone)} ${listWords(lamps)} light`
        : `at ${H(tone)} ${listWords(lamps)} stay dim`,
    );
  return `Then play the others: ${listed(then)}; in silence all are dark.`;
}

/** The sounds that are made here. */
export const SOUND_WORDS: Readonly<Record<TestSound, string>> = {
  sweep: 'a tone that climbs from 30 Hz to 12 kHz',
  'bass-beat': 'a beat with bass, voice and rattle',
  speech: 'noise that rises and falls like speech',
};

/** How loud it is played, beside what was meant. */
export function loudnessWords(share: number): string {
  return share === 1 ? 'as loud as is meant' : `${formatPercent(share)} as loud`;
}
