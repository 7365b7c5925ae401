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

/** Why a way is taken by itself; nothing for the others. */
export function bestWords({ best }: Pick<Way, 'best'>): string {
  switch (best) {
    case 'only':
      return 'Best: it is the only one that works.';
    case 'keeps':
      return 'Best: ways that draw less would lose half of their light to a weak pack or another batch of lamps; this one keeps it.';
    case 'least':
      return 'Best: of those that keep their light it draws least.';
    default:
      return '';
  }
}
