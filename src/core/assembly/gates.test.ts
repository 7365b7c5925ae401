import fc from 'fast-check';
import { choiceWith, requestWith } from '../../../tests/support/sheets';
import { WISHES } from '../../../tests/support/wishes';
import { LESSONS } from '../../demo/lessons';
import type { BoardChoice } from '../board/boards';
import { brightnessAt } from '../catalogue/brightness';
import { lightSensorOhms, SCENE_LUX } from '../catalogue/light';
import { readBack } from '../board/readBack';
import { isKind, type Circuit } from '../circuit/circuit';
import { isSource, sourceOf } from '../circuit/source';
import { PATTERN_IDS } from '../patterns/index';
import type { PatternChoice } from '../sheet/choice';
import { makeSheet, type Sheet } from '../sheet/sheet';
import { isScene } from '../observe/held';
import { tied } from '../observe/observe';
import { withoutWires } from '../circuit/wires';
import { running } from '../program/measuring';
import { run } from '../solver/run/run';
import { solve } from '../solver/solve';
import { idsOf, type Gate } from './step';

const BOARDS: readonly BoardChoice[] = ['half', 'full', 'strip', 'pad', 'mini', 'card'];
/** Switchings after which every lamp of a fast lesson has had its turn. */
const enough = (events: readonly unknown[]) => events.length > 250;
/** Seconds in which every lamp of a lesson that moves has had its turn. */
const LONG = 40;
/** More than 200 wishes over all patterns; lessons of two chips, or of a tone, take the longest to follow. */
const EACH = 7;
const EACH_LONG: Readonly<Record<string, number>> = {
  alternate: 3,
  chain: 4,
  tone: 6,
  'beam-alarm': 6,
  'sound-lights': 2,
};

function sheetFor(choice: PatternChoice): Sheet | undefined {
  const made = makeSheet({
    ...requestWith(),
    choice,
    draws: { samples: 60, seed: 3, coverage: 0.95, ends: 'one' },
  });
  return made.ok ? made.value : undefined;
}

/** The circuit that the pieces named so far make, buttons and knobs where the gate says that they are held. */
function standing(sheet: Sheet, there: ReadonlySet<string>, { held }: Gate): Circuit {
  const { plan, measuring } = sheet;
  // A controller runs the program for measuring until the last test is over.
  const circuit = measuring ? running(measuring, sheet.circuit) : sheet.circuit;
  const placements = plan.placements.filter(({ part }) => there.has(part) || isSource(circuit, part));
  const built = readBack({ ...plan, placements }, circuit);
  return {
    ...built,
    parts: built.parts.map((part) => {
      const hand = held[part.id];
      if (isKind(part, 'switch'))
        return { ...part, params: { ...part.params, closed: hand === 'closed' || hand === 'on' } };
      if (isKind(part, 'ldr') && hand !== undefined && isScene(hand))
        return { ...part, params: { ...part.params, lux: SCENE_LUX[hand] } };
      if (isKind(part, 'signal') && typeof hand === 'number' && part.params.level !== undefined) {
        const played = hand > 0 ? { amplitude: part.params.level, hertz: hand } : { amplitude: 0 };
        return { ...part, params: { ...part.params, ...played } };
      }
      if (isKind(part, 'potentiometer') && typeof hand === 'number')
        return { ...part, params: { ...part.params, position: hand } };
      return part;
    }),
  };
}

/** What is false at a gate, in words; nothing where it holds. */
function broken(sheet: Sheet, there: ReadonlySet<string>, gate: Gate): string[] {
  const built = standing(sheet, there, gate);
  const source = sourceOf(built);
  if (source?.kind === 'signal') return brokenOnPulses(built, source.params, gate);
  if (built.parts.some(({ kind }) => kind === 'pin')) return brokenByTable(built, gate);
  if (built.parts.some((part) => isKind(part, 'signal') && part.params.amplitude > 0))
    return brokenBySound(built, gate);
  const now = solve(tied(built));
  if (!now.ok && now.findings[0]?.code !== 'oscillates') return ['does not settle'];
  const lamps = built.parts.filter((part) => isKind(part, 'led'));
  // What never rests is followed for long enough to see every lamp of it; a lamp counts by the most that it carries.
  const gone = now.ok
    ? undefined
    : run(withoutWires(tied(built)), { seconds: LONG, samples: 'steps' }, { enough });
  if (gone && !gone.ok) return ['cannot be followed'];
  const most = (id: string) => gone?.value.parts[id]?.amps.reduce((a, b) => Math.max(a, b), 0) ?? 0;
  const seen = lamps.flatMap(({ id, params }) => {
    const amps = now.ok ? (now.value.parts[id]?.amps ?? 0) : most(id);
    return [...falseLight(gate, id, amps), ...falseLook(gate, id, amps, params.maxAmps)];
  });
  const read = gate.readings.flatMap(({ part, measure, low, high }) => {
    const volts = now.ok ? Math.abs(now.value.parts[part]?.volts ?? 0) : NaN;
    const within = volts >= 0.95 * low && volts <= 1.05 * high;
    return measure !== 'volts' || within ? [] : [`${part} reads ${volts} V, not ${low} to ${high}`];
  });
  return [...seen, ...read];
}

/** Seconds after switching on, from empty capacitors, in which a build has surely found its rest; and over which it is looked at. */
const [SETTLED, LOOKED] = [0.25, 0.06];

/** While a tone is played a lamp counts by its mean: switched on with empty capacitors here, and followed for long. */
function brokenBySound(whole: Circuit, gate: Gate): string[] {
  const circuit = withoutWires(tied(whole));
  const gone = run(circuit, { seconds: SETTLED + LOOKED, settle: SETTLED, samples: 2 });
  if (!gone.ok) return ['cannot be followed'];
  const { means, nodeMeans } = gone.value;
  const lamps = circuit.parts.filter((part) => isKind(part, 'led'));
  const read = gate.readings.flatMap(({ part, measure, low, high }) => {
    const [a, b] = Object.values(circuit.parts.find(({ id }) => id === part)!.pins);
    const volts = Math.abs((nodeMeans[a!] ?? 0) - (nodeMeans[b!] ?? 0));
    const within = volts >= 0.95 * low && volts <= 1.05 * high;
    return measure !== 'meanVolts' || within ? [] : [`${part} reads ${volts} V, not ${low} to ${high}`];
  });
  return [...lamps.flatMap(({ id }) => falseLight(gate, id, means[id] ?? 0)), ...read];
}

/** On pulses a lamp counts by its mean, or where each flash is seen by the peak: the run is made by itself here. */
function brokenOnPulses(whole: Circuit, { hertz, duty }: { hertz: number; duty: number }, gate: Gate) {
  const circuit = withoutWires(tied(whole));
  const gone = run(circuit, { seconds: 4 / hertz, samples: 'steps' });
  if (!gone.ok) return ['cannot be followed'];
  const { means, nodeMeans } = gone.value;
  const shown = (id: string) => (hertz < 50 ? (means[id] ?? 0) / duty : (means[id] ?? 0));
  const read = gate.readings.flatMap(({ part, measure, low, high }) => {
    const [a, b] = Object.values(circuit.parts.find(({ id }) => id === part)!.pins);
    const volts = Math.abs((nodeMeans[a!] ?? 0) - (nodeMeans[b!] ?? 0));
    const within = volts >= 0.95 * low && volts <= 1.05 * high;
    return measure !== 'meanVolts' || within ? [] : [`${part} reads ${volts} V, not ${low} to ${high}`];
  });
  const lamps = circuit.parts.filter((part) => isKind(part, 'led'));
  return [
    ...lamps.flatMap(({ id, params }) => [
      ...falseLight(gate, id, shown(id)),
      ...falseLook(gate, id, shown(id), params.maxAmps),
    ]),
    ...read,
  ];
}

/** Whether a pin that follows a reading is high: the share of the rail between its sensor and its resistor. */
function followsNow({ parts }: Circuit): boolean {
  const pin = parts.find((part) => isKind(part, 'pin') && part.params.drive === 'rule');
  const sensor = parts.find((part) => isKind(part, 'ldr'));
  const trim = parts.find((part) => isKind(part, 'resistor') && part.id === 'R2');
  if (!pin || !isKind(pin, 'pin')) return false;
  const { below = -1, above = 2 } = pin.params;
  const upper =
    sensor && isKind(sensor, 'ldr') ? lightSensorOhms(sensor.params, sensor.params.lux) : Infinity;
  const lower = trim && isKind(trim, 'resistor') ? trim.params.ohms : Infinity;
  const share = upper === Infinity ? 0 : lower === Infinity ? 1 : lower / (lower + upper);
  return share < below || share > above;
}

/** Instants of a round of pulses at which the pins of a program are looked at. */
const PHASES = 32;

/** By a table a lamp counts by the most that it has on average at either end of any row: pulses are sampled here. */
function brokenByTable(whole: Circuit, gate: Gate): string[] {
  const circuit = withoutWires(tied(whole));
  const pins = circuit.parts.filter((part) => isKind(part, 'pin'));
  const rows = Math.max(...pins.map(({ params }) => params.spells.length));
  const still = {
    high: () => 1,
    low: () => 0,
    input: () => 0,
    rule: () => (followsNow(circuit) ? 1 : 0),
  } as const;
  const shareOf = ({ params }: (typeof pins)[number], row: number, end: 'from' | 'to') => {
    if (params.drive === 'table') return params.spells[row]?.[end] ?? params.after;
    return params.drive === 'pwm' ? params.duty : still[params.drive]();
  };
  const ends = Array.from({ length: rows + 1 }, (_, row) => row).flatMap((row) =>
    (['from', 'to'] as const).map((end) => pins.map((pin) => shareOf(pin, row, end))),
  );
  const lamps = circuit.parts.filter((part) => isKind(part, 'led'));
  const known = new Map<string, Record<string, number>>();
  const ampsAt = (high: readonly boolean[]) => {
    const key = high.join();
    const before = known.get(key);
    if (before) return before;
    const drives = new Map(pins.map(({ id }, i) => [id, high[i] ? ('high' as const) : ('low' as const)]));
    const parts = circuit.parts.map((part) =>
      isKind(part, 'pin') && part.params.drive !== 'input'
        ? { ...part, params: { ...part.params, drive: drives.get(part.id)! } }
        : part,
    );
    const now = solve({ ...circuit, parts });
    const amps = Object.fromEntries(
      lamps.map(({ id }) => [id, now.ok ? (now.value.parts[id]?.amps ?? 0) : NaN]),
    );
    known.set(key, amps);
    return amps;
  };
  const most = (id: string) =>
    ends.reduce((best, shares) => {
      const phases = Array.from({ length: PHASES }, (_, k) => (k + 0.5) / PHASES);
      const sum = phases.reduce((all, phase) => all + ampsAt(shares.map((share) => phase < share))[id]!, 0);
      return Math.max(best, sum / PHASES);
    }, 0);
  // Between two phases a faint lamp may be missed: only what is clear counts.
  return lamps.flatMap(({ id }) => (most(id) > 5e-4 || most(id) === 0 ? falseLight(gate, id, most(id)) : []));
}

function falseLight({ lit, may }: Gate, lamp: string, amps: number): string[] {
  if (lit.includes(lamp)) return amps < 2e-4 ? [`${lamp} is said to light at ${amps} A`] : [];
  return amps > 1e-4 && !may.includes(lamp) ? [`${lamp} is said to stay dark at ${amps} A`] : [];
}

/** What is said of how a lamp looks is what it does then, not what it does when the lesson is done. */
function falseLook({ looks }: Gate, lamp: string, amps: number, maxAmps: number): string[] {
  const look = looks[lamp];
  const right = [0.98, 1, 1.02].map((share) => brightnessAt(share * amps, maxAmps));
  return look === undefined || right.includes(look) ? [] : [`${lamp} is said to be ${look} at ${amps} A`];
}

function falseGates(sheet: Sheet): string[] {
  const there = new Set<string>();
  return sheet.steps.flatMap((step) => {
    for (const id of idsOf(step)) there.add(id);
    if (!('gate' in step) || !step.gate.power) return [];
    return broken(sheet, there, step.gate).map((what) => `${step.id}: ${what}`);
  });
}

describe('what a gate promises is what the pieces on the board do', () => {
  it.each(LESSONS.map(({ title, choice }) => [title, choice] as const))('in %s', (_, choice) => {
    const sheet = sheetFor(choice)!;
    expect(falseGates(sheet)).toEqual([]);
    // The last gate shows what the lesson is for.
    const last = sheet.steps.filter((step) => 'gate' in step && step.gate.power).at(-1);
    const gate = last && 'gate' in last ? last.gate : undefined;
    // Of lamps that have each their own tone, those are meant whose tone is played.
    const meant = (lamp: string) => !sheet.shows || sheet.shows[lamp]?.['J1l'] === gate?.held['J1l'];
    const lit = sheet.built.lamps
      .filter(({ amps, part }) => amps > 1e-3 && meant(part))
      .map(({ part }) => part);
    expect([...(gate?.lit ?? []), ...(gate?.may ?? [])]).toEqual(expect.arrayContaining(lit));
  });

  it.each(PATTERN_IDS)('in %s, for any wishes on any board', (pattern) => {
    const wishes = fc.sample(WISHES[pattern] as fc.Arbitrary<object>, {
      numRuns: EACH_LONG[pattern] ?? EACH,
      seed: 19,
    });
    let gates = 0;
    wishes.forEach((params, i) => {
      const sheet = sheetFor(choiceWith(pattern, params as never, BOARDS[i % BOARDS.length]!));
      if (!sheet) return;
      gates += sheet.steps.filter((step) => 'gate' in step && step.gate.power).length;
      expect(falseGates(sheet)).toEqual([]);
    });
    expect(gates).toBeGreaterThan(0);
  });

  it('names at every gate the button that must be held for it', () => {
    const sheet = sheetFor(choiceWith('gauge', {}, 'full'))!;
    const buttons = sheet.circuit.parts.filter(({ kind }) => kind === 'switch').map(({ id }) => id);
    expect(buttons.length).toBeGreaterThan(0);
    const there = new Set<string>();
    for (const step of sheet.steps) {
      for (const id of idsOf(step)) there.add(id);
      if (!('gate' in step) || !step.gate.power) continue;
      const placed = buttons.filter((id) => there.has(id));
      expect(Object.keys(step.gate.held)).toEqual(expect.arrayContaining(placed));
    }
  });
});
