'use client';

import { memo, useEffect, useMemo, useState } from 'react';
import Table from 'react-bootstrap/Table';
import { proxy, type Remote } from 'comlink';
import {
  formatEntered,
  formatPercent,
  formatQuantity,
  type Circuit,
  type Cycle,
  type Outcome,
  type Run,
  readWithin,
} from '@/core';
import { LineChart, scaledUnit } from '@/features/charts/LineChart';
import { Typed } from '@/features/wish/Words';
import { screenSentence } from '@/messages/findings';
import { saveTable } from '@/features/hooks/saveTable';
import { slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import { stopWorker } from '@/workers/client';
import type { CoreApi } from '@/workers/coreApi';
import { firstOf, shownFigure, tellingNodes, tellingParts } from './figures';
import { Shown } from './Shown';
import { useAsked } from '@/features/asking/useAsked';
import { Stopped, Working } from '@/features/asking/Working';
import { Scroll } from '@/ui/Scroll';

interface Question {
  readonly circuit: Circuit;
  readonly seconds: number;
  readonly settle: number;
}

const ask = (
  core: Remote<CoreApi>,
  { circuit, seconds, settle }: Question,
  onProgress: (share: number) => void,
): Promise<Outcome<Run>> => core.run(circuit, seconds, settle, proxy(onProgress));

/** The circuit over time: waveforms, what every timer does, and true means. */
export function OverTime({ circuit, seconds: first }: { circuit: Circuit; seconds: number }) {
  const [seconds, setSeconds] = useState(first);
  const [settle, setSettle] = useState(0);
  const [problem, setProblem] = useState('');
  const question = useMemo(() => ({ circuit, seconds, settle }), [circuit, seconds, settle]);
  const { reply, of, waiting, stopped, failure, share, stop, again } = useAsked('waves', question, ask);
  const run = reply?.ok ? reply.value : undefined;
  // Nobody waits for the end of a circuit that was left: it would hold up the next one.
  useEffect(() => () => stopWorker('waves'), []);
  return (
    <section className="ruled" aria-label="Over time" aria-busy={waiting}>
      <div className="ruled-head">
        <h2>Over time</h2>
        {waiting && <Working label="Time that is worked out" share={share} onStop={stop} />}
      </div>
      <p className="pt-2 mb-1">
        Follow it for{' '}
        <Typed
          label="Seconds to follow"
          value={formatEntered(seconds, 's')}
          read={readWithin('A time', 's', 1e-5, 600)}
          onValue={(value) => {
            setSeconds(value);
            setSettle(Math.min(settle, value / 2));
          }}
          onProblem={setProblem}
          width={5}
        />
        , and count cycles and means after{' '}
        <Typed
          label="Settling time"
          value={formatEntered(settle, 's')}
          read={readWithin('A settling time', 's', 0, seconds / 2)}
          onValue={setSettle}
          onProblem={setProblem}
          width={4}
        />
        .
      </p>
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
      {stopped && <Stopped onAgain={again} />}
      {failure && <Note kind="refusal">{failure}</Note>}
      {reply && !reply.ok && <Note kind="refusal">{reply.findings.map(screenSentence).join(' ')}</Note>}
      {run && of && <Waves circuit={of.circuit} run={run} />}
    </section>
  );
}

/** Drawn anew when there is something new, not whenever the work has gone on a little. */
const Waves = memo(function Waves({ circuit, run }: { circuit: Circuit; run: Run }) {
  const nodes = Object.keys(run.nodes).filter((name) => name !== circuit.ground);
  const parts = circuit.parts.map(({ id }) => id).filter((id) => run.parts[id]);
  const lamps = circuit.parts.filter((part) => part.kind === 'led').map(({ id }) => id);
  const [shownNodes, showNodes] = useState<readonly string[]>();
  const [shownParts, showParts] = useState<readonly string[]>();
  const volts = (shownNodes ?? tellingNodes(run, nodes, 3)).filter((n) => nodes.includes(n));
  const amps = (shownParts ?? tellingParts(run, lamps, parts, 3)).filter((id) => parts.includes(id));
  const xUnit = scaledUnit('s', [run.time]);
  const chart = (
    legend: string,
    unit: string,
    names: readonly string[],
    of: (name: string) => ArrayLike<number>,
  ) =>
    names.length > 0 && (
      <Scroll label="Over time">
        <LineChart
          label={`${legend} of ${names.join(', ')} over ${formatQuantity(run.time[run.time.length - 1]!, 's')}`}
          x={run.time}
          xUnit={xUnit}
          yUnit={scaledUnit(unit, names.map(of))}
          lines={names.map((name) => ({ name, values: of(name) }))}
        />
      </Scroll>
    );
  return (
    <>
      {chart('Volts', 'V', volts, (name) => run.nodes[name]!)}
      <Shown chart="over time" legend="Volts at" names={nodes} shown={volts} onShow={showNodes} />
      {chart('Current', 'A', amps, (id) => run.parts[id]!.amps)}
      <Shown chart="over time" legend="Current of" names={parts} shown={amps} onShow={showParts} />
      {Object.keys(run.cycles).length > 0 && <Cycles cycles={run.cycles} />}
      <p className="small-print pt-2">
        Mean current:{' '}
        {firstOf(
          parts,
          (id) => `${id} ${shownFigure(meanOf(run, id), 'A')}`,
          ' · ',
          'the others are in the file',
        )}
        . A meter shows these means.{' '}
        <button type="button" className="btn btn-text no-print" onClick={() => saveCsv(circuit, run)}>
          Save as CSV
        </button>
      </p>
    </>
  );
});

/** What charges and discharges alike has no mean current: what is left is rounding. */
function meanOf({ means, parts }: Run, id: string): number {
  const most = parts[id]!.amps.reduce((largest, amps) => Math.max(largest, Math.abs(amps)), 0);
  return Math.abs(means[id]!) < 1e-5 * most ? 0 : means[id]!;
}

function Cycles({ cycles }: { cycles: Readonly<Record<string, Cycle>> }) {
  const time = (value: number | null) => (value === null ? '–' : formatQuantity(value, 's'));
  return (
    <Table>
      <thead>
        <tr>
          <th scope="col">Output</th>
          {['Period', 'High', 'Low', 'Pitch', 'Duty', 'Cycles'].map((name) => (
            <th key={name} scope="col" className="amount">
              {name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {Object.entries(cycles).map(([node, cycle]) => (
          <tr key={node}>
            <th scope="row">
              {node}
              {cycle.bursts && (
                <span className="small-print d-block">
                  bursts of {Number(cycle.bursts.pulses.toPrecision(3))}, one every {time(cycle.bursts.every)}
                </span>
              )}
            </th>
            <td className="amount">{time(cycle.period)}</td>
            <td className="amount">{time(cycle.high)}</td>
            <td className="amount">{time(cycle.low)}</td>
            <td className="amount">{cycle.hertz === null ? '–' : formatQuantity(cycle.hertz, 'Hz')}</td>
            <td className="amount">{cycle.duty === null ? '–' : formatPercent(cycle.duty)}</td>
            <td className="amount">{cycle.cycles}</td>
          </tr>
        ))}
      </tbody>
    </Table>
  );
}

function saveCsv(circuit: Circuit, run: Run): void {
  const nodes = Object.entries(run.nodes);
  const parts = Object.entries(run.parts);
  const head = ['seconds', ...nodes.map(([name]) => `V ${name}`), ...parts.map(([id]) => `A ${id}`)];
  const rows = Array.from(run.time, (time, i) => [
    time,
    ...nodes.map(([, volts]) => volts[i]!),
    ...parts.map(([, { amps }]) => amps[i]!),
  ]);
  saveTable(`${slug(circuit.title)}-over-time.csv`, head, rows);
}
