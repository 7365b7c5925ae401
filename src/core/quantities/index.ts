export { columnUnit, figureShown } from './column';
export {
  capacitorCode,
  formatEntered,
  formatFarads,
  formatHours,
  formatOhms,
  formatPercent,
  formatPlain,
  formatQuantity,
  MINUS,
  THIN,
} from './format';
export { parseQuantity } from './parse';
export { readCount, readFigure, readList, readWithin } from './readers';
export { formatQuotient, formatSum } from './sums';
export type { Unit } from './units';
