import type { LampFigures } from '../../catalogue/lamps';
import type { SupplyFigures } from '../../catalogue/supplies';
import type { Circuit, Part } from '../../circuit/circuit';
import type { Ohms, Watts } from '../../quantities/units';
import type { Checkpoint } from '../pattern';
import type { Side } from '../style';

interface Loop {
  readonly supply: SupplyFigures;
  readonly lamp: LampFigures;
  readonly ohms: Ohms;
  readonly tolerance: number;
  readonly watts: Watts;
  readonly side: Side;
}

/** Supply, resistor on either side, lamp. */
export function singleCircuit({ supply, lamp, ohms, tolerance, watts, side }: Loop): Circuit {
  const { vf, at, n, rs, vfLow, vfHigh, maxAmps } = lamp;
  const { volts, ohms: inside, tolerance: spread, limitAmps } = supply;
  const [resistorAt, lampAt] =
    side === 'plus'
      ? [['plus', 'between'] as const, ['between', 'minus'] as const]
      : [['between', 'minus'] as const, ['plus', 'between'] as const];
  const parts: Part[] = [
    {
      id: 'B1',
      kind: 'supply',
      pins: { plus: 'plus', minus: 'minus' },
      params: { volts, ohms: inside, tolerance: spread, limitAmps },
    },
    {
      id: 'R1',
      kind: 'resistor',
      pins: { a: resistorAt[0], b: resistorAt[1] },
      params: { ohms, tolerance, watts },
    },
    {
      id: 'D1',
      kind: 'led',
      pins: { anode: lampAt[0], cathode: lampAt[1] },
      params: { vf, at, n, rs, vfLow, vfHigh, maxAmps },
    },
  ];
  return { title: '', ground: 'minus', parts, checks: [] };
}

/** Where a beginner can reach with two probes, and the gap where the loop opens for a current. */
export const SINGLE_CHECKPOINTS: readonly Checkpoint[] = [
  {
    id: 'pack',
    part: 'B1',
    measure: 'volts',
    from: { part: 'B1', pin: 'plus' },
    to: { part: 'B1', pin: 'minus' },
  },
  {
    id: 'resistor',
    part: 'R1',
    measure: 'volts',
    from: { part: 'R1', pin: 'a' },
    to: { part: 'R1', pin: 'b' },
  },
  {
    id: 'lamp',
    part: 'D1',
    measure: 'volts',
    from: { part: 'D1', pin: 'anode' },
    to: { part: 'D1', pin: 'cathode' },
  },
  { id: 'current', part: 'D1', measure: 'amps', gap: { part: 'B1', pin: 'plus' } },
];
