import { newtonBench, solve } from '@/core';
import { made } from '../tests/support/circuits';
import { ladder, lampPanel } from '@/demo/circuits';
import { median, medianOfMany, ms, type Line } from './measure';

/** Operating points, warm, against one dense factor-and-solve of the same size; growth; and a panel from nothing. */
export function benchSolve(): Line[] {
  return [
    warm('single lamp', 2),
    warm('40-node circuit', 40),
    growth([5, 10, 20, 50, 100, 200, 500]),
    panel(400),
  ];
}

function warm(name: string, nodes: number): Line {
  const { solve: again, dense, size } = newtonBench(made(ladder(nodes)));
  const solving = medianOfMany(again, nodes < 10 ? 500 : 50);
  const yardstick = medianOfMany(dense, nodes < 10 ? 2000 : 50);
  const ratio = (solving / yardstick).toFixed(1);
  return {
    work: `operating point, ${name} (${size} unknowns), warm`,
    figure: `${ms(solving)}, ${ratio} × one dense factor-and-solve (${ms(yardstick)})`,
  };
}

/** Time against nodes of a ladder, and the exponent of the straight line through their logarithms. */
function growth(counts: readonly number[]): Line {
  const times = counts.map((nodes) =>
    medianOfMany(newtonBench(made(ladder(nodes))).solve, nodes < 50 ? 100 : 10),
  );
  const [x, y] = [counts.map(Math.log), times.map(Math.log)];
  const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;
  const [mx, my] = [mean(x), mean(y)];
  const exponent =
    x.reduce((sum, v, i) => sum + (v - mx) * (y[i]! - my), 0) / x.reduce((sum, v) => sum + (v - mx) ** 2, 0);
  const each = counts.map((nodes, i) => `${nodes}: ${ms(times[i]!)}`).join(', ');
  return { work: 'ladders by nodes, warm', figure: `${each}; exponent ${exponent.toFixed(2)}` };
}

/** From the circuit to its figures: placing, pivots and all steps of a cold start. */
function panel(lamps: number): Line {
  const circuit = made(lampPanel(lamps));
  const before = process.memoryUsage();
  const time = median(() => solve(circuit), 9, 3);
  const after = process.memoryUsage();
  const bytes = after.heapUsed + after.arrayBuffers - before.heapUsed - before.arrayBuffers;
  return {
    work: `panel of ${lamps} lamps, placed and solved cold`,
    figure: `${ms(time)}, ${(Math.max(0, bytes) / 1e6).toFixed(0)} MB more than before at most`,
  };
}
