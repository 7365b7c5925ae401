import {
  BOARDS,
  isCommonCathode,
  isSource,
  thingsOf,
  type BoardId,
  type Kind,
  type Sheet,
  type Thing,
} from '@/core';
import { lampName, supplyName } from './names';
import { listWords } from './stepWords';

/** What a part is told by, and whether it matters which way round it goes. */
export interface PartWords {
  readonly name: string;
  readonly told: string;
}

/** How the legs of each kind are told apart; lamps, resistors and the supply have sections of their own. */
const TOLD: Readonly<Record<Kind, string | undefined>> = {
  supply: undefined,
  resistor: undefined,
  led: undefined,
  wire: undefined,
  signal:
    'Sound comes by a lead with three wires: white is left, red is right, and the bare one is the shield, which goes to minus.',
  zener: 'A band at one end. It works backwards: the banded end goes towards plus.',
  potentiometer:
    'Three legs, no polarity. The middle one is the slider; with the outer ones exchanged the knob only turns the other way.',
  switch:
    'No polarity. A switch stays as it is put, a button is closed only while it is held. Of a button with four legs two and two are joined inside: take two that lie cornerwise.',
  capacitor:
    'A tall round one has a stripe beside its minus leg, and its longer leg is plus. A flat ceramic one has no polarity.',
  inductor: 'No polarity.',
  diode: 'A ring at one end: that is the cathode, and current leaves there.',
  transistor:
    'Three legs. Hold it with the flat face towards you, legs down, and read them from the left; their order is another one from type to type.',
  timer: 'A notch or a dot marks the end with pin 1; pins are counted down the left and up the right.',
  ldr: 'Two legs, no polarity: its face must see the light.',
  speaker: 'Two legs; a plus is marked, and it sounds the same either way.',
  pin: 'Told by the number printed on the controller’s board.',
};

/** Parts besides lamps and resistors: how their legs are told apart. */
export function otherParts({ circuit }: Sheet): PartWords[] {
  const kinds = [...new Set(circuit.parts.map(({ kind }) => kind))];
  const others = kinds.flatMap((kind) => {
    const told = TOLD[kind];
    const ids = circuit.parts
      .filter((part) => part.kind === kind && !isSource(circuit, part.id))
      .map(({ id, body }) => body?.id ?? id);
    return told && ids.length > 0 ? [{ name: listWords([...new Set(ids)]), told }] : [];
  });
  const housed = thingsOf(circuit).filter(({ kind }) => kind === 'rgb');
  return [...housed.flatMap(threeColours), ...others];
}

/** Leg order of a three-colour lamp, and how an unknown one is told with two wires. */
function threeColours(lamp: Thing): PartWords[] {
  const cathode = isCommonCathode(lamp);
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
  const { copper, rows, across, rails, splitAfter, seamAfter } = BOARDS[id];
  switch (copper) {
    case 'rows':
      return [
        `${rows} rows. In each, a to e are one piece of metal, and f to j another; nothing passes the trench between them.`,
        rails.length === 0
          ? 'No rails.'
          : 'The rails along both edges run from end to end; left and right ones are not joined.',
        ...(seamAfter === undefined
          ? []
          : [
              `Two boards pushed together: the second begins with row ${seamAfter + 1}, and no chip lies over the seam.`,
            ]),
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
  { sums, supply, kit, sorts }: Sheet,
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
    ...(sums.own.family === 'gauge'
      ? ['How sharp the knee of the zeners is: the lamps come on over a few tenths of a volt.']
      : []),
    ...(kit.unpriced.length
      ? [`Price of ${kit.unpriced.length} of the parts: the store does not hold them.`]
      : []),
  ];
}
