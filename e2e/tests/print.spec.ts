import { type Page, expect, test } from '@playwright/test';
import { signIn } from './school';

/** Pages of a page as the browser prints it. */
async function pagesOf(page: Page, format: 'A4' | 'Letter', margin: string): Promise<number> {
  const pdf = await page.pdf({
    format,
    printBackground: true,
    margin: { top: margin, bottom: margin, left: margin, right: margin },
  });
  return Number(/\/Count (\d+)/.exec(pdf.toString('latin1'))?.[1]);
}

/** Says on paper what it is, of which site and school and when it was printed, and has nothing to press. */
async function standsOnPaper(page: Page, what: RegExp): Promise<void> {
  // The page is called by its day or its person once that is known.
  await expect(page).toHaveTitle(what);
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => globalThis.dispatchEvent(new Event('beforeprint')));
  const head = page.locator('.print-head');
  await expect(head).toContainText(what);
  await expect(head).toContainText('Home orchard, Brenna Fell School of Beekeeping');
  await expect(head).toContainText(/printed Thursday 14 May 2026, \d\d:\d\d by Morag Selkirk/);
  await expect(page.locator('.mdc-button:visible, .mat-mdc-icon-button:visible')).toHaveCount(0);
  await page.emulateMedia({ media: null });
}

const PAPERS = [
  ['A4', '15mm'],
  ['A4', '0mm'],
  ['Letter', '15mm'],
  ['Letter', '0mm'],
] as const;

test('a day sheet of three groups and a passport of 73 skills are two pages each', async ({ page }) => {
  await signIn(page, 'morag');
  await expect(page.locator('bc-group-card')).toHaveCount(3);
  await expect(page.locator('bc-comb-legend')).toBeVisible();
  await standsOnPaper(page, /^Day sheet, Thu 14 May/);
  for (const [format, margin] of PAPERS) expect(await pagesOf(page, format, margin), `${format} ${margin}`).toBe(2);

  await page.goto('/trainees');
  await page.getByRole('rowheader', { name: /^Kwame/ }).click();
  await page.getByRole('link', { name: 'Open the passport' }).click();
  await expect(page.getByRole('heading', { name: 'Kwame' })).toBeVisible();
  await standsOnPaper(page, /^Passport of Kwame/);
  for (const [format, margin] of PAPERS)
    expect(await pagesOf(page, format, margin), `${format} ${margin}`).toBeLessThanOrEqual(2);
});

test('record sheets are a page a hive, at any margin', async ({ page }) => {
  await signIn(page, 'morag');
  await page.getByRole('link', { name: 'Record sheets to write on' }).click();
  await expect(page.getByRole('article')).toHaveCount(3);
  await standsOnPaper(page, /^Record sheets, Thu 14 May/);
  for (const [format, margin] of PAPERS) expect(await pagesOf(page, format, margin), `${format} ${margin}`).toBe(3);
});

test('debrief, yard round and indoor plan have their head on paper and nothing to press', async ({ page }) => {
  await signIn(page, 'morag');
  for (const [path, what] of [
    ['/afterwards/debrief', /^Debrief/],
    ['/colonies/round', /^Yard round/],
    ['/practice/indoors', /^Indoors/],
  ] as const) {
    await page.goto(path);
    await expect(page.getByRole('heading').first()).toBeVisible();
    await standsOnPaper(page, what);
  }
});
