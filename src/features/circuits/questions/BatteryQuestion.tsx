'use client';

import { useState } from 'react';
import { proxy, type Remote } from 'comlink';
import {
  DIM_AMPS,
  formatHours,
  formatQuantity,
  SUPPLIES,
  SUPPLY_KINDS,
  type BatteryLife,
  type Circuit,
  type Outcome,
  type SupplyChoice,
  type SupplyKind,
  readFigure,
  finding,
  refused,
} from '@/core';
import { Choice, Typed } from '@/features/wish/Words';
import { SUPPLY_NAMES } from '@/messages/names';
import type { CoreApi } from '@/workers/coreApi';
import { useAsked } from '@/features/asking/useAsked';
import { Question, same } from './Question';

type Asking = readonly [circuit: Circuit, supply: string, lamp: string, choice: SupplyChoice];

const ask = (
  core: Remote<CoreApi>,
  asking: Asking,
  onProgress: (share: number) => void,
): Promise<Outcome<BatteryLife>> => core.batteryLifeOf(...asking, DIM_AMPS, proxy(onProgress));

const BATTERIES = SUPPLY_KINDS.filter((kind) => SUPPLIES[kind].spentAt !== undefined);

/** Ten years: longer than a battery keeps by itself. */
const SHELF_HOURS = 87_600;

interface Props {
  readonly circuit: Circuit;
  readonly supplies: readonly string[];
  readonly lamps: readonly string[];
}

export function BatteryQuestion({ circuit, supplies, lamps }: Props) {
  const [supply, setSupply] = useState(supplies[0]!);
  const [lamp, setLamp] = useState(lamps[0]!);
  const [kind, setKind] = useState<SupplyKind>('aa-alkaline');
  const [cells, setCells] = useState(() => likelyCells(circuit, supplies[0]!));
  const [problem, setProblem] = useState('');
  const most = SUPPLIES[kind].cellsMost;
  const used = Math.min(cells, most);
  const choice = { kind, cells: used, age: 'fresh' } as const;
  const asked = useAsked<Asking, Outcome<BatteryLife>>('careful', [circuit, supply, lamp, choice], ask);
  return (
    <Question
      asked={asked}
      long={asked}
      problem={problem}
      words={
        <>
          How long does {most === 1 && 'one '}
          {most > 1 && (
            <Typed
              label="Cells of the battery"
              value={String(used)}
              read={(typed) => readCells(typed, most)}
              onValue={setCells}
              onProblem={setProblem}
              width={2}
            />
          )}{' '}
          <Choice
            label="Battery"
            value={kind}
            names={BATTERIES.map((k) => [k, used > 1 ? SUPPLY_NAMES[k].many : SUPPLY_NAMES[k].one])}
            onChoose={setKind}
          />{' '}
          in the place of{' '}
          <Choice label="Supply it stands for" value={supply} names={same(supplies)} onChoose={setSupply} />{' '}
          last for{' '}
          <Choice label="Lamp that must not get dim" value={lamp} names={same(lamps)} onChoose={setLamp} />?
        </>
      }
    >
      {({ toDim, toEmpty, points }) => (
        <p className="mb-0">
          {dimText(lamp, toDim)}{' '}
          {toEmpty < SHELF_HOURS ? (
            <>
              <strong>{formatHours(toEmpty)}</strong> until it is empty.
            </>
          ) : (
            'and so little flows in the end that it is never empty.'
          )}{' '}
          It begins at {formatQuantity(points[0]!.drain, 'A')} from {formatQuantity(points[0]!.volts, 'V')}{' '}
          and ends at {formatQuantity(points[points.length - 1]!.drain, 'A')} from{' '}
          {formatQuantity(points[points.length - 1]!.volts, 'V')}.
        </p>
      )}
    </Question>
  );
}

function dimText(lamp: string, toDim: number | undefined) {
  const dim = formatQuantity(DIM_AMPS, 'A', 1);
  if (toDim === undefined) return `${lamp} never carries ${dim} on it.`;
  if (!Number.isFinite(toDim)) return `${lamp} stays above ${dim} to the end.`;
  return (
    <>
      <strong>{formatHours(toDim)}</strong> until {lamp} falls below {dim} and is dim,
    </>
  );
}

function readCells(typed: string, most: number) {
  const figure = readFigure(typed, undefined);
  if (!figure.ok || (Number.isInteger(figure.value) && figure.value >= 1 && figure.value <= most))
    return figure;
  const problem = `must be a whole number from 1 to ${most}, and “${typed}” is not`;
  return refused(finding('bad-field', { place: 'Battery', field: 'cells', problem }));
}

/** As many AA cells as come closest to the volts of the circuit's supply. */
function likelyCells(circuit: Circuit, supply: string): number {
  const part = circuit.parts.find(({ id }) => id === supply);
  const volts = part?.kind === 'supply' ? part.params.volts : 4.5;
  return Math.min(8, Math.max(1, Math.round(volts / SUPPLIES['aa-alkaline'].volts.nominal)));
}
