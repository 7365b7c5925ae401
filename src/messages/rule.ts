import { formatOhms, formatQuantity, type LightSums, type RuleSums } from '@/core';
import { hoodLine, SCENE_WORDS } from './light';
import type { SumLine } from './sumLines';

const L = (lux: number | undefined) =>
  lux === undefined ? 'beyond the sensor' : formatQuantity(lux, 'lx', 3);
const V = (volts: number) => formatQuantity(volts, 'V', 3);

function readingIn({ rows }: RuleSums, scene: LightSums['lit']) {
  return rows.find((row) => row.scene === scene)!;
}

/** What the two scenes read, the thresholds between them, and the light that they are. */
export function ruleLines(rule: RuleSums, light: LightSums): SumLine[] {
  const { threshold, given, hysteresis, on, off, trim, sensor, trimOhms } = rule;
  const [lit, dark] = [readingIn(rule, light.lit), readingIn(rule, light.dark)];
  const { low, high } = light.switches;
  const spread =
    low !== undefined && high !== undefined
      ? `${L(Math.min(low, high))} to ${L(Math.max(low, high))}`
      : 'not with every one';
  const reading = ({ ohms, volts }: typeof lit) =>
    `${formatOhms(trimOhms)} ÷ (${formatOhms(trimOhms)} + ${formatQuantity(ohms, 'Ω', 3)}) of the rail: ${V(volts)}`;
  return [
    { name: `reading ${SCENE_WORDS[light.lit]}`, work: reading(lit), figure: `${lit.counts}` },
    { name: `reading ${SCENE_WORDS[light.dark]}`, work: reading(dark), figure: `${dark.counts}` },
    {
      name: 'threshold',
      work: given ? 'as wished' : `(${lit.counts} + ${dark.counts}) ÷ 2`,
      figure: `${threshold}`,
    },
    {
      name: 'it goes on at',
      work: `${rule.way === 'dark-on' ? 'below' : 'above'} ${on.counts}, ${hysteresis} counts apart from going off`,
      figure: L(on.lux),
      strong: true,
    },
    {
      name: 'it goes off at',
      work: `${rule.way === 'dark-on' ? 'above' : 'below'} ${off.counts}`,
      figure: L(off.lux),
      strong: true,
    },
    { name: 'from sensor to sensor', work: `${sensor} of the sort with ${trim} as chosen`, figure: spread },
    ...hoodLine(light),
  ];
}

/** The two ways of the current, and what reads between them. */
export function rulePath({ sensor, trim, lamp, reads }: RuleSums): string {
  return `The lamp’s way: out of pin ${lamp.pin}, through ${lamp.resistor} and ${lamp.part}, back to ground. Beside it: out of the rail, through ${sensor} and ${trim}, back to ground; between these two pin ${reads.pin} reads the volts and takes nothing.`;
}

export function ruleTalk({ way, sensor, trim, threshold, on, off }: RuleSums): string {
  return `The lighter, the fewer ohms of ${sensor}, the more of the volts are left for ${trim}, the higher the reading. The program compares: ${way === 'dark-on' ? 'below' : 'above'} ${on.counts} the lamp goes on, ${way === 'dark-on' ? 'above' : 'below'} ${off.counts} off; around ${threshold} it stays as it was.`;
}

export function rulePredictions({ sensor, on, off, reads }: RuleSums, { lit, dark }: LightSums): string[] {
  return [
    `Is the lamp lit ${SCENE_WORDS[lit]}, and is it dark ${SCENE_WORDS[dark]}? What does pin ${reads.pin} read in each?`,
    `A hand sinks slowly over ${sensor}: at which reading does the lamp change, and at which when the hand is lifted?`,
    `Both thresholds are set to ${Math.round((on.counts + off.counts) / 2)}: what does the lamp do at the edge of dusk?`,
  ];
}
