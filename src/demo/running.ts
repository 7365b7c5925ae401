import { addDays, format } from 'date-fns';
import { faultContext, faultsOf, GLANCE, simulatedBench, type Candidate, type SeenLook } from '@/core';
import { seenText } from '@/messages/seen';
import { judgeInBackground } from '@/server/judging';
import { workOutFor, type GivenLesson } from '@/server/givenLesson';
import { addGroup, addStudents, group, type Student } from '@/server/repositories/groups';
import { lessonHeads } from '@/server/repositories/lessons';
import { addReading, type NewReading } from '@/server/repositories/readings';
import { addSession } from '@/server/repositories/sessions';
import { benchReadings, type DemoReading } from './readings';

/** A class that is being checked right now: a bench in every state. */
const RUNNING_GROUP = { name: 'Redshank', meets: 'this evening, at six' };
const RUNNING_LESSON = 'Pier lamp';

interface Running {
  readonly nickname: string;
  readonly fault?: string;
  readonly ohms?: number;
  /** How many checkpoints were measured, and whether somebody looked at the lamps. */
  readonly measured: number;
  readonly looked: boolean;
}

const BENCHES: readonly Running[] = [
  { nickname: 'Alder', measured: 4, looked: true },
  { nickname: 'Briony', measured: 4, looked: true },
  { nickname: 'Cass', fault: 'wrong-resistor', ohms: 3300, measured: 3, looked: true },
  { nickname: 'Dace', measured: 2, looked: true },
  { nickname: 'Elvi', fault: 'lamp-reversed', measured: 2, looked: true },
  { nickname: 'Finch', fault: 'supply-tired', measured: 3, looked: true },
  { nickname: 'Gannet', measured: 1, looked: false },
  { nickname: 'Hale', fault: 'lamp-shorted', measured: 1, looked: true },
  { nickname: 'Iris', measured: 4, looked: true },
  { nickname: 'Jade', measured: 0, looked: false },
];

const FIRST_SEED = 7300;

/** What the same class is given next: its supply may be turned, rung by rung. */
const NEXT_LESSON = 'Launch battery gauge';

/** Adds the running session to a filled demo. */
export async function fillRunning(now: Date): Promise<void> {
  const groupId = await addGroup(RUNNING_GROUP.name, RUNNING_GROUP.meets);
  await addStudents(
    groupId,
    BENCHES.map(({ nickname }, i) => ({ bench: i + 1, nickname })),
  );
  const { sessionId, given } = await give(RUNNING_LESSON, groupId, now);
  const { students } = await group(groupId);
  for (const student of students) await measureBench(given, sessionId, student, now);
  await give(NEXT_LESSON, groupId, addDays(now, 1));
  await judgeInBackground();
}

async function give(title: string, groupId: number, day: Date) {
  const heads = await lessonHeads();
  const lessonId = heads.find((head) => head.title === title)!.id;
  const made = await workOutFor(lessonId, groupId);
  if (!made.ok) throw new Error(`${title} has no sheet.`);
  const { expectation, summary, sheet } = made.value;
  const onDate = format(day, 'yyyy-MM-dd');
  return {
    sessionId: await addSession({ lessonId, groupId, onDate, expectation, summary, sheet }),
    given: made.value,
  };
}

async function measureBench(
  given: GivenLesson,
  sessionId: number,
  student: Student,
  now: Date,
): Promise<void> {
  const { sheet, request, expectation } = given;
  const bench = BENCHES[student.bench - 1]!;
  const context = faultContext(sheet, request);
  const candidate = builtWith(faultsOf(context), bench);
  const seed = FIRST_SEED + student.bench;
  const { points } = expectation.dictionary;
  const { sight } = simulatedBench(candidate, points, expectation.meter, context, { seed });
  const right = expectation.dictionary.signatures.find(({ code }) => code === 'right')!;
  const odd = Object.entries(right.looks).flatMap(([lamp, look]): SeenLook[] => {
    const own = sight.looks[lamp] ?? 'dark';
    return own === look ? [] : [{ lamp, word: own }];
  });
  const glance: DemoReading = { point: GLANCE, typed: seenText(odd), value: odd.length, step: 0 };
  const figures = benchReadings(candidate, sheet, expectation, seed).slice(0, bench.measured);
  for (const [n, reading] of [...(bench.looked ? [glance] : []), ...figures].entries()) {
    const taken: NewReading = {
      sessionId,
      studentId: student.id,
      kind: 'first',
      ...reading,
      meter: expectation.meter.name,
      takenBy: student.bench % 2 ? 'helper A' : 'helper B',
      takenAt: new Date(now.getTime() - (40 - student.bench - n) * 60_000).toISOString(),
      entryKey: `running-${student.bench}-${reading.point}`,
    };
    await addReading(taken, taken.takenAt);
  }
}

function builtWith(all: readonly Candidate[], { fault, ohms }: Running): Candidate {
  const found = all.find(({ code, data }) => code === fault && (ohms === undefined || data.ohms === ohms));
  return found ?? all[0]!;
}
