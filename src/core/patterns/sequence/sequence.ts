import { CONTROLLERS, type Controller } from '../../catalogue/controllers';
import { supplyFigures } from '../../catalogue/supplies';
import type { Circuit, Part, PartOf } from '../../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint } from '../../observe/checkpoint';
import { observe } from '../../observe/observe';
import { pinId, pinLeg, pinPart, type BoardNets } from '../../program/pins';
import type { ProgramSums } from '../../program/sums';
import { pinTableOf, roundMillis, wantedSpells } from '../../program/table';
import { endOf } from '../../devices/pinTable';
import { allLit } from '../goal';
import { BOARD, boardPart, pinCurrents } from '../onBoard';
import type { Design, Means, Pattern } from '../pattern';
import type { StringSum } from '../steady/figures';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { lampBehind } from '../timed/lamp';
import { heldAt, programSums, wired } from './programSums';
import { sequenceParams, tableOf, type SequenceParams } from './params';
import { sumsIn } from '../family';
import { sequenceRefusals, sequenceWarnings } from './refusals';

const JOINED = 'joined';

/** Lamps on the pins of a controller, lit by the rows of a table one after another. */
export const sequence: Pattern<'sequence', SequenceParams> = {
  id: 'sequence',
  params: sequenceParams,
  board: 'half',
  after: ['single'],
  defaults: () => ({
    board: 'five-volt',
    common: 'minus',
    resistors: 'own',
    amps: 0.008,
    lamps: [
      { lamp: 'red', pin: 9 },
      { lamp: 'yellow', pin: 10 },
      { lamp: 'green', pin: 11 },
    ],
    columns: [9, 10, 11],
    rows: [
      { steps: [255, 0, 0], seconds: 4, fade: false },
      { steps: [0, 255, 0], seconds: 1, fade: false },
      { steps: [0, 0, 255], seconds: 4, fade: false },
    ],
    rounds: 2,
    after: 'off',
  }),
  withWay: (params, { kind }) =>
    kind === 'own' || kind === 'shared' ? { ...params, resistors: kind } : undefined,
  design,
  goals: (sums) => {
    const astray = sumsIn(sums, 'program')?.program.astray;
    return [
      ...sums.ages.map(allLit),
      { code: 'follows-table', met: astray?.length === 0, parts: astray ?? [] },
    ];
  },
};

function design(params: SequenceParams, means: Means): Outcome<Design> {
  const unfit = sequenceRefusals(params);
  if (unfit.length > 0) return refused(...unfit);
  const board = CONTROLLERS[params.board];
  const strings = stringsOf(params, board, means);
  if (!strings.ok) return strings;
  const shared = params.resistors === 'shared';
  const chosen = shared ? mostOf(strings.value) : strings.value;
  const circuit = circuitOf(params, board, strings.value, chosen, means);
  const seen = observe(circuit);
  if (!seen.ok) return seen;
  const resistors = strings.value.map(({ resistor }) => (shared ? 'R1' : resistor));
  const program = programSums(params, circuit, seen.value, resistors);
  if (!program.ok) return program;
  const over = currentFindings(program.value, board);
  const refusals = over.filter(({ severity }) => severity === 'refusal');
  if (refusals.length > 0) return refused(...refusals);
  const finished = finish(
    {
      circuit,
      supply: board.supply,
      sorts: Object.fromEntries(params.lamps.map(({ lamp }, i) => [`D${i + 1}`, lamp])),
      strings: chosen,
      checkpoints: checkpoints(params),
      held: {},
      seen: seen.value,
      findings: [...sequenceWarnings(params), ...over, ...(shared ? sharedFindings(program.value) : [])],
      own: { family: 'program', program: program.value },
    },
    means,
  );
  if (!finished.ok) return finished;
  return accepted({ ...finished.value, ...(seen.value.kind === 'moving' ? { seen: seen.value } : {}) });
}

/** The sum of each lamp behind its pin, whose ohms are in its loop. */
function stringsOf(params: SequenceParams, board: Controller, means: Means): Outcome<StringSum[]> {
  const { lamps, amps, common, rounding, values } = params;
  const supply = supplyFigures(board.supply);
  const output = { volts: 0, ohms: board.ohms, level: common === 'minus' ? 'up' : 'down' } as const;
  const found: StringSum[] = [];
  for (const [i, { lamp }] of lamps.entries()) {
    const own = { part: `D${i + 1}`, type: lamp, resistor: `R${i + 1}` };
    const sum = lampBehind(own, output, { supply, amps, rounding, values }, means);
    if (!sum.ok) return sum;
    found.push(sum.value);
  }
  return accepted(
    found.map((sum) => ({
      ...sum,
      alike: found
        .filter(({ chosen, lamps: [one] }) => chosen === sum.chosen && one!.type === sum.lamps[0]!.type)
        .map(({ resistor }) => resistor),
    })),
  );
}

/** One resistor for all lamps is that of the lamp that leaves it the most volts: no other carries more. */
function mostOf(sums: readonly StringSum[]): StringSum[] {
  const most = sums.reduce((best, sum) => (sum.exactOhms > best.exactOhms ? sum : best));
  return [{ ...most, resistor: 'R1', alike: ['R1'] }];
}

function circuitOf(
  params: SequenceParams,
  board: Controller,
  sums: readonly StringSum[],
  chosen: readonly StringSum[],
  { shelf, style }: Means,
): Circuit {
  const { lamps, columns, common, resistors } = params;
  const table = tableOf(params);
  const toMinus = common === 'minus';
  const shared = resistors === 'shared';
  const nets: BoardNets = toMinus ? { minus: MINUS } : { plus: PLUS, minus: MINUS };
  const far = shared ? JOINED : toMinus ? MINUS : PLUS;
  const tolerance = toleranceOf(style);
  const parts: Part[] = [boardPart(board, nets)];
  lamps.forEach(({ lamp, pin }, i) => {
    const column = columns.indexOf(pin);
    const [id, net] = [`D${i + 1}`, shared ? pinLeg(pin) : `lamp ${i + 1}`];
    const [from, to] = toMinus ? [pinLeg(pin), net] : [net, pinLeg(pin)];
    if (!shared) parts.push(resistorPart(`R${i + 1}`, from, to, sums[i]!.chosen, tolerance));
    parts.push(
      toMinus ? lampPart(id, net, far, shelf.lamps[lamp]) : lampPart(id, far, net, shelf.lamps[lamp]),
    );
    parts.push(
      pinPart(
        board,
        pin,
        BOARD,
        nets,
        column < 0 ? undefined : pinTableOf(table, column),
      ) satisfies PartOf<'pin'>,
    );
  });
  const [from, to] = toMinus ? [JOINED, MINUS] : [PLUS, JOINED];
  if (shared) parts.push(resistorPart('R1', from, to, chosen[0]!.chosen, tolerance));
  return circuitFrom(parts);
}

/**
 * Each lamp's resistor and the level of its pin while it is lit, as a row of the table leaves the pins; how long it is
 * lit; and one pin that is low.
 */
function checkpoints(params: SequenceParams): Checkpoint[] {
  const ground = (pin: number) => ({ part: pinId(pin), pin: 'ground' });
  const level = (id: string, pin: number, row: number): Checkpoint => ({
    id,
    part: pinId(pin),
    kind: 'pin',
    measure: isWhole(params, row) ? 'volts' : 'meanVolts',
    from: { part: pinId(pin), pin: 'pin' },
    to: ground(pin),
    held: heldAt(params, row),
  });
  const lamps = wired(params).flatMap(({ part, pin, column }) => {
    const row = brightest(params, column);
    return row === undefined ? [] : [{ part, pin, row, column }];
  });
  const shared = params.resistors === 'shared';
  const across = lamps.map(({ part, row }): Checkpoint => {
    const resistor = shared ? 'R1' : `R${part.slice(1)}`;
    return {
      id: shared ? `R1 ${part}` : resistor,
      part: resistor,
      kind: 'resistor',
      measure: isWhole(params, row) ? 'volts' : 'meanVolts',
      from: { part: resistor, pin: 'a' },
      to: { part: resistor, pin: 'b' },
      held: heldAt(params, row),
    };
  });
  const timed = lamps
    .filter(({ column }) => isTimedBy(params, column))
    .map(({ part }): Checkpoint => ({ id: `${part} light`, part, kind: 'led', measure: 'seconds' }));
  const idle = lamps.find(({ pin, row }) => lamps.some((other) => other.pin !== pin && other.row !== row));
  const dark = idle && lamps.find(({ row }) => row !== idle.row)!.row;
  return [
    ...across,
    ...lamps.map(({ pin, row }) => level(pinId(pin), pin, row)),
    ...(idle && dark !== undefined ? [level(`${pinId(idle.pin)} off`, idle.pin, dark)] : []),
    // Times are those of the lesson's own program, which is sent after the one for measuring.
    ...timed,
  ];
}

/** A thumb is sure of lights that last so long, to what counts as the time that is wished. */
const THUMB_SECONDS = 3;

/** Whether a stopwatch tells how long a lamp is lit: every time as long, long enough, and not fading in or out. */
function isTimedBy(params: SequenceParams, column: number): boolean {
  const { rows } = params;
  if (
    rows.some(
      ({ steps, fade }) => fade || (steps[column]! > 0 && steps[column]! < CONTROLLERS[params.board].steps),
    )
  )
    return false;
  const table = tableOf(params);
  const round = roundMillis(table) / 1000;
  const spells = wantedSpells(table, column, Math.min(endOf(pinTableOf(table, column)), 3 * round));
  // The last may go on behind the end of the look.
  const whole = spells.slice(0, Math.max(1, spells.length - 1)).map(({ from, to }) => to - from);
  return (
    whole.length > 0 &&
    whole.every((seconds) => seconds >= THUMB_SECONDS && Math.abs(seconds - whole[0]!) < 1e-6)
  );
}

/** The row in which a lamp is brightest, of those the one with the fewest others; none where it is never lit. */
function brightest({ rows }: SequenceParams, column: number): number | undefined {
  const lit = rows.flatMap(({ steps }, i) => (steps[column]! > 0 ? [i] : []));
  const beside = (row: number) => rows[row]!.steps.filter((step) => step > 0).length;
  const better = (a: number, b: number) => {
    const gain = rows[b]!.steps[column]! - rows[a]!.steps[column]!;
    return gain > 0 || (gain === 0 && beside(b) < beside(a)) ? b : a;
  };
  return lit.length > 0 ? lit.reduce(better) : undefined;
}

/** Whether every pin is at one of its levels as a row leaves it. */
function isWhole(params: SequenceParams, row: number): boolean {
  return Object.values(heldAt(params, row)).every((share) => share === 0 || share === 1);
}

/** What one pin carries, and all of them together, against what the board stands. */
function currentFindings({ lamps, rows }: ProgramSums, board: Controller): Finding[] {
  const found = pinCurrents(
    board,
    lamps.map(({ pin, peak }) => ({ pin, amps: peak })),
  );
  const row = rows.reduce((best, one, i) => (one.peak > rows[best]!.peak ? i : best), 0);
  const { peak: amps } = rows[row]!;
  const { allAmps: limit } = board;
  return amps > limit ? [...found, finding('pins-over-current', { row: row + 1, amps, limit })] : found;
}

/** Rows in which two lamps have to share what one resistor lets through. */
function sharedFindings({ rows }: ProgramSums): Finding[] {
  const row = rows.findIndex(({ lamps }) => lamps.filter(({ step }) => step > 0).length > 1);
  if (row < 0) return [];
  const lit = rows[row]!.lamps.filter(({ step }) => step > 0).sort((a, b) => b.amps - a.amps);
  const [first, last] = [lit[0]!, lit[lit.length - 1]!];
  const data = { row: row + 1, first: first.part, second: last.part, more: first.amps, less: last.amps };
  return [finding('share-while-lit', data, 'warning')];
}
