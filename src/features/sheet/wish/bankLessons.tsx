import type { LampType, ParamsOf, WayChoice } from '@/core';
import { formatEntered, parseQuantity, readSupplyVolts, type Outcome } from '@/core';
import Button from 'react-bootstrap/Button';
import { Choice, Typed } from '@/features/wish/Words';
import { readWithin } from '@/features/wish/readers';
import { AmpsWord, ChoiceWords, LampWord } from './CommonWords';
import { countReader } from './problems';
import type { WishProps } from './wishProps';
import { SupplyWords } from './SupplyWords';

const WAYS: readonly (readonly [string, string])[] = [
  ['best', 'in the way that is best'],
  ['own', 'each with its own resistor'],
  ['strings 2', 'in strings of 2'],
  ['strings 3', 'in strings of 3'],
  ['strings 4', 'in strings of 4'],
  ['strings 5', 'in strings of 5'],
  ['strings 6', 'in strings of 6'],
  ['shared', 'all on one resistor'],
];

function wayKey(way: WayChoice): string {
  return way.kind === 'strings' ? `strings ${way.length}` : way.kind;
}

export function wayFrom(key: string): WayChoice {
  const [kind, length] = key.split(' ');
  if (kind === 'strings') return { kind, length: Number(length) };
  return { kind: kind as 'best' | 'own' | 'shared' };
}

export function StringsWish({ params, style, problems, onChange }: WishProps<ParamsOf<'strings'>>) {
  const { groups } = params;
  const withGroup = (i: number, change: Partial<(typeof groups)[number]>) =>
    onChange({ ...params, groups: groups.map((group, k) => (k === i ? { ...group, ...change } : group)) });
  return (
    <>
      Light{' '}
      {groups.map((group, i) => (
        <span key={`${i}`}>
          {i > 0 && (i === groups.length - 1 ? ' and ' : ', ')}
          <Typed
            label={`Number of lamps ${i + 1}`}
            value={String(group.count)}
            read={countReader('Lesson', 'number of lamps', 1, 40)}
            onValue={(count) => withGroup(i, { count })}
            onProblem={problems.of(`count ${i}`)}
            width={2}
          />{' '}
          <LampWord label={`Lamp ${i + 1}`} lamp={group.lamp} onChange={(lamp) => withGroup(i, { lamp })} />
          {groups.length > 1 && (
            <Button
              variant="text"
              className="btn-text word-button"
              aria-label={`Without the ${group.lamp} lamps`}
              onClick={() => onChange({ ...params, groups: groups.filter((_, k) => k !== i) })}
            >
              ×
            </Button>
          )}
        </span>
      ))}{' '}
      {groups.length < 6 && (
        <Button
          variant="text"
          className="btn-text word-button"
          onClick={() => onChange({ ...params, groups: [...groups, { lamp: nextLamp(groups), count: 1 }] })}
        >
          + colour
        </Button>
      )}{' '}
      lamps from{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      , <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} />{' '}
      each,{' '}
      <Choice
        label="Way to join them"
        value={wayKey(params.way)}
        names={WAYS}
        onChoose={(key) => onChange({ ...params, way: wayFrom(key) })}
      />
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}

function nextLamp(groups: ParamsOf<'strings'>['groups']): LampType {
  const order: readonly LampType[] = ['red', 'blue', 'yellow', 'green', 'white', 'orange'];
  return order.find((lamp) => !groups.some((group) => group.lamp === lamp)) ?? 'red';
}

const readLimit = (typed: string): Outcome<number> => {
  const figure = parseQuantity(typed, 'A', 1e-3);
  return figure.ok ? readWithin('The supply’s limit', 'A', 1e-3, 0.02)(`${figure.value}`) : figure;
};

export function HoggingWish({ params, problems, onChange }: WishProps<ParamsOf<'hogging'>>) {
  const { lamps } = params;
  return (
    <>
      Put{' '}
      {lamps.map((lamp, i) => (
        <span key={`${i}`}>
          {i > 0 && (i === lamps.length - 1 ? ' and ' : ', ')}
          <LampWord
            label={`Lamp ${i + 1}`}
            lamp={lamp}
            onChange={(next) => onChange({ ...params, lamps: lamps.map((old, k) => (k === i ? next : old)) })}
          />
          {lamps.length > 2 && (
            <Button
              variant="text"
              className="btn-text word-button"
              aria-label={`Without lamp ${i + 1}`}
              onClick={() => onChange({ ...params, lamps: lamps.filter((_, k) => k !== i) })}
            >
              ×
            </Button>
          )}
        </span>
      ))}{' '}
      {lamps.length < 6 && (
        <Button
          variant="text"
          className="btn-text word-button"
          onClick={() => onChange({ ...params, lamps: [...lamps, 'white'] })}
        >
          + lamp
        </Button>
      )}{' '}
      side by side on a bench supply at{' '}
      <Typed
        label="Supply voltage"
        value={formatEntered(params.volts, 'V')}
        read={readSupplyVolts}
        onValue={(volts) => onChange({ ...params, volts })}
        onProblem={problems.of('volts')}
        width={6}
      />
      , limited to{' '}
      <Typed
        label="Current limit"
        value={formatEntered(params.limitAmps, 'A')}
        read={readLimit}
        onValue={(limitAmps) => onChange({ ...params, limitAmps })}
        onProblem={problems.of('limit')}
        width={7}
      />
      .
    </>
  );
}

export function PanelWish({ params, style, problems, onChange }: WishProps<ParamsOf<'panel'>>) {
  const count = (name: 'rows' | 'columns' | 'batch', label: string, low: number, high: number) => (
    <Typed
      label={label}
      value={String(params[name])}
      read={countReader('Panel', label.toLowerCase(), low, high)}
      onValue={(value) => onChange({ ...params, [name]: value })}
      onProblem={problems.of(name)}
      width={2}
    />
  );
  return (
    <>
      Solder a panel of {count('rows', 'Rows', 1, 5)} by {count('columns', 'Columns', 2, 8)}{' '}
      <LampWord lamp={params.lamp} onChange={(lamp) => onChange({ ...params, lamp })} /> lamps for{' '}
      <SupplyWords
        supply={params.supply}
        problems={problems}
        onChange={(supply) => onChange({ ...params, supply })}
      />
      , <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} />{' '}
      each, in batches of {count('batch', 'Lamps in a batch', 1, 8)}
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}

export function LampCoverWish({ params, style, problems, onChange }: WishProps<ParamsOf<'lamp-cover'>>) {
  return (
    <>
      Light{' '}
      <Typed
        label="Number of lamps"
        value={String(params.count)}
        read={countReader('Cover', 'number of lamps', 3, 40)}
        onValue={(count) => onChange({ ...params, count })}
        onProblem={problems.of('count')}
        width={2}
      />{' '}
      <LampWord lamp={params.lamp} onChange={(lamp) => onChange({ ...params, lamp })} /> lamps under a cover,
      from an isolated 12 V supply, at about{' '}
      <AmpsWord amps={params.amps} problems={problems} onChange={(amps) => onChange({ ...params, amps })} /> a
      string,{' '}
      <Choice
        label="Lamps in a string"
        value={params.length === undefined ? 'best' : String(params.length)}
        names={[
          ['best', 'as many in a string as hold steady'],
          ...[1, 2, 3, 4, 5, 6].map((n): [string, string] => [
            String(n),
            n === 1 ? 'each by itself' : `${n} in a string`,
          ]),
        ]}
        onChoose={(key) => {
          const { length: _before, ...rest } = params;
          onChange(key === 'best' ? rest : { ...rest, length: Number(key) });
        }}
      />
      <ChoiceWords params={params} style={style} onChange={onChange} />.
    </>
  );
}
