import { refusedFile } from '@/server/access/admit';
import { fileResponse, missingResponse } from '@/server/files';
import { heldOfStudent } from '@/server/heldOfStudent';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';

/** Everything that the house holds of one student. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const refused = await refusedFile('/classes/student/[id]');
  if (refused) return refused;
  const id = pageId((await params).id);
  const held = id === undefined ? undefined : await orMissing(heldOfStudent(id));
  return held
    ? fileResponse(`student-${id}.json`, 'application/json', JSON.stringify(held, null, 2))
    : missingResponse('This student');
}
