import { lessonJson } from '@/features/lessons/files';
import { refusedFile } from '@/server/access/admit';
import { fileResponse, missingResponse } from '@/server/files';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';

export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const refused = await refusedFile('/lessons/[id]/lesson.json');
  if (refused) return refused;
  const id = pageId((await params).id);
  const file = id === undefined ? undefined : await orMissing(lessonJson(id));
  return file ? fileResponse(file.name, 'application/json', file.text) : missingResponse('This lesson');
}
