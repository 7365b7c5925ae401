import { memo, useMemo } from 'react';
import {
  formatFarads,
  formatOhms,
  formatQuantity,
  type Circuit,
  type Diagram,
  type LampSorts,
  type Part,
} from '@/core';
import { lampName, pinName } from '@/messages/names';
import { ChipSymbol } from './ChipSymbol';
import { SymbolDrawing, type ResistorSymbol } from './symbols';

/** Drawing units for one symbol's length, and for the width of a branch. */
const ACROSS = 92;
const DOWN = 74;
const MARGIN = 58;

interface Props {
  readonly circuit: Circuit;
  readonly sorts: LampSorts;
  readonly resistors: ResistorSymbol;
  /** Solved volts and amps of each part, where they are wished for. */
  readonly figures?: Readonly<Record<string, { readonly volts: number; readonly amps: number }>> | undefined;
}

/** The circuit in the field's symbols where it has been laid out, with values and, on wish, solved figures. */
export function CircuitDiagram({ layout, ...props }: Props & { readonly layout: Diagram | undefined }) {
  return layout ? <DiagramDrawing {...props} layout={layout} /> : <p className="soft">{UNDRAWN}</p>;
}

export const UNDRAWN =
  'This circuit is neither a net of series and parallel nor one around chips and transistors, or goes too deep to be drawn: its parts stand in the list.';

/** The same as it has been laid out before; its parts are those of the circuit now. */
export function DiagramDrawing({
  circuit,
  sorts,
  resistors,
  figures,
  layout,
  seen,
}: Props & { readonly layout: Diagram; readonly seen?: Seen | undefined }) {
  const diagram = useMemo(() => withParts(layout, circuit), [layout, circuit]);
  const groups = useMemo(() => inGroups(diagram.symbols), [diagram]);
  const width = diagram.width * ACROSS + 2 * MARGIN;
  const height = diagram.height * DOWN + 60;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className="circuit-diagram"
      style={{ maxWidth: `${width}px` }}
      role="img"
      aria-label={`Circuit diagram: ${namesOf(circuit, sorts)}`}
      fill="none"
      stroke="var(--ink)"
      strokeWidth="1.6"
      fontSize="12"
    >
      <Wires diagram={diagram} />
      {diagram.chips.map((box) => (
        <ChipSymbol key={box.part.id} box={box} toX={toX} toY={toY} />
      ))}
      {groups.map(
        (symbols, i) =>
          isSeen(symbols, seen) && <Symbols key={i} {...{ symbols, sorts, resistors, figures }} />,
      )}
    </svg>
  );
}

/** From which height of a drawing to which it is looked at, in the diagram's own units. */
export interface Seen {
  readonly from: number;
  readonly to: number;
}

/** A drawing of more symbols is drawn where it is looked at only: all of it would hold up the page. */
export const LONG_DRAWING = 300;

/** Symbols that are drawn in one go. */
const GROUP = 60;

function isSeen(symbols: Diagram['symbols'], seen: Seen | undefined): boolean {
  return !seen || symbols.some(({ top, foot }) => foot >= seen.from && top <= seen.to);
}

function inGroups(symbols: Diagram['symbols']): Diagram['symbols'][] {
  return Array.from({ length: Math.ceil(symbols.length / GROUP) }, (_, i) =>
    symbols.slice(i * GROUP, (i + 1) * GROUP),
  );
}

type SymbolsProps = Pick<Props, 'sorts' | 'resistors' | 'figures'> & { readonly symbols: Diagram['symbols'] };

/** Some of a diagram's symbols, with what stands beside each. */
const Symbols = memo(function Symbols({ symbols, sorts, resistors, figures }: SymbolsProps) {
  return symbols.map(({ part, x, top, foot, upright }) => (
    <g key={part.id}>
      <SymbolDrawing
        part={part}
        x={toX(x)}
        top={toY(top)}
        foot={toY(foot)}
        upright={upright}
        resistors={resistors}
      />
      <Caption
        lines={[...labelOf(part, sorts), ...figureOf(figures?.[part.id])]}
        soft={labelOf(part, sorts).length}
        x={toX(x) + (part.kind === 'supply' ? 24 : 17)}
        y={(toY(top) + toY(foot)) / 2}
      />
    </g>
  ));
}, isDrawnAlike);

/** Whether two groups look the same: the layout and every part on it. */
function isDrawnAlike(before: SymbolsProps, now: SymbolsProps): boolean {
  if (before.sorts !== now.sorts || before.resistors !== now.resistors || before.figures !== now.figures)
    return false;
  return now.symbols.every((symbol, i) => {
    const other = before.symbols[i];
    return (
      other?.part === symbol.part &&
      other.x === symbol.x &&
      other.top === symbol.top &&
      other.foot === symbol.foot &&
      other.upright === symbol.upright
    );
  });
}

/** What a diagram shows, for who does not see it; of a very large one, how much. */
function namesOf({ parts }: Circuit, sorts: LampSorts): string {
  if (parts.length > LONG_DRAWING) return `${parts.length} parts`;
  return parts.map((part) => labelOf(part, sorts).join(' ')).join(', ');
}

/** What the layout of a diagram hangs on: which legs are joined, not what stands on the parts. */
export function wiringOf(circuit: Circuit): string {
  return JSON.stringify({
    ...circuit,
    checks: [],
    parts: circuit.parts.map((part) => ({ ...part, params: {} })),
  });
}

/** A layout with the parts as they are now. */
function withParts(diagram: Diagram, { parts }: Circuit): Diagram {
  const own = new Map(parts.map((part) => [part.id, part]));
  const now = <T extends { readonly part: Part }>(one: T): T => ({
    ...one,
    part: own.get(one.part.id) ?? one.part,
  });
  return { ...diagram, symbols: diagram.symbols.map(now), chips: diagram.chips.map(now) };
}

/** What stands at a share of a drawing's height, in the diagram's own units. */
export function heightAt(share: number, diagram: Diagram): number {
  return (share * (diagram.height * DOWN + 60) - 30) / DOWN;
}

function toX(x: number): number {
  return x * ACROSS + MARGIN;
}

function toY(y: number): number {
  return y * DOWN + 30;
}

function Wires({ diagram }: { diagram: Diagram }) {
  return (
    <>
      <path d={diagram.wires.map((w) => `M${toX(w.x1)} ${toY(w.y1)} L${toX(w.x2)} ${toY(w.y2)}`).join(' ')} />
      {diagram.dots.map(({ x, y }) => (
        <circle key={`${x} ${y}`} cx={toX(x)} cy={toY(y)} r="3" fill="var(--ink)" stroke="none" />
      ))}
    </>
  );
}

function Caption({ lines, soft, x, y }: { lines: readonly string[]; soft: number; x: number; y: number }) {
  const start = y + 4 - ((lines.length - 1) * 13) / 2;
  return (
    <g stroke="none" fill="var(--ink)">
      {lines.map((line, i) => (
        <text key={i} x={x} y={start + i * 13} fill={i >= soft ? 'var(--soft)' : 'var(--ink)'}>
          {line}
        </text>
      ))}
    </g>
  );
}

function labelOf(part: Part, sorts: LampSorts): string[] {
  switch (part.kind) {
    case 'resistor':
    case 'potentiometer':
      return [part.id, formatOhms(part.params.ohms)];
    case 'led':
      return [part.id, lampName(sorts[part.id] ?? '').replace(/ \(.*/u, '')].filter(Boolean);
    case 'capacitor':
      return [part.id, formatFarads(part.params.farads)];
    case 'speaker':
      return [part.id, formatOhms(part.params.ohms)];
    case 'zener':
      return [part.id, formatQuantity(part.params.vz, 'V')];
    case 'supply':
      return [part.id, formatQuantity(part.params.volts, 'V')];
    case 'pin':
      return [pinName(part.id)];
    case 'signal':
      return [part.id, ...signalWords(part.params)];
    default:
      return [part.id];
  }
}

/** Pulses by their peak, a sine by its peak and its pitch. */
function signalWords({ shape, offset, amplitude, hertz }: Extract<Part, { kind: 'signal' }>['params']) {
  if (amplitude === 0) return ['silent'];
  return shape === 'square'
    ? [`${formatQuantity(offset + amplitude, 'V')}, pulses`]
    : [formatQuantity(amplitude, 'V'), formatQuantity(hertz, 'Hz')];
}

function figureOf(figure: { volts: number; amps: number } | undefined): string[] {
  if (!figure) return [];
  const volts = Math.abs(figure.volts);
  const amps = Math.abs(figure.amps);
  // What no meter shows is left out: a closed switch, a blocking lamp.
  return [
    ...(volts > 1e-5 ? [formatQuantity(volts, 'V')] : []),
    amps > 1e-7 ? formatQuantity(amps, 'A') : 'no current',
  ];
}
