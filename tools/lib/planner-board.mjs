// A planner board of sixty groups and sixty slots in the browser, while answers stream in.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './paths.mjs';

const ANSWERS = 40;
const EVERY = 150;

const read = (name) => JSON.parse(readFileSync(join(ROOT, 'core/test/plans', name), 'utf8'));

/** The board of the largest kept problem, as the server would send it. */
function boardOf(problem, best, forecast) {
  const day = (slot) => new Date(Date.UTC(2026, 4, 14 + slot.day, 0, slot.start));
  return {
    today: '2026-05-14',
    forecast,
    slots: problem.slots.map((slot) => ({
      id: slot.id,
      site: 'Home orchard',
      date: day(slot).toISOString().slice(0, 10),
      startsAt: day(slot).toISOString(),
      endsAt: new Date(day(slot).getTime() + slot.minutes * 60_000).toISOString(),
      zone: 'Europe/London',
      fit: slot.fit,
      temperature: 16,
      past: false,
    })),
    groups: problem.groups.map(({ id, size }) => ({ id, name: `Group ${id}`, size, openSkills: 12 })),
    supervisors: problem.supervisors.map(({ id, senior }) => ({ id, name: `Leader ${id}`, senior })),
    hives: problem.hives.map(({ id }, at) => ({
      id,
      number: `${at + 1}`,
      stand: 'A',
      site: 'Home orchard',
      due: null,
    })),
    skills: problem.skills.map((id) => ({ id, name: `skill ${id}` })),
    away: {},
    closed: [],
    problem,
    pins: [],
    hopeless: null,
    conflict: null,
    told: { sessions: [], staff: [] },
    published: null,
    job: jobOf(best, 'running', 0),
    mayPlan: true,
  };
}

/** An answer on the way to the best plan: of its sessions those that are found by then, in an order of its own. */
function jobOf(best, status, at) {
  const sessions = best.sessions.filter((_, index) => (index * 7) % ANSWERS <= at);
  const staff = best.staff.filter((_, index) => (index * 3) % ANSWERS <= at);
  const course = Array.from({ length: at + 1 }, (_, n) => ({ at: n, objective: 2000 + 20 * n, bound: 3000 - n }));
  return {
    id: '01a20000-0000-7000-8000-000000000001',
    status,
    askedBy: 'Morag Selkirk',
    askedAt: '2026-05-14T06:40:00.000Z',
    seconds: at,
    limit: 60,
    course,
    plan: { ...best, objective: 2000 + 20 * at, bound: 3000, gap: 0.1, sessions, staff },
    trouble: null,
  };
}

/**
 * Tasks of the page's thread while forty answers come in, one every 150 ms, on a board of 60 × 60 cells.
 *
 * @param {import('@playwright/test').Page} page signed in as the lead
 * @param {string} address of the application
 * @returns {Promise<{ cells: number, longest: number, over: number }>} cells drawn; longest task and how many took over 50 ms
 */
export async function plannerBoard(page, address) {
  const [problem, best] = [read('huge-7.json'), read('huge-7.best.json')];
  const board = await (await page.request.get(`${address}/api/planning/board`)).json();
  const large = boardOf(problem, best, board.forecast);
  await page.route('**/api/planning/board', (route) => route.fulfill({ json: large }));
  const jobs = Array.from({ length: ANSWERS }, (_, at) => jobOf(best, at === ANSWERS - 1 ? 'done' : 'running', at));
  await page.addInitScript(
    ({ answers, every }) => {
      const tasks = [];
      globalThis.longTasks = tasks;
      new globalThis.PerformanceObserver((list) =>
        tasks.push(...list.getEntries().map(({ duration }) => duration)),
      ).observe({
        type: 'longtask',
      });
      globalThis.EventSource = class {
        constructor() {
          globalThis.startAnswers = () => {
            const next = (at) => {
              if (at === answers.length) globalThis.allAnswered = true;
              else {
                this.onmessage?.({ data: answers[at] });
                setTimeout(next, every, at + 1);
              }
            };
            next(0);
          };
        }
        close() {}
      };
    },
    { answers: jobs.map((job) => JSON.stringify(job)), every: EVERY },
  );
  await page.goto(`${address}/ahead/planner`);
  await page.locator('[data-cell]').first().waitFor();
  await page.waitForTimeout(2500);
  const cells = await page.locator('[data-cell]').count();
  await page.evaluate(() => {
    globalThis.longTasks.length = 0;
    globalThis.startAnswers();
  });
  await page.waitForFunction(() => globalThis.allAnswered === true, undefined, { timeout: 60_000 });
  await page.waitForTimeout(500);
  const tasks = await page.evaluate(() => globalThis.longTasks);
  return { cells, longest: Math.max(0, ...tasks), over: tasks.length };
}
