import { randomUUID } from 'node:crypto';
import { failed, guardedWork, type Answer } from '../failures';
import type { Tell } from './tasks';

/** Long work that a screen has asked for, and looks in on. */
export interface JobState {
  /** Share that is done, 0 to 1. */
  readonly share: number;
  /** Once it has ended. */
  readonly answer?: Answer<unknown>;
}

interface Job {
  share: number;
  answer?: Answer<unknown>;
  readonly stopper: AbortController;
}

const held = globalThis as { mivvetJobs?: Map<string, Job> };
const jobs = () => (held.mivvetJobs ??= new Map<string, Job>());
/** What a job came to is told for so long. */
const TOLD_FOR_MS = 10 * 60_000;

/** Begins long work, and answers with the name under which a screen may look in on it. */
export function startJob<T>(work: (tell: Tell, signal: AbortSignal) => Promise<Answer<T>>): string {
  const id = randomUUID();
  const job: Job = { share: 0, stopper: new AbortController() };
  const { signal } = job.stopper;
  jobs().set(id, job);
  void guardedWork(() => work((share) => (job.share = Math.max(job.share, share)), signal))
    .catch((error: unknown) => {
      if (!signal.aborted) console.error('mivvet:', error);
      return failed(
        signal.aborted
          ? 'Cancelled. Nothing was changed.'
          : 'The work stopped; the program’s window says why.',
      );
    })
    .then((answer) => {
      job.answer = answer;
      setTimeout(() => jobs().delete(id), TOLD_FOR_MS).unref();
    });
  return id;
}

export function jobState(id: string): JobState | undefined {
  const job = jobs().get(id);
  return job && { share: job.share, ...(job.answer ? { answer: job.answer } : {}) };
}

export function stopJob(id: string): void {
  jobs().get(id)?.stopper.abort();
}
