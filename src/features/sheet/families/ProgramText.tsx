import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { saveAs, slug } from '@/ui/download';

const LANGUAGES = { cpp: 'C++', py: 'MicroPython' } as const;
type Language = keyof typeof LANGUAGES;
export type Texts = Readonly<Record<Language, string>>;

interface Props {
  readonly title: string;
  /** The same program in either language. */
  readonly texts: Texts;
  /** The program for measuring, where the lesson’s own is too fast for it. */
  readonly measuring?: Texts | undefined;
  /** The table behind it, as CSV. */
  readonly csv?: string;
}

/** A program as a text to send to the board. */
export function ProgramText({ title, texts, measuring, csv }: Props) {
  const [language, setLanguage] = useState<Language>('cpp');
  const [which, setWhich] = useState<'lesson' | 'measuring'>('lesson');
  const shown = (which === 'measuring' && measuring) || texts;
  const source = shown[language];
  const name = shown === texts ? slug(title) : `${slug(title)}-measuring`;
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>The program</h2>
        <span className="no-print">
          {measuring && (
            <Form.Select
              size="sm"
              className="w-auto d-inline-block"
              aria-label="Which program"
              value={which}
              onChange={(event) => setWhich(event.target.value === 'measuring' ? 'measuring' : 'lesson')}
            >
              <option value="lesson">the lesson’s own</option>
              <option value="measuring">for measuring</option>
            </Form.Select>
          )}{' '}
          <Form.Select
            size="sm"
            className="w-auto d-inline-block"
            aria-label="Language of the program"
            value={language}
            onChange={(event) => setLanguage(event.target.value as Language)}
          >
            {Object.entries(LANGUAGES).map(([key, name]) => (
              <option key={key} value={key}>
                {name}
              </option>
            ))}
          </Form.Select>{' '}
          <Button
            variant="quiet"
            size="sm"
            onClick={() => saveAs(`${name}.${language}`, 'text/plain', source)}
          >
            Save the program
          </Button>{' '}
          {csv !== undefined && (
            <Button
              variant="quiet"
              size="sm"
              onClick={() => saveAs(`${slug(title)}-table.csv`, 'text/csv', csv)}
            >
              Save the table as CSV
            </Button>
          )}
        </span>
      </div>
      <pre className="program-text" aria-label="Text of the program" tabIndex={0}>
        {source}
      </pre>
    </section>
  );
}
