import { candidate, type Candidate, type FaultContext } from './fault';

/** Slips of the meter: the build is right, the reading is not. */
export function meterFaults({ circuit, points }: FaultContext): Candidate[] {
  return [
    ...points.map((point) => candidate('probes-swapped', { point }, 0.2, circuit, 'swapped')),
    candidate('probes-swapped', {}, 0.5, circuit, 'swapped'),
    candidate('volts-through-current-jack', {}, 0.3, circuit, 'current-jack'),
    candidate('fuse-blown', {}, 0.4, circuit, 'fuse-blown'),
    candidate('meter-across-lamp', {}, 0.5, circuit, 'across-lamp'),
  ];
}
