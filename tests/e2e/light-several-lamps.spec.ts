import fs from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { alertSaying, line, openStage, saved, spaced, startLesson, rowsOnly } from './helpers';

const verdict = (page: Page) => page.locator('.what-happens');
const way = (page: Page, name: string | RegExp) => page.locator('.ways tr').filter({ hasText: name });

test('three blue and two red lamps: the ways are compared, and the educator overrules', async ({ page }) => {
  await startLesson(page, 'Quay one', 'Several lamps');
  // A tired block halves strings of two blue lamps, so each lamp by itself is best.
  await expect(way(page, 'each with its own resistor').first()).toContainText('(this lesson)');
  await expect(line(page, 'current of everything')).toHaveText(spaced('38.9 mA'));
  await expect(way(page, 'strings of 2')).toContainText(spaced('22.6 mA'));
  await expect(way(page, 'strings of 4')).toContainText('cannot be built');
  await expect(page.locator('.ways .why').filter({ hasText: 'D4 red' }).last()).toContainText(
    spaced('D4 red 20.8 mA'),
  );
  await way(page, 'strings of 2').getByRole('button', { name: 'take it' }).click();
  await expect(way(page, 'strings of 2')).toContainText('(this lesson)');
  await expect(line(page, 'current of everything')).toHaveText(spaced('22.6 mA'));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(way(page, 'each with its own resistor').first()).toContainText('(this lesson)');
});

test('more colours, more lamps: the sentence takes them, and says when it is too much', async ({ page }) => {
  await startLesson(page, 'Quay two', 'Several lamps');
  await page.getByRole('button', { name: '+ colour' }).click();
  await expect(page.getByLabel('Lamp 3', { exact: true })).toHaveValue('yellow');
  await expect(verdict(page)).toContainText('All 6 lamps are lit');
  await page.getByLabel('Number of lamps 3').fill('0');
  await expect(alertSaying(page, 'must be a whole number from 1 to 40')).toContainText('“0” is not');
  await page.getByLabel('Number of lamps 3').fill('40');
  await expect(page.locator('.note.refusal')).toContainText('45 lamps are more than one lesson takes (40)');
  await page.getByRole('button', { name: 'Without the yellow lamps' }).click();
  await expect(verdict(page)).toContainText('All 5 lamps are lit');
});

test('one lesson on every board: the plan, its cuts, and the card follow', async ({ page }) => {
  await startLesson(page, 'Quay three', 'Several lamps');
  await openStage(page, 'Plan');
  await page.getByLabel('Board', { exact: true }).selectOption('strip');
  await expect(verdict(page)).toContainText('Right.');
  await expect(page.getByText(/\d+ joints, about/u)).toContainText('cuts');
  await openStage(page, 'Steps');
  await expect(page.getByRole('heading', { name: /^Solder card/u })).toBeVisible();
  await expect(page.locator('.steps li').first()).toContainText('Cut the strips at');
  await expect(page.locator('.steps')).toContainText('Iron in its stand');
  await openStage(page, 'Plan');
  await page.getByLabel('Board', { exact: true }).selectOption('card');
  await expect(verdict(page)).toContainText('Right.');
  await openStage(page, 'Steps');
  await expect(page.getByRole('heading', { name: /^Craft card/u })).toBeVisible();
  await expect(page.locator('.steps')).toContainText('Try the blue lamp D1 before it is fixed.');
  await saved(page);
  await page.reload();
  await expect(page.getByRole('heading', { name: /^Craft card/u })).toBeVisible();
});

test('what does not fit says what is too much and which board would do', async ({ page }) => {
  await startLesson(page, 'Deck one', 'Panel');
  await openStage(page, 'Plan');
  await page.getByLabel('Board', { exact: true }).selectOption('mini');
  await expect(page.locator('.note.refusal')).toContainText('This is too much for the mini board');
  await expect(page.locator('.note.refusal')).toContainText('It fits on:');
  await expect(page.locator('.note.refusal')).toContainText('stripboard');
});

test('held flat, the arrow keys follow the drawing', async ({ page }) => {
  await startLesson(page, 'Quay four');
  await rowsOnly(page);
  await page.getByLabel('Board held').selectOption('flat');
  await expect(page.locator('svg.board')).toHaveAttribute('data-view', 'flat');
  await page.getByRole('button', { name: /^The resistor R1: leg in c3, leg in c8/u }).focus();
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('button', { name: /^The resistor R1: leg in d3, leg in d8/u })).toBeVisible();
});

test('a jumper is added and taken away again, and a part that was taken away is put back', async ({
  page,
}) => {
  await startLesson(page, 'Quay five');
  await rowsOnly(page);
  await page.getByLabel('New piece from').fill('b3');
  await page.getByLabel('New piece to').fill('b8');
  await page.getByRole('button', { name: 'Add it' }).click();
  await expect(verdict(page)).toContainText('Not as planned.');
  await expect(verdict(page)).toContainText('far beyond what it survives');
  await page.getByRole('button', { name: 'Take W3 away' }).click();
  await expect(verdict(page)).toContainText('Right.');
  await page.getByLabel('Piece to add').selectOption('R 330');
  await page.getByLabel('New piece from').fill('b3');
  await page.getByLabel('New piece to').fill('b8');
  await page.getByRole('button', { name: 'Add it' }).click();
  // Two of 330 Ω side by side: about twice the current.
  await expect(verdict(page)).toContainText(spaced('17.3 mA'));
  await page.getByRole('button', { name: 'Take R2 away' }).click();
  await expect(verdict(page)).toContainText('Right.');
  await page.getByRole('button', { name: 'Take D1 away' }).click();
  await expect(verdict(page)).toContainText('Not as planned.');
  await page.getByRole('button', { name: 'put the lamp D1 back' }).click();
  await expect(verdict(page)).toContainText('Right.');
});

test('dry run: say first what happens, then see it, with what the meter would read', async ({ page }) => {
  await startLesson(page, 'Quay six');
  await openStage(page, 'Dry run');
  const damage = page.getByLabel('What goes wrong');
  await expect(damage.locator('option').filter({ hasText: 'D1 the wrong way round' })).toHaveCount(1);
  await damage.selectOption({ label: 'D1 the wrong way round' });
  await expect(page.getByRole('columnheader', { name: 'the meter would read' })).toBeHidden();
  await page.getByLabel(/And, if you dare/u).fill('4.8');
  await page.getByRole('button', { name: 'it goes dark' }).click();
  await expect(page.getByText('As you said.')).toBeVisible();
  await expect(page.getByText(/You expected/u)).toContainText(spaced('it is −4.80 V'));
  const shorted = damage.locator('option').filter({ hasText: 'wire in the place of R1' });
  await damage.selectOption(await shorted.getAttribute('value'));
  await page.getByRole('button', { name: 'it gets dimmer' }).click();
  await expect(page.getByText('Not as you said.')).toBeVisible();
  await expect(page.locator('.note').filter({ hasText: 'fails at once' })).toBeVisible();
});

test('walking the resistor down ends at the floor, and says why', async ({ page }) => {
  await startLesson(page, 'Quay seven', 'Walk down');
  await expect(page.getByRole('row', { name: /stop above this one/u })).toHaveCount(1);
  await openStage(page, 'Dry run');
  const walk = page.getByRole('group', { name: 'Walk down' });
  const down = walk.getByRole('button', { name: 'one value down' });
  await expect(walk).toContainText('With');
  for (let i = 0; i < 40 && (await down.isEnabled()); i++) await down.click();
  await expect(walk).toContainText(spaced('above its limit of 20 mA'));
  await expect(down).toBeDisabled();
  await expect(page.getByRole('img', { name: /^Current of D1/u })).toContainText('ruin');
});

test('one step a screen, with all else ghosted; and the card as files', async ({ page }) => {
  await startLesson(page, 'Quay eight', 'Several lamps');
  await openStage(page, 'Steps');
  await page.getByRole('button', { name: 'One step at a time' }).click();
  const one = page.locator('.one-step');
  await expect(one).toContainText('step 1 of');
  await one.getByRole('button', { name: 'Next step' }).click();
  await expect(one).toContainText('step 2 of');
  const ghosts = () => one.locator('svg.board g[opacity="0.22"]:not([data-label])').count();
  const before = await ghosts();
  await one.getByRole('button', { name: 'Next step' }).click();
  await expect.poll(ghosts).toBeLessThan(before);
  await one.getByRole('button', { name: 'All steps' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Save as Markdown' }).click(),
  ]);
  const text = fs.readFileSync(await file.path(), 'utf8');
  expect(text).toContain('# Quay eight');
  expect(text).toMatch(/^1\. \[ \] \*\*/mu);
});

test('the diagram carries volts and currents on wish, and comes out as a file with its colours', async ({
  page,
}) => {
  await startLesson(page, 'Quay nine', 'Battery gauge');
  await openStage(page, 'Plan');
  const diagram = page.getByRole('img', { name: /^Circuit diagram/u });
  await expect(diagram).toContainText('mA');
  await page.getByLabel('volts and currents').uncheck();
  await expect(diagram).not.toContainText('mA');
  const section = page.locator('section').filter({ has: diagram });
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    section.getByRole('button', { name: 'Save as SVG' }).click(),
  ]);
  const svg = fs.readFileSync(await file.path(), 'utf8');
  expect(svg).toContain('Z1');
  expect(svg).not.toContain('var(--');
});

for (const [pattern, says] of [
  ['Coin light', 'Light'],
  ['Unlike lamps side by side', 'Put'],
  ['Dimmer', 'Dim one'],
  ['Three-colour lamp', 'three-colour lamp with common'],
  ['Battery gauge', 'Gauge'],
  ['Panel', 'Solder a panel'],
  ['Lamp cover', 'isolated 12 V supply'],
] as const) {
  test(`${pattern} starts with a sentence, a plan that is right, steps and a kit`, async ({ page }) => {
    await startLesson(page, `Started: ${pattern}`, pattern);
    await expect(page.locator('.sentence').first()).toContainText(says);
    const right = pattern.startsWith('Unlike') ? 'As planned, but look:' : 'Right.';
    await expect(verdict(page).locator('strong')).toHaveText(right);
    await openStage(page, 'Steps');
    await expect(page.locator('.steps li').last()).toContainText('Stop: is it right?');
    await openStage(page, 'Kit');
    await expect(page.getByRole('heading', { name: /^Kit for/u })).toBeVisible();
    await openStage(page, 'Checks');
    await expect(page.getByRole('rowheader', { name: /^pack under load .*from/u })).toBeVisible();
  });
}

test('a measured battery stands in the sentence with its volts and ohms', async ({ page }) => {
  await startLesson(page, 'Quay ten');
  await page.getByLabel('Age of the supply').selectOption('measured');
  await page.getByLabel('Measured volts').fill('4.2');
  await expect(line(page, 'supply, measured')).toHaveText(spaced('4.20 V'));
  await page.getByLabel('Measured ohms').fill('1.5');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Measured volts')).toHaveValue(spaced('4.2 V'));
});

test('the cheat sheet is on one page, with values, bands, currents and heat', async ({ page }) => {
  await page.goto('/cheat-sheet');
  const row = page.getByRole('row', { name: /^3 AA cells/u });
  await expect(row.getByRole('cell').first()).toContainText(spaced('330 Ω'));
  await expect(row.getByRole('cell').first()).toContainText('orange orange brown');
  await expect(row.getByRole('cell').first()).toContainText(spaced('8.85 mA'));
  await page.emulateMedia({ media: 'print' });
  const pdf = await page.pdf({ format: 'A4', landscape: true });
  expect(pdf.toString('latin1').match(/\/Type\s*\/Page\b/gu)).toHaveLength(1);
});

test('a battery is read by two figures', async ({ page }) => {
  await page.goto('/store');
  const section = page
    .locator('section')
    .filter({ has: page.getByRole('heading', { name: 'Read a battery' }) });
  await section.getByLabel('volts, nothing on it').fill('4.5');
  await section.getByLabel('volts, loaded').fill('4.41');
  await expect(section.getByRole('status')).toContainText(spaced('4.50 V behind 0.673 Ω'));
  await expect(section.getByRole('status')).toContainText(spaced('10 % spent'));
  await section.getByLabel('volts, loaded').fill('4.9');
  await expect(section).toContainText('Loaded it cannot show more than open');
});

test('a forgotten cut and a bridge of solder are tried before the iron is hot', async ({ page }) => {
  await page.goto('/lessons/11?stage=try');
  const list = page.getByLabel('What goes wrong');
  await expect(list.locator('optgroup[label="the board"] option').first()).toHaveText(
    'The strip not cut at F5 (1 more does the same)',
  );
  await list.selectOption({ label: 'The strip not cut at F5 (1 more does the same)' });
  await page.getByRole('button', { name: 'it stays as it was' }).click();
  // Uncut, R1 and R2 meet on strip F: the two lamps share the current of both.
  await expect(page.getByText(/As you said\./u)).toBeVisible();
  await expect(page.getByText('What does and reads just the same: The strip not cut at M5.')).toBeVisible();
  await list.selectOption({ index: 1 });
  await expect(page.getByText('First say it:')).toBeVisible();
});
