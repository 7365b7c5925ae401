import type { NewReading } from '@/server/repositories/readings';
import { kept } from '@/ui/kept';

/** A reading on its way; one that was refused stands aside with the reason until it is corrected or dropped. */
export interface Sent {
  readonly reading: NewReading;
  readonly refused?: string;
}

const startOf = (sessionId: number) => `mivvet.reading.${sessionId}.`;
const keyOf = ({ sessionId, entryKey }: NewReading) => `${startOf(sessionId)}${entryKey}`;

/**
 * Readings of a session that this browser keeps until the database has them. Each stands under a key of its own, so
 * that two tabs never write over one another; whichever sends one takes it away, and one sent twice is kept once.
 */
export const outbox = {
  all(sessionId: number): Sent[] {
    return kept
      .keys(startOf(sessionId))
      .flatMap((key) => kept.read<Sent>(key) ?? [])
      .sort((a, b) => a.reading.takenAt.localeCompare(b.reading.takenAt));
  },
  /** @returns whether this browser could keep it */
  put(sent: Sent): boolean {
    return kept.write(keyOf(sent.reading), sent);
  },
  drop(reading: NewReading): void {
    kept.forget(keyOf(reading));
  },
};
