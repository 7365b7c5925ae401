import { notFound } from 'next/navigation';
import Link from 'next/link';
import { PREDICTED } from '@/core';
import '@/features/check/check.css';
import '@/features/practice/practice.css';
import { benchOf } from '@/features/check/bench';
import { Practice } from '@/features/practice/Practice';
import { admit } from '@/server/access/admit';
import { checkBook } from '@/server/checkBook';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { practiceOf } from '@/server/practice';
import { Note } from '@/ui/Note';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Practise checking' };

export default async function PracticePage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  await admit('/check/[id]/practice', id);
  const book = id === undefined ? undefined : await orMissing(checkBook(id));
  if (!book) notFound();
  const { session, students } = book;
  const practice = await practiceOf(session.id);
  return (
    <div className="page wide">
      <div className="page-head">
        <div>
          <div className="small-print">{session.summary.sentence}</div>
          <h1>{session.lessonTitle}: practise checking</h1>
        </div>
        <div className="button-row no-print">
          <Link prefetch={false} href={`/check/${session.id}`}>
            the real class
          </Link>
        </div>
      </div>
      {'refused' in practice ? (
        <Note kind="refusal">{practice.refused}</Note>
      ) : (
        <Practice
          sessionId={session.id}
          expectation={session.expectation}
          students={students.map(benchOf)}
          predicted={PREDICTED}
          usual={practice.usual}
        />
      )}
    </div>
  );
}
