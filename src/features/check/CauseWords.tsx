import { formatPercent, formatQuantity, type Expected, type JudgedBench, type JudgedPoint } from '@/core';
import { likeliestWords, nextWords } from '@/messages/causes';
import { pointName } from '@/messages/points';
import { shareWords } from '@/messages/why';

interface CauseProps {
  readonly judged: JudgedBench;
  readonly points: readonly Expected[];
  readonly judgedPoints: readonly JudgedPoint[];
  /** What was said of the lamps last. */
  readonly seen?: string | undefined;
}

/** The likeliest cause at the end of a row, how sure it is, and what would settle it. */
export function CauseWords({ judged, points, judgedPoints, seen }: CauseProps) {
  const { diagnosis, state } = judged;
  if (judged.tired || isTiredPack(judged, seen))
    return (
      <>
        <strong>Built right, pack tired</strong>
        <div className="small-print">a fresh pack{state !== 'off' && ', or leave it'}</div>
      </>
    );
  if (state === 'right') return <RightWords {...{ judged, points, judgedPoints }} />;
  const first = diagnosis?.groups[0];
  if (!first) return null;
  if (state === 'close') return <CloseCall {...{ judged, points, judgedPoints, seen }} />;
  const next = nextWords(diagnosis, judgedPoints);
  const second = diagnosis.groups[1];
  return (
    <>
      <strong>{likeliestWords(diagnosis, judgedPoints)}</strong>
      <div className="small-print">
        {shareWords(first.probability)}
        {second && `, else ${likeliestWords({ groups: [second] }, judgedPoints)}`}
        {next && <> · {next}</>}
      </div>
    </>
  );
}

/** A right bench is told of where its pack or knob stands elsewhere, and what is left to measure. */
function RightWords({ judged: { diagnosis, next, risk = 0 }, judgedPoints }: CauseProps) {
  return (
    <span className="soft">
      {diagnosis && likeliestWords(diagnosis, judgedPoints)}
      {next ? (
        <div className="small-print">{nextWords({ next }, judgedPoints)}</div>
      ) : (
        risk >= RISK_SAID && (
          <div className="small-print">{formatPercent(risk)} of such benches are wrong unseen</div>
        )
      )}
    </span>
  );
}

const WEAK_PACK: ReadonlySet<string> = new Set(['supply-tired', 'supply-used']);

/** The same of a session from before that was a verdict of its own: everything is measured, and only the pack explains it. */
function isTiredPack({ state, diagnosis }: JudgedBench, seen: string | undefined): boolean {
  const looksRight = seen === undefined || seen === 'ok';
  const [first] = diagnosis?.groups[0]?.causes ?? [];
  return state === 'close' && looksRight && !diagnosis?.next && WEAK_PACK.has(first?.code ?? '');
}

/** Risks below this are not worth a word in the row. */
const RISK_SAID = 0.05;

/** Which reading is at the edge, by how much the meter itself may be off, and what would settle it. */
function CloseCall({ judged, points, judgedPoints, seen }: CauseProps) {
  const edge = points.flatMap(({ id, point, unit }) => {
    const verdict = judged.verdicts[id];
    return verdict?.verdict === 'close' ? [{ point, unit, verdict }] : [];
  })[0];
  const odd = seen !== undefined && seen !== 'ok';
  const [first] = judged.diagnosis?.groups ?? [];
  const likely =
    first && first.causes[0]?.code !== 'right' && likeliestWords({ groups: [first] }, judgedPoints, false);
  const settle =
    !odd && edge?.verdict.settle === 'finer-range'
      ? 'a finer range would settle it'
      : ((judged.diagnosis && nextWords(judged.diagnosis, judgedPoints)) ??
        'measure another checkpoint, or try a fresh pack');
  return (
    <>
      <strong>Close call</strong>
      {likely && <span className="soft">: perhaps {likely}</span>}
      <div className="small-print">
        {odd && `the lamps do not look as planned (${seen}); `}
        {!odd &&
          edge &&
          `${pointName(edge.point)}: the meter may be off by ${formatQuantity(edge.verdict.uncertainty, edge.unit, 2)}; `}
        {settle}
      </div>
    </>
  );
}
