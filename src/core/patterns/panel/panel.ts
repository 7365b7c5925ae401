import { z } from 'zod';
import { LAMP_TYPES } from '../../catalogue/lamps';
import { supplyFigures } from '../../catalogue/supplies';
import { refused, type Outcome } from '../../findings/finding';
import type { Design, Means, Pattern } from '../pattern';
import { bankOf } from '../steady/bank';
import { steadyCheckpoints } from '../steady/checkpoints';
import { finish } from '../steady/finish';
import { ampsSchema, choiceOverrides, supplyRefusals, supplySchema } from '../wishes';

export const panelParams = z.strictObject({
  supply: supplySchema,
  rows: z.number().int().min(1).max(5),
  columns: z.number().int().min(2).max(8),
  lamp: z.enum(LAMP_TYPES),
  amps: ampsSchema,
  /** Lamps soldered and tested together. */
  batch: z.number().int().min(1).max(8),
  ...choiceOverrides,
});
export type PanelParams = z.output<typeof panelParams>;

/** Rows and columns of lamps, each with its own resistor, soldered in batches with a test after each. */
export const panel: Pattern<'panel', PanelParams> = {
  id: 'panel',
  params: panelParams,
  board: 'strip',
  after: ['strings'],
  batch: ({ batch }) => batch,
  perBand: ({ columns }) => columns,
  defaults: () => ({
    supply: { kind: 'usb', cells: 1, age: 'nominal' },
    rows: 3,
    columns: 8,
    lamp: 'white',
    amps: 0.005,
    batch: 8,
  }),
  design,
};

function design(params: PanelParams, means: Means): Outcome<Design> {
  const unfit = supplyRefusals(supplyFigures(params.supply).volts);
  if (unfit.length) return refused(...unfit);
  const strings = Array.from({ length: params.rows * params.columns }, () => [params.lamp]);
  const bank = bankOf({ ...params, strings, side: 'plus' }, means);
  if (!bank.ok) return bank;
  const { circuit, sorts, strings: sums } = bank.value;
  const checkpoints = steadyCheckpoints(circuit, params.batch);
  return finish({ circuit, supply: params.supply, sorts, strings: sums, checkpoints }, means);
}
