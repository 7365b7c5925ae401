import { expect, test, type Page } from '@playwright/test';
import { giveTo, makeGroup, startLesson } from './helpers';

/** A finger that is put down, moved in steps and lifted. */
async function swipe(
  page: Page,
  from: { x: number; y: number },
  to: { x: number; y: number },
): Promise<void> {
  const client = await page.context().newCDPSession(page);
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', points: { x: number; y: number }[]) =>
    client.send('Input.dispatchTouchEvent', { type, touchPoints: points });
  await touch('touchStart', [from]);
  for (let step = 1; step <= 8; step++) {
    const x = from.x + ((to.x - from.x) * step) / 8;
    const y = from.y + ((to.y - from.y) * step) / 8;
    await touch('touchMove', [{ x, y }]);
    await page.waitForTimeout(20);
  }
  await touch('touchEnd', []);
}

/** A spot of a drawn part that a finger hits: its box also holds its name, which none does. */
function touchable(part: Element): { x: number; y: number } {
  const { left, top, width, height } = part.getBoundingClientRect();
  for (let y = top; y < top + height; y += 2)
    for (let x = left; x < left + width; x += 2)
      if (part.contains(document.elementFromPoint(x, y))) return { x: x + 2, y: y + 2 };
  throw new Error('Nothing of the part can be touched.');
}

test('a finger drags a part on the board, and scrolls the page where there is none', async ({ browser }) => {
  const context = await browser.newContext({ viewport: { width: 820, height: 600 }, hasTouch: true });
  const page = await context.newPage();
  const said: string[] = [];
  page.on('pageerror', (error) => said.push(error.message));
  await page.goto('/lessons/1?stage=plan');
  const lamp = page.locator('svg.board [data-part="D1"]').first();
  await lamp.scrollIntoViewIfNeeded();
  const holes = () =>
    page
      .getByRole('row', { name: /^Lamp D1/u })
      .getByRole('textbox')
      .first()
      .inputValue();
  await expect(page.getByRole('row', { name: /^Lamp D1/u })).toBeVisible();
  const before = await holes();
  const at = await lamp.evaluate(touchable);
  await swipe(page, at, { x: at.x + 100, y: at.y });
  await expect.poll(holes).not.toBe(before);
  // On an empty spot of the board the page moves.
  const board = (await page.locator('svg.board').first().boundingBox())!;
  const empty = { x: board.x + board.width - 12, y: board.y + board.height * 0.3 };
  const top = await page.evaluate(() => window.scrollY);
  await swipe(page, empty, { x: empty.x, y: empty.y - 150 });
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBeGreaterThan(top + 60);
  expect(said).toEqual([]);
  await context.close();
});

test('on a helper’s phone one bench is checked at a time, with keys of its own', async ({
  page,
  browser,
}) => {
  await makeGroup(page, 'Phalarope', 'Wick\nTarn\nBurl');
  await startLesson(page, 'Phalarope lamp');
  await giveTo(page, 'Phalarope (3)');
  const phone = await browser.newPage({ viewport: { width: 390, height: 844 }, hasTouch: true });
  await phone.goto(page.url());
  const bench = phone.getByRole('region', { name: 'One bench at a time' });
  await expect(bench.getByRole('heading', { name: '1 Wick' })).toBeVisible();
  await expect(phone.locator('.check-grid')).toHaveCount(0);
  await bench.getByLabel('Checkpoint').selectOption({ label: 'across R1' });
  for (const key of ['2', 'point', '9', '1'])
    await bench.getByRole('button', { name: key, exact: true }).tap();
  await bench.getByRole('button', { name: 'Enter' }).tap();
  await expect(bench).toContainText('right so far');
  await expect(page.getByLabel(/^Bench 1 Wick, across R1/u)).toHaveValue('2.91');
  // A figure that cannot be meant stays at its bench, and goes nowhere else.
  await bench.getByRole('button', { name: 'The next bench' }).tap();
  await bench.getByLabel('Checkpoint').selectOption({ label: 'across R1' });
  for (const key of ['2', '9', '1', '0']) await bench.getByRole('button', { name: key, exact: true }).tap();
  await bench.getByRole('button', { name: 'Enter' }).tap();
  await expect(phone.getByRole('alert').filter({ hasText: 'Bench 2, across R1' })).toBeVisible();
  await phone.getByRole('button', { name: 'Take 2.91' }).tap();
  await expect(page.getByLabel(/^Bench 2 Tarn, across R1/u)).toHaveValue('2.91');
  // Who is absent is noted on the phone and skipped in the grid.
  await bench.getByRole('button', { name: 'The next bench' }).tap();
  await bench.getByRole('button', { name: 'absent' }).tap();
  await expect(page.getByRole('row', { name: /^3 Burl/u }).locator('.state')).toHaveText('absent');
  // Keys are large enough for a thumb, and nothing scrolls sideways.
  for (const key of await bench.getByRole('button').all()) {
    const size = await key.boundingBox();
    if (size) expect(Math.min(size.width, size.height)).toBeGreaterThanOrEqual(43.5);
  }
  expect(await phone.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
  await phone.context().close();
});
