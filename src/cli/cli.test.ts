import { spawnSync } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

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
  const tsx = path.resolve('node_modules/tsx/dist/cli.mjs');
  const done = spawnSync(process.execPath, [tsx, 'src/cli/main.ts', ...args], { input, encoding: 'utf8' });
  return { code: done.status, out: done.stdout, err: done.stderr };
}

interface Answer {
  nodes: Record<string, number>;
  parts: Record<string, { volts: number; amps: number; watts: number; pins: Record<string, number> }>;
  checks: { id: string; typical: number; low: number; high: number; unit: string; verdict?: string }[];
  values: number[];
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

  it('does the board sum', () => {
    const { out } = core(['resistor', '--supply', '4.8', '--vf', '1.95', '--amps', '12mA']);
    expect(JSON.parse(out)).toMatchObject({
      chosen: 270,
      bands: ['red', 'violet', 'brown', 'gold'],
      rating: 0.125,
    });
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
