import { expect, test } from '@playwright/test';
import { readFileSync } from 'node:fs';
import { gunzipSync, gzipSync } from 'node:zlib';
import { emptyServer } from './own-server';
import { axeFindsNothing } from './school';

/** A school goes out as one file and comes in again after a mishap; a file that is damaged, and one that is given up, change nothing. */

const said = emptyServer(18_397);
const PASSWORD = 'three plain words';

test('a school is taken out, damaged files change nothing, and it is brought in again', async ({ page }, info) => {
  test.setTimeout(300_000);
  await page.goto('/');
  await page.getByLabel('Start code').fill(/start code: (\d{6})/.exec(said())?.[1] ?? '');
  await page.getByLabel('Your name').fill('Morag Selkirk');
  await page.getByLabel('E-mail or sign-in name').fill('morag');
  await page.getByRole('textbox', { name: 'Password' }).fill(PASSWORD);
  await page.getByLabel('Name of the school').fill('Brenna Fell');
  await page.getByLabel('Place, optional').fill('55.1, -3.3');
  await page.getByRole('button', { name: 'Create the school' }).click();
  await expect(page.getByRole('heading', { name: 'Brenna Fell' })).toBeVisible();

  await page.goto('/office/people/paste');
  await page.getByRole('textbox', { name: /^Paste rows/ }).fill('Name\tGroup\nSalma 🐝 Ünal\tCurlew\nNadia\tCurlew');
  await page.getByRole('button', { name: 'Read it' }).click();
  await page.getByRole('button', { name: /^Add/ }).click();
  await expect(page.getByText('Salma 🐝 Ünal').first()).toBeVisible();

  await page.goto('/office/archive');
  await axeFindsNothing(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download the archive' }).click(),
  ]);
  const file = info.outputPath('school.jsonl.gz');
  await download.saveAs(file);
  const packed = readFileSync(file);
  expect(gunzipSync(packed).toString('utf8')).toContain('Salma 🐝 Ünal');

  // What is not whole is found before anything is sent.
  const choose = (buffer: Buffer, name = 'school.jsonl.gz') =>
    page.locator('input[type=file]').setInputFiles({ name, mimeType: 'application/gzip', buffer });
  await choose(packed.subarray(0, packed.length - 60), 'half.jsonl.gz');
  await expect(page.getByRole('alert')).toContainText('cannot be unpacked');
  await page.getByRole('button', { name: 'Another file' }).click();
  const newer = gunzipSync(packed).toString('utf8').replace('"version":1', '"version":7');
  await choose(gzipSync(newer), 'newer.jsonl.gz');
  await expect(page.getByRole('alert')).toContainText('update it first');
  await page.getByRole('button', { name: 'Another file' }).click();

  // The mishap: somebody is gone.
  await page.goto('/office/people');
  await page.getByRole('button', { name: /Nadia/ }).first().click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Somebody Else');
  await page.getByRole('button', { name: 'Save' }).click();
  await expect(page.getByRole('button', { name: /Somebody Else/ }).first()).toBeVisible();

  await page.goto('/office/archive');
  await choose(packed);
  await expect(page.getByText('read to its end and whole')).toBeVisible();
  await expect(page.getByRole('row', { name: 'People 3 3' })).toBeVisible();
  await axeFindsNothing(page);
  const replace = page.getByRole('button', { name: 'Replace the school' });
  await expect(replace).toBeDisabled();
  const typed = page.getByLabel('Name of the school that is replaced');
  await typed.fill('Brenna');
  await expect(replace).toBeDisabled();
  await typed.fill('Brenna Fell');
  await replace.click();
  await expect(page.getByText('all of them')).toBeVisible();
  await page.getByRole('link', { name: 'To the school' }).click();
  await expect(page.getByRole('heading', { name: 'Brenna Fell' })).toBeVisible();
  await page.goto('/office/people');
  await expect(page.getByRole('button', { name: /Nadia/ }).first()).toBeVisible();
  await expect(page.getByRole('button', { name: /Somebody Else/ })).toHaveCount(0);
});
