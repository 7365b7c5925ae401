import type { Circuit, PartOf } from './circuit';

/** What feeds a circuit: a supply, or a source of pulses where there is none. */
export type Source = PartOf<'supply'> | PartOf<'signal'>;

/** What feeds a circuit; beside a supply a signal is only what comes in. */
export function sourceOf({ parts }: Pick<Circuit, 'parts'>): Source | undefined {
  return (
    parts.find((part): part is PartOf<'supply'> => part.kind === 'supply') ??
    parts.find((part): part is PartOf<'signal'> => part.kind === 'signal')
  );
}

/** Whether a part by this name is what feeds the circuit. */
export function isSource(circuit: Pick<Circuit, 'parts'>, id: string): boolean {
  return sourceOf(circuit)?.id === id;
}
