import { formatOhms, isKind, partOf, type Piece, type Sheet, type Step } from '@/core';
import { holeName } from './holes';
import { lengthWords } from './lengths';
import { legName } from './names';
import { counted } from './grammar';
import { listWords, resistorBands, valueOf, type StepWords } from './stepWords';

type Of<A extends Step['action']> = Extract<Step, { action: A }>;

export function cutWords({ cuts }: Of<'cut'>): StepWords {
  return {
    title: `Cut the strips at ${counted(cuts.length, 'hole')}: ${cuts.join(', ')}.`,
    detail:
      'From the copper side, turn a cutter or a 4 mm drill in the hole by hand until no hair of copper is left. Seen from there the columns run the other way: mark the holes with a pin first.',
    cue: 'Meter on ohms across every cut: it must show open.',
    why: 'Left and right of a cut are different points of the circuit.',
  };
}

export function linkWords(step: Of<'place-jumper'>): StepWords {
  const [from, to] = step.legs.map((leg) => holeName(leg.hole)) as [string, string];
  if (step.onTheBack) {
    const beside = besides(from, to);
    return {
      title: `On the back, join ${from} to ${to}${beside ? ' with a bridge of solder' : ' with bare wire'} (${step.part}).`,
      detail: beside
        ? 'Heat both pads, feed solder until it flows across.'
        : 'Lay the wire flat, solder both ends; slip a sleeve over it where it passes another.',
      why: 'Pads are joined by nothing else.',
    };
  }
  return {
    title: `Solder the link ${step.part} from ${from} to ${to}.`,
    detail: 'Bare wire, pulled straight, flat on the board; cut the ends short.',
    why: 'It joins two strips that carry the same point of the circuit.',
  };
}

function besides(from: string, to: string): boolean {
  const place = (hole: string) => {
    const [, letters = '', number] = /^([A-Z]+)(\d+)$/u.exec(hole) ?? [];
    return [26 * letters.length + letters.charCodeAt(letters.length - 1), Number(number)] as const;
  };
  const [a, b] = [place(from), place(to)];
  return Math.abs(a[0] - b[0]) + Math.abs(a[1] - b[1]) === 1;
}

export function batchWords(step: Of<'solder-batch'>, sheet: Sheet): StepWords {
  const holes = step.pieces.map((piece) => placeWords(piece, sheet)).join('; ');
  const flat = step.height === 'flat';
  const names = listWords(step.pieces.map(({ part }) => part));
  return {
    title: `${step.of > 1 ? `Batch ${step.batch} of ${step.of}: solder` : 'Solder'} ${names}.`,
    detail: `${holes}. ${bandWords(step.pieces, sheet)}${flat ? 'Bend the legs, push flat to the board, spread them a little so that nothing falls out.' : 'Stand them in the slot of a card strip so that all are level and in line.'} Solder one leg of each. Look along the row; reheat and press what is proud or crooked. Then the other legs: ${step.joints} joints. Cut the legs just above the joint: ${step.joints} clippings in the tin.`,
    ...(flat ? bandCue(step.pieces) : { cue: longLegs(step.pieces) }),
    why: flat
      ? 'Flat parts first: the board can lie on them while it is turned over.'
      : 'Lamps do not like heat: last, and three seconds a leg.',
  };
}

function placeWords(piece: Piece, sheet: Sheet): string {
  return `${[piece.part, valueOf(piece.part, sheet)].filter(Boolean).join(' ')} ${piece.legs.map((leg) => leg.hole).join('–')}`;
}

/** The colour bands of each value that goes in, once. */
function bandWords(pieces: readonly Piece[], { circuit }: Sheet): string {
  const found = new Map<string, readonly string[]>();
  for (const { part: id } of pieces) {
    const part = partOf(circuit, id);
    if (!part || !isKind(part, 'resistor')) continue;
    const bands = resistorBands(part.params);
    if (bands) found.set(formatOhms(part.params.ohms), bands);
  }
  const said = [...found].map(([value, bands]) => `${value} ${bands.join(', ')}`);
  return said.length > 0 ? `Bands: ${said.join('; ')}. ` : '';
}

function longLegs(pieces: readonly Piece[]): string {
  const legs = pieces.flatMap((piece) =>
    piece.legs.filter((leg) => leg.cue === 'long-leg').map((leg) => `${piece.part} ${leg.hole}`),
  );
  const name = pieces.some(({ kind }) => kind === 'rgb') ? legName('rgb', 'common') : 'long leg';
  return legs.length
    ? `${name.charAt(0).toUpperCase()}${name.slice(1)}: ${legs.join(', ')}. All flat edges the same way?`
    : 'Either way round is right.';
}

function bandCue(pieces: readonly Piece[]): { cue?: string } {
  const bands = pieces.flatMap((piece) =>
    piece.legs.filter((leg) => leg.cue === 'band-end').map((leg) => `${piece.part} ${leg.hole}`),
  );
  return bands.length ? { cue: `Banded end: ${bands.join(', ')}.` } : {};
}

export function inspectWords({ joints, links }: Of<'inspect'>): StepWords {
  return {
    title: `Look over all ${joints} joints under a glass.`,
    detail: `Each is bright and climbs the leg like a little tent. Reheat what is dull or a ball. Between neighbours no bridge and no whisker; draw a knife between strips where in doubt.${links ? ` All ${links} wires lie flat; those that pass over another wear a sleeve.` : ''} Tarnished legs are scraped and soldered again.`,
    cue: 'Meter on ohms from plus to minus: never near 0.',
    why: 'A bridge found now costs a minute, after power a lamp.',
  };
}

/** Joints and solder of a card in one line. */
export function solderWords({ joints, solder }: Sheet['soldering']): string {
  return `${joints} joints, about ${lengthWords(solder)} of solder`;
}
