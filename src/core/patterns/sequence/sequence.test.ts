import fc from 'fast-check';
import { choiceWith, patternSheet, refusedWith, requestWith, worked } from '../../../../tests/support/sheets';
import { WISHES } from '../../../../tests/support/wishes';
import { CONTROLLERS } from '../../catalogue/controllers';
import { LAMPS, type LampType } from '../../catalogue/lamps';
import { isKind } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { withHeld } from '../../observe/held';
import { lampsSeen } from '../../observe/looks';
import { observe } from '../../observe/observe';
import { run } from '../../solver/run/run';
import { withoutWires } from '../../circuit/wires';
import { workOut } from '../../sheet/sheet';
import { ampsOf } from '../steady/bank';
import type { SequenceParams } from './params';
import { spokenSequence } from './spoken';
import { ownSums } from '../../../../tests/support/ownSums';

/** Current of one lamp behind a high pin of the 5 V board: its rail, the pin, the resistor. */
const byHand = (lamp: LampType, ohms: number) => ampsOf([new Junction(LAMPS[lamp])], 5, ohms + 25 + 0.2);
const row = (steps: readonly number[], seconds: number, fade = false) => ({ steps, seconds, fade });

describe('lamps on the pins of a controller', () => {
  it('carry what the pin’s ohms and their own resistor leave them, while their row lasts', () => {
    const { sums, design } = worked('sequence', {});
    const chosen = sums.strings.map(({ chosen: ohms }) => ohms);
    (['red', 'yellow', 'green'] as const).forEach((lamp, i) => {
      const amps = byHand(lamp, chosen[i]!);
      expect(ownSums(sums).program!.lamps[i]!.peak / amps).toBeCloseTo(1, 5);
      expect(ownSums(sums).program!.rows[i]!.lamps[i]!.amps / amps).toBeCloseTo(1, 5);
      // Over two rounds of 9 s, its share of the round.
      expect(ownSums(sums).program!.lamps[i]!.mean / (amps * [4 / 9, 1 / 9, 4 / 9][i]!)).toBeCloseTo(1, 5);
    });
    const looks = lampsSeen(design.seen!);
    expect(looks.map(({ litFor }) => litFor)).toEqual([4, 1, 4].map((seconds) => expect.closeTo(seconds, 6)));
  });

  it('carry the same hung from the rail, where a low pin lights them', () => {
    const [to, from] = [worked('sequence', {}), worked('sequence', { common: 'plus' })];
    ownSums(to.sums).program!.lamps.forEach(({ peak }, i) => {
      expect(ownSums(from.sums).program!.lamps[i]!.peak / peak).toBeCloseTo(1, 4);
    });
    const pins = from.design.circuit.parts.filter((part) => isKind(part, 'pin'));
    // High while its lamp is dark: all but the first are so at the start.
    expect(pins.map(({ params }) => params.spells[0]!.from)).toEqual([0, 1, 1]);
  });

  it('are dimmed to their share of the current, to 0.1 %, and as a whole run has it', () => {
    const { sums, design } = worked('sequence', {
      lamps: [
        { lamp: 'red', pin: 9 },
        { lamp: 'blue', pin: 11 },
      ],
      columns: [9, 11],
      rows: [row([64, 255], 0.05), row([191, 0], 0.05, true)],
      rounds: 1,
    });
    const [red] = ownSums(sums).program!.lamps;
    expect(ownSums(sums).program!.rows[0]!.lamps[0]!.amps / (red!.peak * (64 / 255))).toBeCloseTo(1, 3);
    const seen = design.seen!;
    const gone = run(withoutWires(design.circuit), { seconds: 0.1, samples: 'steps' }, {});
    if (!gone.ok) throw new Error('cannot be followed');
    const whole = gone.value.means['D2']!;
    expect(Math.abs((seen.run.means['D2']! * seen.window[1]) / (whole * 0.1) - 1)).toBeLessThan(0.02);
    const steady = observe(withHeld(design.circuit, { G9: 64 / 255, G11: 1 }));
    if (!steady.ok) throw new Error('does not settle');
    expect(steady.value.parts['D1']!.amps / (red!.peak * (64 / 255))).toBeCloseTo(1, 3);
  });

  it('read back as wanted, hold by hold, for 200 random wishes, and each lamp in its rows', () => {
    for (const params of fc.sample(WISHES.sequence, { numRuns: 200, seed: 7 })) {
      const made = workOut({ ...requestWith(), choice: choiceWith('sequence', params) }, true);
      if (!made.ok) continue;
      const { program } = ownSums(made.value.sums);
      if (params.resistors === 'own') expect(program!.astray).toEqual(faintIn(params));
      const { steps } = CONTROLLERS[params.board];
      const wanted = params.rows.map((one) => one.steps.map((step) => step / steps));
      program!.rows.forEach(({ lamps }, i) => {
        lamps.forEach(({ amps }, k) => {
          if (params.resistors === 'shared') return;
          // Lamps that are on at once move one another by what the rail’s own ohms take.
          const { peak } = program!.lamps[k]!;
          expect(Math.abs(amps - wanted[i]![k]! * peak)).toBeLessThan(0.01 * peak + 1e-9);
        });
      });
    }
  });

  it('share a resistor only one at a time: two at once take what there is by their volts', () => {
    const { sums } = worked('sequence', {
      resistors: 'shared',
      rows: [row([255, 0, 255], 2), row([0, 255, 0], 1)],
    });
    const [first] = ownSums(sums).program!.rows;
    expect(first!.lamps[0]!.amps).toBeGreaterThan(20 * first!.lamps[2]!.amps);
    const sheet = patternSheet('sequence', {
      resistors: 'shared',
      rows: [row([255, 0, 255], 2), row([0, 255, 0], 1)],
    });
    expect(sheet.findings.map(({ code }) => code)).toContain('share-while-lit');
    expect(sheet.goals.find(({ code }) => code === 'follows-table')).toMatchObject({
      met: false,
      parts: ['D3'],
    });
  });

  it('stay dark where the table names another pin than their lead is in', () => {
    const sheet = patternSheet('sequence', { columns: [9, 8, 11] });
    expect(sheet.findings.find(({ code }) => code === 'table-misses-wire')?.data).toEqual({
      part: 'D2',
      wire: 10,
      pin: 8,
    });
    expect(sheet.goals.filter(({ met }) => !met).map(({ code }) => code)).toContain('follows-table');
    expect(sheet.built.lamps.find(({ part }) => part === 'D2')!.look).toBe('dark');
  });
});

/** Lamps that some row asks for less of than an eye sees. */
function faintIn({ rows, lamps, board, amps }: SequenceParams): string[] {
  const { steps } = CONTROLLERS[board];
  return lamps.flatMap((_, i) =>
    rows.some(({ steps: row }) => row[i]! > 0 && (row[i]! / steps) * amps < 2e-5) ? [`D${i + 1}`] : [],
  );
}

describe('a table that cannot be', () => {
  it.each([
    [{ columns: [9, 44, 11] }, 'no-such-pin', { where: 'table', pin: 44 }],
    [{ columns: [9, 9, 11] }, 'pin-twice', { where: 'table', pin: 9 }],
    [{ rows: [row([300, 0, 0], 1)] }, 'step-beyond', { row: 1, pin: 9, step: 300, limit: 255 }],
    [
      { rows: [row([0, 255, 0], 1), row([0, 0, 0], 1, true)] },
      'pin-does-not-dim',
      { row: 2, pin: 10, how: 'fade' },
    ],
    [{ rows: [row([0, 128, 0], 1)] }, 'pin-does-not-dim', { row: 1, pin: 10, how: 'dim' }],
    [
      {
        board: 'three-volt',
        amps: 0.02,
        lamps: [{ lamp: 'red', pin: 9 }],
        columns: [9],
        rows: [row([65535], 1)],
      },
      'pin-over-current',
      { limit: 0.004 },
    ],
  ] as const)('is refused by name: %j', (wish, code, data) => {
    expect(refusedWith('sequence', wish as never)).toMatchObject({ code, data });
  });

  it('names the nearest free pin that works', () => {
    const found = refusedWith('sequence', { rows: [row([0, 128, 0], 1)] })!;
    const { nearest } = found.data as { nearest: number };
    const lamps = [9, nearest, 11].map((pin, i) => ({
      pin,
      lamp: (['red', 'yellow', 'green'] as const)[i]!,
    }));
    const better = { lamps, columns: lamps.map(({ pin }) => pin), rows: [row([0, 128, 0], 1)] };
    expect(refusedWith('sequence', better)).toBeUndefined();
  });

  it('adds up all pins of the fullest row', () => {
    const many = Array.from({ length: 8 }, (_, i) => ({ lamp: 'red' as const, pin: i + 2 }));
    const wish = {
      lamps: many,
      columns: many.map(({ pin }) => pin),
      amps: 0.03,
      rows: [
        row(
          many.map(() => 255),
          1,
        ),
      ],
    };
    expect(refusedWith('sequence', wish)).toMatchObject({
      code: 'pins-over-current',
      data: { row: 1, limit: 0.2 },
    });
  });

  it('is told of a round where there is no end', () => {
    const found = patternSheet('sequence', { says: 18, rounds: 0 }).findings;
    expect(found.find(({ code }) => code === 'times-contradict')?.data).toEqual({
      says: 18,
      sum: 9,
      rounds: 0,
    });
  });

  it('is told when the lesson says another time than the rows come to', () => {
    expect(
      patternSheet('sequence', { says: 20 }).findings.find(({ code }) => code === 'times-contradict')?.data,
    ).toEqual({ says: 20, sum: 18, rounds: 2 });
    expect(patternSheet('sequence', { says: 18 }).findings.map(({ code }) => code)).not.toContain(
      'times-contradict',
    );
  });
});

describe('a sequence in words', () => {
  const params = choiceWith('sequence', {}).params as SequenceParams;
  const said = (text: string) => spokenSequence(text, params);

  it('is the table of the swing bridge', () => {
    const found = said('red, amber, green, 4 s, 1 s, 4 s, twice, then all off');
    expect(found.ok && found.value).toEqual(params);
  });

  it('takes moments with their own times, several lamps, fades and no end', () => {
    const found = said('red and green 0,5 s, all off, fade to green over 2 s, 1 s, over and over');
    if (!found.ok) throw new Error('refused');
    expect(found.value.rounds).toBe(0);
    expect(found.value.lamps.map(({ lamp, pin }) => [lamp, pin])).toEqual([
      ['red', 9],
      ['green', 11],
    ]);
    expect(found.value.rows).toEqual([row([255, 255], 0.5), row([0, 0], 1), row([0, 255], 2, true)]);
  });

  it('takes times in words', () => {
    const found = said('red for 4 seconds, amber 1 second, green for 0.5 minutes');
    expect(found.ok && found.value.rows.map(({ seconds }) => seconds)).toEqual([4, 1, 30]);
  });

  it.each([
    ['red, blinking madly, 2 s', 'words-unknown'],
    ['', 'words-unknown'],
    ['red, green, yellow, 1 s, 2 s', 'times-unequal'],
    ['red 0.001 s', 'out-of-range'],
    ['red 1 s, 5000 times', 'out-of-range'],
  ])('refuses “%s”', (text, code) => {
    const found = said(text);
    expect(found.ok ? 'read' : found.findings[0]!.code).toBe(code);
  });
});
