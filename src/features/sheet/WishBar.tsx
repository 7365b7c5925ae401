'use client';

import type { HouseStyle, ParamsOf, PatternChoice, PatternId } from '@/core';
import { HoggingWish, LampCoverWish, PanelWish, StringsWish } from './wish/bankLessons';
import { GaugeWish, RgbWish } from './wish/colourLessons';
import { CoinLightWish, DimmerWish, SingleWish, WalkDownWish } from './wish/lampLessons';
import {
  AlternateWish,
  BlinkSimpleWish,
  BlinkWish,
  ChainWish,
  OneShotWish,
  ToneWish,
} from './wish/timerLessons';
import { BeamAlarmWish } from './wish/beamLesson';
import { DuskControllerWish, LightSwitchWish } from './wish/lightLessons';
import { SequenceTable } from './wish/SequenceTable';
import { SequenceWish } from './wish/sequenceLesson';
import { SoundLightsWish } from './wish/soundLesson';
import { SoundInWords } from './wish/SoundInWords';
import { PulsedWish } from './wish/pulsedLesson';
import { useProblems } from './wish/problems';
import type { WishProps } from './wish/wishProps';

interface Props {
  readonly choice: PatternChoice;
  readonly style: HouseStyle;
  onChange(choice: PatternChoice): void;
}

const WISHES: { readonly [Id in PatternId]: (props: WishProps<ParamsOf<Id>>) => React.ReactNode } = {
  single: SingleWish,
  'coin-light': CoinLightWish,
  'walk-down': WalkDownWish,
  strings: StringsWish,
  hogging: HoggingWish,
  dimmer: DimmerWish,
  rgb: RgbWish,
  gauge: GaugeWish,
  panel: PanelWish,
  'lamp-cover': LampCoverWish,
  blink: BlinkWish,
  'blink-simple': BlinkSimpleWish,
  'one-shot': OneShotWish,
  alternate: AlternateWish,
  chain: ChainWish,
  tone: ToneWish,
  pulsed: PulsedWish,
  'light-switch': LightSwitchWish,
  'beam-alarm': BeamAlarmWish,
  sequence: SequenceWish,
  'dusk-controller': DuskControllerWish,
  'sound-lights': SoundLightsWish,
};

/** The lesson as a sentence whose underlined words are its inputs. */
export function WishBar({ choice, style, onChange }: Props) {
  const problems = useProblems();
  // Each choice carries the parameters of its own pattern; TypeScript cannot see that through the union.
  const Wish = WISHES[choice.pattern] as (props: WishProps<unknown>) => React.ReactNode;
  const change = (params: unknown) => onChange({ ...choice, params } as PatternChoice);
  return (
    <>
      <p className="sentence">
        <Wish params={choice.params} style={style} problems={problems} onChange={change} />
      </p>
      {choice.pattern === 'sequence' && (
        <SequenceTable params={choice.params} problems={problems} onChange={change} />
      )}
      {choice.pattern === 'sound-lights' && <SoundInWords params={choice.params} onChange={change} />}
      {problems.notes}
    </>
  );
}
