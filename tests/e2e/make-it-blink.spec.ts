import { expect, test } from '@playwright/test';
import { alertSaying, openStage, plainText, saved, spaced, startLesson } from './helpers';

test('a newcomer comes from an empty sheet to the printed card of a blinker of their own wish', async ({
  page,
}) => {
  const id = await startLesson(page, 'My own beacon', 'Blinker');
  await page.getByLabel('Lit for').fill('1.5');
  await page.getByLabel('Lit for').press('Tab');
  await page.getByLabel('Dark for').fill('0.5 s');
  await page.getByLabel('Dark for').press('Tab');
  await page.getByLabel('Lamp', { exact: true }).selectOption('green');
  await openStage(page, 'Sums');
  await expect(page.getByRole('row', { name: /^wished/u })).toContainText(spaced('1.5'));
  const solved = Number(
    /[\d.]+/u.exec(
      await plainText(
        page
          .getByRole('row', { name: /^solved, up/u })
          .locator('td')
          .last(),
      ),
    )![0],
  );
  expect(Math.abs(solved / 1.5 - 1)).toBeLessThan(0.1);
  await saved(page);
  await page.goto(`/print/${id}/card`);
  const card = page.locator('.printed');
  await expect(card).toContainText('timer chip U1');
  await expect(card).toContainText('pin 1 in');
  await expect(card).toContainText(/Ten flashes of D1 take/u);
  await expect(card).toContainText('stripe, which is minus');
});

test('its day tells at every instant what is so, on the chart, in words and on the board', async ({
  page,
}) => {
  await startLesson(page, 'Day of a beacon', 'Blinker');
  await openStage(page, 'Its day');
  const chart = page.getByRole('slider', { name: 'Instant of the run' });
  await expect(chart).toBeVisible();
  const words = page.locator('.instant-words');
  await expect(words).toContainText('D1 is lit');
  await expect(page.locator('[data-glow="D1"]')).toHaveCount(1);
  await chart.focus();
  await chart.press('Shift+ArrowRight');
  await expect(words).toContainText('D1 is dark');
  await expect(page.locator('[data-glow="D1"]')).toHaveCount(0);
  await expect(words).toContainText('fills through R1 and R2');
  await expect(page.getByRole('row', { name: /^pin 7, discharge/u })).toContainText('let go');
  await chart.press('Shift+ArrowRight');
  await expect(page.getByRole('row', { name: /^pin 7, discharge/u })).toContainText('empties the capacitor');

  await page.getByLabel('Another setting beneath').selectOption('other family');
  await expect(page.getByText('Dashed: the other family of chip.')).toBeVisible();
  await page.getByText('What happens, one after another').click();
  await page.locator('.happenings button').first().click();
  await expect(words).toContainText('At');
});

test('a wish that cannot be had names the nearest, and nothing typed is lost', async ({ page }) => {
  await startLesson(page, 'Bat horn', 'Tone');
  await page.getByLabel('Pitch').fill('3 MHz');
  await page.getByLabel('Pitch').press('Tab');
  await expect(alertSaying(page, 'the nearest that can be had is')).toBeVisible();
  await expect(page.getByLabel('Pitch')).toHaveValue(spaced('3 MHz'));
  await page.getByLabel('Pitch').fill('440');
  await page.getByLabel('Pitch').press('Tab');
  await expect(page.getByText(/sounds at/u)).toContainText(spaced('Hz'));
});

test('flashes counted at a bench are judged, and a wrong capacitor is named', async ({ page }) => {
  await page.goto('/lessons/13?stage=class');
  await page.getByLabel('Group').selectOption({ index: 0 });
  await page.getByRole('button', { name: 'Give it' }).click();
  await page
    .getByRole('link', { name: /^Tern, /u })
    .first()
    .click();
  await expect(page.getByRole('heading', { name: /is every bench right/u })).toBeVisible({ timeout: 60_000 });
  const rate = page.getByLabel(/^Bench 1 .*, flashes of D1/u);
  await rate.fill('10/15.1');
  await rate.press('Enter');
  await expect(page.getByLabel(/^Bench 1 .*, flashes of D1, right/u)).toBeVisible();
  const other = page.getByLabel(/^Bench 2 .*, flashes of D1/u);
  await other.fill('1/15');
  await other.press('Enter');
  await expect(page.getByLabel(/^Bench 2 .*, flashes of D1, off/u)).toBeVisible();
  await expect(page.getByRole('row').filter({ has: page.getByLabel(/^Bench 2 .*, flashes/u) })).toContainText(
    spaced('C1 is 47'),
  );
});

test('a lamp on pulses: the meter’s mean beside the peak, and why it lights', async ({ page }) => {
  await startLesson(page, 'Night buoy', 'On pulses');
  await page.getByLabel('Peak of the pulses').fill('9');
  await page.getByLabel('Peak of the pulses').press('Tab');
  await page.getByLabel('Share of the time').fill('25 %');
  await page.getByLabel('Share of the time').press('Tab');
  await openStage(page, 'Sums');
  const figure = async (row: RegExp) =>
    Number(/[\d.]+/u.exec(await plainText(page.getByRole('row', { name: row }).locator('td').last()))![0]);
  await expect(page.getByRole('row', { name: /^a pulse lasts/u })).toContainText(spaced('25 %'));
  await expect(page.getByText(/^Steady .* would leave D1 dark/u)).toBeVisible();
  const [mean, peak] = [await figure(/^its mean/u), await figure(/^D1 while it lasts/u)];
  expect(Math.abs(mean / (0.25 * peak) - 1)).toBeLessThan(0.01);
  await openStage(page, 'Its day');
  await expect(page.locator('.instant-words')).toContainText('D1 is lit');
  await page.getByLabel('Another setting beneath').selectOption('its mean');
  await expect(page.getByText('Dashed: the mean of its pulses.')).toBeVisible();

  await page.getByLabel('Share of the time').fill('2 %');
  await page.getByLabel('Share of the time').press('Tab');
  await expect(alertSaying(page, 'more than this lamp stands')).toBeVisible();
  await expect(page.getByLabel('Share of the time')).toHaveValue(spaced('2 %'));
});

test('one half alone: parked on either rail, on the card and for who looks for a fault', async ({ page }) => {
  await page.goto('/lessons/17?stage=steps');
  const step = page.getByText(/Stop: test the half of U1 alone/u).first();
  await expect(step).toBeVisible({ timeout: 60_000 });
  await step.click();
  await expect(page.getByText(/470.Ω resistor parks/u).first()).toBeVisible();
  await expect(page.locator('.step-board, svg').getByText(/^RP/u).first()).toBeVisible();
  await openStage(page, 'Dry run');
  const rows = page.getByRole('row', { name: /^U2, without U1/u });
  await expect(rows).toHaveCount(2);
  await expect(rows.first()).toContainText('D1 blinks');
  await expect(rows.last()).toContainText('D2 blinks');
  await expect(page.getByRole('heading', { name: 'What if R3 were another?' })).toBeVisible();

  await page.goto('/lessons/16?stage=try');
  await expect(page.getByText('Damage it on purpose')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('heading', { name: /What if/u })).toHaveCount(0);
});
