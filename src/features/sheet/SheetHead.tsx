'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import Button from 'react-bootstrap/Button';
import { clockTime } from '@/ui/dates';
import { heard } from '@/ui/heard';
import { Note } from '@/ui/Note';
import { StayButton } from '@/ui/StayButton';
import { Both } from '@/ui/Overtaken';
import { contentShown } from './contentShown';
import { putAwayLesson } from './actions';
import type { useLessonDraft } from './useLessonDraft';

type Draft = ReturnType<typeof useLessonDraft>;

interface Props {
  readonly draft: Draft;
  readonly id: number;
  readonly place: string;
  readonly archived: boolean;
}

/** Title, saving, undo, and the lesson as a file. */
export function SheetHead({ draft, id, place, archived }: Props) {
  const router = useRouter();
  const [problem, setProblem] = useState('');
  const { content } = draft;
  const putAway = async () => {
    const answer = await heard(putAwayLesson(id, !archived));
    if (answer.ok) router.push(archived ? `/lessons/${id}` : '/lessons');
    else setProblem(answer.message);
  };
  return (
    <div className="sheet-head">
      <div className="sheet-tools no-print">
        <span className="small-print">{place}</span>
        <span className="small-print save-state" role="status">
          {saveWords(draft)}
        </span>
        <StayButton size="sm" act={draft.undo}>
          Undo
        </StayButton>
        <StayButton size="sm" act={draft.redo}>
          Redo
        </StayButton>
        <a className="btn btn-quiet btn-sm" href={`/lessons/${id}/lesson.json`}>
          Export
        </a>
        <Button variant="quiet" size="sm" onClick={() => void putAway()}>
          {archived ? 'Take out again' : 'Put away'}
        </Button>
      </div>
      <input
        className="title-field"
        aria-label="Title of the lesson"
        aria-invalid={content.title.trim() === ''}
        maxLength={80}
        value={content.title}
        onChange={(event) => draft.change({ ...content, title: event.target.value })}
      />
      {content.title.trim() === '' && (
        <Note kind="refusal">A lesson needs a title before it can be saved.</Note>
      )}
      {archived && <Note>This lesson is put away. It can still be read, and taken out again.</Note>}
      {problem && (
        <Note kind="refusal" live>
          {problem}
        </Note>
      )}
      <Unsaved draft={draft} />
    </div>
  );
}

function saveWords({ save }: Draft): string {
  if (save.kind === 'saved') return `saved ${clockTime(save.at)}`;
  return save.kind === 'waiting' ? 'saving…' : 'not saved';
}

function Unsaved({ draft }: { draft: Draft }) {
  const { save, found, content } = draft;
  return (
    <>
      {save.kind === 'failed' && (
        <Note kind="refusal" live>
          {save.message}{' '}
          {save.theirs ? (
            <>
              <Both mine={contentShown(content)} theirs={contentShown(save.theirs.value)} />
              <Button variant="text" className="btn-text" onClick={draft.takeTheirs}>
                Load theirs
              </Button>{' '}
              <Button variant="text" className="btn-text ms-3" onClick={draft.keepMine}>
                Save mine over it
              </Button>
            </>
          ) : (
            <Button variant="text" className="btn-text" onClick={draft.retry}>
              Save again
            </Button>
          )}
        </Note>
      )}
      {draft.unkept && (
        <Note kind="refusal" live>
          This browser’s own store is full or blocked: leave the page open until it says saved.
        </Note>
      )}
      {draft.putBack && (
        <p className="small-print" role="status">
          Changes made here at {clockTime(draft.putBack)} had not been saved; they are put back.
        </p>
      )}
      {found && (
        <Note live>
          Changes made here at {clockTime(found.draft.at)} were not saved, and somebody has saved this lesson
          since.
          <Both mine={contentShown(found.draft.content)} theirs={contentShown(content)} />
          <Button variant="text" className="btn-text" onClick={draft.restore}>
            Take yours
          </Button>{' '}
          <Button variant="text" className="btn-text ms-3" onClick={draft.forget}>
            Leave it as it stands
          </Button>
        </Note>
      )}
    </>
  );
}
