import { CONTROLLERS, type ControllerId } from '../catalogue/controllers';
import {
  LIGHT_SENSOR_SPREAD,
  lightSensorOhms,
  luxAtOhms,
  SCENE_LUX,
  SCENES,
  type LightSensorFigures,
  type Scene,
} from '../catalogue/light';
import { POTENTIOMETERS } from '../catalogue/potentiometers';
import type { Lux, Ohms, Volts } from '../quantities/units';
import type { TrimRange } from './trim';

/** What a controller reads in one light. */
export interface ReadingRow {
  readonly scene: Scene;
  readonly ohms: Ohms;
  readonly volts: Volts;
  readonly counts: number;
}

/** A program that lights a lamp by a reading: its thresholds in counts, and the light that they are. */
export interface RuleSums {
  readonly board: ControllerId;
  readonly way: 'dark-on' | 'light-on';
  readonly sensor: string;
  readonly trim: string;
  readonly trimOhms: Ohms;
  readonly lamp: {
    readonly part: string;
    readonly resistor: string;
    readonly pin: number;
    readonly place: number;
  };
  readonly reads: { readonly pin: number; readonly place: number };
  /** Between the readings of the two scenes; given, or half way. */
  readonly threshold: number;
  readonly given: boolean;
  /** Counts between going on and going off. */
  readonly hysteresis: number;
  /** The counts, and the light, at which it goes on and goes off. */
  readonly on: { readonly counts: number; readonly lux?: Lux };
  readonly off: { readonly counts: number; readonly lux?: Lux };
  readonly rows: readonly ReadingRow[];
}

/** Share of the rail at a reading pin between a sensor towards the rail and a resistor towards ground. */
export function readShare(sensor: LightSensorFigures, trim: Ohms, lux: Lux): number {
  return trim / (trim + lightSensorOhms(sensor, lux));
}

/** The counts of a board’s reading: whole ones, as it gives them. */
export function countsIn(board: ControllerId, share: number): number {
  return Math.floor(share * CONTROLLERS[board].counts + 1e-9);
}

/** The light at which a reading is so many counts; none beyond what the sensor follows. */
export function luxAtCounts(
  sensor: LightSensorFigures,
  trim: Ohms,
  board: ControllerId,
  counts: number,
): Lux | undefined {
  const share = counts / CONTROLLERS[board].counts;
  return share > 0 && share < 1 ? luxAtOhms(sensor, trim * (1 / share - 1)) : undefined;
}

/** The resistor that lets two lights read furthest apart: half way, by ratio, between the sensor’s ohms there. */
export function trimFor(sensor: LightSensorFigures, one: Lux, other: Lux): Ohms {
  return Math.sqrt(lightSensorOhms(sensor, one) * lightSensorOhms(sensor, other));
}

export function readingRows(sensor: LightSensorFigures, trim: Ohms, board: ControllerId): ReadingRow[] {
  return SCENES.map((scene) => {
    const share = readShare(sensor, trim, SCENE_LUX[scene]);
    return {
      scene,
      ohms: lightSensorOhms(sensor, SCENE_LUX[scene]),
      volts: share * CONTROLLERS[board].volts,
      counts: countsIn(board, share),
    };
  });
}

/** The sensor of the sort with the fewest and the most ohms. */
export function sortOf(sensor: LightSensorFigures): readonly [LightSensorFigures, LightSensorFigures] {
  return [
    { ...sensor, r10: sensor.r10 / LIGHT_SENSOR_SPREAD },
    { ...sensor, r10: sensor.r10 * LIGHT_SENSOR_SPREAD },
  ];
}

/** The trim that lets any sensor of the sort read the same in the same light: it goes with the sensor’s ohms. */
export function ruleTrim(trim: Ohms): TrimRange {
  const [low, high] = [trim / LIGHT_SENSOR_SPREAD, trim * LIGHT_SENSOR_SPREAD];
  const ohms = [...POTENTIOMETERS].sort((a, b) => a - b).find((value) => value >= high);
  return {
    typical: trim,
    low,
    high,
    ...(ohms === undefined ? {} : { potentiometer: { ohms, from: low / ohms, to: high / ohms } }),
  };
}
