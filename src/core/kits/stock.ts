import { z } from 'zod';
import { BOARD_CHOICES, boardsFor, buildType } from '../board/boards';
import { SOURCE_KINDS, SUPPLY_KINDS } from '../catalogue/supplies';
import { partStockSchemas } from '../parts/stock';

/** What a stock row is: enough to match it with what a kit needs. */
export const stockSpecSchema = z.discriminatedUnion('kind', [
  ...partStockSchemas,
  z.strictObject({ kind: z.literal('cell'), supply: z.enum(SUPPLY_KINDS) }),
  z.strictObject({
    kind: z.literal('holder'),
    supply: z.enum(SUPPLY_KINDS),
    cells: z.number().int().min(1).max(10),
  }),
  z.strictObject({ kind: z.literal('supply'), supply: z.enum(SOURCE_KINDS) }),
  z.strictObject({ kind: z.literal('jumper') }),
  z.strictObject({ kind: z.literal('clip-lead') }),
  z.strictObject({ kind: z.literal('fuse') }),
  z.strictObject({ kind: z.literal('iron') }),
  z.strictObject({ kind: z.literal('board'), board: z.enum(BOARD_CHOICES) }),
  z.strictObject({ kind: z.literal('tape') }),
  z.strictObject({ kind: z.literal('tinned-wire') }),
  z.strictObject({ kind: z.literal('thing'), name: z.string().min(1).max(40) }),
]);
export type StockSpec = z.output<typeof stockSpecSchema>;

export interface StockItem {
  readonly spec: StockSpec;
  readonly have: number;
  readonly packSize: number;
  /** Price of one pack, in cents of the house currency. */
  readonly packCents: number;
}

/** One key for one kind of thing: `resistor 330`, `led red`. */
export function stockKey(spec: StockSpec): string {
  return Object.values(spec).join(' ');
}

const TOOLS: ReadonlySet<StockSpec['kind']> = new Set([
  'holder',
  'clip-lead',
  'iron',
  'controller',
  'sound-lead',
]);

/** Whether a thing comes back after a session, so that the next one finds it again: boards that are plugged, and tools. */
export function comesBack(spec: StockSpec): boolean {
  return spec.kind === 'board' ? buildType(boardsFor(spec.board)[0]!) === 'plugged' : TOOLS.has(spec.kind);
}
