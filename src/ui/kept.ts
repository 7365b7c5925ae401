/** What this browser keeps by itself: a store that is full, blocked or broken keeps nothing, and breaks nothing. */
export const kept = {
  text(key: string): string | undefined {
    try {
      return window.localStorage.getItem(key) ?? undefined;
    } catch {
      return undefined;
    }
  },
  read<T>(key: string): T | undefined {
    try {
      const text = this.text(key);
      return text === undefined ? undefined : (JSON.parse(text) as T);
    } catch {
      return undefined;
    }
  },
  /** @returns whether it was kept */
  write(key: string, value: unknown): boolean {
    try {
      window.localStorage.setItem(key, JSON.stringify(value));
      return true;
    } catch {
      return false;
    }
  },
  forget(key: string): void {
    try {
      window.localStorage.removeItem(key);
    } catch {
      // There is nothing to take away where nothing can be kept.
    }
  },
  /** Keys that begin so. */
  keys(start: string): string[] {
    try {
      return Object.keys(window.localStorage).filter((key) => key.startsWith(start));
    } catch {
      return [];
    }
  },
};
