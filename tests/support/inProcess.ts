import { coreApi } from '@/workers/coreApi';

/** The workers' door with the core behind it in the same process: answers come later, as they do from a worker. */
const answering = Object.fromEntries(
  Object.entries(coreApi).map(([name, work]) => [
    name,
    async (...question: readonly unknown[]) => {
      await Promise.resolve();
      return (work as (...asked: readonly unknown[]) => unknown)(...question);
    },
  ]),
);

export const coreWorker = () => answering;
export const drawingWorkers = () => [answering, answering];
export const stopWorker = () => undefined;
export const onWorkerStopped = () => () => undefined;
