import fs from 'node:fs';
import { restoreDatabase } from '@/server/backup/restore';
import { openDatabase } from '@/server/db/open';

/**
 * Restores the first file in the place of the second, and is killed before the given one of its steps on the disk; or
 * prints what stands in the second, as a program that starts there finds it.
 */
const [backup = '', database = '', step = 'look'] = process.argv.slice(2);

async function look(): Promise<void> {
  const db = await openDatabase(database);
  const tables = (await db('sqlite_master').where({ type: 'table' }).select('name')) as { name: string }[];
  const rows = await Promise.all(tables.map(async ({ name }) => [name, await db(name)] as const));
  const [whole] = (await db.raw('PRAGMA integrity_check')) as { integrity_check: string }[];
  console.log(JSON.stringify({ whole, rows: Object.fromEntries(rows) }));
  await db.destroy();
}

function killAt(end: number): void {
  let done = 0;
  for (const name of ['copyFileSync', 'renameSync', 'rmSync', 'fsyncSync'] as const) {
    const real = fs[name] as (...all: readonly unknown[]) => unknown;
    (fs as unknown as Record<string, unknown>)[name] = (...all: readonly unknown[]) => {
      // To remove what is not there changes nothing.
      if (name === 'rmSync' && !fs.existsSync(String(all[0]))) return real(...all);
      if (++done === end) process.kill(process.pid, 'SIGKILL');
      return real(...all);
    };
  }
}

if (step === 'look') void look();
else {
  killAt(Number(step));
  void restoreDatabase(backup, database);
}
