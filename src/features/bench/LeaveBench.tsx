import Button from 'react-bootstrap/Button';
import { useAnswer } from '@/ui/useAnswer';
import { leaveBench } from './actions';

/**
 * Gives the bench back, for whoever sits down there next.
 *
 * @param waiting readings that have not been sent yet: they go out by this seat, and not by the next one
 */
export function LeaveBench({ waiting }: { readonly waiting: number }) {
  const { problem, pending, run } = useAnswer();
  return (
    <>
      <Button variant="quiet" disabled={pending || waiting > 0} onClick={() => run(leaveBench)}>
        Another bench
      </Button>
      {problem && (
        <span role="alert" className="problem">
          {problem}
        </span>
      )}
    </>
  );
}
