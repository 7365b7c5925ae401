'use server';

import { z } from 'zod';
import { causeWords } from '@/messages/causes';
import { guarded, notTheirs } from '@/server/access/admit';
import { done, failed, type Answer } from '@/server/failures';
import type { MeterSays } from '@/server/instruments/meter';
import { benchLooks, benchWas, readStandIn, sweepStandIn, type Looked, type Swept } from '@/server/practice';
import type { BenchName } from '@/server/standins/benches';

const numberSchema = z.number().int().positive().max(999_999_999);
const benchSchema = z.strictObject({
  sessionId: numberSchema,
  seed: numberSchema,
  bench: numberSchema,
  mended: z.boolean(),
});

/** Reads the stand-in meter, its probes held at a checkpoint of a made-up bench. */
export async function meterReads(bench: BenchName, point: string): Promise<Answer<MeterSays>> {
  return guarded('meterReads', async (asking) => {
    const known = benchSchema.parse(bench);
    const stranger = notTheirs(asking, known.sessionId);
    if (stranger) return failed(stranger);
    return done(await readStandIn(known, z.string().max(40).parse(point)));
  });
}

/** How the lamps of a made-up bench look. */
export async function looksOfBench(bench: BenchName): Promise<Answer<Looked>> {
  return guarded('looksOfBench', async (asking) => {
    const known = benchSchema.parse(bench);
    const stranger = notTheirs(asking, known.sessionId);
    return stranger ? failed(stranger) : done(await benchLooks(known));
  });
}

/** Tells what was wrong with a made-up bench. */
export async function whatItWas(bench: BenchName): Promise<Answer<string>> {
  return guarded('whatItWas', async (asking) => {
    const known = benchSchema.parse(bench);
    const stranger = notTheirs(asking, known.sessionId);
    if (stranger) return failed(stranger);
    const { cause, points } = await benchWas(known);
    return done(cause.code === 'right' ? 'nothing: it is right' : causeWords(cause, points));
  });
}

/** Turns the stand-in supply up at a made-up bench, and notes what comes on at which volts. */
export async function sweepSupply(bench: BenchName, most: number): Promise<Answer<Swept>> {
  return guarded('sweepSupply', async (asking) => {
    const known = benchSchema.parse(bench);
    const stranger = notTheirs(asking, known.sessionId);
    if (stranger) return failed(stranger);
    return done(await sweepStandIn(known, z.number().min(1).max(24).parse(most)));
  });
}
