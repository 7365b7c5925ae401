import { controllerPin, type Controller, type ControllerPin } from '../catalogue/controllers';
import type { PartOf } from '../circuit/circuit';
import { finding, type Finding } from '../findings/finding';
import { boardLegs, nearestPin, type BoardNets } from '../program/pins';
import type { Amps } from '../quantities/units';
import { supplyPart } from './steady/parts';

/** The controller is the supply of its circuit, and its pins are legs of it. */
export const BOARD = 'B1';

export function boardPart(board: Controller, nets: BoardNets): PartOf<'supply'> {
  const { pins, legs } = boardLegs(nets);
  return { ...(supplyPart(board.supply) as PartOf<'supply'>), id: BOARD, pins, body: { id: BOARD, legs } };
}

interface PinUse {
  /** Whether they are wired, or named by a table. */
  readonly where?: 'wire' | 'table';
  /** Pins that are no help, as they are in use. */
  readonly used?: readonly number[];
  /** What a pin must be able to do for it to be proposed. */
  readonly fits?: (pin: ControllerPin) => boolean;
}

/** Why such pins cannot be used: one that the board does not have, or one that is named twice; with one that is free. */
export function pinRefusals(
  board: Controller,
  pins: readonly number[],
  { where = 'wire', used = pins, fits }: PinUse = {},
): Finding[] {
  const nearest = (pin: number) => nearestPin(board, pin, used, fits) ?? 0;
  const missing = pins.find((pin) => !controllerPin(board.id, pin));
  if (missing !== undefined)
    return [finding('no-such-pin', { board: board.id, pin: missing, nearest: nearest(missing), where })];
  const twice = pins.find((pin, i) => pins.indexOf(pin) < i);
  return twice === undefined ? [] : [finding('pin-twice', { pin: twice, nearest: nearest(twice), where })];
}

/** The pin that carries most, where that is more than it is made for; refused where it is more than it stands. */
export function pinCurrents(
  { pinAmps: limit, pinAmpsMost: most }: Controller,
  carried: readonly { readonly pin: number; readonly amps: Amps }[],
): Finding[] {
  const { pin, amps } = carried.reduce((best, one) => (one.amps > best.amps ? one : best));
  if (amps <= limit) return [];
  return [finding('pin-over-current', { pin, amps, limit, most }, amps > most ? 'refusal' : 'warning')];
}
