import { currentPaths, formatOhms, formatQuantity, reportOf, type LessonSums, type Sheet } from '@/core';
import { lampName, supplyName } from '../names';
import { listWords } from '../stepWords';
import type { FamilyWords } from './contract';

/** The first resistor that is measured, or the supply where there is none. */
function measuredWords({ checkpoints }: Sheet): string {
  const resistor = checkpoints.find(({ kind }) => kind === 'resistor');
  return resistor ? `across ${resistor.part}` : 'across the supply';
}

/** The current's way, traced aloud; of like ways the first few. */
export function currentPath({ circuit }: Sheet): string {
  const paths = currentPaths(circuit);
  const traced = paths.slice(0, 3).map((path) => `out of plus, through ${listWords(path)}, back to minus`);
  const more = paths.length > 3 ? `; and ${paths.length - 3} more ways beside these` : '';
  return traced.length ? `${traced.join('; ')}${more}.` : 'Trace it with a finger from plus to minus.';
}

/** The volts along the first way add up to those of the supply. */
function voltsAlong({ circuit, built }: Sheet): string {
  const [path] = currentPaths(circuit);
  const { seen } = built;
  if (!path || !seen) return '';
  const drops = path.map((id) => Math.abs(reportOf(seen, id).volts));
  const shown = path
    .map((id, i) => `${formatQuantity(drops[i]!, 'V')} across ${id}`)
    .filter((_, i) => drops[i]! > 1e-3);
  const total = drops.reduce((sum, volts) => sum + volts, 0);
  return `${shown.join(' + ')} = ${formatQuantity(total, 'V')}, all that the supply gives.`;
}

function predictions(sheet: Sheet): string[] {
  const { lamps, amps } = sheet.sums.design;
  const several = lamps.length > 1;
  return [
    several
      ? `All ${lamps.length} lamps: which is brightest, and do all of them light?`
      : `Will the lamp be dim, fairly bright or bright at ${formatQuantity(lamps[0]!.amps, 'A')}?`,
    `What does the meter read ${measuredWords(sheet)}?`,
    several
      ? `D1 is taken out: what do the others do, and what happens to the ${formatQuantity(amps, 'A')} of the supply?`
      : 'The lamp is turned round: what does the meter read across it then?',
  ];
}

/** `3 blue and 2 red lamps, a 9 V block, fresh: 16.2 mA`. */
function lampsLine({ design, supply }: LessonSums): string {
  const counts = new Map<string, number>();
  for (const { type } of design.lamps) counts.set(type, (counts.get(type) ?? 0) + 1);
  const eachOnce = counts.size > 1 && design.lamps.length === counts.size;
  const groups = [...counts].map(
    ([type, count]) => `${eachOnce || counts.size + count === 2 ? '' : `${count} `}${lampName(type)}`,
  );
  const lamps = `${listWords(groups)} ${design.lamps.length === 1 ? 'lamp' : 'lamps'}`;
  return `${lamps}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`;
}

/** Lamps that stand still, whatever else is worked out of them. */
const STILL = {
  blocks: () => [],
  seen: (_own, lamps) => lamps,
  line: (_own, sums) => lampsLine(sums),
  headline: (_own, { design: { lamps, amps } }) =>
    `${lamps.length} ${lamps.length === 1 ? 'lamp' : 'lamps'}, ${formatQuantity(amps, 'A')}`,
  path: (_own, sheet) => currentPath(sheet),
  sum: (_own, sheet) => voltsAlong(sheet),
  predict: (_own, sheet) => predictions(sheet),
  fedBy: 'output',
  isMean: false,
  isMeanPower: false,
} satisfies FamilyWords<'bank' | 'loop' | 'walk' | 'knob' | 'gauge'>;

export const bank: FamilyWords<'bank'> = STILL;
export const walk: FamilyWords<'walk'> = STILL;
export const knob: FamilyWords<'knob'> = STILL;
export const gauge: FamilyWords<'gauge'> = STILL;
export const loop: FamilyWords<'loop'> = {
  ...STILL,
  line: ({ loop: { lamp, chosen } }, { supply, design }) =>
    `${lampName(lamp.type)} lamp, ${formatOhms(chosen)}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`,
  headline: ({ loop: { chosen } }, { design }) =>
    `${formatOhms(chosen)} → ${formatQuantity(design.amps, 'A')}`,
};
