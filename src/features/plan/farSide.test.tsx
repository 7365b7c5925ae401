import { renderToStaticMarkup } from 'react-dom/server';
import { boardOf, copperOf, holeOf, isOnTheBack, type Sheet } from '@/core';
import { stepWords } from '@/messages/steps';
import { patternSheet } from '../../../tests/support/sheets';
import { BoardDrawing } from './BoardDrawing';
import { FarSide, farSideOf } from './FarSide';

const strip = patternSheet('panel', { rows: 2, columns: 3 }, 'strip');
const pad = patternSheet('lamp-cover', {}, 'pad');
const card = patternSheet('coin-light', {}, 'card');

function behind({ plan, supply }: Sheet, held: 'upright' | 'flat' = 'upright'): string {
  return renderToStaticMarkup(<FarSide plan={plan} supply={supply} held={held} />);
}

/** Where each joint is drawn. */
function joints(markup: string): Map<string, { x: number; y: number }> {
  const found = markup.matchAll(/data-joint="(\w+)"><circle cx="([\d.]+)" cy="([\d.]+)"/gu);
  return new Map([...found].map(([, hole, x, y]) => [hole!, { x: Number(x), y: Number(y) }]));
}

describe('the copper side', () => {
  it.each([
    ['stripboard', strip],
    ['pad board', pad],
  ])('of a %s has a joint for every leg that comes through', (_, sheet) => {
    const legs = sheet.plan.placements
      .filter((placement) => !isOnTheBack(sheet.plan, placement))
      .flatMap((placement) => Object.values(placement.legs));
    expect([...joints(behind(sheet)).keys()].sort()).toEqual([...legs].sort());
  });

  it.each(['upright', 'flat'] as const)('is the mirror image of the other side, held %s', (held) => {
    const places = joints(behind(strip, held));
    const [, width] = /viewBox="0 0 ([\d.]+)/u.exec(behind(strip, held))!;
    const front = renderToStaticMarkup(<BoardDrawing {...strip} title="front" orientation={held} />);
    expect(front).toContain(`viewBox="0 0 ${width} `);
    const [hole, place] = [...places][0]!;
    for (const [other, there] of places) {
      const [a, b] = [holeOf(boardOf(strip.plan), hole)!, holeOf(boardOf(strip.plan), other)!];
      // Upright, strips run down and letters across; flat, the other way about.
      const [across, down] = held === 'upright' ? [b.y - a.y, b.x - a.x] : [b.x - a.x, b.y - a.y];
      expect(there.x - place.x).toBeCloseTo(-18 * across, 9);
      expect(there.y - place.y).toBeCloseTo(18 * down, 9);
    }
  });

  it('ends each strip at its cuts', () => {
    const markup = behind(strip);
    const drawn = [...markup.matchAll(/data-copper="([^"]+)"/gu)].map(([, name]) => name!);
    expect(new Set(drawn).size).toBe(drawn.length);
    const copper = copperOf(strip.plan);
    const soldered = strip.plan.placements.flatMap(({ legs }) => Object.values(legs).map(copper));
    for (const piece of soldered) expect(drawn).toContain(piece);
    for (const cut of strip.plan.cuts!) expect(markup).toContain(`data-cut="${cut}"`);
    const rows = new Set(drawn.map((name) => name[0]));
    expect(drawn).toHaveLength(rows.size + strip.plan.cuts!.length);
  });

  it('shows the wires of a pad board, which lie on this side', () => {
    const wires = [...behind(pad).matchAll(/data-wire="(\w+)"/gu)].map(([, name]) => name);
    const jumpers = pad.plan.placements.filter(({ kind }) => kind === 'jumper').map(({ part }) => part);
    expect(jumpers.length).toBeGreaterThan(0);
    expect(wires.sort()).toEqual(jumpers.sort());
  });
});

describe('a card', () => {
  it('with a coin cell has both faces of the cell, and its edge', () => {
    for (const face of ['plus', 'minus', 'edge']) expect(behind(card)).toContain(`data-cell-face="${face}"`);
  });

  it('with any other supply has leads instead of a cell, in words and in the drawing', () => {
    const leads = patternSheet('strings', { groups: [{ lamp: 'red', count: 2 }], amps: 0.008 }, 'card');
    expect(farSideOf(leads.plan, leads.supply)).toBeUndefined();
    const markup = renderToStaticMarkup(<BoardDrawing {...leads} title="card" />);
    expect(markup).not.toContain('r="22"');
    const last = leads.steps.find(({ action }) => action === 'fold-cell')!;
    expect(stepWords(last, leads).title).toBe(
      'Clip the black lead to the minus tape, then the red lead to the plus tape.',
    );
  });
});

it('a plug-in board has no other side', () => {
  const sheet = patternSheet('walk-down', {});
  expect(farSideOf(sheet.plan, sheet.supply)).toBeUndefined();
});
