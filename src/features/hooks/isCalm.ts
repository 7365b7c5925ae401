/** Whether whoever looks has asked for less motion: then nothing moves or alternates by itself. */
export function isCalm(): boolean {
  return window.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? false;
}
