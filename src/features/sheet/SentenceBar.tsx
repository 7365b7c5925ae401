'use client';

import type { HouseStyle, ParamsOf, PatternChoice, PatternId } from '@/core';
import { HoggingSentence, LampCoverSentence, PanelSentence, StringsSentence } from './sentences/bankLessons';
import { GaugeSentence, RgbSentence } from './sentences/colourLessons';
import { CoinLightSentence, DimmerSentence, SingleSentence, WalkDownSentence } from './sentences/lampLessons';
import { useProblems } from './sentences/problems';
import type { SentenceProps } from './sentences/sentence';

interface Props {
  readonly choice: PatternChoice;
  readonly style: HouseStyle;
  onChange(choice: PatternChoice): void;
}

const SENTENCES: { readonly [Id in PatternId]: (props: SentenceProps<ParamsOf<Id>>) => React.ReactNode } = {
  single: SingleSentence,
  'coin-light': CoinLightSentence,
  'walk-down': WalkDownSentence,
  strings: StringsSentence,
  hogging: HoggingSentence,
  dimmer: DimmerSentence,
  rgb: RgbSentence,
  gauge: GaugeSentence,
  panel: PanelSentence,
  'lamp-cover': LampCoverSentence,
};

/** The lesson as a sentence whose underlined words are its inputs. */
export function SentenceBar({ choice, style, onChange }: Props) {
  const problems = useProblems();
  // Each choice carries the parameters of its own pattern; TypeScript cannot see that through the union.
  const Sentence = SENTENCES[choice.pattern] as (props: SentenceProps<unknown>) => React.ReactNode;
  const change = (params: unknown) => onChange({ ...choice, params } as PatternChoice);
  return (
    <>
      <p className="sentence">
        <Sentence params={choice.params} style={style} problems={problems} onChange={change} />
      </p>
      {problems.notes}
    </>
  );
}
