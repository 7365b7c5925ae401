import { z } from 'zod';
import type { Hertz, Seconds } from '../quantities/units';
import type { Wave } from './dynamics';
import { quantityField, shareField } from './fields';
import { SquareWave } from './wave';

/** A pin for a while: from a share of its high level to another, in a straight line. */
export interface PinSpell {
  readonly seconds: Seconds;
  readonly from: number;
  readonly to: number;
}

/** What a program does with a pin: spells one after another, so many rounds of them, and a share that it is left at. */
export interface PinTable {
  readonly spells: readonly PinSpell[];
  /** 0 for a program without end. */
  readonly rounds: number;
  readonly after: number;
}

/** The fields of a pin that a program drives. */
export const tableFields = {
  spells: z
    .array(
      z.strictObject({
        seconds: quantityField('s', 0.001, 1e4),
        from: shareField(0, 1),
        to: shareField(0, 1),
      }),
    )
    .max(1000)
    .readonly()
    .default([]),
  rounds: z.number().int('must be a whole number').min(0).max(1e6).default(1),
  after: shareField(0, 1).default(0),
};

export function roundOf({ spells }: PinTable): Seconds {
  return spells.reduce((sum, { seconds }) => sum + seconds, 0);
}

/** When it stops changing; never, where its rounds have no end. */
export function endOf(table: PinTable): Seconds {
  return table.rounds === 0 ? Infinity : table.rounds * roundOf(table);
}

/** An instant that rounding has moved by less than this belongs to what begins there. */
const NEAR = 1e-9;

/**
 * The share of the time for which a pin is at its high level at an instant.
 *
 * @param side where it jumps, what it jumps to (`from`) or from (`until`)
 */
export function shareAt(table: PinTable, time: Seconds, side: 'from' | 'until' = 'from'): number {
  const round = roundOf(table);
  const slack = (side === 'from' ? NEAR : -NEAR) * Math.max(1, time);
  if (!(round > 0) || time + slack >= endOf(table)) return table.after;
  let left = time + slack - Math.floor((time + slack) / round) * round - slack;
  for (const { seconds, from, to } of table.spells) {
    if (left + slack < seconds) return from + (to - from) * Math.min(1, Math.max(0, left / seconds));
    left -= seconds;
  }
  return table.spells[table.spells.length - 1]!.to;
}

/** The first instant after `time` at which a spell begins; never, once it has ended. */
export function nextSpell(table: PinTable, time: Seconds): Seconds {
  const round = roundOf(table);
  if (!(round > 0) || time + NEAR * Math.max(1, time) >= endOf(table)) return Infinity;
  const begun = Math.floor(time / round + NEAR);
  let at = begun * round;
  for (const { seconds } of table.spells) {
    at += seconds;
    if (at > time + NEAR * Math.max(1, time)) return at;
  }
  return (begun + 1) * round;
}

/** A pin on its way through its table: steady at either level, or switched between both for the share that it has then. */
export class TableWave implements Wave {
  readonly longest = Infinity;
  readonly period: number;
  up = false;
  private next = 0;
  private readonly fades: boolean;

  constructor(
    private readonly table: PinTable,
    private readonly hertz: Hertz,
  ) {
    this.period = table.rounds === 0 ? roundOf(table) : 0;
    this.fades = table.spells.some(({ from, to }) => from !== to);
    this.enter(0);
  }

  enter(time: Seconds): void {
    const share = shareAt(this.table, time);
    const pulses = new SquareWave(this.hertz, share);
    pulses.enter(time);
    this.up = pulses.up;
    // Fully on or off for now: on its way to another share it is looked at again a pulse later.
    const again = this.fades ? time + 1 / this.hertz : Infinity;
    this.next = Math.min(pulses.nextJump(), nextSpell(this.table, time), again);
  }

  nextJump(): Seconds {
    return this.next;
  }
}
