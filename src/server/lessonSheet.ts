import {
  choiceSchema,
  counted,
  stockKey,
  type Circuit,
  type Diagram,
  type Outcome,
  type Sheet,
  type SheetRequest,
} from '@/core';
import type { LessonContent, LessonHead } from './repositories/lessons';
import { sessionLines } from './repositories/sessions';
import { groups } from './repositories/groups';
import { houseStyle, meter } from './repositories/settings';
import { shelf, stockRows } from './repositories/stock';
import { keptOr, keptUnder, keyFor } from './work/keep';
import type { PatternSigns } from './work/patternSigns';
import { inThread } from './work/pool';
import type { Tasks, Tell } from './work/tasks';

/** Everything a sheet hangs on besides the lesson's own wishes; the screen keeps it while the wishes change. */
export type SheetSurroundings = Omit<SheetRequest, 'choice' | 'plan' | 'ageGroup' | 'extras'>;

/** Draws while somebody types, and at rest. */
export const DRAWS = { typing: 4000, rest: 20000 } as const;
/** A lesson draws with the same seed everywhere, so that two people see the same bands. */
const SEED = 1;
const DEFAULT_STUDENTS = 12;

export async function sheetSurroundings(students?: number): Promise<SheetSurroundings> {
  const [style, shelved, stock, ownMeter] = await Promise.all([houseStyle(), shelf(), stockRows(), meter()]);
  return {
    style: style.value,
    shelf: shelved,
    stock: stock.map(({ spec, have, packSize, packCents }) => ({ spec, have, packSize, packCents })),
    meter: ownMeter.value,
    students: students ?? DEFAULT_STUDENTS,
    draws: { samples: DRAWS.typing, seed: SEED, coverage: 0.95, ends: 'one' },
  };
}

export function requestFor(
  lesson: Pick<LessonContent, 'choice' | 'plan' | 'ageGroup' | 'extras'>,
  surroundings: SheetSurroundings,
): SheetRequest {
  const { choice, plan, ageGroup, extras } = lesson;
  return { ...surroundings, choice, ageGroup, extras, plan: plan ?? undefined };
}

/** The same, with as many draws as are made where nobody waits at the keyboard. */
export function carefulRequest(
  lesson: Parameters<typeof requestFor>[0],
  surroundings: SheetSurroundings,
): SheetRequest {
  const draws = { ...surroundings.draws, samples: DRAWS.rest, ends: 'both' } as const;
  return requestFor(lesson, { ...surroundings, draws });
}

/** How many a lesson is counted for: those in the group that it was given to last, or in the first there is. */
export async function studentsFor(lessonId: number, groupId?: number): Promise<number | undefined> {
  const [[last], all] = await Promise.all([sessionLines({ lessonId, most: 1, newest: true }), groups()]);
  const group =
    all.find((g) => g.id === (groupId ?? last?.groupId)) ?? all.find((g) => g.archivedAt === null);
  return group?.students.filter((s) => s.archivedAt === null).length || undefined;
}

/** What a sheet hangs on besides its counts: those of the store and of the group change nothing else of it. */
function sheetKey(request: SheetRequest): string {
  const { stock, students: _counted, earlier: _before, ...rest } = request;
  return keyFor('sheet', [rest, pricesIn(stock)]);
}

function pricesIn(stock: SheetRequest['stock']): string {
  return stock
    .map(({ spec, packCents, packSize }) => `${stockKey(spec)} ${packCents}/${packSize}`)
    .join('\n');
}

/** The sheet of a request, worked out in a thread of its own and kept; only its counts are made anew. */
export async function sheetOf(
  request: SheetRequest,
  way: { readonly tell?: Tell; readonly signal?: AbortSignal } = {},
): Promise<Outcome<Sheet>> {
  const made = await keptOr('sheet', sheetKey(request), () => inThread('sheet', request, way));
  return recounted(made, request);
}

/** The sheet of a request where it has been worked out before. */
export async function keptSheet(request: SheetRequest): Promise<Outcome<Sheet> | undefined> {
  const key = sheetKey(request);
  const made = (await keptUnder<Outcome<Sheet>>([key])).get(key);
  return made && recounted(made, request);
}

function recounted(made: Outcome<Sheet>, request: SheetRequest): Outcome<Sheet> {
  return made.ok ? { ...made, value: counted(made.value, request) } : made;
}

/** What each lesson comes to, in one line, where that is known; the others have yet to be worked out. */
export async function knownLines(
  heads: readonly LessonHead[],
  surroundings: SheetSurroundings,
): Promise<Map<number, string>> {
  const keys = lineKeys(heads, surroundings);
  const known = await keptUnder<string>([...keys.values()]);
  return new Map(
    heads.flatMap(({ id }) => {
      const line = known.get(keys.get(id)!);
      return line === undefined ? [] : [[id, line] as const];
    }),
  );
}

/** What each lesson comes to, in one line, worked out where it is not known. */
export async function workOutLines(
  heads: readonly LessonHead[],
  surroundings: SheetSurroundings,
): Promise<Map<number, string>> {
  const keys = lineKeys(heads, surroundings);
  const lines = heads.map(async ({ id, wish }): Promise<[number, string]> => {
    const choice = choiceSchema.safeParse(parsed(wish));
    if (!choice.success) return [id, UNREADABLE];
    const request = { ...surroundings, choice: choice.data };
    return [id, await keptOr('line', keys.get(id)!, () => inThread('line', request))];
  });
  return new Map(await Promise.all(lines));
}

const UNREADABLE = 'This lesson is kept in a form that this program cannot read.';

function lineKeys(heads: readonly LessonHead[], { style, shelf: shelved, stock }: SheetSurroundings) {
  const house = keyFor('line', [style, shelved, pricesIn(stock)]);
  return new Map(heads.map(({ id, wish }) => [id, keyFor('line', [house, wish])]));
}

function parsed(json: string): unknown {
  try {
    return JSON.parse(json);
  } catch {
    return undefined;
  }
}

/** What a lesson is built of with this house's parts, and the lamps in it. */
export async function partsOf(choice: LessonContent['choice']): Promise<ReturnType<Tasks['parts']>> {
  return inThread('parts', { ...(await sheetSurroundings()), choice });
}

/** Where the symbols of a circuit stand; nothing where it cannot be drawn. */
export async function diagramOf(circuit: Circuit): Promise<Diagram | undefined> {
  const { diagram } = await keptOr('diagram', keyFor('diagram', [circuit]), async () => ({
    diagram: await inThread('diagram', circuit),
  }));
  return diagram;
}

/** The diagram that each pattern makes by itself: the same in every house, and drawn once. */
export async function patternSigns(): Promise<PatternSigns> {
  return keptOr('signs', keyFor('signs', []), () => inThread('signs', undefined));
}
