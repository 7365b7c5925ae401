import { expect, test } from '@playwright/test';
import { alertSaying, makeGroup, saved, spaced, startLesson } from './helpers';

test('lands on today: the next session, what to pack, who needs a retest, what is short', async ({
  page,
}) => {
  await page.goto('/');
  await expect(page.getByRole('heading', { name: 'Pier lamp, Tern' })).toBeVisible();
  await expect(page.getByText('10 Jory')).toBeVisible();
  await expect(page.getByText(/wire in the place of R1/u)).toBeVisible();
  await expect(page.getByText(/more lamp, red/u)).toBeVisible();
  const box = page.getByRole('checkbox', { name: 'jumper wire' });
  await box.check();
  await expect(page.getByRole('heading', { name: '7 of 8 kinds left' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  await page.reload();
  await expect(box).toBeChecked();
});

test('mains is refused in any spelling, with a way on, and the figures from before stay', async ({
  page,
}) => {
  await startLesson(page, 'No mains');
  await page.getByLabel('Supply', { exact: true }).selectOption('bench');
  const volts = page.getByLabel('Supply voltage');
  for (const typed of ['230', '230 V AC', '110 V', '12 V ac']) {
    await volts.fill(typed);
    await expect(alertSaying(page, 'mains')).toContainText('isolated supply of up to 24 V instead');
    await expect(volts).toHaveValue(typed);
  }
  await volts.fill('30');
  await expect(alertSaying(page, 'stop at')).toContainText(spaced('30.0 V is above the 24.0 V'));
  await volts.fill('12 V');
  await expect(alertSaying(page, 'keeps the figures')).toHaveCount(0);
});

test('nonsense, emptiness and lamps that cannot be lit each get a sentence', async ({ page }) => {
  await startLesson(page, 'Odd wishes');
  const refusal = page.locator('.note.refusal');
  await page.getByLabel('Wanted current').fill('lots');
  await expect(refusal).toContainText('“lots” is not a figure. Type it as the trade does: 10 mA or 12m.');
  await page.getByLabel('Wanted current').fill('');
  await expect(refusal).toContainText('Nothing is typed yet.');
  await page.getByLabel('Wanted current').fill('2 A');
  await expect(refusal).toContainText(spaced('A lamp current of 2.00 A is outside 100 µA to 30.0 mA.'));
  await page.getByLabel('Wanted current').fill('10');
  await page.getByLabel('Number of cells').fill('99');
  await expect(refusal).toContainText('must be a whole number from 1 to 8, and “99” is not');
  await page.getByLabel('Number of cells').fill('1');
  await expect(refusal).toContainText('cannot push the wanted current through a red lamp');
  await expect(page.getByText('The figures below are the last ones that worked.')).toBeVisible();
  await page.getByLabel('Number of cells').fill('2');
  await expect(refusal).toHaveCount(0);
});

test('lists with wrong columns and double nicknames are kept as typed, with what is wrong', async ({
  page,
}) => {
  await makeGroup(page, 'Curlew', 'bench,nickname,surname\n1,Ida,X');
  const list = page.getByLabel(/One nickname a line/u);
  await expect(alertSaying(page, 'Nobody was added')).toContainText('It wants bench, nickname');
  await expect(list).toHaveValue('bench,nickname,surname\n1,Ida,X');
  await list.fill('Ida\nOle\nida');
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(alertSaying(page, 'Nobody was added')).toContainText('“ida” stands twice');
  await list.fill('bench,nickname\n3,Ida\n4,Ole');
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('heading', { name: '2 students' })).toBeVisible();
  await page.getByRole('button', { name: 'Change Ole' }).click();
  await page.getByLabel('Nickname', { exact: true }).fill('Ida');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(alertSaying(page, 'in this group already')).toBeVisible();
  await page.getByRole('button', { name: 'Leaves the group' }).click();
  await expect(page.getByRole('heading', { name: '1 students' })).toBeVisible();
  await page.getByText('Left (1)').click();
  await page.getByRole('button', { name: 'comes back' }).click();
  await expect(page.getByRole('heading', { name: '2 students' })).toBeVisible();
});

test('bookmarks to what is gone say so and lead on', async ({ page }) => {
  for (const [address, thing] of [
    ['/lessons/99999', 'This lesson'],
    ['/lessons/abc', 'This lesson'],
    ['/check/99999', 'This session'],
    ['/classes/99999', 'This group'],
    ['/print/99999/card', 'This page to print'],
    ['/nowhere', 'This page'],
  ] as const) {
    await page.goto(address);
    await expect(page.getByRole('heading', { name: `${thing} is not here any more.` })).toBeVisible();
    await expect(page.locator('main').getByRole('link')).toBeVisible();
  }
});

test('a lesson put away can be taken out again', async ({ page }) => {
  const id = await startLesson(page, 'Put me away');
  await page.getByRole('button', { name: 'Put away' }).click();
  await expect(page).toHaveURL(/\/lessons$/u);
  await page.getByText(/^Put away \(\d+\)$/u).click();
  await page.getByRole('link', { name: 'Put me away' }).click();
  await expect(page.getByText('This lesson is put away.')).toBeVisible();
  await page.getByRole('button', { name: 'Take out again' }).click();
  await page.goto(`/lessons/${id}`);
  await expect(page.getByRole('button', { name: 'Put away' })).toBeVisible();
});

test('two people at one lesson: the second is told, and chooses', async ({ page, context }) => {
  const id = await startLesson(page, 'Two at once');
  const other = await context.newPage();
  await other.goto(`/lessons/${id}`);
  await other.getByLabel('Title of the lesson').fill('Hers');
  await saved(other);
  await page.getByLabel('Title of the lesson').fill('His');
  await expect(page.getByText('Somebody else saved this lesson in the meantime.')).toBeVisible();
  await page.getByRole('button', { name: 'Save mine over it' }).click();
  await saved(page);
  await other.reload();
  await expect(other.getByLabel('Title of the lesson')).toHaveValue('His');
  await page.getByLabel('Title of the lesson').fill('His again');
  await saved(page);
  await other.getByLabel('Title of the lesson').fill('Hers again');
  await other.getByRole('button', { name: 'Load theirs' }).click();
  await expect(other.getByLabel('Title of the lesson')).toHaveValue('His again');
});

test('a lesson that could not be saved is kept in the browser and put back by itself', async ({ page }) => {
  const id = await startLesson(page, 'Unsaved');
  await page.route('**/lessons/*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Title of the lesson').fill('Kept here');
  await expect(page.locator('.save-state')).toHaveText('not saved');
  await page.unroute('**/lessons/*');
  await page.goto(`/lessons/${id}`);
  await expect(page.getByText(/had not been saved; they are put back/u)).toBeVisible();
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Kept here');
  await saved(page);
  await page.reload();
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Kept here');
});

test('changes kept in the browser are shown beside what somebody else saved since, and undo nothing', async ({
  page,
  browser,
}) => {
  const id = await startLesson(page, 'Two minds');
  await page.route('**/lessons/*', (route) =>
    route.request().method() === 'POST' ? route.abort() : route.continue(),
  );
  await page.getByLabel('Title of the lesson').fill('Mine');
  await expect(page.locator('.save-state')).toHaveText('not saved');
  const colleague = await (await browser.newContext()).newPage();
  await colleague.goto(`/lessons/${id}`);
  await colleague.getByLabel('Title of the lesson').fill('Hers');
  await saved(colleague);
  await colleague.context().close();
  await page.unroute('**/lessons/*');
  await page.goto(`/lessons/${id}`);
  await expect(page.getByText(/somebody has saved this lesson since/u)).toBeVisible();
  await expect(page.getByRole('row', { name: 'title Mine Hers' })).toBeVisible();
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Hers');
  await page.getByRole('button', { name: 'Take yours' }).click();
  await expect(page.getByLabel('Title of the lesson')).toHaveValue('Mine');
  await saved(page);
});
