import Form from 'react-bootstrap/Form';
import { AGE_GROUPS, LEVELS, speaksOfMains, type Sheet } from '@/core';
import { CAUTION_WORDS } from '@/messages/cautions';
import { sentence } from '@/messages/findings';
import type { OwnWords } from '@/messages/glossary';
import { LEVEL_WORDS } from '@/messages/levels';
import { talkFor } from '@/messages/talk';
import type { LessonContent } from '@/server/repositories/lessons';
import { Note } from '@/ui/Note';
import { ComesAfter } from '../aim/ComesAfter';
import { GoalsSection } from '../aim/GoalsSection';
import { TalkSection } from '../aim/TalkSection';
import { TimeSection } from '../aim/TimeSection';
import { WordsSection } from '../aim/WordsSection';
import type { CourseLesson } from '../given';

interface Props {
  readonly content: LessonContent;
  readonly sheet: Sheet | undefined;
  readonly course: readonly CourseLesson[];
  readonly words: OwnWords;
  readonly sheetHref: string;
  onChange(content: LessonContent): void;
}

/** Everything that is written freely in a lesson. */
function wordsOf({ title, aim, story, notes, homework, extras }: LessonContent): string[] {
  return [title, aim, story, notes, homework, ...extras.map(({ name, use }) => `${name}: ${use}`)];
}

type Text = 'aim' | 'story' | 'notes' | 'homework';

/** What the lesson is for, for whom, how long it takes, what is said around it, and what to be careful of. */
export function AimStage({ content, sheet, course, words, sheetHref, onChange }: Props) {
  const text = (name: Text, label: string, rows: number, most: number, placeholder = '') => (
    <Form.Group className="mb-3" controlId={`lesson-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Control
        as="textarea"
        rows={rows}
        maxLength={most}
        placeholder={placeholder}
        value={content[name]}
        onChange={(event) => onChange({ ...content, [name]: event.target.value })}
      />
    </Form.Group>
  );
  const choice = <Name extends 'ageGroup' | 'level'>(
    name: Name,
    label: string,
    options: readonly (readonly [LessonContent[Name], string])[],
  ) => (
    <Form.Group controlId={`lesson-${name}`}>
      <Form.Label>{label}</Form.Label>
      <Form.Select
        className="w-auto"
        value={content[name]}
        onChange={(event) => onChange({ ...content, [name]: event.target.value })}
      >
        {options.map(([value, said]) => (
          <option key={value} value={value}>
            {said}
          </option>
        ))}
      </Form.Select>
    </Form.Group>
  );
  return (
    <>
      <section className="ruled">
        <div className="ruled-head">
          <h2>Aim</h2>
          <a className="btn btn-quiet btn-sm no-print" href={sheetHref} target="_blank" rel="noreferrer">
            Print the students’ sheet
          </a>
        </div>
        <div className="pt-3">
          {speaksOfMains(wordsOf(content)).map((mains, i) => (
            <Note key={i} kind="refusal" live>
              {sentence(mains)}
            </Note>
          ))}
          {text('aim', 'What the students can do and show at the end', 2, 600)}
          {text('story', 'Hook or story', 2, 1200)}
          <div className="side-by-side mb-3">
            {choice(
              'ageGroup',
              'Age of the students',
              AGE_GROUPS.map((age) => [age, age]),
            )}
            {choice(
              'level',
              'What they are given',
              LEVELS.map((level) => [level, `${LEVEL_WORDS[level].name}: ${LEVEL_WORDS[level].about}`]),
            )}
          </div>
          {text('homework', 'To take home', 2, 600, sheet && talkFor(sheet).homework)}
          {text('notes', 'Notes to self, and for helpers', 3, 4000)}
        </div>
      </section>
      <ComesAfter pattern={content.choice.pattern} course={course} />
      {sheet && <GoalsSection goals={sheet.goals} supply={sheet.supply} />}
      {sheet && <TimeSection time={sheet.time} />}
      {sheet && <TalkSection sheet={sheet} />}
      {sheet && <WordsSection sheet={sheet} level={content.level} own={words} />}
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
