import { expect, test } from '@playwright/test';
import {
  alertSaying,
  giveTo,
  makeGroup,
  onDeskAndPhone,
  openStage,
  row,
  saved,
  sideways,
  startLesson,
} from './helpers';

/** Eighty letters without a space, words of a script that runs the other way, and what is put together of pieces. */
const TITLE = 'Leuchtturmwärterhäuschenbeleuchtungsbausatzvorbereitungsstundenplanänderung';
const LONG = 'w'.repeat(200);
const GROUP = 'מנורות הנמל'.padEnd(20, 'ש').padEnd(40, 'x');
const STUDENTS = ['1,قارب', `2,${'m'.repeat(20)}`, '3,🦆🚢🪢', '4,e\u0301toile\u202e'].join('\n');

test('words as long and of whatever script make no screen and no paper wider than it is', async ({
  page,
}) => {
  await makeGroup(page, GROUP, STUDENTS);
  await expect(page.getByRole('heading', { name: '4 students' })).toBeVisible();
  const group = new URL(page.url()).pathname;
  const lesson = await startLesson(page, TITLE);
  await openStage(page, 'Aim');
  for (const field of ['What the students can do', 'Notes to self']) await page.getByLabel(field).fill(LONG);
  await saved(page);
  await giveTo(page, `${GROUP} (4)`);
  const check = new URL(page.url()).pathname;
  await expect(row(page, 4)).toContainText('étoile');
  const papers = ['card', 'sheet', 'checks'].map((paper) => `/print/${lesson}/${paper}`);
  const stages = ['aim', 'steps', 'class'].map((stage) => `/lessons/${lesson}?stage=${stage}`);
  await onDeskAndPhone(page, [
    '/',
    '/lessons',
    '/classes',
    group,
    ...stages,
    check,
    `${check}/report`,
    ...papers,
  ]);
  await page.emulateMedia({ media: 'print' });
  await page.setViewportSize({ width: 703, height: 1000 });
  for (const paper of papers) {
    await page.goto(paper, { waitUntil: 'load' });
    await expect.poll(() => page.evaluate(sideways), `${paper} on A4`).toBe(0);
  }
});

test('two groups are told apart by their names as they look, and marks that show nothing are left out', async ({
  page,
}) => {
  await makeGroup(page, 'Dabchicks', '1,Pip');
  await page.goto('/classes');
  await page.getByLabel('Name').fill('\u202eDab\u200bchісks');
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(alertSaying(page, 'There is a group “Dabchicks” already.')).toBeVisible();
});

test('a drawing of thousands of lamps is drawn where it is looked at, and the page stays as short as its lists', async ({
  page,
}) => {
  const strings = Array.from({ length: 1000 }, (_, i) => [
    { id: `R${i + 1}`, kind: 'resistor', pins: { a: 'p', b: `a${i}` }, ohms: 220 },
    { id: `D${2 * i + 1}`, kind: 'led', pins: { anode: `a${i}`, cathode: `b${i}` }, type: 'red' },
    { id: `D${2 * i + 2}`, kind: 'led', pins: { anode: `b${i}`, cathode: '0' }, type: 'red' },
  ]).flat();
  const supply = { id: 'B1', kind: 'supply', pins: { plus: 'p', minus: '0' }, volts: 9 };
  const file = { format: 'mivvet.circuit/1', title: 'long quay', ground: '0', parts: [supply, ...strings] };
  await page.goto('/circuits');
  await page.getByLabel('From a circuit file').setInputFiles({
    name: 'quay.json',
    mimeType: 'application/json',
    buffer: Buffer.from(JSON.stringify(file)),
  });
  await expect(page.getByRole('heading', { name: 'long quay' })).toBeVisible();
  const drawing = page.getByRole('img', { name: 'Circuit diagram: 3001 parts' });
  await expect(drawing.getByText('D1', { exact: true })).toBeVisible({ timeout: 60_000 });
  expect(await drawing.locator('text').count()).toBeLessThan(1500);
  await page.getByRole('group', { name: 'The circuit' }).evaluate((box) => box.scrollTo(0, box.scrollHeight));
  await expect(drawing.getByText('D2000', { exact: true })).toBeVisible();
  await expect(drawing.getByText('D1', { exact: true })).toHaveCount(0);
  // (9 − 2 × 1.93) V over 220 Ω, as the first string has it.
  const first = page.getByRole('region', { name: 'At rest' }).getByRole('row', { name: /^D1 / });
  await expect(first).toContainText(/2[23]\.\d/u);
  // A column is as wide as its words: no name is broken in its middle.
  const name = first.getByRole('rowheader');
  const lines = await name.evaluate((cell) => cell.getBoundingClientRect().width / cell.textContent!.length);
  expect(lines).toBeGreaterThan(9);
  expect(await page.evaluate(() => document.documentElement.scrollHeight)).toBeLessThan(8000);
});
