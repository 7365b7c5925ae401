import type { HouseStyle, PatternChoice, Sheet } from '@/core';
import { LampsAtAges } from './LampsAtAges';
import { SingleSumsView } from './SingleSums';
import { StringWork } from './StringWork';
import { Totals } from './Totals';
import { KnobTable, RungTable, WalkTable } from './RowTables';
import { WaysTable } from './WaysTable';

interface Props {
  readonly sheet: Sheet;
  readonly style: HouseStyle;
  readonly choice: PatternChoice;
  onChoice(choice: PatternChoice): void;
}

/** The working, the lamps as the supply ages, and the ways that were compared. */
export function SumsStage({ sheet, style, choice, onChoice }: Props) {
  const { sums, steady } = sheet;
  if (sums) return <SingleSumsView sums={sums} style={style} />;
  return (
    <>
      {steady.ways.length > 1 && (
        <WaysTable ways={steady.ways} style={style} choice={choice} onChoice={onChoice} />
      )}
      {steady.walk && <WalkTable rows={steady.walk} />}
      {steady.knob && <KnobTable rows={steady.knob} />}
      {steady.rungs && <RungTable rows={steady.rungs} />}
      <StringWork steady={steady} style={style} />
      <LampsAtAges steady={steady} />
      <Totals steady={steady} style={style} />
    </>
  );
}
