import { expect, test, type Page } from '@playwright/test';
import { startLesson } from './helpers';

/** Paper in the browser's own measure: 96 to the inch. */
const MM = 96 / 25.4;
/** The width that is left of A4 between its margins. */
const A4_WIDTH = Math.round(190 * MM);

async function pagesOf(page: Page, format: 'A4' | 'Letter'): Promise<number> {
  const pdf = (await page.pdf({ format })).toString('latin1');
  return pdf.match(/\/Type\s*\/Page\b/gu)!.length;
}

/** Millimetres of the smallest letters in each board of a page as it is printed. */
async function smallestLetters(page: Page): Promise<number[]> {
  await page.setViewportSize({ width: A4_WIDTH, height: 1047 });
  await page.emulateMedia({ media: 'print' });
  const pixels = await page.locator('svg.board').evaluateAll((boards) =>
    boards.map((board) => {
      const texts = [...board.querySelectorAll('text')].filter((text) => text.textContent?.trim());
      return Math.min(
        ...texts.map((text) => {
          const { a, b } = (text as SVGTextElement).getScreenCTM()!;
          return parseFloat(getComputedStyle(text).fontSize) * Math.hypot(a, b);
        }),
      );
    }),
  );
  return pixels.map((one) => one / MM);
}

// The harbour's lessons from the least to the largest, with the pages that their cards and students' sheets may take.
const LESSONS = [
  { id: 1, name: 'Pier lamp', card: 1, sheet: 2 },
  { id: 10, name: 'Launch battery gauge', card: 3, sheet: 2 },
  { id: 13, name: 'Lighthouse', card: 2, sheet: 2 },
  { id: 20, name: 'Boathouse lamp', card: 1, sheet: 2 },
  { id: 25, name: 'Storm lights', card: 4, sheet: 4 },
] as const;

for (const { id, name, card, sheet } of LESSONS) {
  test(`${name} fits its pages on either paper, and every plan can be read there`, async ({ page }) => {
    for (const [what, most] of [
      ['card', card],
      ['sheet', sheet],
      ['checks', 1],
    ] as const) {
      await page.goto(`/print/${id}/${what}`);
      await expect(page.getByRole('heading', { level: 1 })).toContainText(name);
      for (const paper of ['A4', 'Letter'] as const)
        expect(await pagesOf(page, paper), `${what} on ${paper}`).toBeLessThanOrEqual(most);
    }
    for (const what of ['card', 'sheet']) {
      await page.setViewportSize({ width: 1280, height: 800 });
      await page.goto(`/print/${id}/${what}`);
      const letters = await smallestLetters(page);
      expect(letters.length).toBeGreaterThan(0);
      for (const millimetres of letters) expect(millimetres, what).toBeGreaterThanOrEqual(1.8);
    }
  });
}

test('one card printed again and again comes out whole each time', async ({ page }) => {
  const id = await startLesson(page, 'Harbour lamp in print');
  const steps = new Set<number>();
  for (let i = 0; i < 50; i++) {
    const answer = await page.request.get(`/print/${id}/card`);
    expect(answer.status()).toBe(200);
    const markup = await answer.text();
    expect(markup).toContain('Stop: is it right?');
    steps.add(markup.split('<article')[1]!.split('</article>')[0]!.split('<li').length - 1);
  }
  // What was answered once is answered the same: so many steps, and never none.
  expect(steps.size).toBe(1);
  expect([...steps][0]).toBeGreaterThan(6);
});
