import { expect, test } from '@playwright/test';
import { alertSaying, line, openStage, spaced, startLesson } from './helpers';

// These change or count what every other test shares, so they run by themselves, after the others.
test.describe.configure({ mode: 'serial' });

test('house style decides, and is changed in one place', async ({ page }) => {
  await page.goto('/settings');
  await page.getByLabel('After the sum, take').selectOption('nearest');
  await page.getByRole('button', { name: 'Save the house style' }).click();
  await expect(page.getByText('Saved. Every sheet follows it')).toBeVisible();
  await startLesson(page, 'Harbour lamp eight');
  await expect(line(page, 'to choose from')).toHaveText(spaced('270 Ω'));
  await page.goto('/settings');
  await page.getByLabel('After the sum, take').selectOption('up');
  await page.getByRole('button', { name: 'Save the house style' }).click();
  await expect(page.getByText('Saved. Every sheet follows it')).toBeVisible();
});

test('the store: stock changes, lamp figures with their origin, bands read both ways', async ({ page }) => {
  await page.goto('/store');
  await page.getByLabel('Band 1').selectOption('yellow');
  await page.getByLabel('Band 2').selectOption('violet');
  await page.getByLabel('Band 3').selectOption('red');
  await expect(page.getByText(spaced('4.7 kΩ ± 5 %: in the drawer.'))).toBeVisible();
  await page.getByLabel('or the value').fill('680');
  await expect(page.getByLabel('Band 1')).toHaveValue('blue');
  await page.getByLabel('or the value').fill('332');
  await expect(page.getByText(spaced('332 Ω has more digits than 4 bands can say.'))).toBeVisible();
  await page.getByRole('button', { name: 'Change lamp, red' }).click();
  await page.getByLabel('lamp, red: in store').fill('40');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('row', { name: /^lamp, red/u })).toContainText('40');
  await page.getByRole('button', { name: 'Change the violet lamp' }).click();
  const form = page.getByRole('form', { name: 'Figures of the violet lamp' });
  await form.getByLabel('Forward voltage').fill('9 V');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(form.getByRole('alert')).toContainText('The forward voltage must be at most 6');
  await form.getByLabel('Forward voltage').fill('3.32');
  await form.getByLabel('from').selectOption('measured');
  await form.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('row', { name: /^violet/u })).toContainText('measured');
  await startLesson(page, 'Measured violet');
  await page.getByLabel('Lamp', { exact: true }).selectOption('violet');
  await openStage(page, 'Parts');
  await expect(page.getByRole('row', { name: /^forward voltage/u })).toContainText(
    'measurement of this batch',
  );
});

test('a hostile or half-written lesson file is refused whole', async ({ page }) => {
  await page.goto('/lessons');
  const before = await page.getByRole('listitem').count();
  const send = (text: string) =>
    page
      .getByLabel('Lesson file (JSON)')
      .setInputFiles({ name: 'x.json', mimeType: 'application/json', buffer: Buffer.from(text) });
  await send('{"format":"mivvet.lesson/1","title":"Half');
  await expect(alertSaying(page, 'Nothing was imported')).toContainText('cut short or not JSON');
  await send(
    '{"format":"mivvet.lesson/1","title":"x","choice":{"pattern":"single","params":{"amps":"<script>"}}}',
  );
  await expect(alertSaying(page, 'Nothing was imported')).toContainText('lesson: ');
  await send('{"format":"something else"}');
  await expect(alertSaying(page, 'Nothing was imported')).toContainText(
    'Choose a file that was exported here',
  );
  await page.reload();
  expect(await page.getByRole('listitem').count()).toBe(before);
});
