import { showView } from '../../testing/ahead';
import { PlanTermsScreen } from './plan-terms';
import { controlsOf } from '../../testing/controls';

const times = {
  weekly: [{ weekday: 2, from: 570, to: 1020 }],
  away: [{ from: '2026-05-21', to: '2026-05-21', why: 'exam' }],
};
const DATA = {
  owners: [
    {
      id: 'curlew',
      name: 'Curlew',
      group: null,
      terms: { kind: 'group', times, sessions: 3, gapDays: 3, maxTemper: 2, until: null },
    },
    { id: 'ruth', name: 'Ruth Okafor', group: null, terms: { kind: 'supervisor', times, senior: true } },
    { id: 'niamh', name: 'Niamh', group: 'Dipper', terms: { kind: 'trainee', liftKg: 10, seated: true } },
  ],
};

async function shown() {
  const view = await showView(PlanTermsScreen, 'planningTerms', DATA);
  const { write: set, tick, written } = controlsOf(view.fixture);
  return { ...view, set, tick, written };
}

describe('the terms that the planner goes by', () => {
  it('are listed for groups, supervisors and trainees', async () => {
    const { element } = await shown();
    const words = element.textContent.replace(/\s+/g, ' ');
    expect(words).toContain('3 sessions a plan, 3 days apart, calm hives only (up to 2)');
    expect(words).toContain('may open suspect hives');
    expect(words).toContain('lifts at most 10 kg, seated');
  });

  it('of a group are changed together and saved once', async () => {
    const { set, tick, press, changes } = await shown();
    await set(/Sessions in a plan/, '4');
    await set(/Last day of the course/, '2026-07-12');
    await set(/^Tuesday, from/, '10:15');
    await tick('Saturday');
    await press(/Add days away/);
    await press(/^Save Curlew$/);
    expect(changes()).toHaveLength(1);
    expect(changes()[0]!.sent).toMatchObject({
      params: { owner: 'curlew' },
      body: {
        terms: {
          kind: 'group',
          sessions: 4,
          until: '2026-07-12',
          times: {
            weekly: [
              { weekday: 2, from: 615, to: 1020 },
              { weekday: 6, from: 540, to: 1080 },
            ],
            away: [{ from: '2026-05-21', why: 'exam' }, { why: 'away' }],
          },
        },
      },
    });
  });

  it('of a trainee: no limit of lifting when the field is empty', async () => {
    const { set, tick, press, changes } = await shown();
    await set(/Lifts at most/, '');
    await tick(/Works seated/);
    await press(/^Save Niamh$/);
    expect(changes()[0]!.sent.body).toEqual({ terms: { kind: 'trainee', liftKg: null, seated: false } });
  });

  it('days off are taken out, a day without hours is a day off', async () => {
    const { tick, press, changes } = await shown();
    await press(/^Remove$/);
    await tick('Tuesday');
    await press(/^Save Curlew$/);
    expect(changes()[0]!.sent.body).toMatchObject({ terms: { times: { weekly: [], away: [] } } });
  });
});
