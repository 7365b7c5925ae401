import { expect, test } from '@playwright/test';
import { alertSaying, openStage, plainText, saved, spaced, startLesson } from './helpers';

const RATE = 16_000;

/** A WAV file of one tone after another, half a second each, written here by itself. */
function wav(...tones: readonly number[]): Buffer {
  const count = tones.length * (RATE / 2);
  const bytes = Buffer.alloc(44 + 2 * count);
  bytes.write('RIFF', 0);
  bytes.writeUInt32LE(36 + 2 * count, 4);
  bytes.write('WAVEfmt ', 8);
  bytes.writeUInt32LE(16, 16);
  bytes.writeUInt16LE(1, 20);
  bytes.writeUInt16LE(1, 22);
  bytes.writeUInt32LE(RATE, 24);
  bytes.writeUInt32LE(2 * RATE, 28);
  bytes.writeUInt16LE(2, 32);
  bytes.writeUInt16LE(16, 34);
  bytes.write('data', 36);
  bytes.writeUInt32LE(2 * count, 40);
  for (let i = 0; i < count; i++) {
    const hertz = tones[Math.floor(i / (RATE / 2))]!;
    bytes.writeInt16LE(Math.round(31_000 * Math.sin((2 * Math.PI * hertz * i) / RATE)), 44 + 2 * i);
  }
  return bytes;
}

test('a newcomer gives each part of the music its colour, and sees which tone lights what', async ({
  page,
}) => {
  const id = await startLesson(page, 'Dancing lights', 'Sound lights');
  await page.getByText('The lamps in words').click();
  await page.getByLabel('The lamps in words').fill('bass green, voice pink');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByText('The lamps stay as they are.')).toContainText('voice pink');
  await page.getByLabel('The lamps in words').fill('bass red, voice yellow, cymbals white');
  await page.getByRole('button', { name: 'Take it' }).click();
  await expect(page.getByLabel('Lamps for the cymbals')).toHaveValue('white');
  await openStage(page, 'Sums');
  const row = (name: string) => page.getByRole('row', { name: new RegExp(`^${name} D`, 'u') });
  await expect(row('low').locator('td').nth(1)).toContainText('lit');
  for (const place of [2, 3]) await expect(row('low').locator('td').nth(place)).toHaveText('dark');
  await expect(row('high').locator('td').nth(3)).toContainText('lit');
  // By hand: 1 ÷ (2π · 1 kΩ · 1 µF) is 159 Hz, where the low channel ends.
  await expect(page.getByRole('row', { name: /^and up to/u }).first()).toContainText(spaced('159 Hz'));
  await openStage(page, 'Aim');
  await expect(page.getByText('In silence every lamp is dark.')).toBeVisible();
  await openStage(page, 'Checks');
  await expect(page.getByRole('row', { name: /^across R7 .83.*play a tone/u })).toContainText(
    'play a tone of',
  );
  await saved(page);
  await page.goto(`/print/${id}/card`);
  const card = page.locator('.printed');
  await expect(card).toContainText('White wire in');
  await expect(card).toContainText(spaced('Play a tone of 83 Hz on both sides. D1 and D2 light.'));
  await expect(card).toContainText('The middle channel is the same as the low one with other values');
  await expect(card).toContainText('in silence all are dark');
});

test('plays a sound of our own to the lamps, and says what is no sound', async ({ page }) => {
  await startLesson(page, 'Own music', 'Sound lights');
  await openStage(page, 'Its sound');
  await expect(page.getByRole('img', { name: /Current of the lamps from/u })).toBeVisible({
    timeout: 30_000,
  });
  await page.getByLabel('What is played').selectOption('file');
  const file = page.getByLabel('A sound of our own, as WAV');
  await file.setInputFiles({ name: 'song.wav', mimeType: 'audio/wav', buffer: Buffer.from('ID3 a song') });
  await expect(alertSaying(page, 'it begins like an MP3 file')).toBeVisible();
  await file.setInputFiles({ name: 'tones.wav', mimeType: 'audio/wav', buffer: wav(83, 790, 7000) });
  await expect(page.getByText('tones.wav: 16')).toBeVisible();
  await page.getByRole('button', { name: 'Play it to the lamps' }).click();
  await expect(page.getByRole('button', { name: 'Save as CSV' })).toBeEnabled({ timeout: 60_000 });
  const ruler = page.getByRole('slider', { name: 'Instant of the piece' });
  await ruler.focus();
  for (let i = 0; i < 10; i++) await page.keyboard.press('ArrowRight');
  const words = async () => plainText(page.locator('.instant-words'));
  expect(await words()).toMatch(/D1 and D2 lit, .*; D3 and D4 (dark|glow.*); D5 and D6 dark/u);
  await page.keyboard.press('Shift+ArrowRight');
  expect(await words()).toMatch(/D1 and D2 dark; D3 and D4 dark; D5 and D6 lit/u);
  await page.getByRole('button', { name: 'Hear it' }).click();
  await expect(page.locator('audio')).toHaveAttribute('src', /^blob:/u);
});

test('a long piece shows roughly at once, goes on, and can be cancelled', async ({ page }) => {
  await startLesson(page, 'Sweep', 'Sound lights');
  await openStage(page, 'Its sound');
  await page.getByLabel('What is played').selectOption('sweep');
  await page.getByRole('button', { name: 'Play it to the lamps' }).click();
  await expect(page.getByText('roughly', { exact: true })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('progressbar', { name: 'Music that has been followed' })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByText('Cancelled.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Play it to the lamps' })).toBeEnabled();
});
