import { notFound } from 'next/navigation';
import '@/features/store/store.css';
import { GroupPage } from '@/features/classes/GroupPage';
import { admit } from '@/server/access/admit';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { group } from '@/server/repositories/groups';
import { sessionLines } from '@/server/repositories/sessions';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Group' };

export default async function OneGroupPage({ params }: { params: Promise<{ id: string }> }) {
  await admit('/classes/[id]');
  const id = pageId((await params).id);
  const held = id === undefined ? undefined : await orMissing(group(id));
  if (!held) notFound();
  const given = await sessionLines({ groupId: held.id, away: true });
  return (
    <GroupPage
      key={held.id}
      group={held}
      sessions={given.map(({ id: sessionId, lessonTitle, onDate, version, archivedAt }) => ({
        id: sessionId,
        title: lessonTitle,
        onDate,
        version,
        archived: archivedAt !== null,
      }))}
    />
  );
}
