import Button from 'react-bootstrap/Button';
import { formatQuantity, noteReading, PREDICTED } from '@/core';
import { Entry } from './Entry';
import type { OwnReadings } from './useOwnReadings';

interface Props {
  readonly readings: OwnReadings;
  onSkip(): void;
}

/** What a student predicts before anything is switched on. */
export function Guess({ readings, onSkip }: Props) {
  return (
    <Entry
      id="guess"
      title="First predict: what current will flow?"
      how="In milliamperes. Nobody marks it; you will see how near you were."
      measured="amps"
      button="This is my guess"
      onEnter={(typed) => readings.enter(PREDICTED, typed)}
    >
      <Button variant="quiet" onClick={onSkip}>
        No idea yet
      </Button>
    </Entry>
  );
}

/** What was predicted, and beside it what was read since. */
export function GuessBeside({ readings, currents }: { readings: OwnReadings; currents: readonly string[] }) {
  const guess = readings.at(PREDICTED).at(-1);
  if (guess === undefined) return null;
  const read = currents.map((point) => readings.at(point).at(-1)).find((typed) => typed !== undefined);
  return (
    <p className="soft">
      You predicted {amps(guess)}
      {read === undefined ? '.' : <>; you read {amps(read)}.</>}
    </p>
  );
}

function amps(typed: string): string {
  const noted = noteReading(typed, 'amps');
  return noted.ok ? formatQuantity(noted.value.value, 'A') : typed;
}
