import { admit } from '@/server/access/admit';
import { codesOf } from '@/server/repositories/codes';
import { session } from '@/server/repositories/sessions';
import { clockTime, longDayName } from '@/ui/dates';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Your session' };

/** What a student sees of the session that they came to. */
export default async function BenchPage() {
  const asking = await admit('/bench');
  const id = asking?.session;
  if (id === undefined) return null;
  const [held, codes] = await Promise.all([session(id), codesOf(id)]);
  const code = codes.find((one) => one.id === asking?.code);
  return (
    <div className="page">
      <div className="page-head">
        <div>
          <div className="small-print">
            {held.groupName} · {longDayName(held.onDate)}
          </div>
          <h1>{held.lessonTitle}</h1>
        </div>
      </div>
      <p>{held.summary.sentence}</p>
      {code && <p className="soft">You are in until {clockTime(code.endsAt)}.</p>}
    </div>
  );
}
