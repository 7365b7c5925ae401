import { judgedByNow } from './judgedBy';
import { listenTo } from './live';
import { attendanceOf } from './repositories/attendance';
import { foundIn } from './repositories/foundFaults';
import { readingsAfter } from './repositories/readings';
import { rosterTag } from './roster';

/** So often something is sent where nothing happens, so that nobody in between hangs up. */
const PING_MS = 15_000;
/** Where nobody told of it, another program may have added something. */
const LOOK_MS = 5_000;

/** All that was found wrong in a session, as text. */
async function foundNow(sessionId: number): Promise<string> {
  const all = await foundIn(sessionId);
  return JSON.stringify(all.map(({ id, studentId, words, after }) => ({ id, studentId, words, after })));
}

/**
 * What a browser's event source reads: each reading under its own number, so that one who comes back says from where.
 *
 * @param last number of the last reading that was heard of
 * @param stillIn whether who listens may still do so: a code ends, somebody is signed out
 */
export function liveReadings(
  sessionId: number,
  last: number,
  signal: AbortSignal,
  stillIn: () => Promise<boolean>,
): ReadableStream<Uint8Array> {
  const text = new TextEncoder();
  let stop: () => void = () => undefined;
  return new ReadableStream({
    start(out) {
      let after = last;
      const told = new Map<string, string>();
      let busy = false;
      let again = false;
      /** What is told whole, whenever it is another. */
      const tell = async (event: string, asked: Promise<string>) => {
        const now = await asked.catch(() => undefined);
        if (now === undefined || now === told.get(event)) return;
        told.set(event, now);
        out.enqueue(text.encode(`event: ${event}\ndata: ${now}\n\n`));
      };
      const send = async () => {
        again = true;
        if (busy) return;
        busy = true;
        while (again) {
          again = false;
          const rows = await readingsAfter(sessionId, after).catch(() => []);
          for (const row of rows) {
            after = row.id;
            out.enqueue(text.encode(`id: ${row.id}\ndata: ${JSON.stringify(row)}\n\n`));
          }
          await tell('found', foundNow(sessionId));
          await tell(
            'attendance',
            attendanceOf(sessionId).then((all) => JSON.stringify(all)),
          );
          await tell('roster', rosterTag(sessionId));
          await tell('judged-by', judgedByNow(sessionId));
        }
        busy = false;
      };
      const quietly = () => void send().catch(() => stop());
      const leave = listenTo(sessionId, quietly);
      const end = () => {
        stop();
        try {
          out.close();
        } catch {
          // It was closed from the other end.
        }
      };
      const look = setInterval(() => {
        void stillIn()
          .catch(() => true)
          .then((may) => (may ? quietly() : end()));
      }, LOOK_MS);
      const ping = setInterval(() => {
        try {
          out.enqueue(text.encode(': here\n\n'));
        } catch {
          stop();
        }
      }, PING_MS);
      stop = () => {
        leave();
        clearInterval(look);
        clearInterval(ping);
      };
      signal.addEventListener('abort', end);
      out.enqueue(text.encode('retry: 1000\n\n'));
      quietly();
    },
    cancel() {
      stop();
    },
  });
}
