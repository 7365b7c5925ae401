import { boardOf, type Plan, type SourceChoice } from '@/core';
import { CardGround } from './CardGround';
import type { Extent, View } from './geometry';
import { PlugGround } from './PlugGround';
import { SolderGround } from './SolderGround';

interface Props {
  readonly plan: Plan;
  readonly supply: SourceChoice;
  readonly extent: Extent;
  readonly view: View;
}

/** The board itself, without anything on it: of whichever sort it is. */
export function BoardGround({ plan, supply, extent, view }: Props) {
  switch (boardOf(plan).copper) {
    case 'rows':
      return <PlugGround plan={plan} rows={extent.foot - 1} view={view} />;
    case 'strips':
    case 'pads':
      return <SolderGround plan={plan} extent={extent} view={view} />;
    case 'tapes':
      return <CardGround plan={plan} coin={supply.kind === 'coin-20mm'} extent={extent} />;
  }
}
