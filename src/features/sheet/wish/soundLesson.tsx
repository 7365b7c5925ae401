import { formatEntered, type ParamsOf, type SoundBand } from '@/core';
import { Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { BAND_HEARD } from '@/messages/sound';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { SupplyWords } from './SupplyWords';
import type { WishProps } from './wishProps';

type Params = ParamsOf<'sound-lights'>;

const readLow = readWithin('The lower bound', 'Hz', 80, 800);
const readHigh = readWithin('The upper bound', 'Hz', 600, 6000);
const readLevel = readWithin('A level', 'V', 0.05, 1);

export function SoundLightsWish({ params, style, problems, onChange }: WishProps<Params>) {
  const set = (change: Partial<Params>) => onChange({ ...params, ...change });
  const lampOf = (band: SoundBand) => (
    <LampWord
      label={`Lamps for the ${BAND_HEARD[band]}`}
      lamp={params.lamps[band]}
      onChange={(lamp) => set({ lamps: { ...params.lamps, [band]: lamp } })}
    />
  );
  const bound = (name: 'low' | 'high') => (
    <Typed
      label={name === 'low' ? 'Lower bound' : 'Upper bound'}
      value={formatEntered(params.bounds[name], 'Hz')}
      read={name === 'low' ? readLow : readHigh}
      onValue={(hertz) => set({ bounds: { ...params.bounds, [name]: hertz } })}
      onProblem={problems.of(name === 'low' ? 'lower bound' : 'upper bound')}
      width={7}
    />
  );
  return (
    <>
      Let the bass light two {lampOf('low')} lamps, voices two {lampOf('middle')} and cymbals two{' '}
      {lampOf('high')}, parted at {bound('low')} and {bound('high')}, at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />, by sound of{' '}
      <Typed
        label="Level of the sound"
        value={formatEntered(params.level, 'V')}
        read={readLevel}
        onValue={(level) => set({ level })}
        onProblem={problems.of('level of the sound')}
        width={6}
      />{' '}
      on each side, from{' '}
      <SupplyWords supply={params.supply} problems={problems} onChange={(supply) => set({ supply })} />
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}
