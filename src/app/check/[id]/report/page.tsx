import { notFound } from 'next/navigation';
import Link from 'next/link';
import '@/features/check/check.css';
import { SessionReport } from '@/features/check/SessionReport';
import { PrintButton } from '@/features/print/PrintButton';
import { admit } from '@/server/access/admit';
import { orMissing } from '@/server/orMissing';
import { pageId } from '@/server/pageId';
import { sessionReport } from '@/server/report';
import { longDayName } from '@/ui/dates';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Report' };

export default async function ReportPage({ params }: { params: Promise<{ id: string }> }) {
  const id = pageId((await params).id);
  await admit('/check/[id]/report', id);
  const report = id === undefined ? undefined : await orMissing(sessionReport(id));
  if (!report) notFound();
  const { session } = report;
  return (
    <div className="page wide">
      <div className="page-head">
        <div>
          <div className="small-print">
            {session.groupName} · {longDayName(session.onDate)} · {session.summary.sentence}
          </div>
          <h1>{session.lessonTitle}: what came of it</h1>
        </div>
        <div className="button-row no-print">
          <Link prefetch={false} href={`/check/${session.id}`}>
            the grid
          </Link>
          <a href={`/check/${session.id}/report.csv`}>as a table (CSV)</a>
          <PrintButton />
        </div>
      </div>
      <SessionReport report={report} />
    </div>
  );
}
