'use client';

import { useEffect, useMemo, useRef, useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { Remote } from 'comlink';
import {
  beneathsFor,
  formatQuantity,
  instantOf,
  spellsOf,
  type Beneath,
  type Day,
  type Instant,
  type Outcome,
  type Sheet,
  type SheetRequest,
} from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import { saveSvg } from '@/features/plan/saveSvg';
import { sentences } from '@/messages/findings';
import { capital } from '@/messages/grammar';
import { instantWords } from '@/messages/instant';
import { heldWords } from '@/messages/points';
import { whyItLights } from '@/messages/pulses';
import { slug } from '@/ui/download';
import { Note } from '@/ui/Note';
import type { CoreApi } from '@/workers/coreApi';
import { ChipInside } from './ChipInside';
import { DayChart } from './DayChart';
import { Happenings } from './Happenings';
import { happeningsOf } from './happenings';
import { rowsOf } from './rows';
import { ToneSection } from './ToneSection';
import { slownessFor, usePlay } from './usePlay';
import './day.css';

interface Question {
  readonly request: Pick<SheetRequest, 'choice' | 'style' | 'shelf' | 'stock'>;
  readonly beneath: Beneath;
}

const ask = (core: Remote<CoreApi>, { request, beneath }: Question): Promise<Outcome<Day>> =>
  core.day(request as SheetRequest, beneath);

const BENEATH_NAMES: Readonly<Record<Beneath, string>> = {
  nothing: 'nothing beneath',
  'other family': 'the other family of chip beneath',
  'tired supply': 'a tired supply beneath',
  'fresh supply': 'a fresh supply beneath',
  'no lamps': 'the same without its lamps beneath',
  'its mean': 'the mean of its pulses beneath',
};

const VIEWS = { whole: 'from switching on', rounds: 'two rounds', close: 'close up' } as const;
type View = keyof typeof VIEWS;

interface Props {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
  readonly title: string;
  onInstant(instant: Instant | undefined): void;
}

/** What the circuit does from switching on: a chart of one run, and what is so at the instant under the ruler. */
export function DayStage({ sheet, request, title, onInstant }: Props) {
  const [beneath, setBeneath] = useState<Beneath>('nothing');
  const { choice, style, shelf, stock } = request;
  const question: Question = { request: { choice, style, shelf, stock }, beneath };
  const { reply, of, waiting, failure } = useAsked('waves', question, ask);
  const day = reply?.ok ? reply.value : undefined;
  return (
    <section className="ruled" aria-busy={waiting}>
      <div className="ruled-head">
        <h2>{sheet.sums.own.family === 'program' ? 'What the table does' : 'A day of this circuit'}</h2>
        <Form.Select
          size="sm"
          className="w-auto no-print"
          aria-label="Another setting beneath"
          value={beneath}
          onChange={(event) => setBeneath(event.target.value as Beneath)}
        >
          {beneathsFor(sheet.circuit).map((name) => (
            <option key={name} value={name}>
              {BENEATH_NAMES[name]}
            </option>
          ))}
        </Form.Select>
      </div>
      {sheet.started && (
        <p className="soft pt-2">{capital(heldWords(sheet.started))}: this is what follows.</p>
      )}
      {failure && <Note kind="refusal">{failure}</Note>}
      {reply && !reply.ok && <Note kind="refusal">{sentences(reply.findings)}</Note>}
      {!day && !failure && (!reply || reply.ok) && <p className="soft pt-2">Following the circuit…</p>}
      {day && (
        <Shown
          {...{ day, sheet, title, onInstant }}
          beneath={of?.beneath ?? 'nothing'}
          request={question.request}
        />
      )}
    </section>
  );
}

interface ShownProps extends Omit<Props, 'request'> {
  readonly request: Question['request'];
  readonly day: Day;
  readonly beneath: Beneath;
}

function Shown({ day, beneath, sheet, title, request, onInstant }: ShownProps) {
  const { seen, timing, other } = day;
  const { run } = seen;
  const [wanted, setWanted] = useState<number | undefined>();
  const [view, setView] = useState<View>('whole');
  const changes = useMemo(() => happeningsOf(seen), [seen]);
  const rounds = roundsOf(day);
  const slowest = Math.max(...rounds);
  const fastest = Math.min(...rounds);
  const at = Math.min(run.ended, wanted ?? startAt(seen, slowest));
  const shown = viewAt(view, at, run.ended, view === 'close' ? 3 * fastest : 2 * slowest);
  const instant = useMemo(() => instantOf(seen, at), [seen, at]);
  useEffect(() => {
    onInstant(instant);
    return () => onInstant(undefined);
  }, [instant, onInstant]);
  const toChange = (from: number, step: -1 | 1) => {
    const times = changes.map(({ time }) => time);
    const next =
      step > 0 ? times.find((time) => time > from * (1 + 1e-9)) : times.filter((time) => time < from).at(-1);
    return next ?? (step > 0 ? run.ended : 0);
  };
  const hertz = Math.max(...timing.map((chip) => chip.hertz), day.pulses?.hertz ?? 0);
  const slowness = slownessFor(hertz);
  const onward = (from: number, seconds: number | 'change') => {
    const next = seconds === 'change' ? toChange(from, 1) : from + seconds;
    return next >= run.ended ? 0 : next;
  };
  const { playing, toggle } = usePlay(slowness, at, onward, setWanted);
  const chart = useRef<SVGSVGElement>(null);
  const said = instantWords(instant, timing);
  const rows = useMemo(() => rowsOf(seen, day, sheet.sorts), [seen, day, sheet.sorts]);
  const beneathRows = useMemo(
    () => (other ? rowsOf(other, day, sheet.sorts) : []),
    [other, day, sheet.sorts],
  );
  return (
    <>
      <div className="day-tools small-print">
        <span>{roundWords(day, slowest)}</span>
        <span className="no-print">
          <Form.Select
            size="sm"
            className="w-auto d-inline-block"
            aria-label="How much of it is shown"
            value={view}
            onChange={(event) => setView(event.target.value as View)}
          >
            {(Object.keys(VIEWS) as View[]).map((name) => (
              <option key={name} value={name}>
                {VIEWS[name]}
              </option>
            ))}
          </Form.Select>{' '}
          <Button variant="quiet" size="sm" aria-pressed={playing} onClick={toggle}>
            {playing
              ? 'Stop'
              : slowness > 1.01
                ? `Slow motion, 1 : ${slownessWords(slowness)}`
                : 'Let it run'}
          </Button>{' '}
          <Button variant="quiet" size="sm" onClick={() => saveSvg(chart.current, `${slug(title)}-day`)}>
            Save as SVG
          </Button>
        </span>
      </div>
      <DayChart
        rows={rows}
        beneath={beneathRows}
        times={run.time}
        timesBeneath={other?.run.time}
        view={shown}
        at={at}
        said={said}
        svgRef={chart}
        onAt={setWanted}
        onChange={(step) => setWanted(toChange(at, step))}
      />
      <p className="small-print text-center">drag, or ← →: from change to change with Shift</p>
      {beneath !== 'nothing' && (
        <p className="small-print">
          {other
            ? `Dashed: ${BENEATH_NAMES[beneath].replace(/ beneath$/u, '')}.`
            : 'With that setting it does not move.'}
        </p>
      )}
      <p className="instant-words" role="status">
        <strong>At {at === 0 ? '0 s' : formatQuantity(at, 's', 3)}.</strong> {said}
      </p>
      {seen.circuit.parts.some(({ kind }) => kind === 'speaker') && (
        <ToneSection
          key={JSON.stringify([timing[0]?.values, timing[0]?.wanted])}
          {...{ seen, timing, request, title }}
        />
      )}
      <Explained day={day} />
      {timing.length > 0 && <ChipInside instant={instant} sheet={sheet} />}
      <Happenings changes={changes} at={at} title={title} onAt={setWanted} />
    </>
  );
}

/** How to read the chart, where that does not go without saying. */
function Explained({ day: { program, pulses } }: { day: Day }) {
  if (pulses) return <p className="pt-2">{whyItLights(pulses)}</p>;
  if (!program) return null;
  return (
    <p className="small-print">
      Boxes: what each lamp carries, as observed. The line under them: when the table wants it lit.
    </p>
  );
}

/** Seconds of one round of each thing that goes round. */
function roundsOf({ timing, pulses, program }: Day): number[] {
  if (program) return [program.roundSeconds];
  const chips = timing.map(({ solved }) => solved.high + solved.low);
  return pulses ? [...chips, 1 / pulses.hertz] : chips;
}

/** Where the ruler stands at first: in the middle of the first light, where something is to be seen. */
function startAt(seen: Day['seen'], slowest: number): number {
  const lamp = seen.circuit.parts.find(({ kind }) => kind === 'led');
  const first = lamp && spellsOf(seen.run, lamp.id)[0];
  return first ? (first.from + first.to) / 2 : 0.38 * slowest;
}

function viewAt(view: View, at: number, ended: number, length: number): readonly [number, number] {
  if (view === 'whole' || !(length > 0) || length >= ended) return [0, ended];
  const from = Math.min(Math.max(0, at - length / 2), ended - length);
  return [from, from + length];
}

function slownessWords(slowness: number): string {
  return slowness < 10 ? slowness.toPrecision(2) : String(Number(slowness.toPrecision(2)));
}

function roundWords({ seen, pulses, program }: Day, slowest: number): string {
  const goes =
    program !== undefined ||
    pulses !== undefined ||
    Object.values(seen.run.cycles).some((cycle) => cycle.period);
  return goes
    ? `once round ${formatQuantity(slowest, 's', 3)}`
    : `one light of ${formatQuantity(slowest, 's', 3)}`;
}
