import { CONTROLLERS, type Controller, type ControllerPin } from '../catalogue/controllers';
import type { PartOf } from '../circuit/circuit';
import type { PinTable } from '../devices/pinTable';

/** Name of a controller's pin among the parts of a circuit. */
export function pinId(number: number): string {
  return `G${number}`;
}

/** The number of a pin by its name; none of what is no pin. */
export function pinNumber(id: string): number | undefined {
  const number = /^G(\d+)$/u.exec(id)?.[1];
  return number === undefined ? undefined : Number(number);
}

/** The leg that a pin is of its board, and the lead from it. */
export function pinLeg(number: number): string {
  return `pin ${number}`;
}

/** The board's own rail where it is not led out. */
const INSIDE = 'inside the board';

export interface BoardNets {
  /** Net of the rail, where something hangs on it. */
  readonly plus?: string;
  readonly minus: string;
}

/** The legs of a board that is the supply of its circuit: ground, and the rail where something hangs on it. */
export function boardLegs(nets: BoardNets): {
  readonly pins: Readonly<Record<string, string>>;
  readonly legs: Readonly<Record<string, string>>;
} {
  return {
    pins: { plus: nets.plus ?? INSIDE, minus: nets.minus },
    legs: { ...(nets.plus === undefined ? {} : { plus: 'plus' }), minus: 'minus' },
  };
}

/** A pin of a board: driven by its program, or an input where the program does not name it. */
export function pinPart(
  board: Controller,
  number: number,
  house: string,
  nets: BoardNets,
  table: PinTable | undefined,
): PartOf<'pin'> {
  const { pins, legs } = boardLegs(nets);
  return {
    id: pinId(number),
    kind: 'pin',
    pins: { pin: pinLeg(number), ground: nets.minus, rail: pins['plus']! },
    params: {
      drive: table ? 'table' : 'input',
      volts: board.volts,
      ohms: board.ohms,
      duty: 0,
      hertz: board.hertz,
      ...(table ?? { spells: [], rounds: 1, after: 0 }),
    },
    body: {
      id: house,
      legs: {
        pin: pinLeg(number),
        ground: 'minus',
        ...(legs['plus'] === undefined ? null : { rail: 'plus' }),
      },
    },
  };
}

/** The pin of a board nearest to a number that passes, of those not in use. */
export function nearestPin(
  board: Controller,
  number: number,
  used: readonly number[],
  fits: (pin: ControllerPin) => boolean = () => true,
): number | undefined {
  const free = CONTROLLERS[board.id].pins.filter(
    (pin) => !pin.upload && !used.includes(pin.number) && fits(pin),
  );
  return free.sort((a, b) => Math.abs(a.number - number) - Math.abs(b.number - number))[0]?.number;
}
