import { type Page, expect, test } from '@playwright/test';
import { join } from 'node:path';
import { bigButton, more, openVisit, reachFrames, signIn, type } from '../tests/school';

const take = async (page: Page, name: string, whole = false) => {
  await page.evaluate(() => window.scrollTo(0, 0));
  return page.screenshot({ path: join(process.env.PICTURES ?? 'results', `${name}.png`), fullPage: whole });
};

const NEST = [
  '4H2N2CB4',
  '4H2N1P1CB4',
  '3H2N2P1CB5',
  '2H2N2P1L1EB6',
  '2H1P3S1L1EB7',
  '2H1P3S2LB8',
  '1H1N1P4S1LB8',
  '1H1P4S1L1EB8Q',
  '1H1N1P4S1EB8',
  '1H1N1P5SB8',
];
const REST = [
  '2H1N1P3S1LB8',
  '1H1P4S1L1DB8',
  '1H1P3S1L1D1EB8',
  '1H1P2S2L2EB8',
  '2H2P2L1E1CB7',
  '2H1N2P2E1CB7',
  '2H2N1P3CB6',
  '3N5CB5',
  '1N4C3FB3',
  '1C7FB2',
  '8FB0',
];

const enter = async (page: Page, lines: readonly string[]) => {
  for (const line of lines) {
    await type(page, line);
    await page.keyboard.press('Enter');
  }
};

test('sign-in, day sheet, At the hive on three screens, visit review', async ({ page }) => {
  test.setTimeout(480_000);
  await page.goto('/');
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible();
  await take(page, 'sign-in');
  await signIn(page, 'morag');
  await expect(page.locator('bc-season-strip .day')).toHaveCount(21);
  await take(page, 'day-sheet');

  await page.goto('/ahead/planner');
  await page.getByRole('button', { name: /^(Plan|Re-plan)$/ }).click();
  await expect(page.locator('bc-plan-score')).toContainText(/of at most \d+ points|the best plan found has/, {
    timeout: 20_000,
  });
  await expect(page.getByRole('button', { name: 'Re-plan' })).toBeVisible({ timeout: 70_000 });
  await page.locator('button.token').nth(1).click();
  await expect(page.getByText('Or else')).toBeVisible({ timeout: 20_000 });
  await page.locator('bc-plan-grid .board').evaluate((board) => board.scrollTo({ left: 0 }));
  await take(page, 'planner');
  for (const [name, heading] of [
    ['season', /^Swarm season/],
    ['dues', /^What is due/],
  ] as const) {
    await page.goto(`/ahead/${name}`);
    await expect(page.getByRole('heading', { name: heading })).toBeVisible();
    await page.waitForTimeout(700);
    await take(page, name);
  }
  await page.goto('/colonies');
  await expect(page.getByRole('link', { name: 'Hive 14', exact: true })).toBeVisible({ timeout: 30_000 });
  await page.waitForTimeout(500);
  await take(page, 'colonies');
  await page.getByRole('link', { name: 'Hive 4', exact: true }).click();
  await expect(page.getByText(/^All room covered/)).toBeVisible({ timeout: 30_000 });
  await take(page, 'colony');
  await page.goto('/colonies/round');
  await expect(page.getByRole('heading', { name: /^Yard round Home/ })).toBeVisible({ timeout: 30_000 });
  await page.waitForTimeout(500);
  await take(page, 'yard-round');
  await page.goto('/ahead/weather');
  await expect(page.getByText(/Looking up/)).toBeVisible();
  await expect(page.getByText(/Looking up/)).toBeHidden({ timeout: 90_000 });
  await take(page, 'weather');
  await page.goto('/ahead');
  await expect(page.locator('bc-season-strip .day')).toHaveCount(21);

  await page.getByRole('button', { name: 'Demo clock, move it forward' }).click();
  await page.getByRole('menuitem', { name: /To the session/ }).click();
  await expect(page.getByRole('button', { name: 'Demo clock, move it forward' })).toContainText('13:10');
  await page.waitForTimeout(800);
  await openVisit(page, '4');
  await bigButton(page).click();
  await expect(bigButton(page)).toHaveText(/Entrance seen/);
  const card = page.getByRole('dialog');
  await more(page, 'Defect or stray comb');
  await card.getByRole('button', { name: 'gap between boxes' }).click();
  await card.getByRole('button', { name: /^tape over it/ }).click();
  await card.getByRole('button', { name: 'Record it' }).click();
  await card.getByRole('button', { name: 'stray comb', exact: true }).click();
  await card.getByRole('button', { name: 'under the excluder' }).click();
  await card.getByRole('button', { name: 'drone brood' }).click();
  await card.getByRole('button', { name: 'Record it' }).click();
  await card.getByRole('button', { name: 'Back to the hive' }).click();
  await more(page, 'Measure or test');
  await card.getByRole('button', { name: 'scraps of wax' }).click();
  await card.getByRole('spinbutton', { name: 'In the lidded bucket, kg' }).fill('0.3');
  await card.getByRole('spinbutton', { name: 'In the lidded bucket, kg' }).blur();
  await card.getByRole('button', { name: 'Save' }).click();
  await card.getByRole('button', { name: 'Back to the hive' }).click();
  await reachFrames(page);
  await enter(page, NEST);
  await type(page, '3S1L1P2H+EKB6');
  await page.getByRole('group', { name: 'Mood of the bees' }).getByRole('button', { name: 'lively' }).click();
  await page.getByRole('button', { name: /^alone/ }).click();
  await page.waitForTimeout(400);
  await take(page, 'at-the-hive');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.waitForTimeout(300);
  await take(page, 'at-the-hive-phone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.keyboard.press('Enter');
  await enter(page, REST);
  for (let step = 0; step < 40 && !page.url().includes('/afterwards/'); step += 1) {
    const queen = page.getByRole('button', { name: 'on her frame' });
    if (await queen.isVisible()) await queen.click();
    const why = page.getByRole('group', { name: 'Stopped because' });
    if ((await why.isVisible()) && (await why.getByRole('button', { pressed: true }).count()) === 0)
      await why.getByRole('button').first().click();
    await bigButton(page)
      .click({ timeout: 4_000 })
      .catch(() => undefined);
    await page.waitForTimeout(200);
  }
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
  await page.locator('bc-advice-card').first().getByRole('button', { name: 'Decide', exact: true }).click();
  await expect(page.getByText(/Decided by/)).toBeVisible();
  await take(page, 'visit-review', true);
  await page.goto('/trainees');
  await page.getByRole('radio', { name: /^All skills/ }).click();
  const row = page.getByRole('row', { name: /Salma/ });
  await row.getByRole('gridcell').nth(13).click();
  await expect(page.getByRole('link', { name: 'Open the passport' })).toBeVisible();
  await take(page, 'trainees');
  await page.getByRole('link', { name: 'Open the passport' }).click();
  await expect(page.getByText(/^check words/)).toBeVisible();
  await take(page, 'passport');
  await page.goto('/afterwards/debrief');
  await expect(page.getByRole('heading', { name: 'To sign off' })).toBeVisible();
  await take(page, 'debrief');
  await page.goto('/practice/comb-brood');
  await expect(page.locator('canvas')).toBeVisible();
  await page.waitForTimeout(500);
  for (const key of '1L3S1P1N2H') await page.keyboard.press(key);
  await page.keyboard.press('Enter');
  await page.getByRole('radio', { name: 'zones and eggs' }).click();
  await page.waitForTimeout(500);
  await take(page, 'practice');
  await page.goto('/office/people');
  await page.getByRole('button', { name: 'Nadia', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Nadia', exact: true })).toBeVisible();
  await page.evaluate(() => scrollTo(0, 0));
  await take(page, 'people');
  await page.goto('/office/checklist');
  await page.getByRole('button', { name: 'finds eggs', exact: true }).click();
  await page.getByRole('combobox', { name: 'Times' }).click();
  await page.getByRole('option', { name: '6 times' }).click();
  await page.getByRole('combobox', { name: 'Before whom' }).click();
  await page.getByRole('option', { name: 'the lead once' }).click();
  await expect(page.getByText(/would drop back if assessed again/)).toBeVisible();
  await take(page, 'checklist');

  await page.goto('/office/sites');
  await page.getByRole('link', { name: 'Plan of Home orchard' }).click();
  await page.getByRole('button', { name: /^Stand B,/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: /^Move it/ })).toBeVisible();
  await take(page, 'site-plan');
});
