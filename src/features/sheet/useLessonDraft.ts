'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core';
import { useHistory } from '@/features/hooks/useHistory';
import type { Theirs } from '@/server/failures';
import type { LessonContent } from '@/server/repositories/lessons';
import { kept } from '@/ui/kept';
import { keepLesson } from './actions';
import { Drafts, type LessonDraft } from './drafts';

export type SaveState =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'failed'; readonly message: string; readonly theirs?: Theirs<LessonContent> };

/** Changes that were made here before and have not been saved. */
export interface Found {
  readonly draft: LessonDraft;
  readonly key: string;
}

const SAVE_AFTER_MS = 600;
const AGAIN_AFTER_MS = 5000;

/** What is on the desk: the lesson, and a plan that is only tried out, mistakes and all. */
interface Desk {
  readonly content: LessonContent;
  readonly trial: Plan | undefined;
}

/** What the database has, as far as this page knows. */
interface Stored {
  readonly content: LessonContent;
  readonly at: string;
}

interface Failure {
  readonly content: LessonContent;
  readonly message: string;
  readonly theirs?: Theirs<LessonContent>;
}

/**
 * A lesson being worked on: every change is kept in this browser at once and in the database when typing rests,
 * with undo and redo over the lesson and the board alike, and with both versions at hand when somebody else saved in
 * between. What it says of saving is always of what is on the screen.
 */
export function useLessonDraft(id: number, first: LessonContent, firstVersion: number, savedAt: string) {
  const desk = useHistory<Desk>({ content: first, trial: undefined });
  const { content, trial } = desk.now;
  const [stored, setStored] = useState<Stored>({ content: first, at: savedAt });
  /** Sent, and not answered yet: what the database has meanwhile is not known. */
  const [sent, setSent] = useState<LessonContent | undefined>();
  const [failure, setFailure] = useState<Failure | undefined>();
  const [found, setFound] = useState<Found | undefined>();
  /** When changes that were made here before were put back by themselves. */
  const [putBack, setPutBack] = useState<string | undefined>();
  const [unkept, setUnkept] = useState(false);
  const version = useRef(firstVersion);
  const saving = useRef<Promise<void>>(Promise.resolve());
  const drafts = useRef<Drafts>(undefined);
  const newest = useRef(content);
  /** Sent before, and never answered: it may stand in the database. */
  const unanswered = useRef<LessonContent>(undefined);

  const store = useCallback(
    (next: LessonContent) => {
      saving.current = saving.current.then(async () => {
        // Overtaken while it waited its turn: the newer one follows.
        if (next !== newest.current) return;
        setSent(next);
        const answer = await send(id, version, unanswered, next);
        if (answer) setSent(undefined);
        const theirs = answer && !answer.ok ? answer.theirs : undefined;
        const saved = savedBy(answer, next);
        if (saved) {
          version.current = saved.version;
          setStored({ content: next, at: saved.at });
          setFailure(undefined);
          if (next === newest.current) drafts.current?.settle();
          else keepDraft(drafts.current, newest.current, version.current);
          return;
        }
        const message =
          (answer && !answer.ok ? answer.message : undefined) ??
          'Not saved: the program does not answer. It is kept in this browser and tried again by itself.';
        setFailure({ content: next, message, ...(theirs ? { theirs } : {}) });
      });
    },
    [id],
  );

  useEffect(() => {
    const own = new Drafts(id);
    drafts.current = own;
    let gone = false;
    void own.orphan().then((orphan) => {
      if (gone || !orphan) return;
      const { draft, key } = orphan;
      if (same(draft.content, first)) kept.forget(key);
      else if (draft.version === firstVersion && newest.current === first) {
        // Nobody has saved the lesson since: the changes are simply still under way.
        kept.forget(key);
        desk.put({ content: { ...first, ...draft.content }, trial: undefined }, { alone: true });
        setPutBack(draft.at);
      } else setFound(orphan);
    });
    return () => {
      gone = true;
      own.close();
    };
    // Only what stood in this browser when the page opened is looked for.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [id]);

  // Whatever changes the lesson, a word, the board, undo or redo, is kept the same way.
  const settled = content === stored.content && sent === undefined;
  useEffect(() => {
    newest.current = content;
    if (settled) drafts.current?.settle();
    else if (drafts.current) setUnkept(!keepDraft(drafts.current, content, version.current));
  }, [content, settled]);
  const failed = failure !== undefined && failure.content === content;
  useEffect(() => {
    if (settled || failed) return;
    const timer = setTimeout(() => store(content), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [content, settled, failed, store]);
  // A program that was away is asked again by itself; somebody else's version waits for a choice.
  useEffect(() => {
    if (!failed || failure.theirs) return;
    const timer = setTimeout(() => store(content), AGAIN_AFTER_MS);
    return () => clearTimeout(timer);
  }, [content, failed, failure, store]);

  const change = (next: LessonContent) => {
    if (same(next, content) && trial === undefined) return;
    desk.put({ content: next, trial: undefined });
  };
  /** A plan to be tried out; left out, the lesson's own is put back. */
  const tryOut = (plan: Plan | undefined) => {
    if (plan !== trial) desk.put({ content, trial: plan });
  };
  const takeTheirs = () => {
    const theirs = failure?.theirs;
    if (!theirs) return;
    version.current = theirs.version;
    setStored({ content: theirs.value, at: new Date().toISOString() });
    setFailure(undefined);
    desk.put({ content: theirs.value, trial: undefined }, { alone: true });
  };
  const keepMine = () => {
    if (failure?.theirs) version.current = failure.theirs.version;
    store(content);
  };
  const restore = () => {
    // What this browser kept may be from before a lesson could say as much as it can now.
    if (found) change({ ...content, ...found.draft.content });
    forget();
  };
  const forget = () => {
    if (found) kept.forget(found.key);
    setFound(undefined);
  };
  const save: SaveState = settled
    ? { kind: 'saved', at: stored.at }
    : failed
      ? { kind: 'failed', message: failure.message, ...(failure.theirs ? { theirs: failure.theirs } : {}) }
      : { kind: 'waiting' };
  return {
    content,
    trial,
    change,
    tryOut,
    undo: desk.undo,
    redo: desk.redo,
    save,
    takeTheirs,
    keepMine,
    retry: () => store(content),
    /** This browser cannot keep what is typed until it is saved. */
    unkept: unkept && !settled,
    putBack,
    found,
    restore,
    forget,
  };
}

type Kept = Awaited<ReturnType<typeof keepLesson>>;

/** Sends a lesson to be kept; past an earlier change of this page that came through though its answer was lost. */
async function send(
  id: number,
  version: { current: number },
  unanswered: { current: LessonContent | undefined },
  next: LessonContent,
): Promise<Kept | undefined> {
  const keep = () => keepLesson(id, version.current, next).catch(() => undefined);
  const before = unanswered.current;
  let answer = await keep();
  if (before && !same(before, next) && answer && !answer.ok && answer.theirs) {
    const { theirs } = answer;
    if (same(theirs.value, before)) {
      version.current = theirs.version;
      answer = await keep();
    }
  }
  unanswered.current = answer ? undefined : next;
  return answer;
}

/** The version under which it stands in the database; where the same stood there already, its answer was lost on its way. */
function savedBy(
  answer: Kept | undefined,
  next: LessonContent,
): { readonly version: number; readonly at: string } | undefined {
  if (!answer) return undefined;
  if (answer.ok) return answer.value;
  const { theirs } = answer;
  if (!theirs || !same(theirs.value, next)) return undefined;
  return { version: theirs.version, at: new Date().toISOString() };
}

function keepDraft(drafts: Drafts | undefined, content: LessonContent, version: number): boolean {
  return drafts?.keep({ content, version, at: new Date().toISOString() }) ?? false;
}

function same(one: LessonContent, other: LessonContent): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
