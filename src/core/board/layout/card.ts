import { finding, refused, accepted, type Outcome } from '../../findings/finding';
import { BOARDS, boardsFor } from '../boards';
import type { Thing } from '../../parts/thing';
import type { Placement, Plan } from '../plan';
import type { Wiring } from './wiring';

/**
 * Tape on card: each block is a lane between the plus tape along the top and the minus tape along the foot, its
 * things one after another with a short tape between each two. Only chains of two-legged things can be taped.
 */
export function layOutCard(wiring: Wiring): Outcome<Plan> {
  const lanes: Thing[][] = [];
  const left = new Set(wiring.bodies);
  for (const first of wiring.bodies) {
    if (!left.has(first) || !Object.values(first.legs).includes(wiring.plus)) continue;
    const lane = laneFrom(first, wiring, left);
    if (!lane) return refused(finding('not-for-card', { part: first.id }));
    lanes.push(lane);
  }
  const [stray] = left;
  if (stray) return refused(finding('not-for-card', { part: stray.id }));
  const longest = Math.max(1, ...lanes.map((lane) => lane.length));
  const board = boardsFor('card').find((spec) => spec.rows === longest + 1);
  if (!board || lanes.length > BOARDS['card-1'].across) {
    const held = Math.min(lanes.length, BOARDS['card-1'].across);
    return refused(
      finding('does-not-fit', {
        board: 'card',
        left: board ? lanes.slice(held).flat().length : wiring.bodies.length,
        of: wiring.bodies.length,
        would: '',
      }),
    );
  }
  const placements = lanes.flatMap((lane, i) => laneOf(lane, i + 1, longest, wiring));
  const named = nameTapes(placements);
  const supply: Placement[] = wiring.supply
    ? [{ part: wiring.supply.id, kind: 'part', legs: { plus: 'p0', minus: 'm0' } }]
    : [];
  return accepted({ board: board.id, placements: [...named, ...supply] });
}

function laneFrom(first: Thing, wiring: Wiring, left: Set<Thing>): Thing[] | undefined {
  const lane: Thing[] = [];
  let net = wiring.plus;
  for (let body: Thing | undefined = first; body;) {
    const nets = Object.values(body.legs);
    if (nets.length !== 2 || !left.has(body)) return undefined;
    left.delete(body);
    lane.push(body);
    net = nets[0] === net ? nets[1]! : nets[0]!;
    if (net === wiring.minus) return lane;
    const here: string = net;
    body = wiring.bodies.find((other) => left.has(other) && Object.values(other.legs).includes(here));
  }
  return undefined;
}

function laneOf(lane: readonly Thing[], number: number, levels: number, wiring: Wiring): Placement[] {
  let net = wiring.plus;
  const placements = lane.map((body, i): Placement => {
    const top = i === 0 ? `p${number}` : `${i}t${number}`;
    const foot = i === levels - 1 ? `m${number}` : `${i + 1}s${number}`;
    const [one, other] = Object.entries(body.legs) as [[string, string], [string, string]];
    const down = one[1] === net;
    net = down ? other[1] : one[1];
    const legs = { [one[0]]: down ? top : foot, [other[0]]: down ? foot : top };
    return { part: body.id, kind: 'part', legs };
  });
  if (lane.length < levels) {
    const legs = { a: `${lane.length}t${number}`, b: `m${number}` };
    placements.push({ part: '', kind: 'jumper', legs, colour: 'black' });
  }
  return placements;
}

function nameTapes(placements: readonly Placement[]): Placement[] {
  let next = 1;
  return placements.map((p) => (p.kind === 'jumper' ? { ...p, part: `W${next++}` } : p));
}
