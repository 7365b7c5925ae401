import { columnUnit, formatPlain, GLANCE } from '@/core';
import { pointName } from '@/messages/points';
import type { Report, ReportRow } from '@/server/report';
import { StatusMark, STATUS_WORDS } from '@/ui/StatusMark';
import { Scroll } from '@/ui/Scroll';

/** What came of a session, to keep and to print. */
export function SessionReport({ report }: { report: Report }) {
  const { points, rows, hasLamps, faults, benches } = report;
  const there = rows.filter(({ away }) => away === '');
  const measured = there.filter(({ state }) => state !== 'none');
  const absent = rows.filter(({ away }) => away === 'absent').length;
  const shared = rows.length - there.length - absent;
  const right = measured.filter(({ state }) => state === 'right').length;
  return (
    <>
      <p>
        {measured.length} of {there.length} benches were measured; {right} of them stand right
        {measured.length > 0 && ` (${Math.round((100 * right) / measured.length)} %)`}.
        {absent > 0 && ` ${absent} absent.`}
        {shared > 0 && ` ${shared} at the bench of another.`}
        {benches.measured > measured.length &&
          ` Over all its sessions this lesson had ${benches.right} right of ${benches.measured} measured.`}
      </p>
      <Scroll label="Benches">
        <table className="table check-grid">
          <thead>
            <tr>
              <th scope="col">bench</th>
              <th scope="col">stands</th>
              <th scope="col">predicted, mA</th>
              {hasLamps && <th scope="col">lamps</th>}
              {points.map(({ id, point, unit, low, high }) => (
                <th scope="col" key={id}>
                  {pointName(point)}
                  <br />
                  {formatPlain(low, columnUnit(unit).scale)} – {formatPlain(high, columnUnit(unit).scale)}{' '}
                  {columnUnit(unit).name}
                </th>
              ))}
              <th scope="col">fault</th>
              <th scope="col">minutes</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.studentId} className={row.away ? 'away' : undefined}>
                <th scope="row">
                  <span className="bench-number">{row.bench}</span> {row.nickname}
                </th>
                <td className="state">
                  {row.away || (
                    <>
                      <StatusMark status={row.state} soFar={row.soFar} /> {standsWords(row)}
                      {row.late && <span className="small-print"> late</span>}
                    </>
                  )}
                </td>
                <td>{row.predicted}</td>
                {hasLamps && <Figure row={row} point={GLANCE} />}
                {points.map(({ id }) => (
                  <Figure key={id} row={row} point={id} />
                ))}
                <td>
                  {row.found ? (
                    <strong>{row.found}</strong>
                  ) : (
                    row.cause && <span className="soft">perhaps {row.cause}</span>
                  )}
                </td>
                <td>{row.minutes ?? ''}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </Scroll>
      <h2>Faults found in this lesson, over all its sessions</h2>
      {faults.length === 0 ? (
        <p className="soft">None was noted yet: at Check, “it was this” beside a cause notes it.</p>
      ) : (
        <ul>
          {faults.map(({ words, times }) => (
            <li key={words}>
              {times}× {words}
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

function standsWords({ state, soFar }: ReportRow): string {
  return soFar ? 'right so far' : STATUS_WORDS[state];
}

function Figure({ row, point }: { row: ReportRow; point: string }) {
  const figure = row.figures[point];
  if (!figure) return <td />;
  const { typed, verdict, times, isPast } = figure;
  return (
    <td>
      {verdict && verdict !== 'right' && (
        <>
          <StatusMark status={verdict} />{' '}
        </>
      )}
      {isPast ? <s title="read before it was mended">{typed}</s> : typed}
      {times > 1 && <span className="small-print"> {times}×</span>}
    </td>
  );
}
