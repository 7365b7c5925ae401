import { notFound } from 'next/navigation';
import Link from 'next/link';
import '@/features/photo/photo.css';
import { BenchPhoto } from '@/features/photo/BenchPhoto';
import { admit } from '@/server/access/admit';
import { besideOf } from '@/server/pictures/beside';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { Note } from '@/ui/Note';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Bench beside plan' };

export default async function BesidePage({ params }: { params: Promise<{ id: string; student: string }> }) {
  const { id: session, student } = await params;
  const id = pageId(session);
  await admit('/check/[id]/beside/[student]', id);
  const studentId = pageId(student);
  const beside =
    id === undefined || studentId === undefined ? undefined : await orMissing(besideOf(id, studentId));
  if (!beside) notFound();
  const { title, bench, nickname, sheet, ...rest } = beside;
  return (
    <div className="page wide">
      <div className="page-head">
        <div>
          <div className="small-print">{title}</div>
          <h1>
            Bench {bench}, {nickname}: beside its plan
          </h1>
        </div>
        <div className="button-row no-print">
          <Link prefetch={false} href={`/check/${rest.sessionId}`}>
            the grid
          </Link>
        </div>
      </div>
      {sheet ? (
        <BenchPhoto sheet={sheet} {...rest} />
      ) : (
        <Note kind="refusal">The lesson has no plan that a picture could be laid under any more.</Note>
      )}
    </div>
  );
}
