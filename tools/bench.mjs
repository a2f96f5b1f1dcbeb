// npm run bench: figures to compare within one run. Never part of the tests.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { ensureDependencies } from './lib/dependencies.mjs';
import { ensureBuild } from './lib/build.mjs';
import { DATABASE, ensurePackages } from './lib/debian.mjs';
import { archiveComesIn } from './lib/archive-bench.mjs';
import { combBench } from './lib/comb-bench.mjs';
import { coldStart, leadCalls, openVisits, recordReadings, syncMany } from './lib/hive-bench.mjs';
import { freePort } from './lib/mariadb.mjs';
import { ROOT } from './lib/paths.mjs';
import { plannerBoard } from './lib/planner-board.mjs';
import { run, say } from './lib/say.mjs';
import { tapsASide } from './lib/taps-bench.mjs';
import { PASSWORD, signIn } from './lib/traffic.mjs';
import { everybodyReloads, viewsAsked } from './lib/views-bench.mjs';
import { vitals } from './lib/vitals-bench.mjs';

const SIDES = 80;

/** Starts the application on given data and measures how long until it serves. */
async function start(data, port) {
  const began = performance.now();
  const child = spawn('node', ['tools/start.mjs'], {
    cwd: ROOT,
    env: { ...process.env, PORT: `${port}`, BRAVE_COMB_DATA: data, npm_lifecycle_event: '' },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await new Promise((done, fail) => {
    let said = '';
    child.stdout.on('data', (text) => {
      said += text;
      if (said.includes('is ready')) done();
    });
    child.once('exit', () => fail(new Error(said)));
  });
  const seconds = (performance.now() - began) / 1000;
  const stop = () =>
    new Promise((done) => {
      child.removeAllListeners('exit');
      child.once('exit', done);
      child.kill('SIGINT');
    });
  return { seconds, stop };
}

/** Scripts that the browser loads before the day sheet stands, compressed. */
function firstScreen() {
  const dist = join(ROOT, 'web', 'dist');
  const seen = new Set();
  const follow = (name) => {
    if (seen.has(name)) return;
    seen.add(name);
    const text = readFileSync(join(dist, name), 'utf8');
    for (const [, next] of text.matchAll(/(?:from|import)\s*"\.\/([\w-]+\.js)"/g)) follow(next);
  };
  const index = readFileSync(join(dist, 'index.html'), 'utf8');
  for (const [, name] of index.matchAll(/(?:src|href)="([\w-]+\.js)"/g)) follow(name);
  // The application itself is loaded once the language is known.
  const main = [...seen].find((name) => name.startsWith('main-'));
  for (const [, name] of readFileSync(join(dist, main), 'utf8').matchAll(/import\("\.\/([\w-]+\.js)"\)/g)) follow(name);
  const lazy = (mark) =>
    readdirSync(dist).find((name) => name.endsWith('.js') && readFileSync(join(dist, name), 'utf8').includes(mark));
  for (const mark of ['bc-shell', 'bc-day-sheet']) {
    const name = lazy(`selectors:[["${mark}"]]`);
    if (name) follow(name);
  }
  return [...seen].reduce((sum, name) => sum + gzipSync(readFileSync(join(dist, name)), { level: 9 }).length, 0);
}

const median = (values) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)];

async function openBrowser() {
  const { chromium } = await import('@playwright/test');
  return chromium.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--no-first-run'],
  });
}

/** A page on which the lead has signed in. */
async function leadIn(browser, address, serviceWorkers) {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers });
  const page = await context.newPage();
  await page.goto(address);
  await page.getByLabel('Name').fill('morag');
  await page.getByLabel('Password', { exact: true }).fill(PASSWORD);
  await page.getByRole('button', { name: 'Sign in' }).click();
  return page;
}

/** Time from a key press to the painted side with many sides recorded, beside the same for a handler that does nothing. */
async function keyToPaint(address) {
  const browser = await openBrowser();
  try {
    const call = await leadCalls(address);
    const [visit] = await openVisits(call);
    await recordReadings(call, visit, SIDES);
    const page = await leadIn(browser, address, 'allow');
    await page.locator('bc-season-strip .day').first().waitFor();
    await page.goto(`${address}/at-the-hive/visit/${visit}`);
    await page.getByRole('button', { name: /^Frame 9\./ }).click();
    const measure = (target) =>
      page.evaluate(
        async ({ times, where }) => {
          const spans = [];
          const keys = ['S', 'L', 'H', 'P', 'E', 'C'];
          const element = where === 'page' ? document : document.body.appendChild(document.createElement('div'));
          if (where !== 'page') element.addEventListener('keydown', (event) => event.stopPropagation());
          for (let i = 0; i < times; i += 1) {
            await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)));
            const began = performance.now();
            element.dispatchEvent(
              new KeyboardEvent('keydown', { key: keys[i % 6], shiftKey: i % 12 > 5, bubbles: true }),
            );
            await new Promise((done) => {
              requestAnimationFrame(() => {
                const { port1, port2 } = new MessageChannel();
                port1.onmessage = done;
                port2.postMessage(null);
              });
            });
            spans.push(performance.now() - began);
          }
          return spans;
        },
        { times: 60, where: target },
      );
    const spans = await measure('page');
    const start = await coldStart(page, visit);
    return { side: median(spans), worst: Math.max(...spans), empty: median(await measure('nothing')), start };
  } finally {
    await browser.close();
  }
}

/** Time from the season's data to its paint with fifty colonies, beside an empty chart. */
async function seasonPaint(address) {
  const browser = await openBrowser();
  try {
    const page = await leadIn(browser, address, 'block');
    await page.locator('bc-season-strip .day').first().waitFor();
    const year = await (await page.request.get(`${address}/api/season/year`)).json();
    const colonies = Array.from({ length: 50 }, (_, index) => ({
      ...year.colonies[index % year.colonies.length],
      hive: `${index + 1}`,
    }));
    const empty = { ...year, bloom: [], spans: [], sessions: [], deadlines: [], events: [], scales: [], colonies: [] };
    const measure = async (data, rows) => {
      let round = 0;
      // Each round's site has a name of its own, so that what stood there before is not taken for the new picture.
      await page.route('**/api/season/year*', (route) =>
        route.fulfill({ json: { ...data, site: { ...data.site, name: `Round ${rows} ${round}` } } }),
      );
      const spans = [];
      for (; round < 9; round += 1) {
        await page.getByRole('link', { name: 'Bloom', exact: true }).click();
        await page.getByRole('heading', { name: /^Bloom calendar/ }).waitFor();
        const timed = page.evaluate(
          ({ hives, name }) =>
            new Promise((done) => {
              const fetched = globalThis.fetch;
              let arrived = 0;
              globalThis.fetch = async (...sent) => {
                const answer = await fetched(...sent);
                if (String(sent[0].url ?? sent[0]).includes('/api/season/year')) arrived = performance.now();
                return answer;
              };
              const look = () => {
                const title = document.querySelector('bc-season-year h1')?.textContent ?? '';
                const drawn = document.querySelectorAll('bc-season-year svg text.tick.strong').length;
                if (arrived > 0 && title.includes(name) && drawn >= hives) {
                  const { port1, port2 } = new MessageChannel();
                  port1.onmessage = () => {
                    globalThis.fetch = fetched;
                    done(performance.now() - arrived);
                  };
                  port2.postMessage(null);
                } else requestAnimationFrame(look);
              };
              requestAnimationFrame(look);
            }),
          { hives: rows, name: `Round ${rows} ${round}` },
        );
        await page.getByRole('link', { name: 'Season', exact: true }).click();
        spans.push(await timed);
      }
      await page.unroute('**/api/season/year*');
      return median(spans);
    };
    return { full: await measure({ ...year, colonies }, 50), empty: await measure(empty, 0) };
  } finally {
    await browser.close();
  }
}

/** The board of sixty groups while answers stream in. */
async function boardWhileAnswersCome(address) {
  const browser = await openBrowser();
  try {
    const page = await leadIn(browser, address, 'block');
    await page.locator('bc-season-strip .day').first().waitFor();
    return await plannerBoard(page, address);
  } finally {
    await browser.close();
  }
}

/** A comb of practice: drawn, and dragged when it is close. */
async function combs(address) {
  const browser = await openBrowser();
  try {
    const page = await leadIn(browser, address, 'block');
    await page.locator('bc-season-strip .day').first().waitFor();
    return await combBench(page, address);
  } finally {
    await browser.close();
  }
}

/** Touches that a side of a comb takes with gloves. */
async function taps(address) {
  const browser = await openBrowser();
  try {
    const page = await leadIn(browser, address, 'block');
    const [, visit] = await openVisits(await leadCalls(address));
    return await tapsASide(page, `${address}/at-the-hive/visit/${visit}`);
  } finally {
    await browser.close();
  }
}

/** What the day sheet feels like on a desk and on a phone. */
async function felt(address) {
  const browser = await openBrowser();
  try {
    return await vitals(browser, address);
  } finally {
    await browser.close();
  }
}

/** Runs a bench of the core, which prints its figures as JSON. */
async function core(name) {
  const child = spawn('node', ['--import', 'tsx', `core/bench/${name}.ts`], {
    cwd: ROOT,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  let said = '';
  for await (const text of child.stdout) said += text;
  return JSON.parse(said);
}

await run(async () => {
  await ensureDependencies();
  await ensurePackages({ ...DATABASE, chromium: 'chromium' });
  await ensureBuild();
  const data = mkdtempSync(join(tmpdir(), 'brave-comb-bench-'));
  const port = await freePort();
  const address = `http://127.0.0.1:${port}`;
  try {
    const cold = await start(data, port);
    await cold.stop();
    const warm = await start(data, port);
    say(`start, new data folder (set up, migrations, demo data)   ${cold.seconds.toFixed(1)} s`);
    say(`start, everything there                                  ${warm.seconds.toFixed(1)} s`);
    const bytes = firstScreen();
    say(`JavaScript of the first screen, gzip                     ${(bytes / 1000).toFixed(0)} kB (at most 320)`);
    for (const { name, paint, shift, answer } of await felt(address))
      say(
        `${name}, day sheet (medians of five): largest paint ${paint.toFixed(0)} ms, layout shift ${shift.toFixed(3)}, slowest answer ${answer.toFixed(0)} ms`,
      );
    const paint = await keyToPaint(address);
    say(`key press to painted side, ${SIDES} sides recorded (median)    ${paint.side.toFixed(1)} ms`);
    say(`  the worst of 60                                        ${paint.worst.toFixed(1)} ms`);
    say(`  the same with an empty handler                         ${paint.empty.toFixed(1)} ms`);
    say(`hive opened from cold without signal                     ${(paint.start.offline / 1000).toFixed(1)} s`);
    say(`  the same with signal                                   ${(paint.start.online / 1000).toFixed(1)} s`);
    const touches = await taps(address);
    say(
      `touches a side, a whole brood box with gloves             ${touches.all.toFixed(1)} (at most 6; with brood ${touches.brood.toFixed(1)}, the worst ${touches.worst})`,
    );
    const lead = await leadCalls(address);
    const sync = await syncMany(lead, await openVisits(lead));
    say(`entries a second, 5,000 from 50 devices                  ${sync.synced.toFixed(0)}`);
    say(
      `  plain inserts in one transaction                       ${sync.plain.toFixed(0)} (${(sync.plain / sync.synced).toFixed(1)} times)`,
    );
    const season = await seasonPaint(address);
    say(`season year of 50 colonies, data to paint (median)        ${season.full.toFixed(0)} ms`);
    say(
      `  an empty chart                                         ${season.empty.toFixed(0)} ms (${(season.full / season.empty).toFixed(1)} times)`,
    );
    const board = await boardWhileAnswersCome(address);
    say(
      `planner board of ${board.cells} cells, 40 answers: tasks over 50 ms  ${board.over} (longest ${board.longest.toFixed(0)} ms)`,
    );
    const comb = await combs(address);
    say(
      `comb of 3,476 cells in another light, click to paint (median) ${comb.drawn.toFixed(1)} ms (worst ${comb.worst.toFixed(1)})`,
    );
    say(
      `  an empty click                                         ${comb.empty.toFixed(1)} ms (${(comb.drawn / comb.empty).toFixed(1)} times)`,
    );
    say(
      `  frame while it is dragged, three times as large        ${comb.frame.toFixed(1)} ms (${(1000 / comb.frame).toFixed(0)} a second)`,
    );
    const skills = await core('standing');
    say(`standing, 500 trainees × 60 skills × 20 showings (median)  ${skills.standing.toFixed(0)} ms (at most 200)`);
    say(
      `  grouping the same showings in a plain loop              ${skills.grouping.toFixed(0)} ms (${(skills.standing / skills.grouping).toFixed(1)} times)`,
    );
    const judged = await core('judges');
    say(`all judges over 200 colonies (median)                    ${judged.judges.toFixed(0)} ms (at most 200)`);
    say(
      `  reading their records                                  ${judged.reading.toFixed(0)} ms (${(judged.judges / judged.reading).toFixed(2)} times)`,
    );
    say(`forecast of one colony, 500 draws (median)               ${judged.forecast.toFixed(0)} ms (at most 100)`);
    say(
      `  one draw                                               ${judged.single.toFixed(1)} ms (${(judged.forecast / judged.single).toFixed(0)} times)`,
    );
    const fit = await core('fitness');
    say(`fitness, 20 members × 240 hours × 50 sites (median)      ${fit.fitness.toFixed(0)} ms`);
    say(
      `  a plain loop over the same hours                       ${fit.loop.toFixed(1)} ms (${(fit.fitness / fit.loop).toFixed(0)} times)`,
    );
    say(
      'plans: worth ÷ best bound after 1 s and 10 s cpu (mean of 2 seeds), bound ready, moves a second, memory so far',
    );
    for (const { name, one, ten, ready, proven, perSecond, memory } of await core('plan'))
      say(
        `  ${name.padEnd(10)} ${one.toFixed(4)}  ${ten === null ? '      ' : ten.toFixed(4)}  ${ready.toFixed(1)} s${proven ? ', proven' : ''}  ${(perSecond / 1000).toFixed(0)} k/s  ${memory.toFixed(0)} MB`,
      );
    const { constant, views } = await viewsAsked(address);
    say(`a constant, requests a second                            ${constant.toFixed(0)}`);
    const share = (each) => `${each.toFixed(0)} (${(each / constant).toFixed(2)})`;
    for (const { name, full, same, changed, first } of views)
      say(
        `${name}: whole ${share(full)}, by its tag ${share(same)}, a change every second ${share(changed)}; first after a change ${first.toFixed(0)} ms`,
      );
    const all = await everybodyReloads(address);
    say(
      `20 trainees and 5 of the staff load every screen within 10 s: ${all.asked} answers, half within ${all.half.toFixed(0)} ms, 95 of 100 within ${all.most.toFixed(0)} ms, refused ${all.refused.length === 0 ? 'none' : all.refused.join('; ')}`,
    );
    // The last: it takes the place of the school.
    const school = await archiveComesIn(address, (await signIn(address, 'morag')).cookie, data);
    say(
      `archive of five years (100,000 sides, 300 photos; ${school.file.toFixed(0)} MB, unpacked ${school.unpacked.toFixed(0)}): in ${school.seconds.toFixed(0)} s with ${school.memoryIn.toFixed(0)} MB more memory, out ${school.out.toFixed(0)} s with ${school.memoryOut.toFixed(0)} MB`,
    );
    await warm.stop();
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
});
