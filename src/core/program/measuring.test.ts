import { patternSheet } from '../../../tests/support/sheets';
import { observe, reportOf } from '../observe/observe';
import { withHeld } from '../observe/held';
import type { Sheet } from '../sheet/sheet';
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
    for (const { part, low, high } of tested)
      expect(expected.points.map(({ point, ...band }) => [point.part, band.low, band.high])).toContainEqual([
        part,
        low,
        high,
      ]);
    expect(tested).not.toEqual([]);
    const last = sheet.steps.findIndex((step) => step.action === 'gate' && step.at === 'after-power');
    expect(sheet.steps[last + 1]).toMatchObject({ action: 'send-program', program: 'lesson' });
  });
});

it('is not there where a sensor decides and no pin is set by hand', () => {
  const sheet = patternSheet('dusk-controller', {}, 'half', ROUGH);
  expect(sheet.measuring).toBeUndefined();
  expect(sheet.steps[0]).toMatchObject({ action: 'send-program', program: 'lesson' });
});
