import { MATERIAL_ANIMATIONS } from '@angular/material/core';
import { BreakpointObserver } from '@angular/cdk/layout';
import { of } from 'rxjs';
import { dayOfPlan } from '@brave-comb/core/planning';
import type { PlanBoard, PlanJob } from '@brave-comb/contract';
import { DEFAULT_PLANNING, type InspectionPlan, type PlanningProblem } from '@brave-comb/core/planning';
import { TestBed } from '@angular/core/testing';
import { Store, provideState } from '@ngrx/store';
import type { CallFault } from '../api/contract-client';
import { ViewEvents } from '../api/views.feature';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { PlanJobEvents, planJobFeature } from './plan-job.feature';
import type { Answers, Question } from './plan-thoughts';
import { keepDrafts, keptDrafts } from './plan-drafts';
import { Planner } from './planner';
import { controlsOf } from '../../testing/controls';

const PARTS = {
  session: 3,
  skill: 8,
  fairness: 0,
  care: 4,
  late: 0,
  shortfall: 0,
  disturb: -2,
  staffVisit: 0,
  change: 0,
};
const PLAN: InspectionPlan = {
  format: 'inspection-plan/1',
  instance: 'plan',
  objective: 120,
  bound: 123,
  gap: 0.0244,
  sessions: [
    { group: 'curlew', slot: 'thu', supervisor: 'tomasz', hives: ['h4', 'h2'] },
    { group: 'dipper', slot: 'sun', supervisor: 'leilani', hives: ['h7'] },
  ],
  staff: [{ slot: 'sun', hive: 'h12' }],
};

/** Answers as the worker would, at once. */
class FakeWorker {
  static asked: Question[] = [];
  /** Troubles other than the usual two. */
  static troubles: Answers['troubles'] | null = null;
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage({ id, question }: { id: number; question: Question }): void {
    FakeWorker.asked.push(question);
    const answers: Answers = {
      problem: null,
      why: { marginal: { parts: PARTS, total: 13 }, skills: [{ skill: 'finds-eggs', points: 8 }] },
      places: [
        { lock: { group: 'dipper', slot: 'thu', hives: ['h4'] }, price: 3.2, says: '' },
        {
          lock: { group: 'curlew', slot: 'sun', hives: ['h4'] },
          price: null,
          says: { say: 'planning/cannot-come', of: { who: 'curlew', slot: 'sun' } },
        },
      ],
      force: {
        plan: { staff: [], sessions: [{ ...PLAN.sessions[0]!, group: 'dipper' }] },
        price: 3.2,
      },
      cells: [
        { lock: { group: 'dipper', slot: 'thu', hives: ['h4'] }, price: 4.5, says: '' },
        {
          lock: { group: 'curlew', slot: 'sun', hives: ['h4'] },
          price: null,
          says: { say: 'planning/cannot-come', of: { who: 'curlew', slot: 'sun' } },
        },
      ],
      price: { price: 3.2 },
      'wet-day': {
        reserve: { group: 'dipper', slot: 'mon', supervisor: 'leilani', hives: ['h7'], price: 2.5 },
        staff: [{ slot: 'thu', hive: 'h2' }],
        indoors: [],
      },
      reasons: [
        {
          group: 'curlew',
          slot: 'thu',
          hive: 'h4',
          marginal: { parts: PARTS, total: 13 },
          skills: [{ skill: 'finds-eggs', points: 8 }],
        },
      ],
      troubles: FakeWorker.troubles ?? [
        {
          kind: 'low-odds',
          group: 'dipper',
          slot: 'sun',
          says: { say: 'planning/low-odds', of: { group: 'dipper', slot: 'sun', tenths: 5 } },
        },
        {
          kind: 'due-not-met',
          hive: 'h10',
          says: { say: 'planning/due-not-opened', of: { hive: 'h10', again: false, by: dayOfPlan(3), other: false } },
        },
      ],
      comparison: {
        more: { parts: PARTS, total: 6 },
        worth: 120,
        steps: [
          {
            change: {
              groups: ['curlew'],
              leave: { sessions: [PLAN.sessions[0]!], staff: [] },
              come: { sessions: [{ ...PLAN.sessions[0]!, slot: 'sun' }], staff: [] },
            },
            gain: 6,
            objective: 126,
          },
        ],
        changes: 1,
        sound: [true, true],
      },
      ways: [
        {
          change: { kind: 'lead', group: 'dipper', slot: 'sun', supervisor: 'tomasz' },
          plan: { ...PLAN, sessions: [PLAN.sessions[0]!, { ...PLAN.sessions[1]!, supervisor: 'tomasz' }] },
          price: 2,
        },
        {
          change: { kind: 'leave-out', from: { kind: 'session', group: 'dipper', slot: 'sun' } },
          plan: { sessions: [PLAN.sessions[0]!], staff: [] },
          price: 24,
        },
      ],
      worth: { worth: 98.5 },
      step: { plan: { staff: [], sessions: [{ ...PLAN.sessions[0]!, slot: 'sun' }] }, made: 1 },
      'not-placed': [
        {
          hive: 'h10',
          rule: {
            rule: 'rest',
            says: {
              say: 'planning/rests-since-last',
              of: { hive: 'h10', lastOpened: dayOfPlan(-1), restDays: 4 },
            },
          },
          freeFrom: 'sun',
          best: null,
        },
      ],
    };
    void Promise.resolve().then(() => this.onmessage?.({ data: { id, answer: answers[question.about] } }));
  }
  terminate = (): void => undefined;
}

const slot = (id: string, date: string, fit: number) => ({
  id,
  site: 'Home orchard',
  date,
  startsAt: `${date}T12:10:00Z`,
  endsAt: `${date}T14:30:00Z`,
  zone: 'Europe/London',
  fit,
  temperature: 16,
  past: false,
});
const problemSlot = (id: string, day: number, fit: number) => ({
  id,
  day,
  start: 790,
  minutes: 140,
  fit,
  temp: 'mild' as const,
  suits: 20,
  staffMinutes: 60,
  staffVisits: 1,
});
const problemGroup = (id: string, slots: readonly string[]) => ({
  id,
  size: 6,
  sessions: 1,
  gapDays: 2,
  slots,
  pace: 1.5,
  maxTemper: 3,
  lateAfter: 9,
  needs: {},
});
const problem: PlanningProblem = {
  format: 'inspection-plan-instance/1',
  name: 'plan',
  horizonDays: 14,
  params: {
    maxHives: 2,
    setupMinutes: 20,
    careLateRate: 0.1,
    tempFactor: { cool: 1.6, mild: 1, warm: 0.8, hot: 1.3 },
    pMax: 0.98,
    pwl: { L: [0, 1], F: [0, 0.6] },
    weights: DEFAULT_PLANNING.weights,
  },
  skills: ['finds-eggs'],
  slots: [problemSlot('thu', 0, 0.9), problemSlot('sun', 3, 0.5), problemSlot('mon', 4, 0.4)],
  groups: [problemGroup('curlew', ['thu']), problemGroup('dipper', ['thu', 'sun'])],
  supervisors: [
    { id: 'tomasz', senior: false, slots: ['thu', 'sun'] },
    { id: 'leilani', senior: true, slots: [] },
  ],
  hives: ['h4', 'h2', 'h7', 'h12', 'h10'].map((id) => ({
    id,
    minutes: 25,
    temper: 1,
    restDays: 4,
    lastOpened: null,
    noOpenBefore: 0,
    due: null,
    hygiene: 'clean',
    disturb: 1,
    skills: { 'finds-eggs': 0.8 },
  })),
  locks: [{ group: 'curlew', slot: 'thu', hives: ['h4'] }],
  published: { sessions: [] },
};
const JOB: PlanJob = {
  id: 'job',
  status: 'done',
  askedBy: 'Morag',
  askedAt: '2026-05-14T06:40:00Z',
  seconds: 4.2,
  limit: 60,
  course: [
    { at: 0.1, objective: 90, bound: null },
    { at: 0.4, objective: 110, bound: 130 },
    { at: 4.2, objective: 120, bound: 123 },
  ],
  plan: PLAN as PlanJob['plan'],
  trouble: null,
};
const hive = (id: string, number: string) => ({ id, number, stand: 'B', site: 'Home orchard', due: null });
const BOARD = {
  today: '2026-05-14',
  forecast: { issuedAt: '2026-05-14T06:10:00Z', problem: null },
  slots: [slot('thu', '2026-05-14', 0.9), slot('sun', '2026-05-17', 0.5), slot('mon', '2026-05-18', 0.4)],
  groups: [
    { id: 'curlew', name: 'Curlew', size: 7, openSkills: 18 },
    { id: 'dipper', name: 'Dipper', size: 6, openSkills: 21 },
  ],
  supervisors: [
    { id: 'tomasz', name: 'Tomasz Wierzba', senior: false },
    { id: 'leilani', name: 'Leilani Kealoha', senior: true },
  ],
  hives: [hive('h4', '4'), hive('h2', '2'), hive('h7', '7'), hive('h12', '12'), hive('h10', '10')],
  skills: [{ id: 'finds-eggs', name: 'finds eggs', indoors: 'Find every egg.' }],
  away: { 'curlew sun': 'exam' },
  closed: [],
  problem,
  pins: [],
  hopeless: null,
  conflict: null,
  told: { sessions: [], staff: [] },
  published: null,
  job: JOB,
  mayPlan: true,
} as unknown as PlanBoard;

async function showBoard(
  board: PlanBoard = BOARD,
  role: 'lead' | 'supervisor' = 'lead',
  fresh = true,
  more: Parameters<typeof showView>[5] = [],
) {
  FakeWorker.asked = [];
  if (fresh) localStorage.clear();
  Object.assign(globalThis, { Worker: FakeWorker });
  Element.prototype.scrollIntoView = () => undefined;
  const shown = await showView(Planner, 'planBoard', board, role, {}, [provideState(planJobFeature), ...more]);
  await settle(shown.fixture);
  return shown;
}
/** Publishes as the dialog asks for it, with a note to everybody. */
async function publishWith(
  fixture: Parameters<typeof controlsOf>[0],
  press: (name: RegExp) => Promise<unknown>,
  note = '',
): Promise<void> {
  await press(/^Publish …$/);
  const dialog = document.querySelector('mat-dialog-container')!;
  expect(textOf(dialog)).toContain('Publish this plan?');
  const field = dialog.querySelector<HTMLInputElement>('input')!;
  field.value = note;
  field.dispatchEvent(new Event('input'));
  [...dialog.querySelectorAll('button')].find((each) => textOf(each) === 'Publish')!.click();
  await vi.waitFor(() => expect(document.querySelector('mat-dialog-container')).toBeNull());
  await settle(fixture);
}
const settle = async (fixture: { whenStable: () => Promise<unknown> }) => {
  for (let round = 0; round < 4; round += 1) {
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
  }
};
describe('the planner board', () => {
  it('shows groups and slots with their odds, hives as tokens, who leads, who cannot come', async () => {
    const { element } = await showBoard();
    const heads = [...element.querySelectorAll('[role=columnheader]')].map(textOf);
    expect(heads[1]).toContain('Thu 14');
    expect(heads[1]).toContain('fit 9 in 10');
    const rows = [...element.querySelectorAll('bc-plan-row')].map(textOf);
    expect(rows[0]).toMatch(/Curlew 7 trainees 18 skills open Tomasz 4.*2.*exam/);
    expect(rows[1]).toMatch(/Dipper.*Leilani 7/);
    expect(rows[2]).toMatch(/Staff.*12/);
    expect(element.querySelector('[aria-label^="Hive 4, Curlew"]')!.getAttribute('aria-label')).toContain('fixed');
    expect(element.querySelectorAll('.odds.risky')).toHaveLength(1);
  });

  it('shows the slots of the plan and the likeliest free ones; unusable ones when they are asked for', async () => {
    const { element, press } = await showBoard();
    expect(element.querySelectorAll('[role=columnheader]')).toHaveLength(3);
    await press(/^All slots 3$/);
    expect(element.querySelectorAll('[role=columnheader]')).toHaveLength(4);
  });

  it('says what the plan is worth of at most how much, what a point is, and what is not placed', async () => {
    const { element } = await showBoard();
    expect(textOf(element.querySelector('bc-plan-score'))).toBe(
      '120 of at most 123 points 1 point: one trainee practises one open skill once.',
    );
    expect(textOf(element.querySelector('.not'))).toMatch(/Hive 10 Hive 10 was opened .* free from Sun 17, 13:10/);
  });

  it.each([
    ['proven', { objective: 123, bound: 123 }, null, '123 of at most 123 points: best plan found (proven)'],
    ['near', { objective: 122, bound: 123 }, null, '122 of at most 123 points, nearly the best'],
    [
      'changed by hand',
      { objective: 122, bound: 123 },
      [],
      '99 points on the board; the best plan found has 122, nearly the best',
    ],
    ['nothing planned', null, null, '99 points; not planned with this forecast yet'],
  ] as const)('says how good a plan is: %s', async (_case, last, draft, words) => {
    localStorage.clear();
    if (draft) keepDrafts('p', [{ plan: { sessions: [PLAN.sessions[1]!], staff: [] }, words: 'Excluded' }]);
    const job = last === null ? null : { ...JOB, course: [{ at: 1, ...last }] };
    const told = { sessions: [PLAN.sessions[0]!], staff: [] };
    const { element } = await showBoard({ ...BOARD, job, told } as unknown as PlanBoard, 'lead', false);
    expect(textOf(element.querySelector('bc-plan-score .score'))).toBe(words);
    localStorage.clear();
  });

  it('explains a chosen hive part by part, prices other places and moves there; undo takes it back', async () => {
    const { element, press, fixture } = await showBoard();
    await press(/^Hive 4, Curlew/);
    await settle(fixture);
    const panel = element.querySelector('bc-plan-opening')!;
    expect(textOf(panel)).toMatch(/Why hive 4 Curlew, Thu 14, 13:10–15:30, Home orchard \+13 points/);
    expect(textOf(panel)).toMatch(/Skills \+8\.0 finds eggs 8\.0 .*Disturbance −2\.0/);
    expect(textOf(panel)).toMatch(/Or else Dipper, Thu 14, 13:10 −3\.2/);
    expect(textOf(panel)).toContain('Curlew cannot come at Sun 17, 13:10.');
    await press(/^Dipper, Thu 14, 13:10 −3/);
    await settle(fixture);
    expect(textOf(element)).toContain('Moved, 3.2 points less');
    expect(element.querySelector('[aria-label^="Hive 4, Dipper"]')).not.toBeNull();
    await press(/^Undo$/);
    await settle(fixture);
    expect(element.querySelector('[aria-label^="Hive 4, Curlew"]')).not.toBeNull();
  });

  it('pins and leaves out what is chosen, and publishes against the version and forecast on the board', async () => {
    const { press, changes, fixture } = await showBoard();
    await press(/^Hive 7, Dipper/);
    await press(/^Fix here$/);
    expect(changes().at(-1)).toMatchObject({
      endpoint: 'pinPlan',
      sent: { body: { what: { pin: { group: 'dipper', slot: 'sun', hives: ['h7'] } } } },
    });
    await publishWith(fixture, press, 'the stand is being mended');
    expect(changes().at(-1)).toMatchObject({
      endpoint: 'publishPlan',
      sent: {
        body: {
          after: null,
          forecast: '2026-05-14T06:10:00Z',
          sessions: PLAN.sessions,
          reason: 'the stand is being mended',
        },
      },
    });
    await press(/^Hive 7, Dipper/);
    await press(/^Exclude here$/);
    await settle(fixture);
    expect(changes().at(-1)).toMatchObject({
      sent: { body: { what: { forbid: { group: 'dipper', slot: 'sun', hive: 'h7' } } } },
    });
  });

  it('asks for one plan however often the button is pressed, and may be stopped once the server has it', async () => {
    const { element, fixture } = await showBoard();
    const button = (words: string) => [...element.querySelectorAll('button')].find((each) => textOf(each) === words);
    TestBed.inject(Store).dispatch(PlanJobEvents.asked({ id: JOB.id, seconds: 60, seed: 1 }));
    await settle(fixture);
    expect(button('Re-plan')).toBeUndefined();
    expect(button('Stop')!.disabled || button('Stop')!.ariaDisabled === 'true').toBe(true);
    TestBed.inject(Store).dispatch(PlanJobEvents.told({ job: { ...JOB, status: 'waiting' } }));
    await settle(fixture);
    expect(button('Stop')!.disabled || button('Stop')!.ariaDisabled === 'true').toBe(false);
  });

  it('follows the job as it is told, and says what to do when it fails', async () => {
    const { element, fixture } = await showBoard();
    const store = TestBed.inject(Store);
    store.dispatch(PlanJobEvents.told({ job: { ...JOB, status: 'running', seconds: 1 } }));
    await settle(fixture);
    expect([...element.querySelectorAll('button')].map(textOf)).toContain('Stop');
    const trouble = 'The fixed slots cannot all be kept. Undo one.';
    store.dispatch(PlanJobEvents.told({ job: { ...JOB, status: 'failed', plan: null, trouble } }));
    await settle(fixture);
    expect(textOf(element.querySelector('[role="alert"]'))).toBe(trouble);
  });

  it('names pins that contradict each other, and why nothing can be planned', async () => {
    const what = { pin: { group: 'curlew', slot: 'thu' } };
    const { element } = await showBoard({
      ...BOARD,
      pins: [{ id: 'p1', by: 'Ruth', at: '2026-05-14T06:40:00Z', what }],
      conflict: { pins: ['p1'], rules: [{ rule: 'group-gap', says: 'Curlew comes on Thu 14 and on Fri 15.' }] },
      hopeless: 'no-slots',
    } as unknown as PlanBoard);
    const alerts = [...element.querySelectorAll('[role="alert"]')].map(textOf).join(' ');
    expect(alerts).toContain('Curlew comes on Thu 14 and on Fri 15.');
    expect(alerts).toContain('Fixed: Curlew, Thu 14');
    expect(alerts).toContain('next forecast');
  });

  it('is one stop of the Tab key, from which arrow keys lead from hive to hive', async () => {
    const { element, fixture } = await showBoard(BOARD);
    document.body.append(element);
    const stops = () => [...element.querySelectorAll<HTMLElement>('.token[tabindex="0"]')];
    expect(stops()).toHaveLength(1);
    const other = element.querySelector<HTMLElement>('[aria-label^="Hive 7, Dipper"]')!;
    other.focus();
    other.dispatchEvent(new FocusEvent('focusin', { bubbles: true }));
    await settle(fixture);
    expect(stops()).toEqual([other]);
  });

  it('carries a hive by keyboard: prices in the cells, what it costs in words, put down or back', async () => {
    const { element, fixture } = await showBoard({
      ...BOARD,
      problem: { ...problem, locks: [] },
    } as unknown as PlanBoard);
    const token = element.querySelector<HTMLElement>('[aria-label^="Hive 4, Curlew"]')!;
    const press = async (key: string) => {
      token.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true }));
      await settle(fixture);
    };
    await press('m');
    expect(textOf(element.querySelector('[data-cell="dipper thu"] .offer'))).toBe('−4.5');
    expect(textOf(element.querySelector('[data-cell="curlew sun"] .offer'))).toBe('no');
    await press('ArrowDown');
    expect(element.querySelector('.target')!.getAttribute('data-cell')).toBe('dipper thu');
    expect(textOf(element.querySelector('[role=status]'))).toContain('Dipper, Thu 14, 13:10: −3.2 points.');
    await press('Escape');
    expect(element.querySelector('.target')).toBeNull();
    expect(textOf(element.querySelector('[role=status]'))).toContain('Put back.');
    await press('m');
    await press('ArrowDown');
    await press('Enter');
    expect(textOf(element.querySelector('[role=status]'))).toContain('Moved, 3.2 points less');
    expect(FakeWorker.asked.find(({ about }) => about === 'force')).toMatchObject({
      item: { kind: 'hive', group: 'curlew', slot: 'thu', hive: 'h4' },
      lock: { group: 'dipper', slot: 'thu', hives: ['h4'] },
    });
  });

  it('says what is done when the weather of a chosen session does not come', async () => {
    const { element, press, fixture } = await showBoard();
    await press(/^Hive 7, Dipper/);
    await settle(fixture);
    const panel = textOf(element.querySelector('bc-plan-opening'));
    expect(panel).toContain('in reserve Mon 18, 13:10 with Leilani Kealoha, −2.5 points.');
    expect(panel).toContain('Hive 2 cannot wait: staff, Thu 14, 13:10.');
    expect(FakeWorker.asked.find(({ about }) => about === 'wet-day')).toMatchObject({ session: PLAN.sessions[1] });
  });

  it('prices, holds, pins and forbids a session at hours of one’s own choice', async () => {
    const { element, press, changes, fixture } = await showBoard();
    await controlsOf(fixture).choose(/^Group$/, 'Dipper');
    await controlsOf(fixture).choose(/^Hours$/, /^Thu 14/);
    const status = () => textOf(element.querySelector('.how [role=status]'));
    await press(/^What would it cost/);
    await settle(fixture);
    expect(status()).toContain('Dipper, Thu 14, 13:10: −3.2 points.');
    expect(FakeWorker.asked.at(-1)).toMatchObject({
      about: 'force',
      item: null,
      lock: { group: 'dipper', slot: 'thu' },
    });
    await press(/^Fix this slot$/);
    expect(changes().at(-1)!.sent.body).toMatchObject({ what: { pin: { group: 'dipper', slot: 'thu' } } });
    await press(/^Exclude this slot$/);
    expect(changes().at(-1)!.sent.body).toMatchObject({ what: { forbid: { group: 'dipper', slot: 'thu' } } });
    await press(/^Add session$/);
    await settle(fixture);
    expect(status()).toContain('Moved, 3.2 points less');
  });

  it('does not carry what is pinned', async () => {
    const { element, fixture } = await showBoard();
    const token = element.querySelector<HTMLElement>('[aria-label^="Hive 4, Curlew"]')!;
    token.dispatchEvent(new KeyboardEvent('keydown', { key: 'm', bubbles: true }));
    await settle(fixture);
    expect(element.querySelector('.offer')).toBeNull();
  });

  it('shows troubles by kind, and of one kind only where they lie', async () => {
    const { element, press } = await showBoard();
    await press(/^1 risky slot$/);
    expect(element.querySelectorAll('[role=columnheader]')).toHaveLength(2);
    expect([...element.querySelectorAll('bc-plan-row')].map(textOf)).toHaveLength(1);
    expect(textOf(element.querySelector('bc-plan-troubles'))).toContain(
      'Dipper, Sun 17, 13:10: fit in 5 of 10 forecasts.',
    );
    await press(/^1 risky slot$/);
    await press(/^1 check missed$/);
    expect(textOf(element.querySelector('bc-plan-troubles'))).toContain('Hive 10 is due by Sun 17 and is not opened.');
    expect(element.querySelectorAll('bc-plan-row')).toHaveLength(3);
  });

  it('offers the cheapest ways out of what is wrong; one is taken and undone', async () => {
    const { element, press, fixture } = await showBoard();
    const line = () => textOf(element.querySelector('bc-plan-troubles li'));
    expect(line()).toBe(
      '10 Hive 10 is due by Sun 17 and is not opened. Tomasz Wierzba leads −2.0 Cancel Dipper, Sun 17, 13:10 −24',
    );
    await press(/^Tomasz Wierzba leads/);
    await settle(fixture);
    expect(textOf(element.querySelector('[role=status]'))).toContain('Done: Tomasz Wierzba leads, −2.0 points.');
    expect(textOf(element.querySelectorAll('bc-plan-row')[1]!)).toMatch(/Tomasz 7/);
    await press(/^Undo$/);
    await settle(fixture);
    expect(textOf(element.querySelectorAll('bc-plan-row')[1]!)).toMatch(/Leilani 7/);
  });

  it('is not published while a rule is broken, and says how many are to settle', async () => {
    const says = { say: 'planning/cannot-come' as const, of: { who: 'dipper', slot: 'sun' } };
    FakeWorker.troubles = [{ kind: 'broken-rule', rule: 'group-slot', group: 'dipper', slot: 'sun', says }];
    const { element, press, changes } = await showBoard();
    FakeWorker.troubles = null;
    const publish = element.querySelector<HTMLButtonElement>('button.publish')!;
    expect(textOf(publish)).toBe('Publish: 1 rule to settle');
    expect(publish.getAttribute('aria-disabled')).toBe('true');
    await press(/^Publish: 1 rule/);
    expect(changes()).toEqual([]);
    expect(textOf(element.querySelector('bc-plan-troubles'))).toContain('Dipper cannot come at Sun 17, 13:10.');
  });

  it('draws how many days pass between two looks, and what nobody opens in time', async () => {
    const hives = problem.hives.map((each) =>
      each.id === 'h4' ? { ...each, lastOpened: -9, due: { from: 0, by: 0, weight: 9, every: 7 } } : each,
    );
    const { element } = await showBoard({ ...BOARD, problem: { ...problem, hives } } as unknown as PlanBoard);
    const chart = element.querySelector('bc-plan-rhythm')!;
    expect(textOf(chart)).toContain('the rule is every 7 while swarms may leave');
    const [row, ...others] = [...chart.querySelectorAll('[role=listitem]')];
    expect(others).toHaveLength(0);
    expect(row!.getAttribute('aria-label')).toBe('Hive 4: looked at on 5 May, 14 May; missed by 21 May');
    expect(textOf(row!.querySelector('.days.over'))).toBe('9');
  });

  it('compares with another plan: parts, steps, ghosts on the board; a step is made and undone', async () => {
    const told = { sessions: [{ group: 'dipper', slot: 'sun', supervisor: 'leilani', hives: ['h7'] }], staff: [] };
    const { element, fixture, press } = await showBoard({ ...BOARD, told });
    await controlsOf(fixture).choose(/^Compare/, 'what people were told');
    await settle(fixture);
    const panel = () => textOf(element.querySelector('bc-plan-compare'));
    expect(panel()).toMatch(/What the other plan gains: \+6\.0 points/);
    expect(panel()).toMatch(
      /Curlew, Thu 14, 13:10 with Tomasz Wierzba: Hive 4, Hive 2 → Curlew, Sun 17, 13:10 .* \+6\.0/,
    );
    expect(panel()).toContain('Make 1 move');
    expect(panel()).toContain('1 session stays.');
    expect(element.querySelector('[aria-label^="Hive 4, Curlew"]')!.getAttribute('aria-label')).toContain(
      'would leave',
    );
    await press(/^Make: /);
    await settle(fixture);
    expect(textOf(element.querySelector('[role=status]'))).toContain('Made one move');
    await press(/^Undo$/);
    await settle(fixture);
    expect(textOf(element.querySelector('[role=status]'))).toContain('Undone: Made one move');
  });

  it('keeps what people were told when the forecast is a new one, and says what it changes', async () => {
    const told = { sessions: [{ group: 'dipper', slot: 'sun', supervisor: 'leilani', hives: ['h7'] }], staff: [] };
    const published = {
      version: 3,
      by: 'Morag Selkirk',
      at: '2026-05-13T06:40:00Z',
      forecast: '2026-05-13T06:10:00Z',
      fits: { sun: 0.8, thu: 0.9 },
      plan: PLAN,
    };
    const { element, fixture } = await showBoard({ ...BOARD, told, published } as unknown as PlanBoard);
    await settle(fixture);
    expect(textOf(element)).toContain('A new forecast has come since people were told.');
    expect(textOf(element.querySelector('bc-plan-compare'))).toMatch(
      /What the 07:10 forecast changes .*Sun 17, 13:10: full in 8 in 10, now in 5 in 10\./,
    );
    expect(element.querySelector('[aria-label^="Hive 4, Curlew"]')!.getAttribute('aria-label')).toContain('would come');
  });

  it('keeps a plan that was not taken, compares it with what was told, and keeps drafts on the device', async () => {
    localStorage.clear();
    const { element, fixture, press } = await showBoard();
    await publishWith(fixture, press);
    const store = TestBed.inject(Store);
    const fault = { status: 409, message: 'Ruth published version 2 while you planned.' } as CallFault;
    const change = {
      id: 'c',
      endpoint: 'publishPlan',
      sent: {},
      view: 'planBoard',
      answers: false,
      person: 'p',
    } as const;
    store.dispatch(ViewEvents.changeRefused({ change, fault }));
    await settle(fixture);
    expect(textOf(element)).toContain('Ruth published version 2');
    expect(textOf(element.querySelector('.how [role=status]'))).toContain('Not published. Your plan is kept');
    expect(await controlsOf(fixture).chosen(/^Compare/)).toBe('what people were told');
    expect(keptDrafts('p')).toEqual([
      { plan: { sessions: PLAN.sessions, staff: PLAN.staff }, words: 'Sent to be published' },
    ]);
    store.dispatch(ViewEvents.changed({ change, answer: { version: 2, told: 12 } }));
    await settle(fixture);
    expect(keptDrafts('p')).toHaveLength(1);
    await publishWith(fixture, press);
    store.dispatch(ViewEvents.changed({ change, answer: { version: 3, told: 12 } }));
    await settle(fixture);
    expect(textOf(element.querySelector('.how [role=status]'))).toContain(
      'Version 3 is published. 12 people were told.',
    );
    expect(keptDrafts('p')).toEqual([]);
  });

  it('goes on from changes that were kept, unless they cannot be read', async () => {
    keepDrafts('p', [{ plan: { sessions: [PLAN.sessions[1]!], staff: [] }, words: 'Excluded' }]);
    const { element } = await showBoard(BOARD, 'lead', false);
    expect(element.querySelector('[aria-label^="Hive 4, Curlew"]')).toBeNull();
    expect(element.querySelector('[aria-label^="Hive 7, Dipper"]')).not.toBeNull();
    localStorage.setItem('plan drafts of p', '{"not":"drafts"}');
    expect(keptDrafts('p')).toEqual([]);
    localStorage.clear();
  });

  it('sets a plan aside to be compared with, and shows what was told', async () => {
    const { element, press, fixture } = await showBoard();
    await press(/^Save a copy$/);
    await press(/^Back to published plan$/);
    await settle(fixture);
    expect(element.querySelectorAll('button.token')).toHaveLength(0);
    expect(await controlsOf(fixture).offered(/^Compare/)).toContain('copy 1: 2 sessions, 1 staff visits');
    localStorage.clear();
  });

  it('lets a supervisor look and not plan', async () => {
    const { element } = await showBoard(BOARD, 'supervisor');
    expect(element.querySelectorAll('.tools')).toHaveLength(0);
  });

  it('is read by day on a phone, where a press opens the reasons from below; the board is one press away', async () => {
    const phone = { observe: () => of({ matches: true }), isMatched: () => true };
    const { element, fixture, press } = await showBoard(BOARD, 'lead', true, [
      { provide: BreakpointObserver, useValue: phone },
      { provide: MATERIAL_ANIMATIONS, useValue: { animationsDisabled: true } },
    ]);
    expect(element.querySelector('bc-plan-grid')).toBeNull();
    const days = [...element.querySelectorAll('bc-plan-days section')].map(textOf);
    expect(days[0]).toMatch(/^Thu 14 .*fit 9 in 10 Curlew: hive 4, Tomasz/);
    await press(/^Curlew: hive 4/);
    await settle(fixture);
    const sheet = document.querySelector('bc-plan-opening-sheet')!;
    expect(textOf(sheet)).toMatch(/^Why hive 4 Curlew, Thu 14, .*Fit 9 in 10/);
    // What moves or fixes a hive stays with the board.
    expect(textOf(sheet)).not.toMatch(/Fix here|Exclude here/);
    [...sheet.querySelectorAll('button')].find((each) => textOf(each) === 'Close')!.click();
    await vi.waitFor(() => expect(document.querySelector('bc-plan-opening-sheet')).toBeNull());
    await press(/^Board$/);
    expect(element.querySelector('bc-plan-grid')).not.toBeNull();
  });
});
