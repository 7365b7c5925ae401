import { follow, Follower } from './liveFeed';

/** So often something is sent where nothing happens, so that nobody in between hangs up. */
const PING_MS = 15_000;
/** So often it is looked whether who listens still may. */
const STILL_IN_MS = 5_000;

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
      const send = (told: string) => {
        try {
          out.enqueue(text.encode(told));
        } catch {
          // It was closed from the other end.
          stop();
        }
      };
      const leave = follow(sessionId, new Follower(last, send));
      const ping = setInterval(() => send(': here\n\n'), PING_MS);
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
          .then((may) => {
            if (!may) end();
          });
      }, STILL_IN_MS);
      stop = () => {
        leave();
        clearInterval(ping);
        clearInterval(look);
      };
      signal.addEventListener('abort', end);
      send('retry: 1000\n\n');
    },
    cancel() {
      stop();
    },
  });
}
