import type { Way } from '@/core';

/** How lamps are joined, in a few words. */
export function wayWords({ kind, length }: Pick<Way, 'kind' | 'length'>): string {
  switch (kind) {
    case 'own':
      return 'each with its own resistor';
    case 'strings':
      return `strings of ${length}`;
    case 'shared':
      return 'all on one resistor';
    case 'none':
      return 'straight across, no resistor';
  }
}
