import { isKind, type PartOf } from '../../circuit/circuit';
import { anyResistor } from '../../parts/resistor';
import { mistakesOf } from '../../parts/index';
import { at, exchanged, type Mistake } from '../../parts/mistake';
import { isCommonCathode, thingsOf } from '../../parts/thing';
import { exchangedArms, exchangedParts } from './exchanged';
import type { Candidate, FaultContext } from './fault';
import { fromFurther, isLarge, lookedAt } from './looked';
import { meterFaults } from './meters';
import { wiringFaults } from './wiring';

/** How much a right build outweighs any one mistake. */
const RIGHT_PRIOR = 8;
/** Share of those who turned a lamp round and hold the probes where its legs were meant to be. */
const BY_ROWS = 0.15;

/** Every mistake and state that applies to a lesson on its board, each as the circuit that it makes. */
export function faultsOf(context: FaultContext): Candidate[] {
  const built: Mistake[] = [
    { code: 'right', data: {}, prior: RIGHT_PRIOR, circuit: context.circuit },
    ...lookedAt(context).flatMap((part) => mistakesOf(part, context)),
    ...fromFurther(context),
    ...otherCommon(context),
    ...exchangedParts(context),
    ...exchangedArms(context),
    ...wiringFaults(context),
  ];
  return [
    ...built.map((mistake): Candidate => ({ ...mistake, use: 'right' })),
    ...turnedByRows(built, context),
    ...meterFaults(context),
  ];
}

/** The same, and every other preferred value that a resistor may have: what a bench may turn out to be. */
export function everyFault(context: FaultContext): Candidate[] {
  const resistors = lookedAt(context).filter((part) => isKind(part, 'resistor'));
  const values = resistors.flatMap((part: PartOf<'resistor'>) =>
    anyResistor(part, context, isLarge(context)),
  );
  return [...faultsOf(context), ...values.map((mistake): Candidate => ({ ...mistake, use: 'right' }))];
}

/** A turned lamp that is measured along its rows, not by its legs, shows the same volts with the other sign. */
function turnedByRows(mistakes: readonly Mistake[], { points }: FaultContext): Candidate[] {
  return mistakes.flatMap((mistake): Candidate[] => {
    const { code, data, prior } = mistake;
    if (code !== 'lamp-reversed' || !points.some(({ id }) => id === data.part)) return [];
    const byRows = { ...data, point: data.part!, byRows: true };
    return [{ ...mistake, data: byRows, prior: prior * BY_ROWS, use: 'swapped' }];
  });
}

/** Three-colour lamps fitted with the other common leg: all three of a house are turned. */
function otherCommon({ circuit }: FaultContext): Mistake[] {
  const houses = thingsOf(circuit).filter(({ kind }) => kind === 'rgb');
  return houses.map((house): Mistake => {
    const turned = house.parts.reduce((built, part) => exchanged(built, part, 'anode', 'cathode'), circuit);
    const other = isCommonCathode(house) ? 'anode' : 'cathode';
    return {
      code: 'other-common',
      data: at({ ...house.parts[0]!, id: house.id }, { other }),
      prior: 0.8,
      circuit: turned,
    };
  });
}
