import type { WrongTries as Tries } from '@/server/access/attempts';
import { clockTime, dayName, dayOf } from '@/ui/dates';

const WHAT = { code: 'codes of sessions', passphrase: 'passphrases' } as const;

/** Who tried to come in and could not, so often that it was no slip. */
export function WrongTries({ tries }: { tries: readonly Tries[] }) {
  return (
    <ul suppressHydrationWarning>
      {tries.map(({ at, address, times, last }) => (
        <li key={`${at} ${address}`}>
          {times} wrong {WHAT[at]} from {address}, the last on {dayName(dayOf(last))} at {clockTime(last)}
        </li>
      ))}
    </ul>
  );
}
