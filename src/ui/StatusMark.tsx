export type Status = 'right' | 'close' | 'off' | 'none';

export const STATUS_WORDS: Readonly<Record<Status, string>> = {
  right: 'right',
  close: 'close call',
  off: 'off',
  none: 'not measured',
};

interface Props {
  readonly status: Status;
  readonly size?: number;
  /** Right in all that was measured, with something left to measure. */
  readonly soFar?: boolean;
}

/** Status by shape first, colour second: filled disc, ring with a dot for right so far, half disc, triangle, ring. */
export function StatusMark({ status, size = 12, soFar = false }: Props) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 12 12"
      role="img"
      aria-label={soFar ? 'right so far' : STATUS_WORDS[status]}
      className="status-mark"
    >
      {soFar ? <SoFar /> : <Shape status={status} />}
    </svg>
  );
}

function SoFar() {
  return (
    <>
      <circle cx="6" cy="6" r="4.9" fill="none" stroke="var(--right)" strokeWidth="1.3" />
      <circle cx="6" cy="6" r="2.2" fill="var(--right)" />
    </>
  );
}

function Shape({ status }: { status: Status }) {
  if (status === 'right') return <circle cx="6" cy="6" r="5.5" fill="var(--right)" />;
  if (status === 'off') return <path d="M6 0.5 L11.7 11.2 H0.3 Z" fill="var(--off)" />;
  if (status === 'none') {
    return <circle cx="6" cy="6" r="4.8" fill="none" stroke="var(--soft)" strokeWidth="1.3" />;
  }
  return (
    <>
      <circle cx="6" cy="6" r="5" fill="none" stroke="var(--close)" strokeWidth="1.2" />
      <path d="M6 1 A5 5 0 0 0 6 11 Z" fill="var(--close)" />
    </>
  );
}
