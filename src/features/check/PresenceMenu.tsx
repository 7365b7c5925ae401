import type { NotedAttendance } from '@/server/repositories/attendance';
import type { Bench } from './bench';
import type { Presence } from './presence';

interface Props {
  readonly student: Bench;
  readonly presence: Presence;
  /** Benches that it could share. */
  readonly others: readonly Bench[];
  onAttend(noted: NotedAttendance): void;
}

const STATES = ['here', 'absent', 'late'] as const;

/** Who is there at a bench: here, late, absent, or with somebody else. */
export function PresenceMenu({ student, presence, others, onAttend }: Props) {
  const at = presence.state === 'with' ? presence.at : undefined;
  const hosts = at && !others.some(({ id }) => id === at.id) ? [at, ...others] : others;
  const choose = (value: string) => {
    const state = STATES.find((one) => one === value);
    onAttend({
      studentId: student.id,
      state: state ?? 'with',
      withStudent: state ? null : Number(value),
    });
  };
  return (
    <select
      className="presence"
      aria-label={`Who is at bench ${student.bench} ${student.nickname}`}
      value={at ? at.id : presence.state}
      onChange={(event) => choose(event.target.value)}
    >
      {STATES.map((state) => (
        <option key={state}>{state}</option>
      ))}
      {hosts.map(({ id, bench, nickname }) => (
        <option key={id} value={id}>
          with {bench} {nickname}
        </option>
      ))}
    </select>
  );
}
