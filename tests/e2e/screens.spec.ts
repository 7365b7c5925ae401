import AxeBuilder from '@axe-core/playwright';
import { expect, test } from '@playwright/test';

const SCREENS = [
  '/',
  '/lessons',
  ...['aim', 'parts', 'sums', 'plan', 'steps', 'checks', 'kit', 'class'].map(
    (stage) => `/lessons/1?stage=${stage}`,
  ),
  '/store',
  '/classes',
  '/classes/1',
  '/check',
  '/check/1',
  '/logbook',
  '/settings',
  '/print/1/card',
  '/print/1/checks',
];

for (const theme of ['light', 'dark'] as const) {
  test(`no screen breaks the accessibility rules, ${theme}`, async ({ page }) => {
    test.setTimeout(240_000);
    await page.addInitScript((name) => localStorage.setItem('mivvet.theme', name), theme);
    for (const screen of SCREENS) {
      await page.goto(screen, { waitUntil: 'networkidle' });
      const { violations } = await new AxeBuilder({ page })
        .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
        .analyze();
      const found = violations.map(
        (v) =>
          `${screen}: ${v.id} at ${v.nodes
            .map((n) => n.target.join(' '))
            .slice(0, 3)
            .join(', ')}`,
      );
      expect(found).toEqual([]);
    }
  });
}

test('no page scrolls sideways at 360 px', async ({ page }) => {
  test.setTimeout(120_000);
  await page.setViewportSize({ width: 360, height: 780 });
  for (const screen of SCREENS) {
    await page.goto(screen, { waitUntil: 'networkidle' });
    const over = await page.evaluate(
      () => document.documentElement.scrollWidth - document.documentElement.clientWidth,
    );
    expect(`${screen} ${over}`).toBe(`${screen} 0`);
  }
});

test('nothing is fetched from anywhere else, and nothing is said on the console', async ({ page }) => {
  const elsewhere: string[] = [];
  const said: string[] = [];
  page.on('request', (request) => {
    if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/u.test(request.url())) elsewhere.push(request.url());
  });
  page.on('console', (message) => {
    if (message.type() === 'error') said.push(`${page.url()}: ${message.text()}`);
  });
  page.on('pageerror', (error) => said.push(`${page.url()}: ${error.message}`));
  for (const screen of SCREENS) await page.goto(screen, { waitUntil: 'networkidle' });
  expect(elsewhere).toEqual([]);
  expect(said).toEqual([]);
});
