import { type Page, expect, test } from '@playwright/test';
import { emptyServer } from './own-server';
import { axeFindsNothing } from './school';

/** A real school, from the code on the server's screen to a session for tomorrow that people are told of. */

const said = emptyServer(18_394);

const tabbed = (rows: readonly (readonly (string | number)[])[]): string =>
  rows.map((row) => row.join('\t')).join('\n');

/** Twenty hives as somebody's spreadsheet has them: odd heads, one question of each sort, a row of sums. */
const HIVES = tabbed([
  ['Stock', 'Whereabouts', 'Kit (b+s)', 'Q', 'nice?', 'Paid £'],
  ...Array.from({ length: 17 }, (_, at) => [
    at + 1,
    `orchard ${'ABCD'[at % 4]!}`,
    '11 frames, 1 + 1',
    '2025, blue',
    '2',
    140,
  ]),
  [18, 'orchard A', '11 frames, 1 + 0', 'red 25', 1, 95],
  [18, 'orchard B', '11 frames, 2 + 0', '2024, green', 3, 95],
  [20, 'orchard C', '11 frames, 1 + two?', '2025, blue', 1, 120],
  ['TOTAL', 20, '21 + 19', '', '', 2690],
]);

const FIRST = ['Ana', 'Bo', 'Chidi', 'Dao', 'Elif', 'Fumi', 'Goran', 'Hana', 'Ivo', 'Jun', 'Kemi', 'Lena'];
const TRAINEES = tabbed([
  ['Surname', 'Given name', 'Paid?', 'E-mail', 'Which team'],
  ...Array.from({ length: 24 }, (_, at) => [
    at < 12 ? 'Sørensen' : 'Okafor',
    FIRST[at % 12]!,
    'yes',
    at % 3 === 0 ? '' : `${FIRST[at % 12]!.toLowerCase()}${at}@brenna-fell.example`,
    ['Curlew', 'Dipper', 'Lapwing', 'Plover'][at % 4]!,
  ]),
]);

async function paste(page: Page, text: string): Promise<void> {
  await page.getByRole('textbox', { name: /^Paste rows/ }).fill(text);
  await page.getByRole('button', { name: 'Read it' }).click();
}

test('twenty hives and twenty-four trainees from odd spreadsheets, and a session tomorrow that is told', async ({
  page,
}) => {
  test.setTimeout(600_000);
  await page.goto('/');
  await page.getByLabel('Start code').fill(/start code: (\d{6})/.exec(said())?.[1] ?? '');
  await page.getByLabel('Your name').fill('Morag Selkirk');
  await page.getByLabel('E-mail or sign-in name').fill('morag');
  await page.getByRole('textbox', { name: 'Password' }).fill('three plain words');
  await page.getByLabel('Name of the school').fill('Brenna Fell');
  await page.getByLabel('Place, optional').fill('55.1, -3.3');
  await page.getByRole('button', { name: 'Create the school' }).click();

  // The first page says what comes first, and everything after it begins there.
  await expect(page.getByRole('heading', { name: 'Brenna Fell' })).toBeVisible();
  await expect(page.getByText('Next: A site.')).toBeVisible();
  await page.getByRole('main').getByRole('link', { name: 'Sites' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Home orchard');
  await expect(page.getByRole('textbox', { name: 'Time zone' })).toHaveValue('Europe/London');
  await page.getByLabel('Height above the sea, m').fill('180');
  await page.getByLabel('Emergency number').fill('112');
  await page.getByLabel('How help finds it').fill('Mill road, second gate.');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByRole('rowheader', { name: 'Home orchard' })).toBeVisible();

  await page.goto('/office/hives/paste');
  await paste(page, HIVES);
  await expect(page.getByRole('button', { name: 'Add 17 hives' })).toBeVisible();
  await page.getByRole('button', { name: 'of 2025, blue' }).click();
  await page.getByRole('button', { name: /^Make it/ }).click();
  await page.getByRole('button', { name: '2', exact: true }).click();
  await expect(page.getByText('All agree.')).toBeVisible();
  await axeFindsNothing(page, 'a pasted list');
  // What was answered outlives a reload.
  await page.reload();
  await page.getByRole('button', { name: 'Add 20 hives' }).click();
  await expect(page.getByRole('heading', { name: 'Hives', exact: true })).toBeVisible();
  await expect(page.getByRole('rowheader')).toHaveCount(20);

  // The hives are set out on the ground: four stands, one moved by keys, and kept.
  await page.goto('/office/sites');
  await page.getByRole('link', { name: 'Plan of Home orchard' }).click();
  await page.getByRole('button', { name: 'Set out the 20 hives that have no place' }).click();
  const stand = page.getByRole('button', { name: /^Stand B,/ });
  await expect(page.getByRole('button', { name: /^Hive \d+ on stand/ })).toHaveCount(20);
  await stand.focus();
  await page.keyboard.press('Shift+ArrowUp');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Long stand');
  await page.getByRole('textbox', { name: 'Name', exact: true }).blur();
  await axeFindsNothing(page, 'the plan of a site');
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('The plan of Home orchard is saved.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Stand Long stand, .* 1 m north/ })).toBeVisible();

  await page.goto('/office/people/paste');
  await paste(page, TRAINEES);
  await page.getByRole('button', { name: 'Add 24 people' }).click();
  await expect(page.getByText('1 staff, 24 trainees')).toBeVisible();
  await page.getByRole('button', { name: 'Add one' }).click();
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Tomasz Wierzba');
  await page.getByRole('combobox', { name: 'Role' }).click();
  await page.getByRole('option', { name: 'supervisor' }).click();
  await page.getByRole('button', { name: 'Save', exact: true }).click();
  await expect(page.getByText('2 staff, 24 trainees')).toBeVisible();
  await page.getByRole('button', { name: 'Make an invitation' }).click();
  await axeFindsNothing(page, 'people');
  const link = await page.getByLabel(/^Link for Tomasz Wierzba/).inputValue();

  await page.goto('/ahead/by-hand');
  await page.getByRole('group', { name: 'Curlew' }).getByRole('checkbox').check();
  await page.getByLabel('Message, added to time, place and hive').fill('Veils on at the gate.');
  await axeFindsNothing(page, 'a session by hand');
  const add = page.getByRole('button', { name: 'Add and tell them' });
  await add.click();
  const why = page.getByLabel('Why it is held anyway');
  await expect(
    why.or(page.getByRole('heading', { name: /^Can we/ })).or(page.getByText('people were told')),
  ).toBeVisible();
  // In winter no hour is fit for an open hive: then it is held for a reason.
  if (await why.isVisible()) {
    await why.fill('A talk at the closed hives.');
    await add.click();
  }
  await expect(page.getByText(/The session stands; \d+ people were told\./)).toBeVisible();
  await expect(page).toHaveURL(/\/ahead\/[0-9a-f-]{36}$/);
  await page.goto('/ahead/sessions');
  await expect(page.getByRole('article', { name: /^Curlew/ })).toBeVisible();
  await page.goto('/office');
  await expect(page.getByText('All is there for a session.')).toBeVisible();

  // Who was invited chooses a password, is in, and comes in again by it.
  const other = await page.context().browser()!.newContext();
  const theirs = await other.newPage();
  await theirs.goto(link);
  await expect(theirs.getByRole('heading', { name: 'Welcome, Tomasz Wierzba' })).toBeVisible();
  await expect(theirs.getByLabel('Sign-in name')).toHaveValue('tomasz');
  await theirs.getByRole('textbox', { name: 'Password' }).fill('a heap of clover');
  await theirs.getByRole('button', { name: 'Come in' }).click();
  await expect(theirs.getByRole('button', { name: 'Tomasz Wierzba, menu' })).toBeVisible();
  await theirs.goto(link.replace(/#.*/, '#used'));
  await expect(theirs.getByRole('heading', { name: 'This link opens nothing' })).toBeVisible();
  await other.close();
});
