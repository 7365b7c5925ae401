import type { Equations, Instance, Spread } from '../devices/device';
import { BranchStamp } from '../devices/stamps';
import { finding, refused, accepted, type Outcome } from '../findings/finding';
import type { Coordinates } from '../numerics/pivots';
import { keyOf } from '../numerics/random';
import type { Circuit, Part } from './circuit';
import { deviceOf } from './deviceOf';
import { Places } from './places';
import { floatingNodes, idealLoops, type Motion } from './structure';

/** A part placed in the equations, with the spreads that draws may set. */
export interface Placed {
  readonly part: Part;
  /** Node of each pin of its kind; −1 for a pin that is left out. */
  readonly nodes: Int32Array;
  readonly instance: Instance;
  readonly spreads: readonly (Spread & { readonly key: number })[];
  /** Places of the Jacobian that its instance has booked. */
  readonly booked: readonly number[];
}

/** What is stamped, and the places of the Jacobian that it has booked for that. */
export interface Stamped {
  readonly instance: Pick<Instance, 'stamp' | 'straight' | 'write' | 'storage' | 'wave'>;
  readonly places: readonly number[];
}

/** A circuit as equations, ready to be solved over and over. */
export interface Compiled {
  readonly circuit: Circuit;
  /** Names of nodes 0 … n−1; ground is not among them. */
  readonly nodes: readonly string[];
  readonly nodeIndex: ReadonlyMap<string, number>;
  /** Nodes with an equation of their own: the named ones, and those in front of an ammeter of a sensed part. */
  readonly nodeCount: number;
  readonly placed: readonly Placed[];
  /** What is stamped: all parts, and the ammeters. */
  readonly stamped: readonly Stamped[];
  /** Branch unknown that carries the amps of each part that others sense. */
  readonly sensed: ReadonlyMap<string, number>;
  readonly equations: Equations;
  readonly coordinates: Coordinates;
  /** Where each node's own entry stands. */
  readonly diagonal: Int32Array;
  /** Unknowns: nodes and branches. */
  readonly size: number;
}

/**
 * Numbers nodes and branches and places every part.
 *
 * @returns the equations, or the floating nodes and clashing sources by name
 */
export function compile(circuit: Circuit, motion: Motion = 'steady'): Outcome<Compiled> {
  const floating = floatingNodes(circuit, motion);
  if (floating.length) return refused(finding('floating-nodes', { nodes: floating.join(', ') }));
  const loops = idealLoops(circuit, motion);
  if (loops.atOdds.length) return refused(finding('sources-at-odds', { parts: loops.atOdds.join(', ') }));

  const layout = numbered(circuit);
  const places = new Places(layout.size);
  const ammeters = [...layout.sensed].map(([id, branch], i) =>
    ammeter(places, layout.nodeIndex.get(firstNode(circuit, id))!, layout.nodes.length + i, branch),
  );
  let branch = layout.nodeCount + layout.sensed.size;
  const placed = circuit.parts.map((part) => {
    const at = { branch, takesVolts: loops.takesVolts.has(part.id) };
    branch += deviceOf(part).branches(part.params);
    return place(part, layout, places, at);
  });
  const diagonal = Int32Array.from({ length: layout.nodeCount }, (_, i) => places.entry(i, i));
  const coordinates = places.coordinates();
  return accepted({
    circuit,
    ...layout,
    placed,
    stamped: [...placed.map(({ instance, booked }) => ({ instance, places: booked })), ...ammeters],
    coordinates,
    diagonal,
    equations: blank(layout.size, coordinates.rows.length),
  });
}

type Layout = Pick<Compiled, 'nodes' | 'nodeIndex' | 'nodeCount' | 'sensed' | 'size'>;

/** Unknowns in order: named nodes, nodes before ammeters, branches of ammeters, branches of parts. */
function numbered(circuit: Circuit): Layout {
  const names = new Set(circuit.parts.flatMap((part) => Object.values(part.pins)));
  names.delete(circuit.ground);
  const nodes = [...names];
  const ids = new Set(circuit.parts.map((part) => part.id));
  const felt = circuit.parts.flatMap((part) => deviceOf(part).senses?.(part.params) ?? []);
  const watched = [...new Set(felt)].filter((id) => ids.has(id));
  const nodeCount = nodes.length + watched.length;
  const sensed = new Map(watched.map((id, i) => [id, nodeCount + i]));
  const branches = circuit.parts.reduce((sum, part) => sum + deviceOf(part).branches(part.params), 0);
  const size = nodeCount + watched.length + branches;
  const nodeIndex = new Map(nodes.map((name, i) => [name, i]));
  nodeIndex.set(circuit.ground, size);
  return { nodes, nodeIndex, nodeCount, sensed, size };
}

function firstNode(circuit: Circuit, id: string): string {
  const part = circuit.parts.find((p) => p.id === id)!;
  return part.pins[deviceOf(part).pins[0]!]!;
}

function ammeter(places: Places, from: number, to: number, branch: number): Stamped {
  const booked: number[] = [];
  const stamp = new BranchStamp({ ...NOWHERE, entry: booking(places, booked) }, from, to, branch);
  return { places: booked, instance: { straight: true, stamp: (eq) => stamp.ohmic(eq, 0, 0) } };
}

/** Books places, and notes them. */
function booking(places: Places, booked: number[]) {
  return (row: number, column: number) => {
    const place = places.entry(row, column);
    booked.push(place);
    return place;
  };
}

const NOWHERE = { nodes: new Int32Array(0), branch: -1, sensed: new Int32Array(0), takesVolts: false };

function place(
  part: Part,
  layout: Layout,
  places: Places,
  at: { branch: number; takesVolts: boolean },
): Placed {
  const device = deviceOf(part);
  const nodes = Int32Array.from(device.pins, (pin) => {
    const name = part.pins[pin];
    return name === undefined ? -1 : layout.nodeIndex.get(name)!;
  });
  const spreads = device
    .spreads(part.params)
    .map((spread) => ({ ...spread, key: keyOf(`${part.id}.${spread.field}`) }));
  const wired = nodes.slice();
  const ammeterAt = layout.sensed.get(part.id);
  // The hidden nodes stand in the order of the ammeters' branches.
  if (ammeterAt !== undefined) wired[0] = ammeterAt - layout.sensed.size;
  const sensed = Int32Array.from(device.senses?.(part.params) ?? [], (id) => layout.sensed.get(id) ?? -1);
  const booked: number[] = [];
  const entry = booking(places, booked);
  return {
    part,
    nodes,
    spreads,
    instance: device.instance(part.params, { ...at, nodes: wired, sensed, entry }),
    booked,
  };
}

/** Equations with nothing in them yet. */
export function blank(size: number, entries: number): Equations {
  return {
    values: new Float64Array(entries),
    residual: new Float64Array(size + 1),
    x: new Float64Array(size + 1),
    source: 1,
    regime: 'steady',
    theta: 0,
    time: 0,
    limiting: false,
    fresh: true,
    limited: false,
    seen: undefined,
  };
}
