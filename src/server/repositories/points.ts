import type { Band, SessionExpectation } from '@/core';

/** A checkpoint of a session, beside it, so that a reading is shown without unfolding all it is judged by. */
interface Stored {
  readonly session_id: number;
  readonly point: string;
  readonly unit: Band['unit'];
  readonly low: number;
  readonly high: number;
  readonly checkpoint: string;
}

export function pointRows(sessionId: number, { expected }: SessionExpectation): Stored[] {
  return expected.points.map(({ id, unit, low, high, point }) => ({
    session_id: sessionId,
    point: id,
    unit,
    low,
    high,
    checkpoint: JSON.stringify(point),
  }));
}
