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

/** Why such pins cannot be used: those that the board does not have, or that are named twice; each with one that is free. */
export function pinRefusals(
  board: Controller,
  pins: readonly number[],
  { where = 'wire', used = pins, fits }: PinUse = {},
): Finding[] {
  const proposed: number[] = [];
  const nearest = (pin: number) => {
    const free = nearestPin(board, pin, [...used, ...proposed], fits) ?? 0;
    proposed.push(free);
    return free;
  };
  return [...new Set(pins)].flatMap((pin): Finding[] => {
    if (!controllerPin(board.id, pin))
      return [finding('no-such-pin', { board: board.id, pin, nearest: nearest(pin), where })];
    const twice = pins.indexOf(pin) < pins.lastIndexOf(pin);
    return twice ? [finding('pin-twice', { pin, nearest: nearest(pin), where })] : [];
  });
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
