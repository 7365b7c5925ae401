import { isEitherWay, isGapped, isProbed } from '../../observe/checkpoint';
import type { MeterUse } from '../../observe/meter';
import type { FaultCode, FaultData } from '../../parts/mistake';
import type { Candidate, FaultContext } from './fault';

/** Slips of the meter: the build is right, the reading is not. */
export function meterFaults({ circuit, points }: FaultContext): Candidate[] {
  const slip = (code: FaultCode, data: FaultData, prior: number, use: MeterUse): Candidate => ({
    code,
    data,
    prior,
    circuit,
    use,
  });
  const amps = points.some(isGapped);
  return [
    ...points
      .filter((point) => (isProbed(point) && !isEitherWay(point)) || isGapped(point))
      .map(({ id }) => slip('probes-swapped', { point: id }, 0.2, 'swapped')),
    slip('probes-swapped', {}, 0.5, 'swapped'),
    slip('volts-through-current-jack', {}, 0.3, 'current-jack'),
    ...(amps
      ? [slip('fuse-blown', {}, 0.4, 'fuse-blown'), slip('meter-across-lamp', {}, 0.5, 'across-lamp')]
      : []),
  ];
}
