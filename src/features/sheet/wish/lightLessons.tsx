import { formatEntered, measuredIn, SCENES, type ParamsOf, type Scene } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { SCENE_WORDS } from '@/messages/light';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { SupplyWords } from './SupplyWords';
import type { WishProps } from './wishProps';

const names = SCENES.map((scene): [Scene, string] => [scene, SCENE_WORDS[scene]]);
const readOhms = readWithin('A light sensor', 'Ω', 50, 1e7);

/** Where neither was measured before, what a sensor of the table has there. */
const MEASURED = { lit: 24e3, dark: 1100 };

export function LightSwitchWish({ params, style, problems, onChange }: WishProps<ParamsOf<'light-switch'>>) {
  const set = (change: Partial<ParamsOf<'light-switch'>>) => onChange({ ...params, ...change });
  const { sensor } = params;
  /** A measured sensor stays the one that it is: in another light it has what its two readings say of that. */
  const inOther = (which: 'lit' | 'dark', scene: Scene) =>
    sensor && { sensor: { ...sensor, [which]: measuredIn(params, scene) } };
  const ohmsWord = (which: 'lit' | 'dark') =>
    sensor && (
      <Typed
        label={which === 'lit' ? 'Sensor where it is lit' : 'Sensor where it is dark'}
        value={formatEntered(sensor[which], 'Ω')}
        read={readOhms}
        onValue={(ohms) => set({ sensor: { ...sensor, [which]: ohms } })}
        onProblem={problems.of(which)}
        width={7}
      />
    );
  return (
    <>
      Let one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp be lit{' '}
      <Choice
        label="Lit where"
        value={params.lit}
        names={names}
        onChoose={(lit) => set({ lit, ...inOther('lit', lit) })}
      />{' '}
      and dark{' '}
      <Choice
        label="Dark where"
        value={params.dark}
        names={names}
        onChoose={(dark) => set({ dark, ...inOther('dark', dark) })}
      />
      , at about <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />, from{' '}
      <SupplyWords supply={params.supply} problems={problems} onChange={(supply) => set({ supply })} />, with{' '}
      <Choice
        label="Sensor"
        value={sensor ? 'measured' : 'table'}
        names={[
          ['table', 'a sensor as in the table'],
          ['measured', 'our own sensor, which has'],
        ]}
        onChoose={(how) => set({ sensor: how === 'measured' ? MEASURED : undefined })}
      />
      {sensor && (
        <>
          {' '}
          {ohmsWord('lit')} {SCENE_WORDS[params.lit]} and {ohmsWord('dark')} {SCENE_WORDS[params.dark]}
        </>
      )}
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}
