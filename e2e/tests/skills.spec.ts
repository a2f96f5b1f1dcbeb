import { expect, test } from '@playwright/test';
import { axeFindsNothing, choose, signIn, soundOnDeskAndPhone } from './school';

test('a trainee claims, the supervisor confirms, the lead signs, and the passport tells it all', async ({
  browser,
}) => {
  const [trainee, supervisor, lead] = await Promise.all(
    ['salma', 'tomasz', 'morag'].map(async (name) => {
      const page = await browser.newPage();
      await signIn(page, name);
      return page;
    }),
  );
  if (!trainee || !supervisor || !lead) throw new Error('three pages are needed');
  await trainee.getByRole('link', { name: 'Trainees' }).click();
  await expect(trainee.getByRole('heading', { name: 'Salma', level: 1 })).toBeVisible();
  await trainee.getByRole('button', { name: 'Claim a skill' }).click();
  const card = trainee.getByRole('dialog');
  await choose(card.getByRole('combobox', { name: 'Skill' }), 'prepare: checks fuel and lighter');
  await choose(card.getByRole('combobox', { name: 'Hive' }), '4');
  await card.getByLabel('What was seen').fill('second lighter in the bag');
  await card.getByRole('button', { name: 'Claim it' }).click();
  await trainee.getByRole('button', { name: 'checks fuel and lighter', exact: true }).click();
  await expect(trainee.getByText('Waiting for a supervisor.')).toBeVisible();

  await supervisor.getByRole('link', { name: 'Trainees' }).click();
  const beside = supervisor.getByRole('complementary', { name: 'Beside the matrix' });
  await expect(beside.getByText('second lighter in the bag')).toBeVisible();
  await beside.getByRole('button', { name: 'Confirm' }).click();
  await expect(beside.getByText('second lighter in the bag')).toHaveCount(0);

  await lead.goto('/trainees');
  await lead.getByRole('radio', { name: /^All skills/ }).click();
  const grid = lead.getByRole('grid');
  await grid.focus();
  await grid.press('ArrowDown');
  for (let step = 0; step < 6; step += 1) await grid.press('ArrowDown');
  for (let step = 0; step < 5; step += 1) await grid.press('ArrowRight');
  await grid.press('Enter');
  const side = lead.getByRole('complementary', { name: 'Beside the matrix' });
  await expect(side.getByRole('heading', { name: 'checks fuel and lighter' })).toBeVisible();
  await side.getByRole('link', { name: 'Open the passport' }).click();
  await expect(lead.getByRole('heading', { name: 'Salma', level: 1 })).toBeVisible();
  await lead.getByRole('button', { name: 'checks fuel and lighter', exact: true }).click();
  await expect(lead.getByText(/14 May, alone, claimed, hive 4.* Judged by Tomasz Wierzba/)).toBeVisible();
  const words = await lead.getByText(/^check words:/).textContent();
  await lead.getByRole('button', { name: /^Sign off \d+ skills? …/ }).click();
  await lead
    .getByRole('dialog')
    .getByRole('button', { name: /^Sign off \d+$/ })
    .click();
  await expect(lead.getByRole('button', { name: 'Sign off 0 skills …' })).toBeVisible();
  await expect(lead.getByText(/skills? signed off\./)).toBeVisible();
  await expect(lead.getByText(/^check words:/)).not.toHaveText(words ?? '');
  const download = lead.waitForEvent('download');
  await lead.getByRole('button', { name: 'Export for another school' }).click();
  expect((await download).suggestedFilename()).toMatch(/^passport-salma-.*\.json$/);
});

test('a draft of the checklist is shown with whom it touches, and put in force takes nothing away', async ({
  page,
}) => {
  await signIn(page, 'morag');
  await page.goto('/office/checklist');
  await page.getByRole('button', { name: 'stands out of the flight lane' }).click();
  await choose(page.getByRole('combobox', { name: 'Times' }), '12 times');
  const touches = page.getByRole('region', { name: 'Who is affected' });
  await expect(touches.getByText(/trainees would drop back if assessed again/)).toBeVisible();
  await expect(touches.locator('li.back').first()).toBeVisible();
  await page.getByRole('button', { name: 'stands out of the flight lane' }).press('Alt+ArrowDown');
  await expect(page.getByText('2 changes', { exact: true })).toBeVisible();
  await page.reload();
  await expect(page.getByText('2 changes', { exact: true })).toBeVisible();
  await page.getByLabel('Why, for the record').fill('more often');
  await page.getByRole('button', { name: 'Publish', exact: true }).click();
  await expect(page.getByText(/^Version 2 is published; \d{3} results were carried over/)).toBeVisible();
  await expect(page.getByText('v2,')).toBeVisible();
  await expect(page.getByText(/Nothing is changed yet/)).toBeVisible();
});

test('a list waits for the next course, changes nothing before it, and is taken back as the draft', async ({
  page,
}) => {
  await signIn(page, 'morag');
  await page.goto('/office/checklist');
  await page.getByRole('button', { name: 'finds eggs', exact: true }).click();
  await choose(page.getByRole('combobox', { name: 'Times' }), '6 times');
  await page.getByRole('radio', { name: /until the next course/ }).check();
  await expect(page.getByLabel('The next course begins')).toHaveValue(/^\w{3} \d+ \w{3} 2026$/);
  await page.getByRole('button', { name: 'Schedule it' }).click();
  await expect(page.getByText(/Until then nothing changes/)).toBeVisible();
  await expect(page.getByText(/Nothing is changed yet/)).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Times' })).toContainText('3 times');
  await page.reload();
  await page.getByRole('button', { name: 'Edit it again as a draft' }).click();
  await expect(page.getByText(/is the draft again/)).toBeVisible();
  await page.getByRole('button', { name: 'finds eggs', exact: true }).click();
  await expect(page.getByRole('combobox', { name: 'Times' })).toContainText('6 times');
  await page.getByRole('button', { name: 'Discard the draft' }).click();
  await expect(page.getByText(/Nothing is changed yet/)).toBeVisible();
});

test('axe finds nothing on trainees, passport, agreement and checklist, and nothing runs off a phone', async ({
  page,
}) => {
  await signIn(page, 'morag');
  const seen = async (path: string, ready: () => Promise<void>) => {
    await page.goto(path);
    await ready();
    await soundOnDeskAndPhone(page, path);
  };
  await seen('/trainees', async () => {
    await page.getByRole('gridcell').first().click();
    await expect(page.getByRole('link', { name: 'Open the passport' })).toBeVisible();
  });
  const link = (await page.getByRole('link', { name: 'Open the passport' }).getAttribute('href')) ?? '';
  await seen(link, async () => {
    await page.getByRole('button', { name: 'finds eggs', exact: true }).click();
    await expect(page.getByText(/^Alone three times/)).toBeVisible();
  });
  await page.getByRole('button', { name: 'Judge a skill' }).click();
  await expect(page.getByRole('dialog')).toBeVisible();
  await axeFindsNothing(page, 'judging');
  await seen('/trainees/agreement', async () => {
    await expect(page.getByRole('heading', { name: 'Assessors beside each other' })).toBeVisible();
  });
  await seen('/office/checklist', async () => {
    await expect(page.getByRole('heading', { name: 'What each level sounds like' })).toBeVisible();
  });
});
