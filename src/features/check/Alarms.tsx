import Button from 'react-bootstrap/Button';
import type { Bench } from './bench';

interface Props {
  readonly benches: readonly Bench[];
  onCold(student: Bench): void;
}

/** Something is hot, smokes or smells: that comes before every measurement, until somebody says that it is cold. */
export function Alarms({ benches, onCold }: Props) {
  return benches.map((student) => (
    <div key={student.id} role="alert" className="alarm">
      <strong>
        Bench {student.bench} {student.nickname}: power off, now.
      </strong>{' '}
      Pull the supply’s lead and touch nothing that is hot. Smoke: open a window and step back. A burn goes
      under cool running water, and whoever gives first aid here is called. Nothing is measured there until it
      is cold.{' '}
      <Button size="sm" variant="quiet" onClick={() => onCold(student)}>
        It is off and cold
      </Button>
    </div>
  ));
}
