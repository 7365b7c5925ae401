import type { Circuit } from '../circuit/circuit';
import { placementProblems, planCovers, type Plan } from './plan';
import { readBack } from './readBack';
import { sameCircuit } from './sameCircuit';

/** Whether a plan keeps the rules of its board and, read back, makes the circuit that is wanted. Nothing is solved. */
export function makesWanted(plan: Plan, wanted: Circuit): boolean {
  if (!planCovers(plan, wanted) || placementProblems(plan).length > 0) return false;
  return sameCircuit(readBack(plan, wanted), wanted);
}
