import { SCENE_LUX, SCENES, type Scene } from '../catalogue/light';
import { isKind, type Circuit, type Part, type PartOf } from '../circuit/circuit';
import type { Held } from './checkpoint';

/** The circuit with its buttons held and its knobs turned as said; what is not said stays as it is. */
export function withHeld(circuit: Circuit, held: Held | undefined): Circuit {
  if (!held || Object.keys(held).length === 0) return circuit;
  return {
    ...circuit,
    parts: circuit.parts.map((whole) => {
      const part = inBeams(whole, held);
      const state = held[part.id];
      if (state === undefined) return part;
      if (isKind(part, 'switch')) return { ...part, params: switchAs(state, part.params) };
      if (isKind(part, 'potentiometer') && typeof state === 'number')
        return { ...part, params: { ...part.params, position: state } };
      if (isKind(part, 'pin') && typeof state === 'number')
        return { ...part, params: { ...part.params, ...driveAs(state) } };
      if (isKind(part, 'signal') && typeof state === 'number')
        return { ...part, params: { ...part.params, ...toneOf(state, part.params) } };
      if (isKind(part, 'ldr') && isScene(state))
        return { ...part, params: { ...part.params, lux: SCENE_LUX[state] } };
      return part;
    }),
  };
}

/** A light sensor on which lamps shine no more whose beam is cut. */
function inBeams(part: Part, held: Held): Part {
  if (!isKind(part, 'ldr')) return part;
  const litBy = part.params.litBy.filter((light) => held[light.part] !== 'cut');
  return litBy.length < part.params.litBy.length ? { ...part, params: { ...part.params, litBy } } : part;
}

/** A pin at its low or high level, or switched between them for a share of the time. */
function driveAs(share: number) {
  if (share <= 0) return { drive: 'low' } as const;
  return share >= 1 ? ({ drive: 'high' } as const) : ({ drive: 'pwm', duty: share } as const);
}

/** What plays a tone at its level, or nothing. */
function toneOf(hertz: number, { level = 0 }: PartOf<'signal'>['params']) {
  return hertz > 0 ? ({ shape: 'sine', amplitude: level, hertz } as const) : { amplitude: 0 };
}

/** Whether a part is what sound comes in by: a signal that is silent until something is played. */
export function hearsSound(part: Part): part is PartOf<'signal'> {
  return isKind(part, 'signal') && part.params.level !== undefined;
}

/** Whether what is held is a light. */
export function isScene(state: Held[string]): state is Scene {
  return (SCENES as readonly unknown[]).includes(state);
}

/** How a button or a switch is closed by hand. */
export function closedBy({ params }: PartOf<'switch'>): 'on' | 'closed' {
  return params.stays ? 'on' : 'closed';
}

/** When a button that is pressed once goes down, and for how long: at leisure, and shorter than any light it asks for. */
export const PRESS = { pressAt: 0.3, pressFor: 0.2 } as const;

function switchAs(state: Held[string], { stays }: PartOf<'switch'>['params']) {
  if (state === 'pressed') return { closed: false, ...PRESS };
  return { closed: state === 'closed' || state === 'on', ...(stays ? { stays } : {}) };
}

/** A hand sets a knob to within a tenth of its travel: half of that to either side. */
export const BY_HAND = 0.05;

/** The circuit with every knob no surer than a hand sets it; at either stop it stands for certain. */
export function setByHand(circuit: Circuit): Circuit {
  if (!circuit.parts.some((part) => isKind(part, 'potentiometer'))) return circuit;
  return {
    ...circuit,
    parts: circuit.parts.map((part) =>
      isKind(part, 'potentiometer') && part.params.turn === undefined && !atStop(part.params.position)
        ? { ...part, params: { ...part.params, turn: BY_HAND } }
        : part,
    ),
  };
}

function atStop(position: number): boolean {
  return position <= 0 || position >= 1;
}
