import { isKind } from '../../circuit/circuit';
import { candidate, type Candidate, type FaultContext } from './fault';
import { lampFaults, otherCommon } from './lamps';
import { lookedAt } from './looked';
import { meterFaults } from './meters';
import { resistorFaults, resistorsExchanged } from './resistors';
import { supplyFaults } from './supplies';
import { wiringFaults } from './wiring';
import { zenerFaults } from './zeners';

/** Every fault that applies to a steady circuit on its board, each computed on the circuit itself. */
export function faultsOf(context: FaultContext): Candidate[] {
  const looked = lookedAt(context);
  const zeners = looked.filter((part) => isKind(part, 'zener'));
  const resistors = looked.filter((part) => isKind(part, 'resistor'));
  const ofParts = looked.flatMap((part) => {
    if (isKind(part, 'led')) return lampFaults(context, part);
    if (isKind(part, 'resistor')) return resistorFaults(context, part);
    return isKind(part, 'supply') ? supplyFaults(context, part) : [];
  });
  return [
    candidate('right', {}, 8, context.circuit),
    ...ofParts,
    ...otherCommon(context),
    ...resistorsExchanged(context, resistors),
    ...zenerFaults(context, zeners),
    ...wiringFaults(context),
    ...meterFaults(context),
  ];
}
