import { useState } from 'react';
import Form from 'react-bootstrap/Form';
import {
  LEVELS,
  styleIn,
  type HouseStyle,
  type Level,
  type LightSums,
  type PatternChoice,
  type RuleSums,
  type Sheet,
} from '@/core';
import { LEVEL_WORDS, seen, sumsAt } from '@/messages/levels';
import { BeamWork } from './BeamWork';
import { HelperTable } from './HelperTable';
import { LightWork } from './LightWork';
import { LampsAtAges } from './LampsAtAges';
import { LoopWork } from './LoopWork';
import { RuleWork } from './RuleWork';
import { SumBlockTable } from './SumBlockTable';
import { SoundWork } from './SoundWork';
import { StringWork } from './StringWork';
import { MixWork } from './MixWork';
import { ProgramWork } from './ProgramWork';
import { PulseWork } from './PulseWork';
import { TurnTable } from './TurnTable';
import { TimingWork } from './TimingWork';
import { Totals } from './Totals';
import { KnobTable, RungTable, WalkTable } from './RowTables';
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
  if (sums.loop) return <LoopWork sums={sums} loop={sums.loop} style={style} />;
  return (
    <>
      {sums.ways.length > 1 && (
        <WaysTable ways={sums.ways} style={style} choice={choice} onChoice={onChoice} />
      )}
      {sums.sound && <SoundWork sound={sums.sound} />}
      {sums.beam && <BeamWork beam={sums.beam} />}
      {sums.timing && <TimingWork timing={sums.timing} choice={choice} onChoice={onChoice} />}
      {sums.turns && <TurnTable turns={sums.turns} />}
      {sums.light && <Lit light={sums.light} rule={sums.rule} title={title} />}
      <OnController {...{ sums, title, choice, onChoice }} measuring={sheet.measuring} />
      {sums.pulses && <PulseWork pulses={sums.pulses} />}
      {sums.walk && <WalkTable rows={sums.walk} />}
      {sums.knob && <KnobTable rows={sums.knob} wish={sums.knobWish} />}
      {sums.rungs && <RungTable rows={sums.rungs} />}
      <StringWork sheet={sheet} style={styleIn(choice.params, style)} />
      {sums.helpers && <HelperTable helpers={sums.helpers} />}
      {sums.design.lamps.length > 0 && <LampsAtAges sums={sums} />}
      <Totals sums={sums} style={style} />
    </>
  );
}

/** What a controller does with its pins. */
function OnController({
  sums,
  title,
  choice,
  onChoice,
  measuring,
}: Pick<Props, 'title' | 'choice' | 'onChoice'> & Pick<Sheet, 'sums' | 'measuring'>) {
  if (sums.mix) return <MixWork mix={sums.mix} {...{ title, measuring, choice, onChoice }} />;
  return sums.program && <ProgramWork program={sums.program} {...{ title, measuring }} />;
}

/** A lamp that follows the light, by a transistor or by a program. */
function Lit({ light, rule, title }: { light: LightSums; rule: RuleSums | undefined; title: string }) {
  return rule ? <RuleWork {...{ rule, light, title }} /> : <LightWork light={light} />;
}
