import { formatQuantity, type ChipNow, type ChipTimes, type Instant, type PinNow } from '@/core';
import { capital } from './grammar';
import { listWords } from './stepWords';

const V = (volts: number) => formatQuantity(Math.abs(volts) < 5e-4 ? 0 : volts, 'V', 2);
const S = (seconds: number) => formatQuantity(seconds, 's', 2);

/** One instant in sentences: what each capacitor does and until when, what each output does, which lamps are lit. */
export function instantWords(now: Instant, timing: readonly ChipTimes[]): string {
  const chips = now.chips.map((chip) =>
    chipWords(
      chip,
      timing.find((times) => times.chip === chip.chip),
      now.chips.length > 1,
    ),
  );
  const source = now.source
    ? `${now.source.part} ${now.source.volts > 0.1 ? `gives ${V(now.source.volts)}` : 'pauses'}.`
    : '';
  return [source, ...chips, lampWords(now)].filter(Boolean).join(' ');
}

function chipWords(chip: ChipNow, times: ChipTimes | undefined, several: boolean): string {
  const output = `The output${several ? ` of ${chip.chip}` : ''} is ${chip.up ? 'up' : 'down'}, ${V(chip.outputVolts)}.`;
  const { capacitor } = chip;
  if (!capacitor) return output;
  const stands = `${capacitor.part} ${wayWords(capacitor.way, chip, times)} and stands at ${V(capacitor.volts)}`;
  const turn =
    chip.next === undefined || capacitor.way === 'rests'
      ? ''
      : `; at ${V(capacitor.toward)} ${several ? chip.chip : 'the chip'} turns over, in ${S(chip.next)}`;
  return `${stands}${turn}. ${output}`;
}

function wayWords(
  way: NonNullable<ChipNow['capacitor']>['way'],
  chip: ChipNow,
  times: ChipTimes | undefined,
): string {
  if (way === 'rests') return 'rests';
  if (!times) return way;
  const { parts, form } = times;
  if (way === 'fills') return `fills through ${listWords([...(parts.ra ? [parts.ra] : []), parts.r])}`;
  if (form === 'one-shot') return 'is emptied';
  return form === 'standard'
    ? `empties through ${parts.r} into pin 7`
    : `empties through ${parts.r} into the output`;
}

function lampWords({ lamps }: Instant): string {
  const lit = lamps.filter(({ look }) => look !== 'dark');
  const dark = lamps.filter(({ look }) => look === 'dark').map(({ part }) => part);
  return [
    ...lit.map(({ part, amps }) => `${part} is lit, ${formatQuantity(amps, 'A')}.`),
    dark.length > 0 ? `${listWords(dark)} ${dark.length === 1 ? 'is' : 'are'} dark.` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** A pin of a chip as a line of a table: its name, what it sees, and what it therefore does. */
export function pinWords(pin: PinNow, amps: number): readonly [string, string, string] {
  const [sees, does] = SEES[pin.pin](pin, amps);
  return [`pin ${pin.number}, ${pin.pin}`, sees, does];
}

const SEES: Readonly<Record<PinNow['pin'], (pin: PinNow, amps: number) => readonly [string, string]>> = {
  threshold: ({ volts, against, acts }) => [
    `${V(volts)}, ${acts ? 'above' : 'below'} ⅔ of the supply (${V(against!)})`,
    acts ? 'turns it off' : 'does not turn it off yet',
  ],
  trigger: ({ volts, against, acts }) => [
    `${V(volts)}, ${acts ? 'below' : 'above'} ⅓ (${V(against!)})`,
    acts ? 'turns it on' : 'says nothing',
  ],
  reset: ({ volts, against, acts }) => [
    `${V(volts)}, ${acts ? 'below' : 'above'} ${V(against!)}`,
    acts ? 'holds the chip down' : 'lets it go',
  ],
  discharge: ({ volts, acts }) =>
    acts ? [`${V(volts)}: drawn to ground`, 'empties the capacitor'] : ['let go', 'lets it fill'],
  output: ({ volts, against, acts }, amps) => [
    acts ? `${V(against! - volts)} under the rail` : `${V(volts)} over ground`,
    flowWords(amps),
  ],
  control: ({ volts }) => [`${V(volts)}: the ⅔ itself`, 'kept quiet by its capacitor'],
};

function flowWords(amps: number): string {
  if (Math.abs(amps) < 1e-6) return 'nothing flows';
  return `${formatQuantity(Math.abs(amps), 'A')} ${amps > 0 ? 'out' : 'in'}`;
}

/** What each pin of the chip is for, as it is taught. */
export const PIN_JOBS: Readonly<Record<string, string>> = {
  ground: 'minus of the supply',
  trigger: 'below a third of the supply it turns the output up',
  output: 'up or down: it drives what hangs on it',
  reset: 'near ground it holds the output down, whatever the others say',
  control: 'the two thirds themselves; left alone, or kept quiet by 10 nF',
  threshold: 'above two thirds of the supply it turns the output down',
  discharge: 'joined to ground while the output is down, open while it is up',
  supply: 'plus of the supply',
};

/** Something that happens in a run, for its list. */
export interface Happening {
  readonly time: number;
  readonly words: string;
}

export function happened(words: readonly string[]): string {
  return capital(words.join(', '));
}
