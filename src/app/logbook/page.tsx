import '@/features/store/store.css';
import { LogTable } from '@/features/logbook/LogTable';
import { logbook } from '@/server/logbook';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Logbook' };

export default async function LogbookPage({
  searchParams,
}: {
  searchParams: Promise<{ lesson?: string | string[] }>;
}) {
  const [rows, { lesson }] = await Promise.all([logbook(), searchParams]);
  return (
    <div className="page">
      <div className="page-head">
        <h1>Logbook</h1>
        <a className="btn btn-quiet" href="/logbook/export.csv">
          Save as CSV
        </a>
      </div>
      {rows.length === 0 ? (
        <p>No reading yet. They arrive here from Check as they are typed.</p>
      ) : (
        <LogTable rows={rows.reverse()} lesson={typeof lesson === 'string' ? lesson : ''} />
      )}
    </div>
  );
}
