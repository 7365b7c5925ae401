import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import {
  alertSaying,
  cell,
  giveTo,
  makeGroup,
  openStage,
  plainText,
  row,
  saved,
  spaced,
  startLesson,
} from './helpers';

async function sayIt(page: Page, words: string): Promise<void> {
  await page.getByText('All of it in words, or from a spreadsheet').click();
  await page.getByLabel('The sequence in words, or a table').fill(words);
  await page.getByRole('button', { name: 'Take it' }).click();
}

async function retype(page: Page, label: string, text: string): Promise<void> {
  await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByLabel(label, { exact: true }).press('Tab');
}

test('a signal is said in words, shown over time, and comes out as program, table and card', async ({
  page,
}) => {
  const id = await startLesson(page, 'Crossing signal', 'Sequence');
  await sayIt(page, 'red, red and amber, green, 3 s, 1 s, 4 s, 3 times, then all off');
  await expect(page.getByText(spaced('A round 8 s, 3 times: 24 s.'))).toBeVisible();
  await expect(page.getByLabel('Row 2, D2', { exact: true })).toHaveValue('on');
  await openStage(page, 'Sums');
  // 5 V less the lamp’s 1.87 V over 390 Ω, 25 Ω of the pin and the rail’s own 0.2 Ω.
  await expect(page.getByRole('row', { name: /^D1 red 9/u })).toContainText(spaced('7.55 mA'));
  const program = page.getByLabel('Text of the program');
  await expect(program).toContainText('show(3000, 255, 0, 0);');
  await page.getByLabel('Language of the program').selectOption('MicroPython');
  await expect(program).toContainText('show(4000, (0, 0, 255))');
  // A row of one second is over before two probes are put: for measuring each state stands long, without end.
  await page.getByLabel('Which program').selectOption('for measuring');
  await expect(program).toContainText('show(15000, (255, 255, 0))');
  await expect(program).toContainText('while True');
  await page.getByLabel('Which program').selectOption('the lesson’s own');
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save the table as CSV' }).click();
  const csv = readFileSync(await (await download).path(), 'utf8');
  expect(csv.split('\r\n').slice(1, 3)).toEqual(['255,0,0,3,no', '255,255,0,1,no']);
  await openStage(page, 'Its day');
  await expect(page.getByRole('slider', { name: 'Instant of the run' })).toHaveAttribute(
    'aria-valuetext',
    /D1 is lit/u,
  );
  await openStage(page, 'Steps');
  await expect(page.getByText(/Put a lead from pin 9 of the controller in/u).first()).toBeVisible();
  await saved(page);
  await page.goto(`/print/${id}/card`);
  const card = page.locator('.printed');
  await expect(card).toContainText('Plug the controller’s cable in');
  await expect(card).toContainText(/D1 for 4\.0\sseconds|D1 for 4\.0\u202fs/u);
});

test('what a table cannot do is said with what works, and what was typed stays', async ({ page }) => {
  await startLesson(page, 'Lock gate', 'Sequence');
  await retype(page, 'Row 1, D2', '128');
  await expect(alertSaying(page, 'Row 1 dims pin 10, which is only on or off. Pin')).toBeVisible();
  await retype(page, 'Row 1, D2', 'on');
  await retype(page, 'Row 1, D1', '300');
  await expect(alertSaying(page, 'steps end at 255: nothing wraps round')).toBeVisible();
  await retype(page, 'Row 1, D1', '50 %');
  await expect(page.getByLabel('Row 1, D1', { exact: true })).toHaveValue('128');
  await retype(page, 'Pin of column 3', '44');
  await expect(alertSaying(page, 'has no pin 44, which the table names')).toBeVisible();
  await retype(page, 'Pin of column 3', '7');
  await expect(
    page.getByText('The lead of D3 is in pin 11, and the table sets pin 7: D3 stays dark.'),
  ).toBeVisible();
  await openStage(page, 'Aim');
  const missed = /in the rows in which the table has it so, but not D3/u;
  await expect(page.getByRole('listitem').filter({ hasText: missed })).toBeVisible();
  // The board makes the circuit of a wish that it does not meet: that is not called right.
  await expect(page.locator('.what-happens')).toContainText('As planned, but look:');
  await sayIt(page, 'red, dancing, 2 s');
  await expect(alertSaying(page, '“dancing” is not understood')).toBeVisible();
  await expect(page.getByLabel('The sequence in words, or a table')).toHaveValue('red, dancing, 2 s');
  await page
    .getByLabel('The sequence in words, or a table')
    .fill(`pin 9;seconds;fade\n${'on;1;no\n'.repeat(300)}`);
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(alertSaying(page, '300 rows, and a table here has 100 at most')).toBeVisible();
  await page
    .getByLabel('The sequence in words, or a table')
    .fill('pin 9;seconds;fade\non;0,5;no\noff;1,5;no');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText(spaced('A round 2 s'))).toBeVisible();
});

test('a bench with two leads exchanged is found out by its times and its volts', async ({ page }) => {
  await makeGroup(page, 'Lapwing', 'Wren\nFinch');
  await expect(page.getByText('2 added.')).toBeVisible();
  await startLesson(page, 'Swing bridge', 'Sequence');
  await saved(page);
  await giveTo(page, 'Lapwing (2)');
  const type = async (bench: number, point: string, figure: string) => {
    await cell(page, bench, point).fill(figure);
    await cell(page, bench, point).press('Enter');
  };
  for (const [point, figure] of [
    ['light of D1', '4.1'],
    ['light of D3', '4.0'],
    ['across R1', '2.95'],
  ] as const)
    await type(1, point, figure);
  await expect(row(page, 1)).toContainText('right');
  await type(2, 'light of D1', '1.1');
  await expect(row(page, 2)).toContainText('off');
  await expect(row(page, 2)).toContainText('The leads of pin 9 and pin 10 exchanged');
});

test('a lamp takes its colour by name, and one’s own step for step', async ({ page }) => {
  await startLesson(page, 'Lantern', 'Three-colour lamp');
  await page.getByLabel('Drive').selectOption('pulses');
  await page.getByLabel('Colour', { exact: true }).selectOption('white');
  await openStage(page, 'Sums');
  await expect(page.getByRole('heading', { name: /^White on the 5 V controller/u })).toBeVisible();
  const green = page.getByRole('row', { name: /^green 11/u });
  // The eye counts green most: by its light it has about two thirds of white.
  await expect(green.locator('td').last()).toHaveText(/^6[4-6]\s?%$/u);
  await page.getByRole('button', { name: 'take magenta' }).click();
  await expect(page.getByRole('heading', { name: /^Magenta on the 5 V controller/u })).toBeVisible();
  await page.getByLabel('Colour', { exact: true }).selectOption('own');
  await retype(page, 'Step of red', '51');
  await expect(page.getByRole('row', { name: /^mean of red/u })).toContainText('51 ÷ 255');
  await retype(page, 'Step of red', '400');
  await expect(alertSaying(page, 'The mix sets pin 9 to 400')).toBeVisible();
});

test('an office lamp goes on and off at two readings, as its program says', async ({ page }) => {
  await startLesson(page, 'Office', 'Dusk by controller');
  await openStage(page, 'Sums');
  const reading = async (name: RegExp) =>
    Number((await plainText(page.getByRole('row', { name }).locator('td').last())).replace(/\D/gu, ''));
  // 4.7 kΩ under a sensor of 24.4 kΩ and 1.13 kΩ, of 1,023 counts.
  expect(await reading(/^reading at dusk/u)).toBe(165);
  expect(await reading(/^reading in the lit classroom/u)).toBe(824);
  await expect(page.getByLabel('Text of the program')).toContainText('const int goesOn = 475;');
  await retype(page, 'Hysteresis in counts', '900');
  await expect(alertSaying(page, 'Going on and off 900 counts apart does not fit')).toBeVisible();
  await retype(page, 'Hysteresis in counts', '10');
  await expect(page.getByLabel('Text of the program')).toContainText('const int goesOn = 490;');
  await retype(page, 'Pin that reads', '5');
  await expect(alertSaying(page, 'Pin 5 knows only high and low')).toBeVisible();
  await retype(page, 'Pin that reads', '13');
  await openStage(page, 'Aim');
  await expect(page.getByText('The lamp is lit at dusk.')).toBeVisible();
});
