import '@/features/store/store.css';
import { LogTable } from '@/features/logbook/LogTable';
import { logbook } from '@/server/logbook';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Logbook' };

/** The newest readings open at once; the rest only when asked for. */
const MOST_AT_FIRST = 400;

export default async function LogbookPage({
  searchParams,
}: {
  searchParams: Promise<{ lesson?: string | string[]; all?: string }>;
}) {
  const { lesson, all } = await searchParams;
  const rows = await logbook(all === undefined ? MOST_AT_FIRST : Infinity);
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
        <>
          <LogTable rows={rows.reverse()} lesson={typeof lesson === 'string' ? lesson : ''} />
          {all === undefined && rows.length >= MOST_AT_FIRST && (
            <p className="pt-3">
              These are the newest readings. <a href="/logbook?all">Show all of them.</a>
            </p>
          )}
        </>
      )}
    </div>
  );
}
