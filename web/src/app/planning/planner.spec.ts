import type { PlanBoard, PlanJob } from '@brave-comb/contract';
import { DEFAULT_PLANNING, type InspectionPlan, objectiveOf, type PlanningProblem } from '@brave-comb/core/planning';
import { TestBed } from '@angular/core/testing';
import { Store, provideState } from '@ngrx/store';
import { showView } from '../../testing/ahead';
import { PlanJobEvents, planJobFeature } from './plan-job.feature';
import type { Answers, Question } from './plan-thoughts';
import { Planner } from './planner';

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
  onmessage: ((event: { data: unknown }) => void) | null = null;
  postMessage({ id, question }: { id: number; question: Question }): void {
    FakeWorker.asked.push(question);
    const answers: Answers = {
      problem: null,
      why: { marginal: { parts: PARTS, total: 13 }, skills: [{ skill: 'finds-eggs', points: 8 }] },
      places: [
        { lock: { group: 'dipper', slot: 'thu', hives: ['h4'] }, price: 3.2, says: '' },
        { lock: { group: 'curlew', slot: 'sun', hives: ['h4'] }, price: null, says: 'curlew cannot come at sun.' },
      ],
      force: {
        plan: {
          ...PLAN,
          objective: objectiveOf(problem, PLAN) - 3.2,
          sessions: [{ ...PLAN.sessions[0]!, group: 'dipper' }],
        },
        price: 3.2,
      },
      cells: [
        { lock: { group: 'dipper', slot: 'thu', hives: ['h4'] }, price: 4.5, says: '' },
        { lock: { group: 'curlew', slot: 'sun', hives: ['h4'] }, price: null, says: 'curlew cannot come at sun.' },
      ],
      price: 3.2,
      reasons: [
        {
          group: 'curlew',
          slot: 'thu',
          hive: 'h4',
          marginal: { parts: PARTS, total: 13 },
          skills: [{ skill: 'finds-eggs', points: 8 }],
        },
      ],
      troubles: [
        { kind: 'low odds', group: 'dipper', slot: 'sun', says: 'dipper, sun: fit in 5 of 10 forecasts.' },
        { kind: 'due not met', hive: 'h10', says: 'h10 is due by day 3 and is not opened.' },
      ],
      comparison: {
        more: { parts: PARTS, total: 6 },
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
      },
      step: { plan: { ...PLAN, sessions: [{ ...PLAN.sessions[0]!, slot: 'sun' }] }, objective: 126, made: 1 },
      'not placed': [
        {
          hive: 'h10',
          rule: { rule: 'rest', says: 'h10 was opened on day -1 and rests 4 days.' },
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
  skills: [{ id: 'finds-eggs', name: 'finds eggs' }],
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

async function showBoard(board: PlanBoard = BOARD, role: 'lead' | 'supervisor' = 'lead') {
  FakeWorker.asked = [];
  Object.assign(globalThis, { Worker: FakeWorker });
  const shown = await showView(Planner, 'planBoard', board, role, {}, [provideState(planJobFeature)]);
  await settle(shown.fixture);
  return shown;
}
const settle = async (fixture: { whenStable: () => Promise<unknown> }) => {
  for (let round = 0; round < 4; round += 1) {
    await new Promise((done) => setTimeout(done));
    await fixture.whenStable();
  }
};
/** Words of an element with a space between its parts, as one reads them. */
const textOf = (element: Node | null): string =>
  (element?.nodeType === Node.TEXT_NODE
    ? (element.textContent ?? '')
    : [...(element?.childNodes ?? [])].map(textOf).join(' ')
  )
    .replace(/\s+/g, ' ')
    .trim();

describe('the planner board', () => {
  it('shows groups and slots with their odds, hives as tokens, who leads, who cannot come', async () => {
    const { element } = await showBoard();
    const heads = [...element.querySelectorAll('thead th')].map(textOf);
    expect(heads[1]).toContain('Thu 14');
    expect(heads[1]).toContain('9 in 10');
    const rows = [...element.querySelectorAll('tbody tr')].map(textOf);
    expect(rows[0]).toMatch(/Curlew 7 trainees 18 skills open Tomasz 4.*2.*exam/);
    expect(rows[1]).toMatch(/Dipper.*Leilani 7/);
    expect(rows[2]).toMatch(/Staff.*12/);
    expect(element.querySelector('[aria-label^="Hive 4, Curlew"]')!.getAttribute('aria-label')).toContain('pinned');
    expect(element.querySelectorAll('.session.unsure')).toHaveLength(2);
  });

  it('leaves out slots that nobody can use until they are asked for', async () => {
    const { element, press } = await showBoard();
    expect(element.querySelectorAll('thead th')).toHaveLength(3);
    await press(/Also 1 slots/);
    expect(element.querySelectorAll('thead th')).toHaveLength(4);
  });

  it('says how near the best possible the plan is, and what is not placed', async () => {
    const { element } = await showBoard();
    expect(textOf(element.querySelector('bc-plan-course'))).toContain('Within 2.4 %');
    expect(textOf(element.querySelector('.not'))).toMatch(/Hive 10 Hive 10 was opened .* free from Sun 17, 13:10/);
  });

  it('explains a chosen hive part by part, prices other places and moves there; undo takes it back', async () => {
    const { element, press, fixture } = await showBoard();
    await press(/^Hive 4, Curlew/);
    await settle(fixture);
    const panel = element.querySelector('aside .chosen')!;
    expect(textOf(panel)).toMatch(/Why hive 4 Curlew, Thu 14, 13:10–15:30, Home orchard \+13\.0 points/);
    expect(textOf(panel)).toMatch(/Skills \+8\.0 finds eggs 8\.0 .*Disturbance −2\.0/);
    expect(textOf(panel)).toMatch(/Thu 14, 13:10 with Dipper −3\.2 Move/);
    expect(textOf(panel)).toContain('Curlew cannot come at Sun 17, 13:10.');
    await press(/^Move$/);
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
    await press(/^Pin here$/);
    expect(changes().at(-1)).toMatchObject({
      endpoint: 'pinPlan',
      sent: { body: { what: { pin: { group: 'dipper', slot: 'sun', hives: ['h7'] } } } },
    });
    await press(/^Publish$/);
    expect(changes().at(-1)).toMatchObject({
      endpoint: 'publishPlan',
      sent: { body: { after: null, forecast: '2026-05-14T06:10:00Z', sessions: PLAN.sessions } },
    });
    await press(/^Hive 7, Dipper/);
    await press(/^Leave out$/);
    await settle(fixture);
    expect(changes().at(-1)).toMatchObject({
      sent: { body: { what: { forbid: { group: 'dipper', slot: 'sun', hive: 'h7' } } } },
    });
  });

  it('follows the job as it is told, and says what to do when it fails', async () => {
    const { element, fixture } = await showBoard();
    const store = TestBed.inject(Store);
    store.dispatch(PlanJobEvents.told({ job: { ...JOB, status: 'running', seconds: 1 } }));
    await settle(fixture);
    expect([...element.querySelectorAll('button')].map(textOf)).toContain('Stop');
    const trouble = 'The pins cannot all be kept. Take one back.';
    store.dispatch(PlanJobEvents.told({ job: { ...JOB, status: 'failed', plan: null, trouble } }));
    await settle(fixture);
    expect(textOf(element.querySelector('[role="alert"]'))).toBe(trouble);
  });

  it('names pins that contradict each other, and why nothing can be planned', async () => {
    const what = { pin: { group: 'curlew', slot: 'thu' } };
    const { element } = await showBoard({
      ...BOARD,
      pins: [{ id: 'p1', by: 'Ruth', at: '2026-05-14T06:40:00Z', what }],
      conflict: { pins: ['p1'], rules: [{ rule: 'group-gap', says: 'curlew comes on day 0 and on day 1.' }] },
      hopeless: 'no slots',
    } as unknown as PlanBoard);
    const alerts = [...element.querySelectorAll('[role="alert"]')].map(textOf).join(' ');
    expect(alerts).toContain('Curlew comes on Thu 14 and on Fri 15.');
    expect(alerts).toContain('Pinned: Curlew, Thu 14');
    expect(alerts).toContain('next forecast');
  });

  it('lets a supervisor look and not plan', async () => {
    const { element } = await showBoard(BOARD, 'supervisor');
    expect(element.querySelectorAll('.tools')).toHaveLength(0);
  });
});
