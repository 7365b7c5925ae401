import {
  asCounted,
  GLANCE,
  judgeBench,
  keyOf,
  uniform,
  type JudgedBench,
  type Noted,
  type SeenLook,
  type SessionExpectation,
  type Sight,
  type SimulatedBench,
} from '@/core';

/** How a build was judged, and what it took. */
export interface Played {
  readonly judged: JudgedBench;
  readonly readings: number;
  readonly glances: number;
}

/** Lamps at which an eye is wrong, of a hundred. */
const WRONG_LOOKS = 0.02;

/** Lets the tool choose what to measure, until it asks for no more. */
export function play(
  session: SessionExpectation,
  bench: SimulatedBench,
  sights: readonly Sight[],
  seed: number,
): Played {
  const noted: Noted[] = [];
  const looks: SeenLook[] = [];
  const right = session.dictionary.signatures.find(({ code }) => code === 'right')!;
  const lamps = Object.keys(right.looks);
  let judged = judgeBench(session, noted, looks);
  for (; judged.next; judged = judgeBench(session, noted, looks)) {
    if (judged.next.point === GLANCE) {
      looks.push(...glance(lamps, sights, seed));
      continue;
    }
    const at = session.dictionary.points.findIndex(({ id }) => id === judged.next!.point);
    const shown = bench.shown[at];
    if (!shown) break;
    noted.push(shown);
  }
  return { judged, readings: noted.length, glances: Math.min(1, looks.length) };
}

/** What an eye says of every lamp: now and then it takes a dim one for lit, or a lit one for dim. */
function glance(lamps: readonly string[], sights: readonly Sight[], seed: number): SeenLook[] {
  return lamps.map((lamp): SeenLook => {
    const look = sights[0]!.looks[lamp] ?? 'dark';
    const u = (what: string) => uniform(seed, 0, keyOf(`${what} ${lamp}`));
    const colour = sights.map((sight) => sight.colour).find((one) => one?.lamp === lamp);
    if (colour && look !== 'dark' && u('colour') < colour.noticed) return { lamp, word: 'other-colour' };
    const slips = u('glance') < WRONG_LOOKS;
    return { lamp, word: !slips ? look : look === 'dark' || look === 'lit' ? 'dim' : 'lit' };
  });
}

/** What a plain method says: whether it is right, and the candidates whose readings are nearest. */
export interface Plain {
  readonly right: boolean;
  readonly first: readonly number[];
}

/** A plain method for comparison: every checkpoint in the order of the card, wrong where one is out of its band. */
export function playPlain(session: SessionExpectation, bench: SimulatedBench): Plain {
  const { points } = session.expected;
  const inside = points.every(({ low, high }, i) => {
    const shown = bench.shown[i];
    const value = shown && asCounted(session.dictionary.points[i]!, shown.value);
    return value !== undefined && value >= low && value <= high;
  });
  const scale = points.map(({ worstHigh }) => Math.abs(worstHigh) || 1);
  const distance = (means: readonly number[]) =>
    bench.shown.reduce(
      (sum, shown, i) =>
        sum +
        (shown ? Math.abs(asCounted(session.dictionary.points[i]!, shown.value) - means[i]!) / scale[i]! : 0),
      0,
    );
  const order = session.dictionary.signatures
    .map(({ means }, i) => ({ i, away: distance(means) }))
    .sort((a, b) => a.away - b.away);
  return { right: inside, first: order.slice(0, 3).map(({ i }) => i) };
}
