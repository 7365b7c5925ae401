import type { Advice } from '@/server/advice';
import type { Status } from '@/ui/StatusMark';

/** Units of what is read, as a student types it. */
export const UNIT = { volts: 'V', amps: 'mA', hertz: 'Hz', seconds: 's' } as const;

/** What a student hears of a figure. */
export const ADVICE: Readonly<Record<Advice, readonly [Status, string]>> = {
  right: ['right', 'right'],
  again: ['close', 'measure again'],
  ask: ['off', 'ask your educator'],
};
