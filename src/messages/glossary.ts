import { z } from 'zod';
import { boardOf, patternOf, type Copper, type Level, type Part, type Sheet } from '@/core';

export interface Term {
  readonly term: string;
  /** In plain words, for those who are not given the mathematics. */
  readonly plain: string;
  /** As the field says it. */
  readonly exact: string;
}

/** The words of steady-light lessons, each said twice. */
export const TERMS = {
  circuit: {
    term: 'circuit',
    plain: 'A closed ring that the current goes round: open it anywhere and all of it stops.',
    exact: 'Parts joined so that current has a closed path; the currents into every joint add up to zero.',
  },
  current: {
    term: 'current',
    plain: 'How much flows through a wire at once. It is the same all along one way.',
    exact: 'Charge per second through a conductor, in amperes (A); 1 mA is a thousandth.',
  },
  voltage: {
    term: 'voltage',
    plain: 'How hard it is pushed between two places. The meter needs two probes for it.',
    exact:
      'Energy per charge between two points, in volts (V); around a loop the drops add up to the supply.',
  },
  resistance: {
    term: 'resistance',
    plain: 'How much a part holds the current back.',
    exact: 'Volts across a part divided by the current through it, in ohms (Ω).',
  },
  lamp: {
    term: 'LED',
    plain: 'A lamp that lets current through one way only, and shines while it does.',
    exact:
      'Light-emitting diode: its current rises very steeply with its voltage, so something else must limit it.',
  },
  polarity: {
    term: 'anode, cathode',
    plain: 'The long leg goes towards plus, the short leg on the flat edge towards minus.',
    exact: 'Current enters an LED at its anode (long leg) and leaves at its cathode (short leg, flat edge).',
  },
  'forward voltage': {
    term: 'forward voltage',
    plain: 'The push that a lit lamp takes for itself; each colour has its own.',
    exact:
      'Volts from anode to cathode at a stated current: about 1.9 V for red, about 3 V for blue and white.',
  },
  'reverse voltage': {
    term: 'reverse voltage',
    plain: 'The push on a lamp that is the wrong way round. Most bear about 5 V.',
    exact:
      'Volts from cathode to anode while an LED blocks; above its limit (5 V for most) the chip may be ruined.',
  },
  resistor: {
    term: 'series resistor',
    plain: 'The part that keeps the lamp from taking more than is good for it.',
    exact: 'Resistor in the lamp’s own path; it takes the volts that are left, and so sets the current.',
  },
  bands: {
    term: 'colour bands',
    plain: 'The value of a resistor, painted on it as rings. Either way round is right on the board.',
    exact:
      'Two or three digits, a multiplier and a tolerance, read from the end where the bands stand closer.',
  },
  tolerance: {
    term: 'tolerance',
    plain: 'No two parts are quite alike; this says how far they may differ.',
    exact: 'Largest departure from the printed value, as ± %, in which the maker’s parts lie.',
  },
  rating: {
    term: 'power rating',
    plain: 'How hot a part may get before it suffers.',
    exact: 'Largest heat in watts (volts × amperes) a part carries for good; half of it stays touchable.',
  },
  supply: {
    term: 'own ohms of a supply',
    plain: 'A battery holds back a little itself, a tired one more: its volts fall when something is lit.',
    exact: 'Internal resistance: the volts at its ends are its open volts less current times these ohms.',
  },
  short: {
    term: 'short circuit',
    plain: 'A way for the current past the lamp, with nothing to hold it back. Things get hot.',
    exact:
      'A path of nearly no resistance between two points; across a supply its own ohms alone limit the current.',
  },
  series: {
    term: 'in series',
    plain: 'One behind the other: the same current goes through all of them.',
    exact: 'On one path without branches: equal currents, the volts add up.',
  },
  parallel: {
    term: 'in parallel',
    plain: 'Side by side: each has a way of its own.',
    exact: 'Between the same two points: equal volts, the currents add up.',
  },
  row: {
    term: 'row, trench, rail',
    plain:
      'Five holes of a row are one wire inside. Over the trench nothing is joined. Rails run along the edge.',
    exact:
      'Each numbered row is two sets of five joined holes, apart at the trench; a rail is one long set, on some boards split in the middle.',
  },
  jumper: {
    term: 'jumper',
    plain: 'A wire with two ends that joins two rows.',
    exact: 'Insulated wire between two holes; it makes two sets of joined holes one.',
  },
  strip: {
    term: 'strip, cut',
    plain: 'Copper lines under the board join all holes of a letter, until one is cut through.',
    exact: 'Stripboard joins the holes of a row along its length; a drilled-out hole parts a strip in two.',
  },
  joint: {
    term: 'joint, bridge',
    plain: 'Solder that holds a leg to copper is a joint; solder where none should be is a bridge.',
    exact:
      'A sound joint wets pad and leg and is concave; a bridge is an unwanted low-ohm path to a neighbour.',
  },
  tape: {
    term: 'copper tape',
    plain: 'A wire that is glued down. Where two pieces only overlap, the glue is in between.',
    exact: 'Foil conductor on adhesive; overlaps need a fold or solder to conduct well.',
  },
  potentiometer: {
    term: 'potentiometer',
    plain: 'A resistor with a knob.',
    exact: 'Resistive track with a sliding contact: the ohms from wiper to one end follow the knob.',
  },
  zener: {
    term: 'zener',
    plain: 'Lets current pass backwards, but only when pushed harder than its number says.',
    exact: 'Diode with a defined breakdown voltage, used in reverse as a threshold; the knee is not sharp.',
  },
  capacitor: {
    term: 'capacitor',
    plain: 'Keeps what was pushed into it: its push cannot jump, it takes time. Nothing steady gets through.',
    exact:
      'Stores charge in proportion to its volts, in farads (F); it passes what changes and blocks what is steady.',
  },
  transistor: {
    term: 'transistor',
    plain: 'A small current into one leg lets a large one pass between the two others.',
    exact:
      'Current into the base (out of it, for a PNP) lets a hundred times as much pass from collector to emitter.',
  },
  filter: {
    term: 'filter, corner',
    plain:
      'Lets some tones through and holds the others back; the corner is where the one becomes the other.',
    exact:
      'Resistor and capacitor whose share of the volts follows the frequency; at the corner, 1/(2πRC), seven tenths pass.',
  },
  common: {
    term: 'common cathode, common anode',
    plain: 'Three lamps in one house share one leg: the longest.',
    exact: 'The three chips’ cathodes (or anodes) are joined inside at the longest leg.',
  },
  hogging: {
    term: 'hogging',
    plain: 'The lamp that is easiest to push takes all the current, and the others stay dark.',
    exact:
      'Unlike LEDs in parallel have equal volts: the lowest forward voltage carries nearly all the current.',
  },
  limit: {
    term: 'current limit',
    plain: 'The supply stops pushing harder when this much flows.',
    exact: 'A bench supply holds amperes instead of volts once the set current is reached.',
  },
  isolated: {
    term: 'isolated supply',
    plain: 'A supply with no wire through to the wall: safe to touch at its low side.',
    exact: 'Output separated from the mains by a safety transformer; extra-low voltage on the output side.',
  },
} as const satisfies Readonly<Record<string, Term>>;

export type TermId = keyof typeof TERMS;
export const TERM_IDS = Object.keys(TERMS) as TermId[];

/** Characters of one own wording. */
export const WORDING_MOST = 300;

/** The educator's own wording, where there is one. */
export type OwnWords = Readonly<Partial<Record<TermId, string>>>;

/** Own wording by term; terms that are not known any more are left out. */
export const glossarySchema = z
  .partialRecord(
    z.enum(TERM_IDS as [TermId, ...TermId[]]),
    z.string().max(WORDING_MOST, `is longer than ${WORDING_MOST} characters`),
  )
  .transform((words): OwnWords => words);

export interface Meaning {
  readonly id: TermId;
  readonly term: string;
  readonly meaning: string;
}

/** The words that a lesson needs, as they are said at its level; the educator's own wording goes before both. */
export function glossaryFor(sheet: Sheet, level: Level, own: OwnWords): Meaning[] {
  return TERM_IDS.filter((id) => NEEDED[id]?.(sheet) ?? true).map((id) => {
    const { term, plain, exact } = TERMS[id];
    return { id, term, meaning: own[id] || (level === 'no mathematics' ? plain : exact) };
  });
}

const has =
  (kind: Part['kind']) =>
  ({ circuit }: Sheet) =>
    circuit.parts.some((part) => part.kind === kind);
const on =
  (...coppers: readonly Copper[]) =>
  ({ plan }: Sheet) =>
    coppers.includes(boardOf(plan).copper);

/** When a lesson needs a word; those that are not listed are needed always. */
const NEEDED: Readonly<Partial<Record<TermId, (sheet: Sheet) => boolean>>> = {
  resistor: has('resistor'),
  bands: has('resistor'),
  tolerance: has('resistor'),
  series: ({ sums }) => sums.strings.some((sum) => sum.lamps.length > 1 && !sum.sideBySide),
  parallel: ({ sums }) => sums.design.lamps.length > 1,
  row: on('rows'),
  jumper: on('rows'),
  strip: on('strips'),
  joint: on('strips', 'pads'),
  tape: on('tapes'),
  potentiometer: has('potentiometer'),
  zener: has('zener'),
  capacitor: has('capacitor'),
  transistor: has('transistor'),
  filter: ({ sums }) => sums.own.family === 'sound',
  common: ({ circuit }) => circuit.parts.some(({ kind, body }) => kind === 'led' && body !== undefined),
  hogging: ({ findings, sums }) =>
    findings.some(({ code }) => code === 'unequal-lamps') || sums.ways.some(({ kind }) => kind === 'shared'),
  limit: ({ supply }) => supply.kind === 'bench',
  isolated: ({ pattern }) => patternOf(pattern).standsInFor !== undefined,
};
