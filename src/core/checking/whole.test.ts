import { choiceWith, patternSheet, requestWith, ROUGH } from '../../../tests/support/sheets';
import { DEFAULT_METER } from '../catalogue/meter';
import type { PatternId } from '../patterns/index';
import { faultContext, sessionExpectation } from '../sheet/expectation';
import { candidatesIn, judgeBench, mistakesIn, SETTLED, type Noted } from './bench';
import { faultsOf } from './faults/index';
import { STARTING_COUNT, withExperience } from './experience';
import { risksOf } from './risks';
import { sharedCauses } from './shared';
import { GLANCE, WHOLE_BENCH, type SeenLook } from './seen';
import type { SessionExpectation } from './session';
import { simulatedBench, type SimulatedBench } from './simulated';
import { typedReading } from './noted';

interface Lesson {
  readonly session: SessionExpectation;
  readonly context: ReturnType<typeof faultContext>;
}

function lessonOf(pattern: PatternId): Lesson {
  const sheet = patternSheet(pattern, {}, 'half', ROUGH);
  const request = { ...requestWith({}, ROUGH), choice: choiceWith(pattern) };
  return { session: sessionExpectation(sheet, request), context: faultContext(sheet, request) };
}

const lessons = new Map<PatternId, Lesson>();
const lesson = (pattern: PatternId) =>
  lessons.get(pattern) ?? lessons.set(pattern, lessonOf(pattern)).get(pattern)!;

/** Measures and looks at whatever is asked for, until nothing is. */
function followed({ session }: Lesson, bench: SimulatedBench) {
  const noted: Noted[] = [];
  const looks: SeenLook[] = [];
  let judged = judgeBench(session, noted, looks);
  while (judged.next) {
    if (judged.next.point === GLANCE)
      looks.push(
        ...Object.keys(candidatesIn(session).right.looks).map((lamp) => ({
          lamp,
          word: bench.sight.looks[lamp] ?? 'dark',
        })),
      );
    else noted.push(bench.shown.find((one) => one?.point === judged.next!.point)!);
    judged = judgeBench(session, noted, looks);
  }
  return { judged, noted, looks };
}

function simulated({ session, context }: Lesson, code: string, seed: number, pick = 0): SimulatedBench {
  const candidate = faultsOf(context).filter((one) => one.code === code)[pick]!;
  return simulatedBench(candidate, session.dictionary.points, DEFAULT_METER, context, {
    seed,
    wider: 1.2,
    gain: seed % 2 ? 1 : -1,
  });
}

describe('a bench judged as a whole', () => {
  it.each(['single', 'rgb', 'blink'] as const)(
    'passes right builds of %s, whatever their parts',
    (pattern) => {
      const states = Array.from(
        { length: 8 },
        (_, seed) => followed(lesson(pattern), simulated(lesson(pattern), 'right', 31 + seed)).judged.state,
      );
      expect(states.filter((state) => state !== 'right')).toEqual([]);
    },
  );

  it('is right only so far while something not yet looked for would show in what is left', () => {
    const { session } = lesson('single');
    const pack = judgeBench(session, [{ point: 'pack', value: 4.8, step: 0.01 }]);
    expect(pack.state).toBe('right');
    expect(pack.open).toBeGreaterThan(SETTLED);
    expect(pack.next).toBeDefined();
    const { judged } = followed(lesson('single'), simulated(lesson('single'), 'right', 5));
    expect(judged.open).toBeLessThanOrEqual(SETTLED);
    expect(judged.risk).toBeGreaterThanOrEqual(0);
    expect(judged.risk).toBeLessThan(0.25);
  });

  it('counts what is seen as a reading of its own kind', () => {
    const { session } = lesson('lamp-cover');
    const words = Object.keys(candidatesIn(session).right.looks).map((lamp): SeenLook => ({
      lamp,
      word: lamp === 'D2' ? 'dark' : 'lit',
    }));
    const judged = judgeBench(session, [], words);
    expect(judged.state).not.toBe('right');
    const named = judged.diagnosis!.groups.flatMap(({ causes }) => causes);
    expect(named.some(({ data }) => data.part === 'D2')).toBe(true);
    const whole = judgeBench(session, [], [{ lamp: WHOLE_BENCH, word: 'as-planned' }]);
    expect(whole.state).toBe('right');
    const single = lesson('single').session;
    const flickers = judgeBench(single, [], [{ lamp: 'D1', word: 'flicker' }]);
    expect(['loose-joint', 'bad-contact']).toContain(flickers.diagnosis!.groups[0]!.causes[0]!.code);
    const colour = judgeBench(single, [], [{ lamp: 'D1', word: 'other-colour' }]);
    expect(colour.diagnosis!.groups[0]!.causes[0]!.code).toBe('other-lamp');
  });

  it('looks again where a look goes badly with readings that are all right', () => {
    const { noted } = followed(lesson('single'), simulated(lesson('single'), 'right', 9));
    expect(judgeBench(lesson('single').session, noted, [{ lamp: 'D1', word: 'dark' }]).state).not.toBe(
      'right',
    );
  });

  it('finds two things wrong at once where no single one explains the readings', () => {
    const { session, context } = lesson('single');
    const all = faultsOf(context);
    const tired = all.find(({ code }) => code === 'supply-tired')!;
    const ten = all.find(({ code, data }) => code === 'wrong-resistor' && data.ohms === 3300)!;
    const circuit = {
      ...context.circuit,
      parts: context.circuit.parts.map((part, i) =>
        part.id === 'R1' ? ten.circuit.parts[i]! : tired.circuit.parts[i]!,
      ),
    };
    const bench = simulatedBench({ ...ten, circuit }, session.dictionary.points, DEFAULT_METER, context, {
      seed: 3,
    });
    const { judged } = followed({ session, context }, bench);
    expect(judged.state).toBe('off');
    const named = judged.diagnosis!.groups.slice(0, 3).flatMap(({ causes }) => causes);
    expect(named.some(({ code, also }) => [code, also?.code].includes('wrong-resistor'))).toBe(true);
  });

  it('has a verdict of its own for a right build whose pack is tired, and it is what the house takes it for', () => {
    const { session } = lesson('single');
    const bench = simulated(lesson('single'), 'supply-tired', 3);
    const all = bench.shown.map((one) => one!);
    for (const tiredPack of ['right', 'off'] as const) {
      const { state, tired, diagnosis } = judgeBench({ ...session, tiredPack }, all);
      expect({ state, tired }).toEqual({ state: tiredPack, tired: true });
      expect(diagnosis!.groups[0]!.causes[0]!.code).toMatch(/^supply-(tired|used)$/u);
    }
    // A lamp that is dark does not work, whatever the pack.
    const dark = judgeBench(session, all, [{ lamp: 'D1', word: 'dark' }]);
    expect(dark.tired).toBeUndefined();
    const { tiredPack: _chosen, ...earlier } = session;
    expect(judgeBench(earlier, all).tired).toBeUndefined();
  });

  it('names every mistake that makes the same circuit, by its part', () => {
    const { session } = lesson('single');
    const { groups } = judgeBench(session, [
      { point: 'R1', value: 0, step: 0.01 },
      { point: 'current', value: 0, step: 1e-5 },
      { point: 'pack', value: 4.8, step: 0.01 },
    ]).diagnosis!;
    const open = groups.find(({ causes }) => causes.some(({ code }) => code === 'jumper-missing'))!;
    const strays = open.causes.filter(({ code }) => code === 'leg-astray').map(({ data }) => data.part);
    expect(strays).toEqual(expect.arrayContaining(['D1', 'R1']));
    const sum = groups.flatMap(({ causes }) => causes).reduce((all, { probability }) => all + probability, 0);
    expect(sum).toBeLessThanOrEqual(1 + 1e-9);
    const known = mistakesIn(session).filter(({ code, data }) => code === 'leg-astray' && data.part === 'D1');
    expect(known.map(({ data }) => data.pin).sort()).toEqual(['anode', 'cathode']);
  });

  it('knows of one cell turned in its holder', () => {
    const { session, context } = lesson('single');
    const turned = faultsOf(context).find(({ code }) => code === 'cell-reversed')!;
    // Three cells of 1.6 V, one of them against the others.
    expect(turned.data.volts).toBeCloseTo(1.6, 6);
    const { groups } = judgeBench(session, [{ point: 'pack', value: 1.6, step: 0.01 }]).diagnosis!;
    expect(groups[0]!.causes[0]!.code).toBe('cell-reversed');
  });

  it('says what each outcome of the next measurement would mean', () => {
    const { session } = lesson('single');
    const { next } = judgeBench(session, [{ point: 'R1', value: 0, step: 0.01 }]);
    const outcomes = next!.outcomes!;
    expect(outcomes.length).toBeGreaterThan(1);
    expect(outcomes.every(({ causes }) => causes.length > 0)).toBe(true);
    expect(outcomes.reduce((sum, { probability }) => sum + probability, 0)).toBeLessThanOrEqual(1 + 1e-9);
  });
});

describe('a class and a house', () => {
  const { session } = lesson('single');
  const off = judgeBench(session, [
    { point: 'pack', value: 4.8, step: 0.01 },
    { point: 'R1', value: 3.03, step: 0.01 },
    { point: 'current', value: 0.92e-3, step: 1e-5 },
  ]);
  const right = judgeBench(session, [{ point: 'pack', value: 4.8, step: 0.01 }]);

  it('share a cause that several benches show, and none that one shows', () => {
    const shared = sharedCauses([off, right, off, off, right]);
    expect(shared).toHaveLength(1);
    expect(shared[0]).toMatchObject({
      cause: { code: 'wrong-resistor', data: { ohms: 3300 } },
      benches: [0, 2, 3],
    });
    expect(sharedCauses([off, right, right, off])).toEqual([]);
  });

  it('weigh a mistake by how often it was found, beside the starting figures', () => {
    const share = (dictionary: typeof session.dictionary) => {
      const wrong = dictionary.signatures.filter(({ code }) => code !== 'right' && code !== 'supply-used');
      const of = (list: typeof wrong) => list.reduce((sum, { prior }) => sum + prior, 0);
      return of(wrong.filter(({ code }) => code === 'lamp-reversed')) / of(wrong);
    };
    const before = share(session.dictionary);
    const after = share(withExperience(session.dictionary, { 'lamp-reversed': 10 }));
    expect(after).toBeCloseTo((STARTING_COUNT * before + 10) / (STARTING_COUNT + 10), 9);
    expect(withExperience(session.dictionary, {})).toBe(session.dictionary);
  });

  it('do not call right a bench whose lamp looks odd while something could still tell', () => {
    const dim = judgeBench(
      session,
      [{ point: 'pack', value: 4.8, step: 0.01 }],
      [{ lamp: 'D1', word: 'dim' }],
    );
    expect(dim.state).not.toBe('right');
    expect(dim.next).toBeDefined();
  });
});

describe('the risks of a checkpoint', () => {
  const { session } = lesson('single');
  const { points, proposal } = risksOf(session);

  it('follow from its spread and the meter’s: few right builds fail, some wrong ones pass', () => {
    for (const { failRight, passWrong, guard } of points) {
      expect(failRight).toBeGreaterThanOrEqual(0);
      expect(failRight).toBeLessThan(0.1);
      expect(passWrong).toBeGreaterThan(0);
      expect(passWrong).toBeLessThan(1);
      expect(guard).toBeGreaterThan(0);
    }
  });

  it('propose the fewest that catch most, each adding to those before', () => {
    const caught = proposal.points.map((one) => one.caught);
    expect(caught).toEqual([...caught].sort((a, b) => a - b));
    expect(proposal.points.length).toBeLessThanOrEqual(session.dictionary.points.length + 1);
    expect(proposal.most - caught[caught.length - 1]!).toBeLessThan(0.03);
  });
});

describe('a simulated bench', () => {
  it('shows what the right build reads within what its spreads and the meter allow', () => {
    const { session } = lesson('single');
    const bench = simulated(lesson('single'), 'right', 4);
    const { widths, right, dictionary } = candidatesIn(session);
    const own = widths[dictionary.signatures.indexOf(right)]!;
    bench.shown.forEach((one, i) => expect(Math.abs(one!.value - right.means[i]!)).toBeLessThan(5 * own[i]!));
    expect(bench.sight.looks).toEqual({ D1: 'lit' });
    expect(simulated(lesson('single'), 'right', 4)).toEqual(bench);
    expect(simulated(lesson('single'), 'lamp-reversed', 4).sight.looks).toEqual({ D1: 'dark' });
  });

  it('is typed with the digits that its meter showed', () => {
    expect(typedReading({ value: 0.00885, step: 1e-5 }, 'amps')).toBe('8.85');
    expect(typedReading({ value: -0.001, step: 0.01 }, 'volts')).toBe('0.00');
    expect(typedReading({ value: 0.7, step: 0 }, 'hertz')).toBe('0.7');
  });
});
