import fc from 'fast-check';
import { BEAM_LAMPS } from '@/core/patterns/beamAlarm/beamAlarm';
import {
  CONTROLLER_IDS,
  CONTROLLERS,
  controllerPin,
  LAMP_TYPES,
  MIX_COLOUR_NAMES,
  PULSES_AT_FIRST,
  SCENES,
  SUPPLIES,
  SUPPLY_KINDS,
  type ParamsOf,
  type PatternId,
  type SupplyChoice,
} from '@/core';

const lamp = fc.constantFrom(...LAMP_TYPES);
const amps = fc.double({ min: 1e-3, max: 0.02, noNaN: true });
const supply: fc.Arbitrary<SupplyChoice> = fc
  .record({
    kind: fc.constantFrom(...SUPPLY_KINDS.filter((kind) => kind !== 'bench')),
    cells: fc.integer({ min: 1, max: 8 }),
    age: fc.constantFrom('fresh', 'nominal', 'tired') as fc.Arbitrary<SupplyChoice['age']>,
  })
  .map((s) => ({ ...s, cells: Math.min(s.cells, SUPPLIES[s.kind].cellsMost) }));
const side = fc.constantFrom('plus', 'minus') as fc.Arbitrary<'plus' | 'minus'>;
const count = (min: number, max: number) => fc.integer({ min, max });

const timed = fc.record({
  supply: fc.constantFrom<SupplyChoice>(
    { kind: 'block-9v', cells: 1, age: 'fresh' },
    { kind: 'aa-alkaline', cells: 4, age: 'fresh' },
    { kind: 'usb', cells: 1, age: 'nominal' },
    { kind: 'lead-acid-12v', cells: 1, age: 'tired' },
  ),
  family: fc.constantFrom('bipolar', 'cmos') as fc.Arbitrary<'bipolar' | 'cmos'>,
  amps: fc.double({ min: 1e-3, max: 9e-3, noNaN: true }),
  quiet: fc.boolean(),
});
const seconds = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const also = <T extends object>(more: fc.Arbitrary<T>) =>
  fc.tuple(timed, more).map(([chip, own]) => ({ ...chip, ...own }));

/** A table that asks of no pin what it cannot do: only pins that dim, in steps that the board has. */
const table = fc
  .tuple(
    fc.constantFrom(...CONTROLLER_IDS),
    fc.uniqueArray(fc.integer({ min: 2, max: 15 }), { minLength: 1, maxLength: 5 }),
    fc.array(fc.tuple(fc.array(fc.nat(8), { minLength: 5, maxLength: 5 }), count(1, 60), fc.boolean()), {
      minLength: 1,
      maxLength: 6,
    }),
    fc.boolean(),
  )
  .map(([board, chosen, rows, dimmed]) => {
    const pins = dimmed ? chosen.filter((pin) => controllerPin(board, pin)!.dims) : chosen;
    const columns = pins.length > 0 ? pins : [3];
    const full = CONTROLLERS[board].steps;
    const step = (eighths: number) =>
      dimmed || pins.length === 0 ? Math.round((full * eighths) / 8) : eighths > 3 ? full : 0;
    return {
      board,
      columns,
      rows: rows.map(([steps, tenths, fade]) => ({
        steps: columns.map((_, i) => step(steps[i]!)),
        seconds: tenths / 10,
        fade: fade && dimmed,
      })),
    };
  });

/** Random wishes of every pattern, within what its sentence takes. */
export const WISHES: { readonly [Id in PatternId]: fc.Arbitrary<ParamsOf<Id>> } = {
  single: fc.record({ supply, lamp, amps, side }),
  'coin-light': fc.record({
    lamp,
    copies: count(1, 6),
    cells: count(1, 2),
    age: fc.constantFrom('fresh', 'tired') as fc.Arbitrary<SupplyChoice['age']>,
    resistor: fc.boolean(),
    amps,
  }),
  'walk-down': fc.record({ supply, lamp, steps: count(3, 8) }),
  strings: fc.record({
    supply,
    groups: fc.array(fc.record({ lamp, count: count(1, 4) }), { minLength: 1, maxLength: 3 }),
    amps,
    way: fc.constantFrom(
      { kind: 'best' } as const,
      { kind: 'own' } as const,
      { kind: 'strings', length: 2 } as const,
      { kind: 'strings', length: 3 } as const,
      { kind: 'shared' } as const,
    ),
    side,
  }),
  hogging: fc.record({
    lamps: fc.array(lamp, { minLength: 2, maxLength: 6 }),
    volts: fc.double({ min: 3, max: 12, noNaN: true }),
    limitAmps: fc.double({ min: 2e-3, max: 0.02, noNaN: true }),
  }),
  dimmer: fc.record({
    supply,
    lamp,
    amps,
    lowAmps: fc.double({ min: 5e-5, max: 5e-4, noNaN: true }),
    position: fc.double({ min: 0, max: 1, noNaN: true }),
  }),
  rgb: fc.record({
    supply,
    common: fc.constantFrom('cathode', 'anode') as fc.Arbitrary<'cathode' | 'anode'>,
    drive: fc.constantFrom('fixed', 'potentiometer', 'pulses') as fc.Arbitrary<
      'fixed' | 'potentiometer' | 'pulses'
    >,
    pulses: fc.constantFrom(...MIX_COLOUR_NAMES).map((colour) => ({ ...PULSES_AT_FIRST, colour })),
    resistors: fc.constantFrom('own', 'shared') as fc.Arbitrary<'own' | 'shared'>,
    amps: fc.record({ red: amps, green: amps, blue: amps }),
    knobs: fc.constant({ red: 0, green: 0.5, blue: 1 }),
  }),
  gauge: fc.record({
    supply: fc.constant<SupplyChoice>({ kind: 'lead-acid-12v', cells: 1, age: 'fresh' }),
    rungs: fc.array(fc.record({ lamp, volts: fc.double({ min: 7.5, max: 12.7, noNaN: true }) }), {
      minLength: 2,
      maxLength: 6,
    }),
    amps,
  }),
  panel: fc.record({
    supply,
    rows: count(1, 3),
    columns: count(2, 8),
    lamp,
    amps: fc.double({ min: 1e-3, max: 6e-3, noNaN: true }),
    batch: count(1, 8),
  }),
  'lamp-cover': fc.record({ count: count(3, 18), lamp, amps }),
  blink: also(fc.record({ lamp, on: seconds(0.2, 5), off: seconds(0.2, 5) })),
  'blink-simple': also(
    fc.record({ lamp, second: fc.option(lamp, { nil: undefined }), seconds: seconds(0.3, 6) }),
  ),
  'one-shot': also(fc.record({ lamp, seconds: seconds(1, 60) })),
  alternate: also(fc.record({ lamps: fc.tuple(lamp, lamp), flash: seconds(0.35, 1), flashes: count(3, 8) })),
  chain: also(
    fc.record({
      lamps: fc.tuple(lamp, lamp, lamp),
      seconds: fc.tuple(seconds(1, 3), seconds(1, 3), seconds(1, 3)),
    }),
  ),
  'light-switch': fc
    .record({
      supply,
      lamp,
      amps,
      lit: fc.constantFrom(...SCENES),
      dark: fc.constantFrom(...SCENES),
      power: fc.option(lamp, { nil: undefined }),
      madeFor: fc.option(fc.constantFrom(5 as const, 9 as const, 12 as const), { nil: undefined }),
    })
    .filter(({ lit, dark }) => lit !== dark),
  pulsed: fc.record({
    lamp,
    amps: fc.double({ min: 1e-3, max: 8e-3, noNaN: true }),
    volts: fc.double({ min: 3, max: 12, noNaN: true }),
    hertz: fc.double({ min: 0.5, max: 2e5, noNaN: true }),
    duty: fc.double({ min: 0.1, max: 0.9, noNaN: true }),
    ohms: fc.double({ min: 0, max: 50, noNaN: true }),
    cell: fc.constantFrom('aa-nimh', 'aa-alkaline', 'aaa-alkaline') as fc.Arbitrary<'aa-nimh'>,
  }),
  sequence: fc
    .tuple(
      table,
      fc.record({
        common: fc.constantFrom('minus', 'plus') as fc.Arbitrary<'minus' | 'plus'>,
        resistors: fc.constantFrom('own', 'shared') as fc.Arbitrary<'own' | 'shared'>,
        amps: fc.double({ min: 1e-3, max: 1e-2, noNaN: true }),
        rounds: fc.integer({ min: 0, max: 5 }),
        after: fc.constantFrom('off', 'stay') as fc.Arbitrary<'off' | 'stay'>,
      }),
      fc.array(lamp, { minLength: 5, maxLength: 5 }),
    )
    .map(([program, rest, lamps]) => ({
      ...program,
      ...rest,
      lamps: program.columns.map((pin, i) => ({ pin, lamp: lamps[i]! })),
    })),
  'dusk-controller': fc
    .record({
      board: fc.constantFrom(...CONTROLLER_IDS),
      lamp,
      amps: fc.double({ min: 1e-3, max: 9e-3, noNaN: true }),
      lights: fc.uniqueArray(fc.constantFrom(...SCENES), { minLength: 2, maxLength: 2 }),
      pins: fc.record({ lamp: count(2, 11), reads: count(12, 15) }),
      hysteresis: count(0, 40),
    })
    .map(({ lights, ...rest }) => ({ ...rest, lit: lights[0]!, dark: lights[1]! })),
  'beam-alarm': also(
    fc.record({
      hertz: fc.double({ min: 200, max: 2000, noNaN: true }),
      beam: fc.record({
        lamp: fc.constantFrom(...BEAM_LAMPS),
        amps: fc.double({ min: 4e-3, max: 0.015, noNaN: true }),
        metres: fc.double({ min: 0.1, max: 1, noNaN: true }),
        lens: fc.boolean(),
        hood: fc.boolean(),
        room: fc.constantFrom('dusk', 'room', 'classroom') as fc.Arbitrary<'dusk' | 'room' | 'classroom'>,
      }),
    }),
  ),
  'sound-lights': fc
    .record({
      supply: fc.constantFrom<SupplyChoice>(
        { kind: 'block-9v', cells: 1, age: 'fresh' },
        { kind: 'block-9v', cells: 1, age: 'nominal' },
        { kind: 'lead-acid-12v', cells: 1, age: 'nominal' },
        { kind: 'aa-alkaline', cells: 6, age: 'fresh' },
      ),
      lamps: fc.record({ low: lamp, middle: lamp, high: lamp }),
      amps: fc.double({ min: 4e-3, max: 0.015, noNaN: true }),
      level: fc.double({ min: 0.1, max: 0.8, noNaN: true }),
      low: fc.double({ min: 120, max: 500, noNaN: true }),
      apart: fc.double({ min: 5, max: 10, noNaN: true }),
    })
    .map(({ low, apart, ...rest }) => ({ ...rest, bounds: { low, high: Math.max(600, low * apart) } })),
  tone: also(fc.record({ hertz: fc.double({ min: 100, max: 2000, noNaN: true }) })),
};
