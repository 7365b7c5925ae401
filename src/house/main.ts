import path from 'node:path';
import { createInterface } from 'node:readline/promises';
import { Command } from 'commander';
import { dropFirstToken } from '@/server/access/firstToken';
import { hasPassphrase, setPassphrase } from '@/server/access/secrets';
import { copyDatabase } from '@/server/backup/copy';
import { backupFolder, backupName, backupsIn } from '@/server/backup/kept';
import { restoreDatabase } from '@/server/backup/restore';
import { closeDatabase } from '@/server/db/connection';
import { environment } from '@/server/env';

/** The commands of whoever has the machine: backups, and the way back in. */
const program = new Command('house');

program
  .command('backup')
  .argument('[file]', 'where it is put; otherwise beside the database')
  .description('Makes a verified copy of the database, also while the program runs.')
  .action(async (file?: string) => {
    const { database } = environment();
    const to = path.resolve(file ?? path.join(backupFolder(database), backupName(database, new Date())));
    const { bytes, rows } = await copyDatabase(database, to);
    console.log(`${to}: ${(bytes / 1e6).toFixed(1)} MB, verified.\n${counted(rows)}`);
  });

program
  .command('restore')
  .argument('<file>', 'the backup')
  .description('Verifies a backup and puts it in the place of the database; what it replaces is kept.')
  .action(async (file: string) => {
    const { database } = environment();
    const { replaced, rows } = await restoreDatabase(path.resolve(file), database);
    console.log(`${database} is now ${path.resolve(file)}.\n${counted(rows)}`);
    if (replaced) console.log(`What it replaces is kept as ${replaced}`);
  });

program
  .command('backups')
  .description('Lists the backups beside the database.')
  .action(() => {
    for (const { file, bytes } of backupsIn(environment().database))
      console.log(`${file}  ${(bytes / 1e6).toFixed(1)} MB`);
  });

program
  .command('passphrase')
  .description('Sets a new passphrase; whoever was signed in has to sign in anew.')
  .action(async () => {
    const passphrase = (await typed('New passphrase, at least 10 letters: ')).trim();
    if (passphrase.length < 10) throw new Error('A passphrase has at least 10 letters. Nothing was changed.');
    await setPassphrase(passphrase);
    dropFirstToken(environment().database);
    console.log('The passphrase is set. Everybody signs in anew.');
  });

program
  .command('may-listen')
  .argument('<host>')
  .description(
    'Whether the program may be reached at an address: any but this machine’s own wants a passphrase.',
  )
  .action(async (host: string) => {
    if (!LOOPBACK.has(host) && !(await hasPassphrase()))
      throw new Error(
        `This house has no passphrase yet, so the program answers on this machine only. Start it without --host, choose one, or run npm run passphrase; then ${host} may reach it.`,
      );
  });

const LOOPBACK = new Set(['127.0.0.1', '::1', 'localhost']);

const SHOWN = ['lessons', 'study_groups', 'students', 'sessions', 'readings', 'stock'];

function counted(rows: Readonly<Record<string, number>>): string {
  return SHOWN.map((table) => `  ${rows[table] ?? 0} ${table.replace('study_', '')}`).join('\n');
}

async function typed(question: string): Promise<string> {
  const lines = createInterface({ input: process.stdin, output: process.stdout });
  try {
    return await lines.question(question);
  } finally {
    lines.close();
  }
}

program
  .parseAsync()
  .catch((error: unknown) => {
    console.error(`mivvet: ${(error as Error).message}`);
    process.exitCode = 1;
  })
  .finally(() => closeDatabase());
