import { renderToStaticMarkup } from 'react-dom/server';
import { made } from '../../../tests/support/circuits';
import {
  circuitFile,
  KINDS,
  parseCircuit,
  run,
  solve,
  THIN,
  withField,
  type Run,
  readFigure,
  readList,
  readWithin,
} from '@/core';
import { HARBOUR_CIRCUITS, alternate, soundLights } from '@/demo/circuits';
import { LineChart, MOST_LINES, scaledUnit } from '@/features/charts/LineChart';
import { fieldValue, kindWords, KIND_NAMES, TURNED_FIELDS } from '@/messages/parts';
import { shownFigure, tellingNodes, tellingParts } from './figures';
import { harbourCircuit } from './useCircuit';

const plain = (text: string) => text.replaceAll(THIN, ' ');

function followed(file: object, seconds: number): Run {
  const done = run(made(file), { seconds, samples: 401 });
  if (!done.ok) throw new Error(JSON.stringify(done.findings));
  return done.value;
}

describe('the harbour’s circuits', () => {
  it.each(HARBOUR_CIRCUITS.map(({ title }) => title))(
    '%s opens, works, and goes out and in again',
    (title) => {
      const { circuit, seconds } = harbourCircuit(title);
      expect(circuit.title).toBe(title);
      expect(circuit.checks.length).toBeGreaterThan(0);
      const back = parseCircuit(JSON.stringify(circuitFile(circuit)));
      expect(back.ok && back.value).toEqual(circuit);
      const still = solve(circuit);
      expect(still.ok || still.findings[0]!.code).toBe(
        ['buoy', 'lighthouse', 'port and starboard'].includes(title) ? 'oscillates' : true,
      );
      expect(followed(circuitFile(circuit), Math.min(seconds, 0.5)).time).toHaveLength(401);
    },
  );

  it('have words for every kind of part, and every field that is turned can be', () => {
    expect(Object.keys(KIND_NAMES).sort()).toEqual([...KINDS].sort());
    const parts = HARBOUR_CIRCUITS.flatMap(({ title }) => harbourCircuit(title).circuit.parts);
    for (const part of parts) {
      expect(kindWords(part)).toContain(KIND_NAMES[part.kind]);
      for (const { field } of TURNED_FIELDS[part.kind]) {
        const value = fieldValue(part, field);
        expect(withField(part, field, value)).toEqual(part);
      }
    }
  });
});

describe('what is shown first', () => {
  it('are outputs of timers, or the nodes that swing furthest', () => {
    const two = followed(alternate(), 2);
    expect(tellingNodes(two, Object.keys(two.nodes), 3)).toEqual(['o1', 'o2']);
    const sound = followed(soundLights([30, 440, 3000]), 0.03);
    const names = tellingNodes(sound, Object.keys(sound.nodes), 3);
    const swing = (name: string) => Math.max(...sound.nodes[name]!) - Math.min(...sound.nodes[name]!);
    for (const name of Object.keys(sound.nodes)) {
      if (!names.includes(name)) expect(swing(name)).toBeLessThanOrEqual(swing(names[2]!) + 1e-9);
    }
  });

  it('is one lamp of a string, not each', () => {
    const sound = followed(soundLights([30, 440, 3000]), 0.03);
    const lamps = ['DH1', 'DH2', 'DM1', 'DM2', 'DL1', 'DL2'];
    expect(tellingParts(sound, lamps, Object.keys(sound.parts), 6)).toEqual(['DH1', 'DM1', 'DL1']);
  });

  it('is no figure for what is leakage only', () => {
    expect(plain(shownFigure(3e-13, 'A'))).toBe('0 A');
    expect(plain(shownFigure(-0.00885, 'A'))).toBe('−8.85 mA');
  });
});

describe('a chart of lines', () => {
  const x = Float64Array.from({ length: 11 }, (_, i) => i / 10);
  const draw = (lines: readonly number[][]) =>
    renderToStaticMarkup(
      <LineChart
        label="Volts over a second"
        x={x}
        xUnit={scaledUnit('s', [x])}
        yUnit={['V', 1]}
        lines={lines.map((values, i) => ({ name: `n${i}`, values }))}
      />,
    );

  it('names each line at its end, with units on both axes, and tells what it is', () => {
    const markup = draw([Array.from(x, (t) => 5 * t), Array.from(x, () => 2)]);
    expect(markup).toContain('aria-label="Volts over a second"');
    for (const name of ['n0', 'n1']) expect(markup).toContain(`>${name}</text>`);
    expect(markup).toContain('>V</text>');
    expect(markup).toContain('>s</text>');
    expect(markup).not.toContain('NaN');
  });

  it('keeps the names of lines that end together apart, inside the chart', () => {
    const markup = draw(Array.from({ length: MOST_LINES }, () => Array.from(x, () => 0)));
    const places = [...markup.matchAll(/y="([\d.]+)"[^>]*font-weight="700"/gu)].map((m) => Number(m[1]));
    expect(places).toHaveLength(MOST_LINES);
    const sorted = [...places].sort((a, b) => a - b);
    sorted.slice(1).forEach((y, i) => expect(y - sorted[i]!).toBeGreaterThanOrEqual(13));
    expect(Math.max(...places)).toBeLessThan(180);
  });

  it('begins at zero, and does not open below it for leakage', () => {
    const markup = draw([Array.from(x, (t) => (t > 0.5 ? 10 : -1e-9))]);
    expect(markup).not.toContain('−');
  });

  it('counts in the unit that suits its figures', () => {
    expect(scaledUnit('A', [[0.008, -0.02]])).toEqual(['mA', 1e-3]);
    expect(scaledUnit('s', [[0, 2]])).toEqual(['s', 1]);
    expect(scaledUnit('A', [[2e-6]])).toEqual(['µA', 1e-6]);
  });
});

describe('reading what is typed', () => {
  it('takes figures with units, plain numbers, and lists', () => {
    expect(readFigure('4k7', 'Ω')).toMatchObject({ ok: true, value: 4700 });
    expect(readFigure('0,25', undefined)).toMatchObject({ ok: true, value: 0.25 });
    expect(readFigure('half', undefined)).toMatchObject({ ok: false, findings: [{ code: 'not-a-figure' }] });
    expect(readList('10n, 100n;1u', 'F')).toMatchObject({ ok: true, value: [1e-8, 1e-7, 1e-6] });
    expect(readList('10n, ten', 'F')).toMatchObject({ ok: false });
  });

  it('names the limits of what is out of them', () => {
    const read = readWithin('A time', 's', 0.001, 10);
    expect(read('2s')).toMatchObject({ ok: true, value: 2 });
    expect(read('20s')).toMatchObject({
      ok: false,
      findings: [{ code: 'out-of-range', data: { high: 10 } }],
    });
    expect(read('2 V')).toMatchObject({ ok: false, findings: [{ code: 'wrong-unit' }] });
  });
});
