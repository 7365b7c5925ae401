import type { PatternWords } from './words';

export const panel: PatternWords = {
  name: 'Panel',
  about: 'Rows and columns, each lamp with its resistor, soldered in tested batches.',
  analogy: 'A row of houses, each with its own tap on the same main.',
  truth:
    '“If the last batch is dark the last joint is bad” holds only because each batch before it was tested.',
  homework: 'How long would a panel twice as large take you? Count joints, not lamps.',
};
