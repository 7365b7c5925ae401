import { patternSheet, requestWith, ROUGH, sheetWith, ROWS_ONLY } from '../../../../tests/support/sheets';
import { nets } from '../../board/sameCircuit';
import { DEFAULT_METER } from '../../catalogue/meter';
import { PATTERN_IDS } from '../../patterns/index';
import type { Sheet } from '../../sheet/sheet';
import { faultContext } from '../../sheet/expectation';
import { dryRuns, type DryRun } from '../dryRun';
import type { FaultCode } from '../../parts/mistake';
import { ASKED_STATES } from './fault';
import { faultsOf } from './index';

const candidatesOf = (sheet: Sheet) => faultsOf(faultContext(sheet, requestWith()));
/** Every mistake by itself, those that do just the same as another too. */
const runsOf = (sheet: Sheet): DryRun[] =>
  dryRuns(faultContext(sheet, requestWith()), DEFAULT_METER).flatMap((run) => [
    run,
    ...run.alike.map((one) => ({ ...run, ...one })),
  ]);
const changes = (run: DryRun) => run.lamps.map(({ part, change }) => `${part} ${change}`);
const only = (runs: readonly DryRun[], code: FaultCode) => runs.filter((run) => run.code === code);

const BOARDS = ['half', 'full-split', 'strip', 'pad', 'card'] as const;
const LONG: ReadonlySet<string> = new Set([
  'blink',
  'blink-simple',
  'one-shot',
  'alternate',
  'chain',
  'tone',
  'beam-alarm',
  'sound-lights',
]);

const LARGE: ReadonlySet<string> = new Set(['alternate', 'chain', 'sound-lights']);

describe.each(PATTERN_IDS)('mistakes of %s', (pattern) => {
  // A lesson that moves is followed for seconds with every mistake: its mistakes are named on two boards, and made on one
  // where it is of one chip. The others' are made in their dictionaries.
  const boards = LONG.has(pattern) ? (['half', 'pad'] as const) : BOARDS;
  it.each(boards)('on %s all settle, each once', (board) => {
    const made = (() => {
      try {
        return patternSheet(pattern, {}, board, ROUGH);
      } catch {
        // This pattern cannot be built on that board, which the sheet says.
        return undefined;
      }
    })();
    if (!made) return;
    const candidates = candidatesOf(made);
    const names = candidates.map(({ code, data }) => JSON.stringify([code, data]));
    expect(new Set(names).size).toBe(names.length);
    for (const { prior } of candidates) expect(prior).toBeGreaterThan(0);
    const wiring = candidates.filter(({ code }) =>
      ['jumper-missing', 'rail-gap', 'leg-astray', 'cut-missing', 'bridge', 'tape-torn'].includes(code),
    );
    const built = wiring.map(({ circuit }) => JSON.stringify(nets(circuit)));
    expect(new Set(built).size).toBe(built.length);
    if (board !== 'half' && board !== 'strip') return;
    if (LARGE.has(pattern)) return;
    // A right build with its knob elsewhere is a state, not a mistake that one makes on purpose.
    const mistakes = candidates.filter(
      ({ code, data }) => !data.byRows && !(ASKED_STATES.has(code) && code !== 'button-open'),
    );
    const named = ({ code, data }: Pick<DryRun, 'code' | 'data'>) => JSON.stringify([code, data]);
    const each = mistakes.flatMap((one) => [one, ...(one.alike ?? [])]);
    expect(runsOf(made).map(named).sort()).toEqual(each.map(named).sort());
  });
});

describe('a jumper left out', () => {
  it('on one lamp darkens it, and says which', () => {
    const missing = only(runsOf(sheetWith({}, ROWS_ONLY)), 'jumper-missing');
    expect(missing.map(({ data }) => data.part).sort()).toEqual(['W1', 'W2']);
    for (const run of missing) expect(changes(run)).toEqual(['D1 dark']);
  });

  it('between the halves of a split rail darkens what lies below', () => {
    const panel = patternSheet(
      'panel',
      { rows: 1, columns: 8, lamp: 'red', amps: 0.005 },
      'full-split',
      ROWS_ONLY,
    );
    const gaps = only(runsOf(panel), 'rail-gap');
    expect(gaps.length).toBeGreaterThan(0);
    for (const run of gaps) {
      const dark = run.lamps.filter(({ change }) => change === 'dark').length;
      expect(dark).toBeGreaterThan(0);
      expect(dark).toBeLessThan(8);
    }
  });
});

describe('on stripboard', () => {
  const sheet = patternSheet('panel', { rows: 1, columns: 3, lamp: 'red', amps: 0.005 }, 'strip');
  const runs = runsOf(sheet);

  it('every cut that is forgotten makes another circuit, and is one of the list', () => {
    expect(
      only(runs, 'cut-missing')
        .map(({ data }) => data.hole)
        .sort(),
    ).toEqual([...sheet.plan.cuts!].sort());
  });

  it('a bridge joins two neighbouring joints, never two of one net', () => {
    const bridges = only(runs, 'bridge');
    expect(bridges.length).toBeGreaterThan(0);
    for (const { data } of bridges) {
      const place = (hole: string) => [hole.charCodeAt(0), Number(hole.slice(1))] as const;
      const [a, b] = [place(data.hole!), place(data.other!)];
      expect(Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1])).toBe(1);
    }
  });
});

describe('on a card', () => {
  it('tapes that touch short the cell: its own ohms alone limit the current', () => {
    const sheet = patternSheet('coin-light', { copies: 2, lamp: 'white' }, 'card');
    const touching = only(runsOf(sheet), 'bridge')[0]!;
    expect(touching.data).toEqual({ hole: 'p0', other: 'm0' });
    expect(touching.ruins[0]).toMatchObject({ part: 'B1', how: 'shorted' });
    // A fresh coin cell: 3.2 V over 12 Ω.
    expect(touching.ruins[0]!.figure).toBeCloseTo(3.2 / 12, 3);
  });

  it('a tape torn before a lane darkens that lane and those after it', () => {
    const sheet = patternSheet('coin-light', { copies: 3, lamp: 'white' }, 'card');
    const torn = only(runsOf(sheet), 'tape-torn').find(({ data }) => data.hole === 'p2')!;
    const [first, ...rest] = torn.lamps;
    expect(first!.change).not.toBe('dark');
    for (const { change } of rest) expect(change).toBe('dark');
  });
});

describe('parts of the wrong sort', () => {
  it('a zener turned round conducts forwards: its lamp comes on far too early', () => {
    const sheet = patternSheet('gauge', {}, 'full');
    const runs = runsOf(sheet);
    const turned = only(runs, 'zener-reversed');
    const zeners = sheet.circuit.parts.filter(({ kind }) => kind === 'zener').length;
    expect(turned).toHaveLength(zeners);
    for (const run of turned) {
      const lamp = `D${run.data.part!.slice(1)}`;
      expect(run.lamps.find(({ part }) => part === lamp)!.change).toMatch(/brighter|ruined/u);
    }
    expect(only(runs, 'zeners-exchanged')).toHaveLength((zeners * (zeners - 1)) / 2);
  });

  it('sensor and resistor in each other’s arm turn the controller’s rule round: dark where it was to be lit', () => {
    const [run] = only(runsOf(patternSheet('dusk-controller', {})), 'arms-exchanged');
    expect(run!.data).toMatchObject({ part: 'L1', other: 'R2' });
    expect(run!.lamps).toMatchObject([{ part: 'D1', change: 'dark' }]);
  });

  it('sensor and resistor in each other’s arm leave the transistor on in the light', () => {
    const [run] = only(runsOf(patternSheet('light-switch', {})), 'arms-exchanged');
    const { before, after } = run!.readings.find(({ id }) => id === 'Q1 dark')!;
    // Held off, nearly the whole supply stands across it; on, a few tenths of a volt.
    expect(before).toBeGreaterThan(2);
    expect(after).toBeLessThan(0.4);
  });

  it.each(['sequence', 'rgb', 'dusk-controller'] as const)(
    'every slip with a lead of %s makes another circuit than the right one',
    (pattern) => {
      const sheet = patternSheet(
        pattern,
        pattern === 'rgb' ? ({ drive: 'pulses' } as never) : {},
        'half',
        ROUGH,
      );
      const right = JSON.stringify(nets(sheet.circuit));
      const slips = candidatesOf(sheet).filter(({ code }) => /^pin-lead/u.test(code));
      expect(slips.length).toBeGreaterThan(1);
      for (const { circuit } of slips) expect(JSON.stringify(nets(circuit))).not.toBe(right);
    },
  );

  it('leads one pin on give each lamp the rows of its neighbour, and one none', () => {
    const runs = runsOf(patternSheet('sequence', {}));
    const [exchanged] = only(runs, 'pin-leads-exchanged');
    const light = (id: string) => exchanged!.readings.find((reading) => reading.id === id)!.after;
    // Red and yellow have 4 s and 1 s of the round: each now the other’s.
    expect(light('D1 light')).toBeCloseTo(1, 6);
    expect(light('D3 light')).toBeCloseTo(4, 6);
    const [shifted] = only(runs, 'pin-leads-shifted');
    expect(shifted!.lamps.filter(({ change }) => change === 'dark')).toHaveLength(1);
    for (const run of only(runs, 'pin-no-output'))
      expect(
        run.lamps.find(({ part }) => part === `D${Number(run.data.part!.slice(1)) - 8}`)!.change,
      ).toMatch(/dark|dimmer/u);
  });

  it('a lamp with the other common leg is dark in all three colours', () => {
    const run = only(runsOf(patternSheet('rgb', {})), 'other-common')[0]!;
    expect(run.data.part).toBe('D1');
    expect(new Set(run.lamps.map(({ change }) => change))).toEqual(new Set(['dark']));
  });

  it('two resistors exchanged: one lamp gains what the other loses', () => {
    const sheet = patternSheet('strings', { way: { kind: 'strings', length: 2 } });
    const [run] = only(runsOf(sheet), 'resistors-exchanged');
    const [small, large] = ['R1', 'R2'].map(
      (id) => sheet.sums.strings.find((s) => s.resistor === id)!.chosen,
    );
    expect(run!.data).toMatchObject({ part: 'R1', other: 'R2' });
    expect(small).toBeLessThan(large!);
    expect(run!.lamps.find(({ part }) => part === 'D1')!.change).toBe('dimmer');
    expect(run!.lamps.find(({ part }) => part === 'D3')!.change).toMatch(/brighter|ruined/u);
  });

  it('a loose leg adds its kilohm: the current falls to what the loop then lets through', () => {
    const run = only(runsOf(sheetWith()), 'loose-joint')[0]!;
    const { before, after } = run.lamps[0]!;
    expect(before).toBeCloseTo(8.85e-3, 4);
    // (4.8 V − about 1.8 V) over 330 Ω + 1 kΩ.
    expect(after).toBeGreaterThan(2.2e-3);
    expect(after).toBeLessThan(2.4e-3);
    expect(run.lamps[0]!.change).toBe('dimmer');
  });
});

describe('a bench supply', () => {
  it('left in its current limit holds that current, shared as the lamps share it', () => {
    const sheet = patternSheet('strings', {
      supply: { kind: 'bench', cells: 1, age: 'fresh', volts: 9, limitAmps: 0.5 },
    });
    const run = only(runsOf(sheet), 'supply-limited')[0]!;
    const before = sheet.built.seen!.parts['B1']!.amps;
    expect(run.data.amps! / Math.abs(before)).toBeCloseTo(0.4, 2);
    for (const { change } of run.lamps) expect(change).toMatch(/dimmer|dark/u);
  });

  it('is the only one that can be', () => {
    expect(only(runsOf(sheetWith()), 'supply-limited')).toEqual([]);
  });
});
