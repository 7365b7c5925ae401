import type { ReactNode } from 'react';
import Button from 'react-bootstrap/Button';

interface Props {
  /** What it does; undefined while there is nothing to do. */
  readonly act: (() => void) | undefined;
  readonly variant?: 'quiet' | 'primary';
  readonly size?: 'sm';
  readonly children: ReactNode;
}

/** A button that keeps the focus when there is nothing left for it to do: whoever presses it by key stays where they are. */
export function StayButton({ act, variant = 'quiet', size, children }: Props) {
  return (
    <Button
      variant={variant}
      {...(size ? { size } : {})}
      className="stay-button"
      aria-disabled={act === undefined}
      onClick={() => act?.()}
    >
      {children}
    </Button>
  );
}
