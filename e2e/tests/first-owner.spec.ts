import { expect, test } from '@playwright/test';
import { emptyServer } from './own-server';
import { axeFindsNothing, watchFaults } from './school';

const said = emptyServer(18_393);

test('a real installation is opened by its first owner with the code of the start, and by nobody else', async ({
  page,
}) => {
  const code = /start code: (\d{6})/.exec(said())?.[1] ?? '';
  expect(code, 'the start shows a code').not.toBe('');
  const faults = watchFaults(page);
  await page.goto('/ahead');
  await expect(page.getByRole('heading', { name: 'Start your school' })).toBeVisible();
  await axeFindsNothing(page, 'start');
  const field = (name: string) => page.getByRole('textbox', { name });
  const create = page.getByRole('button', { name: 'Create the school' });
  await create.click();
  await expect(page.getByText('Type your name.')).toBeVisible();
  await expect(field('Start code')).toBeFocused();

  await field('Your name').fill('Inés Quiroga');
  await field('E-mail or sign-in name').fill('ines@saltpan-road.example');
  await field('Password').fill('three plain words');
  await field('Name of the school').fill('Saltpan Road');
  await field('Place, optional').fill('42.9 S, 147.2 E');
  await expect(page.getByRole('radio', { name: 'South' })).toBeChecked();
  await expect(page.getByRole('combobox', { name: 'Time zone' })).toHaveValue('Australia/Hobart');
  await field('Start code').fill(code === '000000' ? '000001' : '000000');
  await create.click();
  await expect(page.getByRole('alert').filter({ hasText: '4 tries left' })).toBeVisible();
  await page.setViewportSize({ width: 320, height: 700 });
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(320);
  await axeFindsNothing(page, 'start on a phone');
  await page.setViewportSize({ width: 1280, height: 800 });
  await field('Start code').fill(code);
  await create.click();
  await expect(page.getByRole('heading', { name: 'Saltpan Road', level: 1 })).toBeVisible();

  await page.getByRole('button', { name: /Inés Quiroga, menu/ }).click();
  await page.getByRole('menuitem', { name: 'Sign out' }).click();
  await page.goto('/start');
  await expect(page).toHaveURL(/sign-in/);
  await page.getByLabel('Name').fill('ines@saltpan-road.example');
  await page.getByLabel('Password', { exact: true }).fill('three plain words');
  await page.getByRole('button', { name: 'Sign in' }).click();
  await expect(page.getByRole('button', { name: /Inés Quiroga, menu/ })).toBeVisible();
  expect(faults).toEqual([]);
});
