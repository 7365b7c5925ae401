import { benchBands } from './bands';
import { benchClass } from './class';
import { benchDay } from './day';
import { benchDictionary } from './dictionary';
import { benchGrown, benchHouse } from './house';
import { benchLayout } from './layout';
import type { Line } from './measure';
import { benchQuality } from './quality/quality';
import { benchRun } from './run';
import { benchSheet } from './sheet';
import { benchSolve } from './solve';

const PARTS: Readonly<Record<string, () => Line[] | Promise<Line[]>>> = {
  solve: benchSolve,
  run: benchRun,
  bands: benchBands,
  sheet: benchSheet,
  layout: benchLayout,
  day: benchDay,
  dictionary: benchDictionary,
  quality: benchQuality,
  class: benchClass,
  house: benchHouse,
  grown: benchGrown,
};

/**
 * npm run bench: medians, with the machine's own yardstick beside them so that ratios hold anywhere.
 * `npm run bench -- house` does one part; the house wants `npm run build` before it.
 */
async function main(): Promise<void> {
  const asked = process.argv.slice(2);
  for (const name of asked.length > 0 ? asked : Object.keys(PARTS)) {
    const part = PARTS[name];
    if (!part) throw new Error(`There is no part “${name}”: ${Object.keys(PARTS).join(', ')}.`);
    for (const { work, figure } of await part()) console.log(`${work.padEnd(64)} ${figure}`);
  }
}

void main();
