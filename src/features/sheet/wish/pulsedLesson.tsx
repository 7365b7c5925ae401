import { BOOSTED, formatEntered, formatPercent, readSupplyVolts, type Outcome, type ParamsOf } from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { readFigure, readWithin, refusal } from '@/features/wish/readers';
import { SUPPLY_NAMES } from '@/messages/names';
import { AmpsWord, LampWord, ValuesWord } from './CommonWords';
import type { WishProps } from './wishProps';

const readRate = readWithin('A rate', 'Hz', 0.2, 1e6);
const readOhms = readWithin('The booster’s own resistance', 'Ω', 0, 500);
const [LEAST, MOST] = [0.02, 0.95];

/** A share of the time: `40 %`, or `0.4`. */
export function readShare(typed: string): Outcome<number> {
  const percent = /^\s*([\d.,]+)\s*%\s*$/u.exec(typed);
  const figure = readFigure(percent ? percent[1]! : typed, undefined);
  if (!figure.ok) return figure;
  const value = percent || figure.value >= 1 ? figure.value / 100 : figure.value;
  if (value >= LEAST && value <= MOST) return { ...figure, value };
  const data = { name: 'A share of the time', value, low: LEAST, high: MOST, unit: '' };
  return refusal({ code: 'out-of-range', severity: 'refusal', data });
}

export function PulsedWish({ params, style, problems, onChange }: WishProps<ParamsOf<'pulsed'>>) {
  const set = (change: Partial<ParamsOf<'pulsed'>>) => onChange({ ...params, ...change });
  return (
    <>
      Let one <LampWord lamp={params.lamp} onChange={(lamp) => set({ lamp })} /> lamp carry{' '}
      <AmpsWord
        label="Mean current"
        amps={params.amps}
        problems={problems}
        onChange={(amps) => set({ amps })}
      />{' '}
      on average, from a booster that makes of one{' '}
      <Choice
        label="Cell behind the booster"
        value={params.cell}
        names={BOOSTED.map((cell) => [cell, SUPPLY_NAMES[cell].one])}
        onChoose={(cell) => set({ cell })}
      />{' '}
      pulses of{' '}
      <Typed
        label="Peak of the pulses"
        value={formatEntered(params.volts, 'V')}
        read={readSupplyVolts}
        onValue={(volts) => set({ volts })}
        onProblem={problems.of('peak')}
        width={6}
      />{' '}
      for{' '}
      <Typed
        label="Share of the time"
        value={formatPercent(params.duty)}
        read={readShare}
        onValue={(duty) => set({ duty })}
        onProblem={problems.of('share')}
        width={5}
      />{' '}
      of the time, at{' '}
      <Typed
        label="Rate of the pulses"
        value={formatEntered(params.hertz, 'Hz')}
        read={readRate}
        onValue={(hertz) => set({ hertz })}
        onProblem={problems.of('rate')}
        width={7}
      />
      , through{' '}
      <Typed
        label="Ohms of the booster"
        value={formatEntered(params.ohms, 'Ω')}
        read={readOhms}
        onValue={(ohms) => set({ ohms })}
        onProblem={problems.of('ohms')}
        width={5}
      />{' '}
      of its own, <ValuesWord params={params} style={style} onChange={onChange} />.
    </>
  );
}
