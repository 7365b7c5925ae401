import os from 'node:os';
import { MessageChannel } from 'node:worker_threads';
import { Piscina } from 'piscina';
import { environment } from '../env';
import { tasks, type TaskName, type Tasks, type Tell } from './tasks';

type Question<K extends TaskName> = Parameters<Tasks[K]>[0];
type Reply<K extends TaskName> = Awaited<ReturnType<Tasks[K]>>;

interface Way {
  readonly tell?: Tell;
  /** Stops the work; a task under way is ended with its thread. */
  readonly signal?: AbortSignal;
}

const held = globalThis as { mivvetPools?: Map<PoolName, Piscina> | undefined };
type PoolName = 'all' | 'judging';
/** Threads that have had nothing to do for so long are given back. */
const IDLE_MS = 10_000;
/** The one that judges keeps what it judges by prepared while a class goes on. */
const JUDGING_IDLE_MS = 20 * 60_000;
/** Solving makes little that lives long: a small nursery does, and a thread stays small by it. */
const YOUNG_MB = 24;

const MOST_THREADS = Math.max(1, Math.min(4, os.availableParallelism()));

/** How many tasks are worked on at once. */
export function threads(): number {
  return environment().worker ? MOST_THREADS : 1;
}

/**
 * Does a task in a thread of its own as soon as one is free; the server goes on with everything else meanwhile.
 * Where no worker was built beside the program, as in tests of what stands around it, the task is done here.
 *
 * @throws what the task throws, and an AbortError when it is stopped
 */
export async function inThread<K extends TaskName>(
  name: K,
  question: Question<K>,
  way: Way = {},
): Promise<Reply<K>> {
  const { worker } = environment();
  if (!worker) {
    way.signal?.throwIfAborted();
    const task = tasks[name] as (asked: Question<K>, tell: Tell) => Reply<K> | Promise<Reply<K>>;
    return task(question, way.tell ?? (() => undefined));
  }
  const pool = poolOf(name === 'judge' ? 'judging' : 'all', worker);
  const { tell, signal } = way;
  const asked = signal ? { signal } : {};
  if (!tell) return pool.run({ name, question }, asked) as Promise<Reply<K>>;
  const { port1, port2 } = new MessageChannel();
  port1.on('message', tell);
  try {
    return (await pool.run({ name, question, port: port2 }, { ...asked, transferList: [port2] })) as Reply<K>;
  } finally {
    port1.close();
  }
}

function poolOf(name: PoolName, worker: string): Piscina {
  const pools = (held.mivvetPools ??= new Map());
  const known = pools.get(name);
  if (known) return known;
  const judging = name === 'judging';
  const made = new Piscina({
    filename: worker,
    minThreads: 0,
    maxThreads: judging ? 1 : MOST_THREADS,
    idleTimeout: judging ? JUDGING_IDLE_MS : IDLE_MS,
    resourceLimits: { maxYoungGenerationSizeMb: YOUNG_MB },
  });
  pools.set(name, made);
  return made;
}

/** Ends the threads, for a program that has done its work. */
export async function stopThreads(): Promise<void> {
  await Promise.all([...(held.mivvetPools?.values() ?? [])].map((pool) => pool.destroy()));
  held.mivvetPools = undefined;
}
