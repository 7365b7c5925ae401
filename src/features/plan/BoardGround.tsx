import { boardOf, type Plan } from '@/core';
import { CardGround } from './CardGround';
import type { Extent, Held } from './geometry';
import { PlugGround } from './PlugGround';
import { SolderGround } from './SolderGround';

/** The board itself, without anything on it: of whichever sort it is. */
export function BoardGround({ plan, extent, held }: { plan: Plan; extent: Extent; held: Held }) {
  switch (boardOf(plan).copper) {
    case 'rows':
      return <PlugGround plan={plan} rows={extent.foot - 1} held={held} />;
    case 'strips':
    case 'pads':
      return <SolderGround plan={plan} extent={extent} />;
    case 'tapes':
      return <CardGround plan={plan} extent={extent} />;
  }
}
