import { spokenChannels, type ParamsOf } from '@/core';
import { InWords } from './InWords';

type Params = ParamsOf<'sound-lights'>;

/** Which lamps follow what, all at once, as it is said. */
export function SoundInWords({ params, onChange }: { params: Params; onChange(params: Params): void }) {
  return (
    <InWords
      summary="The lamps in words"
      label="The lamps in words"
      placeholder="bass red, voice yellow, cymbals blue"
      rows={1}
      stays="The lamps stay as they are."
      onTake={(words) => {
        const next = spokenChannels(words, params.lamps);
        if (next.ok) onChange({ ...params, lamps: next.value });
        return next.findings;
      }}
    />
  );
}
