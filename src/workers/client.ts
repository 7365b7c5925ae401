import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './coreApi';

/** `quick` answers while somebody types; `careful` takes its time. Each is one worker, started when first asked. */
export type WorkerName = 'quick' | 'careful';

const running = new Map<WorkerName, Remote<CoreApi>>();

export function coreWorker(name: WorkerName): Remote<CoreApi> {
  const started = running.get(name);
  if (started) return started;
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<CoreApi>(worker);
  running.set(name, remote);
  return remote;
}
