import { CONTROLLERS, controllerPin, type Controller } from '../../catalogue/controllers';
import { supplyFigures } from '../../catalogue/supplies';
import { withPart, type Circuit, type Part } from '../../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint, Held } from '../../observe/checkpoint';
import { withHeld } from '../../observe/held';
import { observe, reportOf } from '../../observe/observe';
import { nearestPin, pinId, pinLeg, pinPart, type BoardNets } from '../../program/pins';
import { BOARD, boardPart, pinCurrents, pinRefusals } from '../onBoard';
import type { Design, Means } from '../pattern';
import type { StringSum } from '../steady/figures';
import { finish } from '../steady/finish';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { lampBehind } from '../timed/lamp';
import { legsOfColour, RGB_COLOURS, type RgbColour } from './legs';
import { lightOf, namedSteps, perColour, stepsFor, type MixSums, type Steps } from './mix';
import { PULSES_AT_FIRST, type PulsesWish, type RgbParams } from './params';

const lampId = (colour: RgbColour) => `D1${colour.charAt(0)}`;
const resistorId = (colour: RgbColour) => `R${RGB_COLOURS.indexOf(colour) + 1}`;

/** The lamp with each colour behind its resistor on a pin that is switched faster than the eye. */
export function designPulses(params: RgbParams, means: Means): Outcome<Design> {
  const wish = params.pulses ?? PULSES_AT_FIRST;
  const board = CONTROLLERS[wish.board];
  const pins = RGB_COLOURS.map((colour) => wish.pins[colour]);
  const unfit = pinRefusals(board, pins, { fits: ({ dims }) => dims });
  if (unfit.length > 0) return refused(...unfit);
  const strings = stringsOf(params, board, means);
  if (!strings.ok) return strings;
  const still = circuitOf(params, wish, board, strings.value, means);
  const peaks = peaksOf(still, params, wish);
  const over = pinCurrents(
    board,
    RGB_COLOURS.map((colour) => ({ pin: wish.pins[colour], amps: peaks[colour] })),
  );
  if (over.some(({ severity }) => severity === 'refusal')) return refused(...over);
  const steps = wish.colour === 'own' ? wish.steps : stepsFor(wish.colour, peaks, board);
  const unmet = stepRefusals(steps, wish, board);
  if (unmet.length > 0) return refused(...unmet);
  const circuit = withSteps(still, params, wish, board, steps);
  const seen = observe(circuit);
  if (!seen.ok) return seen;
  const carried = perColour((colour) => Math.max(0, reportOf(seen.value, lampId(colour)).amps));
  const { light, shown } = lightOf(carried);
  const mix: MixSums = {
    board: wish.board,
    table: {
      board: wish.board,
      columns: RGB_COLOURS.map((colour) => wish.pins[colour]),
      rows: [{ steps: RGB_COLOURS.map((colour) => steps[colour]), seconds: 1, fade: false }],
      rounds: 0,
      after: 'stay',
      lowLights: params.common === 'anode',
    },
    colour: wish.colour,
    named: namedSteps(peaks, board),
    shown,
    lamps: RGB_COLOURS.map((colour) => {
      const pin = controllerPin(wish.board, wish.pins[colour])!;
      return {
        colour,
        part: lampId(colour),
        resistor: resistorId(colour),
        pin: pin.number,
        place: pin.place,
        dims: pin.dims,
        step: steps[colour],
        share: steps[colour] / board.steps,
        peak: peaks[colour],
        mean: carried[colour],
        light: light[colour],
      };
    }),
  };
  const finished = finish(
    {
      circuit,
      supply: board.supply,
      sorts: Object.fromEntries(RGB_COLOURS.map((colour) => [lampId(colour), colour])),
      strings: strings.value,
      checkpoints: checkpoints(params, wish, steps),
      held: {},
      seen: seen.value,
      findings: over,
      own: { family: 'mix', mix },
    },
    means,
  );
  if (!finished.ok) return finished;
  return accepted({ ...finished.value, ...(seen.value.kind === 'moving' ? { seen: seen.value } : {}) });
}

/** Steps beyond the board's range, and pins that are asked to dim and cannot; row 0 is the mix itself. */
function stepRefusals(steps: Steps, { pins, board: id }: PulsesWish, board: Controller): Finding[] {
  const used = RGB_COLOURS.map((colour) => pins[colour]);
  for (const colour of RGB_COLOURS) {
    const [step, pin] = [steps[colour], pins[colour]];
    if (step > board.steps) return [finding('step-beyond', { row: 0, pin, step, limit: board.steps })];
    if (step === 0 || step === board.steps || controllerPin(id, pin)!.dims) continue;
    const nearest = nearestPin(board, pin, used, ({ dims }) => dims) ?? 0;
    return [finding('pin-does-not-dim', { row: 0, pin, how: 'dim', nearest })];
  }
  return [];
}

function stringsOf(params: RgbParams, board: Controller, means: Means): Outcome<StringSum[]> {
  const supply = supplyFigures(board.supply);
  const level = params.common === 'cathode' ? 'up' : 'down';
  const found: StringSum[] = [];
  for (const colour of RGB_COLOURS) {
    const sum = lampBehind(
      { part: lampId(colour), type: colour, resistor: resistorId(colour) },
      { volts: 0, ohms: board.ohms, level },
      { supply, amps: params.amps[colour], rounding: params.rounding, values: params.values },
      means,
    );
    if (!sum.ok) return sum;
    found.push(sum.value);
  }
  return accepted(found);
}

function circuitOf(
  params: RgbParams,
  { pins: wired }: PulsesWish,
  board: Controller,
  sums: readonly StringSum[],
  { shelf, style }: Means,
): Circuit {
  const cathode = params.common === 'cathode';
  const nets: BoardNets = cathode ? { minus: MINUS } : { plus: PLUS, minus: MINUS };
  const parts = RGB_COLOURS.flatMap((colour, i): Part[] => {
    const [pin, leg] = [pinLeg(wired[colour]), `${colour} leg`];
    const [from, to] = cathode ? [pin, leg] : [leg, pin];
    const lamp = cathode
      ? lampPart(lampId(colour), leg, MINUS, shelf.lamps[colour])
      : lampPart(lampId(colour), PLUS, leg, shelf.lamps[colour]);
    return [
      resistorPart(resistorId(colour), from, to, sums[i]!.chosen, toleranceOf(style)),
      { ...lamp, body: { id: 'D1', legs: legsOfColour(colour, cathode) } },
      pinPart(board, wired[colour], BOARD, nets, { spells: [], rounds: 1, after: 0 }),
    ];
  });
  return circuitFrom([boardPart(board, nets), ...parts]);
}

/** Every pin at the level that leaves its lamp dark, but for one that lights it. */
function alone({ common }: RgbParams, { pins }: PulsesWish, lit: RgbColour): Held {
  const [on, off] = common === 'cathode' ? [1, 0] : [0, 1];
  return Object.fromEntries(RGB_COLOURS.map((colour) => [pinId(pins[colour]), colour === lit ? on : off]));
}

function peaksOf(circuit: Circuit, params: RgbParams, wish: PulsesWish) {
  return perColour((colour) => {
    const seen = observe(withHeld(circuit, alone(params, wish, colour)));
    return seen.ok ? reportOf(seen.value, lampId(colour)).amps : 0;
  });
}

/** The circuit with every pin switched for the share of its step, or at one of its levels. */
function withSteps(
  circuit: Circuit,
  { common }: RgbParams,
  { pins }: PulsesWish,
  board: Controller,
  steps: Steps,
): Circuit {
  return RGB_COLOURS.reduce((built, colour) => {
    const on = steps[colour] / board.steps;
    const share = common === 'cathode' ? on : 1 - on;
    return withPart(
      built,
      pinId(pins[colour]),
      (part) => withHeld(circuitFrom([part]), { [part.id]: share }).parts[0]!,
    );
  }, circuit);
}

/** Each colour's resistor with that colour alone fully on, and the mean of every pin that is switched. */
function checkpoints(params: RgbParams, wish: PulsesWish, steps: Steps): Checkpoint[] {
  const { steps: full } = CONTROLLERS[wish.board];
  const across = RGB_COLOURS.map((colour): Checkpoint => {
    const part = resistorId(colour);
    return {
      id: part,
      part,
      kind: 'resistor',
      measure: 'volts',
      from: { part, pin: 'a' },
      to: { part, pin: 'b' },
      held: alone(params, wish, colour),
    };
  });
  const switched = RGB_COLOURS.filter((colour) => steps[colour] > 0 && steps[colour] < full);
  const means = switched.map((colour): Checkpoint => {
    const part = pinId(wish.pins[colour]);
    return {
      id: part,
      part,
      kind: 'pin',
      measure: 'meanVolts',
      from: { part, pin: 'pin' },
      to: { part, pin: 'ground' },
    };
  });
  return [...across, ...means];
}
