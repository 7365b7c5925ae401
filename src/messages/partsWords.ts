import { BOARDS, type BoardId, type Sheet } from '@/core';
import { lampName, supplyName } from './names';
import { listWords } from './stepWords';

/** What a part is told by, and whether it matters which way round it goes. */
export interface PartWords {
  readonly name: string;
  readonly told: string;
}

/** Parts besides lamps and resistors: how their legs are told apart. */
export function otherParts({ circuit, pattern }: Sheet): PartWords[] {
  const ids = (kind: string) => circuit.parts.filter((part) => part.kind === kind).map(({ id }) => id);
  const rows = [
    { ids: ids('zener'), told: 'A band at one end. It works backwards: the banded end goes towards plus.' },
    {
      ids: ids('potentiometer'),
      told: 'Three legs, no polarity. The middle one is the slider; with the outer ones exchanged the knob only turns the other way.',
    },
    {
      ids: ids('switch'),
      told: 'No polarity. Of a button with four legs two and two are joined inside: take two that lie cornerwise.',
    },
  ];
  const others = rows.flatMap(({ ids: own, told }) => (own.length ? [{ name: listWords(own), told }] : []));
  return pattern === 'rgb' ? [...threeColours(circuit), ...others] : others;
}

/** Leg order of a three-colour lamp, and how an unknown one is told with two wires. */
function threeColours(circuit: Sheet['circuit']): PartWords[] {
  const lamps = circuit.parts.filter((part) => part.body !== undefined);
  const cathode = new Set(lamps.map((part) => part.pins['cathode'])).size === 1;
  const [own, other, end] = cathode ? ['cathode', 'anode', 'minus'] : ['anode', 'cathode', 'plus'];
  return [
    {
      name: 'three-colour lamp',
      told: `Legs side by side: red, the longest (common ${own}), green, blue. The longest goes to ${end}.`,
    },
    {
      name: 'not sure which sort?',
      told: `A coin cell, 100 Ω and two wires: hold the longest leg to ${end} and touch the others in turn. Red, green and blue one after another: common ${own}. Dark all along, but lit with plus and minus exchanged: common ${other}.`,
    },
  ];
}

/** Which holes of a board are one piece of metal. */
export function boardAnatomy(id: BoardId): string {
  const { copper, rows, across, rails, splitAfter } = BOARDS[id];
  switch (copper) {
    case 'rows':
      return [
        `${rows} rows. In each, a to e are one piece of metal, and f to j another; nothing passes the trench between them.`,
        rails.length === 0
          ? 'No rails.'
          : 'The rails along both edges run from end to end; left and right ones are not joined.',
        ...(splitAfter === undefined
          ? []
          : [
              `These rails are in two halves: they part after row ${splitAfter}, and a wire must bridge the gap.`,
            ]),
      ].join(' ');
    case 'strips':
      return `${rows} strips of ${across} holes. All holes of a letter are joined along the strip, until it is cut.`;
    case 'pads':
      return `${rows} by ${across} pads, each by itself: what is to be joined is joined by wire or solder on the back.`;
    case 'tapes':
      return 'Each piece of tape is one conductor. The plus tape runs along the top, the minus tape along the foot.';
  }
}

/** What the sums take on trust: worth measuring, or asking for, before the class relies on it. */
export function stillAssumed(
  { steady, supply, kit, sorts }: Sheet,
  origins: Readonly<Record<string, string>>,
): string[] {
  const lamps = [...new Set(Object.values(sorts))].filter((type) =>
    ['table', 'assumed'].includes(origins[type] ?? ''),
  );
  return [
    ...lamps.map(
      (type) => `Forward voltage of the ${lampName(type)} lamp: from a table, not from this batch.`,
    ),
    ...(supply.measured || supply.kind === 'bench'
      ? []
      : [`Volts and own ohms of ${supplyName(supply)}: from a table, not measured.`]),
    ...(steady.rungs
      ? ['How sharp the knee of the zeners is: the lamps come on over a few tenths of a volt.']
      : []),
    ...(kit.unpriced.length
      ? [`Price of ${kit.unpriced.length} of the parts: the store does not hold them.`]
      : []),
  ];
}
