import { expect, test, type Page } from '@playwright/test';
import fs from 'node:fs';
import { alertSaying, cell, giveTo, makeGroup, row, spaced, startLesson } from './helpers';

async function openGrid(page: Page, name: string): Promise<void> {
  await makeGroup(page, name, 'Ala\nBek\nCim\nDov');
  await expect(page.getByText('4 added.')).toBeVisible();
  await startLesson(page, `${name} lamp`);
  await giveTo(page, `${name} (4)`);
}

/** Waits until no reading is on its way to the database any more. */
async function sent(page: Page): Promise<void> {
  const waiting = () =>
    page.evaluate(() => Object.keys(localStorage).filter((key) => key.startsWith('mivvet.readings')).length);
  await expect.poll(waiting).toBe(0);
}

test('type a figure, Enter, next bench; each reading gets its verdict', async ({ page }) => {
  await openGrid(page, 'Dunlin');
  await cell(page, 1, 'across R1').click();
  await page.keyboard.type('2.91');
  await page.keyboard.press('Enter');
  await expect(cell(page, 2, 'across R1')).toBeFocused();
  await page.keyboard.type('2.67');
  await page.keyboard.press('Enter');
  await page.keyboard.type('0.92 V');
  await page.keyboard.press('Enter');
  await expect(row(page, 1)).toContainText('right');
  // One reading at the edge of its band is a close call by itself; the bench is right so far.
  await expect(row(page, 2)).toContainText('right so far');
  await expect(page.getByLabel(/^Bench 2 Bek, across R1, close call/u)).toBeVisible();
  await expect(row(page, 3)).toContainText('off');
  await expect(page.getByRole('list', { name: 'Benches so far' })).toContainText(/2\s*right/u);
  await expect(page.getByRole('img', { name: '3 benches, 1 of them right' })).toBeVisible();
  await page.reload();
  await expect(cell(page, 1, 'across R1')).toHaveValue('2.91');
  await expect(row(page, 3)).toContainText('off');
});

test('a grid whose program comes late takes no figure before it can keep it', async ({ page }) => {
  await openGrid(page, 'Gannet');
  await page.route('**/_next/static/**/*.js', async (route) => {
    await new Promise((later) => setTimeout(later, 300));
    await route.continue();
  });
  await page.goto(page.url(), { waitUntil: 'commit' });
  await expect(cell(page, 1, 'across R1')).toBeVisible();
  await cell(page, 1, 'across R1').fill('2.91');
  await cell(page, 1, 'across R1').press('Enter');
  await expect(row(page, 1)).toContainText('right');
  await expect(cell(page, 2, 'across R1')).toBeFocused();
});

test('an off row gets the likely cause and what would settle it', async ({ page }) => {
  await openGrid(page, 'Knot');
  const type = async (bench: number, ...figures: string[]) => {
    const points = ['pack under load', 'across R1', 'across D1', 'current'];
    for (const [i, figure] of figures.entries()) {
      await cell(page, bench, points[i]!).fill(figure);
      await cell(page, bench, points[i]!).press('Enter');
    }
  };
  await type(1, '4.80', '0.00', '4.80');
  await expect(row(page, 1)).toContainText(
    'D1 burnt out or missing, or D1 the wrong way round (probed by its rows)',
  );
  await expect(row(page, 1)).toContainText('try D1 by itself on a coin cell');
  await type(2, '4.80', '3.03', '1.77', '0.92');
  await expect(row(page, 2)).toContainText(spaced('R1 is 3.3 kΩ, not 330 Ω'));
  await type(3, '3.59', '1.73', '1.86', '5.11');
  await expect(row(page, 3)).toContainText('Built right, pack tired');
  await type(4, '0.00', '0.00', '0.00');
  await expect(row(page, 4)).toContainText('B1 flat, missing or off');
  await expect(row(page, 4)).toContainText('next: measure the current');
});

test('a correction or retest keeps the earlier reading, in the grid, the logbook and its CSV', async ({
  page,
}) => {
  await openGrid(page, 'Sanderling');
  const reading = cell(page, 1, 'across D1');
  await cell(page, 1, 'predicted').fill('9');
  await cell(page, 1, 'predicted').press('Tab');
  await reading.fill('4.80');
  await reading.press('Enter');
  await expect(row(page, 1)).toContainText('off');
  await reading.fill('1.88');
  await reading.press('Enter');
  await expect(row(page, 1)).toContainText('right');
  await page.getByRole('button', { name: /^2 readings of Bench 1 Ala, across D1/u }).click();
  await expect(page.getByRole('tooltip')).toContainText('4.80 first reading');
  await expect(page.getByRole('tooltip')).toContainText('1.88 retest');
  await sent(page);
  await page.getByRole('link', { name: 'its logbook' }).click();
  await page.getByLabel('Student').selectOption('Sanderling 1 Ala');
  await expect(page.getByRole('row')).toHaveCount(4);
  await expect(page.getByRole('row', { name: /4\.80/u })).toContainText('later measured again');
  await expect(page.getByRole('row', { name: /predicted/u })).toContainText(spaced('9.00 mA'));
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as CSV' }).click(),
  ]);
  const csv = fs.readFileSync(await file.path(), 'utf8');
  expect(csv).toMatch(/Sanderling,1,Ala,across D1,4\.8,V,4\.80,1\.7\d+,2\.0\d+,off,first,no,/u);
  expect(csv).toMatch(/Sanderling,1,Ala,across D1,1\.88,V,1\.88,1\.7\d+,2\.0\d+,right,retest,yes,/u);
});

test('a figure that cannot be meant is asked about, and nothing typed is lost', async ({ page }) => {
  await openGrid(page, 'Turnstone');
  const reading = cell(page, 1, 'across R1');
  await reading.fill('27');
  await reading.press('Enter');
  await expect(alertSaying(page, 'Bench 1')).toContainText(
    spaced('“27” is more than anything here can show (4.80 V). Perhaps 2.70 V?'),
  );
  await expect(reading).toHaveValue('27');
  await page.getByRole('button', { name: 'Take 2.7' }).click();
  await expect(reading).toHaveValue(/2\.70?/u);
  await cell(page, 2, 'across R1').fill('two');
  await cell(page, 2, 'across R1').press('Enter');
  await expect(alertSaying(page, 'Bench 2')).toContainText('“two” is not a figure');
  await expect(cell(page, 2, 'across R1')).toHaveValue('two');
  await cell(page, 3, 'across R1').fill('5 mA');
  await cell(page, 3, 'across R1').press('Enter');
  await expect(alertSaying(page, 'Bench 3')).toContainText('this wants V');
  await page.getByRole('button', { name: 'Leave it out' }).first().click();
});

test('readings typed while the program does not answer are kept and sent later', async ({ page }) => {
  await openGrid(page, 'Whimbrel');
  await page.route('**/check/*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await cell(page, 1, 'across R1').fill('2.91');
  await cell(page, 1, 'across R1').press('Enter');
  await expect(page.getByText('1 reading is kept in this browser only.')).toBeVisible();
  await expect(row(page, 1)).toContainText('right');
  await page.unroute('**/check/*');
  await page.reload();
  await expect(cell(page, 1, 'across R1')).toHaveValue('2.91');
  await expect(page.getByText('kept in this browser only')).toBeHidden();
  await page.evaluate(() => localStorage.clear());
  await page.reload();
  await expect(cell(page, 1, 'across R1')).toHaveValue('2.91');
});

test('a lesson changed since says so, and its new figures can be taken', async ({ page }) => {
  await openGrid(page, 'Godwit');
  await cell(page, 1, 'across R1').fill('2.91');
  await cell(page, 1, 'across R1').press('Enter');
  await page.getByRole('link', { name: 'the lesson', exact: true }).click();
  await page.getByLabel('Supply', { exact: true }).selectOption('block-9v');
  await expect(page.locator('.save-state')).toHaveText(/^saved/u);
  await page.goBack();
  await page.reload();
  await page.getByRole('button', { name: /^What would change/u }).click();
  await expect(page.locator('.note')).toContainText('bench 1 Ala: right, then off');
  await page.getByRole('button', { name: 'Judge by the lesson as it is now' }).click();
  await expect(row(page, 1)).toContainText('off');
  await expect(page.getByText('The lesson has changed since')).toBeHidden();
  await page.getByRole('button', { name: 'Judge by those from before again' }).click();
  await expect(row(page, 1)).toContainText('right');
});
