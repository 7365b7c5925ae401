import libsql from 'libsql';
import { ended, message, value } from '../../../tests/support/answers';
import { bundled } from '../../../tests/support/bundle';
import { ownDatabase } from '../../../tests/support/database';
import { requestWith } from '../../../tests/support/sheets';
import { makeSheet, sessionExpectation, sessionSignatures } from '@/core';
import { done, failed } from '../failures';
import { database } from '../db/connection';
import { jobState, startJob, stopJob } from './jobs';
import { keptOr, keptUnder, keyFor } from './keep';
import { inThread, stopThreads, threads } from './pool';

const { file } = ownDatabase();

const request = requestWith();
const made = makeSheet(request);
if (!made.ok) throw new Error('refused');
const sheet = made.value;

describe('heavy work in threads of its own', () => {
  const worker = bundled('src/server/work/worker.ts');

  beforeAll(() => {
    process.env['MIVVET_WORKER'] = worker;
  });
  afterAll(async () => {
    await stopThreads();
    delete process.env['MIVVET_WORKER'];
  });

  it('comes to the same as here, and leaves this thread free meanwhile', async () => {
    let ticks = 0;
    const clock = setInterval(() => ticks++, 1);
    const there = await inThread('sheet', request);
    clearInterval(clock);
    expect(JSON.parse(JSON.stringify(there))).toEqual(JSON.parse(JSON.stringify(made)));
    // A thread of its own: this one went on while the other worked.
    expect(ticks).toBeGreaterThan(5);
  });

  it('shares mistakes out, whoever does which, and tells how far it is', async () => {
    const told: number[] = [];
    const of = Math.max(2, threads());
    const shares = await Promise.all(
      Array.from({ length: of }, (_, at) =>
        inThread('faults', { sheet, request, at, of }, { tell: (share) => told.push(share) }),
      ),
    );
    const together = await inThread('expectation', { sheet, request, shares });
    expect(JSON.parse(JSON.stringify(together))).toEqual(
      JSON.parse(JSON.stringify(sessionExpectation(sheet, request))),
    );
    const alone = sessionSignatures(sheet, request);
    expect(shares.reduce((sum, share) => sum + share.signed.length, 0)).toBe(alone.signed.length);
    for (const share of told) expect(share > 0 && share <= 1).toBe(true);
  });

  it('is stopped in the middle', async () => {
    const stopper = new AbortController();
    const work = inThread('faults', { sheet, request, at: 0, of: 1 }, { signal: stopper.signal });
    setTimeout(() => stopper.abort(), 20);
    await expect(work).rejects.toThrow(/abort/iu);
    expect(await inThread('line', request)).toContain('red lamp');
  });
});

describe('what was worked out', () => {
  it('is made once for all that wait for it, and kept for those who come later', async () => {
    let made = 0;
    const key = keyFor('test', ['one', { two: 2 }]);
    const make = async () => {
      made++;
      await new Promise((next) => setTimeout(next, 5));
      return { n: made };
    };
    expect(await Promise.all([1, 2, 3].map(() => keptOr('test', key, make)))).toEqual([
      { n: 1 },
      { n: 1 },
      { n: 1 },
    ]);
    expect(await keptOr('test', key, make)).toEqual({ n: 1 });
    while ((await keptUnder([key, 'another'])).size === 0) await new Promise((next) => setTimeout(next, 5));
    expect((await keptUnder([key, 'another'])).get(key)).toEqual({ n: 1 });
    expect(keyFor('test', ['one', { two: 3 }])).not.toBe(key);
    expect(keyFor('other', ['one', { two: 2 }])).not.toBe(key);
  });

  it('is answered while another program holds the database, and kept when it is free', async () => {
    const key = keyFor('test', ['under a lock']);
    const other = new libsql(file);
    other.exec('BEGIN IMMEDIATE');
    expect(await keptOr('test', key, async () => 9)).toBe(9);
    // Those who ask meanwhile have it too.
    expect(await keptOr('test', key, async () => 10)).toBe(9);
    expect((await keptUnder([key])).size).toBe(0);
    other.exec('COMMIT');
    other.close();
    while ((await keptUnder([key])).size === 0) await new Promise((next) => setTimeout(next, 5));
  });

  it('is not lost to those who wait for it when who asked first cancels', async () => {
    const key = keyFor('test', ['cancelled by one']);
    const stopper = new AbortController();
    let begun: () => void = () => undefined;
    const underway = new Promise<void>((go) => (begun = go));
    const first = keptOr('test', key, () => {
      begun();
      return new Promise<number>((_, stop) => {
        stopper.signal.addEventListener('abort', () => stop(stopper.signal.reason as Error));
      });
    });
    const second = keptOr('test', key, async () => 5);
    await underway;
    stopper.abort();
    await expect(first).rejects.toThrow(/abort/iu);
    expect(await second).toBe(5);
  });

  it('that failed is tried again, and that cannot be kept costs nothing but time', async () => {
    const key = keyFor('test', ['fails once']);
    await expect(keptOr('test', key, () => Promise.reject(new Error('lost power')))).rejects.toThrow(
      'lost power',
    );
    const db = await database();
    await db.schema.renameTable('worked_out', 'elsewhere');
    await db.schema.createTable('worked_out', (table) => void table.string('key'));
    await expect(keptOr('test', key, async () => 7)).rejects.toThrow(/no such column/u);
    await db.schema.dropTable('worked_out');
    await db.schema.renameTable('elsewhere', 'worked_out');
    expect(await keptOr('test', key, async () => 7)).toBe(7);
  });
});

describe('a job', () => {
  it('is looked in on until it has ended', async () => {
    const id = startJob<number>(async (tell) => {
      tell(0.4);
      tell(0.2);
      await new Promise((next) => setTimeout(next, 5));
      return done(12);
    });
    expect(jobState(id)).toEqual({ share: 0.4 });
    expect(value(await ended<number>(done(id)))).toBe(12);
    expect(jobState('no such job')).toBeUndefined();
  });

  it('says why it failed, and that it was cancelled', async () => {
    expect(message(await ended(done(startJob(async () => failed('No sum that works.')))))).toBe(
      'No sum that works.',
    );
    const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
    const broken = startJob(() => Promise.reject(new Error('a bug')));
    expect(message(await ended(done(broken)))).toContain('The work stopped');
    expect(quiet).toHaveBeenCalledTimes(1);
    quiet.mockRestore();
    const long = startJob(
      (_tell, signal) =>
        new Promise((_done, stop) => signal.addEventListener('abort', () => stop(new Error('stopped')))),
    );
    stopJob(long);
    expect(message(await ended(done(long)))).toBe('Cancelled. Nothing was changed.');
  });
});
