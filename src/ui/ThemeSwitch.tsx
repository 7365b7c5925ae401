'use client';

import { useSyncExternalStore } from 'react';
import Button from 'react-bootstrap/Button';
import { kept } from './kept';

const KEY = 'mivvet.theme';
const listeners = new Set<() => void>();

function current(): 'light' | 'dark' {
  return document.documentElement.dataset['bsTheme'] === 'dark' ? 'dark' : 'light';
}

function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** Light for paper, dark for dim rooms; remembered in this browser. */
export function ThemeSwitch() {
  const theme = useSyncExternalStore(subscribe, current, () => 'light');
  const other = theme === 'light' ? 'dark' : 'light';
  return (
    <Button
      variant="text"
      className="btn-text small-print"
      onClick={() => {
        document.documentElement.dataset['bsTheme'] = other;
        kept.write(KEY, other);
        for (const listener of listeners) listener();
      }}
    >
      {other === 'dark' ? 'Dim the screen' : 'Light screen'}
    </Button>
  );
}

/** Runs before the first paint, so that a dim room stays dim. */
export const THEME_SCRIPT = `try{document.documentElement.dataset.bsTheme=(localStorage.getItem('${KEY}')||'light').replace(/"/g,'')}catch{}`;
