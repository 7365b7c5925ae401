import type { AgeGroup } from '../assembly/pace';
import type { Plan } from '../board/plan';
import type { MeterFigures } from '../catalogue/meter';
import type { Shelf } from '../catalogue/shelf';
import type { Extra } from '../kits/extras';
import type { StockItem } from '../kits/stock';
import type { HouseStyle } from '../patterns/style';
import type { BandOptions } from '../tolerance/bands';
import type { PatternChoice } from './choice';
import type { EarlierPlan } from './planFor';

/** All that a sheet hangs on. The same request gives the same sheet, on any machine. */
export interface SheetRequest {
  readonly choice: PatternChoice;
  /** A plan arranged by hand; left out, the plan lays itself out. */
  readonly plan?: Plan | undefined;
  /** The plan of the sheet before, to serve again while only values change. */
  readonly earlier?: EarlierPlan | undefined;
  readonly style: HouseStyle;
  readonly shelf: Shelf;
  readonly stock: readonly StockItem[];
  readonly meter: MeterFigures;
  readonly students: number;
  readonly ageGroup: AgeGroup;
  /** What the lesson wants besides its circuit. */
  readonly extras?: readonly Extra[];
  readonly draws: BandOptions;
  /** A first look: the age that is designed for, plan and steps, without what takes many runs to work out. */
  readonly outline?: boolean | undefined;
}
