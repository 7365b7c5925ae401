import { z } from 'zod';
import {
  aimLux,
  beamLux,
  beamSums,
  hushOhms,
  leastLux,
  luxPerAmp,
  nearestFor,
  roomLux,
  switchLux,
  type BeamSums,
  type Hush,
} from '../../answers/beam';
import { HOOD_SHARE, LIGHT_SENSOR, ROOMS, SCENE_LUX } from '../../catalogue/light';
import { supplyFigures } from '../../catalogue/supplies';
import { valuesOf } from '../../catalogue/shelf';
import type { Circuit, PartOf } from '../../circuit/circuit';
import { accepted, finding, refused, type Finding, type Outcome } from '../../findings/finding';
import type { Checkpoint } from '../../observe/checkpoint';
import { withHeld } from '../../observe/held';
import { observe } from '../../observe/observe';
import type { Goal } from '../goal';
import type { Design, Means, Pattern } from '../pattern';
import { bankOf } from '../steady/bank';
import type { LessonSums } from '../steady/figures';
import { circuitFrom, lampPart, MINUS, PLUS, resistorPart } from '../steady/parts';
import { toleranceOf } from '../style';
import { finishTimed, type Factors, type PlannedLesson } from '../timed/finish';
import { timedCheckpoints } from '../timed/checkpoints';
import { planTone, toneParams } from '../tone/tone';
import { sumsIn, timingIn, type SumsOf } from '../family';
import { ampsSchema } from '../wishes';

/** Colours of clear, narrow lamps that a sensor sees about as an eye does. */
export const BEAM_LAMPS = ['white', 'green', 'yellow', 'red'] as const;

export const beamAlarmParams = toneParams.extend({
  beam: z.strictObject({
    lamp: z.enum(BEAM_LAMPS),
    amps: ampsSchema,
    metres: z.number().min(0.02).max(20),
    lens: z.boolean(),
    hood: z.boolean(),
    room: z.enum(ROOMS),
  }),
});
export type BeamAlarmParams = z.output<typeof beamAlarmParams>;

/** With the beam cut: all that the alarm is built for. */
const CUT = { D1: 'cut' } as const;
const RESET = 'hush';

/** The tone with a light sensor that holds it in reset while a lamp shines on it: silent, until somebody cuts the beam. */
export const beamAlarm: Pattern<'beam-alarm', BeamAlarmParams> = {
  id: 'beam-alarm',
  params: beamAlarmParams,
  board: 'half',
  after: ['tone', 'light-switch'],
  defaults: (style) => ({
    supply: { kind: 'block-9v', cells: 1, age: style.age },
    family: 'bipolar',
    amps: 0.015,
    hertz: 880,
    quiet: false,
    beam: { lamp: 'white', amps: 0.01, metres: 0.5, lens: true, hood: true, room: 'room' },
  }),
  design,
  goals,
};

function design(params: BeamAlarmParams, means: Means): Outcome<Design> {
  const made = finishTimed((factors) => plan(params, means, factors), means);
  if (!made.ok) return made;
  const { circuit, sums, findings } = made.value;
  const beam = sumsOf(params, circuit, sums);
  return accepted({
    ...made.value,
    sums: { ...sums, own: { ...sums.own, family: 'beam', beam } as SumsOf<'beam'> },
    findings: [...findings, ...sortFindings(beam)],
  });
}

function hushOf({ family, supply }: BeamAlarmParams): Hush {
  return { family, volts: supplyFigures(supply).volts, sensor: LIGHT_SENSOR };
}

function plan(params: BeamAlarmParams, means: Means, factors: Factors): Outcome<PlannedLesson> {
  const { beam, supply, rounding, values } = params;
  const tone = planTone(params, means, factors, RESET);
  if (!tone.ok) return tone;
  const shining = {
    supply,
    rounding,
    values,
    amps: beam.amps,
    strings: [[beam.lamp]],
    side: 'plus',
  } as const;
  const bank = bankOf(shining, means);
  if (!bank.ok) return bank;
  const sum = { ...bank.value.strings[0]!, resistor: 'R5', alike: ['R5'] };
  const ohms = hushFor(params, means);
  if (!ohms.ok) return ohms;
  const tolerance = toleranceOf(means.style);
  const circuit = circuitFrom([
    ...tone.value.circuit.parts,
    resistorPart('R4', PLUS, RESET, ohms.value, tolerance),
    sensorPart(params),
    resistorPart('R5', PLUS, 'beam', sum.chosen, tolerance),
    lampPart('D1', 'beam', MINUS, means.shelf.lamps[beam.lamp]),
  ]);
  return accepted({
    ...tone.value,
    circuit,
    shown: withHeld(circuit, CUT),
    sorts: { D1: beam.lamp },
    strings: [sum],
    helpers: [...(tone.value.helpers ?? []), { part: 'R4', ohms: ohms.value, job: 'sets-hush' }],
    checkpoints: [...timedCheckpoints(circuit, { by: 'pitch', held: CUT }), ...sensorPoints()],
    held: CUT,
    started: CUT,
  });
}

/** The resistor of the drawer with which the alarm switches nearest to its aim, or why none does. */
function hushFor(params: BeamAlarmParams, { shelf, style }: Means): Outcome<number> {
  const { beam } = params;
  const hush = hushOf(params);
  const cut = roomLux(beam);
  const whole = cut + beamLux(beam);
  const least = leastLux(hush);
  const nearest = nearestFor(beam, EASY * Math.max(MARGIN * cut, least / HALF_WAY));
  if (whole < MARGIN * cut) {
    return refused(finding('beam-too-weak', { whole, cut, metres: beam.metres, nearest }));
  }
  if (whole < least / HALF_WAY) return refused(finding('beam-needs-light', { whole, least, nearest }));
  const aim = aimLux(hush, whole, cut);
  const off = (ohms: number) => {
    const lux = switchLux(hush, ohms);
    return lux !== undefined && lux > cut && lux < whole ? Math.abs(Math.log(lux / aim)) : Infinity;
  };
  const drawer = valuesOf(shelf, params.values ?? style.values);
  const best = drawer.reduce((a, b) => (off(b) < off(a) ? b : a));
  if (off(best) < Infinity) return accepted(best);
  const ohms = hushOhms(hush, aim) ?? Infinity;
  return refused(finding('no-resistor-in-drawer', { ohms, largest: Math.max(...drawer) }));
}

/** The beam must at least double what the sensor sees; what is proposed has a tenth more. */
const MARGIN = 2;
const EASY = 1.1;
/** Below its light with the beam the alarm must switch by so much. */
const HALF_WAY = 0.8;

function sensorPart({ beam }: BeamAlarmParams): PartOf<'ldr'> {
  return {
    id: 'L1',
    kind: 'ldr',
    pins: { a: RESET, b: MINUS },
    params: {
      ...LIGHT_SENSOR,
      lux: SCENE_LUX[beam.room],
      litBy: [{ part: 'D1', luxPerAmp: luxPerAmp(beam) }],
      ...(beam.hood ? { hood: HOOD_SHARE } : {}),
    },
  };
}

/** The reset pin with the beam whole, and cut. */
function sensorPoints(): Checkpoint[] {
  const across = (id: string, measure: 'volts' | 'meanVolts') =>
    ({
      id,
      part: 'L1',
      kind: 'ldr',
      measure,
      from: { part: 'L1', pin: 'a' },
      to: { part: 'L1', pin: 'b' },
    }) as const;
  return [across('L1', 'volts'), { ...across('L1 cut', 'meanVolts'), held: CUT }];
}

function sumsOf(params: BeamAlarmParams, circuit: Circuit, sums: LessonSums): BeamSums {
  const whole = observe(circuit);
  const trim = circuit.parts.find(({ id }) => id === 'R4') as PartOf<'resistor'>;
  const amps = sums.design.lamps.find(({ part }) => part === 'D1')?.amps ?? params.beam.amps;
  return beamSums(hushOf(params), { ...params.beam, amps }, trim.params.ohms, {
    silent: whole.ok && whole.value.kind === 'still',
    sounds: (timingIn(sums)[0]?.hertz ?? 0) > 0,
  });
}

/** Where some sensors of the sort would not do, and what covers them. */
function sortFindings({ switches, whole, cut, range }: BeamSums): Finding[] {
  const inside = (lux: number | undefined) => lux !== undefined && lux > cut.lux && lux < whole.lux;
  if (inside(switches.low) && inside(switches.high)) return [];
  const { low = 0, high = 0, potentiometer = 0 } = range ?? {};
  return [finding('beam-sort', { low, high, pot: potentiometer }, 'warning')];
}

/** Silent while the beam is whole, and heard when it is cut. */
function goals(sums: LessonSums): Goal[] {
  const beam = sumsIn(sums, 'beam')?.beam;
  if (!beam) return [];
  return [
    { code: 'silent-whole', met: beam.observed.silent, parts: ['D1'] },
    { code: 'sounds-cut', met: beam.observed.sounds, parts: ['D1'] },
  ];
}
