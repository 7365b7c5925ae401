import { refusedFile } from '@/server/access/admit';
import { missingResponse } from '@/server/files';
import { pageId } from '@/server/pageId';
import { photoBytes } from '@/server/repositories/photos';

export const dynamic = 'force-dynamic';

/** A picture of a bench. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string; photo: string }> }) {
  const { id: session, photo } = await params;
  const id = pageId(session);
  const refused = await refusedFile('/check/[id]/photos/[photo]', id);
  if (refused) return refused;
  const number = pageId(photo);
  const jpeg = id === undefined || number === undefined ? undefined : await photoBytes(id, number);
  if (!jpeg) return missingResponse('This picture');
  return new Response(new Uint8Array(jpeg), {
    headers: { 'content-type': 'image/jpeg', 'cache-control': 'private, no-store' },
  });
}
