import type { PatternId } from '@/core';
import { single } from './single';
import { coinLight } from './coinLight';
import { walkDown } from './walkDown';
import { strings } from './strings';
import { hogging } from './hogging';
import { dimmer } from './dimmer';
import { duskController } from './duskController';
import { rgb } from './rgb';
import { gauge } from './gauge';
import { panel } from './panel';
import { lampCover } from './lampCover';
import { beamAlarm } from './beamAlarm';
import { lightSwitch } from './lightSwitch';
import { pulsed } from './pulsed';
import { sequence } from './sequence';
import { soundLights } from './soundLights';
import { alternate, blink, blinkSimple, chain, oneShot, tone } from './timers';
import type { PatternWords } from './words';

/** The words of every pattern. */
export const PATTERN_WORDS: Readonly<Record<PatternId, PatternWords>> = {
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
};
