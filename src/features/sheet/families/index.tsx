import type { ReactNode } from 'react';
import type { Family, HouseStyle, PatternChoice, Sheet, SumsOf } from '@/core';
import { BeamWork } from './BeamWork';
import { LightWork } from './LightWork';
import { MixWork } from './MixWork';
import { ProgramWork } from './ProgramWork';
import { PulseWork } from './PulseWork';
import { KnobTable, RungTable, WalkTable } from './RowTables';
import { RuleWork } from './RuleWork';
import { SoundWork } from './SoundWork';
import { TimingWork } from './TimingWork';
import { TurnTable } from './TurnTable';

export interface FamilyProps {
  readonly sheet: Sheet;
  readonly style: HouseStyle;
  readonly choice: PatternChoice;
  readonly title: string;
  onChoice(choice: PatternChoice): void;
}

type OwnWork<F extends Family> = (props: FamilyProps & { readonly own: SumsOf<F> }) => ReactNode;

/** What each family shows of its own working, before the sums of its resistors. */
const OWN_WORK: { readonly [F in Family]: OwnWork<F> } = {
  bank: () => null,
  // Its working is that of its one resistor.
  loop: () => null,
  walk: ({ own }) => <WalkTable rows={own.walk} />,
  knob: ({ own }) => <KnobTable rows={own.knob} wish={own.wished} />,
  gauge: ({ own }) => <RungTable rows={own.rungs} />,
  timed: ({ own, choice, onChoice }) => (
    <>
      <TimingWork timing={own.timing} choice={choice} onChoice={onChoice} />
      {own.turns.length > 0 && <TurnTable turns={own.turns} />}
    </>
  ),
  beam: ({ own, choice, onChoice }) => (
    <>
      <BeamWork beam={own.beam} />
      <TimingWork timing={own.timing} choice={choice} onChoice={onChoice} />
    </>
  ),
  pulsed: ({ own }) => <PulseWork pulses={own.pulses} />,
  mix: ({ own, sheet: { measuring }, title, choice, onChoice }) => (
    <MixWork mix={own.mix} {...{ title, measuring, choice, onChoice }} />
  ),
  program: ({ own, sheet: { measuring }, title }) => (
    <ProgramWork program={own.program} {...{ title, measuring }} />
  ),
  light: ({ own }) => <LightWork light={own.light} />,
  rule: ({ own, title }) => <RuleWork rule={own.rule} light={own.light} title={title} />,
  sound: ({ own }) => <SoundWork sound={own.sound} />,
};

/** The working that a lesson has by its family. */
export function FamilyWork(props: FamilyProps): ReactNode {
  const { own } = props.sheet.sums;
  // One name always goes with its own sums, which TypeScript cannot see through the union.
  const Work = OWN_WORK[own.family] as unknown as OwnWork<Family>;
  return <Work {...props} own={own} />;
}
