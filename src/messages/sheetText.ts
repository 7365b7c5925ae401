import { formatQuantity, THIN, type Sheet } from '@/core';
import { lessonLine } from './families';
import { stockName } from './names';
import { pointName } from './points';

/** A picture code holds so much text at a size that a phone still reads off paper. */
const TEXT_MOST = 900;

/** The lesson as short plain text: what it is, its parts, what a right build reads. */
export function inShort(title: string, sheet: Sheet): string {
  const parts = sheet.kit.lines.map(
    ({ each, spec, parts: own }) => `${each} x ${stockName(spec)} (${own.join(' ')})`,
  );
  const readings = sheet.expected.points.map(
    ({ point, unit, low, high }) =>
      `${pointName(point)}: ${formatQuantity(low, unit)} to ${formatQuantity(high, unit)}`,
  );
  const text = [title, lessonLine(sheet), ...parts, ...readings].join('\n').replaceAll(THIN, ' ');
  return text.length > TEXT_MOST ? `${text.slice(0, TEXT_MOST - 1)}…` : text;
}
