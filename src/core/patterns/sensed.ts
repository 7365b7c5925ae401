import type { LightSums } from '../answers/lampInLight';
import { LIGHT_SENSOR, SCENE_LUX, type LightSensorFigures, type Scene } from '../catalogue/light';
import { finding, type Finding } from '../findings/finding';
import type { Ohms } from '../quantities/units';
import type { Goal } from './goal';

/** Two scenes of one wish, and the sensor as it was measured in them. */
export interface TwoLights {
  readonly lit: Scene;
  readonly dark: Scene;
  readonly sensor?: { readonly lit: Ohms; readonly dark: Ohms } | undefined;
}

/** Why two scenes are no wish, or two readings no sensor. */
export function sensorRefusals({ lit, dark, sensor }: TwoLights): Finding[] {
  if (lit === dark) return [finding('same-light', { scene: lit })];
  const darker = SCENE_LUX[lit] < SCENE_LUX[dark] ? 'lit' : 'dark';
  const lighter = darker === 'lit' ? 'dark' : 'lit';
  // A sensor has more ohms where there is less light.
  if (sensor && sensor[darker] <= sensor[lighter])
    return [finding('sensor-backwards', { dark: sensor[darker], light: sensor[lighter] })];
  return [];
}

/** The sensor of the table, or the one that was measured: two readings give its ohms at ten lux and its slope. */
export function lightSensorFigures({ lit, dark, sensor }: TwoLights): LightSensorFigures {
  if (!sensor) return LIGHT_SENSOR;
  const [a, b] = [SCENE_LUX[lit], SCENE_LUX[dark]];
  const gamma = -Math.log(sensor.lit / sensor.dark) / Math.log(a / b);
  const r10 = sensor.lit * (a / 10) ** gamma;
  return { ...LIGHT_SENSOR, gamma, r10, dark: Math.max(LIGHT_SENSOR.dark, r10 * 100) };
}

/** Ohms that the measured sensor has in a scene, to three digits; as the table has it where both readings are of one light. */
export function measuredIn(params: TwoLights, scene: Scene): Ohms {
  const figures = params.lit === params.dark ? LIGHT_SENSOR : lightSensorFigures(params);
  const ohms = figures.r10 * (SCENE_LUX[scene] / 10) ** -figures.gamma;
  return Math.min(1e7, Math.max(50, Number(ohms.toPrecision(3))));
}

/** Where some sensors of the sort would not do what is wished, and what covers them. */
export function sensorFindings(light: LightSums): Finding[] {
  const { switches, range, lit, dark } = light;
  const [least, most] = [SCENE_LUX[lit], SCENE_LUX[dark]].sort((a, b) => a - b) as [number, number];
  const inside = (lux: number | undefined) => lux !== undefined && lux > least && lux < most;
  if (inside(switches.low) && inside(switches.high)) return [];
  if (!range) return [];
  return [
    finding(
      'sensors-differ',
      { low: range.low, high: range.high, pot: range.potentiometer?.ohms ?? 0 },
      'warning',
    ),
  ];
}

/** Lit in the one scene, dark in the other. */
export function lightGoals(light: LightSums | undefined): Goal[] {
  if (!light) return [];
  const look = (scene: LightSums['lit']) => light.scenes.find((row) => row.scene === scene)!;
  return [
    { code: 'lit-in', scene: light.lit, met: look(light.lit).brightness !== 'dark', parts: ['D1'] },
    { code: 'dark-in', scene: light.dark, met: look(light.dark).amps < 2e-4, parts: ['D1'] },
  ];
}
