import { expect, test } from '@playwright/test';
import { giveTo, makeGroup, startLesson } from './helpers';

test('a student follows the card on a phone, predicts, looks and measures; the grid follows without a reload', async ({
  page,
  browser,
}) => {
  await makeGroup(page, 'Avocet', 'Wick\nTarn');
  await startLesson(page, 'Avocet lamp');
  await giveTo(page, 'Avocet (2)');
  await page.getByRole('button', { name: 'Let others in' }).click();
  await page.getByRole('button', { name: 'A code for 4 hours' }).last().click();
  const code = (await page.locator('.join-code .code').innerText()).trim();
  await page.getByRole('button', { name: 'Close' }).click();

  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await phone.goto(`/join?code=${code}`);
  await phone.getByRole('button', { name: 'Come in' }).click();
  await phone.getByRole('button', { name: '2 Tarn' }).click();
  await expect(phone.getByText(/^Step 1 of \d+$/u)).toBeVisible();
  // Nothing that is yet to be found stands in the page.
  const html = await phone.content();
  expect(html).not.toContain('typical');
  expect(html).not.toContain('worstHigh');
  let stops = 0;
  for (
    const done = phone.getByRole('button', { name: /^Done,/u });
    await done.isVisible();
    await done.click()
  ) {
    // A prediction comes before the first power, and nothing goes on without it.
    const guess = phone.getByLabel('First predict: what current will flow?');
    if (await guess.isVisible()) {
      await expect(done).toBeDisabled();
      await guess.fill('12');
      await phone.getByRole('button', { name: 'This is my guess' }).click();
    }
    const look = phone.getByRole('button', { name: 'I have looked' });
    if (!(await look.isVisible())) continue;
    stops++;
    // At a stop nothing is told before one has said what one sees; a dark lamp that should light is looked at again.
    await look.click();
    await phone.getByRole('button', { name: 'That is what I see' }).click();
    await expect(phone.getByText('look again')).toBeVisible();
    await phone.getByRole('button', { name: 'D1 dark' }).click();
    await phone.getByRole('button', { name: 'That is what I see' }).click();
    await expect(phone.locator('.bench-told').first()).toContainText('right');
  }
  expect(stops).toBe(1);
  await expect(phone.getByRole('heading', { name: 'Is it right? Measure.' })).toBeVisible();
  await phone.getByRole('button', { name: 'Something is different' }).click();
  await phone.getByRole('button', { name: 'dark', exact: true }).click();
  const row = page.getByRole('row', { name: /^2 Tarn/u });
  await expect(row.getByRole('textbox', { name: /lamps/u })).toHaveValue('D1 dark');
  await expect(row.getByRole('textbox', { name: /predicted/u })).toHaveValue('12');
  const enter = async (point: string, typed: string) => {
    await phone.getByLabel(point).fill(typed);
    await phone.getByLabel(point).press('Enter');
  };
  await enter('Pack under load', '4.79');
  await enter('Across R1', 'four');
  await expect(phone.getByRole('alert').first()).toBeVisible();
  await expect(phone.getByLabel('Across R1')).toHaveValue('four');
  // A connection that is lost keeps what is entered, and sends it once when it is back.
  await phone.context().setOffline(true);
  await enter('Across R1', '0.00');
  await expect(phone.getByText(/\d readings? waits? in this phone/u)).toBeVisible();
  await phone.context().setOffline(false);
  await expect(phone.getByText('measure again')).toBeVisible();
  await expect(row.getByRole('textbox', { name: /across R1/u })).toHaveValue('0.00');
  await enter('Across D1', '4.79');
  await expect(row.locator('.cause')).toContainText('D1 the wrong way round');
  await enter('Across R1', '0.00');
  await expect(phone.getByText('ask your educator').first()).toBeVisible();
  await expect(phone.getByText(/^A hint: (?:turn D1 round|try D1 by itself)/u)).toBeVisible();
  // After the lamp was turned all is measured once more.
  await phone.getByRole('button', { name: 'As on the card' }).click();
  for (const [point, typed] of [
    ['Across R1', '2.92'],
    ['Across D1', '1.87'],
    ['Current', '8.60'],
  ] as const)
    await enter(point, typed);
  await expect(phone.getByText('Your bench is right.')).toBeVisible();
  await expect(row.locator('.state')).toContainText('right');
  // Neither the grid nor another bench is theirs.
  await phone.goto('/check/1');
  await expect(phone).toHaveURL(/\/bench$/u);
  const [check] = /\/check\/\d+/u.exec(page.url())!;
  expect((await phone.request.get(`${check}/live`)).status()).toBe(403);
  const second = await browser.newPage();
  await second.goto(`/join?code=${code}`);
  await second.getByRole('button', { name: 'Come in' }).click();
  await expect(second.getByRole('button', { name: /^2 Tarn/u })).toBeDisabled();
  await phone.context().close();
  await second.context().close();
});

test('why, what was found, and the report of a class that is being checked', async ({ page }) => {
  await page.goto('/check');
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Redshank' })
    .getByRole('link', { name: 'Pier lamp' })
    .click();
  await page.getByRole('button', { name: 'Why is bench 5 off?' }).click();
  const why = page.getByRole('dialog');
  await expect(why.getByRole('row', { name: /^read here/u })).toContainText('D1 dark');
  await expect(why.getByText('D1 the wrong way round').first()).toBeVisible();
  await expect(why.getByRole('heading', { name: 'Measure across D1' })).toBeVisible();
  await why.getByRole('button', { name: 'Close' }).click();
  const cell = page.getByLabel(/^Bench 5 Elvi, across D1/u);
  await cell.fill('-4.70');
  await cell.press('Enter');
  await page.getByRole('button', { name: 'Bench 5: it was …' }).click();
  await page.getByRole('button', { name: /^D1 the wrong way round/u }).click();
  await expect(page.getByRole('row', { name: /^5 Elvi/u })).toContainText('found: D1 the wrong way round');
  await page.getByRole('button', { name: 'What each one risks' }).click();
  await expect(page.getByRole('columnheader', { name: 'wrong builds that it would pass' })).toBeVisible();
  await page.getByRole('link', { name: 'report' }).click();
  await expect(page.getByRole('heading', { name: 'Pier lamp: what came of it' })).toBeVisible();
  await expect(page.getByRole('row', { name: /^5 Elvi/u })).toContainText('D1 the wrong way round');
  await expect(page.getByRole('listitem').filter({ hasText: '1× D1 the wrong way round' })).toBeVisible();
  const csv = await (await page.request.get(`${page.url()}.csv`)).text();
  expect(csv).toContain('bench,nickname,stands');
  expect(csv.split('\r\n').length).toBeGreaterThan(10);
});
