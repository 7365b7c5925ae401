import type { ReactNode } from 'react';
import Form from 'react-bootstrap/Form';
import type { JudgedBench } from '@/core';
import { StatusMark, STATUS_WORDS, type Status } from '@/ui/StatusMark';

const STATES: readonly Status[] = ['right', 'close', 'off', 'none'];

/** How the class stands, who reads, and what a second figure in a cell means. */
export function GridHead({
  live,
  judged,
  away,
  again,
  onAgain,
  helper,
  onHelper,
  children,
}: {
  live: boolean | undefined;
  /** Of benches at which somebody builds. */
  judged: readonly JudgedBench[];
  /** So many are absent, or at another's bench. */
  away: number;
  again: 'retest' | 'correction';
  onAgain: (kind: 'retest' | 'correction') => void;
  helper: string;
  onHelper: (name: string) => void;
  children?: ReactNode;
}) {
  const soFar = judged.filter((j) => j.state === 'right' && j.next).length;
  return (
    <div className="grid-head">
      <Form.Group controlId="again" className="again">
        <Form.Label>A second figure in a cell is</Form.Label>
        <Form.Select
          size="sm"
          value={again}
          onChange={(event) => onAgain(event.target.value as 'retest' | 'correction')}
        >
          <option value="retest">a retest</option>
          <option value="correction">a correction</option>
        </Form.Select>
      </Form.Group>
      <Form.Group controlId="helper" className="again">
        <Form.Label>read by</Form.Label>
        <Form.Control
          size="sm"
          maxLength={30}
          placeholder="initials"
          value={helper}
          onChange={(event) => onHelper(event.target.value)}
        />
      </Form.Group>
      {children}
      <ul className="tally" aria-label="Benches so far">
        {STATES.map((state) => (
          <li key={state}>
            <StatusMark status={state} /> <strong>{judged.filter((j) => j.state === state).length}</strong>{' '}
            {state === 'none' ? 'to come' : STATUS_WORDS[state]}
            {state === 'right' && soFar > 0 && <span className="soft"> ({soFar} so far)</span>}
          </li>
        ))}
        {away > 0 && (
          <li>
            – <strong>{away}</strong> away
          </li>
        )}
        {live !== undefined && (
          <li className="soft">{live ? 'follows the benches' : 'alone, until the program answers'}</li>
        )}
      </ul>
    </div>
  );
}
