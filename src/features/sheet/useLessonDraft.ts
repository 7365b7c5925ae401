'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
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
const MOST_UNDO = 100;
const keyOf = (id: number) => `mivvet.lesson.${id}`;

/**
 * A lesson being worked on: every change is kept in this browser at once and in the database when typing rests,
 * with undo and redo, and with both versions at hand when somebody else saved in between.
 */
export function useLessonDraft(id: number, first: LessonContent, firstVersion: number, savedAt: string) {
  const [content, setContent] = useState(first);
  const [past, setPast] = useState<readonly LessonContent[]>([]);
  const [future, setFuture] = useState<readonly LessonContent[]>([]);
  const [save, setSave] = useState<SaveState>({ kind: 'saved', at: savedAt });
  const [found, setFound] = useState<Kept | undefined>();
  const version = useRef(firstVersion);
  const dirty = useRef(false);
  const saving = useRef<Promise<void>>(Promise.resolve());

  const opened = useRef(first);
  useEffect(() => {
    // Only what stood in this browser when the page opened is offered back.
    queueMicrotask(() => {
      const kept = readKept(id);
      if (kept && JSON.stringify(kept.content) !== JSON.stringify(opened.current)) setFound(kept);
      else localStorage.removeItem(keyOf(id));
    });
  }, [id]);

  const store = useCallback(
    (next: LessonContent) => {
      saving.current = saving.current.then(async () => {
        const answer = await keepLesson(id, version.current, next).catch(() => undefined);
        if (answer?.ok) {
          version.current = answer.value.version;
          if (JSON.stringify(readKept(id)?.content) === JSON.stringify(next))
            localStorage.removeItem(keyOf(id));
          setSave({ kind: 'saved', at: answer.value.at });
        } else {
          const message =
            answer?.message ??
            'Not saved: the program does not answer. It is kept in this browser and tried again at the next change.';
          setSave({ kind: 'failed', message, conflict: answer?.conflict ?? false });
        }
      });
    },
    [id],
  );

  useEffect(() => {
    if (!dirty.current) return;
    const timer = setTimeout(() => {
      dirty.current = false;
      store(content);
    }, SAVE_AFTER_MS);
    return () => clearTimeout(timer);
  }, [content, store]);

  const put = useCallback(
    (next: LessonContent) => {
      dirty.current = true;
      localStorage.setItem(keyOf(id), JSON.stringify({ content: next, at: new Date().toISOString() }));
      setSave({ kind: 'waiting' });
      setContent(next);
    },
    [id],
  );
  const change = (next: LessonContent) => {
    if (JSON.stringify(next) === JSON.stringify(content)) return;
    setPast([...past.slice(-MOST_UNDO), content]);
    setFuture([]);
    put(next);
  };
  const undo = () => {
    const before = past[past.length - 1];
    if (!before) return;
    setPast(past.slice(0, -1));
    setFuture([content, ...future]);
    put(before);
  };
  const redo = () => {
    const [after, ...rest] = future;
    if (!after) return;
    setPast([...past, content]);
    setFuture(rest);
    put(after);
  };
  const takeTheirs = async () => {
    const answer = await loadLesson(id);
    if (!answer.ok) return setSave({ kind: 'failed', message: answer.message, conflict: false });
    version.current = answer.value.version;
    setPast([...past, content]);
    setContent(answer.value.content);
    localStorage.removeItem(keyOf(id));
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
    localStorage.removeItem(keyOf(id));
    setFound(undefined);
  };
  return {
    content,
    change,
    undo: past.length ? undo : undefined,
    redo: future.length ? redo : undefined,
    save,
    takeTheirs,
    keepMine,
    retry: () => store(content),
    found,
    restore,
    forget,
  };
}

function readKept(id: number): Kept | undefined {
  try {
    const text = localStorage.getItem(keyOf(id));
    return text === null ? undefined : (JSON.parse(text) as Kept);
  } catch {
    return undefined;
  }
}
