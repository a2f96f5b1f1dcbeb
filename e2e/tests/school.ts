import AxeBuilder from '@axe-core/playwright';
import { type Locator, type Page, expect } from '@playwright/test';

export const PASSWORD = 'willow-before-gorse';

const daySheet = async (page: Page) => {
  // The first day sheet of a fresh server takes its time.
  const group = page.getByRole('heading', { name: /^(Curlew|Dipper|Lapwing|Plover)/ });
  await expect(group.first()).toBeVisible();
};

/** Waits until the server has all that was entered at the hive; a failure says what the device says instead. */
export const allKept = (page: Page) => expect(page.locator('bc-hive-head .kept')).toHaveText('all saved');

/** Signs somebody in and waits for the day sheet. */
export async function signIn(page: Page, name: string): Promise<void> {
  const answer = await page.request.post('/api/people/sign-in', { data: { name, password: PASSWORD } });
  expect(answer.ok()).toBe(true);
  await page.goto('/');
  await daySheet(page);
}

/** Signs somebody in through the sign-in screen and waits for the day sheet. */
export async function signInByHand(page: Page, name: string): Promise<void> {
  await page.goto('/');
  await page.getByLabel('Name').fill(name);
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await daySheet(page);
}

export const bigButton = (page: Page) => page.locator('footer .next');

/** Opens the visit of a hive from the day sheet, starting it when it is not open. */
export async function openVisit(page: Page, hive: string): Promise<void> {
  const card = page.locator('bc-group-card', { has: page.getByRole('heading', { name: new RegExp(`Hive ${hive}$`) }) });
  await card.getByRole('button', { name: /Start|Go on|Open anyway/ }).click();
  await expect(page.getByRole('heading', { name: `Hive ${hive}`, level: 1 })).toBeVisible();
}

/** Goes on step by step until the frames are reached. */
export async function reachFrames(page: Page): Promise<void> {
  for (let step = 0; step < 12; step += 1) {
    const says = (await bigButton(page).textContent()) ?? '';
    if (says.includes('side toward')) return;
    await bigButton(page).click();
    await expect(bigButton(page)).not.toHaveText(says);
  }
}

/** Turns to a frame on the box map, or by the phone's list; a hive that is still shut is opened first, for a touch on its map only looks. */
export async function turnTo(page: Page, frame: number): Promise<void> {
  if (await page.getByText('Not open yet').isVisible()) await reachFrames(page);
  const list = page.getByRole('button', { name: /^Go to another/ });
  if (await list.isVisible()) {
    await list.click();
    await page
      .getByRole('dialog')
      .getByRole('button', { name: new RegExp(`^Frame ${frame}, side`) })
      .first()
      .click();
  } else await page.getByRole('button', { name: new RegExp(`^Frame ${frame}\\.`) }).click();
  await expect(page.getByRole('heading', { name: `Frame ${frame}`, exact: true })).toBeVisible();
}

/** Stops before all was seen, for the first reason, or because it was. */
export async function stopHere(page: Page): Promise<void> {
  const line = page.getByRole('button', { name: /^Seen enough\?/ });
  if (await line.isVisible()) await line.click();
  const stop = page.locator('bc-seen-enough button[matButton]').last();
  const early = ((await stop.textContent()) ?? '').includes('say why');
  await stop.click();
  if (!early) return;
  const card = page.getByRole('dialog');
  await card.getByRole('group', { name: 'Because of' }).getByRole('button').first().click();
  await card.getByRole('button', { name: 'Stop and start closing' }).click();
}

/** Opens one of the cards behind "More". */
export async function more(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'More', exact: true }).click();
  await page.getByRole('dialog').getByRole('button', { name }).click();
}

/** Waits until the page can be opened again without signal. */
export async function controlled(page: Page): Promise<void> {
  await page.evaluate(async () => void (await navigator.serviceWorker.ready));
  await page.reload();
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null);
}

/** Types the shorthand of a side with keys. */
export async function type(page: Page, keys: string): Promise<void> {
  for (const key of keys) await page.keyboard.press(key);
}

/** Faults on the page fail the test that made them. */
export function watchFaults(page: Page): string[] {
  const faults: string[] = [];
  page.on('pageerror', (error) => faults.push(error.message));
  page.on('console', (message) => {
    if (message.type() === 'error' && !/Failed to load resource|net::ERR/.test(message.text()))
      faults.push(message.text());
  });
  return faults;
}

export const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** Fails with the rules that the page breaks and where. */
export async function axeFindsNothing(page: Page, where = ''): Promise<void> {
  // No frames: one run within the page does, and only what is wrong is reported in full.
  const axe = new AxeBuilder({ page })
    .options({ resultTypes: ['violations'] })
    .withTags(WCAG)
    .setLegacyMode();
  // On a phone, targets half under the fixed footer count as small; how large they are is measured by a test of its own. Colours are the
  // same there, and to reckon contrast takes longer than all other rules together.
  if ((page.viewportSize()?.width ?? 0) < 700) axe.disableRules(['target-size', 'color-contrast']);
  const { violations } = await axe.analyze();
  expect(
    violations.map(({ id, nodes }) =>
      `${where} ${id}: ${nodes.map((node) => node.target.join(' ')).join(', ')}`.trim(),
    ),
  ).toEqual([]);
}

/** Axe finds nothing and nothing runs off, on a phone's screen and on a desk's. */
export async function soundOnDeskAndPhone(page: Page, where: string): Promise<void> {
  for (const [width, height] of [
    [390, 844],
    [1280, 800],
  ] as const) {
    await page.setViewportSize({ width, height });
    await axeFindsNothing(page, `${where} ${width}`);
    const wide = await page.evaluate(() => document.documentElement.scrollWidth);
    expect(wide, `${where} runs off the screen of ${width}`).toBeLessThanOrEqual(width);
  }
}

/** Chooses one of a list by its text. */
export async function choose(list: Locator, text: string | RegExp): Promise<void> {
  await list.click();
  await list
    .page()
    .getByRole('option', typeof text === 'string' ? { name: text, exact: true } : { name: text })
    .click();
}
