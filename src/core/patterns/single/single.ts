import { batteryLife } from '../../answers/battery';
import { bestPair, type Pair } from '../../catalogue/combine';
import type { LampFigures } from '../../catalogue/lamps';
import { neighbours } from '../../catalogue/preferred';
import { supplyFigures, type SupplyChoice, type SupplyFigures } from '../../catalogue/supplies';
import { valuesOf } from '../../catalogue/shelf';
import { Junction } from '../../devices/junction';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Ohms } from '../../quantities/units';
import type { Design, Means, Pattern } from '../pattern';
import { toleranceOf, type HouseStyle } from '../style';
import { SINGLE_CHECKPOINTS, singleCircuit } from './circuit';
import { supplyRefusals } from '../wishes';
import { singleDefaults, singleParams, type SingleParams } from './params';
import { resistorFor, schoolsFor } from './schools';
import { atAllAges, loopAmps, ratingAt, resistorBands, type SingleSums } from './sums';

/** One lamp, one series resistor, either side, any supply. */
export const single: Pattern<'single', SingleParams, SingleSums> = {
  id: 'single',
  params: singleParams,
  defaults: singleDefaults,
  design,
};

function design(params: SingleParams, means: Means): Outcome<Design<SingleSums>> {
  const { shelf, style } = means;
  const lamp = shelf.lamps[params.lamp];
  const supply = supplyFigures(params.supply);
  const unfit = refusals(params, supply, lamp);
  if (unfit.length) return refused(...unfit);

  const rounding = params.rounding ?? style.rounding;
  const values = valuesOf(shelf, params.values ?? style.values);
  const wish = { supply: params.supply, lamp, amps: params.amps, rounding, values };
  const lampVolts = new Junction(lamp).voltsAt(params.amps);
  const voltsLeft = supply.volts - lampVolts;
  const loopOhms = voltsLeft / params.amps;
  const exactOhms = Math.max(0, loopOhms - supply.ohms);
  const chosen = resistorFor(wish);
  if (chosen === undefined) {
    const largest = Math.max(...values);
    return refused(finding('no-resistor-in-drawer', { ohms: exactOhms, largest }));
  }
  const ages = atAllAges(params.supply, lamp, chosen);
  const designed = ages.find((row) => row.age === params.supply.age)!;
  const hottest = ages.reduce((a, b) => (b.resistorWatts > a.resistorWatts ? b : a));
  const nominal = ages.find((row) => row.age === 'nominal')!;
  const rating = ratingAt(hottest.resistorWatts, style.ratingShare);
  const sums: SingleSums = {
    supply: params.supply,
    supplyFigures: supply,
    lamp,
    wanted: params.amps,
    lampVolts,
    voltsLeft,
    loopOhms,
    exactOhms,
    around: neighbours(values, exactOhms),
    rounding,
    chosen,
    pair: closerPair(values, exactOhms),
    ...resistorBands(chosen),
    ages,
    design: designed,
    rating,
    hottest,
    hours: supply.capacity === undefined ? undefined : supply.capacity / nominal.amps,
    life: lifeOf(params.supply, lamp, chosen),
    schools: schoolsFor(wish),
  };
  const circuit = singleCircuit({
    supply,
    lamp,
    ohms: chosen,
    tolerance: toleranceOf(style),
    watts: Math.max(rating ?? 1, 0.25),
    side: params.side,
  });
  return accepted(
    {
      circuit,
      supply: params.supply,
      sorts: { D1: params.lamp },
      checkpoints: SINGLE_CHECKPOINTS,
      sums,
      findings: remarks(params, sums, style),
    },
    [],
  );
}

/** A pair counts only when it comes closer than a single value does. */
function closerPair(values: readonly number[], exact: number): Pair | undefined {
  const pair = exact > 0 ? bestPair(values, exact) : undefined;
  const single = neighbours(values, exact).up ?? Infinity;
  return pair && pair.ohms < single * (1 - 1e-9) ? pair : undefined;
}

function refusals(params: SingleParams, supply: SupplyFigures, lamp: LampFigures): Finding[] {
  const { volts } = supply;
  const unfit = supplyRefusals(volts);
  if (unfit.length) return unfit;
  if (params.amps > lamp.absoluteAmps) {
    return [finding('current-over-limit', { amps: params.amps, limit: lamp.absoluteAmps })];
  }
  const junction = new Junction(lamp);
  const lampVolts = junction.voltsAt(params.amps);
  const needVolts = lampVolts + params.amps * supply.ohms;
  const limited = supply.limitAmps !== undefined && supply.limitAmps < params.amps;
  if (volts > needVolts && !limited) return [];
  const amps = loopAmps(junction, supply, 0);
  return [finding('cannot-light', { supply: volts, lampVolts, lamp: lamp.type, amps, needVolts })];
}

/** Below this share of the supply, what is left for the resistor lets small spreads move the current far. */
const HEADROOM_SHARE = 0.2;
/** A 20 mm coin cell gives its capacity at fractions of a milliamp; past this it sags within minutes. */
const COIN_AMPS = 5e-3;

function remarks(params: SingleParams, sums: SingleSums, style: HouseStyle): Finding[] {
  const { lamp, design: at, hottest, voltsLeft, supplyFigures: supply } = sums;
  const findings: Finding[] = [];
  const share = voltsLeft / supply.volts;
  if (share < HEADROOM_SHARE) {
    findings.push(finding('little-headroom', { volts: voltsLeft, share }, 'warning'));
  }
  if (at.amps > lamp.maxAmps) {
    const over = { part: 'D1', amps: at.amps, limit: lamp.maxAmps, share: at.share };
    findings.push(finding(at.share > 1.5 ? 'will-fail' : 'over-current', over, 'warning'));
  } else if (params.amps > lamp.maxAmps) {
    findings.push(finding('current-over-limit', { amps: params.amps, limit: lamp.maxAmps }, 'warning'));
  }
  if (hottest.resistorWatts > 0.25 * style.ratingShare) {
    findings.push(finding('runs-hot', { watts: hottest.resistorWatts, rating: 0.25, part: 'R1' }, 'warning'));
  }
  if (params.supply.kind === 'coin-20mm' && at.amps > COIN_AMPS) {
    findings.push(finding('over-drawn-cell', { amps: at.amps }, 'warning'));
  }
  if (lamp.origin === 'assumed' || lamp.origin === 'table') {
    findings.push(finding('assumed-figure', { lamp: lamp.type, origin: lamp.origin }, 'note'));
  }
  return findings;
}

function lifeOf(supply: SupplyChoice, lamp: LampFigures, ohms: Ohms): SingleSums['life'] {
  const junction = new Junction(lamp);
  return batteryLife(supply, (spent) => {
    const amps = loopAmps(junction, spent, ohms);
    return { drain: amps, lamp: amps };
  });
}
