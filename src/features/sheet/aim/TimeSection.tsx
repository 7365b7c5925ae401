import type { LessonTime } from '@/core';

const ROWS: readonly (readonly [keyof LessonTime, string, string])[] = [
  ['talk', 'story and predictions', 'before anything is built'],
  ['build', 'building', 'the minutes of the card, for this age'],
  ['check', 'checking', 'every checkpoint once at each bench'],
  ['clear', 'clearing up', 'parts counted back in'],
  ['total', 'together', ''],
];

/** Minutes of the whole lesson, and what they are made of. */
export function TimeSection({ time }: { time: LessonTime }) {
  return (
    <section className="ruled">
      <h2>Time</h2>
      <table className="table">
        <tbody>
          {ROWS.map(([part, name, why]) => (
            <tr key={part} className={part === 'total' ? 'strong' : undefined}>
              <th scope="row">{name}</th>
              <td className="soft">{why}</td>
              <td className="amount">{time[part]} min</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
