import { formatQuantity, type DryRun, type LampChange, type Lasting, type Ruin } from '@/core';
import { causeWords } from './causes';
import { capital } from './names';

/** The change of a lamp as one would say it beforehand. */
export const CHANGE_WORDS: Readonly<Record<LampChange, string>> = {
  dark: 'goes dark',
  dimmer: 'gets dimmer',
  'as before': 'stays as it was',
  brighter: 'gets brighter',
  ruined: 'is ruined',
};

const LASTING_WORDS: Readonly<Record<Lasting, string>> = {
  'at once': 'at once',
  seconds: 'within seconds',
  minutes: 'within minutes',
  weeks: 'early, after weeks instead of years',
};

export function ruinWords({ part, how, lasting, figure }: Ruin): string {
  const when = LASTING_WORDS[lasting];
  switch (how) {
    case 'lamp':
      return `${part} carries ${lasting === 'weeks' ? '' : 'at least '}${formatQuantity(figure, 'A')} and fails ${when}.`;
    case 'reverse':
      return `${part} has ${formatQuantity(figure, 'V')} against its direction, more than a lamp stands: it may be ruined.`;
    case 'resistor':
      return `${part} turns ${formatQuantity(figure, 'W', 2)} into heat: it chars ${when}.`;
    case 'supply':
      return `${part} is as good as shorted, ${formatQuantity(figure, 'A')}: it gets hot ${when}. Disconnect it first.`;
  }
}

/** A mistake as it stands in the list to choose from. */
export function damageWords({ code, data }: Pick<DryRun, 'code' | 'data'>): string {
  const words = causeWords({ code, data } as Parameters<typeof causeWords>[0]);
  const named = data.part !== undefined && !words.includes(data.part) ? `${data.part}: ${words}` : words;
  return capital(named);
}
