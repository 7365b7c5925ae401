import type { Case } from './case';
import { movingCases } from './moving';
import { steadyCases } from './steady';

/** Every comparison of the core with a figure that comes from elsewhere, by chapter. */
export const CHAPTERS: Readonly<Record<string, () => Case[]>> = {
  'Operating points': steadyCases,
  'Over time': movingCases,
};
