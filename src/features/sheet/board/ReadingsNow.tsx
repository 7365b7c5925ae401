import { formatQuantity, type Sheet, type Standing } from '@/core';
import { pointName } from '@/messages/points';

interface Props {
  readonly sheet: Sheet;
  readonly standing: Standing | undefined;
  /** Few draws stand until the careful ones are there. */
  readonly rough: boolean;
}

/** What a meter would show at each checkpoint of the board as it stands, beside the band of a right build. */
export function ReadingsNow({ sheet, standing, rough }: Props) {
  const { samples } = sheet.expected;
  if (sheet.outline) return <p className="small-print">What the meter would read is being worked out …</p>;
  return (
    <>
      <table className="table readings-now">
        <caption className="visually-hidden">What the meter would read</caption>
        <tbody>
          {sheet.expected.points.map(({ id, unit, low, high, point }) => {
            const figure = standing?.readings.find((reading) => reading.id === id)?.value;
            return (
              <tr key={id}>
                <th scope="row">{pointName(point)}</th>
                <td className="amount">{figure === undefined ? '–' : formatQuantity(figure, unit)}</td>
                <td className="amount soft">
                  {formatQuantity(low, unit)} – {formatQuantity(high, unit)}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="small-print mt-1 mb-0">
        95 of 100 among {samples.toLocaleString('en')} drawn builds
        {rough ? '; a finer draw is on its way' : ''}.
      </p>
    </>
  );
}
