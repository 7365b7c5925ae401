import { columnUnit, formatPlain, formatQuantity, heldForLooks, judgedPoint, type Sheet } from '@/core';
import { lessonLine } from '@/messages/families';
import { heldWords, pointName, probeWords } from '@/messages/points';
import { longDayName } from '@/ui/dates';
import { PrintButton } from './PrintButton';
import './print.css';

interface Props {
  readonly title: string;
  readonly sheet: Sheet;
  readonly group: string;
  /** The day of the session that it is for, with its year: a sheet found later says which. */
  readonly onDate: string | undefined;
  readonly students: readonly { readonly id: number; readonly bench: number; readonly nickname: string }[];
}

/** The check sheet on one page: what to read where, the bands, and a row a bench to write in. */
export function PrintedChecks({ title, sheet, group, onDate, students }: Props) {
  const { points } = sheet.expected;
  const held = heldWords(heldForLooks(points.map(({ point }) => point)));
  const rows = students.length
    ? students
    : Array.from({ length: sheet.kit.students }, (_, i) => ({ id: i, bench: i + 1, nickname: '' }));
  return (
    <article className="printed">
      <header className="ruled-head">
        <h1>
          {title}: check sheet{group && `, ${group}`}
          {group && onDate && `, ${longDayName(onDate)}`}
        </h1>
        <PrintButton />
      </header>
      <p className="soft">{lessonLine(sheet)}</p>
      <table className="table">
        <thead>
          <tr>
            <th scope="col">bench</th>
            {points.map((point) => (
              <th key={point.id} scope="col">
                <strong>{pointName(point.point)}</strong>, {columnUnit(point.unit).name}
                <br />
                {formatPlain(point.low, columnUnit(point.unit).scale)} –{' '}
                {formatPlain(point.high, columnUnit(point.unit).scale)}
              </th>
            ))}
            <th scope="col">seen, done</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(({ id, bench, nickname }) => (
            <tr key={id} className="write-row">
              <th scope="row" className="any-name">
                {bench} {nickname}
              </th>
              {points.map((point) => (
                <td key={point.id} />
              ))}
              <td />
            </tr>
          ))}
        </tbody>
      </table>
      <ul className="small-print">
        {held && <li>lamps: {held}, and look.</li>}
        {points.map((point) => (
          <li key={point.id}>
            {pointName(point.point)}: {probeWords(judgedPoint(point))}. Typical{' '}
            {formatQuantity(point.typical, point.unit)}
            {point.burden !== undefined &&
              `, the meter’s own ${formatQuantity(point.burden, 'Ω', 2)} counted in`}
            .
          </li>
        ))}
      </ul>
    </article>
  );
}
