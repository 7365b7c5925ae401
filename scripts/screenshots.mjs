// npm run screenshots: takes the pictures of docs/screenshots/ from a demo that is being served.
// MIVVET_URL says where (default http://127.0.0.1:4173); names given as arguments take only those.
import { chromium } from '@playwright/test';
import path from 'node:path';
import { CHROMIUM, ROOT } from './bootstrap.mjs';

const BASE = process.env.MIVVET_URL ?? 'http://127.0.0.1:4173';
const OUT = process.env.MIVVET_SHOTS ?? path.join(ROOT, 'docs', 'screenshots');
const phone = { width: 390, height: 844 };

/** Name of the picture, page, and what to do before it is taken. */
const VIEWS = [
  { name: 'today', at: '/' },
  { name: 'lessons', at: '/lessons' },
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
    name: 'chip-diagram',
    at: '/lessons/18?stage=plan',
    act: (page) => page.getByRole('button', { name: 'Look at it large' }).click(),
  },
  { name: 'sheet-strip', at: '/lessons/11?stage=plan' },
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
  { name: 'check', at: '/check/1' },
  { name: 'store', at: '/store' },
  {
    name: 'circuit',
    at: '/circuits',
    act: (page) => page.getByLabel('From the harbour').selectOption('buoy'),
  },
  { name: 'printed-card', at: '/print/6/card' },
  { name: 'students-sheet', at: '/print/1/sheet' },
];

const only = process.argv.slice(2);
const browser = await chromium.launch({ executablePath: CHROMIUM.path, args: CHROMIUM.flags });
for (const { name, at, act, size } of VIEWS) {
  if (only.length && !only.includes(name)) continue;
  const page = await browser.newPage({ viewport: size ?? { width: 1280, height: 800 } });
  await page.goto(BASE + at, { waitUntil: 'networkidle' });
  if (act) await act(page);
  await page.waitForTimeout(1200);
  await page.screenshot({ path: path.join(OUT, `${name}.png`) });
  await page.close();
}
await browser.close();
