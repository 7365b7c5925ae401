import { useState } from 'react';
import type { Cause } from '@/core';
import type { FoundFault } from '@/server/repositories/foundFaults';
import { heard } from '@/ui/heard';
import { newKey } from '@/ui/newKey';
import { faultFound, faultNotFound } from './actions';

/** A fault that was really found at a bench, as the grid shows it. */
export type Found = Pick<FoundFault, 'id' | 'studentId' | 'words' | 'after'>;

/** What was found at the benches of a session: noted by one key, and taken back by another. */
export function useFound(sessionId: number, first: readonly Found[]) {
  const [found, setFound] = useState(first);
  const [problem, setProblem] = useState('');
  const note = async (
    studentId: number,
    { code, data }: Pick<Cause, 'code' | 'data'>,
    by: string,
    words?: string,
  ) => {
    const answer = await heard(
      faultFound({
        sessionId,
        studentId,
        cause: { code, data },
        ...(words === undefined ? {} : { words }),
        foundBy: by.trim().slice(0, 30),
        foundAt: new Date().toISOString(),
        entryKey: newKey(),
      }),
    );
    if (answer.ok) setFound((before) => [...before.filter(({ id }) => id !== answer.value.id), answer.value]);
    setProblem(answer.ok ? '' : `What was found is not kept: ${answer.message}`);
  };
  const takeBack = async (id: number) => {
    const answer = await heard(faultNotFound(sessionId, id));
    if (answer.ok) setFound((before) => before.filter((one) => one.id !== id));
    setProblem(answer.ok ? '' : `It still counts as found: ${answer.message}`);
  };
  return { found, problem, note, takeBack, follow: setFound };
}
