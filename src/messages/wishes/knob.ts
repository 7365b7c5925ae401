const POSITIONS = [0, 0.1, 0.25, 0.3, 0.5, 0.6, 0.75, 1] as const;

/** Places of a knob to choose from, the one it stands at among them; 0 is fully up. */
export function knobNames(position: number): readonly (readonly [key: string, words: string])[] {
  const all = [...new Set<number>([...POSITIONS, position])].sort((a, b) => a - b);
  return all.map((at) => [String(at), wordsAt(at)]);
}

function wordsAt(position: number): string {
  if (position === 0) return 'fully up';
  return position === 1 ? 'fully down' : `${Math.round((1 - position) * 100)} % up`;
}
