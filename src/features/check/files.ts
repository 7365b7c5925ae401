import { columnUnit, GLANCE, toCsv, type Expected } from '@/core';
import { pointName } from '@/messages/points';
import { houseStyle } from '@/server/repositories/settings';
import { sessionReport, type ReportedFigure, type ReportRow } from '@/server/report';
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
    row.away ? row.away : row.soFar ? 'right so far' : row.state === 'none' ? '' : row.state,
    row.predictedAmps === undefined ? null : inUnit(row.predictedAmps, 'A'),
    ...(hasLamps ? [standing(row, GLANCE)?.typed ?? ''] : []),
    ...points.map(({ id: point, unit }) => {
      const figure = standing(row, point);
      return figure ? inUnit(figure.value, unit) : null;
    }),
    row.cause,
    row.found,
    row.minutes ?? null,
  ]);
  return {
    name: `${slug(session.lessonTitle)}-${session.onDate}-report.csv`,
    text: toCsv(head, body, style.value.tables),
  };
}

/** What was read there of the build as it is now; what was read before it was mended stays in the logbook. */
function standing({ figures }: ReportRow, point: string): ReportedFigure | undefined {
  const figure = figures[point];
  return figure?.isPast ? undefined : figure;
}

/** A figure as a number in the unit that its column's head names. */
function inUnit(value: number, unit: Expected['unit']): number {
  return Number((value / columnUnit(unit).scale).toPrecision(6));
}
