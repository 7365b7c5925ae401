import {
  faultDictionary,
  faultSignatures,
  type FaultShare,
  type FaultSignatures,
} from '../checking/dictionary';
import type { FaultContext } from '../checking/faults/fault';
import { heldForLooks } from '../checking/looksHeld';
import type { SessionExpectation } from '../checking/session';
import { valuesOf } from '../catalogue/shelf';
import type { Shows } from '../observe/checkpoint';
import { lampIds } from '../observe/looks';
import { observe, supplyAmps } from '../observe/observe';
import { isKind } from '../circuit/circuit';
import type { SheetRequest } from './request';
import type { Sheet } from './sheet';

/** Draws for each candidate of the fault dictionary. */
const FAULT_SAMPLES = 400;
/** Parts up to which every candidate is drawn so often; larger circuits are drawn less, in the same time. */
const SMALL_CIRCUIT = 10;

/** What the faults of a lesson are computed from. */
export function faultContext(sheet: Sheet, request: SheetRequest): FaultContext {
  return {
    plan: sheet.plan,
    circuit: sheet.circuit,
    supply: sheet.supply,
    drawer: valuesOf(request.shelf, request.style.values),
    sorts: sheet.sorts,
    points: sheet.checkpoints,
    lamps: request.shelf.lamps,
    shows: sheet.shows ?? shownAsRead(sheet),
    started: sheet.started,
  };
}

/** Lamps are looked at in what is held while the volts are read. */
function shownAsRead({ checkpoints, circuit }: Sheet): Shows | undefined {
  const held = heldForLooks(checkpoints);
  return held && Object.fromEntries(lampIds(circuit).map((lamp) => [lamp, held]));
}

/** One share of a lesson's mistakes, for workers that compute its dictionary together. */
export function sessionSignatures(
  sheet: Sheet,
  request: SheetRequest,
  share?: FaultShare,
  onProgress?: (done: number) => void,
): FaultSignatures {
  const draws = { samples: samplesFor(sheet), seed: request.draws.seed };
  return faultSignatures(faultContext(sheet, request), request.meter, draws, share, onProgress);
}

/**
 * What a session is judged by.
 *
 * @param shares the lesson's mistakes as workers have computed them; left out, they are computed here
 */
export function sessionExpectation(
  sheet: Sheet,
  request: SheetRequest,
  shares: readonly FaultSignatures[] = [sessionSignatures(sheet, request)],
): SessionExpectation {
  const dictionary = faultDictionary(faultContext(sheet, request), sheet.expected.points, shares);
  return {
    expected: sheet.expected,
    dictionary,
    meter: request.meter,
    tiredPack: request.style.tiredPack,
    limits: limitsOf(sheet),
  };
}

function samplesFor({ circuit }: Sheet): number {
  const share = Math.min(1, (SMALL_CIRCUIT / circuit.parts.length) ** 2);
  return Math.max(60, Math.round(FAULT_SAMPLES * share));
}

function limitsOf(sheet: Sheet): SessionExpectation['limits'] {
  const { volts, ohms, limitAmps } = sheet.sums.supplyFigures;
  const shorted = {
    ...sheet.circuit,
    parts: sheet.circuit.parts.map((part) =>
      isKind(part, 'resistor') ? { ...part, params: { ...part.params, ohms: 0.01 } } : part,
    ),
  };
  const seen = observe(shorted);
  const through = seen.ok ? supplyAmps(seen.value) : volts / Math.max(ohms, 0.1);
  return { volts, amps: limitAmps ?? Math.max(through, 0.05) };
}
