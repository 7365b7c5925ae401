import os from 'node:os';
import type { MessagePort } from 'node:worker_threads';
import { tasks, type TaskName } from './tasks';

interface Asked {
  readonly name: TaskName;
  readonly question: unknown;
  readonly port?: MessagePort;
}

/**
 * On Linux this is the priority of this thread alone: who waits for a page goes before whoever works something out.
 * Elsewhere it would be the whole program's, and is left.
 */
const BEHIND_PAGES = 10;
if (process.platform === 'linux') os.setPriority(BEHIND_PAGES);

/** No more often than so is told how far a task is. */
const TELL_EVERY_MS = 100;

/** One task in this thread. */
export default async function work({ name, question, port }: Asked): Promise<unknown> {
  let told = 0;
  const tell = (share: number) => {
    const now = performance.now();
    if (!port || now - told < TELL_EVERY_MS) return;
    told = now;
    port.postMessage(share);
  };
  try {
    return await (tasks[name] as (asked: unknown, say: typeof tell) => unknown)(question, tell);
  } finally {
    port?.close();
  }
}
