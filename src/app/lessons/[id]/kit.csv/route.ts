import { kitCsv } from '@/features/lessons/files';
import { refusedFile } from '@/server/access/admit';
import { fileResponse, missingResponse } from '@/server/files';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';

export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const refused = await refusedFile('/lessons/[id]/kit.csv');
  if (refused) return refused;
  const id = pageId((await params).id);
  const file =
    id === undefined
      ? undefined
      : await orMissing(kitCsv(id, pageId(new URL(request.url).searchParams.get('group') ?? '')));
  return file ? fileResponse(file.name, 'text/csv', file.text) : missingResponse('This lesson');
}
