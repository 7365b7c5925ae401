import Form from 'react-bootstrap/Form';
import { AGE_GROUPS, type AgeGroup, type Sheet } from '@/core';
import { TalkSection } from './TalkSection';
import { CAUTION_WORDS } from '@/messages/cautions';
import type { LessonContent } from '@/server/repositories/lessons';

interface Props {
  readonly content: LessonContent;
  readonly sheet: Sheet | undefined;
  onChange(content: LessonContent): void;
}

/** What the lesson is for, for whom, and what to be careful of. */
export function AimStage({ content, sheet, onChange }: Props) {
  const words = (name: 'aim' | 'story' | 'notes', label: string, rows: number, most: number) => (
    <Form.Group className="mb-3" controlId={`lesson-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        as="textarea"
        rows={rows}
        maxLength={most}
        value={content[name]}
        onChange={(event) => onChange({ ...content, [name]: event.target.value })}
      />
    </Form.Group>
  );
  return (
    <>
      <section className="ruled">
        <h2>Aim</h2>
        <div className="pt-3">
          {words('aim', 'What the students can do and show at the end', 2, 600)}
          {words('story', 'Hook or story', 2, 1200)}
          <Form.Group className="mb-3" controlId="lesson-age">
            <Form.Label>Age of the students</Form.Label>
            <Form.Select
              className="w-auto"
              value={content.ageGroup}
              onChange={(event) => onChange({ ...content, ageGroup: event.target.value as AgeGroup })}
            >
              {AGE_GROUPS.map((age) => (
                <option key={age}>{age}</option>
              ))}
            </Form.Select>
          </Form.Group>
          {words('notes', 'Notes to self', 3, 4000)}
        </div>
      </section>
      {sheet && <TalkSection sheet={sheet} />}
      <section className="ruled">
        <h2>Cautions</h2>
        <ul>
          {sheet?.cautions.map(({ code }) => (
            <li key={code}>{CAUTION_WORDS[code]}</li>
          ))}
        </ul>
      </section>
    </>
  );
}
