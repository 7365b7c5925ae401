import { DEFAULT_BUILD, lessonWords, makeSheet, type PatternChoice } from '@/core';
import { LessonSheet } from '@/features/sheet/LessonSheet';
import type { LessonContent } from '@/server/repositories/lessons';
import { z } from 'zod';
import { row, said, screen, show, within } from './screen';
import { requestWith } from './sheets';

export const SAVED_AT = '2026-11-25T10:00:00.000Z';
/** One lamp with its parts in rows only. */
export const SINGLE: PatternChoice = {
  ...requestWith().choice,
  build: { ...DEFAULT_BUILD, rails: 'wires only' },
};

export function contentOf(choice: PatternChoice, more: Partial<LessonContent> = {}): LessonContent {
  return { ...z.object(lessonWords).parse({ title: 'Pier lamp' }), choice, plan: null, ...more };
}

/** Opens the lesson of a choice at a stage. */
export function openLesson(
  choice: PatternChoice = SINGLE,
  stage = 'sums',
  more: Partial<LessonContent> = {},
) {
  window.history.replaceState(null, '', `?stage=${stage}`);
  const { choice: _choice, ageGroup: _age, plan: _plan, ...surroundings } = requestWith();
  const content = contentOf(choice, more);
  const around = { ...surroundings, draws: { ...surroundings.draws, samples: 50 } };
  return show(
    <LessonSheet
      id={7}
      place="Model harbour · lesson 1 of 12"
      content={content}
      version={1}
      updatedAt={SAVED_AT}
      archived={false}
      first={makeSheet({ ...requestWith(), ...around, choice })}
      surroundings={around}
      restDraws={60}
      batteries={[]}
      course={[]}
      words={{}}
      groups={[{ id: 3, name: 'Tern', students: 14 }]}
      sessions={[]}
      today="2026-11-25"
    />,
  );
}

/** The figure at the end of a line of working. */
export const line = (name: string) => said(row(new RegExp(name, 'u')).querySelector('td:last-child'));
export const verdict = () => said(document.querySelector('.what-happens'));
export const stage = (name: RegExp) => within(screen.getByRole('navigation')).getByRole('button', { name });
