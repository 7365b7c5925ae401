import type { HouseTaken } from '@/server/running';

/** What is said where another program serves the database that a demo was to be filled into. */
export function takenWords({ message }: HouseTaken): string {
  return `mivvet: ${message} Stop it first, or give this one a database of its own: MIVVET_DB. Nothing was changed.`;
}
