import { expect, test } from '@playwright/test';
import {
  axeFindsNothing,
  bigButton,
  choose,
  openVisit,
  reachFrames,
  signIn,
  signInByHand,
  turnTo,
  type,
  watchFaults,
} from './school';

const BOX = [
  '4H2N1P1CB4',
  '3H2N2P1CB5',
  '2H2N2P1L1EB6',
  '2H1P3S1L1EB8',
  '2H1P3S2LB8',
  '1H1N1P4S1LB8',
  '1H1P4S1L1EB8',
  '1H1N1P4S1EB8',
  '1H1N1P5SB8',
  '1H1N1P5SB8',
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
];

test('a lead instructor does the main job once, from sign-in to a follow-up on the strip', async ({ page }) => {
  const faults = watchFaults(page);
  await signInByHand(page, 'morag');

  await expect(page.getByRole('heading', { name: 'Go', level: 1 })).toBeVisible();
  await expect(page.getByText('13:10 to 15:30')).toBeVisible();
  for (const reason of ['Warmth', 'Gusts', 'Dry for', 'Daylight'])
    await expect(page.getByText(reason, { exact: true })).toBeVisible();
  await expect(page.getByRole('heading', { name: 'Bring' })).toBeVisible();
  await expect(page.getByText('Nadia:')).toBeVisible();
  await expect(page.locator('bc-season-strip .day')).toHaveCount(21);

  await openVisit(page, '4');
  await expect(bigButton(page)).toHaveText(/Ready/);
  for (const name of ['Fuel for the whole visit', 'Lighter works, gas in the torch'])
    await page.getByRole('button', { name }).click();
  const veils = page.getByRole('group', { name: 'Veil closed, checked by somebody else' });
  for (const veil of await veils.getByRole('button').all()) await veil.click();
  await expect(page.getByText('Veils not checked yet.')).toBeHidden();
  await bigButton(page).click();
  await expect(bigButton(page)).toHaveText(/Entrance seen/);
  await page.getByRole('button', { name: 'Pollen goes in' }).click();
  await page.getByRole('button', { name: 'orange' }).click();
  await reachFrames(page);
  await expect(page.getByText('Open 0 min')).toBeVisible();

  // by buttons
  for (const name of [/^H.*honey/, /^H.*honey/, /^N.*nectar/, /^C.*empty/])
    await page.getByRole('button', { name }).click();
  await expect(page.locator('#shorthand')).toHaveValue('1N 2H 1C');
  await page.getByRole('button', { name: 'Take back an eighth of empty comb' }).click();
  await expect(page.locator('#shorthand')).toHaveValue('1N 2H');
  // by shorthand
  await page.locator('#shorthand').fill('3H 2N *C B4');
  await page.locator('#shorthand').press('Enter');
  await expect(page.locator('#shorthand')).toHaveValue('2N 3H 3C B4');
  await bigButton(page).click();
  await expect(page.getByText('1 of 22 sides')).toBeVisible();

  // nine eighths stand out and are not recorded
  await type(page, '8SN');
  await expect(page.getByText('9 of 8')).toBeVisible();
  await bigButton(page).click();
  await expect(page.getByRole('alert').filter({ hasText: 'adds up to 9 eighths' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('#shorthand')).toHaveValue('');

  // by keys
  await type(page, '3H2N1P2CB4');
  await page.keyboard.press('Enter');
  for (const line of BOX.slice(0, 4)) {
    await type(page, line);
    await page.keyboard.press('Enter');
  }
  const seen = page.locator('bc-seen-enough');
  await expect(seen.getByRole('checkbox', { name: /^eggs, seen/ })).toBeVisible();
  await expect(seen.getByText(/Not yet/)).toBeVisible();
  await expect(page.locator('bc-so-far')).toContainText(/sealed worker 0\.\d/);
  await seen.getByRole('checkbox', { name: /healthy brood/ }).click();
  await expect(seen.getByRole('checkbox', { name: /healthy brood, seen/ })).toBeVisible();
  for (const line of BOX.slice(4)) {
    await type(page, line);
    await page.keyboard.press('Enter');
  }
  await expect(page.locator('bc-so-far').getByText('22 of 22 sides')).toBeVisible();

  // two skills of two trainees
  const judge = page.locator('bc-skill-judge');
  await choose(judge.getByRole('combobox', { name: 'Trainee' }), 'Salma');
  await choose(judge.getByRole('combobox', { name: 'Skill' }), /^finds eggs/);
  await judge.getByRole('button', { name: 'alone' }).click();
  await expect(judge.getByRole('button', { name: 'alone' })).toHaveAttribute('aria-pressed', 'true');
  await choose(judge.getByRole('combobox', { name: 'Trainee' }), 'Piotr');
  await choose(judge.getByRole('combobox', { name: 'Skill' }), /^sums up/);
  await judge.getByRole('button', { name: 'prompt' }).click();

  await page.getByRole('group', { name: 'Mood of the bees' }).getByRole('button', { name: 'easy' }).click();
  await expect(bigButton(page)).toHaveText(/Summed up/);
  await bigButton(page).click();
  for (const task of [
    'frame 1 back into brood box',
    'Dummy board back beside the frames',
    'Brood frames closed up',
    'excluder on',
    'Excluder wires run across the frames',
    'super 1 on',
    'Super frames spaced evenly',
    'crown board on',
    'No bees left on covers',
    'Scraps in the lidded bucket',
    'roof on',
    'Closed, look at the entrance',
  ]) {
    await expect(bigButton(page)).toContainText(task);
    await bigButton(page).click();
  }
  await page.getByRole('button', { name: 'question answered' }).click();
  await page.getByLabel('For whoever opens this hive next').fill('Frame 11 sticks.');
  await bigButton(page).click();

  await expect(page).toHaveURL(/\/afterwards\//);
  await expect(page.getByRole('heading', { name: 'What changed' })).toBeVisible();
  await expect(page.locator('.frame')).toHaveCount(11);
  await expect(page.getByText('Salma finds eggs: alone')).toBeVisible();
  await expect(page.getByText('Piotr sums up in four headings: with a prompt')).toBeVisible();
  await expect(page.getByText('Stopped because: question answered: Frame 11 sticks.')).toBeVisible();
  await expect(page.getByRole('row', { name: /Stores/ })).toBeVisible();
  await page
    .getByRole('row', { name: /Stores/ })
    .getByRole('button', { name: 'where from?' })
    .click();
  await expect(page.getByText('British National deep: 13.6 dm² both sides.', { exact: false })).toBeVisible();

  await page.getByRole('button', { name: 'Put the frames in order' }).click();
  const order = page.locator('bc-arrange-frames');
  await expect(order.getByText(/Brood in one block|Brood apart/)).toBeVisible();
  const first = order.getByRole('button', { name: /^Frame 1, .*place 1 of 11/ });
  await first.focus();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(order.getByRole('button', { name: /^Frame 1, .*place 2 of 11/ })).toBeFocused();
  await expect(order.getByText('One frame to lift')).toBeVisible();
  await axeFindsNothing(page, 'frames in order');
  await page.getByRole('button', { name: 'Close' }).click();

  const space = page.locator('bc-advice-card').filter({ hasText: 'Put a second super on' });
  await expect(space.getByText(/Bees on \d+(\.\d)? of 11 frames/)).toBeVisible();
  await space.getByRole('button', { name: 'Adjust' }).click();
  await space.getByLabel('Something else instead').fill('Wait for drawn combs');
  await space.getByRole('button', { name: 'Save decision' }).click();
  await expect(space.getByText('Say why, so that whoever opens the hive next understands it.')).toBeVisible();
  await space.getByLabel('Reason').fill('None in the store');
  await space.getByLabel('When').click();
  await page.getByRole('option', { name: /^Tue 19 May/ }).click();
  await space.getByLabel('With', { exact: true }).click();
  await page.getByRole('option', { name: 'Lapwing' }).click();
  await space.getByRole('button', { name: 'Save decision' }).click();
  await expect(space.getByText(/Something else by Morag Selkirk/)).toBeVisible();
  await expect(space.getByText(/On Tue 19 May\. With Lapwing\./)).toBeVisible();
  await page.getByRole('navigation').getByRole('link', { name: 'Ahead' }).click();
  await expect(page.locator('bc-season-strip').getByRole('button', { name: /^Tue 19.*due:.*hive 4/ })).toBeVisible();
  await page.goBack();

  await space.getByRole('button', { name: 'undo' }).click();
  await space.getByRole('button', { name: 'Decide', exact: true }).click();
  await expect(space.getByText(/Decided by Morag Selkirk/)).toBeVisible();
  expect(faults).toEqual([]);
});

test('pasted notes are recorded a side a line, and what cannot be read stays to be mended', async ({ page }) => {
  await signIn(page, 'ruth');
  await openVisit(page, '6');
  await turnTo(page, 3);
  await page.evaluate(() => {
    const data = new DataTransfer();
    data.setData('text', '3/2: 2H 1P 4S 1L B8\n3/4: 9S\n4/3: 1H 1P 5S 1E B8 K1');
    document
      .querySelector('#shorthand')
      ?.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
  });
  const card = page.getByRole('dialog');
  await expect(card.getByText('9 eighths', { exact: false })).toBeVisible();
  await card.getByRole('button', { name: 'Record 2 sides' }).click();
  await expect(page.getByText('2 of 22 sides')).toBeVisible();
  await expect(page.locator('bc-seen-enough').getByText('seen on 4', { exact: false })).toBeVisible();
});

test('the day of another session opens from the strip, by mouse and by keys', async ({ page }) => {
  await signIn(page, 'morag');
  await page.getByRole('button', { name: /^Tue 19/ }).click();
  await expect(page.getByRole('heading', { name: /Curlew.*Hive 9/ })).toBeVisible();
  await page.getByRole('button', { name: /^Tue 19/ }).press('ArrowRight');
  await expect(page.getByRole('button', { name: /^Wed 20/ })).toBeFocused();
  await page.keyboard.press('Enter');
  // A day without a session has its hours, and the strip marks it; no verdict of another day stays under its column.
  await expect(page.getByRole('heading', { name: /^Wed 20 May/ })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Wed 20/, pressed: true })).toBeVisible();
  await page.getByRole('button', { name: /^Wed 20/ }).press(']');
  await expect(page.getByRole('button', { name: /^Thu 4/ })).toBeVisible();
});

test('the second school opens on its own session, by the clock of the demo', async ({ page }) => {
  await signIn(page, 'ines');
  const time = page.getByRole('button', { name: 'Demo clock, move it forward' });
  await expect(time).toContainText('14 May');
  await expect(page.getByRole('heading', { name: /Plover.*Hive 2/ })).toBeVisible();
});
