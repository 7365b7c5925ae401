export type Status = 'right' | 'close' | 'off' | 'none';

export const STATUS_WORDS: Readonly<Record<Status, string>> = {
  right: 'right',
  close: 'close call',
  off: 'off',
  none: 'not measured',
};

/** Status by shape first, colour second: filled disc, half disc, triangle, ring. */
export function StatusMark({ status, size = 12 }: { status: Status; size?: number }) {
  return (
    <svg
      width={size}
      height={size}
      viewBox="0 0 12 12"
      role="img"
      aria-label={STATUS_WORDS[status]}
      className="status-mark"
    >
      <Shape status={status} />
    </svg>
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
