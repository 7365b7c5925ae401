import { readFileSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { expect, test, type Page } from '@playwright/test';
import { ROUTES } from '../../src/server/access/table';
import { alertSaying } from './helpers';

/** A house that nobody has come to yet. */
const HOUSE = 'http://127.0.0.1:4271';
const PASSPHRASE = 'four words by the sea';

test.describe.configure({ mode: 'serial' });
test.use({ baseURL: HOUSE });

const trySignIn = async (page: Page, passphrase: string) => {
  await page.goto('/');
  await page.getByLabel('Passphrase').fill(passphrase);
  await page.getByRole('button', { name: 'Sign in' }).click();
};

const signIn = async (page: Page) => {
  await trySignIn(page, PASSPHRASE);
  await expect(page.getByRole('link', { name: 'Today', exact: true })).toBeVisible();
};

test('the first start asks for a passphrase, and nothing opens without it', async ({ page, browser }) => {
  await page.goto('/lessons');
  await expect(page.getByRole('heading', { name: 'A passphrase first' })).toBeVisible();
  // Nobody chooses it who cannot read what the program has written on its machine.
  await expect(page.getByLabel('A passphrase for this house')).toHaveCount(0);
  const token = readFileSync(path.join(os.tmpdir(), 'mivvet-e2e-4271', 'e2e.sqlite.first'), 'utf8');
  await page.goto(`/sign-in?first=${token}`);
  await page.getByLabel('A passphrase for this house').fill('short');
  await page.getByRole('button', { name: 'Choose it' }).click();
  await expect(alertSaying(page, 'at least 10 letters')).toBeVisible();
  await page.getByLabel('A passphrase for this house').fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Choose it' }).click();
  await expect(page.getByRole('heading', { name: 'No session ahead.' })).toBeVisible();

  const stranger = await (await browser.newContext({ baseURL: HOUSE })).newPage();
  for (const route of Object.keys(ROUTES)) {
    const reply = await stranger.request.get(filled(route), { maxRedirects: 0 });
    const open = (ROUTES[route as keyof typeof ROUTES] as readonly string[]).includes('anyone');
    expect([route, reply.status()]).toEqual([route, open ? 200 : reply.status() === 401 ? 401 : 307]);
    if (!open && reply.status() === 307) expect(reply.headers()['location']).toBe('/sign-in');
    if (!open) expect(await reply.text()).not.toMatch(/Model harbour|One lamp/u);
  }
  await trySignIn(stranger, 'four words by the lake');
  await expect(alertSaying(stranger, 'not the passphrase')).toBeVisible();
  await stranger.context().close();
});

const filled = (route: string) => route.replace('[id]', '1').replace('[what]', 'card');

test('every answer carries what browsers hold to, and a page from elsewhere gets nothing', async ({
  page,
}) => {
  await signIn(page);
  await expect(page.getByRole('heading', { name: 'No session ahead.' })).toBeVisible();
  for (const route of [...Object.keys(ROUTES), '/nowhere', '/icon.svg']) {
    const headers = (await page.request.get(filled(route))).headers();
    expect([route, headers['content-security-policy'] ?? '']).toEqual([
      route,
      expect.stringMatching(/script-src 'self' 'nonce-[^']+' 'strict-dynamic'.*frame-ancestors 'none'/u),
    ]);
    expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*unsafe-inline/u);
    expect(headers).toMatchObject({
      'x-content-type-options': 'nosniff',
      'referrer-policy': 'same-origin',
      'permissions-policy': expect.stringContaining('geolocation=()'),
    });
    const renamed = await page.request.get(filled(route), { headers: { host: 'evil.example:4271' } });
    expect([route, renamed.status()]).toEqual([route, 403]);
    const elsewhere = await page.request.get(filled(route), { headers: { origin: 'http://evil.example' } });
    expect([route, elsewhere.status()]).toEqual([route, 403]);
  }
});

test('a helper comes to one session by its code, and nowhere else, until it ends', async ({
  page,
  browser,
}) => {
  await signIn(page);
  await page.goto('/classes');
  await page.getByLabel('Name').fill('Tern');
  await page.getByRole('button', { name: 'Make it' }).click();
  await page.getByLabel(/One nickname a line/u).fill('Wren\nFenn');
  await page.getByRole('button', { name: 'Add them' }).click();
  await expect(page.getByRole('heading', { name: '2 students' })).toBeVisible();
  await page.goto('/lessons');
  await page.getByLabel('Title').fill('Pier lamp');
  await page.getByRole('button', { name: 'Start' }).click();
  await expect(page.locator('svg.board')).toBeVisible();
  await page
    .getByRole('navigation', { name: 'Stages of the lesson' })
    .getByRole('button', { name: 'Class' })
    .click();
  await page.getByRole('button', { name: 'Give it' }).click();
  await page.getByRole('link', { name: /^Tern, / }).click();
  await expect(page.getByRole('heading', { name: 'Pier lamp: is every bench right?' })).toBeVisible();
  const check = new URL(page.url()).pathname;
  await page.getByRole('button', { name: 'Let others in' }).click();
  await page.getByRole('button', { name: 'A code for 4 hours' }).first().click();
  const code = (await page.locator('.join-code .code').innerText()).trim();
  expect(code).toMatch(/^[A-Z0-9]{6}$/u);

  const helper = await (await browser.newContext({ baseURL: HOUSE })).newPage();
  await helper.goto(`/join?code=${code.toLowerCase()}`);
  await helper.getByRole('button', { name: 'Come in' }).click();
  await expect(helper.getByRole('heading', { name: 'Pier lamp: is every bench right?' })).toBeVisible();
  await expect(helper.getByRole('navigation', { name: 'Places' }).getByRole('link')).toHaveCount(0);
  await helper.getByLabel('Bench 1 Wren, across R1').fill('2.91');
  await helper.getByLabel('Bench 1 Wren, across R1').press('Enter');
  await expect(helper.getByRole('row', { name: /^1 Wren/u })).toContainText('right');
  for (const route of ['/', '/logbook', '/classes/1', '/settings']) {
    await helper.goto(route);
    expect(new URL(helper.url()).pathname).toBe(check);
  }
  expect((await helper.request.get('/logbook/export.csv')).status()).toBe(403);

  await page.getByRole('button', { name: 'End it now' }).click();
  // It says first whom it touches.
  const asked = page.getByRole('group', { name: 'End it now' });
  await expect(asked).toContainText('Whoever came by it is out at once.');
  await asked.getByRole('button', { name: 'End it now' }).click();
  await expect(page.locator('.join-code')).toHaveCount(0);
  await helper.goto(check);
  await expect(helper.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await helper.context().close();
});

test('signing out everywhere ends what other machines had open', async ({ page, browser }) => {
  await signIn(page);
  await expect(
    page.getByRole('heading', { name: 'No session ahead.' }).or(page.getByText('Next session')),
  ).toBeVisible();
  const other = await (await browser.newContext({ baseURL: HOUSE })).newPage();
  await signIn(other);
  await other.goto('/settings');
  await expect(other.getByRole('heading', { name: 'Passphrase' })).toBeVisible();
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Sign out everywhere' }).click();
  await expect(page.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.reload();
  await expect(other.getByRole('heading', { name: 'Sign in' })).toBeVisible();
  await other.context().close();
});

test('a backup is made and verified from House style, and says when the last one was', async ({ page }) => {
  await signIn(page);
  await page.goto('/settings');
  await page.getByRole('button', { name: 'Make a backup now' }).click();
  await expect(page.getByText(/Made and verified: .*e2e-\d{4}-.*\.sqlite/u)).toBeVisible();
  await expect(page.getByText(/The last one was made/u)).toBeVisible();
  const file = await page.request.get('/settings/backup.sqlite');
  expect((await file.body()).subarray(0, 15).toString()).toBe('SQLite format 3');
});
