import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Dropdown from 'react-bootstrap/Dropdown';
import type { Cause, JudgedBench, JudgedPoint } from '@/core';
import { causeWords } from '@/messages/causes';
import { FoundDialog } from './FoundDialog';
import type { Found } from './useFound';

interface Props {
  readonly bench: number;
  /** What may be wrong now; none where that was found already. */
  readonly causes: readonly Cause[];
  /** Every mistake of the lesson, where one may be noted. */
  readonly mistakes: readonly Cause[];
  readonly points: readonly JudgedPoint[];
  readonly found: readonly Found[];
  /** @param words what it was, where it is no mistake that the lesson knows */
  onFound(cause: Pick<Cause, 'code' | 'data'>, words?: string): void;
  onNotFound(id: number): void;
}

/** So many causes are offered at once; the others stand by part behind them. */
const OFFERED_MOST = 6;

/** The causes of which one may be what was really wrong, the likeliest first. */
export function possibleCauses(judged: JudgedBench | undefined): readonly Cause[] {
  if (!judged || judged.state === 'right') return [];
  return (judged.diagnosis?.groups ?? [])
    .flatMap(({ causes }) => causes)
    .filter(({ code, also, place }) => !also && place !== undefined && code !== 'right')
    .slice(0, OFFERED_MOST);
}

/** Notes what was really found: a likely cause, any other mistake of the lesson, or words of one's own. */
export function FoundMenu({ bench, causes, mistakes, points, found, onFound, onNotFound }: Props) {
  const [asks, setAsks] = useState(false);
  return (
    <>
      {mistakes.length > 0 && (
        <Dropdown className="found-menu">
          <Dropdown.Toggle
            variant="text"
            className="btn-text why-button"
            id={`found-${bench}`}
            aria-label={`Bench ${bench}: it was …`}
          >
            it was …
          </Dropdown.Toggle>
          <Dropdown.Menu renderOnMount={false} popperConfig={{ strategy: 'fixed' }}>
            {causes.map((cause, i) => (
              <Dropdown.Item key={i} as="button" type="button" onClick={() => onFound(cause)}>
                {causeWords(cause, points)}
              </Dropdown.Item>
            ))}
            {causes.length > 0 && <Dropdown.Divider />}
            <Dropdown.Item as="button" type="button" onClick={() => setAsks(true)}>
              another mistake, or your own words …
            </Dropdown.Item>
          </Dropdown.Menu>
        </Dropdown>
      )}
      {found.map(({ id, words }) => (
        <span key={id} className="small-print found-words">
          found: {words}{' '}
          <Button
            variant="text"
            className="btn-text"
            aria-label={`Bench ${bench}: take back that ${words} was found`}
            onClick={() => onNotFound(id)}
          >
            not so
          </Button>
        </span>
      ))}
      {asks && (
        <FoundDialog
          title={`Bench ${bench}: what was it?`}
          mistakes={mistakes.map((cause) => ({ words: causeWords(cause, points), cause }))}
          onFound={(cause, words) => {
            setAsks(false);
            onFound(cause, words);
          }}
          onHide={() => setAsks(false)}
        />
      )}
    </>
  );
}
