import type { HouseStyle } from '@/core';
import type { Problems } from './problems';

/** What the sentence of one pattern is given. */
export interface WishProps<Params> {
  readonly params: Params;
  readonly style: HouseStyle;
  readonly problems: Problems;
  onChange(params: Params): void;
}
