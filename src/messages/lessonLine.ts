import { formatOhms, formatQuantity, type Sheet } from '@/core';
import { lampName, supplyName } from './names';
import { listWords } from './stepWords';

/** A lesson in one line: `red lamp, 330 Ω, 3 AA cells, fresh: 8.85 mA`, or `3 blue and 2 red lamps, …`. */
export function lessonLine({ sums }: Pick<Sheet, 'sums'>): string {
  const { design, supply, loop } = sums;
  if (loop) {
    return `${lampName(loop.lamp.type)} lamp, ${formatOhms(loop.chosen)}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`;
  }
  const counts = new Map<string, number>();
  for (const { type } of design.lamps) counts.set(type, (counts.get(type) ?? 0) + 1);
  const eachOnce = counts.size > 1 && design.lamps.length === counts.size;
  const groups = [...counts].map(
    ([type, count]) => `${eachOnce || counts.size + count === 2 ? '' : `${count} `}${lampName(type)}`,
  );
  const lamps = `${listWords(groups)} ${design.lamps.length === 1 ? 'lamp' : 'lamps'}`;
  return `${lamps}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`;
}
