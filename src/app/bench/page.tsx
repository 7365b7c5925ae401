import '@/features/bench/bench.css';
import '@/features/plan/plan.css';
import { BenchWork } from '@/features/bench/BenchWork';
import { ChooseBench } from '@/features/bench/ChooseBench';
import { admit } from '@/server/access/admit';
import { benchChoices, ownBench } from '@/server/ownBench';
import { codesOf } from '@/server/repositories/codes';
import { session } from '@/server/repositories/sessions';
import { clockTime, longDayName } from '@/ui/dates';

export const dynamic = 'force-dynamic';
export const metadata = { title: 'Your bench' };

/** A student's own bench in the session that they came to; before that, which one it is. */
export default async function BenchPage() {
  const asking = await admit('/bench');
  const id = asking?.session;
  if (id === undefined) return null;
  if (asking?.seat)
    return <BenchWork key={asking.seat.studentId} own={await ownBench(id, asking.seat.studentId)} />;
  const [held, codes, benches] = await Promise.all([session(id), codesOf(id), benchChoices(id)]);
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
      <ChooseBench sessionId={id} benches={benches} />
      {code && <p className="soft">You are in until {clockTime(code.endsAt)}.</p>}
    </div>
  );
}
