import { useMemo, useState } from 'react';
import Button from 'react-bootstrap/Button';
import {
  formatPercent,
  formatQuantity,
  GLANCE,
  risksOf,
  sharedCauses,
  type JudgedBench,
  type SessionExpectation,
} from '@/core';
import { causeWords } from '@/messages/causes';
import { capital, listed } from '@/messages/grammar';
import { pointName } from '@/messages/points';
import { shareWords } from '@/messages/why';
import { Note } from '@/ui/Note';
import type { Bench } from './bench';

interface Props {
  readonly expectation: SessionExpectation;
  readonly students: readonly Bench[];
  readonly judged: readonly JudgedBench[];
}

/** What holds for the class and not for one bench: a shared cause, and which checkpoints are worth the walk. */
export function ClassFindings({ expectation, students, judged }: Props) {
  const shared = useMemo(() => sharedCauses(judged), [judged]);
  return (
    <>
      {shared.map(({ cause, benches }, i) => (
        <Note kind="caution" key={i}>
          {benches.length} benches show the same, {listed(benches.map((k) => String(students[k]?.bench)))}:{' '}
          <strong>{causeWords(cause, expectation.dictionary.points)}</strong>. Look at what they share, the
          box of parts or the card, before each bench by itself.
        </Note>
      ))}
      <WorthMeasuring expectation={expectation} />
    </>
  );
}

/** The fewest checkpoints that catch most, and what each risks by itself. */
function WorthMeasuring({ expectation }: Pick<Props, 'expectation'>) {
  const [open, setOpen] = useState(false);
  const { points, proposal } = useMemo(() => risksOf(expectation), [expectation]);
  const nameOf = (id: string) => {
    const point = expectation.expected.points.find((one) => one.id === id);
    return id === GLANCE || !point ? 'a look at the lamps' : pointName(point.point);
  };
  // As they are proposed, then the others.
  const place = (id: string) => {
    const at = proposal.points.findIndex(({ point }) => point === id);
    return at < 0 ? proposal.points.length : at;
  };
  const inOrder = [...points].sort((a, b) => place(a.point) - place(b.point));
  const last = proposal.points[proposal.points.length - 1];
  if (!last) return null;
  return (
    <div className="worth">
      <p>
        <strong>Worth measuring:</strong> {listed(proposal.points.map(({ point }) => nameOf(point)))}.
        Together they catch {shareWords(last.caught)} of the mistakes that are made here; everything catches{' '}
        {shareWords(proposal.most)}.{' '}
        <Button variant="text" className="btn-text" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide the risks' : 'What each one risks'}
        </Button>
      </p>
      {open && (
        <table className="table">
          <thead>
            <tr>
              <th scope="col">checkpoint</th>
              <th scope="col">guard band</th>
              <th scope="col">right builds that it would call off</th>
              <th scope="col">wrong builds that it would pass</th>
              <th scope="col">caught with it and those above</th>
            </tr>
          </thead>
          <tbody>
            {inOrder.map(({ point, guard, failRight, passWrong }) => {
              const unit = expectation.expected.points.find(({ id }) => id === point)!.unit;
              const chosen = proposal.points.find((one) => one.point === point);
              return (
                <tr key={point}>
                  <th scope="row">{capital(nameOf(point))}</th>
                  <td>± {formatQuantity(guard, unit, 2)}</td>
                  <td>{shareWords(failRight)}</td>
                  <td>{formatPercent(passWrong)}</td>
                  <td>{chosen ? shareWords(chosen.caught) : 'adds under 1 %'}</td>
                </tr>
              );
            })}
          </tbody>
        </table>
      )}
    </div>
  );
}
