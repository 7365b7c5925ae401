import type { FilterChoice } from '../../answers/filters';
import { capacitorTolerance } from '../../catalogue/capacitors';
import { TRANSISTORS, type TransistorPolarity } from '../../catalogue/transistors';
import type { Part, PartOf } from '../../circuit/circuit';
import { soundLead } from '../../circuit/soundLead';
import type { Hertz } from '../../quantities/units';
import type { Means } from '../pattern';
import type { StringSum } from '../steady/figures';
import { lampPart, MINUS, PLUS, resistorPart, type LampSorts } from '../steady/parts';
import { toleranceOf } from '../style';
import type { Choice } from './choose';
import { BANDS, tonesOf, type Band, type SoundLightsParams } from './params';
import { HUB, INPUT_BASE, type PlannedChannel } from './sums';

export const LEAD = 'J1';

function capacitorPart(
  id: string,
  plus: string,
  minus: string,
  { farads, polarised }: FilterChoice['sort'],
): PartOf<'capacitor'> {
  const params = { farads, polarised, volts: 0, tolerance: capacitorTolerance({ polarised }) };
  return { id, kind: 'capacitor', pins: { a: plus, b: minus }, params };
}

function transistorPart(
  id: string,
  polarity: TransistorPolarity,
  collector: string,
  base: string,
  emitter: string,
): PartOf<'transistor'> {
  return {
    id,
    kind: 'transistor',
    pins: { collector, base, emitter },
    params: { polarity, ...TRANSISTORS[polarity] },
  };
}

/** The mixer of both sides, and the stage that makes them large. */
export function stageParts({ level, bounds }: SoundLightsParams, choice: Choice, { style }: Means): Part[] {
  const tolerance = toleranceOf(style);
  const nets = { left: 'left', right: 'right', shield: MINUS };
  return [
    ...soundLead(LEAD, nets, { level, hertz: tonesOf(bounds).middle }),
    resistorPart('R1', 'left', 'mixed', choice.mix, tolerance),
    resistorPart('R2', 'right', 'mixed', choice.mix, tolerance),
    capacitorPart('C1', INPUT_BASE, 'mixed', choice.input),
    resistorPart('R3', HUB, INPUT_BASE, choice.feed, tolerance),
    resistorPart('R4', PLUS, HUB, choice.load, tolerance),
    transistorPart('Q1', 'npn', HUB, INPUT_BASE, MINUS),
  ];
}

export interface BuiltChannel {
  readonly parts: readonly Part[];
  readonly channel: PlannedChannel;
  readonly string: StringSum;
  readonly sorts: LampSorts;
}

/** Names of a channel’s parts, by what they do. */
export const NAMES = {
  low: {
    filter: 'R5',
    toPlus: 'C2',
    through: 'C3',
    pull: 'R6',
    lamp: 'R7',
    switch: 'Q2',
    lamps: ['D1', 'D2'],
  },
  middle: {
    filter: 'R8',
    toPlus: 'C4',
    through: 'C5',
    pull: 'R9',
    lamp: 'R10',
    switch: 'Q3',
    lamps: ['D3', 'D4'],
  },
  high: {
    filter: 'R11',
    toPlus: '',
    through: 'C6',
    pull: 'R12',
    lamp: 'R13',
    switch: 'Q4',
    lamps: ['D5', 'D6'],
  },
} as const satisfies Readonly<Record<Band, unknown>>;

function wishedAt(wished: Hertz | undefined): { readonly wished?: Hertz } {
  return wished === undefined ? {} : { wished };
}

export function channelsOf(
  params: SoundLightsParams,
  choice: Choice,
  strings: readonly StringSum[],
  { shelf, style }: Means,
): BuiltChannel[] {
  const tones = tonesOf(params.bounds);
  const tolerance = toleranceOf(style);
  return BANDS.map((band, i): BuiltChannel => {
    const names = NAMES[band];
    const net = (name: string) => `${band} ${name}`;
    const { low, high } = choice.filters[band];
    const type = params.lamps[band];
    const sum = strings[i]!;
    const [first, second] = names.lamps;
    const lamp = shelf.lamps[type];
    const series = low?.ohms ?? choice.series;
    // The base stands near plus, the hub half way down: electrolytics look up to the base and to plus.
    const filter: Part[] = low
      ? [
          resistorPart(names.filter, HUB, net('filtered'), series, tolerance),
          capacitorPart(names.toPlus, PLUS, net('filtered'), low.sort),
          capacitorPart(names.through, net('base'), net('filtered'), high!.sort),
        ]
      : [
          capacitorPart(names.through, net('filtered'), HUB, high!.sort),
          resistorPart(names.filter, net('filtered'), net('base'), series, tolerance),
        ];
    const pull = choice.pulls[band];
    return {
      parts: [
        ...filter,
        resistorPart(names.pull, PLUS, net('base'), pull, tolerance),
        transistorPart(names.switch, 'pnp', net('collector'), net('base'), PLUS),
        lampPart(first, net('collector'), net('between'), lamp),
        lampPart(second, net('between'), net('end'), lamp),
        resistorPart(names.lamp, net('end'), MINUS, sum.chosen, tolerance),
      ],
      channel: {
        band,
        tone: tones[band],
        lamps: names.lamps,
        resistor: names.lamp,
        transistor: names.switch,
        pull: { part: names.pull, ohms: pull },
        from: {
          hertz: high!.hertz,
          ...wishedAt({ low: undefined, middle: params.bounds.low, high: params.bounds.high }[band]),
          resistors: [names.filter, names.pull],
          ohms: series + pull,
          capacitor: names.through,
          farads: high!.sort.farads,
        },
        ...(low
          ? {
              to: {
                hertz: low.hertz,
                ...wishedAt(band === 'low' ? params.bounds.low : params.bounds.high),
                resistors: [names.filter],
                ohms: series,
                capacitor: names.toPlus,
                farads: low.sort.farads,
              },
            }
          : {}),
      },
      string: {
        ...sum,
        resistor: names.lamp,
        alike: [names.lamp],
        lamps: sum.lamps.map((one, k) => ({ ...one, part: names.lamps[k]! })),
      },
      sorts: { [first]: type, [second]: type },
    };
  });
}
