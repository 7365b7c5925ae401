'use client';

import { useState } from 'react';
import {
  AGES,
  formatEntered,
  LAMP_TYPES,
  readLampAmps,
  readSupplyVolts,
  ROUNDINGS,
  SERIES_NAMES,
  SUPPLIES,
  SUPPLY_KINDS,
  type HouseStyle,
  type Outcome,
  type SingleParams,
  type SupplyChoice,
} from '@/core';
import { AGE_NAMES, lampName, SUPPLY_NAMES } from '@/messages/names';
import { ROUNDING_WORDS } from '@/messages/schools';
import { Choice, Typed } from '@/features/sentence/Words';
import { Note } from '@/ui/Note';

interface Props {
  readonly params: SingleParams;
  readonly style: HouseStyle;
  onChange(params: SingleParams): void;
}

/** The lesson as a sentence whose underlined words are its inputs. */
export function SentenceBar({ params, style, onChange }: Props) {
  const [problems, setProblems] = useState<Readonly<Record<string, string>>>({});
  const { supply } = params;
  const row = SUPPLIES[supply.kind];
  const problem = (name: string) => (text: string) =>
    setProblems(({ [name]: _gone, ...rest }) => (text === '' ? rest : { ...rest, [name]: text }));
  const withSupply = (change: Partial<SingleParams['supply']>) =>
    onChange({ ...params, supply: { ...supply, ...change } });
  const chooseKind = (kind: SingleParams['supply']['kind']) => {
    const cells = cellsFor(kind, supply);
    const bench = kind === 'bench' ? { volts: supply.volts ?? 5, limitAmps: supply.limitAmps ?? 0.1 } : {};
    problem('cells')('');
    problem('volts')('');
    onChange({ ...params, supply: { kind, cells, age: supply.age, ...bench } });
  };
  return (
    <>
      <p className="sentence">
        Light one{' '}
        <Choice
          label="Lamp"
          value={params.lamp}
          names={LAMP_TYPES.map((t) => [t, lampName(t)])}
          onChoose={(lamp) => onChange({ ...params, lamp })}
        />{' '}
        lamp from{' '}
        {row.cellsMost > 1 && (
          <>
            <Typed
              label="Number of cells"
              value={String(supply.cells)}
              read={cellsReader(row.cellsMost, SUPPLY_NAMES[supply.kind].many)}
              onValue={(cells) => withSupply({ cells })}
              onProblem={problem('cells')}
              width={2}
            />{' '}
          </>
        )}
        {row.cellsMost === 1 && (row.style === 'bench' ? 'a ' : 'one ')}
        <Choice
          label="Supply"
          value={supply.kind}
          names={SUPPLY_KINDS.map((k) => [
            k,
            row.cellsMost > 1 && supply.cells > 1 ? SUPPLY_NAMES[k].many : SUPPLY_NAMES[k].one,
          ])}
          onChoose={chooseKind}
        />
        {row.style === 'bench' ? (
          <>
            {' at '}
            <Typed
              label="Supply voltage"
              value={formatEntered(supply.volts ?? 5, 'V')}
              read={readSupplyVolts}
              onValue={(volts) => withSupply({ volts })}
              onProblem={problem('volts')}
              width={6}
            />
          </>
        ) : (
          <>
            {', '}
            <Choice
              label="Age of the supply"
              value={supply.age}
              names={AGES.map((a) => [a, AGE_NAMES[a]])}
              onChoose={(age) => withSupply({ age })}
            />
          </>
        )}
        , at about{' '}
        <Typed
          label="Wanted current"
          value={formatEntered(params.amps, 'A')}
          read={readLampAmps}
          onValue={(amps) => onChange({ ...params, amps })}
          onProblem={problem('amps')}
          width={8}
        />
        , resistor on the{' '}
        <Choice
          label="Resistor side"
          value={params.side}
          names={[
            ['plus', 'plus side'],
            ['minus', 'minus side'],
          ]}
          onChoose={(side) => onChange({ ...params, side })}
        />
        , values from{' '}
        <Choice
          label="Values from"
          value={params.values ?? style.values}
          names={[
            ['drawer', 'the drawer'],
            ...SERIES_NAMES.map((s): [typeof s, string] => [s, `the ${s} series`]),
          ]}
          onChoose={(values) => onChange({ ...params, values })}
        />
        , next value{' '}
        <Choice
          label="Rounding"
          value={params.rounding ?? style.rounding}
          names={ROUNDINGS.map((r) => [r, ROUNDING_WORDS[r]])}
          onChoose={(rounding) => onChange({ ...params, rounding })}
        />
        .
      </p>
      {Object.entries(problems).map(([name, text]) => (
        <Note key={name} kind="refusal" live>
          {text} The sheet keeps the figures from before.
        </Note>
      ))}
    </>
  );
}

/** Small cells keep their number when their kind changes; what is a battery by itself starts with one. */
function cellsFor(kind: SupplyChoice['kind'], before: SupplyChoice): number {
  const small = (k: SupplyChoice['kind']) => SUPPLIES[k].volts.nominal < 2;
  if (!small(kind)) return 1;
  return small(before.kind) ? Math.min(before.cells, SUPPLIES[kind].cellsMost) : 3;
}

function cellsReader(most: number, name: string) {
  return (typed: string): Outcome<number> => {
    const cells = Number(typed);
    if (typed.trim() !== '' && Number.isInteger(cells) && cells >= 1 && cells <= most) {
      return { ok: true, value: cells, findings: [] };
    }
    const problem = `must be a whole number from 1 to ${most}, and “${typed}” is not`;
    return {
      ok: false,
      findings: [
        {
          code: 'bad-field',
          severity: 'refusal',
          data: { place: 'Supply', field: `number of ${name}`, problem },
        },
      ],
    };
  };
}
