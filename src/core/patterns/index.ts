import { single } from './single/single';

/** Every lesson pattern there is. A new one is a file and a line here. */
export const PATTERNS = { single } as const;
export type PatternId = keyof typeof PATTERNS;
