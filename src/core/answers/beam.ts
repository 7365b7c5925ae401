import {
  BEAM,
  HOOD_SHARE,
  LIGHT_SENSOR_SPREAD,
  ROOMS,
  lightSensorOhms,
  luxAtOhms,
  SCENE_LUX,
  type LightSensorFigures,
  type Scene,
} from '../catalogue/light';
import { POTENTIOMETERS } from '../catalogue/potentiometers';
import { neighbours } from '../catalogue/preferred';
import { RESET_QUIET_VOLTS, RESET_VOLTS, TIMERS, type TimerFamily } from '../catalogue/timers';
import type { Amps, Lux, Metres, Ohms, Volts } from '../quantities/units';

/** A lamp that shines on a sensor from afar, and what is in the way of other light. */
export interface BeamWish {
  readonly amps: Amps;
  readonly metres: Metres;
  readonly lens: boolean;
  readonly hood: boolean;
  readonly room: Scene;
}

/** A chip that a sensor towards minus keeps in reset, with a resistor towards plus at the same pin. */
export interface Hush {
  readonly family: TimerFamily;
  readonly volts: Volts;
  readonly sensor: LightSensorFigures;
}

/** The sensor with the beam on it or without, and the reset pin that hangs on it. */
export interface BeamState {
  readonly lux: Lux;
  readonly ohms: Ohms;
  readonly volts: Volts;
}

/** What the beam does in one room, with a hood over the sensor or without. */
export interface BeamRow {
  readonly room: Scene;
  readonly hood: boolean;
  readonly whole: BeamState;
  readonly cut: BeamState;
  /** Silent while the beam is whole, and loud when it is cut. */
  readonly works: boolean;
}

export interface BeamSums extends BeamWish {
  readonly sensor: string;
  readonly trim: string;
  readonly trimOhms: Ohms;
  readonly lamp: string;
  readonly whole: BeamState;
  readonly cut: BeamState;
  /** Half way, by ratio, between the two lights, or the least that the chip's own reset current leaves to switch at. */
  readonly aimLux: Lux;
  /** Below this light the alarm sounds: with the sensor as named, and at either end of its sort. */
  readonly switches: { readonly typical?: Lux; readonly low?: Lux; readonly high?: Lux };
  /** What the resistor would have to be for any sensor of the sort to switch at the aim. */
  readonly range?: { readonly low: Ohms; readonly high: Ohms; readonly potentiometer?: Ohms };
  /** As far as the beam reaches before the alarm sounds by itself. */
  readonly reach?: Metres;
  readonly rows: readonly BeamRow[];
  /** As observed on the whole circuit. */
  readonly observed: { readonly silent: boolean; readonly sounds: boolean };
}

/** Lux on the sensor from the lamp alone: candela over the square of the distance. */
export function beamLux({ amps, metres, lens }: Omit<BeamWish, 'room' | 'hood'>): Lux {
  return luxPerAmp({ metres, lens }) * amps;
}

/** Lux on the sensor an amp of the lamp. */
export function luxPerAmp({ metres, lens }: Pick<BeamWish, 'metres' | 'lens'>): number {
  return (BEAM.candelaPerAmp * (lens ? BEAM.lens : 1)) / metres ** 2;
}

/** Lux on the sensor from the room. */
export function roomLux({ room, hood }: Pick<BeamWish, 'room' | 'hood'>): Lux {
  return SCENE_LUX[room] * (hood ? HOOD_SHARE : 1);
}

/**
 * Volts of a reset pin with a resistor to plus, a sensor to minus, and the current that the bipolar chip gives out there
 * while it is held low: all of it below 0.7 V, none from 1.0 V on, a straight line between.
 */
export function resetVolts({ family, volts }: Omit<Hush, 'sensor'>, up: Ohms, down: Ohms): Volts {
  const given = TIMERS[family].resetAmps;
  const [through, both] = [volts / up, 1 / up + 1 / down];
  const free = through / both;
  if (free >= RESET_QUIET_VOLTS) return free;
  const held = (through + given) / both;
  if (held <= RESET_VOLTS) return held;
  const slope = given / (RESET_QUIET_VOLTS - RESET_VOLTS);
  return (through + slope * RESET_QUIET_VOLTS) / (both + slope);
}

/** Ohms of the sensor at which the chip is let go, with so many to plus. */
function switchOhms({ family, volts }: Omit<Hush, 'sensor'>, up: Ohms): Ohms {
  return RESET_VOLTS / ((volts - RESET_VOLTS) / up + TIMERS[family].resetAmps);
}

/** Below this light the chip is let go. */
export function switchLux(hush: Hush, up: Ohms): Lux | undefined {
  return luxAtOhms(hush.sensor, switchOhms(hush, up));
}

/** Ohms to plus with which the chip is let go at a light; undefined where its own reset current lets it go before. */
export function hushOhms({ family, volts, sensor }: Hush, lux: Lux): Ohms | undefined {
  const amps = RESET_VOLTS / lightSensorOhms(sensor, lux) - TIMERS[family].resetAmps;
  return amps > 0 ? (volts - RESET_VOLTS) / amps : undefined;
}

/** Share of the sensor's greatest ohms that still hold a chip in reset which a resistor can be chosen for. */
const HOLDS = 0.8;

/** The least light in which any sensor of the sort holds the chip in reset; none for a chip without a reset current. */
export function leastLux({ family, sensor }: Pick<Hush, 'family' | 'sensor'>): Lux {
  const given = TIMERS[family].resetAmps;
  const weakest = { ...sensor, r10: sensor.r10 * LIGHT_SENSOR_SPREAD };
  return given > 0 ? (luxAtOhms(weakest, (HOLDS * RESET_VOLTS) / given) ?? 0) : 0;
}

/** Where the alarm should switch: between the sensor's two lights. */
export function aimLux(hush: Hush, whole: Lux, cut: Lux): Lux {
  return Math.max(Math.sqrt(whole * cut), leastLux(hush));
}

/** All that is said of a beam and its alarm. */
export function beamSums(
  hush: Hush,
  wish: BeamWish,
  trimOhms: Ohms,
  observed: BeamSums['observed'],
): BeamSums {
  const stateAt = (lux: Lux): BeamState => {
    const ohms = lightSensorOhms(hush.sensor, lux);
    return { lux, ohms, volts: resetVolts(hush, trimOhms, ohms) };
  };
  const rowOf = (room: Scene, hood: boolean): BeamRow => {
    const cut = stateAt(roomLux({ room, hood }));
    const whole = stateAt(cut.lux + beamLux(wish));
    return { room, hood, whole, cut, works: whole.volts < RESET_VOLTS && cut.volts > RESET_VOLTS };
  };
  const { whole, cut } = rowOf(wish.room, wish.hood);
  const aim = aimLux(hush, whole.lux, cut.lux);
  const { r10: named } = hush.sensor;
  const ends = [named / LIGHT_SENSOR_SPREAD, named * LIGHT_SENSOR_SPREAD].map((r10) => ({
    ...hush,
    sensor: { ...hush.sensor, r10 },
  }));
  const [low, high] = ends.map((end) => switchLux(end, trimOhms));
  const typical = switchLux(hush, trimOhms);
  const range = rangeOf(ends.map((end) => hushOhms(end, aim)));
  const reach = typical === undefined ? undefined : reachOf(wish, typical - cut.lux);
  return {
    ...wish,
    sensor: 'L1',
    trim: 'R4',
    trimOhms,
    lamp: 'D1',
    whole,
    cut,
    aimLux: aim,
    switches: {
      ...(typical === undefined ? {} : { typical }),
      ...(low === undefined ? {} : { low }),
      ...(high === undefined ? {} : { high }),
    },
    ...(range ? { range } : {}),
    ...(reach === undefined ? {} : { reach }),
    rows: ROOMS.flatMap((room) => [rowOf(room, true), rowOf(room, false)]),
    observed,
  };
}

function rangeOf(ohms: readonly (Ohms | undefined)[]): BeamSums['range'] {
  const known = ohms.filter((value) => value !== undefined);
  if (known.length < ohms.length) return undefined;
  const [low, high] = [Math.min(...known), Math.max(...known)];
  const potentiometer = neighbours(POTENTIOMETERS, high).up;
  return { low, high, ...(potentiometer === undefined ? {} : { potentiometer }) };
}

/** The distance at which the lamp leaves so many lux on the sensor. */
function reachOf({ amps, lens }: Pick<BeamWish, 'amps' | 'lens'>, lux: Lux): Metres | undefined {
  return lux > 0 ? Math.sqrt(beamLux({ amps, lens, metres: 1 }) / lux) : undefined;
}

/** The greatest distance at which the beam leaves so many lux beside those of the room. */
export function nearestFor(wish: BeamWish, whole: Lux): Metres {
  return reachOf(wish, whole - roomLux(wish)) ?? 0;
}
