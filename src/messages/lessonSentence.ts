import { formatOhms, formatQuantity, type SingleSums } from '@/core';
import { lampName, supplyName } from './names';

/** A lesson in one line: `red lamp, 330 Ω, 3 AA cells, fresh: 8.85 mA`. */
export function lessonSentence(sums: SingleSums): string {
  const { lamp, chosen, supply, design } = sums;
  return `${lampName(lamp.type)} lamp, ${formatOhms(chosen)}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`;
}
