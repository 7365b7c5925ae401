import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import type { Bench } from './bench';
import { PresenceMenu } from './PresenceMenu';
import type { Presence } from './presence';
import type { Keeping } from './keeping';

export interface BenchNameProps {
  readonly student: Bench;
  readonly presence: Presence;
  readonly others: readonly Bench[];
  readonly onAttend: Keeping['attend'];
  /** Where its picture lies beside its plan. */
  readonly beside?: { readonly href: string; readonly taken: boolean } | undefined;
  /** What is different on this bench, in words. */
  readonly different?: string | undefined;
  /** Somebody wants to say what is different here. */
  readonly onDifferent?: (() => void) | undefined;
}

/** Who sits at a bench and whether they are there, what is different, and the way to its picture. */
export function BenchName(props: BenchNameProps) {
  const { student, presence, others, beside, different, onDifferent } = props;
  return (
    <th scope="row" className="bench-cell">
      <div className="bench-line">
        <span className="bench-number">{student.bench}</span>{' '}
        {onDifferent ? (
          <Button
            variant="text"
            className="btn-text bench-name"
            title={`What is different on this bench?${different ? ` ${different}` : ''}`}
            onClick={onDifferent}
          >
            {student.nickname}
          </Button>
        ) : (
          <span className="bench-name">{student.nickname}</span>
        )}
      </div>
      <div className="bench-line small-print">
        <PresenceMenu student={student} presence={presence} others={others} onAttend={props.onAttend} />
        {beside && (
          <Link
            prefetch={false}
            className={`beside-plan${beside.taken ? ' taken' : ''}`}
            href={beside.href}
            aria-label={`Bench ${student.bench} beside its plan${beside.taken ? ': there is a picture' : ''}`}
            title={
              beside.taken
                ? 'The picture of this bench, beside its plan'
                : 'A picture of this bench, beside its plan'
            }
          >
            picture
          </Link>
        )}
        {different && <span className="different">{different}</span>}
      </div>
    </th>
  );
}
