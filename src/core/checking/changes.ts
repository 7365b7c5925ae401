import type { Brightness } from '../catalogue/brightness';
import { brightnessAt } from '../catalogue/brightness';
import { isKind, partOf } from '../circuit/circuit';
import { GLOW_AMPS, lampsSeen, type LampSeen } from '../observe/looks';
import type { Observation } from '../observe/observation';
import { pitchOf } from '../observe/sound';
import type { Amps, Hertz, Seconds } from '../quantities/units';

/** What a lamp does after a mistake, as one would say it beforehand. */
export type LampChange =
  | 'dark'
  | 'dimmer'
  | 'as before'
  | 'brighter'
  | 'ruined'
  | 'slower'
  | 'faster'
  | 'stays-lit'
  | 'comes-and-goes'
  | 'shorter'
  | 'longer';

export interface LampOutcome {
  readonly part: string;
  /** What its brightness goes by: of one that blinks, what it carries while it is lit. */
  readonly before: Amps;
  readonly after: Amps;
  readonly brightness: Brightness;
  readonly change: LampChange;
  /** How often it came on in the right build, and does now. */
  readonly hertz?: { readonly before: Hertz | undefined; readonly after: Hertz | undefined };
  /** For how long it was lit after a press in the right build, and is now. */
  readonly litFor?: { readonly before: Seconds; readonly after: Seconds | undefined };
}

/** What a sound does after a mistake. */
export type SoundChange = 'silent' | 'lower' | 'higher' | 'as before';

export interface SoundOutcome {
  readonly part: string;
  /** Pitches; 0 where nothing is heard. */
  readonly before: Hertz;
  readonly after: Hertz;
  readonly change: SoundChange;
}

/** Changes smaller than this share nobody sees, and differences in pace or pitch smaller than this nobody notes. */
const SEEN = 0.15;
const NOTED = 0.05;

/** What each lamp does after a mistake. */
export function lampOutcomes(right: Observation, after: Observation): LampOutcome[] {
  const now = new Map(lampsSeen(after).map((lamp) => [lamp.part, lamp]));
  return lampsSeen(right).map((before): LampOutcome => {
    const part = partOf(right.circuit, before.part)!;
    const maxAmps = isKind(part, 'led') ? part.params.maxAmps : 1;
    // What stands in a lamp's place gives no light.
    const then = now.get(before.part);
    const amps = then?.glow ?? 0;
    const hertz = { before: before.hertz, after: then?.hertz };
    return {
      part: before.part,
      before: before.glow,
      after: amps,
      brightness: brightnessAt(amps, maxAmps),
      change: changeOf(before, then, maxAmps),
      ...(hertz.before !== undefined || hertz.after !== undefined ? { hertz } : {}),
      ...(isOnce(before) ? { litFor: { before: before.litFor, after: then?.litFor } } : {}),
    };
  });
}

function changeOf(before: LampSeen, after: LampSeen | undefined, maxAmps: Amps): LampChange {
  const amps = after?.glow ?? 0;
  if ((after?.peak ?? 0) > 1.5 * maxAmps) return 'ruined';
  if (amps < GLOW_AMPS) return before.glow < GLOW_AMPS ? 'as before' : 'dark';
  const pace = isOnce(before) ? lengthOf(before.litFor, after) : paceOf(before.hertz, after?.hertz);
  const dimmer = amps < before.glow * (1 - SEEN);
  // A glow that never goes out is seen as dim first.
  if (pace && !(dimmer && pace === 'stays-lit')) return pace;
  if (dimmer) return 'dimmer';
  return amps > before.glow * (1 + SEEN) ? 'brighter' : 'as before';
}

/** Whether a lamp lights once and goes out by itself. */
function isOnce(lamp: LampSeen): lamp is LampSeen & { litFor: Seconds } {
  return lamp.litFor !== undefined && lamp.hertz === undefined;
}

/** Lit for another time than in a right build, or for good. */
function lengthOf(before: Seconds, after: LampSeen | undefined): LampChange | undefined {
  if (after?.hertz !== undefined) return 'comes-and-goes';
  if (after?.litFor === undefined) return 'stays-lit';
  if (after.litFor > before * (1 + SEEN)) return 'longer';
  return after.litFor < before / (1 + SEEN) ? 'shorter' : undefined;
}

function paceOf(before: Hertz | undefined, after: Hertz | undefined): LampChange | undefined {
  if (before === undefined) return after === undefined ? undefined : 'comes-and-goes';
  if (after === undefined) return 'stays-lit';
  if (after > before * (1 + SEEN)) return 'faster';
  return after < before / (1 + SEEN) ? 'slower' : undefined;
}

/** What a speaker does after a mistake; undefined where none is, or where it is silent in a right build too. */
export function soundOutcome(right: Observation, after: Observation): SoundOutcome | undefined {
  const speaker = right.circuit.parts.find((part) => isKind(part, 'speaker'));
  const before = speaker && pitchOf(speaker.id, right);
  if (!speaker || before === undefined) return undefined;
  const there = partOf(after.circuit, speaker.id)?.kind === 'speaker';
  const now = (there ? pitchOf(speaker.id, after) : undefined) ?? 0;
  const change =
    now === 0
      ? 'silent'
      : now > before * (1 + NOTED)
        ? 'higher'
        : now < before / (1 + NOTED)
          ? 'lower'
          : 'as before';
  return { part: speaker.id, before, after: now, change };
}
