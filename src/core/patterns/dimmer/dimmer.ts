import { z } from 'zod';
import { brightnessAt } from '../../catalogue/brightness';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { POTENTIOMETERS } from '../../catalogue/potentiometers';
import { neighbours } from '../../catalogue/preferred';
import { supplyFigures } from '../../catalogue/supplies';
import type { PartOf } from '../../circuit/circuit';
import { Junction } from '../../devices/junction';
import { finding, refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { ampsOf, bankOf } from '../steady/bank';
import type { KnobRow } from '../steady/rows';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { ampsSchema, choiceOverrides, supplyRefusals, supplySchema } from '../wishes';

export const dimmerParams = z.strictObject({
  supply: supplySchema,
  lamp: z.enum(LAMP_TYPES),
  /** Current with the knob fully up; the floor resistor sees to it that it is never more. */
  amps: ampsSchema,
  /** Current with the knob fully down. */
  lowAmps: z.number().min(2e-5).max(0.02),
  position: z.number().min(0).max(1),
  ...choiceOverrides,
});
export type DimmerParams = z.output<typeof dimmerParams>;

/** A potentiometer as a variable resistor, with a floor resistor that guards the lamp at the end of its travel. */
export const dimmer: Pattern<'dimmer', DimmerParams> = {
  id: 'dimmer',
  params: dimmerParams,
  board: 'half',
  after: ['single', 'walk-down'],
  defaults: (style) => ({
    supply: { kind: 'aa-alkaline', cells: 3, age: style.age },
    lamp: 'yellow',
    amps: style.amps,
    lowAmps: 2e-4,
    position: 0.5,
  }),
  design,
};

function design(params: DimmerParams, means: Means): Outcome<Design> {
  const { shelf, style } = means;
  const supply = supplyFigures(params.supply);
  const unfit = supplyRefusals(supply.volts);
  if (unfit.length) return refused(...unfit);
  if (params.lowAmps >= params.amps) {
    return refused(finding('nothing-in-range', { low: params.lowAmps, high: params.amps }));
  }
  const lamp = shelf.lamps[params.lamp];
  const wish = { ...params, strings: [[params.lamp]], side: 'plus' as const };
  const floor = bankOf(wish, means);
  if (!floor.ok) return floor;
  const sum = floor.value.strings[0]!;
  const junction = new Junction(lamp);
  const whole = (supply.volts - junction.voltsAt(params.lowAmps)) / params.lowAmps - supply.ohms - sum.chosen;
  const track = neighbours(POTENTIOMETERS, whole).up;
  if (track === undefined) return refused(finding('no-potentiometer', { ohms: whole }));
  const ampsAt = (position: number) =>
    ampsOf([junction], supply.volts, supply.ohms + sum.chosen + track * position);
  const potentiometer: PartOf<'potentiometer'> = {
    id: 'P1',
    kind: 'potentiometer',
    // The unused end is joined to the wiper, so that a lost contact leaves the whole track in.
    pins: { a: 'floor', wiper: 'knob', b: 'knob' },
    params: { ohms: track, tolerance: 0.2, position: params.position },
  };
  const circuit = circuitFrom([
    supplyPart(params.supply),
    resistorPart('R1', PLUS, 'floor', sum.chosen, toleranceOf(style)),
    potentiometer,
    lampPart('D1', 'knob', MINUS, lamp),
  ]);
  const knob = [0, 0.1, 0.25, 0.5, 0.75, 1].map((position): KnobRow => {
    const amps = ampsAt(position);
    return { position, ohms: track * position, amps, brightness: brightnessAt(amps, lamp.maxAmps) };
  });
  const knobWish = { low: params.lowAmps, high: params.amps };
  const sorts = { D1: params.lamp };
  return finish(
    {
      circuit,
      supply: params.supply,
      sorts,
      strings: [sum],
      own: { family: 'knob', knob, wished: knobWish },
    },
    means,
  );
}
