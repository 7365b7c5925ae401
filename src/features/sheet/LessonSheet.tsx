'use client';

import { useSearchParams } from 'next/navigation';
import { useMemo, useState, type ComponentProps, type ReactNode } from 'react';
import type { Instant, Outcome, Plan, Sheet, SheetRequest } from '@/core';
import { useLasting } from '@/features/hooks/useLasting';
import { useUndoKeys } from '@/features/hooks/useUndoKeys';
import { sentence } from '@/messages/findings';
import { lessonLine } from '@/messages/families';
import { namesIn } from '@/messages/names';
import type { OwnWords } from '@/messages/glossary';
import type { SheetSurroundings } from '@/server/lessonSheet';
import type { Battery } from '@/server/repositories/batteries';
import type { LessonContent } from '@/server/repositories/lessons';
import { Note } from '@/ui/Note';
import { BoardPanel } from './board/BoardPanel';
import { PlanBoard, StepsBoard } from './board/BoardStage';
import type { CourseLesson, GivenSession, GroupChoice } from './given';
import { Marking } from './Changed';
import { Batteries } from './wish/batteries';
import { WishBar } from './WishBar';
import { SheetHead } from './SheetHead';
import { StageMargin, STAGES, type Stage } from './StageMargin';
import { StageView } from './StageView';
import { OtherBoards } from './OtherBoards';
import { OneStep } from './steps/OneStep';
import { useLessonDraft } from './useLessonDraft';
import { useSheet, type SheetState } from './useSheet';
import { useSteps } from './steps/useSteps';
import { useTrial } from './useTrial';
import './sheet.css';
import './board/board.css';
import './steps/steps.css';

export interface LessonSheetProps {
  readonly id: number;
  readonly place: string;
  readonly content: LessonContent;
  readonly version: number;
  readonly updatedAt: string;
  readonly archived: boolean;
  /** The careful sheet of the lesson as it was opened, where it was at hand. */
  readonly first: Outcome<Sheet> | undefined;
  readonly surroundings: SheetSurroundings;
  readonly restDraws: number;
  readonly batteries: readonly Battery[];
  readonly course: readonly CourseLesson[];
  readonly words: OwnWords;
  readonly groups: readonly GroupChoice[];
  readonly sessions: readonly GivenSession[];
  readonly today: string;
}

/** Stages at which the board is the heart of the sheet, with their lists beside it. */
const BOARD_STAGES: ReadonlySet<Stage> = new Set(['plan', 'steps']);

/** One lesson is one sheet: always solved, every figure hanging on the same circuit. */
export function LessonSheet(props: LessonSheetProps) {
  const { surroundings } = props;
  const draft = useLessonDraft(props.id, props.content, props.version, props.updatedAt);
  const { content } = draft;
  const request = useRequest(content, surroundings);
  const { sheet, refusals, failure, rough, overtaken } = useSheet(props.first, request, props.restDraws);
  const working = useLasting(overtaken, STALE_AFTER_MS);
  const stale = working || refusals.length > 0;
  const trial = useTrial(sheet, surroundings.meter, {
    kept: content.plan,
    trial: draft.trial,
    onKeep: (plan: Plan) => draft.change({ ...content, plan }),
    onTry: draft.tryOut,
  });
  const [picked, setPicked] = useState<string | undefined>();
  const [instant, setInstant] = useState<Instant | undefined>();
  const [marking, setMarking] = useState(false);
  const [stage, setStage] = useStage();
  const steps = useSteps(sheet);
  useUndoKeys(draft.undo, draft.redo);

  const setChoice = (choice: LessonContent['choice']) => {
    setMarking(true);
    draft.change({ ...content, choice });
  };
  const wish = (
    <div onBlur={() => setMarking(false)}>
      <Batteries value={props.batteries}>
        <WishBar choice={content.choice} style={surroundings.style} onChange={setChoice} />
      </Batteries>
    </div>
  );
  const view = (
    <div className={stale ? 'stage-view stale' : 'stage-view'}>
      <StageView
        {...{ stage, sheet, rough, content, trial, surroundings, request, steps }}
        lessonId={props.id}
        course={props.course}
        words={props.words}
        groups={props.groups}
        sessions={props.sessions}
        today={props.today}
        onContent={draft.change}
        onPick={setPicked}
        onLayOut={() => draft.change({ ...content, plan: null })}
        onChoice={setChoice}
        onInstant={setInstant}
      />
    </div>
  );
  const board = { sheet: sheet!, rough, trial, picked, instant, onPick: setPicked };
  const plan = () => <PlanBoard {...board} style={surroundings.style} title={content.title} />;
  const card = () => <StepsBoard sheet={sheet!} at={steps.at} onAt={steps.go} />;
  const large = sheet !== undefined && BOARD_STAGES.has(stage);
  const notes = (
    <SheetNotes {...{ sheet, refusals, failure }} working={working}>
      <OtherBoards refusals={refusals} choice={content.choice} onChoice={setChoice} />
    </SheetNotes>
  );
  const notesBelow = large && onlyNoted(refusals, failure);
  return (
    <Marking value={marking}>
      <div className={large ? 'lesson large' : 'lesson'}>
        <StageMargin
          stage={stage}
          sheet={sheet}
          sessions={props.sessions}
          trial={trial.isTrial}
          onStage={setStage}
        />
        <div className="lesson-main">
          <SheetHead draft={draft} id={props.id} place={props.place} archived={props.archived} />
          <Folded line={large ? lessonLine(sheet) : undefined}>{wish}</Folded>
          {!notesBelow && notes}
          {!large && view}
          {large && <HeartBoard stale={stale}>{stage === 'plan' ? plan() : card()}</HeartBoard>}
          {notesBelow && notes}
        </div>
        {sheet && <Beside list={large ? view : undefined} stage={stage} board={board} stale={stale} />}
      </div>
      {sheet && steps.single && (
        <OneStep
          sheet={sheet}
          title={content.title}
          at={steps.at}
          onAt={steps.go}
          onClose={() => steps.show(false)}
        />
      )}
    </Marking>
  );
}

/** The board, marked while it is still that of the sentence before. */
function HeartBoard({ stale, children }: { stale: boolean; children: ReactNode }) {
  return <div className={stale ? 'board-column stale' : 'board-column'}>{children}</div>;
}

interface BesideProps {
  /** What stands beside a large board; undefined where the board itself stands beside. */
  readonly list: ReactNode;
  readonly stage: Stage;
  readonly board: ComponentProps<typeof BoardPanel>;
  readonly stale: boolean;
}

/** The column at the right: the stage's list beside a large board, else the board. */
function Beside({ list, stage, board, stale }: BesideProps) {
  if (list === undefined)
    return (
      <HeartBoard stale={stale}>
        <BoardPanel {...board} />
      </HeartBoard>
    );
  return (
    <aside className="board-panel list-panel" aria-label={`${stage} of the lesson`} tabIndex={0}>
      {list}
    </aside>
  );
}

/** Figures of the sentence before are marked as such by then, so that nobody reads them for those of this one. */
const STALE_AFTER_MS = 70;

/** A large board comes before what is only to be noted; a refusal comes first everywhere. */
function onlyNoted(refusals: readonly unknown[], failure: string | undefined): boolean {
  return refusals.length === 0 && !failure;
}

/** The wish in one line, for when the board wants the room; it unfolds to be changed. */
function Folded({ line, children }: { line: string | undefined; children: ReactNode }) {
  if (line === undefined) return children;
  return (
    <details className="folded-wish">
      <summary>
        {line} · <span className="as-link">change the wish</span>
      </summary>
      {children}
    </details>
  );
}

interface NoteProps extends Pick<SheetState, 'sheet' | 'refusals' | 'failure'> {
  /** The sheet is of the sentence before. */
  readonly working: boolean;
  /** The way on from a refusal. */
  readonly children: ReactNode;
}

/** Why the wish cannot be met, and what is to be said of the one that stands. */
function SheetNotes({ sheet, refusals, failure, working, children }: NoteProps) {
  return (
    <>
      <p className="working-line small-print" role="status">
        {working
          ? 'Being worked out: the figures and the board are still those of the sentence before.'
          : sheet?.outline &&
            'A first look: readings with their bands, and whatever takes many runs, are on their way.'}
      </p>
      {!sheet && refusals.length === 0 && !failure && (
        <p className="soft pt-3" role="status">
          Working it out …
        </p>
      )}
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
      {children}
      {refusals.length > 0 && sheet && (
        <p className="small-print">The figures below are the last ones that worked.</p>
      )}
      {sheet?.findings.map((finding, i) =>
        finding.severity === 'note' ? (
          <p key={`${finding.code} ${i}`} className="small-print">
            {sentence(finding, namesIn(sheet.circuit))}
          </p>
        ) : (
          <Note key={`${finding.code} ${i}`}>{sentence(finding, namesIn(sheet.circuit))}</Note>
        ),
      )}
    </>
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
