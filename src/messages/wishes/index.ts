import type { ParamsOf, PatternId } from '@/core';
import { hogging, lampCover, panel, strings } from './banks';
import { beamAlarm } from './beam';
import { gauge, rgb } from './colours';
import { coinLight, dimmer, single, walkDown } from './lamps';
import { duskController, lightSwitch } from './light';
import { pulsed } from './pulsed';
import type { Sentence } from './sentence';
import { sequence } from './sequence';
import { soundLights } from './sound';
import { alternate, blink, blinkSimple, chain, oneShot, tone } from './timers';

const WISHES: { readonly [Id in PatternId]: Sentence<ParamsOf<Id>> } = {
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

/** The sentence of a pattern, its parameters unseen: one name always goes with its own parameters. */
export function wishOf(id: PatternId): Sentence<unknown> {
  return WISHES[id] as unknown as Sentence<unknown>;
}
