import type { SessionExpectation } from '@/core';
import { expectationFrom } from '../repositories/keptExpectation';

/** What sessions are judged by is large: so many of them a thread keeps. */
const MOST = 6;

const held = new Map<string, SessionExpectation>();

/**
 * An expectation that was handed to this thread before, or is now: the same object each time, so that what was prepared
 * for it is found again.
 *
 * @param text as it is kept
 * @returns undefined where it was never handed over, or has been let go since
 */
export function handedOver(name: string, text?: string): SessionExpectation | undefined {
  const known = held.get(name) ?? (text === undefined ? undefined : expectationFrom(text));
  if (!known) return undefined;
  held.delete(name);
  held.set(name, known);
  if (held.size > MOST) held.delete(held.keys().next().value!);
  return known;
}
