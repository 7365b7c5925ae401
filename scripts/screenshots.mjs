// npm run screenshots: takes the pictures of docs/screenshots/ from a demo that is being served.
// MIVVET_URL says where (default http://127.0.0.1:4173); names given as arguments take only those.
import { chromium } from '@playwright/test';
import path from 'node:path';
import { CHROMIUM } from './bootstrap.mjs';
import { ROOT } from './processes.mjs';

const BASE = process.env.MIVVET_URL ?? 'http://127.0.0.1:4173';
const OUT = process.env.MIVVET_SHOTS ?? path.join(ROOT, 'docs', 'screenshots');
const phone = { width: 390, height: 844 };

/** The class that is being checked. */
const RUNNING = '/check/6';

/** Name of the picture, page, and what to do before it is taken. */
const VIEWS = [
  { name: 'today', at: '/' },
  { name: 'sheet-sums', at: '/lessons/1?stage=sums' },
  {
    name: 'sheet-plan-mistake',
    at: '/lessons/1?stage=plan',
    act: (page) =>
      page
        .getByRole('row', { name: /^Lamp D1/u })
        .getByRole('button', { name: 'turn round' })
        .click(),
  },
  { name: 'sheet-day', at: '/lessons/13?stage=day', act: (page) => page.locator('.instant-words').waitFor() },
  {
    name: 'two-timers',
    at: '/lessons/17?stage=day',
    act: (page) => page.locator('.instant-words').waitFor(),
  },
  {
    name: 'sheet-card',
    at: '/lessons/6?stage=steps',
    act: async (page) => {
      await page.getByRole('button', { name: 'One step at a time' }).click();
      const screen = page.getByRole('dialog');
      for (let i = 0; i < 4; i++) await screen.getByRole('button', { name: 'Next step' }).click();
    },
  },
  {
    name: 'sheet-try',
    at: '/lessons/6?stage=try',
    act: async (page) => {
      await page.getByLabel('What goes wrong').selectOption({ label: 'D1 the wrong way round' });
      await page.getByRole('button', { name: 'it goes dark' }).click();
    },
  },
  {
    name: 'light-switch',
    at: '/lessons/20?stage=sums',
    act: (page) => page.getByRole('img', { name: /Current of the lamp/u }).waitFor(),
  },
  {
    name: 'sequence',
    at: '/lessons/22?stage=day',
    act: (page) => page.locator('.instant-words').waitFor(),
  },
  {
    name: 'sound',
    at: '/lessons/25?stage=sound',
    act: async (page) => {
      await page.getByRole('img', { name: /Current of the lamps/u }).waitFor();
      await page.getByRole('button', { name: 'Play it to the lamps' }).click();
      const ruler = page.getByRole('slider', { name: 'Instant of the piece' });
      await ruler.waitFor();
      await page.waitForTimeout(14_000);
      await ruler.focus();
      for (let i = 0; i < 27; i++) await page.keyboard.press('ArrowRight');
    },
  },
  {
    name: 'sheet-phone',
    at: '/lessons/6?stage=steps',
    size: phone,
    act: async (page) => {
      await page.getByRole('button', { name: 'One step at a time' }).click();
      const screen = page.getByRole('dialog');
      for (let i = 0; i < 4; i++) await screen.getByRole('button', { name: 'Next step' }).click();
    },
  },
  { name: 'check', at: RUNNING },
  {
    name: 'check-why',
    at: RUNNING,
    act: (page) => page.getByRole('button', { name: 'Why is bench 5 off?' }).click(),
  },
  {
    name: 'practice',
    at: '/check/7/practice',
    act: async (page) => {
      await page
        .getByLabel(/^Bench 4 Dace, across/u)
        .first()
        .click();
      await page.keyboard.press('r');
      await page.getByRole('button', { name: 'Turn its supply' }).click();
      await page.getByRole('button', { name: 'Turn it up' }).click();
      await page.locator('.onsets').waitFor();
      await page.evaluate(() => window.scrollTo(0, 0));
    },
  },
  { name: 'beside', at: '/lessons/1?stage=plan', act: photographed },
  {
    name: 'bench',
    at: RUNNING,
    size: phone,
    act: async (page) => {
      await page.getByRole('button', { name: 'Let others in' }).click();
      await page
        .getByRole('button', { name: /^(A code for|Another code)/u })
        .last()
        .click();
      await page.waitForTimeout(1500);
      const code = await page.locator('.join-code .code').last().innerText();
      await page.goto(`${BASE}/join?code=${code.trim()}`);
      await page.getByRole('button', { name: 'Come in' }).click();
      await page.getByRole('button', { name: '10 Jade' }).click();
      for (let i = 0; i < 3; i++) await page.getByRole('button', { name: /^Done/u }).click();
    },
  },
  {
    name: 'circuit',
    at: '/circuits',
    act: (page) => page.getByLabel('From the harbour').selectOption('buoy'),
  },
  { name: 'printed-card', at: '/print/6/card' },
  { name: 'students-sheet', at: '/print/1/sheet' },
];

/** A board at a slant, as a phone takes it, laid under its plan: a lamp is turned round on it. */
async function photographed(page) {
  await page
    .getByRole('row', { name: /^Lamp D1/u })
    .getByRole('button', { name: 'turn round' })
    .click();
  await page.waitForTimeout(1500);
  const drawing = (await page.locator('svg.board').first().screenshot()).toString('base64');
  await page.getByRole('button', { name: 'Undo' }).click();
  const [wide, high] = [1200, 1000];
  const table = await browser.newPage({ viewport: { width: wide, height: high } });
  await table.setContent(
    `<body style="margin:0;background:#6b5844"><div id="lean" style="position:absolute;left:300px;top:70px;transform:perspective(1300px) rotateX(26deg) rotateZ(5deg)"><img src="data:image/png;base64,${drawing}" style="display:block;width:620px"><i></i></div></body>`,
  );
  await table.waitForTimeout(300);
  const buffer = await table.screenshot({ type: 'jpeg', quality: 85 });
  await page.goto(BASE + RUNNING);
  await page.getByRole('link', { name: /^Bench 5 beside its plan/u }).click();
  await page.locator('input[type=file]').setInputFiles({ name: 'bench.jpg', mimeType: 'image/jpeg', buffer });
  const frame = page.locator('.corner-frame');
  await frame.locator('img').waitFor();
  await page.waitForTimeout(800);
  const box = await frame.boundingBox();
  const marks = page.locator('button.corner');
  for (let i = 0; i < 4; i++) {
    const share = (await marks.nth(i).getAttribute('data-drawn')).split(' ').map(Number);
    const [x, y] = await table.evaluate(([left, top]) => {
      const spot = document.querySelector('i');
      spot.style.cssText = `position:absolute;left:${100 * left}%;top:${100 * top}%`;
      const { x: px, y: py } = spot.getBoundingClientRect();
      return [px, py];
    }, share);
    const mark = await marks.nth(i).boundingBox();
    await page.mouse.move(mark.x + mark.width / 2, mark.y + mark.height / 2);
    await page.mouse.down();
    await page.mouse.move(box.x + (x / wide) * box.width, box.y + (y / high) * box.height, { steps: 4 });
    await page.mouse.up();
  }
  await page.getByRole('button', { name: 'Lay it under the plan' }).click();
  await page.getByRole('button', { name: /^The lamp D1/u }).focus();
  await page.getByRole('button', { name: 'turned round' }).click();
  await table.close();
}

const only = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: CHROMIUM.path, args: CHROMIUM.flags });
for (const { name, at, act, size } of VIEWS) {
  if (only.length && !only.includes(name)) continue;
  const page = await browser.newPage({ viewport: size ?? { width: 1280, height: 800 } });
  await page.goto(BASE + at, { waitUntil: 'load' });
  await page.waitForTimeout(800);
  if (act) await act(page);
  await page.waitForTimeout(2000);
  await page.screenshot({ path: path.join(OUT, `${name}.png`) });
  await page.close();
}
await browser.close();
