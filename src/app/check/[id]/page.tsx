import Link from 'next/link';
import '@/features/check/check.css';
import { CheckGrid } from '@/features/check/CheckGrid';
import { HelpersIn } from '@/features/check/HelpersIn';
import { admit } from '@/server/access/admit';
import { checkBook } from '@/server/checkBook';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { codesOf } from '@/server/repositories/codes';
import { lessonVersion } from '@/server/repositories/lessons';
import { PREDICTED } from '@/server/repositories/readings';
import { longDayName } from '@/ui/dates';
import { MissingPage } from '@/ui/MissingPage';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Check' };

export default async function CheckPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const asking = await admit('/check/[id]', id);
  const book = id === undefined ? undefined : await orMissing(checkBook(id));
  if (!book) return <MissingPage thing="This session" href="/check" place="the sessions" />;
  const { session, students, readings, judged } = book;
  const educates = asking?.role === 'educator';
  const [version, codes] = await Promise.all([
    lessonVersion(session.lessonId),
    educates ? codesOf(session.id) : [],
  ]);
  return (
    <div className="page wide">
      <div className="page-head">
        <div>
          <div className="small-print">
            {session.groupName} · {longDayName(session.onDate)} · {session.summary.sentence}
          </div>
          <h1>{session.lessonTitle}: is every bench right?</h1>
        </div>
        {educates && (
          <div className="button-row no-print">
            <Link prefetch={false} href={`/lessons/${session.lessonId}?stage=checks`}>
              the lesson
            </Link>
            <Link prefetch={false} href={`/logbook?lesson=${encodeURIComponent(session.lessonTitle)}`}>
              its logbook
            </Link>
            <HelpersIn sessionId={session.id} codes={codes} />
          </div>
        )}
      </div>
      {students.length === 0 ? (
        <p>
          Nobody is in this group yet.{' '}
          <Link prefetch={false} href={`/classes/${session.groupId}`}>
            Add the students first.
          </Link>
        </p>
      ) : (
        <CheckGrid
          key={`${session.id} ${session.version}`}
          sessionId={session.id}
          expectation={session.expectation}
          students={students.map(({ id: studentId, bench, nickname }) => ({
            id: studentId,
            bench,
            nickname,
          }))}
          readings={readings}
          judged={judged}
          predicted={PREDICTED}
          outdated={educates && version !== session.summary.lessonVersion}
          renewed={educates && session.renewed}
        />
      )}
    </div>
  );
}
