import type { Compiled } from '../../circuit/compile';
import { ampsReader } from '../report';

/** What is noted of a run: volts of every node and amps of every part, instant by instant. */
export interface Recorder {
  /** The next instant that wants to be met exactly; Infinity when none does. */
  readonly due: number;
  /** Notes what stands in the equations as the sample that was due. */
  record(): void;
  /** Told after every step, and again at the same instant when something has switched there. */
  stepped(time: number): void;
  taken(): Samples;
}

export interface Samples {
  readonly time: Float64Array;
  readonly nodes: Readonly<Record<string, Float64Array>>;
  readonly parts: Readonly<Record<string, { readonly amps: Float64Array }>>;
}

/** Columns that are filled row by row. */
class Columns {
  readonly nodes: Readonly<Record<string, Float64Array>>;
  readonly parts: Readonly<Record<string, { readonly amps: Float64Array }>>;
  private readonly volts: readonly { readonly node: number; readonly into: Float64Array }[];
  private readonly amps: readonly { readonly read: () => number; readonly into: Float64Array }[];

  constructor(
    private readonly compiled: Compiled,
    count: number,
  ) {
    this.nodes = Object.fromEntries(
      [compiled.circuit.ground, ...compiled.nodes].map((name) => [name, new Float64Array(count)]),
    );
    this.parts = Object.fromEntries(
      compiled.placed.map(({ part }) => [part.id, { amps: new Float64Array(count) }]),
    );
    this.volts = compiled.nodes.map((name, node) => ({ node, into: this.nodes[name]! }));
    this.amps = compiled.placed.map((placed) => ({
      read: ampsReader(compiled, placed),
      into: this.parts[placed.part.id]!.amps,
    }));
  }

  fill(at: number): void {
    const { x } = this.compiled.equations;
    for (let i = 0; i < this.volts.length; i++) this.volts[i]!.into[at] = x[this.volts[i]!.node]!;
    for (let i = 0; i < this.amps.length; i++) this.amps[i]!.into[at] = this.amps[i]!.read();
  }
}

/** Evenly spaced samples. */
export class EvenSamples implements Recorder {
  private readonly time: Float64Array;
  private readonly columns: Columns;
  private next = 0;

  /** @param count instants from 0 to `seconds`, both included; a single one is the end */
  constructor(compiled: Compiled, seconds: number, count: number) {
    this.time = Float64Array.from({ length: count }, (_, i) =>
      i === count - 1 ? seconds : (seconds * i) / (count - 1),
    );
    this.columns = new Columns(compiled, count);
  }

  get due(): number {
    return this.time[this.next] ?? Infinity;
  }

  record(): void {
    this.columns.fill(this.next++);
  }

  stepped(): void {}

  taken(): Samples {
    const { nodes, parts } = this.columns;
    return { time: this.time, nodes, parts };
  }
}

/** Rows that the columns have room for at first. */
const ROOM = 512;

/** A sample after every step, and on both sides of every switching: dense where something bends, with upright edges. */
export class StepSamples implements Recorder {
  readonly due = Infinity;
  private time = new Float64Array(ROOM);
  private columns: Columns;
  private count = 0;

  constructor(private readonly compiled: Compiled) {
    this.columns = new Columns(compiled, ROOM);
  }

  record(): void {}

  stepped(time: number): void {
    if (this.count === this.time.length) this.grow();
    this.time[this.count] = time;
    this.columns.fill(this.count++);
  }

  private grow(): void {
    const larger = new Columns(this.compiled, 2 * this.count);
    const { nodes, parts } = this.columns;
    for (const name in nodes) larger.nodes[name]!.set(nodes[name]!);
    for (const id in parts) larger.parts[id]!.amps.set(parts[id]!.amps);
    const time = new Float64Array(2 * this.count);
    time.set(this.time);
    this.time = time;
    this.columns = larger;
  }

  taken(): Samples {
    const cut = (values: Float64Array) => values.slice(0, this.count);
    const { nodes, parts } = this.columns;
    return {
      time: cut(this.time),
      nodes: Object.fromEntries(Object.entries(nodes).map(([name, volts]) => [name, cut(volts)])),
      parts: Object.fromEntries(Object.entries(parts).map(([id, { amps }]) => [id, { amps: cut(amps) }])),
    };
  }
}
