import { refusedFile } from '@/server/access/admit';
import { standsStill, who } from '@/server/access/who';
import { liveReadings } from '@/server/liveReadings';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { sessionHints } from '@/server/repositories/sessions';

export const dynamic = 'force-dynamic';

/** Readings of a session as they come in, from the one after the last that was heard of. */
export async function GET(request: Request, { params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const refused = await refusedFile('/check/[id]/live', id);
  if (refused) return refused;
  if (id === undefined || (await orMissing(sessionHints(id))) === undefined)
    return new Response('There is no such session.', { status: 404 });
  const asking = await who();
  const url = new URL(request.url);
  const last = Number(request.headers.get('last-event-id') ?? url.searchParams.get('after') ?? 0);
  return new Response(
    liveReadings(id, Number.isFinite(last) ? last : 0, request.signal, () => standsStill(asking)),
    {
      headers: {
        'content-type': 'text/event-stream; charset=utf-8',
        'cache-control': 'no-store, no-transform',
        // A proxy that gathers answers would hold them back.
        'x-accel-buffering': 'no',
      },
    },
  );
}
