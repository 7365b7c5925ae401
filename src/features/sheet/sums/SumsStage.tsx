import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import {
  helpersIn,
  LEVELS,
  styleIn,
  type HouseStyle,
  type Level,
  type PatternChoice,
  type Sheet,
} from '@/core';
import { LEVEL_WORDS, seen, sumsAt } from '@/messages/levels';
import { HelperTable } from './HelperTable';
import { LampsAtAges } from './LampsAtAges';
import { LoopWork } from '../families/LoopWork';
import { SumBlockTable } from './SumBlockTable';
import { StringWork } from './StringWork';
import { Totals } from './Totals';
import { FamilyWork } from '../families';
import { WaysTable } from './WaysTable';

interface Props {
  readonly sheet: Sheet;
  readonly style: HouseStyle;
  readonly choice: PatternChoice;
  readonly title: string;
  /** What the students are given. */
  readonly level: Level;
  onChoice(choice: PatternChoice): void;
}

/** The working at the level that one looks at: as the students get it, or whole. */
export function SumsStage({ sheet, style, choice, title, level, onChoice }: Props) {
  const [shown, setShown] = useState<Level>('full working');
  return (
    <>
      <div className="level-switch no-print">
        <Form.Label htmlFor="sums-level">Shown with</Form.Label>
        <Form.Select
          id="sums-level"
          size="sm"
          className="w-auto"
          value={shown}
          onChange={(event) => setShown(event.target.value as Level)}
        >
          {LEVELS.map((name) => (
            <option key={name} value={name}>
              {LEVEL_WORDS[name].name}
              {name === level ? ', as the students get it' : ''}
            </option>
          ))}
        </Form.Select>
      </div>
      {shown === 'full working' ? (
        <FullWorking {...{ sheet, style, choice, title, onChoice }} />
      ) : (
        [...sumsAt(shown, sheet), seen(sheet, shown)].map((block) => (
          <SumBlockTable key={block.title} block={block} />
        ))
      )}
    </>
  );
}

/** The working, the lamps as the supply ages, and the ways that were compared. */
function FullWorking({ sheet, style, choice, title, onChoice }: Omit<Props, 'level'>) {
  const { sums } = sheet;
  if (sums.own.family === 'loop') return <LoopWork sums={sums} loop={sums.own.loop} style={style} />;
  return (
    <>
      {sums.ways.length > 1 && (
        <WaysTable ways={sums.ways} style={style} choice={choice} onChoice={onChoice} />
      )}
      <FamilyWork {...{ sheet, style, choice, title, onChoice }} />
      <StringWork sheet={sheet} style={styleIn(choice.params, style)} />
      <HelperTable helpers={helpersIn(sums)} />
      {sums.design.lamps.length > 0 && <LampsAtAges sums={sums} />}
      <Totals sums={sums} style={style} />
    </>
  );
}
