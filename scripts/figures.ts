// npx tsx scripts/figures.ts write FILE | compare FILE
// What every demo lesson and every pattern's usual wishes come to, in figures and words: written down before code is
// restructured, and compared after. Names of fields inside of sums do not count; whatever a user reads does.
import { readFileSync, writeFileSync } from 'node:fs';
import {
  circuitFile,
  DEFAULT_STYLE,
  everyFault,
  faultContext,
  makeSheet,
  PATTERN_IDS,
  PATTERNS,
  type PatternChoice,
  type Sheet,
  type SheetRequest,
} from '@/core';
import { LESSONS } from '@/demo/lessons';
import { CAUTION_WORDS } from '@/messages/cautions';
import { sentence } from '@/messages/findings';
import { glossaryFor } from '@/messages/glossary';
import { boardLamps } from '@/messages/program';
import { goalWords } from '@/messages/goals';
import { seen, sumsAt } from '@/messages/levels';
import { lessonLine } from '@/messages/families';
import { inShort } from '@/messages/sheetText';
import { stepWords } from '@/messages/steps';
import { talkFor } from '@/messages/talk';
import { choiceWith, requestWith } from '../tests/support/sheets';

const lessons: readonly (readonly [string, PatternChoice])[] = [
  ...LESSONS.map(({ title, choice }) => [title, choice] as const),
  ...PATTERN_IDS.map((id) => [id, choiceWith(id, PATTERNS[id].defaults(DEFAULT_STYLE) as never)] as const),
];

function cameTo(choice: PatternChoice): unknown {
  const draws = { samples: 200, seed: 1, coverage: 0.95 };
  const request: SheetRequest = { ...requestWith(), choice, draws };
  const made = makeSheet(request);
  if (!made.ok) return made.findings;
  const sheet: Sheet = made.value;
  const { sums, ...rest } = sheet;
  return {
    ...rest,
    sums: [sums.design, sums.ages, sums.strings, sums.life, sums.ways, sums.hottest, boardLamps(sheet)],
    words: {
      line: lessonLine(sheet),
      short: inShort('', sheet),
      steps: sheet.steps.map((step) => stepWords(step, sheet)),
      talk: talkFor(sheet),
      working: sumsAt('full working', sheet),
      card: [sumsAt('card', sheet), seen(sheet, 'card')],
      plain: [sumsAt('no mathematics', sheet), seen(sheet, 'no mathematics')],
      whole: seen(sheet, 'full working'),
      goals: sheet.goals.map((goal) => goalWords(goal, sheet.supply)),
      findings: sheet.findings.map((finding) => sentence(finding)),
      cautions: sheet.cautions.map(({ code }) => CAUTION_WORDS[code]),
      glossary: glossaryFor(sheet, 'full working', {}),
    },
    faults: everyFault(faultContext(sheet, request)).map(({ circuit, ...fault }) => ({
      ...fault,
      circuit: circuitFile(circuit),
    })),
  };
}

/** Paths at which two plain values differ, the first few. */
function differences(one: unknown, other: unknown, path: string, found: string[]): string[] {
  if (found.length > 20 || JSON.stringify(one) === JSON.stringify(other)) return found;
  if (typeof one !== 'object' || typeof other !== 'object' || !one || !other) {
    found.push(`${path}: ${JSON.stringify(one)?.slice(0, 200)} | ${JSON.stringify(other)?.slice(0, 200)}`);
    return found;
  }
  const [a, b] = [one as Record<string, unknown>, other as Record<string, unknown>];
  for (const key of new Set([...Object.keys(a), ...Object.keys(b)])) {
    differences(a[key], b[key], `${path}/${key}`, found);
  }
  return found;
}

const [what, file = '/tmp/figures.json'] = process.argv.slice(2);
const now = Object.fromEntries(lessons.map(([title, choice]) => [title, cameTo(choice)]));
if (what === 'write') writeFileSync(file, JSON.stringify(now));
else {
  const found = differences(JSON.parse(readFileSync(file, 'utf8')), JSON.parse(JSON.stringify(now)), '', []);
  console.log(found.length === 0 ? `${lessons.length} lessons: nothing differs.` : found.join('\n'));
  process.exitCode = found.length === 0 ? 0 : 1;
}
