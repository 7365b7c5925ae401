import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { circuitFrom, solve, type PatternId } from '@/core';

function core(...args: string[]): { code: number | null; out: string; err: string } {
  const done = spawnSync(process.execPath, ['scripts/core.mjs', ...args], {
    encoding: 'utf8',
    input: '',
    timeout: 60_000,
    maxBuffer: 64 * 1024 * 1024,
  });
  return { code: done.status, out: done.stdout, err: done.stderr };
}

interface Lesson {
  wanted: object;
  asBuilt: object;
  plan: {
    board: string;
    pieces: { id: string; legs: Record<string, string>; parts?: object }[];
    jumpers: object[];
    supply: object;
    supplyParts?: Record<string, object>;
  };
  behaviour: {
    kind: string;
    parts: Record<string, { amps: number }>;
    cycles?: Record<string, object>;
  };
  checks: {
    id: string;
    typical: number;
    low: number;
    high: number;
    part: string;
    unit: string;
    held?: Record<string, number>;
  }[];
  steps: {
    kind: string;
    ids: string[];
    gate?: { power: boolean; lit: string[]; readings: { id: string; during?: string[]; typical?: number }[] };
    isolation?: { chip: string; parkings: { legs: object; lit: string[] }[] };
  }[];
  kit: { key: string; each: number }[];
}

interface Checked {
  state: string;
  verdicts: Record<string, { verdict: string; low: number }>;
  causes: { code: string; part: string; ohms?: number }[];
  next?: { id: string };
}

describe('the command line over whole lessons', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-lesson-'));
  afterAll(() => fs.rmSync(folder, { recursive: true }));
  const patterns = JSON.parse(core('lesson', '--patterns').out) as { id: PatternId; defaults: object }[];
  const fileOf = (id: PatternId): string => {
    const file = path.join(folder, `${id}.json`);
    const { defaults } = patterns.find((pattern) => pattern.id === id)!;
    fs.writeFileSync(file, JSON.stringify({ choice: { pattern: id, params: defaults } }));
    return file;
  };
  const lesson = (id: PatternId, ...more: string[]) => {
    const { out, err, code } = core('lesson', fileOf(id), '--samples', '200', ...more);
    expect([code, err]).toEqual([0, '']);
    return JSON.parse(out) as Lesson;
  };

  it('works the usual lamp out: plan, checks, gates and kit', () => {
    const { plan, checks, steps, kit, behaviour, asBuilt } = lesson('single');
    expect(plan.pieces.map(({ id }) => id)).toEqual(['R1', 'D1']);
    // (4.8 V − 1.88 V) over 330 Ω and the cells’ own 0.45 Ω.
    expect(behaviour.parts['D1']!.amps).toBeCloseTo(8.85e-3, 5);
    const built = circuitFrom(asBuilt);
    const solved = built.ok ? solve(built.value) : built;
    expect(solved.ok && solved.value.parts['D1']!.amps).toBeCloseTo(behaviour.parts['D1']!.amps, 9);
    expect(checks.map(({ id, unit }) => `${id} ${unit}`)).toEqual(['pack V', 'R1 V', 'D1 V', 'current A']);
    const last = steps.filter(({ gate }) => gate?.power).at(-1)!;
    expect(last.gate).toMatchObject({ lit: ['D1'], readings: [{ id: 'R1' }] });
    expect(steps.flatMap(({ ids }) => ids)).toEqual(expect.arrayContaining(['R1', 'D1', 'W1', 'B1']));
    expect(kit.find(({ key }) => key === 'resistor 330')).toMatchObject({ each: 1 });
  });

  it('holds a sensor in so many lux, and feeds a lamp on pulses from their source', () => {
    const sensed = lesson('light-switch');
    const held = sensed.checks.map((check) => check.held?.['L1']);
    expect(new Set(held)).toEqual(new Set([5, 400]));
    expect(sensed.steps.at(-1)!.gate).toMatchObject({ held: { L1: 5 }, lit: ['D1'] });
    const pulsed = lesson('pulsed');
    expect(pulsed.behaviour.kind).toBe('moving');
    expect(pulsed.plan.supply).toEqual({ plus: 'L+1', minus: 'L-1' });
    expect(pulsed.steps.flatMap(({ ids }) => ids)).toContain('B1');
  });

  it('tells of one half alone beside the gates, as its resistor is not on the board by then', () => {
    const { steps } = lesson('alternate', '--board', 'full');
    const step = steps.find(({ kind }) => kind === 'isolate')!;
    expect(step).toMatchObject({ ids: [], isolation: { chip: 'U1', without: 'U2' } });
    expect(step.gate).toBeUndefined();
    expect(step.isolation!.parkings.flatMap(({ lit }) => lit).sort()).toEqual(['D1', 'D2']);
  });

  it('says of a three-colour lamp which leg each of its parts has, on the board that is asked for', () => {
    const { plan } = lesson('rgb', '--board', 'full');
    expect(plan.board).toBe('full');
    const lamp = plan.pieces.find(({ parts }) => parts)!;
    expect(Object.keys(lamp.legs)).toEqual(['red', 'common', 'green', 'blue']);
    expect(Object.values(lamp.parts!)).toHaveLength(3);
  });

  it('tells of a program what its lamps do, which leg each pin is, and what is read while which lamp is lit', () => {
    const { behaviour, plan, steps } = lesson('sequence');
    expect(behaviour.cycles!['D1']).toMatchObject({ period: 9, high: 4, low: 5 });
    expect(plan.supplyParts!['G10']).toEqual({ pin: 'pin 10', ground: 'minus' });
    const [reading] = steps.find(({ kind }) => kind === 'block-gate')!.gate!.readings;
    expect(reading).toMatchObject({ id: 'R1', during: ['D1'] });
    // 5 V less 1.87 V of the lamp, in the ratio of 390 Ω to all ohms of the loop.
    expect(reading!.typical).toBeCloseTo(2.95, 2);
  });

  it('lists every mistake as a circuit that can be read', () => {
    const { out } = core('faults', fileOf('single'), '--samples', '50');
    const faults = JSON.parse(out) as { code: string; meter?: string; circuit: object }[];
    expect(faults.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['right', 'lamp-reversed', 'fuse-blown']),
    );
    expect(faults.find(({ code }) => code === 'fuse-blown')!.meter).toBe('fuse-blown');
    for (const { circuit } of faults) expect(circuitFrom(circuit).ok).toBe(true);
  });

  it.each([
    [['R1=2.91', 'current=8.6mA', 'pack=4.8'], 'right', undefined],
    [['R1=2.91', 'current=0.0086', 'pack=4.8'], 'right', undefined],
    [['R1=0.00', 'D1=-4.80', 'pack=4.80'], 'off', 'lamp-reversed'],
    [['R1=0.00', 'D1=4.80', 'pack=4.80'], 'off', 'lamp-open'],
    [['R1=3.03', 'D1=1.77', 'current=0.92mA'], 'off', 'wrong-resistor'],
  ] as const)('judges %p as %s', (readings, state, code) => {
    const { out } = core('check', fileOf('single'), '--samples', '1000', '--reading', ...readings);
    const checked = JSON.parse(out) as Checked;
    expect(checked.state).toBe(state);
    expect(checked.causes[0]?.code).toBe(code);
  });

  it('weighs what is seen, and asks for what would tell more', () => {
    const { out } = core('check', fileOf('single'), '--samples', '500', '--seen', 'D1=dark');
    const dark = JSON.parse(out) as Checked;
    expect(dark.state).toBe('off');
    expect(dark.next).toBeDefined();
  });

  it.each([
    [['check', 'FILE', '--reading', 'R9=2'], 'R9'],
    [['check', 'FILE', '--seen', 'D1=purple'], 'purple'],
    [['lesson', 'FILE', '--board', 'table'], 'table'],
    [['lesson', 'nowhere.json'], 'nowhere.json'],
    [['lesson'], 'FILE'],
  ])('refuses %p with one line that names it', (args, named) => {
    const { code, err } = core(...args.map((arg) => (arg === 'FILE' ? fileOf('single') : arg)));
    expect(code).toBe(2);
    expect(err.trim().split('\n')).toHaveLength(1);
    expect(err).toContain(named);
  });
});
