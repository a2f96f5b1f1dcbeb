import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { SeasonEvents } from '../season/season.feature';
import { DaySessions } from './day-sessions';

const day = (date: string, sessions: readonly object[] = []) => ({
  day: { date, today: '2026-05-14', site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' }, sessions },
});
const session = (id: string, startsAt: string, group: string, hive: string, fit: number | null) => ({
  session: id,
  zone: 'Europe/London',
  startsAt,
  endsAt: startsAt.replace('T12', 'T14'),
  group,
  fit,
  hives: [{ number: hive }],
});
const COMING = {
  today: '2026-05-14',
  sessions: [
    session('a', '2026-05-14T12:10:00Z', 'Curlew', '4', 0.9),
    session('b', '2026-05-17T12:00:00Z', 'Curlew', '2', 0.8),
    session('b', '2026-05-17T12:00:00Z', 'Dipper', '3', 0.8),
    session('c', '2026-05-19T12:00:00Z', 'Lapwing', '6', 0.3),
    session('d', '2026-05-28T12:00:00Z', 'Lapwing', '1', null),
    session('e', '2026-05-29T12:00:00Z', 'Lapwing', '1', null),
  ],
};
const due = (hive: string, date: string, question: string, done = false) => ({ hive, due: date, question, done });
const strip = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  due: [
    due('4', '2026-05-16', 'Look for queen cells'),
    due('6', '2026-05-16', 'Look for queen cells'),
    due('7', '2026-05-16', 'Is she laying?'),
    due('9', '2026-05-16', 'Feed', true),
    due('1', '2026-05-15', 'Look for queen cells'),
  ],
};
const open = async (inputs: ReturnType<typeof day>, role: 'lead' | 'supervisor' | 'trainee' = 'lead') => {
  const { element, fixture } = await showView(DaySessions, 'mySessions', COMING, role, inputs);
  TestBed.inject(Store).dispatch(SeasonEvents.stripLoaded({ strip: strip as never }));
  await fixture.whenStable();
  return { text: textOf(element), rows: [...element.querySelectorAll('.row')].map(textOf), element };
};

describe('a day and its sessions', () => {
  it('without a session says so, with the next three by their own dates and what is due after it', async () => {
    const { text, rows, element } = await open(day('2026-05-15'));
    expect(text).toMatch(/^No session No hive is opened on this day\./);
    expect(rows).toEqual([
      'Sun 17 13:00–15:00 Curlew, hive 2; Dipper, hive 3 fit in 8 in 10 Show it , Sun 17',
      'Tue 19 13:00–15:00 Lapwing, hive 6 fit in 3 in 10 Show it , Tue 19',
      'Thu 28 13:00–15:00 Lapwing, hive 1 beyond the forecast Show it , Thu 28',
      'Sat 16 Hive 4, 6 Look for queen cells Hive 7 Is she laying?',
    ]);
    expect(element.querySelector('a[href="/ahead/b"]')).not.toBeNull();
    expect(text).toContain('Add a session in the planner');
  });

  it('with a session leads to its day sheet', async () => {
    const today = {
      id: 'a',
      startsAt: '2026-05-14T12:10:00Z',
      endsAt: '2026-05-14T14:30:00Z',
      depth: 'full',
      status: 'planned',
    };
    const { rows, element } = await open(day('2026-05-14', [today]));
    expect(rows[0]).toMatch(/^13:10–15:30 .*Day sheet , 13:10$/);
    expect(element.querySelector('a[href="/ahead/a"]')).not.toBeNull();
  });

  it('that is past offers nothing to come', async () => {
    const { text, rows } = await open(day('2026-05-09'));
    expect(text).toBe('No session No hive was opened in a session on this day.');
    expect(rows).toEqual([]);
  });

  it('tells a trainee of sessions only, and a supervisor also what is due, but not to plan', async () => {
    expect((await open(day('2026-05-15'), 'trainee')).text).not.toMatch(/Due after|planner/);
    const { text } = await open(day('2026-05-15'), 'supervisor');
    expect(text).toContain('Due after this day');
    expect(text).not.toContain('planner');
  });
});
