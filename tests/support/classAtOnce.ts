import { execFileSync, spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import libsql from 'libsql';
import { JUDGING_RULE, type PatternId } from '@/core';

/** What forty benches came to. */
export interface ClassAtOnce {
  /** Readings that were sent, and how many rows the database has of them. */
  readonly sent: number;
  readonly kept: number;
  /** Readings that each client heard of, each counted once. */
  readonly heard: readonly number[];
  /** Milliseconds from sending a reading, the time that it is kept, until the last client had heard of it, in order of size. */
  readonly delays: readonly number[];
  /** Milliseconds until each reading was acknowledged to who sent it, in order of size. */
  readonly acknowledged: readonly number[];
  /** Milliseconds from the last reading that was kept until every bench was judged. */
  readonly judgedAfter: number;
  /** Milliseconds that the grid took to open while benches waited. */
  readonly opened: number;
  /** Memory of the server then, in MB. */
  readonly memory: number;
}

interface Asked {
  readonly port: number;
  readonly build: string;
  readonly clients: number;
  /** Those who follow the session and enter nothing, besides. */
  readonly listeners?: number;
  /** Over how long the readings are spread. */
  readonly overMs: number;
  /** Kills the server when half of them are sent, and starts it again. */
  readonly kill: boolean;
  /** The lesson that the class has, by its pattern; a mix of three colours where none is named. */
  readonly pattern?: PatternId;
}

interface Filled {
  readonly session: number;
  readonly students: readonly number[];
  readonly points: readonly { readonly id: string; readonly typical: number }[];
}

const ROOT = path.resolve(__dirname, '../..');
const TRY_AGAIN_MS = 150;

/**
 * Forty benches with twelve figures each, entered by several clients at once as the grid enters them: every reading under a
 * key of its own, sent again until it is kept; every client follows the session meanwhile.
 */
export async function classAtOnce({
  port,
  build,
  clients,
  listeners = 0,
  overMs,
  kill,
  pattern = 'rgb',
}: Asked): Promise<ClassAtOnce> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-class-'));
  const file = path.join(folder, 'class.sqlite');
  const env = {
    ...process.env,
    MIVVET_DB: file,
    MIVVET_DEMO: '1',
    MIVVET_BUILD: build,
    MIVVET_WORKER: path.join(ROOT, '.house', build.replace(/^\./u, ''), 'worker.mjs'),
  };
  const tsx = path.join(ROOT, 'node_modules/tsx/dist/cli.mjs');
  const out = execFileSync(process.execPath, [tsx, 'tests/support/forty.ts', pattern], { cwd: ROOT, env });
  const filled = JSON.parse(out.toString().trim().split('\n').pop()!) as Filled;
  const base = `http://127.0.0.1:${port}`;
  const start = () => served(port, env);
  let server = start();
  const stop = async (signal: NodeJS.Signals) => {
    const ended = new Promise((next) => server.once('exit', next));
    server.kill(signal);
    await ended;
  };
  try {
    await answering(base);
    const all = readingsOf(filled);
    const open = () => fetch(`${base}/check/${filled.session}`).then((page) => page.text());
    // Once before anything is measured: the first page of a server is loaded first.
    await open();
    const stopper = new AbortController();
    const ears = Array.from(
      { length: clients + listeners },
      () => new Ear(base, filled.session, stopper.signal),
    );
    // Three hundred who come within one second are another question than three hundred who listen.
    for (let tries = 0; tries < 600 && ears.some((ear) => !ear.isOpen); tries++) await pause(50);
    const sentAt = new Map<string, number>();
    const acknowledged: number[] = [];
    const action = actionId(build, 'keepReading');
    const halves = kill ? [all.slice(0, all.length / 2), all.slice(all.length / 2)] : [all];
    for (const [k, half] of halves.entries()) {
      const sending = Promise.all(
        Array.from({ length: clients }, (_, c) =>
          sendAll(
            base,
            action,
            filled.session,
            half.filter((_reading, i) => i % clients === c),
            (overMs * clients) / all.length,
            sentAt,
            acknowledged,
          ),
        ),
      );
      if (kill && k === 1) {
        await pause(overMs / 8);
        await stop('SIGKILL');
        server = start();
      }
      await sending;
    }
    const sentAll = performance.now();
    await open();
    const opened = performance.now() - sentAll;
    await judged(file);
    const judgedAfter = performance.now() - sentAll;
    const memory = memoryOf(server);
    for (let tries = 0; tries < 600 && ears.some((ear) => ear.at.size < all.length); tries++) await pause(50);
    stopper.abort();
    const delays = all
      .map(({ key }) => Math.max(...ears.map((ear) => (ear.at.get(key) ?? Infinity) - sentAt.get(key)!)))
      .sort((a, b) => a - b);
    await stop('SIGTERM');
    const db = new libsql(file);
    const { n } = db.prepare('select count(*) as n from readings').get() as { n: number };
    db.close();
    const heard = ears.map((ear) => ear.at.size);
    acknowledged.sort((a, b) => a - b);
    return { sent: all.length, kept: n, heard, delays, acknowledged, judgedAfter, opened, memory };
  } finally {
    server.kill('SIGKILL');
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

/** Ends when no bench waits to be judged. */
async function judged(file: string): Promise<void> {
  const db = new libsql(file, { readonly: true });
  const waiting = db.prepare('select count(*) as n from judgements where rule <> ?');
  for (let tries = 0; tries < 12_000; tries++) {
    if ((waiting.get(JUDGING_RULE) as { n: number }).n === 0) break;
    await pause(25);
  }
  db.close();
}

/** Memory that a process holds, in MB; 0 where the system does not say. */
function memoryOf({ pid }: ChildProcess): number {
  const status = fs.readFileSync(`/proc/${pid}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/u.exec(status)?.[1] ?? 0) / 1024;
}

interface Planned {
  readonly key: string;
  readonly body: object;
}

function readingsOf({ session, students, points }: Filled): Planned[] {
  return points.flatMap(({ id, typical }, n) =>
    students.map((studentId): Planned => {
      const takenBy = `s${studentId} ${n}`;
      return {
        key: takenBy,
        body: {
          sessionId: session,
          studentId,
          point: id,
          kind: n < 8 ? 'first' : 'retest',
          value: typical,
          step: typical / 200,
          typed: String(typical.toPrecision(3)),
          meter: 'class meter',
          takenBy,
          takenAt: new Date().toISOString(),
          entryKey: randomUUID(),
        },
      };
    }),
  );
}

async function sendAll(
  base: string,
  action: string,
  session: number,
  readings: readonly Planned[],
  everyMs: number,
  sentAt: Map<string, number>,
  acknowledged: number[],
): Promise<void> {
  for (const { key, body } of readings) {
    sentAt.set(key, performance.now());
    while (!(await sendOne(base, action, session, body))) {
      await pause(TRY_AGAIN_MS);
      sentAt.set(key, performance.now());
    }
    acknowledged.push(performance.now() - sentAt.get(key)!);
    await pause(everyMs);
  }
}

/** As the grid's own form action goes out; whatever is not plainly kept is sent again under the same key. */
async function sendOne(base: string, action: string, session: number, body: object): Promise<boolean> {
  const answer = await fetch(`${base}/check/${session}`, {
    method: 'POST',
    headers: {
      'next-action': action,
      'content-type': 'text/plain;charset=UTF-8',
      accept: 'text/x-component',
      origin: base,
    },
    body: JSON.stringify([body]),
  })
    .then(async (response) => (response.ok ? await response.text() : ''))
    .catch(() => '');
  return answer.includes('"ok":true');
}

/** One who follows the session, and comes back by itself from the last that was heard of. */
class Ear {
  /** When each reading was heard of first. */
  readonly at = new Map<string, number>();
  isOpen = false;
  private last = 0;

  constructor(
    private readonly base: string,
    private readonly session: number,
    private readonly signal: AbortSignal,
  ) {
    void this.listen();
  }

  private async listen(): Promise<void> {
    while (!this.signal.aborted) {
      await this.once().catch(() => undefined);
      await pause(TRY_AGAIN_MS);
    }
  }

  private async once(): Promise<void> {
    const response = await fetch(`${this.base}/check/${this.session}/live?after=${this.last}`, {
      signal: this.signal,
    });
    this.isOpen = true;
    const text = new TextDecoder();
    let rest = '';
    for await (const chunk of response.body!) {
      rest += text.decode(chunk as Uint8Array, { stream: true });
      const events = rest.split('\n\n');
      rest = events.pop()!;
      for (const event of events) this.hear(event);
    }
  }

  private hear(event: string): void {
    // What was found is told under a name of its own; a reading comes under its number.
    const data = /^id: \d+\ndata: (.*)$/mu.exec(event)?.[1];
    if (!data) return;
    const { id, takenBy } = JSON.parse(data) as { id: number; takenBy: string };
    this.last = Math.max(this.last, id);
    if (!this.at.has(takenBy)) this.at.set(takenBy, performance.now());
  }
}

function served(port: number, env: NodeJS.ProcessEnv): ChildProcess {
  const next = path.join(ROOT, 'node_modules/next/dist/bin/next');
  return spawn(process.execPath, [next, 'start', '-H', '127.0.0.1', '-p', String(port)], {
    cwd: ROOT,
    env,
    stdio: 'ignore',
  });
}

async function answering(base: string): Promise<void> {
  for (let tries = 0; tries < 600; tries++) {
    const answer = await fetch(`${base}/sign-in`).catch(() => undefined);
    if (answer?.ok) return;
    await pause(200);
  }
  throw new Error('The server did not start.');
}

/** The name under which a build answers to an action of the grid. */
function actionId(build: string, name: string): string {
  const manifest = JSON.parse(
    fs.readFileSync(path.join(ROOT, build, 'server', 'server-reference-manifest.json'), 'utf8'),
  ) as { node: Readonly<Record<string, { exportedName?: string }>> };
  const found = Object.entries(manifest.node).find(([, { exportedName }]) => exportedName === name);
  if (!found) throw new Error(`The build has no action ${name}.`);
  return found[0];
}

function pause(ms: number): Promise<void> {
  return new Promise((next) => setTimeout(next, ms));
}
