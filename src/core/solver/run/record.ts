import type { Compiled } from '../../circuit/compile';
import { ampsReader } from '../report';

/** Evenly spaced samples of every node's volts and every part's amps. */
export class Samples {
  readonly time: Float64Array;
  readonly nodes: Readonly<Record<string, Float64Array>>;
  readonly parts: Readonly<Record<string, { readonly amps: Float64Array }>>;
  private readonly volts: readonly { readonly node: number; readonly into: Float64Array }[];
  private readonly amps: readonly { readonly read: () => number; readonly into: Float64Array }[];
  private next = 0;

  /** @param count instants from 0 to `seconds`, both included; a single one is the end */
  constructor(
    private readonly compiled: Compiled,
    seconds: number,
    count: number,
  ) {
    this.time = Float64Array.from({ length: count }, (_, i) =>
      i === count - 1 ? seconds : (seconds * i) / (count - 1),
    );
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

  /** The next instant to be recorded; Infinity after the last. */
  get due(): number {
    return this.time[this.next] ?? Infinity;
  }

  /** Records what stands in the equations as the next sample. */
  record(): void {
    const { x } = this.compiled.equations;
    const at = this.next++;
    for (let i = 0; i < this.volts.length; i++) this.volts[i]!.into[at] = x[this.volts[i]!.node]!;
    for (let i = 0; i < this.amps.length; i++) this.amps[i]!.into[at] = this.amps[i]!.read();
  }
}
