import { expect, test } from '@playwright/test';
import fs from 'node:fs';
import { line, openStage, plainText, saved, spaced, startLesson } from './helpers';

test('says what is wanted and gets the working at once, line by line', async ({ page }) => {
  await startLesson(page, 'Harbour lamp one');
  await expect(line(page, 'supply, fresh')).toHaveText(spaced('4.80 V'));
  await expect(line(page, 'volts left for the resistor')).toHaveText(spaced('2.92 V'));
  await expect(line(page, 'divided by the wanted current')).toHaveText(spaced('291.5 Ω'));
  await expect(line(page, 'to choose from')).toHaveText(spaced('330 Ω'));
  await expect(line(page, 'real current with it')).toHaveText(spaced('8.85 mA'));
  await expect(page.getByRole('row', { name: /4 bands/u })).toContainText('orange, orange, brown, gold');
  await expect(page.getByRole('row', { name: /5 bands/u })).toContainText(
    'orange, orange, black, black, brown',
  );
  await expect(line(page, 'battery hours')).toHaveText(spaced('301 h'));
  await expect(page.getByRole('row', { name: /nearest either way/u })).toContainText(spaced('10.8 mA'));
});

const FIGURES = [
  {
    supply: 'aa-alkaline',
    cells: '3',
    age: 'fresh',
    lamp: 'red',
    amps: '10',
    current: '10.8 mA',
    ohms: '270 Ω',
  },
  { supply: 'usb', age: 'nominal', lamp: 'blue', amps: '14', current: '13.2 mA', ohms: '150 Ω' },
  {
    supply: 'aa-alkaline',
    cells: '4',
    age: 'fresh',
    lamp: 'green',
    amps: '10.4',
    current: '10.4 mA',
    ohms: '330 Ω',
  },
] as const;

for (const wish of FIGURES) {
  test(`${wish.lamp} from ${wish.supply}: ${wish.ohms} and ${wish.current}`, async ({ page }) => {
    await startLesson(page, `Figures ${wish.lamp}`);
    await page.getByLabel('Lamp', { exact: true }).selectOption(wish.lamp);
    await page.getByLabel('Supply', { exact: true }).selectOption(wish.supply);
    if ('cells' in wish) await page.getByLabel('Number of cells').fill(wish.cells);
    await page.getByLabel('Age of the supply').selectOption(wish.age);
    await page.getByLabel('Wanted current').fill(wish.amps);
    await page.getByLabel('Rounding').selectOption('nearest');
    await expect(line(page, 'to choose from')).toHaveText(spaced(wish.ohms));
    await expect(line(page, 'real current with it')).toHaveText(spaced(wish.current));
  });
}

test('every figure follows the supply, and what changed is marked until one looks away', async ({ page }) => {
  await startLesson(page, 'Harbour lamp two');
  await page.getByLabel('Supply', { exact: true }).focus();
  await page.getByLabel('Supply', { exact: true }).selectOption('block-9v');
  await expect(line(page, 'supply, fresh')).toHaveText(spaced('9.50 V'));
  await expect(line(page, 'to choose from')).toHaveText(spaced('820 Ω'));
  await expect(page.locator('.changed').first()).toBeVisible();
  await page.getByLabel('Supply', { exact: true }).blur();
  await expect(page.locator('.changed')).toHaveCount(0);
  await openStage(page, 'Steps');
  await expect(page.getByText('Carry 9 V blocks with their caps on')).toBeVisible();
  await expect(
    page.getByText(spaced('Put the resistor R1, 820 Ω, in left + rail beside row 3 and b3.')),
  ).toBeVisible();
  await openStage(page, 'Kit');
  await expect(page.getByRole('row', { name: /^9 V block/u })).toBeVisible();
});

test('keeps what is typed, with undo and redo, also over a reload', async ({ page }) => {
  await startLesson(page, 'Harbour lamp three');
  await page.getByLabel('Wanted current').fill('5 mA');
  await expect(line(page, 'to choose from')).toHaveText(spaced('680 Ω'));
  await saved(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(line(page, 'to choose from')).toHaveText(spaced('330 Ω'));
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(line(page, 'to choose from')).toHaveText(spaced('680 Ω'));
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Wanted current')).toHaveValue(spaced('5 mA'));
  await expect(line(page, 'to choose from')).toHaveText(spaced('680 Ω'));
});

test('checks show typical, band and corners, with the meter’s burden, as a chart', async ({ page }) => {
  await startLesson(page, 'Harbour lamp four');
  await openStage(page, 'Checks');
  await expect(page.getByText('From 20,000 drawn builds')).toBeVisible();
  const row = page.getByRole('row', { name: /^current/u }).first();
  await expect(row).toContainText(spaced('8.60 mA'));
  await expect(row).toContainText(spaced('the meter’s own 10 Ω is counted in'));
  const across = await plainText(page.getByRole('row', { name: /^across R1/u }).first());
  const [typical, low, high, worstLow, worstHigh] = [...across.matchAll(/(\d\.\d+) V/gu)].map((m) =>
    Number(m[1]),
  );
  expect(typical).toBeCloseTo(2.92, 2);
  expect([worstLow!, low!, typical!, high!, worstHigh!]).toEqual(
    [worstLow!, low!, typical!, high!, worstHigh!].sort((a, b) => a - b),
  );
  await expect(page.getByRole('img', { name: /^across R1: typical 2\.92/u })).toBeVisible();
});

test('kit as CSV and plan as SVG come out as files', async ({ page }) => {
  await startLesson(page, 'Harbour lamp five');
  await openStage(page, 'Kit');
  const [csv] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Save as CSV' }).click(),
  ]);
  expect(csv.suggestedFilename()).toBe('harbour-lamp-five-kit.csv');
  const table = fs.readFileSync(await csv.path(), 'utf8').replaceAll('\u202f', ' ');
  expect(table).toContain('resistor 330 Ω,R1,1,14,');
  expect(table).toContain('jumper wire,W1,1,14,');
  await openStage(page, 'Plan');
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save the plan as SVG' }).click(),
  ]);
  const drawing = fs.readFileSync(await svg.path(), 'utf8');
  expect(drawing).toContain('<svg');
  expect(drawing).toContain('long leg e3');
});

test('card and check sheet print on their own pages', async ({ page }) => {
  const id = await startLesson(page, 'Harbour lamp six');
  await page.goto(`/print/${id}/card`);
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('button', { name: 'Print' })).toBeHidden();
  await expect(page.getByText('Stop: look before power.')).toBeVisible();
  await expect(
    page.getByText('Long leg in e3. Short leg, on the flat edge of the rim, in e4.'),
  ).toBeVisible();
  expect((await page.pdf({ format: 'A4' })).length).toBeGreaterThan(10_000);
  await page.goto(`/print/${id}/checks`);
  await expect(page.getByRole('columnheader', { name: /across R1/u })).toContainText('2.6');
  await expect(page.getByRole('row')).toHaveCount(13);
});

test('travels to another machine as one file', async ({ page }) => {
  await startLesson(page, 'Harbour lamp seven');
  await page.getByLabel('Wanted current').fill('7 mA');
  await saved(page);
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Export' }).click(),
  ]);
  const text = fs.readFileSync(await file.path(), 'utf8');
  expect(JSON.parse(text)).toMatchObject({
    format: 'mivvet.lesson/1',
    title: 'Harbour lamp seven',
    choice: { params: { amps: 0.007 } },
  });
  await page.goto('/lessons');
  await page
    .getByLabel('Lesson file (JSON)')
    .setInputFiles({ name: 'l.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Harbour lamp seven');
  await expect(page.getByLabel('Wanted current')).toHaveValue(spaced('7 mA'));
});

test('typing is never held up by the sums', async ({ page }) => {
  await startLesson(page, 'Harbour lamp nine');
  const field = page.getByLabel('Wanted current');
  await field.fill('');
  await field.pressSequentially('12.345 mA', { delay: 15 });
  await expect(field).toHaveValue('12.345 mA');
  await field.press('Enter');
  await expect(line(page, 'to choose from')).toHaveText(spaced('270 Ω'));
});
