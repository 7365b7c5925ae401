import { formatQuantity, SUPPLIES, type AgeRow, type LessonSums } from '@/core';
import { ageName, lampName, looksWords } from '@/messages/names';
import { listWords } from '@/messages/stepWords';
import { Changed } from '../Changed';

/** What every lamp carries and how it looks, from a fresh supply to a tired one; like ones in one line. */
export function LampsAtAges({ sums }: { sums: LessonSums }) {
  const { style } = SUPPLIES[sums.supply.kind];
  // What does not age has one column.
  const steadySupply = style === 'bench' || style === 'pulsed';
  const ages = steadySupply ? [sums.design] : sums.ages;
  return (
    <section className="ruled">
      <h2>{steadySupply ? 'The lamps' : 'The lamps as the supply ages'}</h2>
      <table className="table">
        <thead>
          <tr>
            <th scope="col">lamp</th>
            {ages.map((row) => (
              <th key={row.age} scope="col" className="amount">
                {steadySupply
                  ? style === 'pulsed'
                    ? 'mean current'
                    : 'current'
                  : ageName(row.age, sums.supply)}
              </th>
            ))}
            <th scope="col" className="ps-4">
              {steadySupply ? 'looks' : 'fresh to tired'}
            </th>
          </tr>
        </thead>
        <tbody>
          {groupsOf(ages).map(({ parts, type, figures }) => (
            <tr key={parts[0]}>
              <th scope="row">
                {listWords(parts)} <span className="soft">{lampName(type)}</span>
              </th>
              {figures.map(({ amps }, i) => (
                <td key={ages[i]!.age} className="amount">
                  <Changed>{formatQuantity(Math.max(0, amps), 'A')}</Changed>
                </td>
              ))}
              <td className="ps-4">
                {[
                  ...new Set(
                    [figures[0]!, figures[figures.length - 1]!].map((f) => looksWords(f.brightness, type)),
                  ),
                ].join(', then ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Lamps of one sort with the same figures stand together. */
function groupsOf(ages: readonly AgeRow[]) {
  const groups = new Map<string, { parts: string[]; type: string; figures: AgeRow['lamps'][number][] }>();
  ages[0]?.lamps.forEach((lamp, i) => {
    const figures = ages.map((row) => row.lamps[i]!);
    const key = `${lamp.type} ${figures.map(({ amps }) => amps.toPrecision(4)).join()}`;
    const group = groups.get(key) ?? { parts: [], type: lamp.type, figures };
    group.parts.push(lamp.part);
    groups.set(key, group);
  });
  return [...groups.values()];
}
