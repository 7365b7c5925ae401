/** Boards of equal standing: plug-in, soldered, and tape on card. */
export const BOARD_IDS = [
  'mini',
  'mini-pair',
  'half',
  'full',
  'full-split',
  'strip',
  'strip-large',
  'pad',
  'pad-large',
  'card-1',
  'card-2',
  'card-3',
  'card-4',
] as const;
export type BoardId = (typeof BOARD_IDS)[number];
/** What an educator chooses from; a card takes as many tapes a lane as its longest chain wants. */
export const BOARD_CHOICES = [
  'mini',
  'mini-pair',
  'half',
  'full',
  'full-split',
  'strip',
  'strip-large',
  'pad',
  'pad-large',
  'card',
] as const;
export type BoardChoice = (typeof BOARD_CHOICES)[number];

/** What joins holes: rows of five, strips that may be cut, nothing at all, or the tapes themselves. */
export type Copper = 'rows' | 'strips' | 'pads' | 'tapes';

export const RAIL_NAMES = ['L+', 'L-', 'R+', 'R-'] as const;
export type RailName = (typeof RAIL_NAMES)[number];

export interface BoardSpec {
  readonly id: BoardId;
  readonly copper: Copper;
  /** Rows of a plug-in board, lettered rows of a soldered one, tapes across a card's lane. */
  readonly rows: number;
  /** Holes along one strip of a soldered board, or lanes of a card. */
  readonly across: number;
  readonly rails: readonly RailName[];
  /** Last row of the upper half when the rails are split in the middle. */
  readonly splitAfter?: number;
  /** Last row before the seam, where two boards are pushed together end to end: nothing stiff lies over it. */
  readonly seamAfter?: number;
}

const plug = (id: BoardId, rows: number, rest: Partial<BoardSpec> = {}): BoardSpec => ({
  id,
  copper: 'rows',
  rows,
  across: 10,
  rails: RAIL_NAMES,
  ...rest,
});

function soldered(id: BoardId, copper: 'strips' | 'pads', rows: number, across: number): BoardSpec {
  return { id, copper, rows, across, rails: [] };
}

function card(id: BoardId, chain: number): BoardSpec {
  return { id, copper: 'tapes', rows: chain + 1, across: 12, rails: [] };
}

export const BOARDS: Readonly<Record<BoardId, BoardSpec>> = {
  mini: plug('mini', 17, { rails: [] }),
  'mini-pair': plug('mini-pair', 34, { rails: [], seamAfter: 17 }),
  half: plug('half', 30),
  full: plug('full', 63),
  'full-split': plug('full-split', 63, { splitAfter: 31 }),
  strip: soldered('strip', 'strips', 24, 40),
  'strip-large': soldered('strip-large', 'strips', 40, 64),
  pad: soldered('pad', 'pads', 24, 40),
  'pad-large': soldered('pad-large', 'pads', 40, 64),
  'card-1': card('card-1', 1),
  'card-2': card('card-2', 2),
  'card-3': card('card-3', 3),
  'card-4': card('card-4', 4),
};

/** The boards that a choice stands for, smallest first. */
export function boardsFor(choice: BoardChoice): readonly BoardSpec[] {
  return BOARD_IDS.filter((id) => choiceOf(id) === choice).map((id) => BOARDS[id]);
}

export function choiceOf(id: BoardId): BoardChoice {
  return BOARDS[id].copper === 'tapes' ? 'card' : (id as BoardChoice);
}

/** What a board is bought as, and how many of it. */
export function boughtAs(id: BoardId): { readonly board: BoardChoice; readonly count: number } {
  return id === 'mini-pair' ? { board: 'mini', count: 2 } : { board: choiceOf(id), count: 1 };
}

/** Whether parts are soldered to it, plugged into it, or taped on. */
export function buildType(board: BoardSpec): 'plugged' | 'soldered' | 'taped' {
  return board.copper === 'rows' ? 'plugged' : board.copper === 'tapes' ? 'taped' : 'soldered';
}
