import { formatEntered, measuredIn, SCENES, type Scene } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { SCENE_WORDS } from '@/messages/light';
import type { Problems } from './problems';

const names = SCENES.map((scene): [Scene, string] => [scene, SCENE_WORDS[scene]]);
const readOhms = readWithin('A light sensor', 'Ω', 50, 1e7);

/** Where neither was measured before, what a sensor of the table has there. */
const MEASURED = { lit: 24e3, dark: 1100 };

/** What a lesson says of the light: where its lamp is lit and where dark, and the sensor as it was measured there. */
export interface TwoLights {
  readonly lit: Scene;
  readonly dark: Scene;
  readonly sensor?: { readonly lit: number; readonly dark: number } | undefined;
}

interface Props {
  readonly params: TwoLights;
  set(change: Partial<TwoLights>): void;
}

/** `be lit at dusk and dark in the lit classroom`. */
export function SceneWords({ params, set }: Props) {
  /** A measured sensor stays the one that it is: in another light it has what its two readings say of that. */
  const inOther = (which: 'lit' | 'dark', scene: Scene) =>
    params.sensor && { sensor: { ...params.sensor, [which]: measuredIn(params, scene) } };
  return (
    <>
      be lit{' '}
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
    </>
  );
}

/** `with our own sensor, which has 24 kΩ at dusk and 1.1 kΩ in the lit classroom`. */
export function SensorWords({ params, problems, set }: Props & { readonly problems: Problems }) {
  const { sensor } = params;
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
      with{' '}
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
    </>
  );
}
