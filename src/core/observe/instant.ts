import { isKind, type Circuit, type PartOf } from '../circuit/circuit';
import { sourceOf } from '../circuit/source';
import { RESET_VOLTS } from '../catalogue/timers';
import type { Amps, Seconds, Volts } from '../quantities/units';
import { type Look, lookAt } from './looks';
import type { Moving } from './observation';

/** What one pin of a chip sees or does at an instant. */
export interface PinNow {
  readonly pin: 'threshold' | 'trigger' | 'reset' | 'discharge' | 'output' | 'control';
  /** Its number on the chip. */
  readonly number: number;
  readonly volts: Volts;
  /** What it is compared with, where it is; the rail for the output. */
  readonly against?: Volts;
  /** Whether it does something now: turns the output off or on, holds it down, empties the capacitor, stands up. */
  readonly acts: boolean;
}

/** One chip at an instant. */
export interface ChipNow {
  readonly chip: string;
  readonly up: boolean;
  readonly outputVolts: Volts;
  /** Out of the output; negative into it. */
  readonly amps: Amps;
  /** The capacitor at its threshold pin: what it stands at, which way it goes, and the volts at which the chip turns over. */
  readonly capacitor?: {
    readonly part: string;
    readonly volts: Volts;
    readonly way: 'fills' | 'empties' | 'rests';
    readonly toward: Volts;
  };
  /** Until its output next goes up or down, where the run shows it. */
  readonly next?: Seconds;
  readonly pins: readonly PinNow[];
}

export interface LampNow {
  readonly part: string;
  readonly amps: Amps;
  readonly look: Look;
}

/** A build that moves, at one instant of its run. */
export interface Instant {
  readonly time: Seconds;
  readonly chips: readonly ChipNow[];
  readonly lamps: readonly LampNow[];
  /** What gives pulses, where something does. */
  readonly source?: { readonly part: string; readonly volts: Volts };
}

/** What is so at an instant of a run, between its samples in a straight line. */
export function instantOf({ circuit, run }: Pick<Moving, 'circuit' | 'run'>, time: Seconds): Instant {
  const at = placeOf(run.time, time);
  const read = (values: Float64Array | undefined) => (values ? between(values, at) : 0);
  const volts = (net: string | undefined) => read(net === undefined ? undefined : run.nodes[net]);
  const chips = circuit.parts.flatMap((part) => (isKind(part, 'timer') ? [part] : []));
  const lamps = circuit.parts.flatMap((part) => (isKind(part, 'led') ? [part] : []));
  const source = sourceOf(circuit);
  const pulses = source?.kind === 'signal' ? source : undefined;
  return {
    time,
    ...(pulses
      ? { source: { part: pulses.id, volts: volts(pulses.pins['plus']) - volts(pulses.pins['minus']) } }
      : {}),
    chips: chips.map((chip): ChipNow => {
      const output = chip.pins['output']!;
      const before = run.events.filter((event) => event.output === output && event.time <= time);
      const next = run.events.find((event) => event.output === output && event.time > time);
      const up =
        before[before.length - 1]?.high ??
        (next ? !next.high : volts(output) > volts(chip.pins['supply']) / 2);
      const held = capacitorAt(circuit, chip);
      const slope = held ? slopeOf(run.nodes[held.net]!, run.time, at) : 0;
      const pins = pinsOf(chip, volts, up);
      const turn = (pin: PinNow['pin']) => pins.find((one) => one.pin === pin)!.against!;
      return {
        chip: chip.id,
        up,
        outputVolts: volts(output) - volts(chip.pins['ground']),
        amps: read(run.parts[chip.id]?.amps),
        ...(held
          ? {
              capacitor: {
                part: held.id,
                volts: volts(held.net),
                way: slope > STILL ? 'fills' : slope < -STILL ? 'empties' : 'rests',
                toward: slope > 0 ? turn('threshold') : turn('trigger'),
              },
            }
          : {}),
        ...(next ? { next: next.time - time } : {}),
        pins,
      };
    }),
    lamps: lamps.map(({ id, params }) => {
      const amps = Math.max(0, read(run.parts[id]?.amps));
      return { part: id, amps, look: lookAt(amps, params.maxAmps) };
    }),
  };
}

/** Volts a second below which a capacitor is said to rest. */
const STILL = 1e-4;

interface Place {
  readonly index: number;
  readonly share: number;
}

/** The last sample at or before a time, and how far on to the next; at a switching the one after it. */
function placeOf(times: Float64Array, time: Seconds): Place {
  let [low, high] = [0, times.length - 1];
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if (times[middle]! <= time) low = middle;
    else high = middle - 1;
  }
  const next = Math.min(low + 1, times.length - 1);
  const length = times[next]! - times[low]!;
  return { index: low, share: length > 0 ? (time - times[low]!) / length : 0 };
}

function between(values: Float64Array, { index, share }: Place): number {
  const next = values[Math.min(index + 1, values.length - 1)]!;
  return values[index]! + Math.min(1, Math.max(0, share)) * (next - values[index]!);
}

function slopeOf(values: Float64Array, times: Float64Array, { index }: Place): number {
  const next = Math.min(index + 1, values.length - 1);
  const seconds = times[next]! - times[index]!;
  return seconds > 0 ? (values[next]! - values[index]!) / seconds : 0;
}

/** The capacitor that hangs on a chip's threshold pin. */
export function capacitorAt(
  { parts }: Circuit,
  chip: PartOf<'timer'>,
): { readonly id: string; readonly net: string } | undefined {
  const net = chip.pins['threshold']!;
  const held = parts.find((part) => isKind(part, 'capacitor') && Object.values(part.pins).includes(net));
  return held && { id: held.id, net };
}

const NUMBERS: Readonly<Record<PinNow['pin'], number>> = {
  trigger: 2,
  output: 3,
  reset: 4,
  control: 5,
  threshold: 6,
  discharge: 7,
};

function pinsOf(
  { pins }: PartOf<'timer'>,
  volts: (net: string | undefined) => number,
  up: boolean,
): PinNow[] {
  const ground = volts(pins['ground']);
  const over = (pin: string) => volts(pins[pin]) - ground;
  const supply = over('supply');
  const upper = pins['control'] === undefined ? (2 / 3) * supply : over('control');
  const pin = (name: PinNow['pin'], against: number | undefined, acts: boolean): PinNow => ({
    pin: name,
    number: NUMBERS[name],
    volts: over(name),
    ...(against === undefined ? {} : { against }),
    acts,
  });
  const held = over('reset') < RESET_VOLTS;
  return [
    pin('threshold', upper, over('threshold') > upper),
    pin('trigger', upper / 2, over('trigger') < upper / 2),
    pin('reset', RESET_VOLTS, held),
    ...(pins['discharge'] === undefined ? [] : [pin('discharge', undefined, !up)]),
    pin('output', supply, up),
    ...(pins['control'] === undefined ? [] : [pin('control', undefined, false)]),
  ];
}
