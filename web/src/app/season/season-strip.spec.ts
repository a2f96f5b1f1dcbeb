import { ComponentFixture, TestBed } from '@angular/core/testing';
import type { Strip } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { SeasonStrip } from './season-strip';

const days = Array.from({ length: 21 }, (_, index) => ({
  date: addDays('2026-05-08', index),
  observed: index < 6,
  warmest: [14, 16, 18] as const,
  rain: [0, 2] as const,
  hours: { lid: [8, 9, 10] as const, 'one-frame': [5, 6, 7] as const, full: [1, 3, 5] as const },
  sun: { rise: '2026-05-14T04:07:00Z', set: '2026-05-14T20:15:00Z', hours: 16.1 },
}));
const strip: Strip = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [{ id: 'home', name: 'Home orchard' }],
  today: '2026-05-14',
  forecast: { issuedAt: null, problem: null },
  days,
  phases: [
    {
      phase: 'swarm-season',
      from: '2026-04-25',
      to: '2026-06-14',
      swarming: { from: '2026-04-25', to: '2026-06-14' },
      reasons: ['strong colonies'],
    },
  ],
  bloom: [
    {
      id: 'sycamore',
      plant: 'Sycamore',
      nectar: 4,
      pollen: 0,
      from: '2026-05-06',
      to: '2026-05-25',
      giveOrTake: 3,
      toGiveOrTake: 3,
      state: 'reckoned',
      ended: false,
      usual: { from: '2026-05-08', to: '2026-05-28' },
      movedBy: 0,
      sum: null,
    },
  ],
  sessions: [{ id: 'today', date: '2026-05-14', groups: 3, status: 'planned' }],
  due: [
    {
      id: 'late',
      hive: '6',
      from: '2026-05-11',
      due: '2026-05-14',
      question: 'cells',
      why: '',
      strict: 'must',
      done: false,
    },
    {
      id: 'done',
      hive: '9',
      from: '2026-05-11',
      due: '2026-05-16',
      question: 'room',
      why: '',
      strict: 'should',
      done: true,
    },
  ],
};

describe('the season strip', () => {
  let fixture: ComponentFixture<SeasonStrip>;
  const element = () => fixture.nativeElement as HTMLElement;
  const show = async (data: Strip, compact = false) => {
    fixture = TestBed.createComponent(SeasonStrip);
    fixture.componentRef.setInput('strip', data);
    fixture.componentRef.setInput('compact', compact);
    fixture.componentRef.setInput('now', Date.parse('2026-05-14T06:40:00Z'));
    await fixture.whenStable();
  };

  it('says each day in words: hours, warmth, session, what is due', async () => {
    await show(strip);
    const labels = [...element().querySelectorAll('.day')].map((day) => day.getAttribute('aria-label'));
    expect(labels).toHaveLength(21);
    expect(labels[6]).toBe(
      'Thu 14, today; full inspection 1–5 h; warmest 16 degrees; sun 05:07 to 21:15; session planned, 3 hives; due: hive 6',
    );
    expect(labels[7]).not.toMatch(/hive 9/);
  });

  it('marks what is due today as late and leaves out what is answered', async () => {
    await show(strip, true);
    expect(element().textContent).toMatch(/6/);
    expect([...element().querySelectorAll('text')].filter((text) => text.textContent.trim() === '9')).toEqual([]);
  });

  it('stands without a forecast', async () => {
    await show({ ...strip, days: days.map((day) => ({ ...day, warmest: null, rain: null, hours: null })) });
    expect(element().querySelector<HTMLElement>('.day')!.getAttribute('aria-label')).toMatch(/no forecast/);
  });

  it('tells which day was chosen and which week was asked for', async () => {
    await show(strip);
    const chosen: string[] = [];
    const weeks: number[] = [];
    fixture.componentInstance.dayChosen.subscribe((date) => chosen.push(date));
    fixture.componentInstance.weekMoved.subscribe((by) => weeks.push(by));
    const day = element().querySelectorAll<HTMLButtonElement>('.day')[9]!;
    day.click();
    day.dispatchEvent(new KeyboardEvent('keydown', { key: '[' }));
    expect(chosen).toEqual(['2026-05-17']);
    expect(weeks).toEqual([-7]);
  });
});
