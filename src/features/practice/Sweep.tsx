import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { formatQuantity } from '@/core';
import type { Swept } from '@/server/practice';
import type { BenchName } from '@/server/standins/benches';
import { heard } from '@/ui/heard';
import { Problem } from '@/ui/Problem';
import { sweepSupply } from './actions';
import { onsetsOf } from './onsets';
import { SweepChart } from './SweepChart';

/** So far above its own the supply is turned at first. */
const BEYOND = 1.25;
const MOST_VOLTS = 24;

/** The stand-in supply in the place of the bench's own: turned up from nothing, with what comes on at which volts. */
export function Sweep({ bench, usual }: { readonly bench: BenchName; readonly usual: number }) {
  const [most, setMost] = useState(String(Math.min(MOST_VOLTS, Math.ceil(usual * BEYOND))));
  const [swept, setSwept] = useState<Swept>();
  const [at, setAt] = useState(usual);
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState('');
  const volts = Number(most.replace(',', '.'));
  const fits = volts >= 1 && volts <= MOST_VOLTS;
  const sweep = async () => {
    setBusy(true);
    const answer = await heard(sweepSupply(bench, volts));
    setBusy(false);
    if (answer.ok) setSwept(answer.value);
    setProblem(answer.ok ? '' : answer.message);
  };
  const now = swept && nearest(swept.bench, at);
  return (
    <div className="sweep">
      <Form
        className="again"
        onSubmit={(event) => {
          event.preventDefault();
          if (fits) void sweep();
        }}
      >
        <Form.Label htmlFor="sweep-most">supply from 0 V to</Form.Label>
        <Form.Control
          id="sweep-most"
          size="sm"
          inputMode="decimal"
          value={most}
          isInvalid={!fits}
          onChange={(event) => setMost(event.target.value)}
        />
        <span>V</span>
        <Button type="submit" size="sm" disabled={busy || !fits}>
          {busy ? 'turning …' : 'Turn it up'}
        </Button>
      </Form>
      {!fits && <Problem>The supply goes from 1 V to {MOST_VOLTS} V.</Problem>}
      <Problem>{problem}</Problem>
      {swept && now && (
        <div className="sweep-body">
          <SweepChart swept={swept} at={now.volts} onAt={setAt} />
          <div>
            <p>
              At <strong>{formatQuantity(now.volts, 'V')}</strong> the bench takes{' '}
              <strong>{formatQuantity(now.amps, 'A')}</strong>.
            </p>
            <table className="table onsets">
              <thead>
                <tr>
                  <th scope="col">lamp</th>
                  <th scope="col">lit from, here</th>
                  <th scope="col">as meant</th>
                </tr>
              </thead>
              <tbody>
                {onsetsOf(swept).map(({ lamp, here, meant }) => (
                  <tr key={lamp}>
                    <th scope="row">{lamp}</th>
                    <td>{here === undefined ? 'never' : formatQuantity(here, 'V')}</td>
                    <td>{meant === undefined ? 'never' : formatQuantity(meant, 'V')}</td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </div>
      )}
    </div>
  );
}

function nearest<T extends { readonly volts: number }>(steps: readonly T[], at: number): T | undefined {
  return steps.reduce<T | undefined>(
    (best, one) => (best && Math.abs(best.volts - at) <= Math.abs(one.volts - at) ? best : one),
    undefined,
  );
}
