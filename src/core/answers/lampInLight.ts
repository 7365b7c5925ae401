import { brightnessAt, type Brightness } from '../catalogue/brightness';
import { lightSensorOhms, SCENE_LUX, SCENES, type Scene } from '../catalogue/light';
import { POTENTIOMETERS } from '../catalogue/potentiometers';
import { isKind, partOf, withPart, type Circuit, type PartOf } from '../circuit/circuit';
import { deviceOf } from '../circuit/deviceOf';
import { withHeld } from '../observe/held';
import { observe, reportOf } from '../observe/observe';
import type { Amps, Lux, Metres, Ohms } from '../quantities/units';
import { sweep } from '../solver/sweep';
import { seek } from './seek';
import { trimRange, type TrimRange } from './trim';

/** What a lamp does in one of the scenes. */
export interface SceneRow {
  readonly scene: Scene;
  readonly lux: Lux;
  /** Of the sensor then. */
  readonly ohms: Ohms;
  readonly amps: Amps;
  readonly brightness: Brightness;
}

/** How a lamp follows the light on a sensor. */
export interface LightSums {
  readonly way: 'dark-on' | 'light-on';
  /** Where the lamp is wished to be lit, and where dark. */
  readonly lit: Scene;
  readonly dark: Scene;
  readonly sensor: string;
  readonly trim: string;
  /** What the lamp’s current passes before it. */
  readonly through?: readonly string[];
  /** Half way between the two scenes, by ratio: where it should switch. */
  readonly aimLux: Lux;
  /** Where the lamp carries half of what it is wished to, with the sensor as named and at either end of its sort. */
  readonly switches: { readonly typical?: Lux; readonly low?: Lux; readonly high?: Lux };
  /** What the lamp leaves of light on its own sensor while it is lit, where that sees it. */
  readonly own?: OwnLight;
  /** What the trim would have to be for any sensor of the sort to switch at the aim. */
  readonly range?: TrimRange;
  readonly scenes: readonly SceneRow[];
  /** Lamp current along the light, on a logarithmic scale; left out in brief. */
  readonly curve?: { readonly lux: readonly Lux[]; readonly amps: readonly Amps[] };
}

/** A lamp that its own sensor sees. */
export interface OwnLight {
  readonly metres: Metres;
  readonly luxPerAmp: number;
  /** What it adds while it is lit. */
  readonly lux: Lux;
  /** Of one that light lights: the light of the room below which it goes out again, though it holds itself lit. */
  readonly offLux?: Lux;
}

/** Lux between which a circuit is looked at. */
export const LUX = { low: 0.05, high: 10_000 } as const;
const STEPS = 97;

export interface LightWish {
  readonly lit: Scene;
  readonly dark: Scene;
  /** Half of the lamp's wished current. */
  readonly half: Amps;
}

/** The light half way between two scenes, by ratio. */
export function aimOf({ lit, dark }: Pick<LightWish, 'lit' | 'dark'>): Lux {
  return Math.sqrt(SCENE_LUX[lit] * SCENE_LUX[dark]);
}

/** The circuit as it is with so much light on its sensor, its lamp's current as its one check. */
export function inLight(circuit: Circuit, lux: Lux): Circuit {
  const checks = [{ id: 'lamp', measure: 'amps', part: 'D1' }] as const;
  return {
    ...withPart(circuit, 'L1', (part) =>
      isKind(part, 'ldr') ? { ...part, params: { ...part.params, lux } } : part,
    ),
    checks,
  };
}

/** How the lamp of a finished circuit follows the light. */
export function lightSums(circuit: Circuit, wish: LightWish, brief: boolean | undefined): LightSums {
  const { lit, dark, half } = wish;
  const aimLux = aimOf(wish);
  const sensor = partOf(circuit, 'L1') as PartOf<'ldr'>;
  const { low, high } = deviceOf(sensor).spreads(sensor.params)[0]!;
  const [typical, darker, brighter] = [sensor.params.r10, low, high].map((r10) =>
    switchLux(circuit, r10, wish),
  );
  const check = { id: 'lamp', measure: 'amps', part: 'D1' } as const;
  // One that holds itself lit has no single light that a trim could be set for.
  const holds = holdsItself(circuit, wish);
  const range =
    brief || holds ? undefined : trimRange(inLight(circuit, aimLux), 'L1', 'R2', check, half, POTENTIOMETERS);
  const along = { part: 'L1', field: 'lux', from: LUX.low, to: LUX.high, steps: STEPS, log: true };
  const curve = brief ? undefined : sweep(circuit, along);
  return {
    way: SCENE_LUX[lit] < SCENE_LUX[dark] ? 'dark-on' : 'light-on',
    lit,
    dark,
    sensor: 'L1',
    trim: 'R2',
    aimLux,
    switches: {
      ...(typical === undefined ? {} : { typical }),
      ...(darker === undefined ? {} : { low: darker }),
      ...(brighter === undefined ? {} : { high: brighter }),
    },
    ...(range?.ok ? { range: range.value } : {}),
    scenes: sceneRows(circuit),
    ...(curve?.ok ? { curve: { lux: curve.value.values, amps: curve.value.parts['D1']!.amps } } : {}),
  };
}

/** The light at which the lamp carries half of its wish, with a sensor of so many ohms at ten lux. */
function switchLux(circuit: Circuit, r10: Ohms, wish: LightWish): Lux | undefined {
  const fitted = withPart(inLight(circuit, 1), 'L1', (part) =>
    isKind(part, 'ldr') ? { ...part, params: { ...part.params, r10 } } : part,
  );
  if (holdsItself(fitted, wish)) return turnLux(fitted, (amps) => amps[0]! >= wish.half);
  const found = seek(fitted, {
    part: 'L1',
    field: 'lux',
    from: LUX.low,
    to: LUX.high,
    check: 'lamp',
    target: wish.half,
  });
  return found.ok ? found.value : undefined;
}

/** Whether a lamp is lit by light and adds its own: it goes on at one light and off at another. */
function holdsItself(circuit: Circuit, { lit, dark }: Pick<LightWish, 'lit' | 'dark'>): boolean {
  const sensor = partOf(circuit, 'L1');
  return (
    SCENE_LUX[lit] > SCENE_LUX[dark] && !!sensor && isKind(sensor, 'ldr') && sensor.params.litBy.length > 0
  );
}

/** The light of the room below which a lamp that holds itself lit has no lit state left. */
export function offLux(circuit: Circuit, half: Amps): Lux | undefined {
  return turnLux(circuit, (amps) => amps.some((one) => one >= half));
}

const TURN_STEPS = 40;

/** The light from which on something is so of the lamp's current in every state that the build rests in, by ratio. */
function turnLux(circuit: Circuit, isSo: (amps: readonly Amps[]) => boolean): Lux | undefined {
  const at = (lux: Lux): boolean => {
    const seen = observe(inLight(circuit, lux));
    if (!seen.ok || seen.value.kind !== 'still') return false;
    const also = seen.value.also ? [reportOf(seen.value.also, 'D1').amps] : [];
    return isSo([reportOf(seen.value, 'D1').amps, ...also]);
  };
  if (at(LUX.low) || !at(LUX.high)) return undefined;
  let [low, high]: [number, number] = [LUX.low, LUX.high];
  for (let i = 0; i < TURN_STEPS; i++) {
    const middle = Math.sqrt(low * high);
    if (at(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/** What the lamp of a circuit does in every scene. */
export function sceneRows(circuit: Circuit): SceneRow[] {
  return SCENES.map((scene) => sceneRow(circuit, scene));
}

function sceneRow(circuit: Circuit, scene: Scene): SceneRow {
  const seen = observe(withHeld(circuit, { L1: scene }));
  const lamp = partOf(circuit, 'D1') as PartOf<'led'>;
  const amps = seen.ok ? Math.max(0, reportOf(seen.value, 'D1').amps) : 0;
  const { params } = partOf(circuit, 'L1') as PartOf<'ldr'>;
  const lux = SCENE_LUX[scene];
  const brightness = brightnessAt(amps, lamp.params.maxAmps);
  return { scene, lux, ohms: lightSensorOhms(params, lux), amps, brightness };
}
