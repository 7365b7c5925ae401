import { expect, test, type Page } from '@playwright/test';
import { cell, giveTo, makeGroup, row, spaced, startLesson } from './helpers';

test('a made-up class is checked with a stand-in meter, and its supply turned up rung by rung', async ({
  page,
}) => {
  await page.goto('/check/7');
  await page.getByRole('link', { name: 'practise with a stand-in meter' }).click();
  await expect(page.getByText('Class 1, made up.')).toBeVisible();
  const inputs = page.getByLabel(/^Bench 4 Dace, across/u);
  await inputs.first().click();
  await page.keyboard.press('r');
  await expect(inputs.first()).toHaveValue(/^-?\d+\.\d+$/u);
  const first = await inputs.first().inputValue();
  const bench = page.getByRole('region', { name: 'Bench 4 as it stands' });
  await bench.getByRole('button', { name: 'Turn its supply' }).click();
  await bench.getByRole('button', { name: 'Turn it up' }).click();
  // As meant the three lamps come on one after the other, a volt or so apart.
  await expect(bench.locator('.onsets tbody tr')).toHaveCount(3);
  const meant = await bench.locator('.onsets tbody tr td:last-child').allInnerTexts();
  const volts = meant.map((text) => Number(text.replace(/[^\d.]/gu, '')));
  expect(volts).toEqual([...volts].sort((a, b) => a - b));
  expect(volts[0]).toBeGreaterThan(9);
  expect(volts[2]).toBeLessThan(12.7);
  await bench.getByRole('button', { name: 'tell me what it was' }).click();
  await expect(bench.getByText('It was:')).toBeVisible();
  // Nothing of it reached the session, and it stands there when one comes back.
  await page.goto('/check/7');
  await expect(page.getByLabel(/^Bench 4 Dace, across/u).first()).toHaveValue('');
  await page.goto('/check/7/practice');
  await expect(page.getByLabel(/^Bench 4 Dace, across/u).first()).toHaveValue(first);
});

/** A board seen at a slant, as a phone would take it; the four marked spots of it, in shares of the picture. */
async function slantedPicture(
  page: Page,
): Promise<{ jpeg: Buffer; at(x: number, y: number): Promise<number[]> }> {
  const drawing = await page.locator('.overlay svg.board, svg.board').first().screenshot();
  const other = await page.context().newPage();
  await other.setViewportSize({ width: 1200, height: 1000 });
  await other.setContent(
    `<body style="margin:0;background:#654"><div id="lean" style="position:absolute;left:250px;top:60px;transform-origin:center;transform:perspective(1200px) rotateX(24deg) rotateZ(5deg)"><img id="board" src="data:image/png;base64,${drawing.toString('base64')}" style="display:block;width:700px"><i id="spot" style="position:absolute;width:0;height:0"></i></div></body>`,
  );
  await other.waitForTimeout(100);
  const jpeg = await other.screenshot({ type: 'jpeg', quality: 80 });
  const at = (x: number, y: number) =>
    other.evaluate(
      ([left, top]) => {
        const spot = document.getElementById('spot')!;
        spot.style.left = `${100 * left!}%`;
        spot.style.top = `${100 * top!}%`;
        const { x: px, y: py } = spot.getBoundingClientRect();
        return [px / 1200, py / 1000];
      },
      [x, y],
    );
  return { jpeg, at };
}

test('a picture is laid under the plan by its four corners; what differs is tapped, and stands in the grid', async ({
  page,
}) => {
  await makeGroup(page, 'Bittern', 'Ala\nBek');
  const lesson = await startLesson(page, 'Bittern lamp');
  await giveTo(page, 'Bittern (2)');
  const session = page.url();
  await page.goto(`/lessons/${lesson}?stage=plan`);
  await expect(page.locator('svg.board')).toBeVisible();
  const { jpeg, at } = await slantedPicture(page);
  await page.goto(session);
  await page.getByRole('link', { name: 'Bench 1 beside its plan' }).click();
  await expect(page.getByText('There is no picture of this bench yet.')).toBeVisible();
  await page
    .locator('input[type=file]')
    .setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: jpeg });
  const frame = page.locator('.corner-frame');
  await expect(frame.locator('img')).toBeVisible();
  const box = (await frame.boundingBox())!;
  for (const [i, [x, y]] of [
    [0.05, 0.05],
    [0.95, 0.05],
    [0.95, 0.95],
    [0.05, 0.95],
  ].entries()) {
    const [left, top] = await at(x!, y!);
    const mark = (await page.locator('button.corner').nth(i).boundingBox())!;
    await page.mouse.move(mark.x + 22, mark.y + 22);
    await page.mouse.down();
    await page.mouse.move(box.x + left! * box.width, box.y + top! * box.height, { steps: 3 });
    await page.mouse.up();
  }
  await page.getByRole('button', { name: 'Lay it under the plan' }).click();
  const canvas = page.locator('.overlay canvas');
  // In the middle of what was straightened stands the board, not the table that it lay on.
  const middle = () =>
    canvas.evaluate((drawn: HTMLCanvasElement) => [
      ...drawn.getContext('2d')!.getImageData(drawn.width / 2, drawn.height / 2, 1, 1).data,
    ]);
  await expect.poll(async () => (await middle())[3]).toBe(255);
  expect((await middle()).slice(0, 3).every((value) => value > 200)).toBe(true);
  await page.getByLabel('one after the other').check();
  await expect(page.locator('.overlay > div')).toHaveCSS('opacity', /^[01]$/u);
  await page.getByLabel('one after the other').uncheck();
  await page.getByRole('button', { name: /^The resistor R1/u }).focus();
  await page.getByRole('button', { name: 'in another hole' }).click();
  await page.getByRole('button', { name: 'Put it into the grid' }).click();
  await expect(page.getByText('It stands under “lamps”')).toBeVisible();
  await page.getByRole('link', { name: 'the grid' }).click();
  await expect(cell(page, 1, 'lamps')).toHaveValue('R1 in another hole');
  await expect(row(page, 1).locator('.cause')).toContainText('R1');
  await expect(page.getByRole('link', { name: 'Bench 1 beside its plan: there is a picture' })).toBeVisible();
});

test('what is different on a bench counts there and is told to others, and a table brings a whole class in', async ({
  page,
}) => {
  await makeGroup(page, 'Grebe', 'Ala\nBek');
  await startLesson(page, 'Grebe lamp');
  await giveTo(page, 'Grebe (2)');
  await page.getByRole('button', { name: 'enter from a table' }).click();
  const dialog = page.getByRole('dialog');
  // 660 Ω in the place of 330 Ω: half the current and a little more.
  await dialog
    .getByLabel('or its text, pasted')
    .fill('bench;pack under load;across R1;current (mA)\n1;4,83;3,02;4,57\n2;4,83;3,02;4,57\n3;1;1;1\n');
  await expect(dialog.getByRole('status')).toContainText('6 figures of 2 benches can be entered');
  await expect(dialog.getByRole('status')).toContainText('no bench “3”');
  await dialog.getByRole('button', { name: 'Enter 6 figures' }).click();
  await expect(cell(page, 2, 'current')).toHaveValue('4,57');
  await expect(row(page, 1)).toContainText('off');
  await expect(row(page, 2)).toContainText('off');
  const other = await page.context().newPage();
  await other.goto(page.url());
  await expect(row(other, 1)).toContainText('off');
  await page.getByRole('button', { name: 'Ala', exact: true }).click();
  await page.getByLabel(spaced('R1, planned 330 Ω')).fill('660');
  await page.getByRole('button', { name: 'Judge this bench by it' }).click();
  await expect(row(page, 1)).toContainText(spaced('R1 660 Ω'));
  await expect(row(page, 1).locator('.state')).toContainText('right');
  await expect(row(page, 2).locator('.state')).toContainText('off');
  await other.getByRole('button', { name: 'Take in what is new' }).click();
  await expect(row(other, 1)).toContainText(spaced('R1 660 Ω'));
  await expect(row(other, 1).locator('.state')).toContainText('right');
  await expect(other.getByText('What benches are judged by has changed')).toHaveCount(0);
  await other.close();
});
