import { createReadStream } from 'node:fs';
import path from 'node:path';
import { Readable } from 'node:stream';
import { refusedFile } from '@/server/access/admit';
import { backupState } from '@/server/backup/backUp';
import { missingResponse } from '@/server/files';

export const dynamic = 'force-dynamic';

/** The newest backup, to be kept elsewhere. */
export async function GET() {
  const refused = await refusedFile('/settings/backup.sqlite');
  if (refused) return refused;
  const [newest] = backupState().backups;
  if (!newest) return missingResponse('A backup');
  return new Response(Readable.toWeb(createReadStream(newest.file)) as ReadableStream<Uint8Array>, {
    headers: {
      'content-type': 'application/vnd.sqlite3',
      'content-length': String(newest.bytes),
      'content-disposition': `attachment; filename="${path.basename(newest.file)}"`,
      'cache-control': 'no-store',
    },
  });
}
