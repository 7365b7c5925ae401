import type { Checkpoint, SessionExpectation, ThingKind } from '@/core';

/** A session as it was kept before checkpoints stood in it: bands by name only, and no looks of lamps. */
interface Earlier {
  readonly expected: {
    readonly points: readonly { readonly id: string; readonly unit: string; readonly point?: unknown }[];
  };
  readonly dictionary: {
    readonly points: readonly { readonly id: string; readonly usual: number }[];
    readonly signatures: readonly {
      readonly code: string;
      readonly data: { readonly part?: string };
      readonly looks?: unknown;
    }[];
  };
}

/**
 * What a session is judged by, as it was kept. One from before checkpoints stood in it gets them from their names; its
 * bands and signatures stay as they were, so that old verdicts stay.
 */
export function expectationFrom(json: string): SessionExpectation {
  const kept = JSON.parse(json) as SessionExpectation | Earlier;
  const { expected, dictionary } = kept;
  if (expected.points.every(({ point }) => point !== undefined)) return kept as SessionExpectation;
  const points = expected.points.map((band) => ({ ...band, point: checkpointFor(band.id) }));
  const judged = dictionary.points.map(({ id, usual }) => ({ ...checkpointFor(id), usual }));
  const signatures = (dictionary as Earlier['dictionary']).signatures.map((one) => ({
    ...one,
    data: one.data.part || !ABOUT_SUPPLY.test(one.code) ? one.data : { ...one.data, part: 'B1' },
    looks: one.looks ?? {},
  }));
  return {
    ...kept,
    expected: { ...expected, points },
    dictionary: { ...dictionary, points: judged, signatures },
  } as unknown as SessionExpectation;
}

const ABOUT_SUPPLY = /^supply-|^bad-contact$/u;
const PARTS: Readonly<Record<string, string>> = { resistor: 'R1', lamp: 'D1', pack: 'B1', current: 'B1' };
const ENDS: Readonly<Record<string, readonly [ThingKind, string, string]>> = {
  R: ['resistor', 'a', 'b'],
  D: ['led', 'anode', 'cathode'],
  B: ['supply', 'plus', 'minus'],
};

function checkpointFor(id: string): Checkpoint {
  const part = PARTS[id] ?? id;
  const [kind, from, to] = ENDS[part.charAt(0)] ?? ENDS['R']!;
  return id === 'current'
    ? { id, part, kind, measure: 'amps', gap: { part, pin: from } }
    : { id, part, kind, measure: 'volts', from: { part, pin: from }, to: { part, pin: to } };
}

/** New figures for a session whose readings carry other names for the same checkpoints: theirs are kept. */
export function underEarlierIds(next: SessionExpectation, before: SessionExpectation): SessionExpectation {
  const like =
    ({ part, measure }: Checkpoint) =>
    ({ point }: { point: Checkpoint }) =>
      point.part === part && point.measure === measure;
  const heldAs = (point: Checkpoint) =>
    JSON.stringify([point.held ?? {}, 'by' in point ? point.by : undefined]);
  const named = (point: Checkpoint, id: string) => {
    const alike = before.expected.points.filter(like(point));
    // One place may be measured in two lights: then each keeps the name that it had in its own.
    const own = alike.find((earlier) => heldAs(earlier.point) === heldAs(point));
    const alone = next.expected.points.filter(like(point)).length === 1 ? alike[0] : undefined;
    return (own ?? alone)?.id ?? id;
  };
  const ids = new Map(next.expected.points.map(({ id, point }) => [id, named(point, id)]));
  const renamed = (id: string) => ids.get(id) ?? id;
  const { expected, dictionary } = next;
  return {
    ...next,
    expected: {
      ...expected,
      points: expected.points.map((band) => ({
        ...band,
        id: renamed(band.id),
        point: { ...band.point, id: renamed(band.point.id) },
      })),
    },
    dictionary: {
      ...dictionary,
      points: dictionary.points.map((point) => ({ ...point, id: renamed(point.id) })),
      signatures: dictionary.signatures.map((one) =>
        one.data.point === undefined
          ? one
          : { ...one, data: { ...one.data, point: renamed(one.data.point) } },
      ),
    },
  };
}
