import { expect, test } from '@playwright/test';
import { alertSaying, openStage, plainText, saved, spaced, startLesson } from './helpers';

test('a newcomer makes a lamp that comes on at dusk, and sees where it switches', async ({ page }) => {
  const id = await startLesson(page, 'Porch lamp', 'Light switch');
  await page.getByLabel('Dark where').selectOption('window');
  await openStage(page, 'Sums');
  const switches = page.getByRole('row', { name: /^it switches at/u });
  await expect(switches).toContainText('lx');
  // Half way by ratio between dusk, 5 lx, and the window, 2,000 lx.
  const lux = async () => Number(/[\d.]+/u.exec(await plainText(switches.locator('td').last()))![0]);
  await expect.poll(lux).toBeGreaterThan(70);
  expect(await lux()).toBeLessThan(160);
  await expect(page.getByRole('row', { name: /^at dusk/u })).toContainText('bright');
  await expect(page.getByRole('row', { name: /^at the window/u })).toContainText('dark');
  await expect(page.getByRole('img', { name: /Current of the lamp from/u })).toBeVisible();
  await openStage(page, 'Plan');
  await expect(page.getByRole('img', { name: /Circuit diagram: .*Q1/u })).toBeVisible();
  await openStage(page, 'Steps');
  await expect(page.getByText(/Put the transistor Q1/u).first()).toBeVisible();
  await saved(page);
  await page.goto(`/print/${id}/card`);
  const card = page.locator('.printed');
  await expect(card).toContainText('Collector in');
  await expect(card).toContainText('L1 at dusk');
  await expect(card).toContainText('Then L1 at the window: the lamp goes out.');
});

test('the other way round, with one’s own sensor, and what cannot be', async ({ page }) => {
  await startLesson(page, 'Show case', 'Light switch');
  await page.getByLabel('Lit where').selectOption('window');
  await page.getByLabel('Dark where').selectOption('dusk');
  await openStage(page, 'Aim');
  await expect(page.getByText('The lamp is lit at the window.')).toBeVisible();
  await expect(page.getByText('The lamp is dark at dusk.')).toBeVisible();
  await page.getByLabel('Sensor', { exact: true }).selectOption('measured');
  await page.getByLabel('Sensor where it is lit').fill('2k');
  await page.getByLabel('Sensor where it is lit').press('Tab');
  await page.getByLabel('Sensor where it is dark').fill('60k');
  await page.getByLabel('Sensor where it is dark').press('Tab');
  await openStage(page, 'Sums');
  await expect(page.getByRole('row', { name: /^at dusk/u })).toContainText(spaced('60 kΩ'));
  // In another light the same sensor has what its two readings say of it: the slope of the line through both.
  await page.getByLabel('Dark where').selectOption('hood');
  const slope = Math.log(2e3 / 60e3) / Math.log(2000 / 5);
  const expected = 2e3 * (0.1 / 2000) ** slope;
  await expect(page.getByLabel('Sensor where it is dark')).toHaveValue(
    new RegExp(`^${String(Math.round(expected / 1e3))}`, 'u'),
  );
  await page.getByLabel('Dark where').selectOption('dusk');
  await page.getByLabel('Lit where').selectOption('dusk');
  await expect(alertSaying(page, 'cannot be lit and dark in the same light')).toBeVisible();
});

test('a beam across a jetty: as far as it reaches, with the hood off, and where it cannot be', async ({
  page,
}) => {
  const id = await startLesson(page, 'Tripwire', 'Beam alarm');
  await openStage(page, 'Sums');
  const beam = page.getByRole('row', { name: /^beam whole/u });
  await expect(beam).toContainText('lx on L1');
  // 400 cd an amp, ten times by the lens, over half a metre squared; the room’s 150 lx past the hood.
  const lux = async (name: RegExp) =>
    Number(/[\d.]+/u.exec(await plainText(page.getByRole('row', { name }).locator('td').last()))![0]);
  await expect.poll(() => lux(/^from the lamp/u)).toBeGreaterThan(140);
  expect(await lux(/^from the lamp/u)).toBeLessThan(165);
  expect(await lux(/^from the room/u)).toBeCloseTo(7.5, 6);
  await expect(page.getByRole('row', { name: /^by a room lamp open/u })).toContainText('never sounds');
  await expect(page.getByRole('row', { name: /^by a room lamp under a hood/u })).toContainText(
    'sounds when cut',
  );
  await openStage(page, 'Aim');
  await expect(page.getByText('It is silent while the beam is whole.')).toBeVisible();
  await expect(page.getByText('It sounds while the beam is cut.')).toBeVisible();
  await saved(page);
  await page.goto(`/print/${id}/card`);
  const card = page.locator('.printed');
  await expect(card).toContainText('Hold a hand into the beam of D1.');
  await expect(card).toContainText('it stands 0.5');
  await page.goto(`/lessons/${id}`);
  await page.getByLabel('Distance').fill('300 cm');
  await page.getByLabel('Distance').press('Tab');
  await expect(alertSaying(page, 'it works')).toBeVisible();
  await page.getByLabel('Distance').fill('far');
  await page.getByLabel('Distance').press('Tab');
  await expect(page.getByLabel('Distance')).toHaveValue('far');
  await page.getByLabel('Distance').fill('40 cm');
  await page.getByLabel('Distance').press('Tab');
  await expect(page.getByLabel('Distance')).toHaveValue(spaced('0.4 m'));
});
