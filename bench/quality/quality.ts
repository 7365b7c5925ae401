import {
  faultContext,
  makeSheet,
  PATTERN_IDS,
  sessionExpectation,
  type PatternId,
  type SheetRequest,
} from '@/core';
import { choiceWith, requestWith } from '../../tests/support/sheets';
import type { Line } from '../measure';
import { buildsOf } from './builds';
import { count, lineOf, zero, type Tally } from './tally';
import { isWeak, spelt, tryOut } from './trial';

const MANY = Number(process.env['MIVVET_BUILDS'] ?? 1000);
const SEED = Number(process.env['MIVVET_SEED'] ?? 20261);

/** Judges simulated builds of every lesson pattern, with the measurements the tool asks for, beside a plain method. */
export function benchQuality(): Line[] {
  const asked = process.env['MIVVET_PATTERN'];
  const patterns = asked ? (asked.split(',') as PatternId[]) : PATTERN_IDS;
  const lines: Line[] = [];
  const sum = zero();
  for (const pattern of patterns) {
    const tally = tallyOf(pattern);
    for (const key of Object.keys(sum) as (keyof Tally)[]) sum[key] += tally[key];
    lines.push(lineOf(pattern, tally));
    console.log(`${pattern.padEnd(20)} ${lineOf(pattern, tally).figure}`);
  }
  return [lineOf('all', sum)];
}

function requestOf(pattern: PatternId): SheetRequest {
  const draws = { samples: 1000, seed: 1, coverage: 0.95 };
  return requestWith({}, { choice: choiceWith(pattern, {}, pattern === 'panel' ? 'full' : 'half'), draws });
}

function tallyOf(pattern: PatternId): Tally {
  const request = requestOf(pattern);
  const sheet = makeSheet(request);
  if (!sheet.ok) throw new Error(`${pattern} is refused`);
  const session = sessionExpectation(sheet.value, request);
  const context = faultContext(sheet.value, request);
  const tally = zero();
  for (const build of buildsOf(context, MANY, SEED)) {
    const tried = tryOut(session, context, build);
    if (!tried) continue;
    count(tally, tried);
    if (process.env['MIVVET_SHOW'] && isWeak(tried)) console.log(spelt(tried));
  }
  return tally;
}
