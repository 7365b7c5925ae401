import {
  isArchedWire,
  bandsFor,
  boardOf,
  buildType,
  formatOhms,
  formatQuantity,
  isCommonCathode,
  isSource,
  partOf,
  thingOf,
  type LegPlace,
  type Piece,
  SUPPLIES,
  type Sheet,
  type Step,
  sumsIn,
} from '@/core';
import { familyWords } from './families';
import { beamGateWords, beamLampWords } from './beam';
import { boardLead, boardWords, cableWords, onBoard, programWords } from './boardSteps';
import { gateWords, holdWords, readingWords, seenWords, swingWords } from './gates';
import { article, capital, listed } from './grammar';
import { capacitorWords, furtherWords, helpOf, timeOf, timerWords } from './chipSteps';
import { holeName } from './holes';
import { isolateWords } from './isolate';
import { legName, looksWords, supplyName, thingName } from './names';
import { hubWords } from './sound';
import { batchWords, cutWords, inspectWords, linkWords } from './soldering';
import { resistorBands, valueOf, type StepWords } from './stepWords';
import { tapedPartWords, tapeWords } from './taping';

/** One step of the build card in words, made from the plan's own holes. */
export function stepWords(step: Step, sheet: Sheet): StepWords {
  // Each action has its own words; TypeScript cannot see through the union that they belong together.
  return (WORDS[step.action] as (step: Step, sheet: Sheet) => StepWords)(step, sheet);
}

type Of<A extends Step['action']> = Extract<Step, { action: A }>;

const WORDS: { readonly [A in Step['action']]: (step: Of<A>, sheet: Sheet) => StepWords } = {
  'place-jumper': (step, sheet) =>
    buildType(boardOf(sheet.plan)) === 'plugged' ? jumperWords(step, sheet) : linkWords(step),
  'place-part': placeWords,
  'connect-supply': (step, sheet) =>
    onBoard(sheet)
      ? boardLead(step, sheet)
      : {
          title: `Put the ${step.pin === 'plus' ? 'red' : 'black'} lead of ${leadOf(sheet)} in ${hole(step.legs, 0)}.`,
          detail: step.pin === 'minus' ? minusWords(sheet) : 'Plus last: from now on there is power.',
          cue: `${step.pin === 'plus' ? 'Red is plus' : 'Black is minus'}.`,
          why: `${capital(supplyName(sheet.supply))}: ${formatQuantity(sheet.sums.supplyFigures.volts, 'V')}.`,
        },
  'send-program': programWords,
  'plug-in': cableWords,
  gate: gateWords,
  repeat: (step, sheet) => ({
    title: `The same again for ${rowWords(step.rows, sheet)}.`,
    detail: `Like part ${step.like}: ${step.pieces.map((piece) => pieceWords(piece, sheet)).join('; ')}.`,
    ...cueOf(step.pieces),
    why: `Part ${step.block} is built like part ${step.like}, with the same values.`,
  }),
  'change-part': changeWords,
  'block-gate': testWords,
  isolate: isolateWords,
  cut: cutWords,
  'solder-batch': batchWords,
  inspect: inspectWords,
  'lay-tape': tapeWords,
  'test-on-cell': tapeWords,
  'fold-cell': tapeWords,
  'fit-extra': ({ extra, each, use }) => ({
    title: `${capital(extra)}${each > 1 ? ` (${each})` : ''}: ${use.replace(/[.!]$/u, '')}.`,
    detail: 'Power off while it is fitted, on again to see that all still lights.',
    why: 'What stands around the circuit comes last: a fault under it is hard to find.',
  }),
};

function changeWords({ part, ohms, amps, brightness, beyond }: Of<'change-part'>): StepWords {
  const bands = bandsFor(ohms, 4, 0.05) ?? bandsFor(ohms, 5, 0.01);
  if (beyond) {
    return {
      title: `Stop here: not ${formatOhms(ohms)}.`,
      detail: `With it the lamp would carry ${formatQuantity(amps, 'A')}: ${looksWords(brightness)}.`,
      cue: 'This is the floor of the walk.',
      why: 'A lamp with too much current lights as well, and wears out.',
    };
  }
  return {
    title: `Power off. Put ${formatOhms(ohms)} in the place of ${part}, then power on.`,
    detail: `${bands ? `Bands: ${bands.join(', ')}. ` : ''}The same holes. The lamp is now ${looksWords(brightness)}, at about ${formatQuantity(amps, 'A')}: write down what you see.`,
    why: 'Each step lets a little more current through; the eye sees less of it than the meter.',
  };
}

type PlacedJumper = Extract<Step, { action: 'place-jumper' }>;

function jumperWords(step: PlacedJumper, { plan }: Sheet): StepWords {
  const placed = plan.placements.find(({ part }) => part === step.part);
  const arched = placed !== undefined && isArchedWire(plan, placed);
  return {
    title: `Put ${article(`${step.colour} jumper`)}, ${step.part}, from ${hole(step.legs, 0)} to ${hole(step.legs, 1)}.`,
    detail: arched
      ? 'Press both ends right in, and let it stand in an arch over the chip.'
      : 'Press both ends right in, and press it flat.',
    why: whyJumper(step.legs.map((leg) => leg.hole)),
  };
}

function whyJumper(holes: readonly string[]): string {
  const on = (sign: string) => holes.filter((at) => at.includes(sign)).length;
  if (on('+') === 2) return 'It joins the plus rails of both sides.';
  if (on('-') === 2) return 'It joins the minus rails of both sides.';
  if (on('+') > 0) return 'It brings plus to where it is needed.';
  if (on('-') > 0) return 'It brings minus to where it is needed.';
  return 'It joins two rows that carry the same point of the circuit.';
}

function hole(legs: readonly LegPlace[], index: number): string {
  return holeName(legs[index]!.hole);
}

/** One piece with its holes: `R2 330 Ω in c10 and c15`, the long leg of a lamp said. */
export function pieceWords(piece: Piece, sheet: Sheet): string {
  const holes = piece.legs.map((leg) => holeName(leg.hole));
  const what = [piece.part, valueOf(piece.part, sheet)].filter(Boolean).join(' ');
  const anode = piece.legs.find((leg) => leg.cue === 'long-leg');
  if (piece.kind === 'wire') return `jumper ${piece.part} ${holes.join(' to ')}`;
  return `${what} in ${listed(holes)}${anode ? `, ${legName(piece.kind, anode.pin)} in ${holeName(anode.hole)}` : ''}`;
}

function cueOf(pieces: readonly Piece[]): { cue?: string } {
  const cues = pieces.flatMap((piece) =>
    piece.legs.flatMap((leg) =>
      leg.cue === 'long-leg'
        ? [`${piece.part}: ${legName(piece.kind, leg.pin)} in ${holeName(leg.hole)}`]
        : leg.cue === 'band-end'
          ? [`${piece.part}: banded end in ${holeName(leg.hole)}`]
          : [],
    ),
  );
  return cues.length ? { cue: `${cues.join('. ')}.` } : {};
}

function rowWords([from, to]: readonly [number, number], sheet: Sheet): string {
  const name = buildType(boardOf(sheet.plan)) === 'plugged' ? 'rows' : 'columns';
  return from === to ? `${name.slice(0, -1)} ${from}` : `${name} ${from}–${to}`;
}

type Placed = Extract<Step, { action: 'place-part' }>;

function lampWords(step: Placed, holes: string, above: string, sheet: Sheet): StepWords {
  const [anode, cathode] = ['anode', 'cathode'].map((pin) =>
    holeName(step.legs.find((leg) => leg.pin === pin)!.hole),
  );
  const beam = sumsIn(sheet.sums, 'beam')?.beam;
  return {
    title: `Put the ${valueOf(step.part, sheet)} lamp ${step.part} in ${holes}.`,
    detail: `${beam ? beamLampWords(beam) : ''}It must not be turned round.${above}`,
    cue: `Long leg in ${anode}. Short leg, on the flat edge of the rim, in ${cathode}.`,
    why: 'It turns current into light, in one direction only.',
  };
}

function placeWords(step: Placed, sheet: Sheet): StepWords {
  if (buildType(boardOf(sheet.plan)) === 'taped') return tapedPartWords(step, sheet);
  const holes = listed(step.legs.map((leg) => holeName(leg.hole)));
  const above = step.positive
    ? ` Its end in ${holeName(step.positive.hole)} will be the more positive, by ${formatQuantity(step.positive.volts, 'V')}.`
    : '';
  switch (step.kind) {
    case 'led':
      return lampWords(step, holes, above, sheet);
    case 'resistor':
      return resistorWords(step, holes, sheet);
    case 'rgb':
      return {
        title: `Put the three-colour lamp ${step.part} in ${holes}.`,
        detail:
          'Its four legs go into four rows, in the order in which they stand. Turned round, each colour would sit at another’s resistor.',
        cue:
          step.legs
            .map(({ pin, hole: at }) => `${capital(legName(step.kind, pin))} in ${holeName(at)}`)
            .join('. ') + '.',
        why: `Three lamps in one body. The longest leg is their common ${commonOf(step.part, sheet)}: it looks to ${commonOf(step.part, sheet) === 'cathode' ? 'minus' : 'plus'}.`,
      };
    case 'potentiometer':
      return {
        title: `Put the potentiometer ${step.part}, ${valueOf(step.part, sheet)}, in ${holes}.`,
        detail: 'Middle leg in the middle hole. Turned fully one way it is all its ohms, the other way none.',
        why: 'It is the knob: more ohms, less current, dimmer lamp.',
      };
    case 'zener': {
      const band = holeName(step.legs.find((leg) => leg.pin === 'cathode')!.hole);
      return {
        title: `Put the zener ${step.part}, ${valueOf(step.part, sheet)}, in ${holes}.`,
        detail: `Read its marking with a glass: the rungs differ only by it.${above}`,
        cue: `Banded end in ${band}, towards plus: it works backwards.`,
        why: 'It lets current pass only when the supply is high enough for this rung.',
      };
    }
    case 'switch':
      if (staysPut(step.part, sheet))
        return {
          title: `Put the switch ${step.part} in ${holes}.`,
          detail: 'Either way round is right. Leave it off while you build.',
          why: 'It takes the supply from everything at once, and stays as it is put.',
        };
      return {
        title: `Put the push button ${step.part} in ${holes}.`,
        detail: 'Either way round is right.',
        why: sheet.started ? 'A press of it starts the light.' : 'Current flows only while it is held.',
      };
    case 'timer':
      return timerWords(step, sheet);
    case 'capacitor':
      return capacitorWords(step, holes, sheet);
    default:
      return (
        furtherWords(step, holes, sheet) ?? {
          title: `Put ${thingName(step.kind, step.part)} in ${holes}.`,
          detail: '',
          why: '',
        }
      );
  }
}

function resistorWords(step: { part: string }, holes: string, sheet: Sheet): StepWords {
  const part = partOf(sheet.circuit, step.part);
  const params = part?.kind === 'resistor' ? part.params : { ohms: 0, tolerance: 0.05 };
  const { ohms } = params;
  const bands = resistorBands(params);
  const guarded = lampsBehind(step.part, sheet);
  const own = timeOf(step.part, sheet) ?? helpOf(step.part, sheet);
  const amps = guarded.length && !own ? Math.max(...guarded.map((lamp) => lamp.amps)) : undefined;
  return {
    title: `Put the resistor ${step.part}, ${formatOhms(ohms)}, in ${holes}.`,
    detail: `${bands ? `Bands: ${bands.join(', ')}. ` : ''}Bend the legs down; either way round is right.${hubWords(step.part, sheet)}`,
    why:
      amps === undefined
        ? (own ?? 'It limits the current.')
        : `It keeps ${guarded.length === 1 ? 'the lamp' : listed(guarded.map(({ part: id }) => id))} at ${formatQuantity(amps, 'A')}${familyWords(sheet.sums.own).isMean ? ' on average' : ''}.`,
  };
}

/** The lamps that a resistor's string guards, as the sums name them; with one lamp it is that one. */
function lampsBehind(resistor: string, { sums }: Sheet) {
  const own = sums.strings.find((sum) => sum.resistor === resistor);
  const { lamps } = sums.design;
  if (!own) return lamps.length === 1 ? lamps : [];
  return lamps.filter(({ part }) => own.lamps.some((lamp) => lamp.part === part));
}

/** Whether it is a switch that stays as it is put, no button. */
function staysPut(id: string, { circuit }: Sheet): boolean {
  const part = partOf(circuit, id);
  return part?.kind === 'switch' && part.params.stays === true;
}

/** What a test half-way asks for and shows, of what stands on the board by then. */
function testWords({ block, of, gate }: Of<'block-gate'>, sheet: Sheet): StepWords {
  const soldered = buildType(boardOf(sheet.plan)) === 'soldered';
  const beam = sumsIn(sheet.sums, 'beam')?.beam;
  return {
    title: `Stop: test ${soldered ? 'batch' : 'part'} ${block} of ${of}.`,
    detail: [
      'Look first: every leg in its hole, no bare legs touching.',
      onBoard(sheet) ? boardWords(gate.lit, sheet) : forAMoment(sheet),
      holdWords(gate),
      beam && beamGateWords(beam),
      seenWords(gate, sheet),
      ...gate.swings.map(swingWords),
      ...gate.readings.map(readingWords),
      'Power off again before going on.',
    ]
      .filter(Boolean)
      .join(' '),
    cue: 'A mistake found here is in what was just built.',
    why: 'At the end it could be anywhere.',
  };
}

/** Which end of the three is joined inside a lamp. */
function commonOf(part: string, sheet: Sheet): 'cathode' | 'anode' {
  const thing = thingOf(sheet.circuit, part);
  return thing && isCommonCathode(thing) ? 'cathode' : 'anode';
}

/** Where the leads go for a test half-way. */
function forAMoment(sheet: Sheet): string {
  const legs = sheet.plan.placements.find(({ part }) => isSource(sheet.circuit, part))?.legs;
  const { minus, plus } = legs ?? {};
  if (minus === undefined || plus === undefined) return 'Power on for a moment, minus first.';
  const limit = minusWords(sheet).replace('Minus first.', '').trim();
  return `${limit} Power for a moment: the black lead of ${leadOf(sheet)} in ${holeName(minus)} first, then the red one in ${holeName(plus)}.`.trim();
}

/** What is set at a bench supply before its first lead goes in. */
function minusWords({ supply, sums }: Sheet): string {
  const { volts, limitAmps } = sums.supplyFigures;
  if (SUPPLIES[supply.kind].style !== 'bench' || limitAmps === undefined) return 'Minus first.';
  return `Set ${formatQuantity(volts, 'V')} and, with its leads touching each other, a limit of ${formatQuantity(limitAmps, 'A')}; then switch it off. Minus first.`;
}

/** What the two leads belong to. */
function leadOf({ supply }: Sheet): string {
  const { style } = SUPPLIES[supply.kind];
  if (style === 'port') return 'the port';
  if (style === 'pulsed') return 'the booster';
  return style === 'bench' ? 'the bench supply' : 'the battery';
}
