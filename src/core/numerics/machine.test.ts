import fc from 'fast-check';
import { apply, at, Code, either, num, sum, times, type Value } from './code';
import { exp, log, omega, omegaFrom } from './functions';
import { assemble } from './machine';
import { wrightOmega } from './omega';

function machineOf(places: number, write: (code: Code) => void) {
  const code = new Code();
  write(code);
  const made = assemble(places, code);
  if (!made) throw new Error('no compiled code here');
  return made;
}

/** A function of the number at place 0. */
function functionOf(written: (value: Value) => Value): (x: number) => number {
  const { memory, run } = machineOf(1, (code) => code.put(written(at(0))));
  return (x) => {
    memory[0] = x;
    return run();
  };
}

const off = (a: number, b: number) => Math.abs(a - b) / Math.max(Math.abs(b), 1e-300);

describe('written functions', () => {
  it('are the exponential and the logarithm to the last digits', () => {
    const [e, ln] = [functionOf(exp), functionOf(log)];
    fc.assert(
      fc.property(fc.double({ min: -700, max: 700, noNaN: true }), (x) => {
        expect(off(e(x), Math.exp(x))).toBeLessThan(1e-15);
        const y = Math.exp(x);
        expect(Math.abs(ln(y) - Math.log(y))).toBeLessThan(1e-15 * (1 + Math.abs(x)));
      }),
    );
    expect([e(0), ln(1)]).toEqual([1, 0]);
    expect(Number.isNaN(e(NaN))).toBe(true);
  });

  it('hold still far beyond any use', () => {
    const e = functionOf(exp);
    expect(e(-1e6)).toBeLessThan(1e-300);
    expect(e(1e6)).toBeLessThan(Infinity);
  });

  it("are Wright's omega, alone and from a value nearby", () => {
    const alone = functionOf(omega);
    const { memory, run } = machineOf(3, (code) => code.put(omegaFrom(code, at(0), at(1), at(2))));
    const near = (z: number, d: number) => {
      memory.set([z, wrightOmega(z - d), d]);
      return run();
    };
    fc.assert(
      fc.property(
        fc.double({ min: -100, max: 1000, noNaN: true }),
        fc.double({ min: -0.2, max: 0.2, noNaN: true }),
        (z, d) => {
          expect(off(alone(z), wrightOmega(z))).toBeLessThan(1e-13);
          expect(off(near(z, d), wrightOmega(z))).toBeLessThan(1e-12);
          const y = alone(z);
          if (z > -36) expect(Math.abs(y + Math.log(y) - z)).toBeLessThan(1e-12 * (1 + Math.abs(z)));
        },
      ),
    );
    expect(near(3, NaN)).toBeCloseTo(wrightOmega(3), 12);
  });
});

describe('written code', () => {
  it('keeps numbers in its memory from run to run', () => {
    const { memory, run } = machineOf(2, (code) => code.add(1, at(0)).put(at(1)));
    memory[0] = 2.5;
    expect([run(), run(), run()]).toEqual([2.5, 5, 7.5]);
  });

  it('does one thing or the other, and leaves out what no comparison holds for', () => {
    const { memory, run } = machineOf(1, (code) => {
      const made = code.keep(num(0));
      code.when(
        apply('less', at(0), num(1)),
        () => code.set(made, num(10)),
        () => code.set(made, num(20)),
      );
      code.unless(apply('less', at(0), num(1)), () => code.set(made, sum(made.value, num(1))));
      code.put(sum(made.value, either(apply('more', at(0), num(5)), num(0.5), times(num(0), at(0)))));
    });
    const of = (x: number) => {
      memory[0] = x;
      return run();
    };
    expect([of(0), of(3), of(6)]).toEqual([10, 21, 21.5]);
    expect(of(NaN)).toBe(NaN);
  });

  it('reaches places far behind in a large memory', () => {
    const places = 40_000;
    const { memory, run } = machineOf(places, (code) =>
      code.store(places - 1, num(7)).put(times(at(places - 1), num(2))),
    );
    expect([run(), memory[places - 1]]).toEqual([14, 7]);
  });
});
