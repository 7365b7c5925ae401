import type { ReactNode, Ref } from 'react';

interface ScrollProps {
  /** What scrolls, for somebody who comes to it by keyboard. */
  readonly label: string;
  readonly className?: string;
  readonly ref?: Ref<HTMLDivElement>;
  readonly busy?: boolean;
  readonly children: ReactNode;
}

/** Content that may be wider or longer than its place. It takes the focus itself: nothing in it need be a control. */
export function Scroll({ label, className = 'scroll-x', ref, busy, children }: ScrollProps) {
  return (
    <div ref={ref} className={className} role="group" aria-label={label} aria-busy={busy} tabIndex={0}>
      {children}
    </div>
  );
}
