import { notFound } from 'next/navigation';
import Link from 'next/link';
import { isEmptyContext, PREDICTED } from '@/core';
import '@/features/check/check.css';
import { benchOf } from '@/features/check/bench';
import { CheckSession } from '@/features/check/CheckSession';
import { HelpersIn } from '@/features/check/HelpersIn';
import { admit } from '@/server/access/admit';
import { checkBook } from '@/server/checkBook';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { attendanceOf } from '@/server/repositories/attendance';
import { codesOf } from '@/server/repositories/codes';
import { judgedBy } from '@/server/judgedBy';
import { environment } from '@/server/env';
import { lessonVersion } from '@/server/repositories/lessons';
import { photographed } from '@/server/repositories/photos';
import { foundIn } from '@/server/repositories/foundFaults';
import { rosterTag } from '@/server/roster';
import { seatsOf } from '@/server/repositories/seats';
import { longDayName } from '@/ui/dates';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Check' };

export default async function CheckPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  const asking = await admit('/check/[id]', id);
  const book = id === undefined ? undefined : await orMissing(checkBook(id));
  if (!book) notFound();
  const { session, students, readings, judged, waiting, contexts, asFound } = book;
  const educates = asking?.role === 'educator';
  const [version, codes, found, taken, pictures, attendance, roster] = await Promise.all([
    lessonVersion(session.lessonId),
    educates ? codesOf(session.id) : [],
    foundIn(session.id),
    educates ? seatsOf(session.id) : ([] as number[]),
    photographed(session.id),
    attendanceOf(session.id),
    rosterTag(session.id),
  ]);
  const standard = judgedBy(session.summary.lessonVersion, contexts);
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
            <Link prefetch={false} href={`/logbook?session=${session.id}`}>
              its logbook
            </Link>
            <Link prefetch={false} href={`/check/${session.id}/report`}>
              report
            </Link>
            <Link prefetch={false} href={`/check/${session.id}/practice`}>
              practise with a stand-in meter
            </Link>
            <HelpersIn
              sessionId={session.id}
              codes={codes}
              hints={session.hints}
              seated={students.filter((s) => taken.includes(s.id))}
            />
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
        <CheckSession
          key={`${session.id} ${session.version} ${standard}`}
          judgedBy={standard}
          sessionId={session.id}
          expectation={session.expectation}
          students={students.map(benchOf)}
          readings={readings}
          attendance={attendance}
          roster={roster}
          judged={judged}
          waiting={waiting}
          predicted={PREDICTED}
          outdated={educates && version !== session.summary.lessonVersion}
          renewed={educates && session.renewed}
          mayDiffer={educates}
          different={contexts.map((one) => {
            const expectation = asFound.get(one.studentId);
            return { ...one, expectation, counts: expectation !== undefined || isEmptyContext(one.context) };
          })}
          photographed={pictures}
          meterAt={environment().meter}
          found={found.map(({ id: foundId, studentId, words, after }) => ({
            id: foundId,
            studentId,
            words,
            after,
          }))}
        />
      )}
    </div>
  );
}
