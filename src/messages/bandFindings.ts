import { formatPercent, formatQuantity, type FindingData, type Unit } from '@/core';

type Code = 'band-at-odds' | 'draws-left-out';

/** Where the program itself is wrong, or cannot say what it should. */
export const BAND_SENTENCES: { readonly [C in Code]: (data: FindingData[C]) => string } = {
  'band-at-odds': ({ check, unit, typical, low, high, worstLow, worstHigh }) => {
    const q = (value: number) => formatQuantity(value, unit as Unit);
    return `An error of this program at ${check}: typical ${q(typical)}, band ${q(low)} to ${q(high)} and corners ${q(worstLow)} to ${q(worstHigh)} contradict one another. Do not judge a bench by ${check}.`;
  },
  'draws-left-out': ({ unsettled, samples }) =>
    `${formatPercent(unsettled / samples)} of the builds that were drawn did not settle and are left out: the bands are of the others alone, and may be too narrow.`,
};
