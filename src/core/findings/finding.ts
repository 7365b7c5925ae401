import type { FindingCode, FindingData } from './codes';

/** How much it matters: a refusal stops the sum, a warning colours it, a caution goes on the card, a note is for interest. */
export type Severity = 'refusal' | 'warning' | 'caution' | 'note';

export type Finding = {
  [C in FindingCode]: { readonly code: C; readonly severity: Severity; readonly data: FindingData[C] };
}[FindingCode];

/** A value, or the reasons why there is none. Findings may come with a value as well. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T; readonly findings: readonly Finding[] }
  | { readonly ok: false; readonly findings: readonly Finding[] };

export function finding<C extends FindingCode>(
  code: C,
  data: FindingData[C],
  severity: Severity = 'refusal',
): Finding {
  // One code always goes with its own data; TypeScript cannot see that through the union.
  return { code, severity, data } as unknown as Finding;
}

export function accepted<T>(value: T, findings: readonly Finding[] = []): Outcome<T> {
  return { ok: true, value, findings };
}

export function refused(...findings: Finding[]): { ok: false; findings: Finding[] } {
  return { ok: false, findings };
}
