import { worked, refusedWith } from '../../../../tests/support/sheets';
import { isKind } from '../../circuit/circuit';
import { solve } from '../../solver/solve';
import { ownSums } from '../../../../tests/support/ownSums';

describe('gauge', () => {
  it('lights its rungs near the wished volts, in their order', () => {
    const { sums } = worked('gauge');
    const lit = ownSums(sums).rungs!.map((rung) => rung.lit!);
    expect([...lit].sort((a, b) => a - b)).toEqual(lit);
    for (const rung of ownSums(sums).rungs!) expect(Math.abs(rung.lit! - rung.wanted)).toBeLessThan(0.6);
    for (const rung of ownSums(sums).rungs!) expect(rung.fullAmps).toBeLessThanOrEqual(0.0101);
  });

  it('has its thresholds where the solver finds a milliamp', () => {
    const { sums, design } = worked('gauge');
    const rung = ownSums(sums).rungs![0]!;
    const at = {
      ...design.circuit,
      parts: design.circuit.parts.map((part) =>
        isKind(part, 'supply') ? { ...part, params: { ...part.params, volts: rung.lit! } } : part,
      ),
    };
    const solved = solve(at);
    expect(solved.ok && solved.value.parts[rung.lamp]!.amps).toBeCloseTo(1e-3, 6);
  });

  it('says when two rungs would light together', () => {
    const rungs = [11.6, 12].map((volts) => ({ lamp: 'red' as const, volts }));
    const { design, sums } = worked('gauge', { rungs });
    expect(ownSums(sums).rungs![0]!.zener).toBe(ownSums(sums).rungs![1]!.zener);
    expect(design.findings).toContainEqual(
      expect.objectContaining({
        code: 'rungs-alike',
        data: expect.objectContaining({ first: 'D1', second: 'D2' }),
      }),
    );
    expect(worked('gauge').design.findings.map(({ code }) => code)).not.toContain('rungs-alike');
  });

  it('says when no zener comes near', () => {
    expect(
      refusedWith('gauge', {
        rungs: [
          { lamp: 'red', volts: 4 },
          { lamp: 'red', volts: 11 },
        ],
      }),
    ).toMatchObject({ code: 'no-zener', data: { volts: 4 } });
  });
});
