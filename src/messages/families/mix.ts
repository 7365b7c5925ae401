import { mixLine, mixLines, mixName, mixPath, mixPredictions, mixTalk } from '../mix';
import { supplyName } from '../names';
import type { FamilyWords } from './contract';

export const mix: FamilyWords<'mix'> = {
  line: ({ mix: own }, { supply }) => `a three-colour lamp, ${mixLine(own)}, ${supplyName(supply)}`,
  headline: ({ mix: own }) => mixName(own),
  blocks: ({ mix: own }, level) =>
    level === 'no mathematics' ? [] : [{ title: 'The means', lines: mixLines(own) }],
  seen: (_own, lamps) => lamps,
  path: ({ mix: own }) => mixPath(own),
  sum: ({ mix: own }) => mixTalk(own),
  predict: ({ mix: own }) => mixPredictions(own),
  fedBy: 'pin',
  isMean: false,
  isMeanPower: true,
};
