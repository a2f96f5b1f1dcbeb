import type { DaySheet } from '@brave-comb/contract';
import { showView } from '../../testing/ahead';
import { textOf } from '../../testing/text';
import { show } from '../../testing/show';
import { NextHives } from './next-hives';
import { StandingMap } from '../equipment/standing-map';

const sheet = {
  session: { id: 's1' },
  groups: [
    { group: { id: 'curlew', name: 'Curlew' }, visit: null },
    { group: { id: 'dipper', name: 'Dipper' }, visit: null },
  ],
} as unknown as DaySheet;
const hive = (number: string, leaves: number | null, says: string | null) => ({
  id: `h${number}`,
  number,
  minutes: 30,
  points: 4,
  leaves,
  says,
});

describe('the next hives', () => {
  it('are listed for each group with what is left after each, and why not the others', async () => {
    const data = {
      at: '2026-05-14T12:10:00Z',
      groups: [
        {
          group: 'curlew',
          minutesLeft: 85,
          hives: [hive('4', 55, null), hive('9', null, 'Hive 9 rests until Sun 17.')],
        },
        { group: 'dipper', minutesLeft: 5, hives: [] },
      ],
    };
    const { element } = await showView(NextHives, 'nextHives', data, 'lead', { sheet });
    const text = textOf(element);
    expect(text).toContain('Curlew, 1 h 25 left Hive 4 30 min, then 55 left Why not 9 Hive 9 rests until Sun 17.');
    expect(text).toContain('Dipper, 5 min left No time for another');
  });
});

describe('where to stand', () => {
  it('is drawn north up: the lane south of a hive that faces south, a mark north of it', async () => {
    const standing = {
      faces: 180,
      marks: [{ role: 'frames' as const, x: 0, y: 1 }],
      neighbours: [{ number: '5', x: 2, y: 0, faces: 180 }],
      says: ['Entrance faces south.'],
    };
    const fixture = await show(StandingMap, { standing, number: '4' });
    const element = fixture.nativeElement as HTMLElement;
    expect(element.querySelector('svg')!.getAttribute('aria-label')).toBe(
      'Where to stand at hive 4: Entrance faces south.',
    );
    expect(Number(element.querySelector('circle')!.getAttribute('cy'))).toBeLessThan(0);
    const [neighbour, own] = [...element.querySelectorAll('g')].map((each) => each.getAttribute('transform'));
    expect(neighbour).toMatch(/^translate\(44 0\) rotate\(180\)|translate\(44 -0\) rotate\(180\)/);
    expect(own).toBe('translate(0 0) rotate(180)');
  });
});
