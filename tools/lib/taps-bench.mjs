// How many touches a side takes: a whole box is read in the browser with taps, slides and long presses only, as a glove would.

/** A brood box in mid May, side by side in the order in which it is read. */
const BOX = [
  ...[
    '3H2N3CB4',
    '3H2N1P2CB4',
    '4H2N1P1CB4',
    '3H2N2P1CB5',
    '2H2N2P1L1EB6',
    '2H1P3S1L1EB8',
    '2H1P3S2LB8',
    '1H1N1P4S1LB8',
  ],
  ...['1H1P4S1L1EB8', '1H1N1P4S1EB8', '1H1N1P5SB8', '1H1N1P5SB8', '2H1N1P3S1LB8', '1H1P4S1L1DB8', '1H1P3S1L1D1EB8'],
  ...['1H1P2S2L2EB8', '2H2P2L1E1CB7', '2H1N2P2E1CB7', '2H2N1P3CB6', '3N5CB5', '1N4C3FB3', '1C7FB2'],
];
const read = (line) =>
  Object.fromEntries(
    [...line.replaceAll(' ', '').matchAll(/(\d)([A-Z])|B(\d)/g)].map(([, n, letter, bees]) => [
      letter ?? 'B',
      Number(n ?? bees),
    ]),
  );
const letters = (side) => Object.keys(side).filter((letter) => letter !== 'B');
const holdsBrood = (side) => ['E', 'L', 'S', 'D'].some((letter) => side[letter]);

/** Touches that lead from one reading to another: eighths taken back in the bar, letters tapped or slid, then the bees. */
function wayTo(from, to) {
  const back = letters(from).flatMap((letter) => (to[letter] ? [] : Array(from[letter]).fill({ back: letter })));
  const set = letters(to)
    .filter((letter) => to[letter] !== from[letter])
    .map((letter) => ({ letter, eighths: to[letter], tap: to[letter] === (from[letter] ?? 0) + 1 }));
  return [...back, ...set];
}

/**
 * @param page on which somebody has signed in
 * @param url of a visit
 * @returns touches a side on average, of sides with brood, and of the worst one; each with the one that goes on
 */
export async function tapsASide(page, url) {
  await page.goto(url);
  const next = page.locator('footer .next');
  await next.waitFor();
  for (let step = 0; step < 12; step += 1) {
    const says = await next.textContent();
    if (says.includes('side toward')) break;
    await next.click();
    await page.waitForFunction((before) => document.querySelector('footer .next').textContent !== before, says);
  }
  let taps = 0;
  const touch = async (locator) => {
    taps += 1;
    await locator.click();
  };
  const key = (letter) =>
    page.locator('bc-letter-pad .key').filter({ has: page.locator('.letter', { hasText: letter }) });
  const slide = async (locator, eighths) => {
    taps += 1;
    const box = await locator.boundingBox();
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x - 28 - 24 * (eighths - 1), y, { steps: 4 });
    await page.mouse.up();
  };
  const shown = async () => read(await page.locator('#shorthand').inputValue());
  const bees = page.getByRole('button', { name: /^Bees on/ });
  const done = [];
  let before = null;
  for (const line of BOX) {
    const side = read(line);
    taps = 0;
    const copy = page.locator('.line button', { hasText: 'Same as' });
    const fromCopy = before && (await copy.isEnabled()) && 1 + wayTo(before, side).length < wayTo({}, side).length;
    if (fromCopy) await touch(copy);
    for (const { back, letter, eighths, tap } of wayTo(fromCopy ? before : {}, side)) {
      if (back)
        await touch(
          page.getByRole('group', { name: 'Eighths of this side' }).locator('.segment', { hasText: back }).last(),
        );
      else if (tap) await touch(key(letter));
      else await slide(key(letter), eighths);
    }
    if ((await shown()).B !== side.B) {
      if ((await bees.textContent()).includes(`${side.B}/8 too`)) await touch(bees);
      else await slide(bees, side.B);
    }
    const reads = async () => {
      const got = await shown();
      return got.B === side.B && letters({ ...got, ...side }).every((letter) => got[letter] === side[letter]);
    };
    for (let wait = 0; wait < 20 && !(await reads()); wait += 1) await page.waitForTimeout(50);
    if (!(await reads())) throw new Error(`meant ${line}, the side reads ${JSON.stringify(await shown())}`);
    const title = await page.locator('bc-side-entry .title').textContent();
    await touch(next);
    await page.waitForFunction((was) => document.querySelector('bc-side-entry .title')?.textContent !== was, title);
    done.push({ side, taps });
    before = side;
    if ((await page.locator('bc-side-entry').count()) === 0) break;
  }
  const mean = (of) => of.reduce((sum, each) => sum + each.taps, 0) / of.length;
  return {
    all: mean(done),
    brood: mean(done.filter(({ side }) => holdsBrood(side))),
    worst: Math.max(...done.map((each) => each.taps)),
  };
}
