import { reportCsv } from '@/features/check/files';
import { refusedFile } from '@/server/access/admit';
import { fileResponse, missingResponse } from '@/server/files';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';

export const dynamic = 'force-dynamic';

/** The report of a session as a table. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const refused = await refusedFile('/check/[id]/report.csv', id);
  if (refused) return refused;
  const file = id === undefined ? undefined : await orMissing(reportCsv(id));
  return file ? fileResponse(file.name, 'text/csv', file.text) : missingResponse('This session');
}
