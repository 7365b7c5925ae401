import type { Lux, Ohms } from '../quantities/units';

/** A light-dependent resistor: r10 at 10 lux, falling with the power gamma, between two limits. */
export interface LightSensorFigures {
  readonly r10: Ohms;
  readonly gamma: number;
  readonly dark: Ohms;
  readonly min: Ohms;
}

export const LIGHT_SENSOR: LightSensorFigures = { r10: 15e3, gamma: 0.7, dark: 1e6, min: 100 };

/** r10 lies between nominal over this and nominal times this, evenly by ratio. */
export const LIGHT_SENSOR_SPREAD = 1.5;

/** Ohms in a light. Source: the power law of cadmium-sulphide cells, good from about 1 to 1000 lux. */
export function lightSensorOhms({ r10, gamma, dark, min }: LightSensorFigures, lux: Lux): Ohms {
  return Math.min(dark, Math.max(min, r10 * (lux / 10) ** -gamma));
}

/** The ohms of a sensor tell the light on it, between its limits. */
export function luxAtOhms({ r10, gamma, dark, min }: LightSensorFigures, ohms: Ohms): Lux | undefined {
  return ohms > min && ohms < dark ? 10 * (ohms / r10) ** (-1 / gamma) : undefined;
}

/** A lamp as a beam: candela an amp of a clear, narrow one (8 cd at 20 mA), and what a lens before it gathers. Assumed. */
export const BEAM = { candelaPerAmp: 400, lens: 10 } as const;

/** Share of the room's light that reaches a sensor under a tube or hood that looks at the lamp. Assumed. */
export const HOOD_SHARE = 0.05;

export const SCENES = ['hood', 'dusk', 'room', 'classroom', 'window', 'torch'] as const;
export type Scene = (typeof SCENES)[number];

/** Scenes that are a room, of one or another light. */
export const ROOMS = ['dusk', 'room', 'classroom', 'window'] as const satisfies readonly Scene[];

/** How bright it is, in lux: under a hood, at dusk, by a lamp, in class, at a window, by a torch at 10 cm. */
export const SCENE_LUX: Readonly<Record<Scene, Lux>> = {
  hood: 0.1,
  dusk: 5,
  room: 150,
  classroom: 400,
  window: 2000,
  torch: 5000,
};
