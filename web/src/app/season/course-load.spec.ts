import { ViewEvents } from '../api/views.feature';
import { TestBed } from '@angular/core/testing';
import { Store } from '@ngrx/store';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { CourseLoad } from './course-load';

const colony = (number: string, openings: number) => ({ hive: `h${number}`, number, load: { openings } });
const skill = (id: string, window: { from: string; to: string } | null, since: number, open: number) => ({
  id,
  name: id,
  seasonal: window !== null,
  window,
  nobody: since === 0,
  groups: [
    { group: 'curlew', seen: since, since, open: Math.floor(open / 2), next: null },
    { group: 'dipper', seen: 0, since: 0, open: Math.ceil(open / 2), next: null },
  ],
});
const swarming = { from: '2026-04-23', to: '2026-06-14' };

async function loaded(skills: readonly object[], colonies = [colony('9', 1), colony('10', 5), colony('2', 4)]) {
  const shown = await showView(CourseLoad, 'colonyCalendars', { loadLimit: { openings: 4 }, colonies });
  TestBed.inject(Store).dispatch(
    ViewEvents.loaded({ view: 'coverage', data: { today: '2026-05-14', groups: [], skills } }),
  );
  await shown.fixture.whenStable();
  const lines = (list: string) => [...shown.element.querySelectorAll(`.${list} li`)].map(textOf);
  return { ...shown, lines };
}

describe('what the course asks of hives and weeks', () => {
  it('shows openings against the limit, the fullest hive first', async () => {
    const { lines, element } = await loaded([]);
    expect(lines('hives')).toEqual(['Hive 10 5, over the limit', 'Hive 2 4, at the limit', 'Hive 9 1']);
    expect(element.querySelector('.hives a')?.getAttribute('href')).toBe('/colonies/h10');
    expect(textOf(element)).toContain('Nobody waits for a skill that only this season shows.');
  });

  it('shows what only this season shows, what will not be done in time first', async () => {
    const { lines, element } = await loaded([
      skill('reads the entrance', null, 3, 16),
      skill('tells swarm cells', swarming, 6, 13),
      skill('sees a swarm hived', { from: '2026-05-20', to: '2026-06-10' }, 0, 19),
      skill('feeds syrup', { from: '2026-08-01', to: '2026-09-20' }, 0, 0),
      skill('clips a queen', swarming, 12, 7),
    ]);
    expect(lines('skills')).toEqual([
      'tells swarm cells 4 weeks left at this pace 8 of the 13 who need it; 3 a week for all',
      'sees a swarm hived begins 20 May 19 need it: 7 a week',
      'clips a queen 4 weeks left at this pace 7 of the 7 who need it; 2 a week for all',
    ]);
    expect(element.querySelectorAll('.short')).toHaveLength(1);
  });
});
