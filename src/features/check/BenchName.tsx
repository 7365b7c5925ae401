import Link from 'next/link';
import Button from 'react-bootstrap/Button';
import type { Bench } from './bench';

export interface BenchNameProps {
  readonly student: Bench;
  /** Where its picture lies beside its plan. */
  readonly beside?: { readonly href: string; readonly taken: boolean } | undefined;
  /** What is different on this bench, in words. */
  readonly different?: string | undefined;
  /** Somebody wants to say what is different here. */
  readonly onDifferent?: (() => void) | undefined;
}

/** Who sits at a bench, what is different there, and the way to its picture. */
export function BenchName({ student, beside, different, onDifferent }: BenchNameProps) {
  return (
    <th scope="row">
      <span className="bench-number">{student.bench}</span>{' '}
      {onDifferent ? (
        <Button
          variant="text"
          className="btn-text bench-name"
          title="What is different on this bench?"
          onClick={onDifferent}
        >
          {student.nickname}
        </Button>
      ) : (
        student.nickname
      )}
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
      {different && <div className="small-print different">{different}</div>}
    </th>
  );
}
