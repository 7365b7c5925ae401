import type { Command } from 'commander';
import {
  circuitFile,
  DEFAULT_STYLE,
  idsOf,
  isScene,
  isSource,
  SCENE_LUX,
  PATTERN_IDS,
  patternOf,
  sourceOf,
  tapesOf,
  thingsOf,
  UNITS,
  type Checkpoint,
  type LegPlace,
  type Observation,
  type Sheet,
  type Thing,
  type Gate,
  type Held,
  type Isolation,
  type LampSeen,
  type Step,
} from '@/core';
import { Exit, print } from './exit';
import { lessonRequest, sheetOf, type LessonOptions } from './lessonFile';

export function lessonOptions(command: Command): Command {
  return command
    .option('--board <name>', 'the board to build on, instead of the file’s')
    .option('--samples <count>', 'draws over the spread of the parts', '4000')
    .option('--seed <number>', 'where the draws begin', '1');
}

export function lessonCommand(program: Command): void {
  lessonOptions(
    program
      .command('lesson')
      .description('a whole lesson: circuit, plan, what it does, checks, steps, kit and cautions')
      .argument('[file]', 'lesson file, - for standard input'),
  )
    .option('--patterns', 'every pattern with the wishes it starts with')
    .action((file: string | undefined, options: LessonOptions & { patterns?: true }) => {
      if (options.patterns) return print(patterns());
      if (file === undefined) throw new Exit(2, 'lesson: a FILE is missing, or --patterns.');
      print(lessonJson(sheetOf(lessonRequest(file, options))));
    });
}

function patterns() {
  return PATTERN_IDS.map((id) => ({ id, defaults: patternOf(id).defaults(DEFAULT_STYLE) as object }));
}

function lessonJson(sheet: Sheet) {
  const { circuit, built, kit, steps } = sheet;
  return {
    pattern: sheet.pattern,
    findings: [...sheet.findings, ...built.findings],
    wanted: circuitFile(circuit),
    plan: planJson(sheet),
    asBuilt: circuitFile(built.circuit),
    ...(built.seen ? { behaviour: behaviourJson(built.seen, built.lamps) } : {}),
    checks: sheet.expected.points.map((check) => ({
      ...pointJson(check.point),
      typical: check.typical,
      low: check.low,
      high: check.high,
      worstLow: check.worstLow,
      worstHigh: check.worstHigh,
    })),
    steps: steps.map((step) => stepJson(step, suppliesOf(sheet))),
    kit: kit.lines.map(({ key, each, need, spares, short, per, parts }) => ({
      key,
      each,
      all: need,
      spares,
      toBuy: short,
      per,
      parts,
    })),
    cautions: sheet.cautions,
    minutes: sheet.minutes,
  };
}

function planJson({ plan, circuit }: Sheet) {
  const supply = plan.placements.find(({ part }) => isSource(circuit, part));
  const things = new Map(thingsOf(circuit).map((thing) => [thing.id, thing]));
  const pieces = plan.placements.filter((p) => p.kind === 'part' && p !== supply);
  const wires = plan.placements.filter(({ kind }) => kind === 'jumper');
  const tapes = plan.board.startsWith('card-') ? tapesOf(plan) : [];
  return {
    board: plan.board,
    pieces: pieces.map(({ part, legs }) => {
      const thing = things.get(part);
      const housed = (thing?.parts ?? []).filter(({ body }) => body);
      const parts = Object.fromEntries(housed.map(({ id, body }) => [id, body!.legs]));
      return { id: part, kind: thing?.kind, legs, ...(housed.length ? { parts } : {}) };
    }),
    jumpers: [
      ...wires.map(({ part, legs }) => {
        const [from, to] = Object.values(legs);
        return { id: part, from, to };
      }),
      ...tapes.map(({ name, from, to }) => ({ id: name, from, to })),
    ],
    cuts: plan.cuts ?? [],
    supply: supply?.legs ?? {},
    ...housedIn(things.get(supply?.part ?? '')),
  };
}

/** A controller is the supply of its circuit: which of its legs each of its pins is. */
function housedIn(supply: Thing | undefined) {
  const housed = (supply?.parts ?? []).filter(({ body }) => body);
  return housed.length === 0
    ? {}
    : { supplyParts: Object.fromEntries(housed.map(({ id, body }) => [id, body!.legs])) };
}

function behaviourJson(seen: Observation, lamps: readonly LampSeen[]) {
  if (seen.kind === 'moving')
    return {
      kind: 'moving',
      cycles: { ...lampCycles(seen, lamps), ...seen.run.cycles },
      means: seen.run.means,
      nodes: seen.nodes,
    };
  return {
    kind: 'still',
    nodes: seen.nodes,
    parts: seen.parts,
    ...(seen.also ? { also: seen.also.parts } : {}),
  };
}

/** Lamps that a program lights go round without a chip: what each does from one coming on to the next. */
function lampCycles(seen: Extract<Observation, { kind: 'moving' }>, lamps: readonly LampSeen[]) {
  if (Object.keys(seen.run.cycles).length > 0) return {};
  return Object.fromEntries(
    lamps.flatMap(({ part, hertz, litFor: high }) =>
      hertz === undefined || high === undefined
        ? []
        : [[part, { period: 1 / hertz, high, low: 1 / hertz - high, hertz, duty: high * hertz }]],
    ),
  );
}

function pointJson(point: Checkpoint) {
  return { ...point, ...(point.held ? { held: heldJson(point.held) } : {}), unit: UNITS[point.measure] };
}

function suppliesOf({ circuit }: Sheet): string[] {
  const source = sourceOf(circuit);
  return source ? [source.id] : [];
}

/** The supply stands beside the board for every test with power, so that what stands is the ids up to a step. */
function stepJson(step: Step, supplies: readonly string[]) {
  const tested = step.action === 'block-gate' && step.gate.power ? supplies : [];
  const taped = step.action === 'lay-tape' ? [step.tape] : [];
  const legs = 'legs' in step ? { legs: legsJson(step.legs) } : {};
  const pieces =
    'pieces' in step
      ? { pieces: step.pieces.map((piece) => ({ id: piece.part, legs: legsJson(piece.legs) })) }
      : {};
  return {
    kind: step.action,
    id: step.id,
    ids: [...new Set([...idsOf(step), ...taped, ...tested])],
    ...legs,
    ...pieces,
    ...('gate' in step ? { gate: gateJson(step.gate) } : {}),
    ...(step.action === 'isolate' ? { isolation: isolationJson(step.isolation) } : {}),
    minutes: step.minutes,
  };
}

/** The parking resistor stands on the board for the test only, so that this is no gate of the pieces up to a step. */
function isolationJson({ chip, without, ohms, parkings }: Isolation) {
  return {
    chip,
    without,
    ohms,
    parkings: parkings.map(({ rail, legs, gate }) => ({ rail, legs, ...gateJson(gate) })),
  };
}

/** Lights as lux. */
function heldJson(held: Held) {
  return Object.fromEntries(
    Object.entries(held).map(([part, state]) => [part, isScene(state) ? SCENE_LUX[state] : state]),
  );
}

function gateJson({ power, lit, may, held, readings }: Gate) {
  return { power, lit, may, held: heldJson(held), readings };
}

function legsJson(legs: readonly LegPlace[]) {
  return Object.fromEntries(legs.map(({ pin, hole }) => [pin, hole]));
}
