import type { Ref } from 'react';
import { boardOf, type Plan, type SourceChoice } from '@/core';
import { CellFaces } from './CellFaces';
import { CopperSide } from './CopperSide';

interface Props {
  readonly plan: Plan;
  readonly supply: SourceChoice;
  readonly held: 'upright' | 'flat';
  readonly svgRef?: Ref<SVGSVGElement>;
}

/** What a build shows besides its face with the parts: the copper, or the coin cell between its tapes. */
export function FarSide({ plan, supply, held, ...rest }: Props) {
  const title = farSideOf(plan, supply) ?? '';
  return boardOf(plan).copper === 'tapes' ? (
    <CellFaces title={title} {...rest} />
  ) : (
    <CopperSide plan={plan} held={held} title={title} {...rest} />
  );
}

/** What the other drawing of a build is of, from which side; a plug-in board has none. */
export function farSideOf(plan: Plan, supply: SourceChoice): string | undefined {
  switch (boardOf(plan).copper) {
    case 'rows':
      return undefined;
    case 'tapes':
      return supply.kind === 'coin-20mm' ? 'the coin cell from both faces and from its edge' : undefined;
    case 'strips':
    case 'pads':
      return 'the copper side, the board turned over like a page';
  }
}
