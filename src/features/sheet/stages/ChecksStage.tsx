import { formatQuantity, judgedPoint, type Expected, type Sheet } from '@/core';
import { BandChart } from '@/features/charts/BandChart';
import { pointName, probeWords } from '@/messages/points';
import { Changed } from '../Changed';
import { Heads } from '@/ui/Heads';

/** What the meter should read at each checkpoint, and how far right builds spread. */
export function ChecksStage({
  sheet,
  rough,
  printHref,
}: {
  sheet: Sheet;
  rough: boolean;
  printHref: string;
}) {
  const { points, unsettled, samples } = sheet.expected;
  return (
    <>
      <section className="ruled">
        <div className="ruled-head">
          <h2>What the meter should read</h2>
          <a className="btn btn-quiet btn-sm no-print" href={printHref} target="_blank" rel="noreferrer">
            Print the check sheet
          </a>
        </div>
        {sheet.outline && <p className="soft">What right builds read is being worked out …</p>}
        <table className="table" hidden={sheet.outline}>
          <Heads
            columns={[
              ['checkpoint'],
              ['typical', 'amount'],
              ['95 of 100 between', 'amount'],
              ['worst corners', 'amount'],
            ]}
          />
          <tbody>
            {points.map((point) => {
              const q = (value: number) => formatQuantity(value, point.unit);
              return (
                <tr key={point.id}>
                  <th scope="row">
                    {pointName(point.point)}
                    <div className="small-print">
                      {probeWords(judgedPoint(point))}
                      {burdenWords(point)}
                    </div>
                  </th>
                  <td className="amount strong">
                    <Changed>{q(point.typical)}</Changed>
                  </td>
                  <td className="amount">
                    {q(point.low)} – {q(point.high)}
                  </td>
                  <td className="amount soft">
                    {q(point.worstLow)} – {q(point.worstHigh)}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
        {sheet.measuring && (
          <p className="small-print mt-2">
            The program for measuring stands under Sums, beside the lesson’s own: it holds each state of the
            pins for long enough.
          </p>
        )}
        <p className="small-print mt-2" hidden={sheet.outline}>
          From {samples.toLocaleString('en')} drawn builds{rough && ' (a finer draw is on its way)'}: supply,
          resistor and lamp each anywhere in their spread.
          {unsettled > 0 && ` ${unsettled} of them did not settle and are left out.`}
        </p>
      </section>
      {points.map((point) => (
        <section key={point.id} className="ruled">
          <h3>{pointName(point.point)}</h3>
          <BandChart point={point} name={pointName(point.point)} />
        </section>
      ))}
      <p className="small-print">
        Line: typical. Shaded: 95 of 100 right builds. Red ticks: every part at its worst end at once.
      </p>
    </>
  );
}

/** What the meter does to the current that it measures; where that is plain to see, what flows without it. */
function burdenWords({ burden, alone, typical }: Expected): string {
  if (burden === undefined) return '';
  const counted = `; the meter’s own ${q2(burden)} is counted in`;
  const apart = alone !== undefined && Math.abs(alone / Math.abs(typical) - 1) > 0.02;
  return apart ? `${counted}, without it ${formatQuantity(alone, 'A')} flow` : counted;
}

function q2(ohms: number): string {
  return formatQuantity(ohms, 'Ω', 2);
}
