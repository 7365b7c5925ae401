import {
  makeSheet,
  sessionExpectation,
  type Outcome,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
} from '@/core';
import { lessonLine } from '@/messages/lessonLine';
import { DRAWS, requestFor, sheetSurroundings } from './lessonSheet';
import { group } from './repositories/groups';
import { lesson } from './repositories/lessons';
import type { SessionSummary } from './repositories/sessions';

/** A lesson worked out for a group: what its session will be judged by, and packed from. */
export interface GivenLesson {
  readonly request: SheetRequest;
  readonly sheet: Sheet;
  readonly expectation: SessionExpectation;
  readonly summary: SessionSummary;
}

/** Works a lesson out for those who are in a group now. */
export async function workOutFor(lessonId: number, groupId: number): Promise<Outcome<GivenLesson>> {
  const [held, { students }] = await Promise.all([lesson(lessonId), group(groupId)]);
  const around = await sheetSurroundings(students.filter((s) => s.archivedAt === null).length);
  const request = requestFor(held, {
    ...around,
    draws: { ...around.draws, samples: DRAWS.rest, ends: 'both' },
  });
  const made = makeSheet(request);
  if (!made.ok) return made;
  const sheet = made.value;
  const summary: SessionSummary = {
    sentence: lessonLine(sheet),
    lessonVersion: held.version,
    kit: sheet.kit.lines.map(({ key, spec, each, need, have, short }) => ({
      key,
      spec,
      each,
      need,
      have,
      short,
    })),
  };
  const expectation = sessionExpectation(sheet, request);
  return { ok: true, value: { request, sheet, expectation, summary }, findings: made.findings };
}
