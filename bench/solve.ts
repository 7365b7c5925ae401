import { circuitFrom, newtonBench, type Circuit } from '@/core';
import { median, medianOfMany, ms, type Line } from './measure';

/** A ladder of resistors with a lamp to ground at every second node. */
function ladder(nodes: number): Circuit {
  const parts: object[] = [
    { id: 'B', kind: 'supply', pins: { plus: 'n1', minus: '0' }, volts: 12, ohms: 0.5 },
  ];
  for (let i = 1; i < nodes; i++) {
    parts.push({ id: `R${i}`, kind: 'resistor', pins: { a: `n${i}`, b: `n${i + 1}` }, ohms: 10 + i });
    const end =
      i % 2
        ? { id: `D${i}`, kind: 'led', pins: { anode: `n${i + 1}`, cathode: '0' }, type: 'red' }
        : { id: `Q${i}`, kind: 'resistor', pins: { a: `n${i + 1}`, b: '0' }, ohms: 1000 };
    parts.push(end);
  }
  const made = circuitFrom({ format: 'mivvet.circuit/1', ground: '0', parts });
  if (!made.ok) throw new Error('refused');
  return made.value;
}

/** Operating points, warm, against one dense factor-and-solve of the same size. */
export function benchSolve(): Line[] {
  return [2, 40].map((nodes) => {
    const { solve, dense, size } = newtonBench(ladder(nodes));
    const solving = nodes < 10 ? medianOfMany(solve, 500) : median(solve);
    const yardstick = nodes < 10 ? medianOfMany(dense, 2000) : medianOfMany(dense, 50);
    const ratio = (solving / yardstick).toFixed(1);
    return {
      work: `operating point, ${nodes} nodes (${size} unknowns), warm`,
      figure: `${ms(solving)}, ${ratio} × one dense factor-and-solve (${ms(yardstick)})`,
    };
  });
}
