import {
  countsIn,
  luxAtCounts,
  readingRows,
  readShare,
  ruleTrim,
  sortOf,
  trimFor,
  type RuleSums,
} from '../../answers/duskRule';
import { LUX, sceneRows, type LightSums } from '../../answers/lampInLight';
import { CONTROLLERS, controllerPin, type Controller } from '../../catalogue/controllers';
import { SCENE_LUX, type LightSensorFigures } from '../../catalogue/light';
import { neighbours } from '../../catalogue/preferred';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import type { Circuit, PartOf } from '../../circuit/circuit';
import { finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint } from '../../observe/checkpoint';
import { nearestPin, pinId, pinLeg, pinPart, type BoardNets } from '../../program/pins';
import type { Ohms } from '../../quantities/units';
import { BOARD, boardPart, pinCurrents, pinRefusals } from '../onBoard';
import type { Design, Means, Pattern } from '../pattern';
import { lightGoals, lightSensorFigures, sensorFindings, sensorRefusals } from '../sensed';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { lampBehind } from '../timed/lamp';
import { lightIn } from '../family';
import { duskParams, type DuskParams } from './params';

const [LAMP, SENSOR, TRIM, OWN] = ['D1', 'L1', 'R2', 'R1'] as const;
const SENSE = 'sense';

/** A controller reads a light sensor and lights a lamp by a threshold in its program. */
export const duskController: Pattern<'dusk-controller', DuskParams> = {
  id: 'dusk-controller',
  params: duskParams,
  board: 'half',
  after: ['sequence', 'light-switch'],
  defaults: () => ({
    board: 'five-volt',
    lamp: 'white',
    amps: 0.008,
    lit: 'dusk',
    dark: 'classroom',
    pins: { lamp: 9, reads: 14 },
    hysteresis: 40,
  }),
  design,
  goals: (sums) => lightGoals(lightIn(sums)),
};

function design(params: DuskParams, means: Means): Outcome<Design> {
  const board = CONTROLLERS[params.board];
  const unfit = [...pinsUnfit(params, board), ...sensorRefusals(params)];
  if (unfit.length > 0) return refused(...unfit);
  const { lit, dark, amps, lamp, rounding } = params;
  const sensor = lightSensorFigures(params);
  const values = valuesOf(means.shelf, params.values ?? means.style.values);
  const exact = trimFor(sensor, SCENE_LUX[lit], SCENE_LUX[dark]);
  const trim = neighbours(values, exact).nearest ?? exact;
  const rule = ruleOf(params, sensor, trim);
  if (!rule.ok) return rule;
  const sum = lampBehind(
    { part: LAMP, type: lamp, resistor: OWN },
    { volts: 0, ohms: board.ohms, level: 'up' },
    { supply: supplyFigures(board.supply), amps, rounding, values: params.values },
    means,
  );
  if (!sum.ok) return sum;
  const circuit = circuitOf(params, board, { own: sum.value.chosen, trim, sensor, rule: rule.value }, means);
  const light = lightOf(params, circuit, sensor, trim, rule.value);
  const carried = light.scenes.find(({ scene }) => scene === lit)!.amps;
  const over = pinCurrents(board, [{ pin: params.pins.lamp, amps: carried }]);
  if (over.some(({ severity }) => severity === 'refusal')) return refused(...over);
  return finish(
    {
      circuit,
      supply: board.supply,
      sorts: { [LAMP]: lamp },
      strings: [sum.value],
      checkpoints: checkpoints(params),
      held: { [SENSOR]: lit },
      findings: [...over, ...sensorFindings(light)],
      own: {
        family: 'rule',
        light,
        rule: rule.value,
        helpers: [{ part: TRIM, ohms: trim, job: 'sets-light' }],
      },
    },
    means,
  );
}

function pinsUnfit({ board: id, pins }: DuskParams, board: Controller): Finding[] {
  const missing = pinRefusals(board, [pins.reads], {
    used: [pins.lamp, pins.reads],
    fits: ({ reads }) => reads,
  });
  if (missing.length > 0) return missing;
  if (controllerPin(id, pins.reads)!.reads) return pinRefusals(board, [pins.lamp, pins.reads]);
  const nearest = nearestPin(board, pins.reads, [pins.lamp], ({ reads }) => reads) ?? 0;
  return [finding('pin-does-not-read', { pin: pins.reads, nearest })];
}

/** The thresholds in counts, between what the two scenes read, and the light that they are. */
function ruleOf(params: DuskParams, sensor: LightSensorFigures, trim: Ohms): Outcome<RuleSums> {
  const { board, lit, dark, hysteresis, pins } = params;
  const countsAt = (scene: DuskParams['lit']) => countsIn(board, readShare(sensor, trim, SCENE_LUX[scene]));
  const [low, high] = [countsAt(lit), countsAt(dark)].sort((a, b) => a - b) as [number, number];
  const half = Math.round((low + high) / 2);
  const threshold = params.threshold ?? half;
  if (threshold <= low || threshold >= high)
    return refused(finding('threshold-outside', { threshold, low, high, nearest: half }));
  const room = 2 * Math.min(threshold - low, high - threshold) - 2;
  if (hysteresis > room)
    return refused(finding('hysteresis-wide', { hysteresis, most: Math.max(0, room), low, high }));
  const darkOn = SCENE_LUX[lit] < SCENE_LUX[dark];
  const [below, above] = [threshold - Math.ceil(hysteresis / 2), threshold + Math.floor(hysteresis / 2)];
  const at = (counts: number) => {
    const lux = luxAtCounts(sensor, trim, board, counts);
    return { counts, ...(lux === undefined ? {} : { lux }) };
  };
  const placeOf = (pin: number) => ({ pin, place: controllerPin(board, pin)!.place });
  return {
    ok: true,
    findings: [],
    value: {
      board,
      way: darkOn ? 'dark-on' : 'light-on',
      sensor: SENSOR,
      trim: TRIM,
      trimOhms: trim,
      lamp: { part: LAMP, resistor: OWN, ...placeOf(pins.lamp) },
      reads: placeOf(pins.reads),
      threshold,
      given: params.threshold !== undefined,
      hysteresis,
      on: at(darkOn ? below : above),
      off: at(darkOn ? above : below),
      rows: readingRows(sensor, trim, board),
    },
  };
}

interface Chosen {
  readonly own: Ohms;
  readonly trim: Ohms;
  readonly sensor: LightSensorFigures;
  readonly rule: RuleSums;
}

function circuitOf(
  { pins, lamp, lit }: DuskParams,
  board: Controller,
  { own, trim, sensor, rule }: Chosen,
  { shelf, style }: Means,
): Circuit {
  const nets: BoardNets = { plus: PLUS, minus: MINUS };
  const tolerance = toleranceOf(style);
  const reading = pinPart(board, pins.reads, BOARD, nets, undefined);
  const driven = pinPart(board, pins.lamp, BOARD, nets, undefined);
  const share = rule.threshold / board.counts;
  const follows = {
    drive: 'rule',
    reads: reading.id,
    ...(rule.way === 'dark-on' ? { below: share } : { above: share }),
  } as const;
  const light: PartOf<'ldr'> = {
    id: SENSOR,
    kind: 'ldr',
    pins: { a: PLUS, b: SENSE },
    params: { ...sensor, lux: SCENE_LUX[lit], litBy: [] },
  };
  const sensed = { ...reading, pins: { ...reading.pins, pin: SENSE } };
  return circuitFrom([
    boardPart(board, nets),
    light,
    resistorPart(TRIM, SENSE, MINUS, trim, tolerance),
    sensed,
    resistorPart(OWN, pinLeg(pins.lamp), 'lamp', own, tolerance),
    lampPart(LAMP, 'lamp', MINUS, shelf.lamps[lamp]),
    { ...driven, params: { ...driven.params, ...follows } },
  ]);
}

/** How the lamp follows the light: a step at the threshold, and where sensors of the sort have it. */
function lightOf(
  { lit, dark }: DuskParams,
  circuit: Circuit,
  sensor: LightSensorFigures,
  trim: Ohms,
  rule: RuleSums,
): LightSums {
  const at = (figures: LightSensorFigures) => luxAtCounts(figures, trim, rule.board, rule.threshold);
  const [few, many] = sortOf(sensor);
  const [typical, low, high] = [sensor, few, many].map(at);
  const scenes = sceneRows(circuit);
  const carried = scenes.find(({ scene }) => scene === lit)!.amps;
  const curve = stepCurve(rule, carried);
  return {
    way: rule.way,
    lit,
    dark,
    sensor: SENSOR,
    trim: TRIM,
    aimLux: Math.sqrt(SCENE_LUX[lit] * SCENE_LUX[dark]),
    switches: {
      ...(typical === undefined ? {} : { typical }),
      ...(low === undefined ? {} : { low }),
      ...(high === undefined ? {} : { high }),
    },
    range: ruleTrim(trim),
    scenes,
    curve,
  };
}

/** The lamp’s current as the light falls and rises again: each way it turns at its own threshold. */
function stepCurve({ way, on, off }: RuleSums, amps: number): NonNullable<LightSums['curve']> {
  const turn = on.lux ?? off.lux ?? LUX.low;
  const back = off.lux ?? turn;
  const [first, last] = way === 'dark-on' ? [amps, 0] : [0, amps];
  const [low, high] = [Math.min(turn, back), Math.max(turn, back)];
  // Down at one threshold and back at the other: between them it is what it was.
  return {
    lux: [LUX.low, high, high, LUX.high, low, low],
    amps: [first, first, last, last, last, first],
  };
}

function checkpoints({ lit, dark, pins }: DuskParams): Checkpoint[] {
  const probe = (id: string, pin: number, scene: DuskParams['lit']): Checkpoint => ({
    id,
    part: pinId(pin),
    kind: 'pin',
    measure: 'volts',
    from: { part: pinId(pin), pin: 'pin' },
    to: { part: pinId(pin), pin: 'ground' },
    held: { [SENSOR]: scene },
  });
  const across: Checkpoint = {
    id: OWN,
    part: OWN,
    kind: 'resistor',
    measure: 'volts',
    from: { part: OWN, pin: 'a' },
    to: { part: OWN, pin: 'b' },
    held: { [SENSOR]: lit },
  };
  return [
    probe('reading lit', pins.reads, lit),
    probe('reading dark', pins.reads, dark),
    across,
    probe('pin lit', pins.lamp, lit),
    probe('pin dark', pins.lamp, dark),
  ];
}
