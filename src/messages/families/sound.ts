import { formatQuantity } from '@/core';
import { supplyName } from '../names';
import {
  BAND_WORDS,
  cornerLines,
  otherTones,
  soundLine,
  soundPath,
  soundPredictions,
  soundSeen,
  soundTalk,
  stageLines,
} from '../sound';
import type { FamilyWords } from './contract';

export const sound: FamilyWords<'sound'> = {
  line: ({ sound: own }, { supply }) => `${soundLine(own)}, ${supplyName(supply)}`,
  headline: ({ sound: { stage, channels } }) =>
    `hub at ${formatQuantity(stage.volts, 'V', 2)}, ${channels.length} channel${channels.length === 1 ? '' : 's'}`,
  blocks: ({ sound: own }, level) => {
    if (level === 'no mathematics') return [];
    const corners = own.channels.map((channel) => ({
      title: `The ${BAND_WORDS[channel.band]} channel`,
      lines: cornerLines(channel),
    }));
    return level === 'card' ? corners : [{ title: 'The first stage', lines: stageLines(own) }, ...corners];
  },
  seen: ({ sound: own }, _lamps, level) =>
    soundSeen(own).map((line) =>
      level === 'no mathematics' ? { ...line, work: line.work.split(':')[0]!, figure: '' } : line,
    ),
  path: ({ sound: own }) => soundPath(own),
  sum: ({ sound: own }) => soundTalk(own),
  predict: ({ sound: own }) => soundPredictions(own),
  alsoTry: ({ sound: own }, { built }) => (built.asWanted ? otherTones(own) : ''),
  fedBy: 'output',
  isMean: true,
  isMeanPower: true,
};
