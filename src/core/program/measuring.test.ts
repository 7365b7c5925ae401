import { choiceWith, patternSheet, requestWith } from '../../../tests/support/sheets';
import { buildSteps } from '../assembly/steps';
import { asBuilt } from '../board/asBuilt';
import { observe, reportOf } from '../observe/observe';
import { withHeld } from '../observe/held';
import { makeSheet, type Sheet } from '../sheet/sheet';
import { MEASURING_SECONDS, running } from './measuring';
import { pinId } from './pins';

const ROUGH = { draws: { samples: 60, seed: 3, coverage: 0.95, ends: 'one' } } as const;

/** The volts over each resistor while a row of the program for measuring stands. */
function voltsInRow({ circuit, measuring }: Sheet, row: number): (part: string) => number {
  const { columns, rows, lowLights } = measuring!;
  const held = Object.fromEntries(
    columns.map((pin, i) => {
      const share = rows[row]!.steps[i]! / 255;
      return [pinId(pin), lowLights ? 1 - share : share];
    }),
  );
  const seen = observe(withHeld(circuit, held));
  if (!seen.ok) throw new Error('no solution');
  return (part) => Math.abs(reportOf(seen.value, part).volts);
}

describe.each([
  ['sequence', {}],
  ['sequence', { common: 'plus' }],
  ['sequence', { resistors: 'shared' }],
  ['rgb', { drive: 'pulses' }],
  ['rgb', { drive: 'pulses', common: 'anode' }],
] as const)('the program for measuring %s %j', (pattern, params) => {
  const sheet = patternSheet(pattern, params, 'half', ROUGH);
  const { measuring, expected } = sheet;

  it('has a row for every state in which something is read, long enough and without end', () => {
    expect(measuring!.rounds).toBe(0);
    for (const { seconds, fade } of measuring!.rows) {
      expect(seconds).toBe(MEASURING_SECONDS);
      expect(fade).toBe(false);
    }
    const states = new Set(sheet.checkpoints.flatMap(({ held }) => (held ? [JSON.stringify(held)] : [])));
    expect(measuring!.rows).toHaveLength(states.size);
  });

  it('shows across every resistor what its check wants, in one of its rows', () => {
    const rows = measuring!.rows.map((_, i) => voltsInRow(sheet, i));
    const across = expected.points.filter(({ point }) => point.kind === 'resistor');
    expect(across.length).toBeGreaterThan(1);
    for (const { point, typical } of across) {
      const nearest = Math.min(...rows.map((volts) => Math.abs(volts(point.part) - typical)));
      expect(nearest).toBeLessThan(0.02 * typical);
    }
  });

  it('is what the circuit runs while its card tests it', () => {
    const seen = observe(running(measuring!, sheet.circuit));
    if (!seen.ok || seen.value.kind !== 'moving') throw new Error('it stands still');
    const pins = seen.value.circuit.parts.filter(({ kind }) => kind === 'pin');
    expect(pins).toHaveLength(measuring!.columns.length);
    const sends = sheet.steps.flatMap((step) => (step.action === 'send-program' ? [step.program] : []));
    expect(sends).toEqual(['measuring', 'lesson']);
    const tested = sheet.steps.flatMap((step) => (step.action === 'gate' ? step.gate.readings : []));
    for (const { part, pins, low, high } of tested) {
      const check = expected.points.find(
        ({ point }) => point.part === part && JSON.stringify(point.held) === JSON.stringify(pins),
      );
      expect(check).toMatchObject({ low, high });
    }
    expect(tested).not.toEqual([]);
    const last = sheet.steps.findIndex((step) => step.action === 'gate' && step.at === 'after-power');
    expect(sheet.steps[last + 1]).toMatchObject({ action: 'send-program', program: 'lesson' });
  });
});

it('tells of each half-built board, and of one with two leads exchanged, what that board does in each row', () => {
  const rows = [
    { steps: [255, 0, 0], seconds: 3, fade: false },
    { steps: [255, 255, 0], seconds: 1, fade: false },
    { steps: [0, 0, 255], seconds: 3, fade: false },
  ];
  const choice = choiceWith('sequence', { rows });
  const right = makeSheet({ ...requestWith(), choice, ...ROUGH });
  if (!right.ok) throw new Error('refused');
  const turnsOf = ({ steps }: Sheet) =>
    steps.flatMap((step) => ('gate' in step && step.gate.turns ? [step.gate.turns] : []));
  const alone = ['D1'];
  expect(turnsOf(right.value)).toEqual([
    [alone, alone, []],
    [alone, ['D1', 'D2'], []],
    [alone, ['D1', 'D2'], ['D3']],
  ]);
  const { plan } = right.value;
  const placements = plan.placements.map((placement) => {
    const { 'pin 9': nine, 'pin 11': eleven, ...legs } = placement.legs;
    return nine && eleven
      ? { ...placement, fixed: true, legs: { ...legs, 'pin 9': eleven, 'pin 11': nine } }
      : placement;
  });
  const exchanged = { ...plan, placements };
  const built = asBuilt(exchanged, right.value.circuit);
  const wishes = { age: '13 and up', measuring: right.value.measuring } as const;
  const steps = buildSteps(exchanged, right.value.circuit, built, wishes);
  const last = steps.find((step) => step.action === 'gate' && step.at === 'after-power');
  expect(last?.action === 'gate' && last.gate.turns).toEqual([['D3'], ['D2', 'D3'], alone]);
});

it('is not there where a sensor decides and no pin is set by hand', () => {
  const sheet = patternSheet('dusk-controller', {}, 'half', ROUGH);
  expect(sheet.measuring).toBeUndefined();
  expect(sheet.steps[0]).toMatchObject({ action: 'send-program', program: 'lesson' });
});
