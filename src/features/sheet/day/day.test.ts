import { choiceWith, requestWith } from '../../../../tests/support/sheets';
import { dayOf, instantOf, type Day, type ParamsOf, type PatternId } from '@/core';
import { instantWords, pinWords } from '@/messages/instant';
import { optionName, optionRemarks, reasonWords, timingLines } from '@/messages/timing';
import { happeningsOf } from './happenings';
import { rowsOf } from './rows';
import { slownessFor } from './usePlay';

function day<Id extends PatternId>(pattern: Id, params: Partial<ParamsOf<Id>> = {}): Day {
  const made = dayOf({ ...requestWith(), choice: choiceWith(pattern, params) }, 'nothing');
  if (!made.ok) throw new Error(JSON.stringify(made.findings));
  return made.value;
}

const plain = (words: string) => words.replaceAll('\u202f', ' ');

describe('the words of an instant', () => {
  const { seen, timing } = day('blink');
  const said = (time: number) => plain(instantWords(instantOf(seen, time), timing));

  it('say what fills through what, until when, and what is lit', () => {
    const first = seen.run.events[0]!;
    const words = said(first.time / 2);
    expect(words).toMatch(
      /^C1 fills through R1 and R2 and stands at [\d.]+ V; at 6\.3 V the chip turns over, in/u,
    );
    expect(words).toContain('The output is up');
    expect(words).toContain('D1 is dark.');
    const next = said(first.time + 0.05);
    expect(next).toContain('C1 empties through R2 into pin 7');
    expect(next).toMatch(/D1 is lit, 7\.\d+ mA\./u);
  });

  it('tell of each pin what it sees and therefore does', () => {
    const { pins, amps } = instantOf(seen, seen.run.events[0]!.time + 0.05).chips[0]!;
    const lines = pins.map((pin) => pinWords(pin, amps).map(plain));
    const line = (name: string) => lines.find(([own]) => own === name)!;
    expect(line('pin 6, threshold')[2]).toBe('does not turn it off yet');
    expect(line('pin 7, discharge')[2]).toBe('empties the capacitor');
    expect(line('pin 4, reset')[2]).toBe('lets it go');
    expect(line('pin 3, output')[2]).toMatch(/^7\.\d+ mA in$/u);
    for (const words of lines.flat()) expect(words).not.toMatch(/undefined|NaN/u);
  });

  it('name the chips where there are two', () => {
    const { seen: two, timing: both } = day('chain');
    const words = plain(instantWords(instantOf(two, 1), both));
    expect(words).toContain('The output of U1 is');
    expect(words).toContain('The output of U2 is');
  });
});

describe('what happens, one after another', () => {
  it('tells of lamps that come on as their output turns, in one line', () => {
    const { seen } = day('blink');
    const changes = happeningsOf(seen);
    const [first] = changes.filter(({ time }) => time > 0);
    expect(first!.words).toBe('U1 goes down, D1 comes on');
    expect(changes.map(({ time }) => time)).toEqual(
      [...changes.map(({ time }) => time)].sort((a, b) => a - b),
    );
    expect(changes.length).toBe(new Set(changes.map(({ time }) => time)).size);
  });

  it('of one press is on and off, once', () => {
    const words = happeningsOf(day('one-shot', { seconds: 5 }).seen).map((change) => change.words);
    expect(words).toEqual(['U1 goes up, D1 comes on', 'U1 goes down, D1 goes out']);
  });
});

describe('the rows of the chart', () => {
  it('are a capacitor and an output a chip, and a bar a lamp, with the lamp’s current', () => {
    const { seen, timing } = day('alternate', { flashes: 4 });
    const rows = rowsOf(seen, { timing }, { D1: 'red', D2: 'green' });
    expect(rows.map(({ name }) => name)).toEqual([
      'C1',
      'output U1',
      'C2',
      'output U2',
      'D1 red',
      'D2 green',
    ]);
    const bars = rows.find(({ key }) => key === 'D1')!;
    if (bars.form !== 'bars') throw new Error('no bars');
    for (const { from, to, amps } of bars.spells) {
      expect(to).toBeGreaterThan(from);
      expect(amps).toBeGreaterThan(0);
      expect(amps).toBeLessThanOrEqual(bars.most + 1e-12);
    }
  });

  it('are of pulses what the source gives and what the lamp has, each with its mean', () => {
    const { seen, timing, pulses } = day('pulsed');
    const rows = rowsOf(seen, { timing, pulses: pulses! }, { D1: 'white' });
    expect(rows.map(({ name }) => name)).toEqual(['B1', 'D1', 'D1 white']);
    const [source, lamp, bars] = rows;
    if (source!.form !== 'volts' || lamp!.form !== 'volts' || bars!.form !== 'bars')
      throw new Error('other rows');
    expect(source!.turns[0]!.volts).toBeCloseTo(pulses!.source.mean, 9);
    expect(lamp!.values.reduce((a, b) => Math.max(a, b), 0)).toBeCloseTo(pulses!.lampVolts.peak, 6);
    // Every pulse is as high as any other.
    for (const { amps } of bars!.spells) expect(amps / pulses!.amps.peak).toBeCloseTo(1, 3);
    expect(plain(instantWords(instantOf(seen, pulses!.up / 2), []))).toMatch(/^B1 gives 4\.9 V\. D1 is lit/u);
    expect(plain(instantWords(instantOf(seen, pulses!.up * 1.5), []))).toBe('B1 pauses. D1 is dark.');
  });

  it('show the current of a speaker where there is no lamp', () => {
    const { seen, timing } = day('tone');
    expect(rowsOf(seen, { timing }, {}).map(({ key }) => key)).toEqual(['C1', 'U1 output', 'LS1']);
  });

  it('are never played faster than previews may flash', () => {
    expect(slownessFor(0.7)).toBe(1);
    expect(440 / slownessFor(440)).toBeCloseTo(2.5, 9);
  });
});

describe('the working of a time', () => {
  it('goes from the wish by the rule of thumb to the solver, with the reason', () => {
    const [chip] = day('blink-simple').timing;
    const lines = timingLines(chip!).map(({ name, work, figure }) => [name, work, figure].map(plain));
    const figure = (name: string) => lines.find(([own]) => own === name)![2]!;
    expect(figure('wished')).toBe('1.2 s a round');
    const { r, farads } = chip!.values;
    expect(Number.parseFloat(figure('by the rule of thumb, up'))).toBeCloseTo(Math.LN2 * r * farads, 2);
    expect(Number.parseFloat(figure('solved, up'))).toBeGreaterThan(Math.LN2 * r * farads * 1.2);
    expect(plain(reasonWords(chip!.reason))).toContain('under the rail');
  });

  it('speaks of a supply that sags only where it does', () => {
    const bench = { kind: 'bench', cells: 1, age: 'fresh', volts: 9 } as const;
    const said = (params: object) => plain(reasonWords(day('blink', params).timing[0]!.reason));
    expect(said({})).toMatch(/empties to 21\.3 mV, .* the supply sags by 1\d\.\d mV/u);
    expect(said({ supply: bench })).not.toContain('sags');
    const shot = day('one-shot', { seconds: 5 }).timing[0]!.reason;
    if (shot.why !== 'discharge-ohms') throw new Error(shot.why);
    // 0.02 V behind 12 Ω, while the timing resistor still feeds it.
    expect(shot.volts).toBeGreaterThan(0.02);
    expect(shot.volts).toBeLessThan(0.03);
  });

  it('names every pair of the drawer with what is to be said of it', () => {
    const [chip] = day('blink').timing;
    const [taken, ...others] = chip!.options;
    expect(plain(optionName(taken!))).toBe('100 kΩ, 180 kΩ, 4.7 µF');
    expect(optionRemarks(taken!, true)).toMatch(/^taken/u);
    for (const option of others) expect(optionRemarks(option, false)).not.toMatch(/taken|undefined/u);
  });
});
