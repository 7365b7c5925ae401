const KEYS = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '−', '.', '0', '/', '⌫'] as const;
const NAMES: Readonly<Record<string, string>> = { '−': 'minus', '.': 'point', '/': 'over', '⌫': 'delete' };

/** Figures have no more signs than this. */
const SIGNS_MOST = 12;

/**
 * A figure after one more key. The minus changes the sign, wherever it is pressed.
 *
 * @example withKey('2.5', '−') // '-2.5'
 */
export function withKey(typed: string, key: string): string {
  if (key === '⌫') return typed.slice(0, -1);
  if (key === '−') return typed.startsWith('-') ? typed.slice(1) : `-${typed}`;
  if ((key === '.' && /\.\d*$/u.test(typed)) || typed.length >= SIGNS_MOST) return typed;
  return typed + key;
}

interface Props {
  onKey(key: string): void;
  onEnter(): void;
}

/** Keys for figures, large enough for a thumb, with the signs that a phone's own keys leave out. */
export function Keypad({ onKey, onEnter }: Props) {
  return (
    <div className="keypad">
      {KEYS.map((key) => (
        <button key={key} type="button" aria-label={NAMES[key] ?? key} onClick={() => onKey(key)}>
          {key}
        </button>
      ))}
      <button type="button" className="enter" aria-label="Enter" onClick={onEnter}>
        ↵
      </button>
    </div>
  );
}
