'use client';

import { useKept } from '@/features/hooks/useKept';

/** Who takes the readings on this machine; remembered in this browser. */
export function useHelperName(): [string, (name: string) => void] {
  return useKept('mivvet.helper', '');
}
