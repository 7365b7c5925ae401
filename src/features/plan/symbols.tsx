import type { ReactNode } from 'react';
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
  const { half, shape } = SYMBOLS[part.kind];
  const lead = (y1: number, y2: number) => `M${x} ${y1} V${y2}`;
  return (
    <>
      <path d={`${lead(top, middle - half)} ${lead(middle + half, foot)}`} />
      <g transform={`translate(${x} ${middle})${upright ? '' : ' scale(1 -1)'}`}>
        {own(part) ?? shape(resistors)}
      </g>
      {(part.kind === 'supply' || isSquare(part)) && (
        <text x={x - 16} y={middle - 8} stroke="none" fill="var(--ink)">
          +
        </text>
      )}
    </>
  );
}

/** A source of pulses shows them. */
const SQUARE = (
  <>
    <circle r="12" fill="var(--sheet)" />
    <path d="M-8 5 h4 v-10 h5 v10 h4 v-10 h3" />
  </>
);

/** A transistor's bar with its three legs, collector at the top; the arrow of the emitter says which way it conducts. */
function transistor(npn: boolean): ReactNode {
  return (
    <>
      <path d="M-9 -10 V10" strokeWidth="2.6" />
      <path d="M-27.6 0 H-9 M-9 -4 L0 -14 M-9 4 L0 14" />
      <path d={npn ? 'M-0.5 13.4 l-5.6 -1.6 l4 -3.6 Z' : 'M-8 5 l5.6 1.6 l-4 3.6 Z'} fill="var(--ink)" />
    </>
  );
}

/** Symbols that hang on what a part is set to. */
function own(part: Part): ReactNode | undefined {
  if (isSquare(part)) return SQUARE;
  return part.kind === 'transistor' ? transistor(part.params.polarity === 'npn') : undefined;
}

function isSquare(part: Part): boolean {
  return part.kind === 'signal' && part.params.shape === 'square';
}

interface Symbol {
  /** Half of its length, where the leads begin. */
  readonly half: number;
  shape(resistors: ResistorSymbol): ReactNode;
}

/** A triangle that points along the current, for what lets it pass one way. */
const triangle = <path d="M-9 -9 H9 L0 8 Z" fill="var(--sheet)" />;
const box = () => <rect x="-12" y="-14" width="24" height="28" fill="var(--sheet)" />;

/** One symbol a kind, drawn upright around its middle; a kind without one does not compile. */
const SYMBOLS: Readonly<Record<Part['kind'], Symbol>> = {
  supply: {
    half: 5,
    shape: () => (
      <>
        <path d="M-15 -5 H15" />
        <path d="M-8 5 H8" strokeWidth="3" />
      </>
    ),
  },
  resistor: { half: 16, shape: (resistors) => <Resistor symbol={resistors} /> },
  potentiometer: {
    half: 16,
    shape: (resistors) => (
      <>
        <Resistor symbol={resistors} />
        <path d="M-17 11 L13 -9 m0 0 l-7 0.6 m7 -0.6 l-3.2 6" strokeWidth="1.3" />
      </>
    ),
  },
  led: {
    half: 9,
    shape: () => (
      <>
        {triangle}
        <path d="M-9 9 H9" strokeWidth="2.2" />
        <path
          d="M-10 -1 l-8 5 m0 0 l2.2 -4 m-2.2 4 l4.4 -0.2 M-8 5 l-8 5 m0 0 l2.2 -4 m-2.2 4 l4.4 -0.2"
          strokeWidth="1.1"
        />
      </>
    ),
  },
  // The cathode is the second pin: its bar carries the two little hooks.
  zener: {
    half: 9,
    shape: () => (
      <>
        {triangle}
        <path d="M-12 12 L-9 9 H9 L12 6" strokeWidth="2" />
      </>
    ),
  },
  diode: {
    half: 9,
    shape: () => (
      <>
        {triangle}
        <path d="M-9 9 H9" strokeWidth="2.2" />
      </>
    ),
  },
  switch: {
    half: 11,
    shape: () => (
      <>
        <path d="M0 -11 V-8 M0 11 V8 M8 -9 V9 M8 0 H14 M14 -5 V5" />
        <circle r="2" cy="-8" fill="var(--ink)" />
        <circle r="2" cy="8" fill="var(--ink)" />
      </>
    ),
  },
  capacitor: { half: 4, shape: () => <path d="M-12 -4 H12 M-12 4 H12" strokeWidth="2.2" /> },
  inductor: {
    half: 16,
    shape: () => <path d="M0 -16 a5.3 5.3 0 0 1 0 10.7 a5.3 5.3 0 0 1 0 10.7 a5.3 5.3 0 0 1 0 10.6" />,
  },
  ldr: {
    half: 16,
    shape: (resistors) => (
      <>
        <Resistor symbol={resistors} />
        <path
          d="M-22 -16 l11 7 m0 0 l-5 0 m5 0 l-2 -4.6 M-22 -6 l11 7 m0 0 l-5 0 m5 0 l-2 -4.6"
          strokeWidth="1.2"
        />
      </>
    ),
  },
  speaker: {
    half: 9,
    shape: () => <path d="M-6 -9 H4 V9 H-6 Z M4 -9 L14 -17 V17 L4 9" fill="var(--sheet)" />,
  },
  signal: {
    half: 12,
    shape: () => (
      <>
        <circle r="12" fill="var(--sheet)" />
        <path d="M-7 0 q3.5 -9 7 0 q3.5 9 7 0" />
      </>
    ),
  },
  wire: { half: 0, shape: () => null },
  transistor: { half: 14, shape: () => null },
  timer: { half: 14, shape: box },
  pin: { half: 14, shape: box },
};

function Resistor({ symbol }: { symbol: ResistorSymbol }) {
  return symbol === 'box' ? (
    <rect x="-7" y="-16" width="14" height="32" fill="var(--sheet)" />
  ) : (
    <path d="M0 -16 l7 3 l-14 5.3 l14 5.3 l-14 5.3 l14 5.3 l-7 7.8" />
  );
}
