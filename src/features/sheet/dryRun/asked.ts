import { formatQuantity, type DryRun, type LampChange, type LampOutcome, type SoundChange } from '@/core';
import { CHANGE_WORDS, SOUND_WORDS } from '@/messages/dryRun';
import { thingName } from '@/messages/names';
import { everyWords } from '@/messages/often';

/** What is to be foretold of a mistake, and what may be answered. */
export interface Asked {
  readonly question: string;
  readonly options: readonly (readonly [value: LampChange | SoundChange, words: string])[];
  /** What it really does. */
  readonly actual: LampChange | SoundChange;
}

const STEADY: readonly LampChange[] = ['dark', 'dimmer', 'as before', 'brighter', 'ruined'];
const BLINKING: readonly LampChange[] = [
  'dark',
  'slower',
  'faster',
  'stays-lit',
  'dimmer',
  'as before',
  'brighter',
  'ruined',
];
const ONCE: readonly LampChange[] = [
  'dark',
  'shorter',
  'longer',
  'stays-lit',
  'dimmer',
  'as before',
  'brighter',
  'ruined',
];
const SOUNDS: readonly SoundChange[] = ['silent', 'lower', 'as before', 'higher'];

/** The sound of a lesson that has one, else the lamp that changes most, or the first. */
export function askedOf({ lamps, sound, data }: DryRun): Asked | undefined {
  if (sound) {
    return {
      question: `what does ${thingName('speaker', sound.part)} do? It sounds at ${formatQuantity(sound.before, 'Hz', 2)} now.`,
      options: SOUNDS.map((change) => [change, SOUND_WORDS[change]]),
      actual: sound.change,
    };
  }
  const lamp =
    lamps.find(({ part }) => part === data.part) ??
    lamps.find(({ change }) => change !== 'as before') ??
    lamps[0];
  if (!lamp) return undefined;
  const options = lamp.litFor ? ONCE : lamp.hertz?.before === undefined ? STEADY : BLINKING;
  return {
    question: `what does ${thingName('led', lamp.part)} do? ${nowWords(lamp)}`,
    options: [...options, ...(options.includes(lamp.change) ? [] : [lamp.change])].map((change) => [
      change,
      CHANGE_WORDS[change],
    ]),
    actual: lamp.change,
  };
}

/** What a lamp does in the right build. */
function nowWords({ before, hertz, litFor }: LampOutcome): string {
  const carries = `It carries ${formatQuantity(before, 'A')}`;
  if (litFor) return `${carries} after a press, for ${formatQuantity(litFor.before, 's', 2)}.`;
  if (hertz?.before === undefined) return `${carries} now.`;
  return `${carries} while it is lit, ${everyWords(hertz.before)}.`;
}
