import { expect, test, type Page } from '@playwright/test';
import { lampPanel, outputDriven } from '@/demo/circuits';
import { alertSaying, spaced } from './helpers';

const section = (page: Page, name: string) => page.getByRole('region', { name, exact: true });

async function open(page: Page, title: string): Promise<void> {
  await page.goto('/circuits');
  await page.getByLabel('From the harbour').selectOption(title);
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
}

test('a blinker has no figures at rest, and a period that follows its resistor', async ({ page }) => {
  await open(page, 'buoy');
  await expect(section(page, 'At rest')).toContainText('never comes to rest');
  const period = section(page, 'Over time').getByRole('row', { name: /^out/u }).getByRole('cell').nth(0);
  // 68 kΩ and 10 µF: 0.980·RC high and 0.702·RC low; the lamp's load moves the high half a little.
  await expect(period).toHaveText(spaced('1.16 s'));
  await page.getByLabel('R1: ohms').fill('34k');
  await expect(period).toHaveText(spaced('0.580 s'));
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Seconds to follow')).toHaveValue(spaced('5 s'));
});

test('what cannot be read stays as typed, and the figures stay', async ({ page }) => {
  await open(page, 'pier lamp');
  const lamp = section(page, 'At rest').getByRole('row', { name: /^D1/u });
  await expect(lamp).toContainText(spaced('8.85 mA'));
  await page.getByLabel('R1: ohms').fill('33o');
  await expect(alertSaying(page, '33o')).toContainText('is not a figure');
  await expect(page.getByLabel('R1: ohms')).toHaveValue('33o');
  await expect(lamp).toContainText(spaced('8.85 mA'));
  await page.getByLabel('R1: ohms').fill('1k');
  await expect(lamp).toContainText(spaced('2.99 mA'));
  await page.reload();
  await expect(page.getByLabel('R1: ohms')).toHaveValue(spaced('1 kΩ'));
});

test('a circuit is drawn, transistors and all, and follows what is typed', async ({ page }) => {
  await open(page, 'boathouse lamp');
  const drawing = section(page, 'Circuit diagram').getByRole('img');
  await expect(drawing).toHaveAccessibleName(/Q1/u);
  await expect(drawing).toHaveAccessibleName(/T1 22\skΩ/u);
  await page.getByLabel('T1: ohms').fill('33k');
  await expect(drawing).toHaveAccessibleName(/T1 33\skΩ/u);
  await page.getByLabel('From the harbour').selectOption('storm lights');
  await expect(section(page, 'Circuit diagram').getByRole('img')).toHaveAccessibleName(/QH.*QM|QM.*QH/u);
});

async function openFile(page: Page, file: object): Promise<void> {
  await page.getByLabel('From a circuit file').setInputFiles({
    name: 'own.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
}

test('bands are drawn, follow the circuit, and can be stopped and begun again', async ({ page }) => {
  await open(page, 'pier lamp');
  const spread = section(page, 'From part to part');
  const first = spread.getByRole('img').first();
  await expect(first).toHaveAttribute('aria-label', /^lamp current: typical 8\.85/u);
  await expect(spread).toContainText('20,000 draws, seed 1');
  await page.getByLabel('B1: volts').fill('4.5 V');
  await expect(first).toHaveAttribute('aria-label', /typical 7\.97/u);
  const panel = lampPanel(24);
  await openFile(page, { ...panel, checks: [{ id: 'one lamp', measure: 'amps', part: 'D1' }] });
  await expect(spread.getByRole('progressbar', { name: 'Draws done' })).toBeVisible();
  await spread.getByRole('button', { name: 'Cancel' }).click();
  await expect(spread).toContainText('Cancelled.');
  await expect(first).toBeHidden();
  await spread.getByRole('button', { name: 'Work it out again' }).click();
  await expect(first).toHaveAttribute('aria-label', /^one lamp: typical 9\.\d\d/u, { timeout: 40_000 });
});

test('a long run shows how far it is, and can be stopped', async ({ page }) => {
  await open(page, 'storm lights');
  const time = section(page, 'Over time');
  await expect(time.getByRole('img', { name: /^Current of DH1, DM1, DL1/u })).toBeVisible();
  await page.getByLabel('Seconds to follow').fill('20 s');
  await expect(time.getByRole('progressbar', { name: 'Time that is worked out' })).toBeVisible();
  await time.getByRole('button', { name: 'Cancel' }).click();
  await expect(time.getByRole('progressbar')).toHaveCount(0);
  await page.getByLabel('Seconds to follow').fill('50 ms');
  await expect(time.getByRole('img', { name: /over 50/u }).first()).toBeVisible();
});

test('questions are answered as they are typed', async ({ page }) => {
  await open(page, 'launch battery gauge');
  const questions = section(page, 'Questions');
  await expect(questions).toContainText(spaced('D1 10.1 V, D2 11.0 V, D3 12.0 V'));
  await page.getByLabel('Current that counts as lit').fill('5 mA');
  await expect(questions).toContainText(spaced('D1 11.1 V'));
  await page.getByLabel('Form of the timer').selectOption('one-shot');
  await page.getByLabel('Time it is to take').fill('5s');
  const first = questions.getByRole('row').nth(1).getByRole('cell');
  await expect(first).toContainText([spaced('470 kΩ'), spaced('10 µF'), spaced('5.16 s'), spaced('3.3 %')]);
  await page.getByLabel('Form of the timer').selectOption('output-driven');
  await page.getByLabel('Supply of the chip').fill('3.3 V');
  await expect(questions).toContainText('it stalls high');
});

test('a circuit of one’s own comes from a file, and a broken one leaves the screen as it was', async ({
  page,
}) => {
  await open(page, 'signal lantern');
  const choose = (name: string, text: string) =>
    page.getByLabel('From a circuit file').setInputFiles({
      name,
      mimeType: 'application/json',
      buffer: Buffer.from(text),
    });
  await choose('half.json', '{ "format": ');
  await expect(alertSaying(page, 'not JSON')).toContainText('not JSON');
  await expect(page.getByRole('heading', { level: 1, name: 'signal lantern' })).toBeVisible();
  const own = { ...outputDriven('cmos', 6, 22e3, 10e-6), title: 'slip light' };
  await choose('slip.json', JSON.stringify(own));
  await expect(page.getByRole('heading', { level: 1, name: 'slip light' })).toBeVisible();
  await expect(section(page, 'Over time').getByRole('row', { name: /^out/u })).toContainText(spaced('Hz'));
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a file' }).click();
  expect((await saving).suggestedFilename()).toBe('slip-light.json');
});

test('a lamp that holds itself shows both of its states', async ({ page }) => {
  await open(page, 'night watch');
  const rest = section(page, 'At rest');
  const lamp = rest.getByRole('row', { name: /^D1/u });
  await expect(lamp).toContainText('dark');
  await rest.getByRole('radio', { name: 'once lit' }).check();
  await expect(lamp).not.toContainText('dark');
});

test('a question that takes long can be stopped and asked again', async ({ page }) => {
  await open(page, 'port and starboard');
  const row = page.locator('.question-row').filter({ has: page.getByLabel('Battery', { exact: true }) });
  await row.getByRole('button', { name: 'Cancel' }).click();
  await expect(row).toContainText('Cancelled.');
  await row.getByRole('button', { name: 'Work it out again' }).click();
  await expect(row.getByRole('progressbar', { name: 'Answer that is worked out' })).toBeVisible();
});
