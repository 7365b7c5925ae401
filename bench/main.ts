import { benchBands } from './bands';
import { benchDay } from './day';
import { benchDictionary } from './dictionary';
import { benchLayout } from './layout';
import { benchRun } from './run';
import { benchSheet } from './sheet';
import { benchSolve } from './solve';

/** npm run bench: medians, with the machine's own yardstick beside them so that ratios hold anywhere. */
for (const part of [benchSolve, benchRun, benchBands, benchSheet, benchLayout, benchDay, benchDictionary]) {
  for (const { work, figure } of part()) console.log(`${work.padEnd(64)} ${figure}`);
}
