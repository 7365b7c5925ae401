import { CONTROLLER_IDS, CONTROLLERS, formatEntered, type ParamsOf } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { CONTROLLER_NAMES } from '@/messages/names';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { countReader } from './problems';
import { SceneWords, SensorWords } from './SensorWords';
import { SupplyWords } from './SupplyWords';
import type { WishProps } from './wishProps';

export function LightSwitchWish({ params, style, problems, onChange }: WishProps<ParamsOf<'light-switch'>>) {
  const set = (change: Partial<ParamsOf<'light-switch'>>) => onChange({ ...params, ...change });
  return (
    <>
      Let one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp,{' '}
      <Choice
        label="Resistor of the lamp"
        value={params.madeFor === undefined ? 'own' : (`${params.madeFor}` as const)}
        names={RESISTED}
        onChoose={(how) => set({ madeFor: how === 'own' ? undefined : MADE_FOR[how] })}
      />
      , <SceneWords params={params} set={set} />
      {(params.madeFor === undefined || params.power !== undefined) && (
        <>
          , at about <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />
        </>
      )}
      , from <SupplyWords supply={params.supply} problems={problems} onChange={(supply) => set({ supply })} />
      , <SensorWords params={params} problems={problems} set={set} />, the lamp{' '}
      <Choice
        label="Own light"
        value={params.sees === undefined ? 'hidden' : 'sees'}
        names={[
          ['hidden', 'out of its sight'],
          ['sees', 'shining on it from'],
        ]}
        onChoose={(how) => set({ sees: how === 'sees' ? SEEN_FROM : undefined })}
      />
      {params.sees !== undefined && (
        <>
          {' '}
          <Typed
            label="Distance of the lamp"
            value={formatEntered(params.sees, 'm')}
            read={readMetres}
            onValue={(sees) => set({ sees })}
            onProblem={problems.of('distance of the lamp')}
            width={6}
          />
        </>
      )}
      ,{' '}
      <Choice
        label="Power lamp"
        value={params.power === undefined ? 'none' : 'there'}
        names={[
          ['none', 'without a power lamp'],
          ['there', 'with a switch and a power lamp in'],
        ]}
        onChoose={(how) => set({ power: how === 'there' ? 'red' : undefined })}
      />
      {params.power !== undefined && (
        <>
          {' '}
          <LampWord
            label="Colour of the power lamp"
            lamp={params.power}
            onChange={(power) => set({ power })}
          />
        </>
      )}
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}

/** Volts that lamps with a resistor inside are made for. */
const MADE_FOR = { '5': 5, '9': 9, '12': 12 } as const;
const RESISTED = [
  ['own', 'behind a resistor of its own'],
  ['5', 'made for 5 V, its resistor inside'],
  ['9', 'made for 9 V, its resistor inside'],
  ['12', 'made for 12 V, its resistor inside'],
] as const;

/** Far enough for a lamp of ten milliamps to be no light to its own sensor. */
const SEEN_FROM = 0.5;
const readMetres = readWithin('A distance', 'm', 0.005, 10);

const readPin = countReader('A lead', 'pin', 0, 99);

export function DuskControllerWish({
  params,
  style,
  problems,
  onChange,
}: WishProps<ParamsOf<'dusk-controller'>>) {
  const set = (change: Partial<ParamsOf<'dusk-controller'>>) => onChange({ ...params, ...change });
  const { pins, board, threshold } = params;
  const { counts } = CONTROLLERS[board];
  return (
    <>
      Let a{' '}
      <Choice
        label="Controller"
        value={board}
        names={CONTROLLER_IDS.map((id) => [id, CONTROLLER_NAMES[id]])}
        onChoose={(next) => set({ board: next, threshold: undefined })}
      />{' '}
      make one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp on pin{' '}
      <Typed
        label="Pin of the lamp"
        value={String(pins.lamp)}
        read={readPin}
        onValue={(lamp) => set({ pins: { ...pins, lamp } })}
        onProblem={problems.of('pin of the lamp')}
        width={2}
      />{' '}
      <SceneWords params={params} set={set} />, at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => set({ amps })} />, by what pin{' '}
      <Typed
        label="Pin that reads"
        value={String(pins.reads)}
        read={readPin}
        onValue={(reads) => set({ pins: { ...pins, reads } })}
        onProblem={problems.of('pin that reads')}
        width={2}
      />{' '}
      reads, <SensorWords params={params} problems={problems} set={set} />, threshold{' '}
      <Choice
        label="Threshold"
        value={threshold === undefined ? 'half' : 'own'}
        names={[
          ['half', 'half way between them'],
          ['own', 'of our own:'],
        ]}
        onChoose={(how) => set({ threshold: how === 'own' ? Math.round(counts / 2) : undefined })}
      />
      {threshold !== undefined && (
        <>
          {' '}
          <Typed
            label="Threshold in counts"
            value={String(threshold)}
            read={countReader('The threshold', 'counts', 0, counts)}
            onValue={(next) => set({ threshold: next })}
            onProblem={problems.of('threshold')}
            width={4}
          />
        </>
      )}
      , going on and off{' '}
      <Typed
        label="Hysteresis in counts"
        value={String(params.hysteresis)}
        read={countReader('The hysteresis', 'counts', 0, counts)}
        onValue={(hysteresis) => set({ hysteresis })}
        onProblem={problems.of('hysteresis')}
        width={3}
      />{' '}
      counts apart
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}
