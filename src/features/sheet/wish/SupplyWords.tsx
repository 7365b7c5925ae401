import { use } from 'react';
import {
  AGES,
  formatEntered,
  formatQuantity,
  readSupplyVolts,
  SUPPLIES,
  SUPPLY_KINDS,
  supplyFigures,
  type Age,
  type SupplyChoice,
  type SupplyKind,
  readWithin,
  readCount,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { AGE_NAMES, SUPPLY_NAMES } from '@/messages/names';
import { Batteries } from './batteries';
import type { Problems } from './problems';

interface Props {
  readonly supply: SupplyChoice;
  readonly problems: Problems;
  onChange(supply: SupplyChoice): void;
}

/** `3 AA cells, fresh` or `a bench supply at 5 V`, as words that can be changed. */
export function SupplyWords({ supply, problems, onChange }: Props) {
  const row = SUPPLIES[supply.kind];
  const chooseKind = (kind: SupplyKind) => {
    const cells = cellsFor(kind, supply);
    const bench = kind === 'bench' ? { volts: supply.volts ?? 5, limitAmps: supply.limitAmps ?? 0.1 } : {};
    problems.of('cells')('');
    problems.of('volts')('');
    onChange({ kind, cells, age: supply.age, ...bench });
  };
  return (
    <>
      {row.cellsMost > 1 && (
        <>
          <Typed
            label="Number of cells"
            value={String(supply.cells)}
            read={readCount('Supply', `number of ${SUPPLY_NAMES[supply.kind].many}`, 1, row.cellsMost)}
            onValue={(cells) => onChange({ ...supply, cells })}
            onProblem={problems.of('cells')}
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
            onValue={(volts) => onChange({ ...supply, volts })}
            onProblem={problems.of('volts')}
            width={6}
          />
        </>
      ) : (
        <>
          {', '}
          <AgeWords supply={supply} problems={problems} onChange={onChange} />
        </>
      )}
    </>
  );
}

/** `fresh`, or `measured 4.62 V behind 0.7 Ω`. */
function AgeWords({ supply, problems, onChange }: Props) {
  const { measured: before, ...rest } = supply;
  const { volts, ohms } = supplyFigures(supply);
  const cells = SUPPLIES[supply.kind].style !== 'port';
  const known = use(Batteries).filter(({ kind }) => kind === supply.kind);
  const choose = (age: string) => {
    const battery = known.find(({ id }) => age === `battery ${id}`);
    if (battery) {
      const figures = { volts: battery.volts, ohms: battery.ohms };
      onChange({ ...rest, cells: battery.cells, age: 'fresh', measured: figures });
    } else if (age === 'measured') measured({});
    else onChange({ ...rest, age: age as Age });
  };
  const measured = (change: Partial<NonNullable<SupplyChoice['measured']>>) =>
    // What it will come to is told by the table: whatever it was called before, it stands at its own beginning.
    onChange({ ...rest, age: 'fresh', measured: { volts, ohms, ...before, ...change } });
  return (
    <>
      <Choice
        label="Age of the supply"
        value={before ? 'measured' : supply.age}
        names={[
          ...AGES.map((a): [string, string] => [a, AGE_NAMES[a]]),
          ...(cells ? [['measured', 'measured'] as const] : []),
          ...known.map(({ id, name, volts: open }): [string, string] => [
            `battery ${id}`,
            `${name}, read ${formatQuantity(open, 'V')}`,
          ]),
        ]}
        onChoose={choose}
      />
      {before && (
        <>
          {' '}
          <Typed
            label="Measured volts"
            value={formatEntered(before.volts, 'V')}
            read={readSupplyVolts}
            onValue={(next) => measured({ volts: next })}
            onProblem={problems.of('measured volts')}
            width={6}
          />{' '}
          behind{' '}
          <Typed
            label="Measured ohms"
            value={formatEntered(before.ohms, 'Ω')}
            read={readOhms}
            onValue={(next) => measured({ ohms: next })}
            onProblem={problems.of('measured ohms')}
            width={6}
          />
        </>
      )}
    </>
  );
}

const readOhms = readWithin('A battery’s own ohms', 'Ω', 0, 200);

/** Small cells keep their number when their kind changes; what is a battery by itself starts with one. */
function cellsFor(kind: SupplyKind, before: SupplyChoice): number {
  const small = (k: SupplyKind) => SUPPLIES[k].volts.nominal < 2;
  if (!small(kind)) return 1;
  return small(before.kind) ? Math.min(before.cells, SUPPLIES[kind].cellsMost) : 3;
}
