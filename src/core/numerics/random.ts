/** Looked up once: these stand in the innermost loops. */
const { imul } = Math;

/**
 * Counter-based random numbers: a draw is a pure function of seed, draw number and the name of what is drawn.
 * So the same seed gives the same figures whatever the order of parts, and however draws are shared among workers.
 * The mixer is the 32-bit finaliser of MurmurHash3 (public domain), used twice for 53 bits.
 */
export function uniform(seed: number, draw: number, key: number): number {
  const a = mix(mix(mix(seed ^ 0x9e3779b9) ^ draw) ^ key);
  const b = mix(a ^ 0x85ebca6b);
  return ((a >>> 5) * 67108864 + (b >>> 6)) / 9007199254740992;
}

/** A 32-bit key for a name (FNV-1a). */
export function keyOf(name: string): number {
  let hash = 0x811c9dc5;
  for (let i = 0; i < name.length; i++) {
    hash = imul(hash ^ name.charCodeAt(i), 0x01000193);
  }
  return mix(hash);
}

function mix(value: number): number {
  let h = value | 0;
  h = imul(h ^ (h >>> 16), 0x85ebca6b);
  h = imul(h ^ (h >>> 13), 0xc2b2ae35);
  return (h ^ (h >>> 16)) | 0;
}
