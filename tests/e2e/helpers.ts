import { expect, type Locator, type Page } from '@playwright/test';

/** Text without the narrow spaces between value and unit. */
export async function plainText(locator: Locator): Promise<string> {
  return (await locator.innerText()).replaceAll('\u202f', ' ');
}

/** A matcher for text with narrow spaces where plain ones are written. */
export function spaced(text: string): RegExp {
  const escaped = text.replace(/[.*+?^${}()|[\]\\]/gu, '\\$&');
  return new RegExp(escaped.replaceAll(' ', '[ \u202f]'), 'u');
}

/** Starts a lesson from the pattern and waits until its sheet is there. */
export async function startLesson(page: Page, title: string, pattern = 'One lamp'): Promise<number> {
  await page.goto('/lessons');
  await page.getByRole('radio', { name: new RegExp(`^${pattern}`, 'u') }).check();
  await page.getByLabel('Title').fill(title);
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.getByLabel('Title of the lesson')).toHaveValue(title);
  await expect(page.locator('svg.board')).toBeVisible();
  return Number(new URL(page.url()).pathname.split('/').pop());
}

export async function openStage(page: Page, name: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Stages of the lesson' }).getByRole('button', { name }).click();
}

/** The application's own alert that says `text`; the framework's announcer of page titles is no alert. */
export function alertSaying(page: Page, text: string): Locator {
  return page.locator('[role=alert]:not(#__next-route-announcer__)').filter({ hasText: text });
}

/** The figure at the end of a line of working. */
export function line(page: Page, name: string): Locator {
  return page.locator('.sums tr').filter({ hasText: name }).locator('td').last();
}

/** Waits until everything typed has reached the database. */
export async function saved(page: Page): Promise<void> {
  await expect(page.locator('.save-state')).toHaveText(/^saved/u);
}

/** Makes a group with students out of a list. */
export async function makeGroup(page: Page, name: string, list: string): Promise<void> {
  await page.goto('/classes');
  await page.getByLabel('Name').fill(name);
  await page.getByRole('button', { name: 'Make it' }).click();
  await expect(page.getByRole('heading', { name: '0 students' })).toBeVisible();
  await page.getByLabel(/One nickname a line/u).fill(list);
  await page.getByRole('button', { name: 'Add them' }).click();
}

/** Gives the open lesson to a group today and opens its check grid. */
export async function giveTo(page: Page, group: string): Promise<void> {
  await openStage(page, 'Class');
  await page.getByLabel('Group').selectOption({ label: group });
  await page.getByRole('button', { name: 'Give it' }).click();
  await page.getByRole('link', { name: new RegExp(`^${group.replace(/ \(.*/u, '')}, `, 'u') }).click();
  await expect(page.getByRole('heading', { name: /is every bench right/u })).toBeVisible();
}

/** The field of a bench’s reading in the check grid. */
export function cell(page: Page, bench: number, point: string): Locator {
  return page.getByRole('textbox', { name: new RegExp(`^Bench ${bench} .*, ${point}`, 'u') });
}

/** A bench’s row in the check grid. */
export function row(page: Page, bench: number): Locator {
  const head = page.getByRole('rowheader', { name: new RegExp(`^${bench} `, 'u') });
  return page.getByRole('row').filter({ has: head });
}

/** How much wider than its own room the page is, in pixels. */
export function sideways(): number {
  return document.documentElement.scrollWidth - document.documentElement.clientWidth;
}

/** Opens screens on a desk and on a phone: once its controls are awake none goes sideways, and each is looked at. */
export async function onDeskAndPhone(
  page: Page,
  screens: readonly string[],
  look?: (screen: string, width: number) => Promise<void>,
): Promise<void> {
  for (const [width, height] of [
    [1280, 800],
    [390, 844],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const screen of screens) {
      await page.goto(screen, { waitUntil: 'load' });
      await expect(page.locator('fieldset.awake:disabled')).toHaveCount(0);
      await expect.poll(() => page.evaluate(sideways), `${screen} at ${width}`).toBe(0);
      await look?.(screen, width);
    }
  }
}

/** Parts of a one-lamp lesson in rows only, R1 in c3 and c8 and D1 in e8 and e9: for whoever takes legs by their holes. */
export async function rowsOnly(page: Page): Promise<void> {
  await openStage(page, 'Plan');
  await page.getByLabel('Rails').selectOption('wires only');
  await expect(page.getByRole('button', { name: /^The resistor R1: leg in c3, leg in c8/u })).toBeVisible();
}
