import { expect, test, type Page } from '@playwright/test';
import { BOARDS, holeOf } from '@/core';
import { at } from '@/features/plan/geometry';
import { openStage, rowsOnly, saved, spaced, startLesson } from './helpers';

const verdict = (page: Page) => page.locator('.what-happens');

/** The place of a hole on the screen: its place in the drawing, by the drawing's own scale. */
async function hole(page: Page, name: string): Promise<{ x: number; y: number }> {
  const place = at(holeOf(BOARDS.half, name)!);
  return page.evaluate(({ x, y }) => {
    const svg = document.querySelector<SVGSVGElement>('svg.board')!;
    const point = new DOMPoint(x, y).matrixTransform(svg.getScreenCTM()!);
    return { x: point.x, y: point.y };
  }, place);
}

async function drag(page: Page, from: string, to: string): Promise<void> {
  const [start, end] = [await hole(page, from), await hole(page, to)];
  await page.mouse.move(start.x, start.y);
  await page.mouse.down();
  await page.mouse.move((start.x + end.x) / 2, (start.y + end.y) / 2, { steps: 4 });
  await page.mouse.move(end.x, end.y, { steps: 4 });
  await page.mouse.up();
}

test('with the pointer: a leg one row off stays dark, and says which row is empty', async ({ page }) => {
  await startLesson(page, 'Broken by hand');
  await rowsOnly(page);
  await openStage(page, 'Sums');
  await expect(verdict(page)).toContainText(spaced('The lamp D1 is bright at 8.85 mA, 44 % of its limit.'));
  await drag(page, 'c8', 'c7');
  await expect(verdict(page)).toContainText(
    'The leg of the resistor R1 sits in c7, and nothing else is in row 7, a–e: no current can pass.',
  );
  await expect(verdict(page)).toContainText('stays dark');
  await page.getByRole('button', { name: 'Put it back' }).click();
  await expect(verdict(page)).toContainText('Right.');
});

test('with the pointer: both legs of the lamp in one row', async ({ page }) => {
  await startLesson(page, 'Broken by row');
  await rowsOnly(page);
  await openStage(page, 'Sums');
  await drag(page, 'e9', 'd8');
  await expect(verdict(page)).toContainText('Both legs of the lamp D1 sit in row 8, a–e');
});

test('with the keyboard: turn the lamp, put a wire for the resistor, move and put back', async ({ page }) => {
  await startLesson(page, 'Broken by keys');
  await rowsOnly(page);
  await page.getByRole('button', { name: /^The lamp D1: long leg in e8/u }).focus();
  await page.keyboard.press('t');
  await expect(verdict(page)).toContainText(
    spaced('The lamp D1 is the wrong way round: it blocks, with 4.80 V across it'),
  );
  await expect(page.getByRole('row', { name: /across D1/u }).last()).toContainText(spaced('−4.80 V'));
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: /^The resistor R1/u }).focus();
  await page.keyboard.press('w');
  await expect(verdict(page)).toContainText(spaced('far beyond what it survives'));
  await expect(verdict(page)).toContainText(spaced('at least 700 mA, 35 times its limit'));
  await page.keyboard.press('w');
  await expect(verdict(page)).toContainText('Right.');
  await page.keyboard.press('ArrowDown');
  await expect(verdict(page)).toContainText('Not as planned.');
  await page.keyboard.press('ArrowUp');
  await expect(verdict(page)).toContainText('Right.');
});

test('a move that keeps the circuit becomes the plan, and the steps follow it', async ({ page }) => {
  await startLesson(page, 'Moved along');
  await rowsOnly(page);
  await page.getByRole('button', { name: /^The resistor R1/u }).focus();
  await page.keyboard.press('ArrowLeft');
  await expect(page.getByRole('button', { name: /^The resistor R1: leg in b3, leg in b8/u })).toBeVisible();
  await openStage(page, 'Steps');
  await expect(page.getByText(spaced('Put the resistor R1, 330 Ω, in b3 and b8.'))).toBeVisible();
  await saved(page);
  await page.reload();
  await expect(page.getByText(spaced('Put the resistor R1, 330 Ω, in b3 and b8.'))).toBeVisible();
  await openStage(page, 'Plan');
  await page.getByRole('button', { name: 'Lay it out again' }).click();
  await openStage(page, 'Steps');
  await expect(page.getByText(spaced('Put the resistor R1, 330 Ω, in c3 and c8.'))).toBeVisible();
});

test('the wiring list takes holes as text and says why not', async ({ page }) => {
  await startLesson(page, 'Typed holes');
  await rowsOnly(page);
  await openStage(page, 'Plan');
  const leg = page.getByLabel('D1 long leg: hole');
  await leg.fill('z9');
  await leg.press('Enter');
  await expect(verdict(page)).toContainText('The board has no hole z9 for the lamp D1.');
  await leg.fill('a3');
  await leg.press('Enter');
  await expect(verdict(page)).toContainText('Hole a3 already holds a leg of the jumper W1.');
  await page.getByLabel('In place of R1').selectOption({ label: '3.3\u202fkΩ' });
  await expect(verdict(page)).toContainText(spaced('dim at 924 µA'));
  await page.getByLabel('In place of R1').selectOption('wire');
  await expect(verdict(page)).toContainText('nothing limits the current');
  await page.getByLabel('In place of R1').selectOption('');
  await page.getByLabel('In place of D1').selectOption('blue');
  await expect(page.getByRole('row', { name: /across D1/u }).last()).toContainText(spaced('2.90 V'));
});
