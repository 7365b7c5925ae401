'use client';

import { useEffect } from 'react';

type Action = (() => void) | undefined;

/** Ctrl+Z and Ctrl+Y outside text fields, which have their own. */
export function useUndoKeys(undo: Action, redo: Action): void {
  useEffect(() => {
    const key = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (typing || !(event.ctrlKey || event.metaKey)) return;
      const again = event.key === 'y' || (event.key === 'Z' && event.shiftKey);
      const action = event.key === 'z' ? undo : again ? redo : undefined;
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', key);
    return () => window.removeEventListener('keydown', key);
  }, [undo, redo]);
}
