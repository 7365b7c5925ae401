import type { HouseStyle, Sheet, SheetRequest, Shelf } from '@/core';
import { DamageSection } from './DamageSection';
import { IsolateSection } from './IsolateSection';
import { WhatIfSection } from './WhatIfSection';

interface Props {
  readonly sheet: Sheet;
  readonly request: SheetRequest;
  readonly shelf: Shelf;
  readonly style: HouseStyle;
}

/** Where nothing burns: damage it on purpose, say first what will happen, and vary the resistor. */
export function TryStage({ sheet, request, shelf, style }: Props) {
  return (
    <>
      <DamageSection sheet={sheet} request={request} />
      {sheet.isolations.length > 0 && <IsolateSection sheet={sheet} />}
      <WhatIfSection sheet={sheet} shelf={shelf} style={style} />
    </>
  );
}
