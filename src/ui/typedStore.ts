/**
 * What is typed on a page and neither entered nor saved yet. It stays in this tab over a reload, a link and Back; where
 * the browser keeps nothing it stays as long as the program is open in it.
 */
const START = 'mivvet.typed ';
const texts = new Map<string, string>();
const listeners = new Set<() => void>();

function tab(): Storage | undefined {
  try {
    return window.sessionStorage;
  } catch {
    return undefined;
  }
}

export const typedStore = {
  /** As JSON; undefined where nothing is. */
  text(key: string): string | undefined {
    return texts.get(key) ?? tab()?.getItem(START + key) ?? undefined;
  },
  write(key: string, value: unknown): void {
    if (value === undefined) {
      texts.delete(key);
      tab()?.removeItem(START + key);
    } else {
      const text = JSON.stringify(value);
      texts.set(key, text);
      try {
        tab()?.setItem(START + key, text);
      } catch {
        // It is full: then it stays in this page only.
      }
    }
    for (const listener of listeners) listener();
  },
  subscribe(listener: () => void): () => void {
    listeners.add(listener);
    return () => listeners.delete(listener);
  },
  /** Nothing is left for whoever sits down here next. */
  clear(): void {
    texts.clear();
    const kept = tab();
    for (const key of Object.keys(kept ?? {})) if (key.startsWith(START)) kept!.removeItem(key);
    for (const listener of listeners) listener();
  },
};
