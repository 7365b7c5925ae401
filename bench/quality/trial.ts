import {
  candidatesIn,
  observe,
  sightOf,
  simulatedBench,
  uniform,
  type FaultContext,
  type JudgedPoint,
  type SessionExpectation,
  type SimulatedBench,
} from '@/core';
import type { Build } from './builds';
import { play, playPlain, type Plain, type Played } from './play';
import { couldShow, isTrue, type Named } from './score';

/** Parts spread wider than is assumed of them by this much; the meter is off by its limit, one way or the other. */
const WIDER = 1.2;
/** Hands that read a current on the range beside the usual one, of a hundred. */
const BESIDE = 0.3;

/** The probes are held either way where nothing tells the legs apart. */
function probedEitherWay(
  bench: SimulatedBench,
  points: readonly JudgedPoint[],
  seed: number,
): SimulatedBench {
  const shown = bench.shown.map((one, i) =>
    one && points[i]!.eitherWay && uniform(seed, i, 6) < 0.5 ? { ...one, value: -one.value } : one,
  );
  return { ...bench, shown };
}

/** A meter that is right, to ask what could be seen of a build at all. */
const EXACT = { share: 0, counts: 0 };

/** One simulated build, how it was judged, and how well. */
export interface Trial {
  readonly build: Build;
  readonly bench: SimulatedBench;
  readonly played: Played;
  readonly plain: Plain;
  /** Whether anything could show that it is wrong. */
  readonly shows: boolean;
  /** Whether what is wrong, or what nothing tells from it, was named first, or among the first three. */
  readonly first: boolean;
  readonly three: boolean;
  readonly plainFirst: boolean;
  readonly plainThree: boolean;
}

/** @returns undefined for a build that cannot be read, or whose slip of the meter nobody came upon */
export function tryOut(session: SessionExpectation, context: FaultContext, build: Build): Trial | undefined {
  const { candidate, seed } = build;
  const { points, signatures } = session.dictionary;
  const { meter } = session;
  const gain = uniform(seed, 0, 3) < 0.5 ? -1 : 1;
  const beside = uniform(seed, 0, 5) < BESIDE;
  const held = simulatedBench(candidate, points, meter, context, { seed, wider: WIDER, gain, beside });
  const bench = probedEitherWay(held, points, seed);
  if (bench.shown.some((one) => one === undefined)) return undefined;
  const sights = [
    bench.sight,
    ...(build.both ?? []).map((one) => sightOf(one, one.circuit, context, observe(one.circuit))),
  ];
  const played = play(session, bench, sights, seed);
  const slipAt = candidate.use === 'right' ? undefined : candidate.data.point;
  if (slipAt !== undefined && !played.judged.verdicts[slipAt]) return undefined;
  const exact = { ...meter, volts: EXACT, amps: EXACT };
  const nominal = simulatedBench(candidate, points, exact, context, { seed, wider: 0 });
  const candidates = candidatesIn(session);
  const plain = playPlain(session, bench);
  const trueIn = (causes: readonly Named[]) =>
    build.origin !== 'right' && causes.some((cause) => isTrue(build, nominal, cause, candidates));
  const groups = played.judged.diagnosis?.groups ?? [];
  const nearest = plain.first.map((place) => ({ ...signatures[place]!, place }));
  return {
    build,
    bench,
    played,
    plain,
    shows: build.origin !== 'right' && couldShow(session, nominal, candidates.widths),
    first: trueIn(groups[0]?.causes ?? []),
    three: trueIn(groups.slice(0, 3).flatMap(({ causes }) => causes)),
    plainFirst: trueIn(nearest.slice(0, 1)),
    plainThree: trueIn(nearest),
  };
}

/** Whether a build was judged otherwise than one would wish. */
export function isWeak({ build, played, shows, first }: Trial): boolean {
  const { state } = played.judged;
  return build.origin === 'right' ? state !== 'right' : shows && (state === 'right' || !first);
}

/** A build and its judgement on one line, to see where the judging is weak. */
export function spelt({ build, bench, played: { judged, readings } }: Trial): string {
  const wrong = (build.both ?? [build.candidate]).map(({ code, data }) => `${code} ${JSON.stringify(data)}`);
  const shown = bench.shown.map((one) => one!.value.toPrecision(3));
  const named = (judged.diagnosis?.groups ?? []).slice(0, 3).map(({ causes, probability }) => {
    const { code, data } = causes[0]!;
    return `${code} ${data.part ?? ''} ${data.ohms ?? ''} ${probability.toFixed(2)} of ${causes.length}`;
  });
  return [
    build.origin,
    ...wrong,
    shown.join(' '),
    Object.values(bench.sight.looks).join(' '),
    judged.state,
    readings,
    ...named,
  ].join(' | ');
}
