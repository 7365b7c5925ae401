import { patternSheet, requestWith, sheetWith } from '../../../tests/support/sheets';
import { DEFAULT_METER } from '../catalogue/meter';
import type { Sheet } from '../sheet/sheet';
import { faultContext } from '../sheet/expectation';
import { dryRuns, type DryRun } from './dryRun';

const runsOf = (sheet: Sheet): DryRun[] => dryRuns(faultContext(sheet, requestWith()), DEFAULT_METER);
const find = (runs: readonly DryRun[], code: DryRun['code'], data: Partial<DryRun['data']> = {}) =>
  runs.find((run) =>
    [run, ...run.alike].some(
      (one) => one.code === code && Object.entries(data).every(([k, v]) => one.data[k as 'part'] === v),
    ),
  )!;

describe('one lamp damaged on purpose', () => {
  const runs = runsOf(sheetWith());
  const reading = (run: DryRun, id: string) => run.readings.find((r) => r.id === id)!;

  it('reads in a right build what the sheet expects', () => {
    const [any] = runs;
    expect(reading(any!, 'R1').before).toBeCloseTo(2.92, 2);
    expect(reading(any!, 'D1').before).toBeCloseTo(1.88, 2);
  });

  it('the lamp turned round: dark, the whole supply across it, nothing ruined', () => {
    const run = find(runs, 'lamp-reversed');
    expect(run.lamps[0]).toMatchObject({ change: 'dark', brightness: 'dark' });
    expect(run.ruins).toEqual([]);
    expect(reading(run, 'D1').after).toBeCloseTo(-4.8, 3);
    expect(reading(run, 'R1').after).toBeCloseTo(0, 6);
  });

  it('the resistor shorted: ruined at once', () => {
    const run = find(runs, 'resistor-shorted');
    expect(run.lamps[0]!.change).toBe('ruined');
    expect(run.ruins[0]).toMatchObject({ part: 'D1', how: 'current', lasting: 'at once' });
    expect(run.ruins[0]!.figure).toBeGreaterThan(0.5);
  });

  it('ten times too small: far over its limit, within seconds; ten times too large: dimmer', () => {
    const small = find(runs, 'wrong-resistor', { ohms: 33 });
    expect(small.ruins[0]).toMatchObject({ part: 'D1', lasting: 'seconds' });
    const large = find(runs, 'wrong-resistor', { ohms: 3300 });
    expect(large.lamps[0]!.change).toBe('dimmer');
    expect(large.lamps[0]!.after / large.lamps[0]!.before).toBeCloseTo(0.1, 1);
  });

  it('a tired battery: dimmer, or as before where nobody would see it', () => {
    expect(find(runs, 'supply-tired').lamps[0]).toMatchObject({ change: 'dimmer' });
    expect(find(runs, 'supply-dead').lamps[0]).toMatchObject({ change: 'dark' });
  });

  it('a slip of the meter: a blown fuse leaves the loop open while one measures, swapped probes turn the sign', () => {
    const run = find(runs, 'fuse-blown');
    expect(run.lamps[0]!.change).toBe('dark');
    expect(reading(run, 'current').after).toBe(0);
    const swapped = runs.find((r) => r.code === 'probes-swapped' && r.data.point === undefined)!;
    for (const { before, after } of swapped.readings) expect(after).toBeCloseTo(-before, 9);
  });

  it('leaves the right build out of the list', () => {
    expect(runs.map(({ code }) => code)).not.toContain('right');
    expect(runs.length).toBeGreaterThan(20);
  });
});

describe('several lamps', () => {
  it('a reversed nine-volt block: a lamp by itself gets more than it stands in reverse, one of two does not', () => {
    const ruins = find(
      runsOf(patternSheet('strings', { way: { kind: 'strings', length: 2 } })),
      'supply-reversed',
    ).ruins;
    expect(ruins.map(({ part, how }) => [part, how])).toEqual([['D5', 'reverse']]);
    expect(ruins[0]!.figure).toBeCloseTo(9.5, 2);
  });

  it('a reversed lamp darkens its own string and no other', () => {
    const sheet = patternSheet('strings', { way: { kind: 'strings', length: 2 } });
    const run = find(runsOf(sheet), 'lamp-reversed', { part: 'D1' });
    expect(run.lamps.map(({ part, change }) => [part, change])).toEqual([
      ['D1', 'dark'],
      ['D2', 'dark'],
      ['D3', 'as before'],
      ['D4', 'as before'],
      ['D5', 'as before'],
    ]);
  });

  it('a shorted lamp on a 12 V cover overdrives the rest of its string', () => {
    const sheet = patternSheet('lamp-cover', { count: 6 }, 'pad');
    const run = find(runsOf(sheet), 'lamp-shorted', { part: 'D1' });
    expect(run.lamps.find(({ part }) => part === 'D2')!.change).toMatch(/brighter|ruined/u);
    expect(run.lamps.find(({ part }) => part === 'D4')!.change).toBe('as before');
  });

  it('a jumper missing its row takes what hangs on it along', () => {
    const sheet = patternSheet('panel', { rows: 1, columns: 3 }, 'half');
    const wire = sheet.plan.placements.find(({ kind }) => kind === 'jumper')!;
    const run = find(runsOf(sheet), 'jumper-missing', { part: wire.part });
    expect(run.lamps.some(({ change }) => change === 'dark')).toBe(true);
  });
});

describe('what moves, damaged on purpose', () => {
  it('blinks slower with ten times the capacitor, faster with a tenth of it, and stays as it is or dark without it', () => {
    const runs = runsOf(patternSheet('blink', {}, 'full'));
    const slow = runs.find(({ code, lamps }) => code === 'wrong-capacitor' && lamps[0]!.change === 'slower')!;
    const { before, after } = slow.lamps[0]!.hertz!;
    expect(after! / before!).toBeCloseTo(0.1, 1);
    expect(runs.some(({ code, lamps }) => code === 'wrong-capacitor' && lamps[0]!.change === 'faster')).toBe(
      true,
    );
    // What it carries while it is lit is told, no mean of lit and dark.
    expect(slow.lamps[0]!.before).toBeCloseTo(slow.lamps[0]!.after, 4);
  });

  it('is lit for a shorter or a longer time after a press, as that very build is once it is pressed', () => {
    const runs = runsOf(patternSheet('one-shot', {}, 'full'));
    const lamp = (run: DryRun) => run.lamps[0]!;
    const tenth = runs.find(
      (run) => lamp(run).change === 'shorter' && run.alike.some(({ code }) => code === 'wrong-capacitor'),
    )!;
    // 1.1 times R and C: a tenth of the one or of the other, a tenth of the time; they do the same.
    expect(lamp(tenth).litFor!.after! / lamp(tenth).litFor!.before).toBeCloseTo(0.1, 1);
    expect(runs.some((run) => lamp(run).change === 'longer')).toBe(true);
    expect(lamp(find(runs, 'lamp-reversed')).change).toBe('dark');
    for (const run of runs) expect(lamp(run).before).toBeGreaterThan(1e-3);
  });

  it('sounds lower, higher or not at all, in a lesson without a lamp', () => {
    const runs = runsOf(patternSheet('tone', {}, 'full'));
    expect(new Set(runs.map(({ sound }) => sound?.change))).toEqual(
      new Set(['silent', 'lower', 'higher', 'as before']),
    );
    expect(find(runs, 'chip-turned').sound).toMatchObject({ part: 'LS1', change: 'silent' });
  });
});

describe('mistakes that do and read just the same', () => {
  it('stand once, behind the likeliest, and the likeliest come first', () => {
    const runs = runsOf(sheetWith());
    const shown = runs.map(({ lamps, readings, ruins }) =>
      JSON.stringify([
        lamps.map(({ change }) => change),
        ruins.map(({ part }) => part),
        readings.map(({ after }) => (Math.abs(after) < 1e-6 ? 0 : Number(after.toPrecision(3)))),
      ]),
    );
    expect(new Set(shown).size).toBe(runs.length);
    expect(runs.some(({ alike }) => alike.length > 0)).toBe(true);
    const priors = runs.map(({ prior }) => prior);
    expect(priors).toEqual([...priors].sort((a, b) => b - a));
  });
});
