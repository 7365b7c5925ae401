import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import { holeName } from '@/messages/holes';

/** One leg's hole as text: what is typed is put there when the field is left. */
export function HoleField({
  label,
  leg,
  hole,
  onHole,
}: {
  label: string;
  leg: string;
  hole: string;
  onHole: (hole: string) => void;
}) {
  const [typed, setTyped] = useState<string | undefined>();
  const put = () => {
    const to = (typed ?? '')
      .trim()
      .replace('−', '-')
      .replace(/^[lr]/u, (c) => c.toUpperCase());
    if (typed !== undefined && to !== hole && to !== '') onHole(to);
    setTyped(undefined);
  };
  return (
    <label className="hole-field">
      <span className="soft">{leg}</span>
      <Form.Control
        size="sm"
        aria-label={`${label}: hole`}
        title={holeName(hole)}
        value={typed ?? hole}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={put}
        onKeyDown={(event) => event.key === 'Enter' && put()}
      />
    </label>
  );
}
