import { AGES, type ParamsOf } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { AGE_NAMES } from '@/messages/names';
import { AmpsWord, ChoiceWords, LampWord, ValuesWord } from './CommonWords';
import { countReader } from './problems';
import type { WishProps } from './wishProps';
import { SupplyWords } from './SupplyWords';

export function SingleWish({ params, style, problems, onChange }: WishProps<ParamsOf<'single'>>) {
  return (
    <>
      Light one <LampWord lamp={params.lamp} onChange={(lamp) => onChange({ ...params, lamp })} /> lamp from{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      , at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} />,
      resistor on the{' '}
      <Choice
        label="Resistor side"
        value={params.side}
        names={[
          ['plus', 'plus side'],
          ['minus', 'minus side'],
        ]}
        onChoose={(side) => onChange({ ...params, side })}
      />
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}

export function CoinLightWish({ params, style, problems, onChange }: WishProps<ParamsOf<'coin-light'>>) {
  return (
    <>
      Light{' '}
      <Typed
        label="Number of lamps"
        value={String(params.copies)}
        read={countReader('Lesson', 'number of lamps', 1, 6)}
        onValue={(copies) => onChange({ ...params, copies })}
        onProblem={problems.of('copies')}
        width={2}
      />{' '}
      <LampWord lamp={params.lamp} onChange={(lamp) => onChange({ ...params, lamp })} />{' '}
      {params.copies === 1 ? 'lamp' : 'lamps'} on{' '}
      <Choice
        label="Coin cells"
        value={String(params.cells) as '1' | '2'}
        names={[
          ['1', 'one coin cell'],
          ['2', 'two coin cells'],
        ]}
        onChoose={(cells) => onChange({ ...params, cells: Number(cells) })}
      />
      ,{' '}
      <Choice
        label="Age of the supply"
        value={params.age}
        names={AGES.map((a) => [a, AGE_NAMES[a]])}
        onChoose={(age) => onChange({ ...params, age })}
      />
      ,{' '}
      <Choice
        label="Resistor"
        value={params.resistor ? 'with' : 'without'}
        names={[
          ['without', 'straight across the cell'],
          ['with', 'each with a resistor'],
        ]}
        onChoose={(way) => onChange({ ...params, resistor: way === 'with' })}
      />
      {params.resistor && (
        <>
          , at about{' '}
          <AmpsWord
            amps={params.amps}
            problems={problems}
            onChange={(amps) => onChange({ ...params, amps })}
          />
          <ChoiceWords params={params} style={style} onChange={onChange} />
        </>
      )}
      .
    </>
  );
}

export function WalkDownWish({ params, style, problems, onChange }: WishProps<ParamsOf<'walk-down'>>) {
  return (
    <>
      Find the glow of one <LampWord lamp={params.lamp} onChange={(lamp) => onChange({ ...params, lamp })} />{' '}
      lamp from{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      , with{' '}
      <Typed
        label="Number of resistors"
        value={String(params.steps)}
        read={countReader('Lesson', 'number of resistors', 3, 8)}
        onValue={(steps) => onChange({ ...params, steps })}
        onProblem={problems.of('steps')}
        width={2}
      />{' '}
      resistors from high to low, <ValuesWord params={params} style={style} onChange={onChange} />.
    </>
  );
}

const readLowAmps = readWithin('The current at the low end', 'A', 2e-5, 0.02);

export function DimmerWish({ params, style, problems, onChange }: WishProps<ParamsOf<'dimmer'>>) {
  const readLow = (typed: string) => readLowAmps(/[a-zµ]/iu.test(typed) ? typed : `${typed} mA`);
  return (
    <>
      Dim one <LampWord lamp={params.lamp} onChange={(lamp) => onChange({ ...params, lamp })} /> lamp from{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      , from about{' '}
      <Typed
        label="Lowest current"
        value={`${+(params.lowAmps * 1e3).toPrecision(6)} mA`}
        read={readLow}
        onValue={(lowAmps) => onChange({ ...params, lowAmps })}
        onProblem={problems.of('low')}
        width={7}
      />{' '}
      to{' '}
      <AmpsWord
        label="Highest current"
        amps={params.amps}
        problems={problems}
        onChange={(amps) => onChange({ ...params, amps })}
      />
      , knob at{' '}
      <KnobWord
        label="Knob"
        position={params.position}
        onChange={(position) => onChange({ ...params, position })}
      />
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}

const POSITIONS = [0, 0.1, 0.25, 0.3, 0.5, 0.6, 0.75, 1] as const;

export function KnobWord({
  label,
  position,
  onChange,
}: {
  label: string;
  position: number;
  onChange: (position: number) => void;
}) {
  const words = (p: number) =>
    p === 0 ? 'fully up' : p === 1 ? 'fully down' : `${Math.round((1 - p) * 100)} % up`;
  const all = [...new Set([...POSITIONS, position])].sort((a, b) => a - b);
  return (
    <Choice
      label={label}
      value={String(position)}
      names={all.map((p): [string, string] => [String(p), words(p)])}
      onChoose={(p) => onChange(Number(p))}
    />
  );
}
