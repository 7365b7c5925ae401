import {
  withExperience,
  type FaultSignatures,
  type Outcome,
  type SessionExpectation,
  type Sheet,
  type SheetRequest,
} from '@/core';
import { lessonLine } from '@/messages/families';
import { carefulRequest, sheetOf, sheetSurroundings } from './lessonSheet';
import { faultCounts } from './repositories/foundFaults';
import { group } from './repositories/groups';
import { lesson } from './repositories/lessons';
import type { SessionSummary } from './repositories/sessions';
import { keptOr, keyFor } from './work/keep';
import { inThread, threads } from './work/pool';
import type { Tell } from './work/tasks';

/** A lesson worked out for a group: what its session will be judged by, and packed from. */
export interface GivenLesson {
  readonly request: SheetRequest;
  readonly sheet: Sheet;
  readonly expectation: SessionExpectation;
  readonly summary: SessionSummary;
}

/** How far long work is told, and how it is stopped. */
export interface Watched {
  readonly tell?: Tell;
  readonly signal?: AbortSignal;
}

/** The share of the whole that the sheet takes; the mistakes take the rest. */
const SHEET_SHARE = 0.2;

/** Works a lesson out for those who are in a group now; several threads share its mistakes out. */
export async function workOutFor(
  lessonId: number,
  groupId: number,
  { tell = () => undefined, signal }: Watched = {},
): Promise<Outcome<GivenLesson>> {
  const [held, { students }] = await Promise.all([lesson(lessonId), group(groupId)]);
  const around = await sheetSurroundings(students.filter((s) => s.archivedAt === null).length);
  const request = carefulRequest(held, around);
  const stopped = signal ? { signal } : {};
  const made = await sheetOf(request, stopped);
  if (!made.ok) return made;
  const sheet = made.value;
  tell(SHEET_SHARE);
  const expectation = await expectationOfSheet(
    sheet,
    request,
    (share) => tell(SHEET_SHARE + (1 - SHEET_SHARE) * share),
    stopped,
  );
  tell(1);
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
  return { ok: true, value: { request, sheet, expectation, summary }, findings: made.findings };
}

/** What a lesson's sessions are judged by, worked out once and kept; its causes weigh by the logbook where the house wants that. */
export async function expectationOfSheet(
  sheet: Sheet,
  request: SheetRequest,
  tell: Tell,
  stopped: Pick<Watched, 'signal'>,
): Promise<SessionExpectation> {
  const { stock: _stock, students: _students, ...hangsOn } = request;
  const plain = await keptOr(
    'expectation',
    keyFor('expectation', [hangsOn, sheet.circuit, sheet.plan]),
    async () => {
      const shares = await faultsOf(sheet, request, tell, stopped);
      return inThread('expectation', { sheet, request, shares }, stopped);
    },
  );
  if (request.style.causes !== 'logbook') return plain;
  return { ...plain, dictionary: withExperience(plain.dictionary, await faultCounts()) };
}

/** Every mistake of a lesson, shared out among the threads. */
function faultsOf(
  sheet: Sheet,
  request: SheetRequest,
  tell: Tell,
  stopped: Pick<Watched, 'signal'>,
): Promise<FaultSignatures[]> {
  const shares = Array.from({ length: threads() }, () => 0);
  return Promise.all(
    shares.map((_, at) =>
      inThread(
        'faults',
        { sheet, request, at, of: shares.length },
        {
          ...stopped,
          tell: (share) => {
            shares[at] = share;
            tell(shares.reduce((sum, one) => sum + one, 0) / shares.length);
          },
        },
      ),
    ),
  );
}
