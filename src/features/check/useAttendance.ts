import { useState } from 'react';
import type { Attendance, NotedAttendance } from '@/server/repositories/attendance';
import { heard } from '@/ui/heard';
import { noteWhoIsThere } from './actions';

/** Who is there in a session: noted here, and followed as others note it. */
export function useAttendance(sessionId: number, first: readonly Attendance[]) {
  const [attendance, setAttendance] = useState(first);
  const [problem, setProblem] = useState('');
  const attend = async (noted: NotedAttendance) => {
    const answer = await heard(noteWhoIsThere(sessionId, noted));
    if (answer.ok) setAttendance(answer.value);
    setProblem(answer.ok ? '' : `Who is there is not noted: ${answer.message}`);
  };
  return { attendance, problem, attend, follow: setAttendance };
}
