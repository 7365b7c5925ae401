import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { onDeskAndPhone, sideways } from './helpers';

const blocksOf = (lesson: number, ...stages: readonly string[]) =>
  stages.map((stage) => `/lessons/${lesson}?stage=${stage}`);

/** Every screen, in groups that are walked side by side. */
const SCREENS: Readonly<Record<string, readonly string[]>> = {
  'the first lesson': blocksOf(1, 'aim', 'parts', 'sums', 'plan', 'steps', 'checks', 'kit', 'class'),
  'other lessons': [
    ...blocksOf(4, 'steps'),
    ...blocksOf(6, 'try'),
    ...blocksOf(9, 'plan'),
    ...blocksOf(22, 'sums', 'day'),
    ...blocksOf(11, 'plan'),
  ],
  'the house': ['/', '/lessons', '/store', '/cheat-sheet', '/settings', '/glossary', '/circuits'],
  'classes and paper': [
    '/classes',
    '/classes/1',
    '/check',
    '/check/1',
    '/check/6',
    '/check/6/report',
    '/check/7/practice',
    '/logbook',
    '/print/1/card',
    '/print/1/sheet',
    '/print/11/card?size=large',
    '/print/1/checks',
  ],
};

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

/** On a phone, in the dim theme, in the page as it stands. */
async function dimPhone(page: Page, screen: string, inColour: boolean): Promise<void> {
  await page.setViewportSize({ width: 360, height: 780 });
  await expect.poll(() => page.evaluate(sideways), screen).toBe(0);
  await reachable(page, screen, 'on a phone');
  if (!inColour) return;
  await page.evaluate(() => (document.documentElement.dataset['bsTheme'] = 'dark'));
  // A figure that is being worked out is dimmed for a moment.
  await expect(page.locator('.stale')).toHaveCount(0);
  const found = await violations(new AxeBuilder({ page }).withRules(['color-contrast']));
  expect({ screen, found }).toEqual({ screen, found: [] });
}

/** Whatever scrolls can be reached by keyboard, whether or not anything in it answers. */
async function reachable(page: Page, screen: string, when: string): Promise<void> {
  const found = await violations(new AxeBuilder({ page }).withRules(['scrollable-region-focusable']));
  expect({ screen, when, found }).toEqual({ screen, when, found: [] });
}

/** Scrolling regions without a place of their own in the tab order: their controls are asleep, and give them none. */
function outOfReach(): string[] {
  return [...document.querySelectorAll<HTMLElement>('main *')]
    .filter((one) => {
      const { overflowX, overflowY } = getComputedStyle(one);
      const scrolls =
        (/auto|scroll/u.test(overflowX) && one.scrollWidth > one.clientWidth + 1) ||
        (/auto|scroll/u.test(overflowY) && one.scrollHeight > one.clientHeight + 1);
      return scrolls && one.tabIndex < 0;
    })
    .map((one) => `${one.tagName} ${one.className}`);
}

for (const [group, screens] of Object.entries(SCREENS)) {
  test(`${group}: no screen breaks the accessibility rules, fetches from elsewhere, or complains; it is as good dim and on a phone`, async ({
    page,
  }) => {
    const elsewhere: string[] = [];
    const said: string[] = [];
    page.on('request', (request) => {
      if (!/^(http:\/\/127\.0\.0\.1|data:|blob:)/u.test(request.url())) elsewhere.push(request.url());
    });
    page.on('console', (message) => {
      if (message.type() === 'error') said.push(`${page.url()}: ${message.text()}`);
    });
    page.on('pageerror', (error) => said.push(`${page.url()}: ${error.message}`));
    for (const screen of screens) {
      // A grid that follows its benches is never done with the network.
      const follows = /^\/check\/\d+$/u.test(screen);
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(screen, { waitUntil: follows ? 'load' : 'networkidle' });
      if (follows) await expect(page.getByText('follows the benches')).toBeVisible();
      await expect(page.locator('fieldset.awake:disabled')).toHaveCount(0);
      const found = await violations(new AxeBuilder({ page }).withTags(WCAG));
      expect({ screen, found }).toEqual({ screen, found: [] });
      // Papers are never dim; and the stages of one lesson share their colours with those of another.
      await dimPhone(page, screen, !screen.startsWith('/print') && group !== 'other lessons');
    }
    expect(elsewhere).toEqual([]);
    expect(said).toEqual([]);
  });
}

test('what scrolls is reached by keyboard while a page is still filling in, and its controls are asleep', async ({
  page,
}) => {
  // The program never comes: the page stays as it is on a slow machine for a moment.
  await page.route('**/_next/static/**/*.js', (route) => route.abort());
  await page.setViewportSize({ width: 1280, height: 600 });
  for (const screen of [...blocksOf(11, 'plan', 'steps', 'kit'), '/check/6', '/check/6/report', '/logbook']) {
    await page.goto(screen, { waitUntil: 'domcontentloaded' });
    expect({ screen, found: await page.evaluate(outOfReach) }).toEqual({ screen, found: [] });
  }
  await page.goto('/check/6', { waitUntil: 'domcontentloaded' });
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'To the content' })).toBeFocused();
});

/** Boxes that hide a part of their own words. */
function cutOff(): string[] {
  return [...document.querySelectorAll<HTMLElement>('header *, main *')]
    .filter((one) => {
      const { overflowX, overflowY } = getComputedStyle(one);
      const hides = (overflow: string) => overflow === 'hidden' || overflow === 'clip';
      if (one.closest('svg, .visually-hidden') || !one.textContent?.trim()) return false;
      const across = hides(overflowX) && one.clientWidth > 0 && one.scrollWidth > one.clientWidth + 3;
      const down = hides(overflowY) && one.clientHeight > 0 && one.scrollHeight > one.clientHeight * 1.2;
      return across || down;
    })
    .map((one) => `${one.tagName} ${one.className}: ${one.textContent!.slice(0, 30)}`);
}

test('with letters twice as large nothing is cut off, and no screen goes sideways', async ({ page }) => {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Page.setFontSizes', { fontSizes: { standard: 32, fixed: 26 } });
  const screens = [
    ...blocksOf(13, 'aim', 'day', 'kit'),
    ...blocksOf(18, 'plan', 'steps'),
    '/check/6',
    '/store',
  ];
  await onDeskAndPhone(page, screens, async (screen, width) => {
    expect({ screen, width, found: await page.evaluate(cutOff) }).toEqual({ screen, width, found: [] });
  });
});

test('no two fields of a screen have one name', async ({ page }) => {
  const devtools = await page.context().newCDPSession(page);
  const fields = new Set(['textbox', 'combobox', 'slider', 'checkbox', 'searchbox', 'radio']);
  const screens = [
    ...blocksOf(1, 'plan', 'kit'),
    ...blocksOf(18, 'plan', 'day'),
    ...blocksOf(22, 'aim'),
    '/circuits',
    '/check/6',
    '/store',
    '/settings',
  ];
  for (const screen of screens) {
    await page.goto(screen, { waitUntil: 'load' });
    await expect(page.locator('fieldset.awake:disabled')).toHaveCount(0);
    const { nodes } = await devtools.send('Accessibility.getFullAXTree');
    const names = nodes
      .filter(({ ignored, role }) => !ignored && fields.has(String(role?.value)))
      .map(({ role, name }) => `${String(role?.value)}: ${String(name?.value ?? '')}`);
    const twice = names.filter((name, i) => names.indexOf(name) !== i || name.endsWith(': '));
    expect({ screen, twice }).toEqual({ screen, twice: [] });
    expect(names.length).toBeGreaterThan(0);
  }
});
