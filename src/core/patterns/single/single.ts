import type { LampFigures } from '../../catalogue/lamps';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures, type SupplyFigures } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import { finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { ampsOf, bankOf } from '../steady/bank';
import { finish } from '../steady/finish';
import { supplyRefusals } from '../wishes';
import { loopSums } from './loop';
import { singleDefaults, singleParams, type SingleParams } from './params';
import { loopAmps } from './schools';

/** One lamp, one series resistor, either side, any supply. */
export const single: Pattern<'single', SingleParams> = {
  id: 'single',
  params: singleParams,
  board: 'half',
  after: [],
  defaults: singleDefaults,
  design,
};

function design(params: SingleParams, means: Means): Outcome<Design> {
  const { shelf, style } = means;
  const lamp = shelf.lamps[params.lamp];
  const { supply } = params;
  const unfit = refusals(params, supplyFigures(supply), lamp);
  if (unfit.length) return refused(...unfit);
  const bank = bankOf({ ...params, strings: [[params.lamp]] }, means);
  if (!bank.ok) return bank;
  const { circuit, sorts, strings } = bank.value;
  const [sum] = strings as [(typeof strings)[0]];
  const values = valuesOf(shelf, params.values ?? style.values);
  const rounding = params.rounding ?? style.rounding;
  const wish = { supply, lamp, amps: params.amps, rounding, values };
  const loop = loopSums(wish, sum.lampVolts, sum.chosen, loopAmps(supply, lamp, sum.chosen, 'nominal'));
  const amps = loopAmps(supply, lamp, sum.chosen, supply.age);
  // Asking for more than the lamp stands is said even where the drawer saves it.
  const findings =
    params.amps > lamp.maxAmps && amps <= lamp.maxAmps
      ? [finding('current-over-limit', { amps: params.amps, limit: lamp.maxAmps }, 'warning')]
      : [];
  return finish({ circuit, supply, sorts, strings, findings, own: { family: 'loop', loop } }, means);
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
  const amps = Math.min(supply.limitAmps ?? Infinity, ampsOf([junction], volts, supply.ohms));
  return [finding('cannot-light', { supply: volts, lampVolts, lamp: lamp.type, amps, needVolts })];
}
