import { judgeBench, makeSheet, sessionExpectation } from '@/core';
import { choiceWith, expectationWith, requestWith } from '../../../tests/support/sheets';
import { likeliestWords } from '@/messages/causes';
import { pointName } from '@/messages/points';
import { expectationFrom, underEarlierIds } from './keptExpectation';

const NAMES: Readonly<Record<string, string>> = { R1: 'resistor', D1: 'lamp' };
const named = (id: string) => NAMES[id] ?? id;

/** A session in the form in which it was kept before checkpoints stood in it. */
function earlier(): string {
  const now = expectationWith();
  return JSON.stringify({
    ...now,
    expected: {
      ...now.expected,
      points: now.expected.points.map(({ point: _point, ...band }) => ({ ...band, id: named(band.id) })),
    },
    dictionary: {
      ...now.dictionary,
      points: now.dictionary.points.map((point) => ({
        id: named(point.id),
        measure: point.measure,
        usual: point.usual,
      })),
      signatures: now.dictionary.signatures.map(({ looks: _looks, ...one }) =>
        one.code.startsWith('supply-') ? { ...one, data: {} } : one,
      ),
    },
  });
}

describe('a session kept in the earlier form', () => {
  const session = expectationFrom(earlier());

  it('has its columns by name, under the ids that its readings carry', () => {
    expect(session.expected.points.map(({ id }) => id)).toEqual(['pack', 'resistor', 'lamp', 'current']);
    expect(session.expected.points.map(({ point }) => pointName(point))).toEqual([
      'pack under load',
      'across R1',
      'across D1',
      'current',
    ]);
  });

  it('is judged as before, and a cause names its part', () => {
    const figures = [4.8, 3.03, 1.77];
    const noted = ['pack', 'resistor', 'lamp'].map((point, i) => ({ point, value: figures[i]!, step: 0.01 }));
    const ten = judgeBench(session, [...noted, { point: 'current', value: 0.92e-3, step: 1e-5 }]);
    expect(ten.state).toBe('off');
    expect(likeliestWords(ten.diagnosis!, session.dictionary.points)).toContain('R1 is 3.3');
    const weak = [3.59, 1.73, 1.86].map((value, i) => ({ ...noted[i]!, value }));
    expect(likeliestWords(judgeBench(session, weak).diagnosis!, session.dictionary.points)).toContain('B1');
  });

  it('that is renewed keeps the names that its readings carry', () => {
    const renewed = underEarlierIds(expectationWith({ lamp: 'blue' }), session);
    expect(renewed.expected.points.map(({ id }) => id)).toEqual(['pack', 'resistor', 'lamp', 'current']);
    expect(renewed.dictionary.points.map(({ id }) => id)).toEqual(['pack', 'resistor', 'lamp', 'current']);
    const judged = judgeBench(renewed, [{ point: 'lamp', value: 2.9, step: 0.01 }]);
    expect(judged.verdicts['lamp']!.verdict).toBe('right');
  });

  it('keeps apart what is measured at one place in two lights', () => {
    const request = { ...requestWith(), choice: choiceWith('light-switch') };
    const sheet = makeSheet(request);
    if (!sheet.ok) throw new Error('refused');
    const session = sessionExpectation(sheet.value, { ...request, draws: { ...request.draws, samples: 60 } });
    const ids = session.expected.points.map(({ id }) => id);
    expect(ids).toEqual(expect.arrayContaining(['L1', 'L1 dark', 'Q1 dark']));
    const renewed = underEarlierIds(session, session);
    expect(renewed.expected.points.map(({ id }) => id)).toEqual(ids);
    expect(renewed.dictionary.points.map(({ id }) => id)).toEqual(ids);
  });

  it('of today is taken as it is', () => {
    const now = expectationWith();
    expect(expectationFrom(JSON.stringify(now))).toEqual(JSON.parse(JSON.stringify(now)));
  });
});
