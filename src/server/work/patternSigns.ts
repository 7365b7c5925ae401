import {
  BARE_SHELF,
  choiceSchema,
  DEFAULT_STYLE,
  diagramOf,
  PATTERN_IDS,
  PATTERNS,
  workOut,
  type Diagram,
  type PatternId,
} from '@/core';

export type PatternSigns = Readonly<Partial<Record<PatternId, Diagram>>>;

/** The diagram of the circuit that each pattern makes by itself. */
export function patternSigns(): PatternSigns {
  return Object.fromEntries(PATTERN_IDS.map((id) => [id, signOf(id)]));
}

export function signOf(pattern: PatternId): Diagram | undefined {
  const params: unknown = PATTERNS[pattern].defaults(DEFAULT_STYLE);
  const choice = choiceSchema.parse({ pattern, params });
  const worked = workOut({ choice, style: DEFAULT_STYLE, shelf: BARE_SHELF, stock: [] }, true);
  return worked.ok ? diagramOf(worked.value.circuit) : undefined;
}
