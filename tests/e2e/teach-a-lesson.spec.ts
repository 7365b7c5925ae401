import { expect, test } from '@playwright/test';
import { alertSaying, line, openStage, plainText, saved, spaced, startLesson } from './helpers';

test('the sums are shown as students of each level get them, and their sheet is printed so', async ({
  page,
}) => {
  const id = await startLesson(page, 'Level lamp');
  await openStage(page, 'Aim & cautions');
  await page.getByLabel('What they are given').selectOption('no mathematics');
  await page.getByLabel('To take home').fill('Count the lamps of your street.');
  await saved(page);
  await openStage(page, 'Sums');
  await expect(line(page, 'divided by the wanted current')).toHaveText(spaced('291.5 Ω'));
  await page.getByLabel('Shown with').selectOption({ label: 'no mathematics, as the students get it' });
  await expect(page.getByRole('heading', { name: spaced('R1: 330 Ω') })).toBeVisible();
  await expect(page.locator('.stage-view')).not.toContainText('÷');
  await page.getByLabel('Shown with').selectOption({ label: 'a card' });
  await expect(line(page, 'divided by the current')).toHaveText(spaced('291 Ω'));

  await page.goto(`/print/${id}/sheet`);
  await expect(page.getByText('At home: Count the lamps of your street.')).toBeVisible();
  await expect(page.locator('.printed')).not.toContainText('÷');
  await expect(page.locator('.printed .words')).toContainText('How much a part holds the current back.');
  await expect(page.getByRole('img', { name: 'The lesson as text' })).toBeVisible();
  const above = (await plainText(page.locator('.printed'))).split('Fold back')[0]!;
  expect(above).not.toContain('8.85 mA –');
});

test('what comes before a lesson is linked, its time adds up, its words are its own', async ({ page }) => {
  await page.goto('/lessons/8?stage=aim');
  await expect(page.getByRole('link', { name: 'Finding the glow, lesson 5' })).toBeVisible();
  const minutes = page.locator('section').filter({ has: page.getByRole('heading', { name: 'Time' }) });
  const figures = (await plainText(minutes)).match(/\d+(?= min)/gu)!.map(Number);
  expect(figures[4]).toBe(figures.slice(0, 4).reduce((sum, figure) => sum + figure, 0));
  await expect(page.locator('.words')).toContainText('wiper');
  await expect(page.locator('.words')).not.toContainText('zener');

  await page.getByRole('link', { name: 'Say them in your own words' }).click();
  await page.getByLabel('Your own words for potentiometer').fill('The knob that Fenn likes.');
  await page.getByRole('button', { name: 'Save the words' }).click();
  await expect(page.getByText('Lessons and students’ sheets say it your way.')).toBeVisible();
  await page.goto('/lessons/8?stage=aim');
  await expect(page.locator('.words')).toContainText('The knob that Fenn likes.');
  await page.goto('/glossary');
  await page.getByLabel('Your own words for potentiometer').fill('');
  await page.getByRole('button', { name: 'Save the words' }).click();
  await page.goto('/lessons/8?stage=aim');
  await expect(page.locator('.words')).toContainText('wiper');
});

test('a thing besides the circuit is packed, paid for once the store has it, and fitted last', async ({
  page,
}) => {
  await startLesson(page, 'Jar lamp');
  await openStage(page, 'Kit');
  await page.getByRole('button', { name: 'Add a thing' }).click();
  await page.getByLabel('Thing 1', { exact: true }).fill('marmalade jar');
  await page.getByLabel('Thing 1', { exact: true }).press('Tab');
  await page.getByLabel('Number of marmalade jar for one student').fill('2');
  await page.getByLabel('What is done with marmalade jar').fill('Stand both over the lamp');
  const row = page.getByRole('row', { name: /^marmalade jar/u });
  await expect(row.locator('td').first()).toHaveText('2');
  await expect(page.getByText(/without a price: .*marmalade jar/u)).toBeVisible();
  await openStage(page, 'Steps');
  await expect(page.locator('.steps li').last()).toContainText(
    'Marmalade jar (2): Stand both over the lamp.',
  );
  await saved(page);
  await page.reload();
  await expect(page.locator('.steps li').last()).toContainText('Marmalade jar (2)');

  await page.goto('/store');
  await page.getByText('Add a part').click();
  await page.getByRole('combobox', { name: 'Kind' }).selectOption('thing');
  await page.getByLabel('What it is').fill('marmalade jar');
  await page.getByLabel('In store').fill('60');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByText('Marmalade jar is in the store now.')).toBeVisible();
  await expect(page.getByRole('row', { name: /^marmalade jar 60/u })).toBeVisible();
});

test('the store takes in zeners and boards, and refuses what has no value', async ({ page }) => {
  await page.goto('/store');
  await page.getByText('Add a part').click();
  await page.getByRole('combobox', { name: 'Kind' }).selectOption('zener');
  await page.getByLabel('Its volts').fill('blue');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(alertSaying(page, 'blue')).toBeVisible();
  await page.getByLabel('Its volts').fill('6V8');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(page.getByRole('row').filter({ hasText: spaced('zener 6.80 V') })).toBeVisible();
});

test('a battery that was read is kept by name and chosen in the sentence', async ({ page }) => {
  await page.goto('/store');
  await page.getByLabel('volts, nothing on it').fill('4.5');
  await page.getByLabel('volts, loaded').fill('4.4');
  await expect(page.getByText(spaced('4.50 V behind 0.750 Ω of its own'))).toBeVisible();
  await page.getByLabel('Name on the battery').fill('box 9');
  await page.getByRole('button', { name: 'Keep this reading' }).click();
  await expect(page.getByRole('row', { name: /^box 9/u })).toContainText(spaced('4.50 V'));

  await startLesson(page, 'Box lamp');
  await page
    .getByLabel('Age of the supply')
    .selectOption({ label: 'box 9, read 4.50 V'.replace(' V', '\u202fV') });
  await expect(page.getByLabel('Measured volts')).toHaveValue(spaced('4.5 V'));
  await expect(line(page, 'volts left for the resistor')).toHaveText(spaced('2.62 V'));
  await page.goto('/store');
  await page.getByRole('button', { name: 'Put box 9 away' }).click();
  await expect(page.getByRole('row', { name: /^box 9/u })).toHaveCount(0);
});

test('bands are practised on the drawer’s own values, and an unknown lamp is named by its volts', async ({
  page,
}) => {
  await page.goto('/store');
  await page.getByRole('button', { name: 'Begin' }).click();
  const answer = page.getByLabel('What is it?');
  // No drawer of preferred values has it, whichever resistor was drawn.
  await answer.fill('77k');
  await answer.press('Enter');
  await expect(page.getByText(spaced('77 kΩ: look again'))).toBeVisible();
  await page.getByRole('button', { name: 'Show me' }).click();
  await expect(page.getByText(/^It is [\d.]+\s?[kM]?Ω\.$/u)).toBeVisible();
  await page.getByRole('button', { name: 'Next one' }).click();
  await expect(answer).toHaveValue('');

  await page.getByLabel('volts across it').fill('2.9');
  await page.getByLabel('current in mA').fill('6');
  await expect(page.getByText(/^Like .*blue/u)).toContainText('Its light tells which.');
  await page.getByLabel('volts across it').fill('5.5');
  await expect(page.getByText(/^No lamp of this store shows/u)).toBeVisible();
});

test('a soldered board turns over: the joints are where its legs are, mirrored', async ({ page }) => {
  await page.goto('/lessons/11?stage=plan');
  const front = page.locator('.big-board [data-part="R1"] [data-leg]').first();
  const width = await page
    .locator('svg.board')
    .evaluate((svg) => (svg as SVGSVGElement).viewBox.baseVal.width);
  const x = Number(await front.getAttribute('cx'));
  await page.getByRole('button', { name: 'Turn it over' }).click();
  const joint = page.locator('.big-board [data-joint="A3"] circle');
  expect(Number(await joint.getAttribute('cx'))).toBeCloseTo(width - x, 3);
  await expect(page.locator('.big-board [data-cut]')).toHaveCount(14);
  await page.getByRole('button', { name: 'Turn it over' }).click();
  // Parts can be picked up as before.
  await page.getByRole('button', { name: /^The resistor R1:/u }).focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.locator('.what-happens')).not.toContainText('Reading the board');

  await page.goto('/lessons/11?stage=steps');
  await page.getByRole('button', { name: 'One step at a time' }).click();
  await expect(page.locator('.one-step svg[data-face="copper"]')).toBeVisible();
  await page.goto('/print/11/card');
  await expect(page.locator('svg[data-face="copper"]')).toBeVisible();
});
