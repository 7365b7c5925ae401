import {
  formatQuantity,
  type Cause,
  type DryRun,
  type LampChange,
  type LampOutcome,
  type Lasting,
  type Ruin,
  type SoundChange,
} from '@/core';
import { causeWords } from './causes';
import { capital } from './grammar';
import { looksWords, thingName } from './names';
import { everyWords } from './often';
import { pointPhrase } from './points';

/** The change of a lamp as one would say it beforehand. */
export const CHANGE_WORDS: Readonly<Record<LampChange, string>> = {
  dark: 'goes dark',
  dimmer: 'gets dimmer',
  'as before': 'stays as it was',
  brighter: 'gets brighter',
  ruined: 'is ruined',
  slower: 'blinks slower',
  faster: 'blinks faster',
  'stays-lit': 'stays lit',
  'comes-and-goes': 'comes and goes',
  shorter: 'stays lit for a shorter time',
  longer: 'stays lit for longer',
};

/** The change of a sound likewise. */
export const SOUND_WORDS: Readonly<Record<SoundChange, string>> = {
  silent: 'is silent',
  lower: 'sounds lower',
  'as before': 'sounds as it did',
  higher: 'sounds higher',
};

/** What a lamp does after a mistake, with its figures. */
export function lampOutcomeWords(
  { part, after, brightness, change, hertz, litFor }: LampOutcome,
  type: string | undefined,
): string {
  const does = `${part} ${CHANGE_WORDS[change]}`;
  if (after < 1e-7) return `${does}: no current.`;
  const often = hertz?.after === undefined ? '' : `, ${everyWords(hertz.after)}`;
  const long = litFor?.after === undefined ? '' : `, for ${formatQuantity(litFor.after, 's', 2)}`;
  return `${does}: ${formatQuantity(after, 'A')}, ${looksWords(brightness, type)}${often}${long}.`;
}

const LASTING_WORDS: Readonly<Record<Lasting, string>> = {
  'at once': 'at once',
  seconds: 'within seconds',
  minutes: 'within minutes',
  weeks: 'early, after weeks instead of years',
};

export function ruinWords({ part, kind, how, lasting, figure }: Ruin): string {
  const when = LASTING_WORDS[lasting];
  const name = kind === 'led' ? part : capital(thingName(kind, part));
  switch (how) {
    case 'current':
      return `${name} carries ${lasting === 'weeks' ? '' : 'at least '}${formatQuantity(figure, 'A')} and fails ${when}.`;
    case 'reverse':
      return `${name} has ${formatQuantity(figure, 'V')} against its direction, more than it stands: it may be ruined.`;
    case 'heat':
      return `${name} turns ${formatQuantity(figure, 'W', 2)} into heat: it chars ${when}.`;
    case 'volts':
      return `${name} gets ${formatQuantity(figure, 'V')}, more than it stands: it fails ${when}.`;
    case 'shorted':
      return `${name} is as good as shorted, ${formatQuantity(figure, 'A')}: it gets hot ${when}. Disconnect it first.`;
  }
}

/** A mistake as it stands in the list to choose from. */
export function damageWords(run: Pick<DryRun, 'code' | 'data'>): string {
  const words = causeWords(run);
  return /^[a-z][a-z]/u.test(words) ? capital(words) : words;
}

type Why = (data: Cause['data'], run: DryRun) => string;

const BLOCKS = 'It lets current pass one way only: turned round it blocks, and nothing flows in its string.';
const NO_WAY = 'A ring that is open anywhere carries nothing: the current has no way round.';
const PAST = 'Current takes the way without ohms: it goes past the part, and the part gets no volts.';
const BOTH =
  'Two that look alike do different work: each now gives the other’s string what was not meant for it.';

/** Why a mistake does what it does, in one sentence. */
const WHY: Readonly<Record<Cause['code'], Why>> = {
  right: () => 'Everything is as planned.',
  'knob-elsewhere': () => 'The knob sets how many ohms are in the way, and with them the current.',
  'button-open': () => `${NO_WAY} The button closes it only while it is held.`,
  'switch-off': () => `${NO_WAY} The switch opens it until it is put on again.`,
  'supply-used': () => 'A used pack has fewer volts and more ohms of its own, so less current flows.',
  'lamp-reversed': () => BLOCKS,
  'lamp-open': () => NO_WAY,
  'lamp-shorted': () => PAST,
  'other-lamp': () =>
    'Another chip takes other volts for itself, and leaves the resistor more or less of them.',
  'other-common': () => 'All three of its lamps stand the wrong way round, and block.',
  'resistor-missing': () => NO_WAY,
  'resistor-shorted': () => 'Without its ohms nothing limits the current but the supply itself.',
  'wrong-resistor': ({ ohms = 0, wantedOhms = 0 }) =>
    ohms > wantedOhms
      ? 'More ohms for the same volts let less current through.'
      : 'Fewer ohms for the same volts let more current through.',
  'resistors-exchanged': () => BOTH,
  'loose-joint': () => 'A poor joint is a resistor that nobody planned, in series with the rest.',
  'zener-reversed': () => 'Forwards it conducts from under a volt on: it is a threshold no more.',
  'zeners-exchanged': () => BOTH,
  'part-missing': () => NO_WAY,
  'part-shorted': () => PAST,
  'part-reversed': () => BLOCKS,
  'wrong-capacitor': () => 'Ten times the capacitor takes ten times as long to fill, a tenth a tenth.',
  'pins-exchanged': () => 'Each leg now does the other’s work.',
  'chip-turned': () => 'Every pin sits where the one across the middle was meant to be.',
  'chip-shifted': () =>
    'Every pin sits where the next of its side was meant to be; the last ones lead nowhere.',
  'arms-exchanged': () =>
    'The divider stands on its head: what was to rise with the light now falls with it.',
  'pin-lead-astray': () =>
    'The program sets a pin that nothing hangs on, and leaves alone the one with the lead.',
  'pin-leads-exchanged': () =>
    'The program knows its pins, not its lamps: each lamp now has the other’s rows.',
  'pin-leads-shifted': () => 'Each lamp has the rows of its neighbour, and one has none.',
  'program-other-pin': () => 'The program sets a pin that nothing hangs on.',
  'pin-no-output': () =>
    'A pin that is no output is held up by some tens of kilohms inside the chip: next to nothing flows.',
  'supply-tired': () => 'A tired pack has fewer volts, and what is missing is missing at the resistor.',
  'lead-off': () => NO_WAY,
  'cell-reversed': () => 'A turned cell takes away its own volts, and those of another.',
  'supply-reversed': () => 'The current would have to flow backwards, and lamps do not let it.',
  'supply-dead': () => 'Nothing pushes.',
  'bad-contact': () => 'A bad contact is a resistor that nobody planned, in series with everything.',
  'supply-limited': () => 'In its limit a bench supply holds the current and lets its volts fall.',
  'jumper-missing': () => NO_WAY,
  'rail-gap': () => `${NO_WAY} The rail ends in the middle of the board.`,
  'legs-touching': () => 'Two bare legs that touch are one piece of metal, and so is all that hangs on them.',
  'leg-astray': () => 'A leg in another hole is joined to whatever is in its row, and to nothing of its own.',
  'cut-missing': () => 'Copper that was to be two points of the circuit is still one.',
  bridge: () => 'Two points of the circuit have become one.',
  'tape-torn': () => NO_WAY,
  'probes-swapped': () => 'The build is right: the meter counts from the black probe to the red one.',
  'volts-through-current-jack': (_data, { where }) =>
    `In the current jack the meter is a fuse and a shunt, nearly a wire${where ? `: held ${pointPhrase(where)} it takes the part out of the circuit` : ''}. It is the most dangerous slip of all.`,
  'fuse-blown': () => 'The ring is closed through the meter, and its fuse is open.',
  'meter-across-lamp': () =>
    'On its current range the meter is nearly a wire: across the lamp it takes the lamp’s current.',
  'something-else': () => 'Nobody knows yet.',
};

export function whyWords(run: DryRun): string {
  return WHY[run.code](run.data, run);
}
