import { spawn, type ChildProcess } from 'node:child_process';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { closeDatabase } from '@/server/db/connection';
import { LESSONS } from '@/demo/lessons';
import { carefulRequest, sheetSurroundings } from '@/server/lessonSheet';
import { inThread, stopThreads, threads } from '@/server/work/pool';
import { fillHouse, type HouseSize } from './generatedHouse';
import type { Line } from './measure';

const PORT = 4291;
const BUILD = process.env['MIVVET_BUILD'] ?? '.next';
const BASE = `http://127.0.0.1:${PORT}`;
const FIVE_YEARS: HouseSize = {
  lessons: 300,
  groups: 60,
  kinds: 500,
  students: 25,
  sessions: 400,
  points: 4,
};
/** Half a million readings: three times as many sessions, and every checkpoint read again and again. */
const GROWN: HouseSize = { ...FIVE_YEARS, sessions: 1250, points: 16 };
const PAGES = [
  '/',
  '/lessons',
  '/lessons/1',
  '/lessons/12',
  '/lessons/25',
  '/check',
  '/check/200',
  '/classes',
  '/classes/3',
  '/logbook',
  '/logbook?lesson=Pier+lamp',
  '/logbook?off=1',
  '/settings',
  '/store',
  '/glossary',
  '/cheat-sheet',
  '/circuits',
  '/print/1/card',
  '/print/12/checks',
  '/print/25/sheet',
];
const EXPORTS = ['/logbook/export.csv', '/lessons/1/kit.csv', '/lessons/12/lesson.json'];
const ROUNDS = 9;

/** A house of five years behind a server of its own; `npm run build` first. */
export const benchHouse = (): Promise<Line[]> => measured('five years', FIVE_YEARS, true);

/** The same with twelve times as many readings. */
export const benchGrown = (): Promise<Line[]> => measured('half a million readings', GROWN, false);

async function measured(name: string, size: HouseSize, whole: boolean): Promise<Line[]> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'mivvet-bench-'));
  const database = path.join(folder, 'house.sqlite');
  process.env['MIVVET_DB'] = database;
  process.env['MIVVET_DEMO'] = '1';
  process.env['MIVVET_WORKER'] ??= path.resolve('.house', BUILD.replace(/^\./u, ''), 'worker.mjs');
  await fillHouse(size);
  const shared = whole ? await dictionaries() : [];
  await stopThreads();
  await closeDatabase();
  const server = spawn(
    process.execPath,
    [
      '--max-semi-space-size=8',
      'node_modules/next/dist/bin/next',
      'start',
      '-H',
      '127.0.0.1',
      '-p',
      String(PORT),
    ],
    {
      env: { ...process.env, MIVVET_BUILD: BUILD },
      stdio: 'ignore',
    },
  );
  try {
    await answering();
    const lines = [
      ...shared,
      ...(await pages(name)),
      ...(await exported(name)),
      ...(whole ? await underLoad() : []),
    ];
    return [
      ...lines,
      { work: `${name}: resident memory of the server (goal 400 MB)`, figure: memoryOf(server) },
    ];
  } finally {
    server.kill('SIGTERM');
    await new Promise((ended) => server.once('exit', ended));
    fs.rmSync(folder, { recursive: true, force: true });
  }
}

/** The mistakes of the lamp cover and of sound lights, shared out among the threads. */
async function dictionaries(): Promise<Line[]> {
  const around = await sheetSurroundings(14);
  const lines: Line[] = [];
  for (const title of ['Cabin ceiling', 'Storm lights']) {
    const request = carefulRequest(
      LESSONS.find((lesson) => lesson.title === title)!,
      around,
    );
    const sheet = await inThread('sheet', request);
    if (!sheet.ok) throw new Error(`${title} is refused`);
    const of = threads();
    const once = async () => {
      const start = performance.now();
      const shares = await Promise.all(
        Array.from({ length: of }, (_, at) => inThread('faults', { sheet: sheet.value, request, at, of })),
      );
      return {
        took: performance.now() - start,
        count: shares.reduce((sum, share) => sum + share.signed.length, 0),
      };
    };
    const rounds = [await once(), await once(), await once()].sort((a, b) => a.took - b.took);
    const { took, count } = rounds[1]!;
    lines.push({
      work: `mistakes of ${title}, ${of} threads (goal for the lamp cover 5 s)`,
      figure: `${ms(took)}, ${count} candidates`,
    });
  }
  return lines;
}

async function answering(): Promise<void> {
  for (let i = 0; i < 300; i++) {
    if (
      await fetch(BASE).then(
        (reply) => reply.ok,
        () => false,
      )
    )
      return;
    await new Promise((next) => setTimeout(next, 100));
  }
  throw new Error('the server does not answer');
}

/** Milliseconds until the whole of a page is there. */
async function timed(address: string): Promise<number> {
  const start = performance.now();
  const reply = await fetch(`${BASE}${address}`);
  await reply.arrayBuffer();
  if (!reply.ok) throw new Error(`${address}: ${reply.status}`);
  return performance.now() - start;
}

async function medianOf(address: string): Promise<number> {
  // Once to be worked out and kept, once to be warm.
  await timed(address);
  await timed(address);
  const times: number[] = [];
  for (let i = 0; i < ROUNDS; i++) times.push(await timed(address));
  return times.sort((a, b) => a - b)[Math.floor(ROUNDS / 2)]!;
}

const ms = (value: number) => `${Math.round(value)} ms`;

async function pages(name: string): Promise<Line[]> {
  const times: [string, number][] = [];
  // What lists and sheets show is worked out in the background at the first visit.
  for (const page of PAGES) await timed(page);
  await new Promise((next) => setTimeout(next, 15_000));
  for (const page of PAGES) times.push([page, await medianOf(page)]);
  times.sort((a, b) => b[1] - a[1]);
  const slowest = times.slice(0, 4).map(([page, time]) => `${page} ${ms(time)}`);
  return [
    {
      work: `${name}: ${times.filter(([, time]) => time < 200).length} of ${times.length} pages under 200 ms; slowest`,
      figure: slowest.join(', '),
    },
  ];
}

async function exported(name: string): Promise<Line[]> {
  const lines: Line[] = [];
  for (const address of EXPORTS)
    lines.push({ work: `${name}: ${address} (goal 2 s)`, figure: ms(await medianOf(address)) });
  return lines;
}

/** How long a small page takes while somebody's heavy work is under way: a lesson worked out that nobody opened yet. */
async function underLoad(): Promise<Line[]> {
  const quiet = await medianOf('/check');
  const heavy = Promise.all(
    ['/print/37/card', '/print/46/card', '/print/43/card', '/logbook/export.csv'].map(timed),
  );
  let working = true;
  void heavy.finally(() => (working = false));
  const times: number[] = [];
  while (working && times.length < 400) {
    times.push(await timed('/check'));
    await new Promise((next) => setTimeout(next, 20));
  }
  const took = await heavy;
  times.sort((a, b) => a - b);
  const late = times[times.length - 1]! - quiet;
  const usual = times[Math.floor(times.length / 2)]! - quiet;
  return [
    {
      work: 'a page beside three cards worked out and an export: later by (goal 100 ms)',
      figure: `${ms(usual)} usually, ${ms(late)} at most of ${times.length}; the cards ${took.slice(0, 3).map(ms).join(', ')}`,
    },
  ];
}

function memoryOf({ pid }: ChildProcess): string {
  const status = fs.readFileSync(`/proc/${pid}/status`, 'utf8');
  return `${Math.round(Number(/VmRSS:\s+(\d+)/u.exec(status)?.[1]) / 1024)} MB`;
}
