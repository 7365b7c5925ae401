import type { Bounds, Quality } from '@/core';

/** A length in millimetres, said in metres from one metre on. */
export function lengthWords(millimetres: number): string {
  return millimetres < 1000
    ? `${Math.round(millimetres)}\u202fmm`
    : `${(millimetres / 1000).toFixed(1)}\u202fm`;
}

const MM_PER_PITCH = 2.54;

/** What no plan of the circuit can do without, why, and how far a plan is from it. */
export function leastWords(
  { wires, pitches, across, apart }: Bounds,
  { jumpers, wire }: Quality,
  row: 'row' | 'pad' = 'row',
): string {
  const reasons = [
    across > 0 && `${counted(across)} must cross the trench`,
    apart > 0 && `${counted(apart)} cannot share one ${row}`,
  ].filter(Boolean);
  const why = reasons.length > 0 ? `: ${reasons.join(', ')}` : '';
  const more = jumpers - wires;
  const away =
    more === 0
      ? 'This one has no more of them'
      : `This one has ${more} more, and ${(wire / pitches).toFixed(1)} times the wire`;
  return `No plan on this board has fewer than ${wires} or less than ${lengthWords(pitches * MM_PER_PITCH)} of wire${why}. ${away}.`;
}

function counted(nets: number): string {
  return nets === 1 ? 'one net' : `${nets} nets`;
}
