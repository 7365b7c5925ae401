import { z } from 'zod';
import { brightnessAt } from '../../catalogue/brightness';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import { Junction } from '../../devices/junction';
import { finding, refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { ampsOf } from '../steady/bank';
import type { WalkRow } from '../steady/rows';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { choiceOverrides, supplyRefusals, supplySchema } from '../wishes';

/** Resistors that a class tries one after another. */
export const STEPS_MOST = 8;
/** A current at which a lamp barely glows: where the walk begins. */
const START_AMPS = 1.5e-4;

export const walkDownParams = z.strictObject({
  supply: supplySchema,
  lamp: z.enum(LAMP_TYPES),
  steps: z.number().int().min(3).max(STEPS_MOST),
  values: choiceOverrides.values,
});
export type WalkDownParams = z.output<typeof walkDownParams>;

/** One lamp and a row of resistors, from high to low, with a floor that the walk does not pass. */
export const walkDown: Pattern<'walk-down', WalkDownParams> = {
  id: 'walk-down',
  params: walkDownParams,
  board: 'half',
  after: ['single'],
  defaults: (style) => ({
    supply: { kind: 'aa-alkaline', cells: 3, age: style.age },
    lamp: 'green',
    steps: 6,
  }),
  design,
};

function design(params: WalkDownParams, means: Means): Outcome<Design> {
  const { shelf, style } = means;
  const supply = supplyFigures(params.supply);
  const unfit = supplyRefusals(supply.volts);
  if (unfit.length) return refused(...unfit);
  const lamp = shelf.lamps[params.lamp];
  const junction = new Junction(lamp);
  const fresh = supplyFigures(params.supply, 'fresh');
  const ampsWith = (ohms: number) => ampsOf([junction], fresh.volts, ohms + fresh.ohms);
  const rows = [...valuesOf(shelf, params.values ?? style.values)]
    .reverse()
    .map((ohms): WalkRow => {
      const amps = ampsWith(ohms);
      return {
        part: 'R1',
        ohms,
        amps,
        brightness: brightnessAt(amps, lamp.maxAmps),
        beyond: amps > lamp.maxAmps,
      };
    })
    .filter(({ amps }) => amps >= START_AMPS);
  const walked = spread(
    rows.filter(({ beyond }) => !beyond),
    params.steps,
  );
  if (walked.length < 2) {
    const [low, high] = [lamp.vf, fresh.volts];
    return refused(finding('nothing-in-range', { low, high }));
  }
  // The first below the floor is shown, so that the class sees where and why the walk ends.
  const beyond = rows.find((row) => row.beyond);
  const [first] = walked as [WalkRow];
  const resistor = resistorPart('R1', PLUS, 'between', first.ohms, toleranceOf(style));
  const circuit = circuitFrom([supplyPart(params.supply), resistor, lampPart('D1', 'between', MINUS, lamp)]);
  const walk = beyond ? [...walked, beyond] : walked;
  return finish(
    { circuit, supply: params.supply, sorts: { D1: params.lamp }, own: { family: 'walk', walk } },
    means,
  );
}

/** So many rows from the first to the last, as evenly by ratio as the drawer allows. */
function spread(rows: readonly WalkRow[], steps: number): WalkRow[] {
  if (rows.length <= steps) return [...rows];
  const [first, last] = [rows[0]!, rows[rows.length - 1]!];
  const found: WalkRow[] = [];
  for (let i = 0; i < steps; i++) {
    const wanted = first.ohms * (last.ohms / first.ohms) ** (i / (steps - 1));
    const left = rows.filter((row) => !found.includes(row) && row.ohms < (found[i - 1]?.ohms ?? Infinity));
    const next = left.reduce<WalkRow | undefined>(
      (best, row) => (!best || apart(row.ohms, wanted) < apart(best.ohms, wanted) ? row : best),
      undefined,
    );
    if (next) found.push(next);
  }
  return found;
}

function apart(a: number, b: number): number {
  return Math.abs(Math.log(a / b));
}
