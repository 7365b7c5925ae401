import {
  BARE_SHELF,
  choiceSchema,
  DEFAULT_STYLE,
  diagramOf,
  PATTERNS,
  workOut,
  type PatternId,
} from '@/core';
import { SymbolDrawing } from '@/features/plan/symbols';

const ACROSS = 34;
const DOWN = 40;

/** The sign of a pattern: the circuit it makes by itself, drawn small and without names. */
export function PatternSign({ pattern }: { pattern: PatternId }) {
  const params: unknown = PATTERNS[pattern].defaults(DEFAULT_STYLE);
  const choice = choiceSchema.parse({ pattern, params });
  const worked = workOut({ choice, style: DEFAULT_STYLE, shelf: BARE_SHELF, stock: [] }, true);
  const diagram = worked.ok ? diagramOf(worked.value.circuit) : undefined;
  if (!diagram) return null;
  const toX = (x: number) => x * ACROSS + 26;
  const toY = (y: number) => y * DOWN + 6;
  return (
    <svg
      viewBox={`0 0 ${toX(diagram.width)} ${toY(diagram.height) + 6}`}
      className="pattern-sign"
      aria-hidden="true"
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.8"
    >
      <path d={diagram.wires.map((w) => `M${toX(w.x1)} ${toY(w.y1)} L${toX(w.x2)} ${toY(w.y2)}`).join(' ')} />
      {diagram.symbols.map(({ part, x, top, foot, upright }) => (
        <SymbolDrawing
          key={part.id}
          part={part}
          x={toX(x)}
          top={toY(top)}
          foot={toY(foot)}
          upright={upright}
          resistors="box"
        />
      ))}
    </svg>
  );
}
