'use server';

import { z } from 'zod';
import { guarded } from '@/server/access/admit';
import { comeIn } from '@/server/access/who';
import { benchAdvice, type BenchAdvice } from '@/server/advice';
import { gateAdvice, type GateAdvice, type GateSaid } from '@/server/gateAdvice';
import { done, failed, type Answer } from '@/server/failures';
import { freeSeat, takeSeat } from '@/server/repositories/seats';

const idSchema = z.number().int().positive();

/** Takes a bench of the student's own session, for this machine. */
export async function takeBench(studentId: number): Promise<Answer<null>> {
  return guarded('takeBench', async (asking) => {
    if (asking?.session === undefined) return failed('Come to a session first, by its code.');
    const seat = await takeSeat(asking.session, idSchema.parse(studentId));
    // The bench before is given back only when the new one is taken.
    if (asking.seat) await freeSeat(asking.seat.sessionId, asking.seat.studentId);
    await comeIn({ ...asking, seat });
    return done(null);
  });
}

/** Gives the bench back, to choose another. */
export async function leaveBench(): Promise<Answer<null>> {
  return guarded('leaveBench', async (asking) => {
    if (!asking?.seat) return done(null);
    const { seat, ...rest } = asking;
    await freeSeat(seat.sessionId, seat.studentId);
    await comeIn(rest);
    return done(null);
  });
}

/** What a student is told of their own bench, and of no other. */
export async function adviceFor(studentId: number): Promise<Answer<BenchAdvice>> {
  return guarded('adviceFor', async (asking) => {
    const seat = asking?.seat;
    if (!seat || seat.studentId !== studentId) return failed('Not done: that is another bench than yours.');
    return done(await benchAdvice(seat.sessionId, seat.studentId));
  });
}

const saidSchema = z.strictObject({
  lit: z.array(z.string().max(20)).max(60),
  readings: z.record(z.string().max(40), z.string().max(40)),
  tries: z.number().int().min(0).max(99),
});

/** What a student is told of what they saw and read at a stop of the card. */
export async function stopAdvice(at: number, said: GateSaid): Promise<Answer<GateAdvice>> {
  return guarded('stopAdvice', async (asking) => {
    const seat = asking?.seat;
    if (!seat) return failed('Choose your bench first.');
    const step = z.number().int().min(0).max(999).parse(at);
    return done(await gateAdvice(seat.sessionId, seat.studentId, step, saidSchema.parse(said)));
  });
}
