import type { Part } from '@/core';

export type ResistorSymbol = 'box' | 'zigzag';

interface Props {
  readonly part: Part;
  readonly x: number;
  readonly top: number;
  readonly foot: number;
  /** Whether the first pin is at the top. */
  readonly upright: boolean;
  readonly resistors: ResistorSymbol;
}

/** One symbol of the field's standard, upright between two points, with its leads. */
export function SymbolDrawing({ part, x, top, foot, upright, resistors }: Props) {
  const middle = (top + foot) / 2;
  const half = HALF[part.kind] ?? 16;
  const lead = (y1: number, y2: number) => `M${x} ${y1} V${y2}`;
  return (
    <>
      <path d={`${lead(top, middle - half)} ${lead(middle + half, foot)}`} />
      <g transform={`translate(${x} ${middle})${upright ? '' : ' scale(1 -1)'}`}>
        <Shape part={part} resistors={resistors} />
      </g>
      {part.kind === 'supply' && (
        <text x={x - 16} y={middle - 8} stroke="none" fill="var(--ink)">
          +
        </text>
      )}
    </>
  );
}

const HALF: Readonly<Partial<Record<Part['kind'], number>>> = {
  supply: 5,
  led: 9,
  zener: 9,
  diode: 9,
  switch: 11,
};

function Shape({ part, resistors }: { part: Part; resistors: ResistorSymbol }) {
  switch (part.kind) {
    case 'resistor':
      return <Resistor symbol={resistors} />;
    case 'potentiometer':
      return (
        <>
          <Resistor symbol={resistors} />
          <path d="M-17 11 L13 -9 m0 0 l-7 0.6 m7 -0.6 l-3.2 6" strokeWidth="1.3" />
        </>
      );
    case 'led':
      return (
        <>
          <path d="M-9 -9 H9 L0 8 Z" fill="var(--sheet)" />
          <path d="M-9 9 H9" strokeWidth="2.2" />
          <path
            d="M-10 -1 l-8 5 m0 0 l2.2 -4 m-2.2 4 l4.4 -0.2 M-8 5 l-8 5 m0 0 l2.2 -4 m-2.2 4 l4.4 -0.2"
            strokeWidth="1.1"
          />
        </>
      );
    case 'zener':
      // The cathode is the second pin: its bar carries the two little hooks.
      return (
        <>
          <path d="M-9 -9 H9 L0 8 Z" fill="var(--sheet)" />
          <path d="M-12 12 L-9 9 H9 L12 6" strokeWidth="2" />
        </>
      );
    case 'diode':
      return (
        <>
          <path d="M-9 -9 H9 L0 8 Z" fill="var(--sheet)" />
          <path d="M-9 9 H9" strokeWidth="2.2" />
        </>
      );
    case 'switch':
      return (
        <>
          <path d="M0 -11 V-8 M0 11 V8 M8 -9 V9 M8 0 H14 M14 -5 V5" />
          <circle r="2" cy="-8" fill="var(--ink)" />
          <circle r="2" cy="8" fill="var(--ink)" />
        </>
      );
    case 'supply':
      return (
        <>
          <path d="M-15 -5 H15" />
          <path d="M-8 5 H8" strokeWidth="3" />
        </>
      );
    default:
      return <circle r="12" />;
  }
}

function Resistor({ symbol }: { symbol: ResistorSymbol }) {
  return symbol === 'box' ? (
    <rect x="-7" y="-16" width="14" height="32" fill="var(--sheet)" />
  ) : (
    <path d="M0 -16 l7 3 l-14 5.3 l14 5.3 l-14 5.3 l14 5.3 l-7 7.8" />
  );
}
