'use client';

import { useMemo } from 'react';
import type { Remote } from 'comlink';
import type { Circuit, Diagram } from '@/core';
import { useAsked } from '@/features/asking/useAsked';
import type { CoreApi } from '@/workers/coreApi';
import { wiringOf } from './CircuitDiagram';

interface Drawn {
  /** Nothing where the circuit cannot be drawn. */
  readonly diagram: Diagram | undefined;
}

/** A layout hangs on which legs are joined alone: it is asked for anew only when that changes. */
const ask = async (core: Remote<CoreApi>, wiring: string): Promise<Drawn> => ({
  diagram: await core.diagramOfWiring(wiring),
});

/** Where a circuit's symbols stand, laid out beside what else is worked out. */
export function useDiagram(circuit: Circuit): {
  readonly drawn: Drawn | undefined;
  readonly failure: string;
} {
  const wiring = useMemo(() => wiringOf(circuit), [circuit]);
  const { reply, of, failure } = useAsked('careful', wiring, ask);
  return { drawn: of === wiring ? reply : undefined, failure };
}
