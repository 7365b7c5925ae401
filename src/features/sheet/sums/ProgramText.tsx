import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import Form from 'react-bootstrap/Form';
import { saveAs, slug } from '@/ui/download';

const LANGUAGES = { cpp: 'C++', py: 'MicroPython' } as const;
type Language = keyof typeof LANGUAGES;

interface Props {
  readonly title: string;
  /** The same program in either language. */
  readonly texts: Readonly<Record<Language, string>>;
  /** The table behind it, as CSV. */
  readonly csv?: string;
}

/** A program as a text to send to the board. */
export function ProgramText({ title, texts, csv }: Props) {
  const [language, setLanguage] = useState<Language>('cpp');
  const source = texts[language];
  return (
    <section className="ruled">
      <div className="ruled-head">
        <h2>The program</h2>
        <span className="no-print">
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
            onClick={() => saveAs(`${slug(title)}.${language}`, 'text/plain', source)}
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
