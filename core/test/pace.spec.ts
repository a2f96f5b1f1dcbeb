import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { paceOf } from '../src/skills';

const swarming = { from: '2026-04-23', to: '2026-06-14' };

describe('skills against the weeks that the season leaves', () => {
  it.each([
    // Three weeks gone, six seen; a month and a day left: 6 ÷ 21 · 31 = 8.9.
    [
      'half of them in time',
      { window: swarming, since: 6, open: 13 },
      '2026-05-14',
      { weeksLeft: 4, atThisPace: 8, short: true },
    ],
    [
      'all of them in time',
      { window: swarming, since: 12, open: 7 },
      '2026-05-14',
      { weeksLeft: 4, atThisPace: 7, short: false },
    ],
    [
      'nobody yet after three weeks',
      { window: swarming, since: 0, open: 19 },
      '2026-05-14',
      { atThisPace: 0, short: true },
    ],
    [
      'begun three days ago: no pace yet',
      { window: swarming, since: 2, open: 17 },
      '2026-04-26',
      { atThisPace: null, short: false, weeksLeft: 7 },
    ],
    [
      'not begun',
      { window: swarming, since: 0, open: 19 },
      '2026-04-01',
      { weeksUntil: 4, atThisPace: null, short: false },
    ],
    [
      'the last day',
      { window: swarming, since: 18, open: 1 },
      '2026-06-14',
      { weeksLeft: 0, atThisPace: 0, short: true, neededAWeek: 1 },
    ],
    [
      'everybody has been seen',
      { window: swarming, since: 19, open: 0 },
      '2026-05-14',
      { short: false, neededAWeek: 0 },
    ],
    // In the southern half the window lies over the turn of the year.
    [
      'over the turn of the year',
      { window: { from: '2026-11-20', to: '2027-01-10' }, since: 4, open: 4 },
      '2026-12-18',
      { weeksLeft: 3, atThisPace: 3, short: true },
    ],
  ] as const)('%s', (_case, skill, today, expected) => {
    expect(paceOf(skill, today)).toMatchObject(expected);
  });

  it('says nothing of what every season shows, and of what is over', () => {
    expect(paceOf({ window: null, since: 3, open: 4 }, '2026-05-14')).toBeNull();
    expect(paceOf({ window: swarming, since: 3, open: 4 }, '2026-06-15')).toBeNull();
  });

  it('never foresees more than need it, and more seen never means fewer in time', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 0, max: 40 }),
        fc.integer({ min: 0, max: 52 }),
        (since, open, day) => {
          const today = new Date(Date.UTC(2026, 3, 23 + day)).toISOString().slice(0, 10);
          const pace = paceOf({ window: swarming, since, open }, today);
          const more = paceOf({ window: swarming, since: since + 1, open }, today);
          if (pace?.atThisPace == null || more?.atThisPace == null) return;
          expect(pace.atThisPace).toBeGreaterThanOrEqual(0);
          expect(pace.atThisPace).toBeLessThanOrEqual(open);
          expect(more.atThisPace).toBeGreaterThanOrEqual(pace.atThisPace);
        },
      ),
    );
  });
});
