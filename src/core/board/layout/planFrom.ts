import type { JumperColour, Placement, Plan } from '../plan';
import { cutsFor } from './cuts';
import type { LayoutRequest } from './request';
import type { Lattice } from './lattice';
import type { Arrangement } from './place';
import type { Link } from './wirePrice';
import type { Wiring } from './wiring';

const SIGNAL_COLOURS: readonly JumperColour[] = ['yellow', 'blue', 'green'];

/** The plan of a board on which everything has its place and its wires. */
export function planFrom(
  request: Pick<LayoutRequest, 'keep' | 'wires' | 'lampWires'>,
  wiring: Wiring,
  netNumber: ReadonlyMap<string, number>,
  lattice: Lattice,
  made: Arrangement,
  links: readonly Link[],
): Plan {
  const name = (hole: number) => lattice.holes[hole]!.name;
  const keep = request.keep ?? [];
  const lampColours = new Map<number, JumperColour>();
  for (const { id, legs } of request.wires === 'as the lamp' ? wiring.bodies : []) {
    const colour = request.lampWires?.[id];
    for (const net of colour ? Object.values(legs) : []) lampColours.set(netNumber.get(net)!, colour!);
  }
  const colourOf = (net: number): JumperColour => {
    if (request.wires === 'any') return 'green';
    if (net === netNumber.get(wiring.plus)) return 'red';
    if (net === netNumber.get(wiring.minus)) return 'black';
    return lampColours.get(net) ?? SIGNAL_COLOURS[net % SIGNAL_COLOURS.length]!;
  };
  const taken = new Set(keep.filter((p) => p.kind === 'jumper').map((p) => p.part));
  let number = 0;
  const nextName = (): string => {
    do number++;
    while (taken.has(`W${number}`));
    return `W${number}`;
  };
  const jumpers = links.map((link): Placement => {
    const legs = { a: name(link.a), b: name(link.b) };
    const own = keep.find((p) => p.kind === 'jumper' && samePlaces(p.legs, legs));
    return own ?? { part: nextName(), kind: 'jumper', legs, colour: colourOf(link.net) };
  });
  const order = [...wiring.bodies.map(({ id }) => id), wiring.supply?.id];
  const parts = [...made.placed]
    .sort((a, b) => order.indexOf(a.body.id) - order.indexOf(b.body.id))
    .map(({ body, holes }): Placement => {
      const legs = Object.fromEntries(Object.keys(body.legs).map((leg, i) => [leg, name(holes[i]!)]));
      const before = keep.find((p) => p.part === body.id);
      const stays = before !== undefined && samePlaces(before.legs, legs);
      return { part: body.id, kind: 'part', legs, ...(stays ? { fixed: true } : {}) };
    });
  const cuts = cutsFor(lattice, made.occupancy);
  return {
    board: lattice.board.id,
    placements: [...jumpers, ...parts],
    ...(cuts.length ? { cuts } : {}),
  };
}

function samePlaces(a: Placement['legs'], b: Placement['legs']): boolean {
  return Object.entries(a).every(([pin, hole]) => b[pin] === hole);
}
