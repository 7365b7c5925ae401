import type { Hertz, Volts } from '../quantities/units';
import type { PartOf } from './circuit';

/** Ohms of what plays, behind its plug: a starting figure. */
const SOURCE_OHMS = 30;

/** The two sides of a sound lead, by the last letter of their names. */
const SIDES = { l: 'left', r: 'right' } as const;
export type SoundSide = (typeof SIDES)[keyof typeof SIDES];

/**
 * A lead by which sound comes in: two sources in one thing, over one shield. Silent until something is played.
 *
 * @param level peak volts of what is played
 * @param hertz the tone that is thought of where nobody says another
 */
export function soundLead(
  id: string,
  nets: Readonly<Record<SoundSide | 'shield', string>>,
  { level, hertz }: { readonly level: Volts; readonly hertz: Hertz },
): PartOf<'signal'>[] {
  return Object.entries(SIDES).map(([letter, side]): PartOf<'signal'> => ({
    id: `${id}${letter}`,
    kind: 'signal',
    pins: { plus: nets[side], minus: nets.shield },
    params: { shape: 'sine', amplitude: 0, hertz, offset: 0, duty: 0.5, ohms: SOURCE_OHMS, level },
    body: { id, legs: { plus: side, minus: 'shield' } },
  }));
}

/** Of a side of a sound lead: which lead, and which side. */
export function sideOf(id: string): { readonly lead: string; readonly side: SoundSide } | undefined {
  const found = /^(J\d+)([lr])$/u.exec(id);
  return found ? { lead: found[1]!, side: SIDES[found[2] as keyof typeof SIDES] } : undefined;
}

/** What is held for a tone on both sides of a lead; 0 is silence. */
export function playing(lead: string, hertz: Hertz): Readonly<Record<string, number>> {
  return Object.fromEntries(Object.keys(SIDES).map((letter) => [`${lead}${letter}`, hertz]));
}
