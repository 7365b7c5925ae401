import type { FieldNames } from '@/messages/issues';

/** What the fields of the house style and of the meter are called where something is wrong with one. */
export const STYLE_FIELDS: FieldNames = {
  rounding: 'What is taken after the sum',
  amps: 'The design current',
  age: 'The age that a supply is designed for',
  side: 'The side of the resistor',
  values: 'Where values are chosen from',
  bands: 'The number of bands',
  wires: 'The colour of jumpers',
  lamps: 'How lamps lie',
  ratingShare: 'The share of a resistor’s rating',
  ratingPercent: 'The share of a resistor’s rating',
  spareRisk: 'The risk of running out',
  riskPercent: 'The risk of running out',
  symbol: 'The resistor’s symbol',
  currency: 'The currency',
  tables: 'How tables are written',
  causes: 'What causes are weighed by',
  tiredPack: 'What a right build with a tired pack is',
};

export const METER_FIELDS: FieldNames = {
  name: 'The name of the meter',
  counts: 'The counts of the display',
  volts: 'The accuracy on volts',
  voltsPercent: 'The accuracy on volts',
  voltsCounts: 'The counts on volts',
  amps: 'The accuracy on current',
  ampsPercent: 'The accuracy on current',
  ampsCounts: 'The counts on current',
};
