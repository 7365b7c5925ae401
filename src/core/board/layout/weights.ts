/** What the layout minds, in the price of one jumper four. Wire is by the pitch, places by the row. */
export const WEIGHTS = {
  jumper: 4,
  wire: 0.25,
  /** A wire that lies neither along a row nor down a column: on a plug-in board only where no straight one joins. */
  slant: { plugged: 3, soldered: 0.6 },
  /** A wire arched over a chip, from beside one pin to beside the other. */
  arch: 0.8,
  crossing: 2,
  /** A wire over the body of a part, each hole. */
  overBody: 0.4,
  /** A wire right over a leg, or an end under another wire: only where nothing else is left. */
  overLeg: 60,
  /** The end of a wire where a lamp leans over its hole. */
  underLamp: 0.8,
  /** A slanted wire that leans over a leg beside its way. */
  nearLeg: 3,
  /** A link on the back of a pad board: a bridge to the next pad costs little. */
  link: 0.8,
  linkPitch: 0.5,
  /** One block among the rows of another. */
  mingled: 6,
  rank: 0.05,
  otherSide: 2,
  edge: 2,
  /** A lying part right beside another, each hole of its length. */
  beside: 0.35,
  /** Lamps closer than fingers like. */
  crowded: 1.5,
} as const;

/** Pitches between the middles of two lamps that leave room for fingers. */
export const ROOM = { plugged: 2, soldered: 2.6 } as const;
