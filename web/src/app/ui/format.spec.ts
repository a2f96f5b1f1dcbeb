import { inLanguage } from '../language/words';
import { dateText, dayOf, decimal, hourOf, oddsText, setThisYear, spanText, timeOf } from './format';

describe('figures in words', () => {
  it('say odds in tenths, never as a percentage', () => {
    expect([0, 0.31, 0.875, 0.96, 1].map(oddsText)).toEqual([
      'less than 1 in 20',
      '3 in 10',
      '9 in 10',
      '19 in 20',
      'all',
    ]);
  });

  it('say spans in hours and minutes', () => {
    expect([40, 60, 140, 485].map(spanText)).toEqual(['40 min', '1 h', '2 h 20', '8 h 05']);
  });

  it('tell the time at the site, over the change of the clocks', () => {
    expect(timeOf('2026-05-14T12:10:00Z', 'Europe/London')).toBe('13:10');
    expect(timeOf('2026-01-14T12:10:00Z', 'Europe/London')).toBe('12:10');
    expect(timeOf('2026-05-14T12:10:00Z', 'Etc/GMT-11')).toBe('23:10');
  });

  it('write the year of dates that are not of this year', () => {
    setThisYear(2026);
    expect(dateText('2026-05-16')).toBe('Sat 16 May');
    expect(dateText('2025-05-06')).toBe('Tue 6 May 2025');
    expect(dayOf('2026-12-31T23:30:00Z', 'Etc/GMT-1')).toBe('Fri 1 Jan 2027');
    expect(dayOf('2026-12-31T22:30:00Z', 'Etc/GMT-1')).toBe('Thu 31 Dec');
  });

  it('write days and times as they are written where the reader lives', () => {
    inLanguage('en-US');
    expect(timeOf('2026-05-14T12:10:00Z', 'Europe/London')).toBe('1:10 PM');
    expect(hourOf('2026-05-14T12:10:00Z', 'Europe/London')).toBe('1p');
    expect(dayOf('2026-12-31T23:30:00Z', 'Etc/GMT-1')).toBe('Fri, Jan 1, 2027');
    inLanguage('en');
    expect(hourOf('2026-05-14T05:10:00Z', 'Etc/GMT')).toBe('05');
  });

  it('write dates and decimals without tails', () => {
    expect(dateText('2026-05-16')).toBe('Sat 16 May');
    expect([5, 5.04, 5.06].map((value) => decimal(value))).toEqual(['5', '5', '5.1']);
  });
});
