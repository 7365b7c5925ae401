import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import type { SeenWord } from '@/core';
import { capital } from '@/messages/grammar';
import { SEEN } from '@/messages/seen';

interface Props {
  readonly lamps: readonly string[];
  /** What is held while one looks, in words; empty for nothing. */
  readonly held: string;
  /** What was said last, in the words in which it is kept. */
  readonly said: string | undefined;
  onSay(typed: string): string | undefined;
}

const OF_LAMP: readonly SeenWord[] = [
  'dark',
  'dim',
  'too-bright',
  'steady',
  'blinking',
  'flicker',
  'other-colour',
];

/** What is seen: all as on the card with one tap, or which lamp looks how. */
export function Lamps({ lamps, held, said, onSay }: Props) {
  const [odd, setOdd] = useState(false);
  const [lamp, setLamp] = useState(lamps[0]!);
  const [named, setNamed] = useState<Readonly<Record<string, SeenWord>>>({});
  const say = (typed: string) => {
    onSay(typed);
    setOdd(false);
    setNamed({});
  };
  /** Each look is sent as it is chosen, with those of the lamps before. */
  const choose = (word: SeenWord) => {
    const now = { ...named, [lamp]: word };
    setNamed(now);
    onSay(
      Object.entries(now)
        .map(([one, seen]) => `${one} ${SEEN[seen].words}`)
        .join(', '),
    );
  };
  return (
    <fieldset className="bench-entry">
      <legend>{capital(held ? `${held}: how do the lamps look?` : 'how do the lamps look?')}</legend>
      <div className="button-row">
        <Button size="lg" onClick={() => say('ok')}>
          As on the card
        </Button>
        <Button size="lg" variant="quiet" aria-expanded={odd} onClick={() => setOdd(!odd)}>
          Something is different
        </Button>
      </div>
      {odd && (
        <div className="pt-2">
          {lamps.length > 1 && (
            <Form.Group controlId="odd-lamp">
              <Form.Label>Which lamp?</Form.Label>
              <Form.Select size="lg" value={lamp} onChange={(event) => setLamp(event.target.value)}>
                {lamps.map((one) => (
                  <option key={one}>{one}</option>
                ))}
              </Form.Select>
            </Form.Group>
          )}
          <div className="button-row pt-2">
            {OF_LAMP.map((word) => (
              <Button
                key={word}
                variant={named[lamp] === word ? 'primary' : 'quiet'}
                aria-pressed={named[lamp] === word}
                onClick={() => choose(word)}
              >
                {SEEN[word].words}
              </Button>
            ))}
            <Button variant="quiet" onClick={() => say('hot')}>
              {SEEN.hot.words}: power off!
            </Button>
          </div>
        </div>
      )}
      {said !== undefined && (
        <p className="bench-told">You said: {said === 'ok' ? 'as on the card' : said}.</p>
      )}
    </fieldset>
  );
}
