import type { Compiled } from '../../circuit/compile';
import { deviceOf } from '../../circuit/deviceOf';
import { FIRST_PIN, type Reading } from '../../devices/device';
import type { Latch } from '../../devices/dynamics';

/** The latches of a circuit, with the node that each one drives. */
export class Latches {
  readonly all: readonly Latch[];
  /** Name of each one's output node. */
  readonly outputs: readonly string[];

  constructor({ placed }: Compiled) {
    const latched = placed.filter(({ instance }) => instance.latch);
    this.all = latched.map(({ instance }) => instance.latch!);
    this.outputs = latched.map(({ part }) => {
      const { pins, reading = FIRST_PIN }: { pins: readonly string[]; reading?: Reading } = deviceOf(part);
      return part.pins[pins[reading.pin]!]!;
    });
  }

  /** By how many volts the one that is furthest past its switching is past it; negative while all stay. */
  margin(x: Float64Array): number {
    let most = -Infinity;
    for (let i = 0; i < this.all.length; i++) most = Math.max(most, this.all[i]!.margin(x));
    return most;
  }

  /** Lets every latch take its next state. @returns whether one changed */
  move(x: Float64Array, changed: (latch: number, high: boolean) => void): boolean {
    let moved = false;
    for (let i = 0; i < this.all.length; i++) {
      const latch = this.all[i]!;
      const next = latch.next(x);
      if (next === latch.state) continue;
      const before = latch.high();
      latch.state = next;
      moved = true;
      if (latch.high() !== before) changed(i, latch.high());
    }
    return moved;
  }
}
