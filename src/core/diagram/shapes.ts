import type { Part } from '../circuit/circuit';

/** A symbol that stands upright between two points, in units of one symbol's length. */
export interface Symbol {
  readonly part: Part;
  readonly x: number;
  readonly top: number;
  readonly foot: number;
  /** Whether its first pin is at the top. */
  readonly upright: boolean;
  /** Where its third leg is reached, beside its middle: a transistor's base. */
  readonly tap?: { readonly x: number; readonly y: number };
}

export interface Line {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** A chip as a box with its pins at its edges. */
export interface ChipBox {
  readonly part: Part;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pins: readonly {
    readonly pin: string;
    readonly x: number;
    readonly y: number;
    readonly side: 'left' | 'right' | 'top' | 'foot';
  }[];
}

export interface Diagram {
  readonly supply: Part;
  readonly symbols: readonly Symbol[];
  readonly wires: readonly Line[];
  readonly chips: readonly ChipBox[];
  readonly dots: readonly { readonly x: number; readonly y: number }[];
  readonly width: number;
  readonly height: number;
}
