import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { nightWatch, outputDriven } from '@/demo/circuits';

const circuit = {
  format: 'mivvet.circuit/1',
  title: 'pier lamp',
  ground: '0',
  parts: [
    { id: 'B1', kind: 'supply', pins: { plus: 'rail', minus: '0' }, volts: 4.8, ohms: 0.6 },
    { id: 'R1', kind: 'resistor', pins: { a: 'rail', b: 'n1' }, ohms: '180', tolerance: 0.05 },
    { id: 'D1', kind: 'led', pins: { anode: 'n1', cathode: '0' }, type: 'red' },
  ],
  checks: [
    { id: 'lamp current', measure: 'amps', part: 'D1' },
    { id: 'across R1', measure: 'volts', from: 'rail', to: 'n1' },
  ],
};

function core(args: string[], input = ''): { code: number | null; out: string; err: string } {
  const done = spawnSync(process.execPath, ['scripts/core.mjs', ...args], { input, encoding: 'utf8' });
  return { code: done.status, out: done.stdout, err: done.stderr };
}

interface Answer {
  nodes: Record<string, number>;
  parts: Record<string, { volts: number; amps: number; watts: number; pins: Record<string, number> }>;
  checks: { id: string; typical: number; low: number; high: number; unit: string; verdict?: string }[];
  values: number[];
}

interface RunAnswer {
  time: number[];
  nodes: Record<string, number[]>;
  parts: Record<string, { amps: number[] }>;
  cycles: Record<string, { period: number; high: number }>;
  means: Record<string, number>;
}

const json = (out: string) => JSON.parse(out) as Answer;

describe('the command line over the core', () => {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-cli-'));
  const file = path.join(folder, 'c.json');
  fs.writeFileSync(file, JSON.stringify(circuit));
  afterAll(() => fs.rmSync(folder, { recursive: true }));

  it('solves a file: node volts, and each part with its pins', () => {
    const { code, out } = core(['solve', file]);
    expect(code).toBe(0);
    const { nodes, parts } = json(out);
    expect(nodes['rail']).toBeCloseTo(4.8 - 0.6 * parts['D1']!.amps, 9);
    expect(parts['B1']!.amps).toBeCloseTo(-parts['D1']!.amps, 9);
    expect(parts['D1']!.pins['cathode']).toBeCloseTo(-parts['D1']!.amps, 12);
    expect(parts['R1']!.watts).toBeCloseTo(parts['R1']!.volts * parts['R1']!.amps, 12);
    expect(parts['B1']!.watts).toBeLessThan(0);
  });

  it('draws bands from standard input and judges readings', () => {
    const { code, out } = core(
      ['bands', '-', '--samples', '2000', '--check', 'across R1=2.86', 'lamp current=25 mA'],
      JSON.stringify(circuit),
    );
    expect(code).toBe(0);
    const { checks } = json(out);
    expect(checks.map((c) => [c.id, c.unit, c.verdict])).toEqual([
      ['lamp current', 'A', 'off'],
      ['across R1', 'V', 'right'],
    ]);
    const again = core(['bands', file, '--samples', '2000']);
    expect(json(again.out).checks[1]!.low).toBe(checks[1]!.low);
  });

  it('sweeps one field', () => {
    const { out } = core(['sweep', file, '--vary', 'B1.volts', '--from', '3', '--to', '6', '--steps', '4']);
    expect(json(out).values).toEqual([3, 4, 5, 6]);
  });

  it('runs a blinker: samples, cycles by output node, and means', () => {
    const { code, out } = core(
      ['run', '-', '--for', '3s', '--settle', '500ms', '--samples', '31'],
      JSON.stringify(outputDriven('bipolar', 9, 47e3, 10e-6)),
    );
    expect(code).toBe(0);
    const { time, nodes, parts, cycles, means } = JSON.parse(out) as RunAnswer;
    expect([time.length, time[0], time[30]]).toEqual([31, 0, 3]);
    expect(nodes['c']).toHaveLength(31);
    expect(parts['R1']!.amps).toHaveLength(31);
    const high = 47_006 * 10e-6 * Math.log((7.8 - 3) / (7.8 - 6));
    expect(cycles['out']!.high / high).toBeCloseTo(1, 3);
    expect(means['B1']!).toBeLessThan(-5e-3);
  });

  it('gives the state from dark, and says when lit there is another', () => {
    const { out } = core(['solve', '-'], JSON.stringify(nightWatch()));
    expect(JSON.parse(out)).toMatchObject({ alsoStable: true });
    expect(json(out).parts['D1']!.amps).toBeLessThan(1e-5);
    expect(JSON.parse(core(['solve', file]).out)).not.toHaveProperty('alsoStable');
  });

  it('sends a timer without rest to run, with exit 3', () => {
    const { code, err } = core(['solve', '-'], JSON.stringify(outputDriven('cmos', 5, 1e4, 1e-6)));
    expect([code, err.trim()]).toEqual([3, 'U1: no state of rest is consistent; it oscillates, use run.']);
  });

  it('does the board sum', () => {
    const { out } = core(['resistor', '--supply', '4.8', '--vf', '1.95', '--amps', '12mA']);
    expect(JSON.parse(out)).toMatchObject({
      chosen: 270,
      bands: ['red', 'violet', 'brown', 'gold'],
      rating: 0.125,
    });
  });

  it('answers questions: a value, a time, battery hours', () => {
    const sought = core([
      'seek',
      file,
      '--vary',
      'R1.ohms',
      '--from',
      '1',
      '--to',
      '1e6',
      '--check',
      'lamp current',
      '--target',
      '0.01',
    ]);
    const { value } = JSON.parse(sought.out) as { value: number };
    const at = {
      ...circuit,
      parts: circuit.parts.map((part) => (part.id === 'R1' ? { ...part, ohms: value } : part)),
    };
    expect(json(core(['solve', '-'], JSON.stringify(at)).out).parts['D1']!.amps).toBeCloseTo(0.01, 9);
    const { choices } = JSON.parse(
      core(['timing', '--form', 'standard', '--supply', '9V', '--period', '1.2s']).out,
    ) as {
      choices: { error: number }[];
    };
    expect(choices).toHaveLength(12);
    expect(Math.abs(choices[0]!.error)).toBeLessThan(0.02);
    const { toEmpty } = JSON.parse(
      core(['battery', file, '--battery', 'aa-alkaline', '--cells', '3', '--lamp', 'D1']).out,
    ) as {
      toEmpty: number;
    };
    expect(toEmpty).toBeGreaterThan(150);
  });

  it('answers for gauges and sensors, or says why not', () => {
    const gauge = JSON.parse(core(['gauge', file, '--amps', '5mA', '--to', '9 V']).out) as {
      lamps: { volts: number }[];
    };
    expect(gauge.lamps[0]!.volts).toBeGreaterThan(2.5);
    expect(
      core([
        'trim',
        file,
        '--sensor',
        'R1',
        '--trim',
        'R1',
        '--check',
        'across R1',
        '--target',
        '1',
      ]).err.trim(),
    ).toBe('R1 is no light sensor of this circuit. Name one that is.');
    expect(core(['timing', '--form', 'output-driven', '--supply', '3.3V', '--hertz', '440Hz']).err).toContain(
      'stalls high',
    );
  });

  it('refuses with one line and exit 2', () => {
    const refused = (args: string[], input = '') => {
      const { code, out, err } = core(args, input);
      expect(out).toBe('');
      expect(err.trim().split('\n')).toHaveLength(1);
      return [code, err.trim()];
    };
    const broken = { ...circuit, parts: [{ ...circuit.parts[1], ohms: -5 }] };
    expect(refused(['solve', '-'], JSON.stringify(broken))).toEqual([2, 'R1: ohms must not be negative.']);
    expect(refused(['solve', path.join(folder, 'none.json')])[0]).toBe(2);
    expect(refused(['resistor', '--supply', 'x', '--vf', '2', '--amps', '1mA'])).toEqual([
      2,
      '--supply: “x” is not a figure in V.',
    ]);
    expect(refused(['sweep', file, '--vary', 'B1', '--from', '1', '--to', '2'])[0]).toBe(2);
    expect(refused(['run', file])[0]).toBe(2);
    expect(refused(['run', file, '--for', '2 V'])).toEqual([2, '--for: “2 V” is not a figure in s.']);
    expect(refused(['run', file, '--for', '1s', '--settle', '2s'])[0]).toBe(2);
    expect(refused(['bands', file, '--samples', '0.5'])[0]).toBe(2);
    expect(refused(['bands', file, '--check', 'nothing=3'])[0]).toBe(2);
  });

  it('says which nodes float, with exit 3', () => {
    const island = {
      ...circuit,
      checks: [],
      parts: [...circuit.parts, { id: 'R9', kind: 'resistor', pins: { a: 'x', b: 'y' }, ohms: 10 }],
    };
    const { code, err } = core(['solve', '-'], JSON.stringify(island));
    expect([code, err.trim()]).toEqual([3, 'Nothing joins x, y to ground: these nodes float.']);
  });

  it('tells all this with --help', () => {
    const { code, out } = core(['bands', '--help']);
    expect(code).toBe(0);
    for (const option of ['--samples', '--seed', '--coverage', '--check']) expect(out).toContain(option);
  });
});
