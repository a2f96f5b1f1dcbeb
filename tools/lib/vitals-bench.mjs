// What a person feels of a page: when its largest part is painted, how much it moves meanwhile, how long it takes to answer a touch.
import { PASSWORD } from './traffic.mjs';

const DEVICES = [
  { name: 'desk', context: { viewport: { width: 1280, height: 800 } }, slower: 1 },
  { name: 'phone', context: { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true }, slower: 4 },
];
const ROUNDS = 5;
const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

/** Runs in the page, before anything of it. */
function watch() {
  globalThis.felt = { paint: 0, shift: 0, answer: 0 };
  const on = (type, take, options = {}) =>
    new PerformanceObserver((list) => list.getEntries().forEach(take)).observe({ type, buffered: true, ...options });
  on('largest-contentful-paint', (entry) => (globalThis.felt.paint = entry.startTime));
  on('layout-shift', (entry) => (globalThis.felt.shift += entry.hadRecentInput ? 0 : entry.value));
  on(
    'event',
    (entry) => entry.interactionId && (globalThis.felt.answer = Math.max(globalThis.felt.answer, entry.duration)),
    { durationThreshold: 16 },
  );
}

/**
 * Loads the day sheet on a desk and on a phone four times slower, and uses its menu.
 *
 * @param browser Chromium
 * @param {string} address of a server with demo data
 * @returns medians of five loads a device: largest paint in ms, layout shift without unit, the slowest answer to a touch in ms
 */
export async function vitals(browser, address) {
  const felt = [];
  for (const { name, context: options, slower } of DEVICES) {
    const rounds = [];
    for (let round = 0; round < ROUNDS; round += 1) {
      const context = await browser.newContext({ ...options, serviceWorkers: 'block' });
      const page = await context.newPage();
      await page.request.post(`${address}/api/people/sign-in`, {
        data: { name: 'morag', password: PASSWORD },
        headers: { origin: address },
      });
      await page.addInitScript(watch);
      await (await context.newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: slower });
      await page.goto(`${address}/ahead`);
      await page.locator('bc-group-card').first().waitFor();
      const menu = page.getByRole('button', { name: /, menu$/ });
      for (let press = 0; press < 3; press += 1) {
        await menu.click();
        await page.getByRole('menu').waitFor();
        await page.keyboard.press('Escape');
        await page.getByRole('menu').waitFor({ state: 'hidden' });
      }
      await page.waitForTimeout(300);
      rounds.push(await page.evaluate(() => globalThis.felt));
      await context.close();
    }
    const of = (what) => median(rounds.map((each) => each[what]));
    felt.push({ name, paint: of('paint'), shift: of('shift'), answer: of('answer') });
  }
  return felt;
}
