'use client';

import type { HouseStyle, PatternChoice } from '@/core';
import { wishOf } from '@/messages/wishes';
import { useProblems } from './wish/problems';
import { SequenceTable } from './wish/SequenceTable';
import { SoundInWords } from './wish/SoundInWords';
import { WishSentence } from './wish/WishSentence';

interface Props {
  readonly choice: PatternChoice;
  readonly style: HouseStyle;
  onChange(choice: PatternChoice): void;
}

/** The lesson as a sentence whose underlined words are its inputs. */
export function WishBar({ choice, style, onChange }: Props) {
  const problems = useProblems();
  // Each choice carries the parameters of its own pattern; TypeScript cannot see that through the union.
  const change = (params: unknown) => onChange({ ...choice, params } as PatternChoice);
  return (
    <>
      <p className="sentence">
        <WishSentence<unknown>
          piece={wishOf(choice.pattern)}
          params={choice.params}
          style={style}
          problems={problems}
          onChange={change}
        />
      </p>
      {choice.pattern === 'sequence' && (
        <SequenceTable params={choice.params} problems={problems} onChange={change} />
      )}
      {choice.pattern === 'sound-lights' && <SoundInWords params={choice.params} onChange={change} />}
      {problems.notes}
    </>
  );
}
