import {
  formatEntered,
  LAMP_TYPES,
  readLampAmps,
  ROUNDINGS,
  SERIES_NAMES,
  type HouseStyle,
  type LampType,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { lampName } from '@/messages/names';
import { ROUNDING_WORDS } from '@/messages/schools';
import type { Problems } from './problems';

export function LampWord({
  label = 'Lamp',
  lamp,
  onChange,
}: {
  label?: string;
  lamp: LampType;
  onChange: (lamp: LampType) => void;
}) {
  return (
    <Choice label={label} value={lamp} names={LAMP_TYPES.map((t) => [t, lampName(t)])} onChoose={onChange} />
  );
}

export function AmpsWord({
  label = 'Wanted current',
  amps,
  problems,
  onChange,
}: {
  label?: string;
  amps: number;
  problems: Problems;
  onChange: (amps: number) => void;
}) {
  return (
    <Typed
      label={label}
      value={formatEntered(amps, 'A')}
      read={readLampAmps}
      onValue={onChange}
      onProblem={problems.of(label)}
      width={8}
    />
  );
}

interface Overrides {
  readonly values?: HouseStyle['values'] | undefined;
  readonly rounding?: HouseStyle['rounding'] | undefined;
}

interface StyledProps<P> {
  readonly params: P;
  readonly style: HouseStyle;
  onChange(params: P): void;
}

/** `values from the drawer, next value up`: what a lesson may overrule of the house style. */
export function ChoiceWords<P extends Overrides>({ params, style, onChange }: StyledProps<P>) {
  return (
    <>
      , <ValuesWord params={params} style={style} onChange={onChange} />, next value{' '}
      <Choice
        label="Rounding"
        value={params.rounding ?? style.rounding}
        names={ROUNDINGS.map((r) => [r, ROUNDING_WORDS[r]])}
        onChoose={(rounding) => onChange({ ...params, rounding })}
      />
    </>
  );
}

export function ValuesWord<P extends Pick<Overrides, 'values'>>({ params, style, onChange }: StyledProps<P>) {
  return (
    <>
      values from{' '}
      <Choice
        label="Values from"
        value={params.values ?? style.values}
        names={[
          ['drawer', 'the drawer'],
          ...SERIES_NAMES.map((s): [typeof s, string] => [s, `the ${s} series`]),
        ]}
        onChoose={(values) => onChange({ ...params, values })}
      />
    </>
  );
}
