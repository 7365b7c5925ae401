import { cautionsAt, type Sheet } from '@/core';
import { CAUTION_WORDS } from './cautions';
import { lessonLine } from './families';
import { stockName } from './names';
import { stepWords } from './steps';

/** The build card as Markdown: parts, steps with boxes to tick, cautions at their steps. */
export function cardMarkdown(title: string, sheet: Sheet): string {
  const start = sheet.cautions.filter(({ place }) => place === 'start' || place === 'kit');
  const lines = [
    `# ${title}`,
    '',
    `${lessonLine(sheet)}. About ${Math.round(sheet.minutes)} minutes.`,
    '',
    ...start.map(({ code }) => `> ${CAUTION_WORDS[code]}\n`),
    '## Parts',
    '',
    ...sheet.kit.lines.map(({ each, spec, parts }) => `- ${each} × ${stockName(spec)} (${parts.join(', ')})`),
    '',
    '## Steps',
    '',
    ...sheet.steps.flatMap((step, i) => {
      const { title: what, detail, cue, why } = stepWords(step, sheet);
      const cautions = cautionsAt(step, sheet.cautions, sheet.steps).map(
        ({ code }) => `   **${CAUTION_WORDS[code]}**`,
      );
      return [
        `${i + 1}. [ ] **${what}**`,
        ...(cue ? [`   *${cue}*`] : []),
        `   ${detail}`,
        `   Why: ${why}`,
        ...cautions,
        '',
      ];
    }),
  ];
  return `${lines.join('\n').trimEnd()}\n`;
}

/** The same as data: every step with its holes, words and minutes, and the plan that it was made from. */
export function cardJson(title: string, sheet: Sheet): string {
  const steps = sheet.steps.map((step) => ({ ...step, words: stepWords(step, sheet) }));
  const { plan, minutes } = sheet;
  return `${JSON.stringify({ format: 'mivvet.card/1', title, minutes, plan, steps }, null, 2)}\n`;
}
