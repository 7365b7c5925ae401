import { useState } from 'react';
import type { Sheet } from '@/core';

/** Which step of the card is looked at, and whether it has the screen for itself. */
export function useSteps(sheet: Sheet | undefined) {
  const [asked, go] = useState(0);
  const [single, show] = useState(false);
  const last = (sheet?.steps.length ?? 1) - 1;
  return { at: Math.max(0, Math.min(asked, last)), go, single, show };
}

export type StepPlace = ReturnType<typeof useSteps>;
