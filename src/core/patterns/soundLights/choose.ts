import { nearestFilter, type FilterChoice, type FilterShelf } from '../../answers/filters';
import { neighbours } from '../../catalogue/preferred';
import { capacitorsOf, valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { TRANSISTORS } from '../../catalogue/transistors';
import { accepted, finding, refused, type Outcome } from '../../findings/finding';
import type { Ohms, Volts } from '../../quantities/units';
import type { Means } from '../pattern';
import { tonesOf, type Band, type SoundLightsParams } from './params';

/** Ohms of the first stage’s load: small beside what the channels take. */
const LOAD_OHMS = 470;
/** Share of the supply at which its collector rests. */
const REST_SHARE = 0.55;
/** Volts to either side that both sides of the lead together ask of the stage at the level that is meant. */
const ASKED_VOLTS = 5.5;
/** Ohms before a filter, and between plus and a base: usual ones. */
const FILTER_OHMS = 1e3;
const PULL_OHMS = 4700;
/** A low-pass begins so far below its bound that the next channel’s tone is kept out. */
const EARLY = 1.6;
/** Sound lower than this share of the lowest tone need not pass. */
const LOWEST = 1 / 3;
/** Everything that is chosen before the circuit is drawn. */
export interface Choice {
  readonly mix: Ohms;
  readonly feed: Ohms;
  readonly load: Ohms;
  readonly input: FilterChoice['sort'];
  readonly filters: Readonly<Record<Band, { readonly low?: FilterChoice; readonly high?: FilterChoice }>>;
  readonly pulls: Readonly<Record<Band, Ohms>>;
  readonly series: Ohms;
}

/** The values of the drawer that come nearest to what each place wants, or the first that it cannot give. */
export function chosen(params: SoundLightsParams, { shelf, style }: Means): Outcome<Choice> {
  const values = valuesOf(shelf, params.values ?? style.values);
  const capacitors = capacitorsOf(shelf);
  const nearest = (ohms: Ohms) => neighbours(values, ohms).nearest ?? ohms;
  const { volts } = supplyFigures(params.supply);
  const load = nearest(LOAD_OHMS);
  // In silence the base current through the feeding resistor holds the collector where it can swing both ways.
  const rest = REST_SHARE * volts;
  const baseAmps = (volts - rest) / load / TRANSISTORS.npn.betaF;
  const { feed, mix } = gainFor((rest - BASE_VOLTS) / baseAmps, params.level, values);
  const shelfOf: FilterShelf = { values, capacitors };
  const tones = tonesOf(params.bounds);
  const { low, high } = params.bounds;
  const series = nearest(FILTER_OHMS);
  const input = largeEnough(capacitors, (mix / 2) * tones.low * LOWEST);
  const lowTo = nearestFilter(low / EARLY, FILTER_OHMS, shelfOf);
  const lowFrom = nearestFilter(tones.low * LOWEST, PULL_OHMS, shelfOf, lowTo?.ohms);
  const middleTo = nearestFilter(high / EARLY, FILTER_OHMS, shelfOf);
  const middleFrom = nearestFilter(low, PULL_OHMS, shelfOf, middleTo?.ohms);
  const highFrom = nearestFilter(high, PULL_OHMS, shelfOf, series);
  const missing: [FilterChoice | undefined, number][] = [
    [lowTo, low / EARLY],
    [lowFrom, tones.low * LOWEST],
    [middleTo, high / EARLY],
    [middleFrom, low],
    [highFrom, high],
  ];
  const first = missing.find(([filter]) => !filter);
  if (first) return refused(finding('no-filter-in-drawer', { hertz: first[1] }));
  return accepted({
    ...{ mix, feed, load, input, series },
    filters: {
      low: { low: lowTo!, high: lowFrom! },
      middle: { low: middleTo!, high: middleFrom! },
      high: { high: highFrom! },
    },
    pulls: { low: lowFrom!.ohms, middle: middleFrom!.ohms, high: highFrom!.ohms },
  });
}

/** Too little swing leaves lamps dark; too much only tears the sound. */
const TOO_LITTLE = 2;
/** A collector that rests elsewhere than it should still swings. */
const BY_REST = 0.5;

/** The feeding resistor that lets the collector rest where it should, and the mixing one that makes it swing as far as it should: the pair of the drawer that comes nearest to both. */
function gainFor(wished: Ohms, level: Volts, values: readonly Ohms[]): { feed: Ohms; mix: Ohms } {
  let best = { feed: wished, mix: wished, off: Infinity };
  for (const feed of values) {
    const moved = Math.abs(Math.log(feed / wished));
    if (moved > Math.LN2) continue;
    for (const mix of values) {
      const asked = Math.log((2 * level * feed) / mix / ASKED_VOLTS);
      const off = BY_REST * moved + (asked < 0 ? -TOO_LITTLE * asked : asked);
      if (off < best.off - 1e-9) best = { feed, mix, off };
    }
  }
  return best;
}

/** Base to emitter of a transistor that carries a few milliamps. */
const BASE_VOLTS = 0.7;

/** The smallest capacitor that lets such a product of ohms and hertz pass, or the largest there is. */
function largeEnough(capacitors: FilterShelf['capacitors'], ohmHertz: number) {
  const least = 1 / (2 * Math.PI * ohmHertz);
  return capacitors.find(({ farads }) => farads >= least) ?? capacitors[capacitors.length - 1]!;
}
