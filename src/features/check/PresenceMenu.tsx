import Dropdown from 'react-bootstrap/Dropdown';
import type { NotedAttendance } from '@/server/repositories/attendance';
import type { Bench } from './bench';
import { presenceWords, type Presence } from './presence';

interface Props {
  readonly student: Bench;
  readonly presence: Presence;
  /** Benches that it could share. */
  readonly others: readonly Bench[];
  onAttend(noted: NotedAttendance): void;
}

/** Who is there at a bench: here, late, absent, or with somebody else. */
export function PresenceMenu({ student, presence, others, onAttend }: Props) {
  const note = (state: NotedAttendance['state'], withStudent: number | null = null) =>
    onAttend({ studentId: student.id, state, withStudent });
  return (
    <Dropdown className="presence">
      <Dropdown.Toggle
        variant="text"
        className="btn-text presence-toggle"
        id={`presence-${student.id}`}
        aria-label={`Bench ${student.bench} ${student.nickname}: ${presenceWords(presence)}. Change who is there`}
      >
        {presenceWords(presence)}
      </Dropdown.Toggle>
      <Dropdown.Menu renderOnMount={false} popperConfig={{ strategy: 'fixed' }}>
        {(['here', 'absent', 'late'] as const).map((state) => (
          <Dropdown.Item key={state} as="button" type="button" onClick={() => note(state)}>
            {state}
          </Dropdown.Item>
        ))}
        {others.length > 0 && <Dropdown.Divider />}
        {others.map(({ id, bench, nickname }) => (
          <Dropdown.Item key={id} as="button" type="button" onClick={() => note('with', id)}>
            with {bench} {nickname}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
