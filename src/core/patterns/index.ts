import { alternate } from './alternate/alternate';
import { beamAlarm } from './beamAlarm/beamAlarm';
import { blink } from './blink/blink';
import { blinkSimple } from './blinkSimple/blinkSimple';
import { chain } from './chain/chain';
import { coinLight } from './coinLight/coinLight';
import { dimmer } from './dimmer/dimmer';
import { duskController } from './duskController/duskController';
import { gauge } from './gauge/gauge';
import { hogging } from './hogging/hogging';
import { lampCover } from './lampCover/lampCover';
import { lightSwitch } from './lightSwitch/lightSwitch';
import { oneShot } from './oneShot/oneShot';
import { panel } from './panel/panel';
import { pulsed } from './pulsed/pulsed';
import { rgb } from './rgb/rgb';
import { sequence } from './sequence/sequence';
import { single } from './single/single';
import { soundLights } from './soundLights/soundLights';
import { strings } from './strings/strings';
import { tone } from './tone/tone';
import { walkDown } from './walkDown/walkDown';
import type { Pattern } from './pattern';

/** Every lesson pattern there is. A new one is a file and a line here. */
export const PATTERNS = {
  single,
  'coin-light': coinLight,
  'walk-down': walkDown,
  strings,
  hogging,
  dimmer,
  rgb,
  gauge,
  panel,
  'lamp-cover': lampCover,
  blink,
  'blink-simple': blinkSimple,
  'one-shot': oneShot,
  alternate,
  chain,
  tone,
  pulsed,
  'light-switch': lightSwitch,
  'beam-alarm': beamAlarm,
  sequence,
  'dusk-controller': duskController,
  'sound-lights': soundLights,
} as const;
export type PatternId = keyof typeof PATTERNS;
export const PATTERN_IDS = Object.keys(PATTERNS) as PatternId[];

/** A pattern by name, its parameters unseen: one name always goes with its own parameters. */
export function patternOf(id: PatternId): Pattern<PatternId, unknown> {
  return PATTERNS[id] as unknown as Pattern<PatternId, unknown>;
}
