import type { Diagram } from '@/core';
import { ChipSymbol } from '@/features/plan/ChipSymbol';
import { SymbolDrawing } from '@/features/plan/symbols';

const ACROSS = 34;
const DOWN = 40;

/** The sign of a pattern: the circuit it makes by itself, drawn small and without names. */
export function PatternSign({ diagram }: { diagram: Diagram | undefined }) {
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
      {diagram.chips.map((box) => (
        <ChipSymbol key={box.part.id} box={box} toX={toX} toY={toY} bare />
      ))}
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
