import { choiceSchema, DEFAULT_STYLE, PATTERN_IDS, PATTERNS, type ParamsOf, type PatternId } from '@/core';
import { wishOf } from './index';
import { valueAt, withValueAt } from './path';
import type { Piece, Slot } from './sentence';

function slotsIn(piece: Piece<unknown>, params: unknown): Slot<unknown>[] {
  if (typeof piece === 'string') return [];
  if (typeof piece === 'function') return slotsIn(piece(params), params);
  return piece.as === 'sentence' ? piece.pieces.flatMap((inner) => slotsIn(inner, params)) : [piece];
}

function textOf(piece: Piece<unknown>, params: unknown): string {
  if (typeof piece === 'string') return piece;
  if (typeof piece === 'function') return textOf(piece(params), params);
  if (piece.as === 'sentence') return piece.pieces.map((inner) => textOf(inner, params)).join('');
  if (piece.as === 'figure') return piece.shown(params);
  if (piece.as === 'choice') {
    const key = piece.value(params, DEFAULT_STYLE);
    return piece.names(params).find(([name]) => name === key)![1];
  }
  return piece.as === 'button' ? '' : 'SUPPLY';
}

const defaultsOf = (id: PatternId): unknown => PATTERNS[id].defaults(DEFAULT_STYLE);
const slotOf = (id: PatternId, label: string, params = defaultsOf(id)) =>
  slotsIn(wishOf(id), params).find((slot) => slot.as !== 'supply' && slot.label === label)!;

describe.each(PATTERN_IDS)('the sentence of %s', (id) => {
  const params = defaultsOf(id);
  const slots = slotsIn(wishOf(id), params);

  it('reads as one, from a capital to a full stop', () => {
    expect(textOf(wishOf(id), params)).toMatch(/^[A-Z][^.]*( [^ ]+)*\.$/u);
    expect(textOf(wishOf(id), params)).not.toMatch(/undefined|NaN/u);
  });

  it('names no two slots alike, and shows each figure as it reads it', () => {
    const labels = slots.flatMap((slot) => (slot.as === 'supply' ? [] : [slot.label ?? slot]));
    expect(new Set(labels).size).toBe(labels.length);
    for (const slot of slots) {
      if (slot.as !== 'figure') continue;
      const figure = slot.read(slot.shown(params));
      expect(figure.ok && slot.shown(slot.set(params, figure.value))).toBe(slot.shown(params));
    }
  });

  it('stays a lesson whichever word is chosen, one after another', () => {
    const chosen = slots.reduce<unknown>((before, slot) => {
      if (slot.as !== 'choice') return before;
      return slot.names(before).reduce((now, [key]) => {
        const next = slot.choose(now, key);
        const made = choiceSchema.safeParse({ pattern: id, params: next });
        expect([slot.label, key, made.success]).toEqual([slot.label, key, true]);
        return next;
      }, before);
    }, params);
    expect(slots.filter(({ as }) => as === 'choice').length).toBeGreaterThan(0);
    expect(textOf(wishOf(id), chosen)).not.toMatch(/undefined|NaN/u);
  });

  it('refuses what its schema does', () => {
    for (const slot of slots) {
      if (slot.as !== 'figure') continue;
      for (const typed of ['-1', '1e9', '0', '7', '0.3']) {
        const figure = slot.read(typed);
        if (!figure.ok) continue;
        const made = choiceSchema.safeParse({ pattern: id, params: slot.set(params, figure.value) });
        expect([slot.label, typed, made.error?.message]).toEqual([slot.label, typed, undefined]);
      }
    }
  });
});

it('has the limits of its schema, and seconds said in minutes', () => {
  const lit = slotOf('one-shot', 'Lit for');
  if (lit.as !== 'figure') throw new Error('no figure');
  expect(lit.read('0.4 s')).toMatchObject({ ok: false, findings: [{ data: { low: 0.5, high: 3600 } }] });
  expect(lit.read('1,5 min')).toMatchObject({ ok: true, value: 90 });
});

it('lets values taken by hand go with the time they were taken for, and with nothing else', () => {
  const taken = [{ chip: 'U1', r: 1e3, farads: 1e-6 }];
  const blink = { ...(defaultsOf('blink') as ParamsOf<'blink'>), taken };
  const set = (label: string, value: number) => {
    const slot = slotOf('blink', label, blink);
    return slot.as === 'figure' ? (slot.set(blink, value) as ParamsOf<'blink'>) : blink;
  };
  expect(set('Lit for', 2)).not.toHaveProperty('taken');
  expect(set('Wanted current', 0.01)).toMatchObject({ amps: 0.01, taken });
});

it('changes what stands at a path, and nothing else', () => {
  const whole = { a: [{ b: 1 }, { b: 2 }], c: { d: 3 } };
  expect(valueAt(whole, 'a.1.b')).toBe(2);
  expect(valueAt(whole, 'e.f')).toBeUndefined();
  expect(withValueAt(whole, 'a.1.b', 5)).toEqual({ a: [{ b: 1 }, { b: 5 }], c: { d: 3 } });
  expect(withValueAt(whole, 'c.d', undefined)).toEqual({ a: whole.a, c: {} });
});
