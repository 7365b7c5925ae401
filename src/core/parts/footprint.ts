/** How the legs of a thing lie to each other. */
export type Footprint =
  /** Two legs in one line, so many pitches apart. */
  | {
      readonly form: 'line';
      readonly low: number;
      readonly high: number;
      readonly usual: number;
      /** Its legs do not bend to a rail. */
      readonly stiff?: boolean;
    }
  /** Three or more legs side by side. */
  | { readonly form: 'comb'; readonly pitch: number }
  /** Two rows of pins, three pitches apart: down the left from the notch, and beside them down the right. */
  | { readonly form: 'dual'; readonly left: readonly string[]; readonly right: readonly string[] }
  /** Flexible leads: each goes where its net is. */
  | { readonly form: 'leads' };

/**
 * How far a body reaches beyond the straight line from its first to its last leg, in pitches of 2.54 mm; `round` ones
 * are discs around the middle of it.
 */
export interface Room {
  readonly along: number;
  readonly across: number;
  readonly round?: boolean;
}

export const NO_ROOM: Room = { along: 0, across: 0 };

export const line = (low: number, usual: number, high: number): Footprint => ({
  form: 'line',
  low,
  usual,
  high,
});
