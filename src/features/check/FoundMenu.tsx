import Button from 'react-bootstrap/Button';
import Dropdown from 'react-bootstrap/Dropdown';
import type { Cause, JudgedBench, JudgedPoint } from '@/core';
import { causeWords } from '@/messages/causes';
import type { Found } from './useFound';

interface Props {
  readonly bench: number;
  /** What may be wrong now; none where that was found already. */
  readonly causes: readonly Cause[];
  readonly points: readonly JudgedPoint[];
  readonly found: readonly Found[];
  onFound(cause: Cause): void;
  onNotFound(id: number): void;
}

/** So many causes are offered to choose from. */
const OFFERED_MOST = 10;

/** The causes of which one may be what was really wrong: every one that is named, the likeliest first. */
export function possibleCauses(judged: JudgedBench | undefined): readonly Cause[] {
  if (!judged || judged.state === 'right') return [];
  return (judged.diagnosis?.groups ?? [])
    .flatMap(({ causes }) => causes)
    .filter(({ code, also, place }) => !also && place !== undefined && code !== 'right')
    .slice(0, OFFERED_MOST);
}

/** Notes what was really found: the one cause there is, or one of several that no measurement tells apart. */
export function FoundMenu({ bench, causes, points, found, onFound, onNotFound }: Props) {
  return (
    <>
      <Causes bench={bench} causes={causes} points={points} onFound={onFound} />
      {found.map(({ id, words }) => (
        <div key={id} className="small-print">
          found: {words}{' '}
          <Button
            variant="text"
            className="btn-text"
            aria-label={`Bench ${bench}: take back that ${words} was found`}
            onClick={() => onNotFound(id)}
          >
            not so
          </Button>
        </div>
      ))}
    </>
  );
}

function Causes({ bench, causes, points, onFound }: Omit<Props, 'found' | 'onNotFound'>) {
  const [only] = causes;
  if (!only) return null;
  if (causes.length === 1) {
    return (
      <Button
        variant="text"
        className="btn-text why-button"
        aria-label={`Bench ${bench}: it was this, ${causeWords(only, points)}`}
        onClick={() => onFound(only)}
      >
        it was this
      </Button>
    );
  }
  return (
    <Dropdown className="found-menu">
      <Dropdown.Toggle
        variant="text"
        className="btn-text why-button"
        id={`found-${bench}`}
        aria-label={`Bench ${bench}: it was …`}
      >
        it was …
      </Dropdown.Toggle>
      <Dropdown.Menu renderOnMount={false}>
        {causes.map((cause, i) => (
          <Dropdown.Item key={i} as="button" type="button" onClick={() => onFound(cause)}>
            {causeWords(cause, points)}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}
