import { supplyFigures } from '../../catalogue/supplies';
import { withPart, type PartOf } from '../../circuit/circuit';
import { solve } from '../../solver/solve';
import { candidate, type Candidate, type FaultContext } from './fault';

/** Share of the wanted current at which a bench supply was left to hold. */
const LEFT_AT = 0.4;

/** A supply tired, turned round, dead, badly connected, or held in its current limit. */
export function supplyFaults(context: FaultContext, part: PartOf<'supply'>): Candidate[] {
  const { circuit, supply } = context;
  const here = { part: part.id };
  const changed = (params: Partial<PartOf<'supply'>['params']>) =>
    withPart(circuit, part.id, () => ({ ...part, params: { ...part.params, ...params } }));
  const tired = supplyFigures(supply, 'tired');
  const weaker = tired.volts < part.params.volts * 0.99;
  return [
    ...(weaker
      ? [
          candidate(
            'supply-tired',
            here,
            1.5,
            changed({ volts: tired.volts, ohms: tired.ohms, tolerance: 0.06 }),
          ),
        ]
      : []),
    candidate('supply-reversed', here, 0.7, changed({ volts: -part.params.volts })),
    candidate('supply-dead', here, 0.6, changed({ volts: 0, ohms: Math.max(1, part.params.ohms) })),
    candidate('bad-contact', here, 0.4, changed({ ohms: part.params.ohms + 100 })),
    ...(supply.kind === 'bench' ? limited(context, part, changed) : []),
  ];
}

function limited(
  { circuit }: FaultContext,
  part: PartOf<'supply'>,
  changed: (params: Partial<PartOf<'supply'>['params']>) => FaultContext['circuit'],
): Candidate[] {
  const solved = solve(circuit);
  const amps = solved.ok ? LEFT_AT * Math.abs(solved.value.parts[part.id]?.amps ?? 0) : 0;
  if (amps < 1e-4) return [];
  return [candidate('supply-limited', { part: part.id, amps }, 0.6, changed({ limitAmps: amps }))];
}
