import { columnUnit, GLANCE, toCsv } from '@/core';
import { pointName } from '@/messages/points';
import { houseStyle } from '@/server/repositories/settings';
import { sessionReport } from '@/server/report';
import { slug } from '@/ui/download';

/** The report of a session in the house's own dialect, one row a bench. */
export async function reportCsv(id: number): Promise<{ name: string; text: string }> {
  const [{ session, points, rows, hasLamps }, style] = await Promise.all([sessionReport(id), houseStyle()]);
  const head = [
    'bench',
    'nickname',
    'stands',
    'predicted mA',
    ...(hasLamps ? ['lamps'] : []),
    ...points.map(({ point, unit }) => `${pointName(point)} ${columnUnit(unit).name}`),
    'likely cause',
    'fault found',
    'minutes',
  ];
  const body = rows.map((row) => [
    row.bench,
    row.nickname,
    row.soFar ? 'right so far' : row.state === 'none' ? '' : row.state,
    row.predicted,
    ...(hasLamps ? [row.figures[GLANCE]?.typed ?? ''] : []),
    ...points.map((point) => row.figures[point.id]?.typed ?? ''),
    row.cause,
    row.found,
    row.minutes ?? null,
  ]);
  return {
    name: `${slug(session.lessonTitle)}-${session.onDate}-report.csv`,
    text: toCsv(head, body, style.value.tables),
  };
}
