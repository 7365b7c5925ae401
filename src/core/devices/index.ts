import { capacitor } from './capacitor';
import { diode } from './diode';
import { inductor } from './inductor';
import { ldr } from './ldr';
import { led } from './led';
import { pin } from './pin';
import { potentiometer } from './potentiometer';
import { resistor } from './resistor';
import { signal } from './signal';
import { speaker } from './speaker';
import { supply } from './supply';
import { switchDevice } from './switch';
import { timer } from './timer';
import { transistor } from './transistor';
import { wire } from './wire';
import { zener } from './zener';

/** Every device there is, by kind. A new one is a file and a line here. */
export const DEVICES = {
  supply,
  resistor,
  potentiometer,
  capacitor,
  inductor,
  led,
  diode,
  zener,
  transistor,
  timer,
  ldr,
  switch: switchDevice,
  wire,
  speaker,
  pin,
  signal,
} as const;

export type Kind = keyof typeof DEVICES;
export const KINDS = Object.keys(DEVICES) as readonly Kind[];
