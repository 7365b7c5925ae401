import { DEVICES } from '../devices/index';
import type { Device, Equations, Instance, Spread } from '../devices/device';
import { finding, refused, accepted, type Outcome } from '../findings/finding';
import { keyOf } from '../numerics/random';
import type { z } from 'zod';
import type { Circuit, Part } from './circuit';
import { floatingNodes, sourcesAtOdds } from './structure';

/** A part placed in the equations, with the spreads that draws may set. */
export interface Placed {
  readonly part: Part;
  readonly nodes: Int32Array;
  readonly instance: Instance;
  readonly spreads: readonly (Spread & { readonly key: number })[];
}

/** A circuit as equations, ready to be solved over and over. */
export interface Compiled {
  readonly circuit: Circuit;
  /** Names of nodes 0 … n−1; ground is not among them. */
  readonly nodes: readonly string[];
  readonly nodeIndex: ReadonlyMap<string, number>;
  readonly placed: readonly Placed[];
  readonly equations: Equations;
  /** Unknowns: nodes and branches. */
  readonly size: number;
}

type AnyDevice = Device<string, z.ZodRawShape, unknown>;

/** The device of a part. One kind always goes with its own parameters; TypeScript cannot see it through the union. */
export function deviceOf(part: Part): AnyDevice {
  return DEVICES[part.kind] as unknown as AnyDevice;
}

/**
 * Numbers nodes and branches and places every part.
 *
 * @returns the equations, or the floating nodes and clashing sources by name
 */
export function compile(circuit: Circuit): Outcome<Compiled> {
  const floating = floatingNodes(circuit);
  if (floating.length) return refused(finding('floating-nodes', { nodes: floating.join(', ') }));
  const odds = sourcesAtOdds(circuit);
  if (odds.length) return refused(finding('sources-at-odds', { parts: odds.join(', ') }));

  const nodes = nodeNames(circuit);
  const nodeIndex = new Map(nodes.map((name, i) => [name, i]));
  const branchCounts = circuit.parts.map((part) => deviceOf(part).branches(part.params));
  const size = nodes.length + branchCounts.reduce((sum, count) => sum + count, 0);
  nodeIndex.set(circuit.ground, size);

  let branch = nodes.length;
  const placed = circuit.parts.map((part, i) => {
    const at = branch;
    branch += branchCounts[i]!;
    return place(part, nodeIndex, at);
  });
  return accepted({ circuit, nodes, nodeIndex, placed, size, equations: blank(size + 1) });
}

function place(part: Part, nodeIndex: ReadonlyMap<string, number>, branch: number): Placed {
  const device = deviceOf(part);
  const nodes = Int32Array.from(device.pins, (pin) => nodeIndex.get(part.pins[pin]!)!);
  const spreads = device
    .spreads(part.params)
    .map((spread) => ({ ...spread, key: keyOf(`${part.id}.${spread.field}`) }));
  return { part, nodes, spreads, instance: device.instance(part.params, { nodes, branch }) };
}

function nodeNames(circuit: Circuit): string[] {
  const names = new Set(circuit.parts.flatMap((part) => Object.values(part.pins)));
  names.delete(circuit.ground);
  return [...names];
}

function blank(stride: number): Equations {
  return {
    stride,
    matrix: new Float64Array(stride * stride),
    residual: new Float64Array(stride),
    x: new Float64Array(stride),
    source: 1,
  };
}
