import type { Amps } from '../quantities/units';

export const BRIGHTNESS = [
  'dark',
  'barely',
  'dim',
  'fair',
  'bright',
  'at its limit',
  'shortened life',
  'expected to fail',
] as const;
export type Brightness = (typeof BRIGHTNESS)[number];

/**
 * How a lamp looks and fares at a current. The levels relative to the continuous maximum win over the absolute ones.
 *
 * @param amps forward current
 * @param maxAmps the lamp's continuous maximum
 */
export function brightnessAt(amps: Amps, maxAmps: Amps): Brightness {
  const share = amps / maxAmps;
  if (share > 1.5) return 'expected to fail';
  if (share > 1) return 'shortened life';
  if (share >= 0.8) return 'at its limit';
  if (amps < 0.02e-3) return 'dark';
  if (amps < 0.2e-3) return 'barely';
  if (amps < 1e-3) return 'dim';
  if (amps < 5e-3) return 'fair';
  return 'bright';
}
