import fs from 'node:fs';
import { z } from 'zod';
import { solve } from '../solver/solve';
import { circuitSchema } from '../circuit/schema';
import { parseCircuit } from './circuit/parse';

describe('the documents', () => {
  it('show a circuit file that is taken and solves', () => {
    const page = fs.readFileSync('docs/formats/circuit.md', 'utf8');
    const circuit = parseCircuit(/```json\n([\s\S]*?)```/u.exec(page)![1]!);
    if (!circuit.ok) throw new Error(JSON.stringify(circuit.findings));
    const solved = solve(circuit.value);
    expect(solved.ok && solved.value.parts['D1']!.amps).toBeCloseTo(8.8505e-3, 6);
  });

  it('name every kind of part there is', () => {
    const page = fs.readFileSync('docs/formats/circuit.md', 'utf8');
    const known = JSON.stringify(z.toJSONSchema(circuitSchema, { io: 'input', unrepresentable: 'any' }));
    for (const [, kind] of known.matchAll(/"const":"(\w+)"/gu)) {
      if (kind !== 'amps' && kind !== 'volts') expect(page).toMatch(new RegExp(`^\\| ${kind} +\\|`, 'mu'));
    }
  });
});
