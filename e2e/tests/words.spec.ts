import { TOPICS } from '@brave-comb/core/practice';
import { PLANTS } from '@brave-comb/core/season';
import { english } from '@brave-comb/core/words';
import { type Page, expect, test } from '@playwright/test';
import { readFileSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { ownServer } from './own-server';
import { PASSWORD } from './school';

// A school in which nobody has written anything but what the demo says.
ownServer(18_392, 'default');

/** Nobody's language: every text that a translator is given is accented, so that what stays plain was never given to one. */
test.use({ locale: 'en-XA' });

const DEMO = join(import.meta.dirname, '../../demo/src');
/** What the demo's people wrote, and names that are the same in every language. */
const sources = (folder: string): readonly string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => file.endsWith('.ts'))
    .map((file) => readFileSync(join(folder, file), 'utf8'));
const theirOwn = [
  ...sources(DEMO)
    .flatMap((text) => [...text.matchAll(/'((?:[^'\\\n]|\\.)*)'|`([^`$]*)`/g)])
    .map(([, quoted, ticked]) => (quoted ?? ticked ?? '').replaceAll("\\'", "'"))
    // A question is called by what stands before its colon where there is little room.
    .flatMap((text) => [text, ...text.split(/[:,] /).slice(0, 1)])
    .filter((text) => /[A-Z]|\w \w/.test(text) && !/^[a-z]+-[a-z-]+$/.test(text)),
  ...PLANTS.map(({ latin }) => latin),
  // A site keeps its plants under the names that they had when they were listed.
  ...Object.values(english.names.plant),
  'Brave Comb',
  // The group of hives that staff open alone is kept under this name.
  'Staff',
  // Where a colony came from is told in the keeper's words.
  'split',
  'swarm',
  'package',
  // Why somebody cannot come is told in the own words.
  'exam',
  'away',
].sort((a, b) => b.length - a.length);
const firstNames = [
  ...new Set(theirOwn.filter((text) => /^[A-Z]\w+( [A-Z]\w+)?$/.test(text)).map((text) => text.split(' ')[0]!)),
];

const MONTHS_AND_DAYS =
  /\b(Mon|Tue|Wed|Thu|Fri|Sat|Sun)(day|sday|nesday|rsday|urday)?\b|\b(Jan|Feb|Mar|Apr|May|Jun|Jul|Aug|Sep|Oct|Nov|Dec)[a-z]*\b/g;
/** Units and ids of parts of a hive, which are the same in every language so far; initials; addresses. */
const SAME_EVERYWHERE = /\b(kg|km|mm|cm|min|UTC|brood box|super|roof|floor|excluder|[A-Z]{2})\b|https?:\S+/g;

/** Three words to check a printed passport by, out of a list that is the same everywhere. */
const CHECK_WORDS = /~: [a-z]+, [a-z]+, [a-z]+$|~ [a-z]+, [a-z]+, [a-z]+$/;

const plain = (text: string): boolean => {
  let left = text.replace(CHECK_WORDS, ' ');
  for (const own of theirOwn) if (own.length > 1) left = left.replaceAll(own, ' ');
  for (const name of firstNames) left = left.replaceAll(name, ' ');
  return /[A-Za-z]{2,}/.test(left.replace(MONTHS_AND_DAYS, ' ').replace(SAME_EVERYWHERE, ' '));
};

/** All that a screen says, to the eye and to the ear. */
const saidOn = (page: Page): Promise<readonly string[]> =>
  page.evaluate(() => {
    const said: string[] = [document.title];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement;
      if (parent && !/^(SCRIPT|STYLE|NOSCRIPT)$/.test(parent.tagName)) said.push(walker.currentNode.nodeValue ?? '');
    }
    const spoken = ['aria-label', 'title', 'placeholder', 'alt', 'aria-description'];
    document
      .querySelectorAll(spoken.map((name) => `[${name}]`).join())
      .forEach((element) => said.push(...spoken.map((name) => element.getAttribute(name) ?? '')));
    return said.map((text) => text.replace(/\s+/g, ' ').trim()).filter(Boolean);
  });

async function missedOn(page: Page, address: string): Promise<readonly string[]> {
  await page.goto(address);
  await expect(page.locator('main h1, main h2').first()).toBeVisible();
  await page.waitForLoadState('networkidle');
  return [...new Set((await saidOn(page)).filter(plain))].sort();
}

/** One window for all: what it has read of the application once, it does not read again. */
let page: Page;
test.beforeAll(async ({ browser }) => {
  page = await browser.newPage();
  const answer = await page.request.post('/api/people/sign-in', { data: { name: 'morag', password: PASSWORD } });
  expect(answer.ok()).toBe(true);
});
test.afterAll(() => page.context().close());

for (const address of [
  '/ahead',
  '/ahead/planner',
  '/ahead/planner/coverage',
  '/ahead/planner/terms',
  '/ahead/planner/outbox',
  '/ahead/sessions',
  '/ahead/season',
  '/ahead/day/2026-05-14',
  '/ahead/day/2026-12-21',
  '/ahead/dues',
  '/ahead/forage',
  '/ahead/seen',
  '/ahead/weather',
  '/messages',
  '/at-the-hive',
  '/at-the-hive/live',
  '/at-the-hive/labels',
  '/afterwards',
  '/afterwards/questions',
  '/afterwards/debrief',
  '/afterwards/combs',
  '/afterwards/yard-book',
  '/afterwards/predictions',
  '/colonies',
  '/colonies/round',
  '/colonies/increase',
  '/trainees',
  '/trainees/agreement',
  '/practice',
  '/practice/all',
  '/practice/indoors',
  '/practice/own-photos',
  '/practice/polls',
  '/practice/cells',
  '/practice/read-a-comb',
  '/ahead/by-hand',
  '/office',
  '/office/people',
  '/office/people/paste',
  '/office/people/invitations',
  '/office/sites',
  '/office/house',
  '/office/archive',
  '/office/hives',
  '/office/hives/paste',
  '/office/hives/new',
  '/office/changes',
  '/office/checklist',
])
  test(`leaves nothing in plain English on ${address}`, async () => {
    expect(await missedOn(page, address)).toEqual([]);
  });

for (const [list, linked] of [
  ['/ahead/day/2026-05-14', '/ahead/'],
  ['/afterwards', '/afterwards/'],
  ['/afterwards/debrief', '/trainees/'],
])
  test(`leaves nothing in plain English on what ${list} leads to`, async () => {
    await page.goto(list!);
    const links = page.locator(`main a[href^="${linked}"]`);
    await expect(links.first()).toBeAttached();
    const addresses = await links.evaluateAll((links) => links.map((link) => link.getAttribute('href')!));
    const one = addresses.find((href) => /[0-9a-f]{8}-[0-9a-f-]{27}/.test(href));
    expect(one).toBeDefined();
    expect(await missedOn(page, one!)).toEqual([]);
  });

test('leaves nothing in plain English in any drill', async () => {
  test.slow();
  const missed: string[] = [];
  for (const { id } of TOPICS) missed.push(...(await missedOn(page, `/practice/${id}`)));
  expect([...new Set(missed)]).toEqual([]);
});

test('leaves nothing in plain English at an open hive', async () => {
  await page.goto('/at-the-hive');
  await page.locator('main a[href^="/at-the-hive/hive/"]').first().click();
  const missed = new Set<string>();
  for (let step = 0; step < 12; step += 1) {
    await page.waitForLoadState('networkidle');
    (await saidOn(page)).filter(plain).forEach((text) => missed.add(text));
    const next = page.locator('.step-list button[aria-current="step"] + button, .next');
    if ((await next.count()) === 0) break;
    await next.first().click();
  }
  expect([...missed].sort()).toEqual([]);
});
