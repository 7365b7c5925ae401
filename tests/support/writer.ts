import { addGroup } from '@/server/repositories/groups';

/** Writes one group after the other into the database that MIVVET_DB names, and says each that it was told is kept. */
async function main(): Promise<void> {
  for (let i = 0; ; i++) console.log(await addGroup(`group ${process.pid} ${i}`, ''));
}

void main();
