import { formatEntered, formatOhms, formatQuantity, type Sheet } from '@/core';
import { SCENE_WORDS } from './light';
import { lampName, supplyName } from './names';
import { mixLine } from './mix';
import { soundLine } from './sound';
import { programLine } from './program';
import { listWords } from './stepWords';

/** A lesson in one line: `red lamp, 330 Ω, 3 AA cells, fresh: 8.85 mA`, or `3 blue and 2 red lamps, …`. */
export function lessonLine({ sums }: Pick<Sheet, 'sums'>): string {
  const { design, supply, loop } = sums;
  if (loop) {
    return `${lampName(loop.lamp.type)} lamp, ${formatOhms(loop.chosen)}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`;
  }
  if (sums.mix) return `a three-colour lamp, ${mixLine(sums.mix)}, ${supplyName(supply)}`;
  if (sums.program) return `${programLine(sums.program)}, ${supplyName(supply)}`;
  if (sums.light) {
    const [lamp] = design.lamps;
    return `${lampName(lamp!.type)} lamp, lit ${SCENE_WORDS[sums.light.lit]} and dark ${SCENE_WORDS[sums.light.dark]}, ${supplyName(supply)}: ${formatQuantity(lamp!.amps, 'A')}`;
  }
  if (sums.sound) return `${soundLine(sums.sound)}, ${supplyName(supply)}`;
  if (sums.beam)
    return `a beam over ${formatEntered(sums.beam.metres, 'm')}, ${timedWords({ ...sums, design: { ...design, lamps: [] } })} when it is cut, ${supplyName(supply)}`;
  if (sums.timing) return `${timedWords(sums)}, ${supplyName(supply)}`;
  const counts = new Map<string, number>();
  for (const { type } of design.lamps) counts.set(type, (counts.get(type) ?? 0) + 1);
  const eachOnce = counts.size > 1 && design.lamps.length === counts.size;
  const groups = [...counts].map(
    ([type, count]) => `${eachOnce || counts.size + count === 2 ? '' : `${count} `}${lampName(type)}`,
  );
  const lamps = `${listWords(groups)} ${design.lamps.length === 1 ? 'lamp' : 'lamps'}`;
  return `${lamps}, ${supplyName(supply)}: ${formatQuantity(design.amps, 'A')}`;
}

/** What a lesson that moves does: `red and green lamps, once round in 1.2 s`, `a tone of 440 Hz`. */
function timedWords({ design, timing = [] }: Sheet['sums']): string {
  const [first] = timing;
  const names = [...new Set(design.lamps.map(({ type }) => lampName(type)))];
  const lamps = `${listWords(names)} ${design.lamps.length === 1 ? 'lamp' : 'lamps'}`;
  const { solved, hertz } = first!;
  if (design.lamps.length === 0) return `a tone of ${formatQuantity(hertz, 'Hz')}`;
  if (!(solved.low > 0)) return `${lamps}, lit for ${formatQuantity(solved.high, 's', 2)}`;
  return `${lamps}, once round in ${formatQuantity(solved.high + solved.low, 's', 2)}`;
}
