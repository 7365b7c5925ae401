import type { LessonContent } from '@/server/repositories/lessons';
import type { Shown } from '@/ui/Overtaken';

/** A lesson as its fields, for two versions of it side by side. */
export function contentShown(content: LessonContent): Shown {
  const { choice, plan, extras, ageGroup } = content;
  const wish = Object.entries({ ...choice.params, ...choice.build }).map(
    ([name, value]) =>
      [`wish: ${name}`, typeof value === 'object' ? JSON.stringify(value) : String(value)] as const,
  );
  return [
    ['title', content.title],
    ['aim', content.aim],
    ['story', content.story],
    ['notes', content.notes],
    ['homework', content.homework],
    ['age of the students', ageGroup],
    ['working', content.level],
    ['pattern', choice.pattern],
    ...wish,
    ['what it wants besides', extras.map(({ name, each }) => `${each} ${name}`).join(', ')],
    [
      'plan',
      plan === null
        ? 'lays itself out'
        : `arranged by hand, ${plan.placements.length} parts and wires${checkOf(plan)}`,
    ],
  ];
}

/** Two plans of as many parts may still differ: a short check says whether they do. */
function checkOf(plan: unknown): string {
  let sum = 0;
  for (const sign of JSON.stringify(plan)) sum = (sum * 31 + sign.codePointAt(0)!) % 9973;
  return ` (no. ${sum})`;
}
