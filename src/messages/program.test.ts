import { patternSheet } from '../../tests/support/sheets';
import { asBuilt, type Sheet } from '@/core';
import { causeWords } from './causes';
import { programLine, rowSentence, timeLines, turnWords } from './program';
import { heldWords, pointName } from './points';
import { stepWords } from './steps';
import { ownSums } from '../../tests/support/ownSums';

const plain = (text: string) => text.replace(/\u202f/gu, ' ');
const row = (steps: readonly number[], seconds: number, fade = false) => ({ steps, seconds, fade });

/** The last gate of a card. */
function lastGate(sheet: Sheet): string {
  const gate = sheet.steps.filter(({ action }) => action === 'gate').at(-1)!;
  return plain(stepWords(gate, sheet).detail);
}

describe('the words of a program', () => {
  const sheet = patternSheet('sequence', {});

  it('say each row, the round and the whole, and add up', () => {
    const program = ownSums(sheet.sums).program!;
    expect(plain(rowSentence(program, 0))).toBe('red, for 4 s');
    expect(timeLines(program).map(({ figure }) => plain(figure))).toEqual([
      '4 s',
      '1 s',
      '4 s',
      '9 s',
      '18 s',
    ]);
    expect(plain(programLine(program))).toContain('by a table of 3 rows, 9 s, twice');
    const faded = ownSums(
      patternSheet('sequence', {
        lamps: [{ lamp: 'red', pin: 9 }],
        columns: [9],
        rows: [row([128], 2, true)],
        rounds: 0,
      }).sums,
    ).program!;
    expect(plain(rowSentence(faded, 0))).toBe('red at 50 %, faded to over 2 s');
    expect(plain(programLine(faded))).toContain('over and over');
  });

  it('name ground, each pin by both its numbers, and the cable last of all', () => {
    const leads = sheet.steps.filter(({ action }) => action === 'connect-supply' || action === 'plug-in');
    const titles = leads.map((step) => plain(stepWords(step, sheet).title));
    expect(titles[0]).toContain('black lead from ground of the controller');
    expect(titles[1]).toContain('lead from pin 9 of the controller in');
    expect(titles.at(-1)).toBe('Plug the controller’s cable in.');
    expect(stepWords(leads[1]!, sheet).detail).toContain('place 12 counted from ground');
  });

  it('tell at a test half-way which leads go where, and what is read while which lamp is lit', () => {
    const gate = sheet.steps.find(({ action }) => action === 'block-gate')!;
    const detail = plain(stepWords(gate, sheet).detail);
    const hole = sheet.plan.placements.find(({ part }) => part === 'B1')!.legs['pin 9']!;
    expect(detail).toContain(`pin 9 in ${hole}`);
    expect(detail).not.toContain('pin 10');
    expect(detail).toMatch(/While D1 is lit, across R1 the meter reads 2\.\d+ V to 3\.\d+ V/u);
  });

  it('tell at the last gate what the board that is laid out does, not the one that is wanted', () => {
    expect(lastGate(sheet)).toContain('D1, then D2, then D3, 15 s each, over and over');
    expect(plain(stepWords(sheet.steps.at(-1)!, sheet).detail)).toContain(
      'D1 for 4.0 s, D2 for 1.0 s and D3 for 4.0 s each time, once round in 9 s',
    );
    const placements = sheet.plan.placements.map((placement) => {
      const { anode, cathode } = placement.legs;
      return placement.part === 'D2'
        ? { ...placement, legs: { anode: cathode!, cathode: anode! } }
        : placement;
    });
    const turned = asBuilt({ ...sheet.plan, placements }, sheet.circuit);
    expect(turnWords(turned.lamps, ownSums(sheet.sums).program!)).toContain('D2 never');
  });

  it('say of what is lit in the end that it stays so', () => {
    const once = patternSheet('sequence', { rounds: 1, after: 'stay' });
    expect(plain(turnWords(once.built.lamps, ownSums(once.sums).program!))).toBe(
      'D1 for 4.0 s and D2 for 1.0 s, once round in 9 s; D3 in the end, and stays lit',
    );
  });

  it('name pins and their levels at checkpoints, and what went wrong with their leads', () => {
    expect(heldWords({ G9: 1, G10: 0, G11: 0 })).toBe(
      'the program for measuring, while pin 9 is high, pins 10 and 11 low',
    );
    expect(heldWords({ G9: 0.5 })).toMatch(/while pin 9 is high for 50\s?% of the time$/u);
    const [pin] = sheet.checkpoints.filter(({ kind }) => kind === 'pin');
    expect(pointName(pin!)).toBe('pin 9, high');
    const data = { part: 'G9', other: 'G10', kind: 'pin' } as const;
    expect(causeWords({ code: 'pin-leads-exchanged', data })).toBe('the leads of pin 9 and pin 10 exchanged');
    expect(causeWords({ code: 'pin-no-output', data })).toBe('pin 9 not made an output by the program');
  });
});
