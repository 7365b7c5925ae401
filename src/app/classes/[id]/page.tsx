import '@/features/store/store.css';
import { GroupPage } from '@/features/classes/GroupPage';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { group } from '@/server/repositories/groups';
import { sessions } from '@/server/repositories/sessions';
import { MissingPage } from '@/ui/MissingPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Group' };

export default async function OneGroupPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const held = id === undefined ? undefined : await orMissing(group(id));
  if (!held) return <MissingPage thing="This group" href="/classes" place="the classes" />;
  const given = (await sessions()).filter((s) => s.groupId === held.id);
  return (
    <GroupPage
      key={`${held.id} ${held.version}`}
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
