'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Plan } from '@/core';
import { kept } from '@/features/hooks/kept';
import { useHistory } from '@/features/hooks/useHistory';
import type { LessonContent } from '@/server/repositories/lessons';
import { keepLesson, loadLesson } from './actions';

export type SaveState =
  | { readonly kind: 'saved'; readonly at: string }
  | { readonly kind: 'waiting' }
  | { readonly kind: 'failed'; readonly message: string; readonly conflict: boolean };

interface Kept {
  readonly content: LessonContent;
  readonly at: string;
}

const SAVE_AFTER_MS = 600;
const keyOf = (id: number) => `mivvet.lesson.${id}`;

/** What is on the desk: the lesson, and a plan that is only tried out, mistakes and all. */
interface Desk {
  readonly content: LessonContent;
  readonly trial: Plan | undefined;
}

/**
 * A lesson being worked on: every change is kept in this browser at once and in the database when typing rests,
 * with undo and redo over the lesson and the board alike, and with both versions at hand when somebody else saved in
 * between.
 */
export function useLessonDraft(id: number, first: LessonContent, firstVersion: number, savedAt: string) {
  const desk = useHistory<Desk>({ content: first, trial: undefined });
  const { content, trial } = desk.now;
  const [save, setSave] = useState<SaveState>({ kind: 'saved', at: savedAt });
  const [found, setFound] = useState<Kept | undefined>();
  const version = useRef(firstVersion);
  const stored = useRef(first);
  const saving = useRef<Promise<void>>(Promise.resolve());
  /** What was last sent to the database, nothing where that failed; how many are on their way, and when one arrived. */
  const written = useRef<LessonContent | undefined>(first);
  const underway = useRef(0);
  const arrived = useRef(savedAt);

  useEffect(() => {
    // Only what stood in this browser when the page opened is offered back.
    queueMicrotask(() => {
      const earlier = kept.read<Kept>(keyOf(id));
      if (earlier && !same(earlier.content, stored.current)) setFound(earlier);
      else kept.forget(keyOf(id));
    });
  }, [id]);

  const store = useCallback(
    (next: LessonContent) => {
      written.current = next;
      underway.current++;
      saving.current = saving.current.then(async () => {
        const answer = await keepLesson(id, version.current, next).catch(() => undefined);
        underway.current--;
        if (answer?.ok) {
          arrived.current = answer.value.at;
          version.current = answer.value.version;
          const newest = kept.read<Kept>(keyOf(id));
          if (newest && same(newest.content, next)) kept.forget(keyOf(id));
          // What was typed since is still on its way: the mark is that of the newest.
          if (stored.current === next) setSave({ kind: 'saved', at: answer.value.at });
        } else {
          const message =
            answer?.message ??
            'Not saved: the program does not answer. It is kept in this browser and tried again at the next change.';
          written.current = undefined;
          setSave({ kind: 'failed', message, conflict: answer?.conflict ?? false });
        }
      });
    },
    [id],
  );

  // Whatever changes the lesson, a word, the board, undo or redo, is kept the same way.
  useEffect(() => {
    if (content === stored.current) return;
    stored.current = content;
    if (content === written.current && underway.current === 0) {
      // Undone and done again before it was sent: the database has it as it stands.
      kept.forget(keyOf(id));
      setSave({ kind: 'saved', at: arrived.current });
      return;
    }
    kept.write(keyOf(id), { content, at: new Date().toISOString() });
    setSave({ kind: 'waiting' });
  }, [content, id]);
  useEffect(() => {
    if (content === written.current) return;
    const timer = setTimeout(() => store(content), SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [content, store]);

  const change = (next: LessonContent) => {
    if (same(next, content) && trial === undefined) return;
    desk.put({ content: next, trial: undefined });
  };
  /** A plan to be tried out; left out, the lesson's own is put back. */
  const tryOut = (plan: Plan | undefined) => {
    if (plan !== trial) desk.put({ content, trial: plan });
  };
  const takeTheirs = async () => {
    const answer = await loadLesson(id);
    if (!answer.ok) return setSave({ kind: 'failed', message: answer.message, conflict: false });
    version.current = answer.value.version;
    stored.current = written.current = answer.value.content;
    desk.put({ content: answer.value.content, trial: undefined });
    kept.forget(keyOf(id));
    setSave({ kind: 'saved', at: new Date().toISOString() });
  };
  const keepMine = async () => {
    const answer = await loadLesson(id);
    if (answer.ok) version.current = answer.value.version;
    store(content);
  };
  const restore = () => {
    // What this browser kept may be from before a lesson could say as much as it can now.
    if (found) change({ ...content, ...found.content });
    setFound(undefined);
  };
  const forget = () => {
    kept.forget(keyOf(id));
    setFound(undefined);
  };
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
    found,
    restore,
    forget,
  };
}

function same(one: LessonContent, other: LessonContent): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}
