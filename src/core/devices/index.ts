import { diode } from './diode';
import { led } from './led';
import { potentiometer } from './potentiometer';
import { resistor } from './resistor';
import { supply } from './supply';
import { switchDevice } from './switch';
import { wire } from './wire';

/** Every device there is, by kind. A new one is a file and a line here. */
export const DEVICES = {
  supply,
  resistor,
  potentiometer,
  led,
  diode,
  switch: switchDevice,
  wire,
} as const;

export type Kind = keyof typeof DEVICES;
export const KINDS = Object.keys(DEVICES) as readonly Kind[];
