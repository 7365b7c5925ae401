import { CheckSession, type CheckSessionProps } from '@/features/check/CheckSession';
import { show } from './screen';
import { expectationWith } from './sheets';

export const expectation = expectationWith();

/** The grid of session 4 with a bench for each name, numbered from 1; students are numbered from 10. */
export function openSession(names: readonly string[], more: Partial<CheckSessionProps> = {}) {
  const students = names.map((nickname, i) => ({ id: 10 + i, bench: i + 1, nickname }));
  return show(
    <CheckSession
      sessionId={4}
      expectation={expectation}
      students={students}
      readings={[]}
      attendance={[]}
      roster=""
      judged={students.map(() => ({ state: 'none', verdicts: {} }))}
      predicted="predicted"
      outdated={false}
      judgedBy="3 10:1"
      renewed={false}
      found={[]}
      {...more}
    />,
  );
}
