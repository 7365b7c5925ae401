import type { PulseSums } from '@/core';
import { cellLines, pulseLines, whyItLights } from '@/messages/pulses';
import { SumRows } from '../sums/SumBlockTable';

/** Peak and mean of a lamp on pulses, why it lights, and what the cell behind them gives. */
export function PulseWork({ pulses }: { pulses: PulseSums }) {
  return (
    <>
      <section className="ruled">
        <h2>Peak and mean</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={pulseLines(pulses)} />
          </tbody>
        </table>
        <p className="pt-2">{whyItLights(pulses)}</p>
      </section>
      <section className="ruled">
        <h2>The cell behind it</h2>
        <table className="table sums">
          <tbody>
            <SumRows lines={cellLines(pulses)} />
          </tbody>
        </table>
      </section>
    </>
  );
}
