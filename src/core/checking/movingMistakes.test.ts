import { choiceWith, patternSheet, requestWith, ROUGH, worked } from '../../../tests/support/sheets';
import { partOf } from '../circuit/circuit';
import { observe } from '../observe/observe';
import { readingsIn } from '../observe/responses';
import { shorted, opened } from '../parts/mistake';
import { faultContext, sessionExpectation } from '../sheet/expectation';
import { judgeBench } from './bench';
import { faultSignatures, measuredAt } from './dictionary';
import { faultsOf } from './faults/index';
import { noteReading } from './noted';

const USED = { meterUseAt: () => 'right' as const, burdens: [] };

/** A lesson's build with one part changed, and what a meter shows at each of its checkpoints. */
function readWith(pattern: 'pulsed' | 'tone' | 'blink', part: string, how: typeof opened) {
  const { design } = worked(pattern);
  const seen = observe(how(design.circuit, partOf(design.circuit, part)!));
  if (!seen.ok) throw new Error(JSON.stringify(seen.findings));
  const values = readingsIn(seen.value, design.checkpoints, USED)!;
  return Object.fromEntries(design.checkpoints.map(({ id }, i) => [id, values[i]!]));
}

describe('the mistakes of a lesson that moves', () => {
  it.each(['blink', 'blink-simple', 'pulsed', 'tone'] as const)(
    'of %s are all observed, with a part’s legs in one row among them',
    (pattern) => {
      const request = { ...requestWith(), ...ROUGH, choice: choiceWith(pattern) };
      const context = faultContext(patternSheet(pattern, {}, 'half', ROUGH), request);
      const { signed, unsettled } = faultSignatures(context, request.meter, { samples: 20, seed: 1 });
      const observed = new Set(signed.map(({ place }) => place));
      const dropped = faultsOf(context).filter((_, place) => !observed.has(place));
      expect(dropped.map(({ code, data }) => `${code} ${data.part}`)).toEqual([]);
      expect(unsettled).toBe(0);
      const across = context.points.filter(({ id, kind }) => kind === 'resistor' && /^R\d+$/u.test(id));
      for (const { id, part } of across) {
        const at = context.points.filter(({ measure }) => measure !== 'look').findIndex((p) => p.id === id);
        const one = signed.find(({ signature: s }) => s.code === 'resistor-shorted' && s.data.part === part);
        expect(one!.signature.means[at]).toBe(0);
      }
    },
  );

  it('are read with the meter in them: across a break it lights nothing and shows what is left over', () => {
    // 2.00 V mean of the pulses through 10 MΩ into a lamp that takes 0.2 µA at 1.4 V in them, nothing at all beside it.
    const shown = readWith('pulsed', 'R1', opened);
    expect(shown['R1']).toBeCloseTo(1.12, 2);
    expect(Math.abs(shown['D1']!)).toBeLessThan(0.001);
  });

  it('are heard at the loudspeaker: whatever breaks its loop makes it silent, though the chip goes on', () => {
    const right = readWith('tone', 'LS1', (circuit) => circuit);
    expect(right['pitch']).toBeGreaterThan(400);
    for (const part of ['R3', 'C2', 'LS1']) {
      const shown = readWith('tone', part, opened);
      expect(shown['pitch']).toBe(0);
      expect(shown['U1 output']).toBeCloseTo(right['U1 output']!, 1);
    }
    expect(readWith('tone', 'LS1', shorted)['pitch']).toBe(0);
    // The capacitor before it stands at the mean of the output where the way to it is whole, and tells the breaks apart.
    expect(right['C2']).toBeCloseTo(right['U1 output']!, 1);
    expect(readWith('tone', 'C2', opened)['C2']).toBeCloseTo(right['U1 output']!, 1);
    expect(readWith('tone', 'R3', opened)['C2']).toBeCloseTo(0, 2);
    expect(readWith('tone', 'C2', shorted)['C2']).toBe(0);
  });

  it('are named by silence and a right output: what stands between the chip and the ear', () => {
    const request = { ...requestWith(), ...ROUGH, choice: choiceWith('tone') };
    const session = sessionExpectation(patternSheet('tone', {}, 'half', ROUGH), request);
    const noted = (
      [
        ['pitch', 'no sound'],
        ['pack', '9.41'],
        ['U1 output', '4.58'],
      ] as const
    ).map(([point, typed]) => {
      const measured = measuredAt(session.dictionary.points.find(({ id }) => id === point)!);
      const figure = noteReading(typed, measured);
      if (!figure.ok) throw new Error('refused');
      return { point, ...figure.value };
    });
    const { state, diagnosis } = judgeBench(session, noted);
    expect(state).toBe('off');
    // The capacitor’s own volts, or the current, tell them apart next.
    expect(['C2', 'current']).toContain(diagnosis!.next!.point);
    const causes = diagnosis!.groups.flatMap((group) => group.causes);
    const parts = causes.map(({ code, data }) => `${code} ${data.part}`);
    expect(parts).toEqual(
      expect.arrayContaining(['resistor-missing R3', 'part-missing C2', 'part-missing LS1']),
    );
    const other = causes.filter(({ data }) => /^(?:C1|R1|R2)$/u.test(data.part ?? ''));
    expect(other.reduce((sum, { probability }) => sum + probability, 0)).toBeLessThan(0.1);
  });
});

describe('lamps that are looked at while something is held', () => {
  const judged = (pattern: 'one-shot' | 'gauge', lamp: string, word: 'lit' | 'dark') => {
    const request = { ...requestWith(), ...ROUGH, choice: choiceWith(pattern) };
    const session = sessionExpectation(patternSheet(pattern, {}, 'half', ROUGH), request);
    return { session, ...judgeBench(session, [], [{ lamp, word }]) };
  };

  it('a light of one press is right where it is lit while its button is held, and that is what is asked', () => {
    const lit = judged('one-shot', 'D1', 'lit');
    expect(lit.session.dictionary.looksHeld).toEqual({ S1: 'closed' });
    expect(lit.state).toBe('right');
    const right = lit.session.dictionary.signatures.find(({ code }) => code === 'right')!;
    expect(right.looks).toEqual({ D1: 'lit' });
    expect(judged('one-shot', 'D1', 'dark').state).not.toBe('right');
  });

  it('a button that cannot be pressed is held for no look', () => {
    const { session } = judged('gauge', 'D1', 'lit');
    const open = session.dictionary.signatures.find(({ code }) => code === 'button-open');
    expect(Object.values(open?.looks ?? { D1: 'dark' })).toEqual(expect.arrayContaining(['dark']));
    const right = session.dictionary.signatures.find(({ code }) => code === 'right')!;
    expect(Object.values(right.looks)).toContain('lit');
  });
});
