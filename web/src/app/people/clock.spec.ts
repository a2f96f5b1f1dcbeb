import { TestBed } from '@angular/core/testing';
import { Store, provideState, provideStore } from '@ngrx/store';
import { Clock, passed } from './clock';
import { keepClock, keptClock } from './kept-clock';
import { PeopleEvents, peopleFeature } from './people.feature';

describe('what passed between two looks at a device’s clocks', () => {
  it.each([
    ['a second in sight', 1000, 1000, false, 1000],
    ['a clock that was set an hour on while the page is in sight', 1000, 3_601_000, false, 1000],
    ['a clock that was set back', 1000, -3_600_000, false, 1000],
    ['a pocket of ten minutes, in which the steady clock stood still', 2000, 600_000, true, 600_000],
    ['a page out of sight whose steady clock ran on', 600_000, 600_000, true, 600_000],
    ['a clock set back out of sight', 60_000, -100_000, true, 60_000],
    ['a clock set years on out of sight', 60_000, 31_536_000_000, true, 60_000],
  ])('%s', (_what, steady, wall, hidden, expected) => {
    expect(passed(steady, wall, hidden)).toBe(expected);
  });
});

describe('the clock of a device', () => {
  const AT = Date.parse('2026-05-14T12:00:00Z');
  const open = () => {
    TestBed.configureTestingModule({ providers: [provideStore({}), provideState(peopleFeature)] });
    const clock = TestBed.inject(Clock);
    TestBed.inject(Store).dispatch(
      PeopleEvents.clockMoved({ clock: { now: new Date(AT).toISOString(), demo: true, readAt: Date.now() } }),
    );
    TestBed.tick();
    return clock;
  };
  beforeEach(() => {
    vi.useFakeTimers({ now: new Date('2031-01-01T00:00:00Z') });
    localStorage.clear();
  });
  afterEach(() => void vi.useRealTimers());

  it('runs on from the last contact, whatever its own clock says', () => {
    const clock = open();
    vi.advanceTimersByTime(12 * 60_000);
    expect(clock.now()).toBe(AT + 12 * 60_000);
  });

  it('is not moved when the device’s clock is set while a hive is open', () => {
    const clock = open();
    vi.setSystemTime(new Date('2031-01-01T05:00:00Z'));
    vi.advanceTimersByTime(60_000);
    expect(clock.now()).toBe(AT + 60_000);
  });

  it('is set by any contact with the server that tells another time', () => {
    const clock = open();
    clock.contact(AT + 600_000);
    expect(clock.now()).toBe(AT + 600_000);
    clock.contact(AT + 600_400);
    expect(clock.now()).toBe(AT + 600_000);
  });

  it('never dates an entry before the one made last', () => {
    const clock = open();
    const first = clock.instant();
    clock.contact(AT - 3_600_000);
    expect(clock.instant() >= first).toBe(true);
  });

  it('goes on after a reload without signal where it was, by what has passed', () => {
    keepClock(AT, true);
    vi.setSystemTime(new Date('2031-01-01T00:12:00Z'));
    expect(keptClock()).toEqual({ now: '2026-05-14T12:12:00.000Z', demo: true });
  });

  it('is not earlier than the last contact where the device’s clock was set back', () => {
    keepClock(AT, false);
    vi.setSystemTime(new Date('2030-12-31T20:00:00Z'));
    expect(keptClock().now).toBe('2026-05-14T12:00:00.000Z');
  });
});
