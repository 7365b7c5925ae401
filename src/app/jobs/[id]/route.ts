import { refusedFile } from '@/server/access/admit';
import { jobState } from '@/server/work/jobs';

/** How far long work is that a screen has asked for. */
export async function GET(_request: Request, { params }: { params: Promise<{ id: string }> }) {
  const refused = await refusedFile('/jobs/[id]');
  if (refused) return refused;
  const state = jobState((await params).id);
  return state
    ? Response.json(state, { headers: { 'cache-control': 'no-store' } })
    : new Response('This work is not known any more.', { status: 404 });
}
