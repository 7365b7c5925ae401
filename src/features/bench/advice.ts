import type { Advice } from '@/server/advice';
import type { Status } from '@/ui/StatusMark';

/** Units of what is read, as a student types it. */
export const UNIT = { volts: 'V', amps: 'mA', hertz: 'Hz', seconds: 's' } as const;

/** A figure with its unit; one that was typed with it has it already. */
export function withUnit(typed: string, measured: keyof typeof UNIT): string {
  return /[A-Za-zµμΩ]$/u.test(typed.trim()) ? typed : `${typed} ${UNIT[measured]}`;
}

/** What a student hears of a figure. */
export const ADVICE: Readonly<Record<Advice, readonly [Status, string]>> = {
  right: ['right', 'right'],
  again: ['close', 'measure again'],
  ask: ['off', 'ask your educator'],
};
