export {
  drawReadings,
  measuredAt,
  type FaultDictionary,
  type FaultSignatures,
  type JudgedPoint,
} from './dictionary';
export { JUDGING_RULE, type SessionExpectation } from './session';
