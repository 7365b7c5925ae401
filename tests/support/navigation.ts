import { useSyncExternalStore } from 'react';

/** Where the program was sent, newest last. */
export const visited: string[] = [];

const router = {
  push: (to: string) => void visited.push(to),
  refresh: () => void visited.push('refresh'),
};
export const useRouter = () => router;

const watchers = new Set<() => void>();
const pushState = typeof window === 'undefined' ? undefined : window.history.pushState.bind(window.history);
if (pushState) {
  window.history.pushState = (...state: Parameters<typeof pushState>) => {
    pushState(...state);
    for (const tell of watchers) tell();
  };
}

function subscribe(tell: () => void): () => void {
  watchers.add(tell);
  return () => watchers.delete(tell);
}

/** The address after the question mark, followed as the framework follows it. */
export function useSearchParams(): URLSearchParams {
  return new URLSearchParams(useSyncExternalStore(subscribe, () => window.location.search));
}
export const usePathname = () => window.location.pathname;
