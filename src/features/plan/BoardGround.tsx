import { boardOf, type Plan } from '@/core';
import { CardGround } from './CardGround';
import type { Extent, View } from './geometry';
import { PlugGround } from './PlugGround';
import { SolderGround } from './SolderGround';

/** The board itself, without anything on it: of whichever sort it is. */
export function BoardGround({ plan, extent, view }: { plan: Plan; extent: Extent; view: View }) {
  switch (boardOf(plan).copper) {
    case 'rows':
      return <PlugGround plan={plan} rows={extent.foot - 1} view={view} />;
    case 'strips':
    case 'pads':
      return <SolderGround plan={plan} extent={extent} view={view} />;
    case 'tapes':
      return <CardGround plan={plan} extent={extent} />;
  }
}
