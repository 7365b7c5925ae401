import type { LampFigures } from '../../catalogue/lamps';
import { neighbours, seriesValues } from '../../catalogue/preferred';
import { supplyFigures } from '../../catalogue/supplies';
import type { Part, PartOf } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Held } from '../../observe/checkpoint';
import type { Amps, Ohms, Volts } from '../../quantities/units';
import type { Means } from '../pattern';
import { ampsOf, bankOf } from '../steady/bank';
import type { StringSum } from '../steady/figures';
import { lampPart, MINUS, PLUS, resistorPart, type LampSorts } from '../steady/parts';
import { toleranceOf } from '../style';
import type { LightSwitchParams } from './params';

/** A part of the circuit that is complete in itself. */
interface Piece {
  readonly parts: readonly Part[];
  readonly strings: readonly StringSum[];
  readonly sorts: LampSorts;
}

/** The lamp that follows the light: behind a resistor of the drawer, or with one of its own inside. */
export function litLamp(params: LightSwitchParams, means: Means): Outcome<Piece & { readonly amps: Amps }> {
  const { lamp, amps, madeFor, supply } = params;
  const figures = means.shelf.lamps[lamp];
  const from = railOf(params);
  const sorts = { D1: lamp };
  if (madeFor === undefined) {
    const bank = bankOf({ ...params, strings: [[lamp]], side: 'plus' }, means);
    if (!bank.ok) return bank;
    const sum = bank.value.strings[0]!;
    const parts = [
      resistorPart('R1', from, 'lamp', sum.chosen, toleranceOf(means.style)),
      lampPart('D1', 'lamp', 'collector', figures),
    ];
    return accepted({ parts, strings: [sum], sorts, amps });
  }
  const inside = insideOhms(figures, madeFor);
  const { volts, ohms } = supplyFigures(supply);
  const own = ampsOf([new Junction(figures)], volts, inside + ohms);
  if (own < INSIDE_LEAST) {
    const lampVolts = new Junction(figures).voltsAt(INSIDE_AMPS) + INSIDE_LEAST * inside;
    return refused(
      finding('cannot-light', { supply: volts, lampVolts, lamp, amps: own, needVolts: lampVolts }),
    );
  }
  const whole = lampPart('D1', from, 'collector', figures);
  return accepted({
    parts: [{ ...whole, params: { ...whole.params, inside } }],
    strings: [],
    sorts,
    amps: own,
  });
}

/** What lamps with a resistor inside are taken to carry at the volts that they are made for, and what is too little. */
const INSIDE_AMPS: Amps = 0.01;
const INSIDE_LEAST: Amps = 1e-3;

/** Ohms inside a lamp that is made for some volts: the preferred value nearest to what leaves it ten milliamps. */
function insideOhms(figures: LampFigures, volts: Volts): Ohms {
  const exact = (volts - new Junction(figures).voltsAt(INSIDE_AMPS)) / INSIDE_AMPS;
  return neighbours(seriesValues('E24'), exact).nearest ?? exact;
}

/** A lamp between the rails behind the switch: it shows that the supply is on. */
export function pilotLamp(
  { power, ...params }: LightSwitchParams,
  means: Means,
): Outcome<Piece & { readonly before: readonly Part[] }> {
  if (power === undefined) return accepted({ before: [], parts: [], strings: [], sorts: {} });
  const bank = bankOf({ ...params, strings: [[power]], side: 'plus' }, means);
  if (!bank.ok) return bank;
  const sum = bank.value.strings[0]!;
  const onOff: PartOf<'switch'> = {
    id: 'S1',
    kind: 'switch',
    pins: { a: PLUS, b: SWITCHED },
    params: { closed: true, stays: true },
  };
  return accepted({
    // The switch comes before everything, its lamp after the one that the lesson is about.
    before: [onOff],
    parts: [
      resistorPart('R4', SWITCHED, 'power', sum.chosen, toleranceOf(means.style)),
      lampPart('D2', 'power', MINUS, means.shelf.lamps[power]),
    ],
    strings: [
      {
        ...sum,
        resistor: 'R4',
        alike: ['R4'],
        lamps: sum.lamps.map((one) => ({ ...one, part: 'D2' })),
      },
    ],
    sorts: { D2: power },
  });
}

/** Plus behind the switch. */
const SWITCHED = 'on';

/** Where everything takes its plus from. */
export function railOf({ power }: LightSwitchParams): string {
  return power === undefined ? PLUS : SWITCHED;
}

export function switchedOn({ power }: LightSwitchParams): Held {
  return power === undefined ? {} : { S1: 'on' };
}
