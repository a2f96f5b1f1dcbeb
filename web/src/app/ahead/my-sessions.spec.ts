import type { MySession } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { MySessionsScreen } from './my-sessions';

const job = (role: MySession['hives'][number]['jobs'][number]['role'], fromFrame: number, names: string[] = []) => ({
  role,
  fromFrame,
  toFrame: fromFrame + 2,
  names,
});
const session = (jobs: MySession['hives'][number]['jobs']): MySession => ({
  session: 's1',
  site: 'Home orchard',
  zone: 'Europe/London',
  startsAt: '2026-05-17T11:30:00Z',
  endsAt: '2026-05-17T13:00:00Z',
  group: 'Curlew',
  supervisor: 'Tomasz Wierzba',
  fit: 0.5,
  hives: [
    {
      number: '4',
      at: '2026-05-17T11:40:00Z',
      why: ['Swarm check, due now'],
      jobs,
      learn: [{ name: 'finds eggs', chance: 0.7 }],
    },
  ],
  ifWet: {
    reserve: { startsAt: '2026-05-19T12:00:00Z', supervisor: 'Marit Aune', hives: ['4'] },
    staff: [{ startsAt: '2026-05-18T12:00:00Z', hive: '6' }],
    indoors: [{ skill: 'ages-larvae', name: 'ages larvae', how: 'Pictures of larvae: say the days.' }],
  },
});

describe('own sessions', () => {
  it('tell a trainee what to do turn by turn, what to show, and what happens on a wet day', async () => {
    const data = { today: '2026-05-14', sessions: [session([job('smoke', 1), job('frames', 4)])] };
    const { element } = await showView(MySessionsScreen, 'mySessions', data, 'trainee');
    const text = textOf(element);
    expect(text).toContain('Your sessions');
    expect(text).toMatch(/Sun 17 May , 12:30–14:00 Curlew with Tomasz Wierzba, Home orchard, fit in 5 in 10/);
    expect(text).toMatch(
      /12:40 Hive 4 Swarm check, due now\. You do frames 1–3 smoke frames 4–6 hold frames You can show finds eggs 7 in 10/,
    );
    expect(text).toContain('In reserve: Tue 19 May, 13:00, hive 4, with Marit Aune.');
    expect(text).toContain('Hive 6 cannot wait: staff open it Mon 18 May, 13:00.');
    expect(text).toContain('Indoors: ages larvae. Pictures of larvae');
  });

  it('tell a supervisor who does what, job by job', async () => {
    const jobs = [job('smoke', 1, ['Ife']), job('frames', 1, ['Jun', 'Greta']), job('smoke', 4, ['Jun'])];
    const data = { today: '2026-05-14', sessions: [{ ...session(jobs), fit: null, ifWet: null }] };
    const { element } = await showView(MySessionsScreen, 'mySessions', data, 'supervisor');
    const text = textOf(element);
    expect(text).toContain('beyond the forecast');
    expect(text).toMatch(/Who does what Smoke Ife, then Jun Frames Jun and Greta Can be shown/);
  });

  it('say when none is planned', async () => {
    const { element } = await showView(
      MySessionsScreen,
      'mySessions',
      { today: '2026-05-14', sessions: [] },
      'trainee',
    );
    expect(textOf(element)).toContain('No session is planned for you');
  });
});
