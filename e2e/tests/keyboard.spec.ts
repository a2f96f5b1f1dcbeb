import { expect, type Page, test } from '@playwright/test';
import { PASSWORD } from './school';

/** Tabs in a page before its end is reached. */
const MOST = 90;

const focused = (page: Page) =>
  page.evaluate(() => {
    const at = document.activeElement!;
    const ring = [at, at.closest('.mat-button-toggle, .mdc-checkbox')].some(
      (each) => each && getComputedStyle(each).outlineStyle !== 'none',
    );
    const field = at.closest('mat-form-field') !== null;
    return {
      name: `${at.getAttribute('aria-label') ?? ''} ${at.textContent}`.replaceAll(/\s+/g, ' ').trim(),
      // A frame that holds a field is drawn thicker; the page itself is no control.
      seen: ring || field || at === document.body,
    };
  });

/** Tabs on to a control, and holds that each on the way can be seen to have focus. */
async function tabTo(page: Page, name: RegExp, key: 'Tab' | 'Shift+Tab' = 'Tab') {
  for (let tabs = 0; tabs < MOST; tabs += 1) {
    await page.keyboard.press(key);
    const at = await focused(page);
    expect(at.seen, `a ring around "${at.name}"`).toBe(true);
    if (name.test(at.name)) return;
  }
  throw new Error(`Nothing called ${name} within ${MOST} tabs.`);
}

/** Signs in by keys and goes to a place. */
async function into(page: Page, who: string, place: RegExp) {
  await page.goto('/');
  const name = page.getByLabel('Name');
  await expect(name).toBeVisible();
  while (!(await name.evaluate((field) => field === document.activeElement))) await page.keyboard.press('Tab');
  await page.keyboard.type(who);
  await page.keyboard.press('Tab');
  await page.keyboard.type(PASSWORD);
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  await expect(page.locator('bc-group-card').first()).toBeVisible();
  await tabTo(page, place);
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
}

test('a trainee practises, claims and leaves by keys alone, and always sees where they are', async ({ page }) => {
  await into(page, 'nadia', /^Practice$/);
  await expect(page.getByText('8 left', { exact: true })).toBeVisible();
  await page.keyboard.type('elsssphh');
  await expect(page.getByText('none left', { exact: true })).toBeVisible();
  await page.keyboard.press('Enter');
  await tabTo(page, /^Another one$/);
  await page.keyboard.press('Enter');
  await expect(page.getByText('8 left', { exact: true })).toBeVisible();
  // The button has gone: keys go on where it was, not at the top of the page.
  await expect(page.locator('body')).not.toBeFocused();
  await tabTo(page, /^Trainees$/, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(page.locator('main')).toBeFocused();
  await tabTo(page, /^Claim a skill$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('button', { name: 'Claim a skill' })).toBeFocused();
});

test('the lead goes through matrix and debrief by keys alone, and always sees where they are', async ({ page }) => {
  await into(page, 'morag', /^Trainees$/);
  const matrix = page.getByRole('grid', { name: /^Trainees and skills/ });
  await expect(matrix).toBeVisible();
  while (!(await matrix.evaluate((grid) => grid === document.activeElement))) await page.keyboard.press('Tab');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Enter');
  await tabTo(page, /^Close$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary', { name: 'Beside the matrix' })).toBeFocused();
  await tabTo(page, /^Afterwards$/, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Visits' })).toBeVisible();
  await tabTo(page, /^Debrief$/, 'Shift+Tab');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Debrief', level: 1 })).toBeVisible();
  await tabTo(page, /^Details for /);
  await page.keyboard.press('Enter');
  await expect(page.locator(':focus')).toHaveAttribute('aria-expanded', 'true');
});
