import { wrap, type Remote } from 'comlink';
import type { CoreApi } from './coreApi';

/**
 * `quick` answers while somebody types, `rough` what that leaves out; `careful` takes its time; `waves` follows circuits over time; `tones` tries them at one tone after another; the numbered ones
 * share draws out. Each is one worker, started when first asked.
 */
export type WorkerName = 'quick' | 'rough' | 'careful' | 'waves' | 'tones' | `draws ${number}`;

/** The workers that share draws out: one a processor but for the screen's own. */
export function drawingWorkers(): Remote<CoreApi>[] {
  const count = Math.min(4, Math.max(1, navigator.hardwareConcurrency - 1));
  return Array.from({ length: count }, (_, i) => coreWorker(`draws ${i}`));
}

const running = new Map<WorkerName, { readonly worker: Worker; readonly remote: Remote<CoreApi> }>();

export function coreWorker(name: WorkerName): Remote<CoreApi> {
  const started = running.get(name);
  if (started) return started.remote;
  const worker = new Worker(new URL('./core.worker.ts', import.meta.url), { type: 'module' });
  const remote = wrap<CoreApi>(worker);
  running.set(name, { worker, remote });
  return remote;
}

const watchers = new Set<(name: WorkerName) => void>();

/**
 * Stops a worker in the middle of what it does; what was asked of it is never answered. Whoever else waits for it hears
 * of that, and asks a new one.
 */
export function stopWorker(name: WorkerName): void {
  running.get(name)?.worker.terminate();
  running.delete(name);
  for (const watcher of watchers) watcher(name);
}

/** @returns ends the watching */
export function onWorkerStopped(watcher: (name: WorkerName) => void): () => void {
  watchers.add(watcher);
  return () => void watchers.delete(watcher);
}
