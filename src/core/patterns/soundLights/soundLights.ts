import { supplyFigures } from '../../catalogue/supplies';
import { playing } from '../../circuit/soundLead';
import { finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint, Held } from '../../observe/checkpoint';
import { GLOW_AMPS, LIT_AMPS } from '../../observe/looks';
import type { Goal } from '../goal';
import type { Design, Means, Pattern } from '../pattern';
import { bankOf } from '../steady/bank';
import { finish } from '../steady/finish';
import { circuitFrom, supplyPart } from '../steady/parts';
import type { Helper } from '../timed/figures';
import { supplyRefusals } from '../wishes';
import { channelsOf, LEAD, NAMES, stageParts, type BuiltChannel } from './circuit';
import { chosen, type Choice } from './choose';
import { BANDS, soundLightsParams, type Band, type SoundLightsParams } from './params';
import { sumsIn } from '../family';
import { soundSums, type SoundSums } from './sums';

/** Sound comes in, one transistor makes it large, and three channels each pick the tones that light their lamps. */
export const soundLights: Pattern<'sound-lights', SoundLightsParams> = {
  id: 'sound-lights',
  params: soundLightsParams,
  board: 'full',
  after: ['light-switch'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    lamps: { low: 'red', middle: 'yellow', high: 'blue' },
    amps: 0.01,
    level: 0.2,
    bounds: { low: 250, high: 2500 },
  }),
  design,
  goals: (sums) => soundGoals(sumsIn(sums, 'sound')?.sound),
};

/** A bound must lie this far above the other for three channels to fit. */
const BOUNDS_APART = 5;

function design(params: SoundLightsParams, means: Means): Outcome<Design> {
  const unfit = refusals(params);
  if (unfit.length > 0) return refused(...unfit);
  const { lamps, supply, amps } = params;
  const strings = BANDS.map((band) => [lamps[band], lamps[band]]);
  const bank = bankOf({ ...params, strings, amps, side: 'minus' }, means);
  if (!bank.ok) return bank;
  const choice = chosen(params, means);
  if (!choice.ok) return choice;
  const built = channelsOf(params, choice.value, bank.value.strings, means);
  const circuit = circuitFrom([
    supplyPart(supply),
    ...stageParts(params, choice.value, means),
    ...built.flatMap(({ parts }) => parts),
  ]);
  const { mix, feed, load } = choice.value;
  const sound = soundSums(
    circuit,
    {
      lead: LEAD,
      level: params.level,
      stage: { transistor: 'Q1', load: 'R4', loadOhms: load, mixOhms: mix, feedOhms: feed },
      channels: built.map(({ channel }) => channel),
    },
    params,
  );
  if (!sound.ok) return sound;
  const shows = Object.fromEntries(
    built.flatMap(({ channel }) => channel.lamps.map((lamp) => [lamp, playing(LEAD, channel.tone)])),
  );
  return finish(
    {
      circuit,
      supply,
      shows,
      sorts: Object.fromEntries(built.flatMap(({ sorts }) => Object.entries(sorts))),
      strings: built.map(({ string }) => string),
      checkpoints: checkpoints(sound.value),
      held: SILENT,
      findings: channelFindings(sound.value),
      own: { family: 'sound', sound: sound.value, helpers: helpersOf(choice.value, built) },
    },
    means,
  );
}

const SILENT: Held = playing(LEAD, 0);

function refusals({ supply, bounds: { low, high } }: SoundLightsParams): Finding[] {
  const unfit = supplyRefusals(supplyFigures(supply).volts);
  if (unfit.length > 0) return unfit;
  return high < BOUNDS_APART * low
    ? [finding('bounds-too-close', { low, high, nearest: BOUNDS_APART * low })]
    : [];
}

/** In silence where the stage and every base stand; at its own tone what each channel’s lamps get. */
function checkpoints({ channels }: SoundSums): Checkpoint[] {
  const across = (
    id: string,
    [part, kind, from, to]: readonly [string, Checkpoint['kind'], string, string],
    measure: 'volts' | 'meanVolts',
    held: Held,
  ): Checkpoint => ({
    id,
    part,
    kind,
    measure,
    from: { part, pin: from },
    to: { part, pin: to },
    held,
  });
  return [
    across('pack', ['B1', 'supply', 'plus', 'minus'], 'volts', SILENT),
    across('Q1', ['Q1', 'transistor', 'collector', 'emitter'], 'volts', SILENT),
    across('Q1 base', ['Q1', 'transistor', 'base', 'emitter'], 'volts', SILENT),
    ...channels.map(({ resistor, tone }) =>
      across(resistor, [resistor, 'resistor', 'a', 'b'], 'meanVolts', playing(LEAD, tone)),
    ),
    ...channels.map(({ resistor }) =>
      across(`${resistor} silent`, [resistor, 'resistor', 'a', 'b'], 'volts', SILENT),
    ),
    {
      id: 'current',
      part: 'B1',
      kind: 'supply',
      measure: 'amps',
      gap: { part: 'B1', pin: 'plus' },
      held: SILENT,
    },
  ];
}

/** What every part that is no lamp’s is there for. */
function helpersOf(choice: Choice, built: readonly BuiltChannel[]): Helper[] {
  const { mix, feed, load, input } = choice;
  return [
    { part: 'R1', ohms: mix, job: 'mixes' },
    { part: 'R2', ohms: mix, job: 'mixes' },
    { part: 'C1', farads: input.farads, job: 'lets-sound-in' },
    { part: 'R3', ohms: feed, job: 'feeds-back' },
    { part: 'R4', ohms: load, job: 'loads-stage' },
    ...built.flatMap(({ channel: { band, from, to, pull } }): Helper[] => [
      ...(to ? [{ part: NAMES[band].filter, ohms: to.ohms, job: 'keeps-highs-out' as const }] : []),
      ...(to ? [{ part: to.capacitor, farads: to.farads, job: 'keeps-highs-out' as const }] : []),
      { part: from!.capacitor, farads: from!.farads, job: 'keeps-lows-out' },
      ...(to ? [] : [{ part: NAMES[band].filter, ohms: choice.series, job: 'drives-base' as const }]),
      { part: pull.part, ohms: pull.ohms, job: 'holds-off' },
    ]),
  ];
}

/** Lamps light at another's tone that carry more than this share of what those do whose tone it is. */
const SPILL_SHARE = 0.1;

function spills(sound: SoundSums): { of: Band; at: Band }[] {
  const { channels } = sound;
  return channels.flatMap(({ band: at, at: own }) =>
    channels
      .filter((other) => other.band !== at && other.at[at] > Math.max(GLOW_AMPS, SPILL_SHARE * own[at]))
      .map(({ band: of }) => ({ of, at })),
  );
}

function channelFindings(sound: SoundSums): Finding[] {
  const faint = sound.channels.filter(({ at, band }) => at[band] < LIT_AMPS);
  return [
    ...faint.map(({ band, tone, at }) => finding('channel-faint', { band, tone, amps: at[band] }, 'warning')),
    ...spills(sound).map(({ of, at }) => {
      const channel = sound.channels.find(({ band }) => band === of)!;
      const tone = sound.channels.find(({ band }) => band === at)!.tone;
      return finding('channel-spills', { band: of, tone, amps: channel.at[at] }, 'warning');
    }),
  ];
}

/** Dark in silence; at its own tone each channel's lamps light, and the others not. */
function soundGoals(sound: SoundSums | undefined): Goal[] {
  if (!sound) return [];
  const spilt = spills(sound);
  return [
    { code: 'dark-in-silence', met: sound.litInSilence.length === 0, parts: sound.litInSilence },
    ...sound.channels.map(({ band, tone, lamps, at }): Goal => {
      const others = spilt.filter((one) => one.at === band);
      const wrong = sound.channels.filter((channel) => others.some(({ of }) => of === channel.band));
      const lit = at[band] >= LIT_AMPS;
      return {
        code: 'own-tone',
        hertz: tone,
        met: lit && wrong.length === 0,
        parts: [...(lit ? [] : lamps), ...wrong.flatMap((channel) => channel.lamps)],
      };
    }),
  ];
}
