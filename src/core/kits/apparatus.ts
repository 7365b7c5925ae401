import type { FamilySums } from '../patterns/family';

/** What a lesson’s wish and card ask for beside its circuit, by name. */
export interface Apparatus {
  readonly name: string;
  /** How many for one student. */
  readonly each: number;
}

/** The hood over a light sensor, the torch that lights it, the lens of a beam, and the leads of a lamp that stands apart. */
export function apparatusOf(own: FamilySums): Apparatus[] {
  const light = 'light' in own ? own.light : undefined;
  const beam = 'beam' in own ? own.beam : undefined;
  const scenes: readonly string[] = [
    ...(light ? [light.lit, light.dark] : []),
    ...(beam?.hood ? ['hood'] : []),
  ];
  const apart = beam !== undefined || light?.own !== undefined;
  return [
    ...(scenes.includes('hood') ? [{ name: 'hood for the light sensor', each: 1 }] : []),
    ...(scenes.includes('torch') ? [{ name: 'torch', each: 1 }] : []),
    ...(beam?.lens ? [{ name: 'lens for the lamp', each: 1 }] : []),
    ...(apart ? [{ name: 'pair of long leads for the lamp', each: 1 }] : []),
  ];
}
