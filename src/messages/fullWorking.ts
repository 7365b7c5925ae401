import type { Sheet } from '@/core';
import { beamLines } from './beam';
import { lightLines } from './light';
import { mixLines } from './mix';
import { timeLines } from './program';
import { pulseLines } from './pulses';
import { ruleLines } from './rule';
import { BAND_WORDS, cornerLines, stageLines } from './sound';
import { listWords } from './stepWords';
import type { SumBlock } from './sumLines';
import { timingLines } from './timing';

/** Every line of a lesson's working beside the sums of its resistors: of its times, its light, its program, its sound. */
export function fullWorking({ sums }: Pick<Sheet, 'sums'>): SumBlock[] {
  const { timing = [], pulses, mix, program, rule, light, beam, sound } = sums;
  return [
    ...(sound
      ? [
          { title: 'The first stage', lines: stageLines(sound) },
          ...sound.channels.map((channel) => ({
            title: `The ${BAND_WORDS[channel.band]} channel`,
            lines: cornerLines(channel),
          })),
        ]
      : []),
    ...(beam ? [{ title: 'The beam', lines: beamLines(beam) }] : []),
    ...timing.map((chip) => ({
      title: `${chip.chip}: ${listWords(Object.values(chip.parts))}`,
      lines: timingLines(chip),
    })),
    ...(light && rule
      ? [{ title: 'The readings between which it decides', lines: ruleLines(rule, light) }]
      : []),
    ...(light && !rule ? [{ title: 'The light at which it switches', lines: lightLines(light) }] : []),
    ...(mix ? [{ title: 'The means', lines: mixLines(mix) }] : []),
    ...(program ? [{ title: 'The sum of its times', lines: timeLines(program) }] : []),
    ...(pulses ? [{ title: 'Peak and mean', lines: pulseLines(pulses) }] : []),
  ];
}
