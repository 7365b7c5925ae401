import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';

const SCREENS = [
  '/',
  '/lessons',
  ...['aim', 'parts', 'sums', 'plan', 'steps', 'checks', 'kit', 'class'].map(
    (stage) => `/lessons/1?stage=${stage}`,
  ),
  ...['4?stage=steps', '6?stage=sums', '6?stage=try', '9?stage=plan', '11?stage=plan', '12?stage=steps'].map(
    (sheet) => `/lessons/${sheet}`,
  ),
  '/store',
  '/cheat-sheet',
  '/classes',
  '/classes/1',
  '/check',
  '/check/1',
  '/logbook',
  '/circuits',
  '/settings',
  '/print/1/card',
  '/print/11/card?size=large',
  '/print/1/checks',
];

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'];

async function violations(axe: AxeBuilder): Promise<string[]> {
  const found = (await axe.analyze()).violations;
  return found.map(
    (v) =>
      `${v.id} at ${v.nodes
        .map((n) => n.target.join(' '))
        .slice(0, 3)
        .join(', ')}`,
  );
}

test('no screen breaks the accessibility rules, fetches from elsewhere, or complains on the console', async ({
  page,
}) => {
  test.setTimeout(240_000);
  const elsewhere: string[] = [];
  const said: string[] = [];
  page.on('request', (request) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/u.test(request.url())) elsewhere.push(request.url());
  });
  page.on('console', (message) => {
    if (message.type() === 'error') said.push(`${page.url()}: ${message.text()}`);
  });
  page.on('pageerror', (error) => said.push(`${page.url()}: ${error.message}`));
  for (const screen of SCREENS) {
    await page.goto(screen, { waitUntil: 'networkidle' });
    expect({ screen, found: await violations(new AxeBuilder({ page }).withTags(WCAG)) }).toEqual({
      screen,
      found: [],
    });
  }
  expect(elsewhere).toEqual([]);
  expect(said).toEqual([]);
});

test('the dim theme keeps its contrasts', async ({ page }) => {
  test.setTimeout(120_000);
  await page.addInitScript(() => localStorage.setItem('mivvet.theme', 'dark'));
  for (const screen of [
    '/',
    '/lessons/1?stage=sums',
    '/lessons/1?stage=steps',
    ...[
      '4?stage=steps',
      '6?stage=sums',
      '6?stage=try',
      '9?stage=plan',
      '11?stage=plan',
      '12?stage=steps',
    ].map((sheet) => `/lessons/${sheet}`),
    '/store',
    '/cheat-sheet',
    '/check/1',
    '/logbook',
  ]) {
    await page.goto(screen);
    const axe = new AxeBuilder({ page }).withRules(['color-contrast']);
    expect({ screen, found: await violations(axe) }).toEqual({ screen, found: [] });
  }
});

test('no page scrolls sideways at 360 px', async ({ page }) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 360, height: 780 });
  for (const screen of SCREENS) {
    await page.goto(screen);
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(`${screen} ${over}`).toBe(`${screen} 0`);
  }
});
