import { z } from 'zod';
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
import { CONTROLLER_IDS, CONTROLLERS, controllerPin, type Controller } from '../../catalogue/controllers';
import { SCENE_LUX, SCENES, type LightSensorFigures } from '../../catalogue/light';
import { neighbours } from '../../catalogue/preferred';
import { valuesOf } from '../../catalogue/shelf';
import { supplyFigures } from '../../catalogue/supplies';
import type { Circuit, Part, PartOf } from '../../circuit/circuit';
import { finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint } from '../../observe/checkpoint';
import { boardLegs, nearestPin, pinId, pinLeg, pinPart, type BoardNets } from '../../program/pins';
import type { Ohms } from '../../quantities/units';
import { lightGoals, lightSensorFigures, sensorRefusals } from '../lightSwitch/lightSwitch';
import type { Design, Means, Pattern } from '../pattern';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart, supplyPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { lampBehind } from '../timed/lamp';
import { lampSchema } from '../timed/wishes';
import { ampsSchema, choiceOverrides } from '../wishes';

const pinSchema = z.number().int('must be a whole number').min(0).max(99);
const ohmsSchema = z.number().min(50).max(1e7);

export const duskParams = z.strictObject({
  board: z.enum(CONTROLLER_IDS),
  lamp: lampSchema,
  amps: ampsSchema,
  /** Where the lamp is to be lit, and where dark: the one with less light decides which way round the program asks. */
  lit: z.enum(SCENES),
  dark: z.enum(SCENES),
  /** The pin that lights the lamp, and the one that reads the light. */
  pins: z.strictObject({ lamp: pinSchema, reads: pinSchema }),
  /** In counts; left out, half way between the two scenes. */
  threshold: z.number().int('must be a whole number').min(0).max(1e5).optional(),
  /** Counts between going on and going off. */
  hysteresis: z.number().int('must be a whole number').min(0).max(1e4),
  sensor: z.strictObject({ lit: ohmsSchema, dark: ohmsSchema }).optional(),
  ...choiceOverrides,
});
export type DuskParams = z.output<typeof duskParams>;

const BOARD = 'B1';
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
  goals: ({ light }) => (light ? lightGoals(light) : []),
};

function design(params: DuskParams, means: Means): Outcome<Design> {
  const board = CONTROLLERS[params.board];
  const unfit = [...pinRefusals(params, board), ...sensorRefusals(params)];
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
  const over = overFindings(params, board, carried);
  if (over.some(({ severity }) => severity === 'refusal')) return refused(...over);
  return finish(
    {
      circuit,
      supply: board.supply,
      sorts: { [LAMP]: lamp },
      strings: [sum.value],
      checkpoints: checkpoints(params),
      held: { [SENSOR]: lit },
      findings: [...over, ...sortFindings(light)],
      more: { light, rule: rule.value, helpers: [{ part: TRIM, ohms: trim, job: 'sets-light' }] },
    },
    means,
  );
}

function pinRefusals({ board: id, pins }: DuskParams, board: Controller): Finding[] {
  const used = [pins.lamp, pins.reads];
  const missing = used.find((pin) => !controllerPin(id, pin));
  if (missing !== undefined) {
    const fits = missing === pins.reads ? ({ reads }: { reads: boolean }) => reads : undefined;
    const nearest = nearestPin(board, missing, used, fits) ?? 0;
    return [finding('no-such-pin', { board: id, pin: missing, nearest, where: 'wire' })];
  }
  const reading = nearestPin(board, pins.reads, [pins.lamp], ({ reads }) => reads) ?? 0;
  if (!controllerPin(id, pins.reads)!.reads)
    return [finding('pin-does-not-read', { pin: pins.reads, nearest: reading })];
  if (pins.lamp !== pins.reads) return [];
  return [
    finding('pin-twice', { pin: pins.lamp, nearest: nearestPin(board, pins.lamp, used) ?? 0, where: 'wire' }),
  ];
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
  const house = boardLegs(nets);
  const tolerance = toleranceOf(style);
  const source = {
    ...supplyPart(board.supply),
    id: BOARD,
    pins: house.pins,
    body: { id: BOARD, legs: house.legs },
  };
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
    source as Part,
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

function overFindings({ pins }: DuskParams, board: Controller, amps: number): Finding[] {
  const { pinAmps: limit, pinAmpsMost: most } = board;
  if (amps <= limit) return [];
  return [
    finding('pin-over-current', { pin: pins.lamp, amps, limit, most }, amps > most ? 'refusal' : 'warning'),
  ];
}

/** Where some sensors of the sort would switch outside of the two scenes, and what covers them. */
function sortFindings({ switches, range, lit, dark }: LightSums): Finding[] {
  const [least, most] = [SCENE_LUX[lit], SCENE_LUX[dark]].sort((a, b) => a - b) as [number, number];
  const inside = (lux: number | undefined) => lux !== undefined && lux > least && lux < most;
  if ((inside(switches.low) && inside(switches.high)) || !range) return [];
  return [
    finding(
      'sensors-differ',
      { low: range.low, high: range.high, pot: range.potentiometer?.ohms ?? 0 },
      'warning',
    ),
  ];
}
