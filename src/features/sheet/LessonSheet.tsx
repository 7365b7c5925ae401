'use client';

import { useSearchParams } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import type { Outcome, Plan, Sheet, SheetRequest } from '@/core';
import { sentence } from '@/messages/findings';
import type { OwnWords } from '@/messages/glossary';
import type { SheetSurroundings } from '@/server/lessonSheet';
import type { Battery } from '@/server/repositories/batteries';
import type { LessonContent } from '@/server/repositories/lessons';
import { Note } from '@/ui/Note';
import { BoardPanel } from './BoardPanel';
import type { CourseLesson, GivenSession, GroupChoice } from './given';
import { Marking } from './Changed';
import { Batteries } from './wish/batteries';
import { WishBar } from './WishBar';
import { SheetHead } from './SheetHead';
import { StageMargin, STAGES, type Stage } from './StageMargin';
import { StageView } from './StageView';
import { useLessonDraft } from './useLessonDraft';
import { useSheet } from './useSheet';
import { useTrial } from './useTrial';
import './sheet.css';

export interface LessonSheetProps {
  readonly id: number;
  readonly place: string;
  readonly content: LessonContent;
  readonly version: number;
  readonly updatedAt: string;
  readonly archived: boolean;
  readonly first: Outcome<Sheet>;
  readonly surroundings: SheetSurroundings;
  readonly restDraws: number;
  readonly batteries: readonly Battery[];
  readonly course: readonly CourseLesson[];
  readonly words: OwnWords;
  readonly groups: readonly GroupChoice[];
  readonly sessions: readonly GivenSession[];
  readonly today: string;
}

/** One lesson is one sheet: always solved, every figure hanging on the same circuit. */
export function LessonSheet(props: LessonSheetProps) {
  const { surroundings } = props;
  const draft = useLessonDraft(props.id, props.content, props.version, props.updatedAt);
  const { content } = draft;
  const request = useRequest(content, surroundings);
  const { sheet, refusals, failure } = useSheet(props.first, request, props.restDraws);
  const trial = useTrial(sheet, (plan: Plan) => draft.change({ ...content, plan }));
  const [picked, setPicked] = useState<string | undefined>();
  const [marking, setMarking] = useState(false);
  const [stage, setStage] = useStage();
  useUndoKeys(draft.undo, draft.redo);

  const setChoice = (choice: LessonContent['choice']) => {
    setMarking(true);
    trial.putBack();
    draft.change({ ...content, choice });
  };
  const layOut = () => {
    trial.putBack();
    draft.change({ ...content, plan: null });
  };
  return (
    <Marking value={marking}>
      <div className="lesson">
        <StageMargin
          stage={stage}
          sheet={sheet}
          sessions={props.sessions}
          trial={trial.isTrial}
          onStage={setStage}
        />
        <div className="lesson-main">
          <SheetHead draft={draft} id={props.id} place={props.place} archived={props.archived} />
          <div onBlur={() => setMarking(false)}>
            <Batteries value={props.batteries}>
              <WishBar choice={content.choice} style={surroundings.style} onChange={setChoice} />
            </Batteries>
          </div>
          {failure && (
            <Note kind="refusal" live>
              {failure}
            </Note>
          )}
          {refusals.map((finding, i) => (
            <Note key={`${finding.code} ${i}`} kind="refusal" live>
              {sentence(finding)}
            </Note>
          ))}
          {refusals.length > 0 && sheet && (
            <p className="small-print">The figures below are the last ones that worked.</p>
          )}
          {sheet?.findings.map((finding, i) =>
            finding.severity === 'note' ? (
              <p key={`${finding.code} ${i}`} className="small-print">
                {sentence(finding)}
              </p>
            ) : (
              <Note key={`${finding.code} ${i}`}>{sentence(finding)}</Note>
            ),
          )}
          <div className={refusals.length ? 'stage-view stale' : 'stage-view'}>
            <StageView
              {...{ stage, sheet, content, trial, surroundings, request }}
              lessonId={props.id}
              course={props.course}
              words={props.words}
              groups={props.groups}
              sessions={props.sessions}
              today={props.today}
              onContent={draft.change}
              onPick={setPicked}
              onLayOut={layOut}
              onChoice={setChoice}
            />
          </div>
        </div>
        {sheet && <BoardPanel sheet={sheet} trial={trial} picked={picked} onPick={setPicked} />}
      </div>
    </Marking>
  );
}

/** The request alone, so that typing a title or a note does not solve the lesson anew. */
function useRequest(content: LessonContent, surroundings: SheetSurroundings): SheetRequest {
  const { choice, plan, ageGroup, extras } = content;
  return useMemo(
    () => ({ ...surroundings, choice, ageGroup, extras, plan: plan ?? undefined }),
    [choice, plan, ageGroup, extras, surroundings],
  );
}

function useStage(): [Stage, (stage: Stage) => void] {
  const asked = useSearchParams().get('stage');
  const stage = STAGES.find((name) => name === asked) ?? 'sums';
  return [stage, (next) => window.history.pushState(null, '', `?stage=${next}`)];
}

/** Ctrl+Z and Ctrl+Y outside text fields, which have their own. */
function useUndoKeys(undo: (() => void) | undefined, redo: (() => void) | undefined): void {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (typing || !(event.ctrlKey || event.metaKey)) return;
      const again = event.key === 'y' || (event.key === 'Z' && event.shiftKey);
      const action = event.key === 'z' ? undo : again ? redo : undefined;
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [undo, redo]);
}
