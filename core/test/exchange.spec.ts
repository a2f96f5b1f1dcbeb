import { inEnglish } from '../src/words';
import { unfitBy } from './in-english';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { completed, readEpw, readWeatherCsv } from '../src/exchange';

describe('hourly weather file', () => {
  it('reads comma and semicolon files, with offsets, in order of time, the last line of an hour winning', () => {
    const plain = readWeatherCsv(
      'time,temperature,Dew point,wind,rain\n2026-05-14T13:00+01:00,16.2,9,12,0\n2026-05-14T11:00Z,15,8,10,0.4\n2026-05-14T12:00Z,16.4,,,\n',
    );
    expect(
      plain.hours.map(({ at, weather }) => [new Date(at).toISOString().slice(11, 16), weather.temperature]),
    ).toEqual([
      ['11:00', 15],
      ['12:00', 16.4],
    ]);
    const german = readWeatherCsv('\uFEFFtime;temperature;rain\r\n2026-05-14T12:00Z;16,2;0,1\r\n');
    expect(german.hours[0]?.weather).toMatchObject({ temperature: 16.2, rain: 0.1, wind: null });
  });

  it('tells each line that it left out, and why', () => {
    const { hours, bad } = readWeatherCsv(
      'time,temperature,cloud\n2026-05-14 13:00,16,0\n2026-05-14T13:00Z,160,0\n2026-05-14T14:00Z,16,70\n2026-05-14T15:00Z,,0\n2026-05-14T16:00Z,17,0.7\n',
    );
    expect(hours).toHaveLength(1);
    expect(bad.map((each) => each.line)).toEqual([2, 3, 4, 5]);
    expect(inEnglish(bad[0]!.message)).toMatch(/offset/);
    expect(inEnglish(bad[1]!.message)).toMatch(/between -70 and 60/);
    expect(inEnglish(bad[2]!.message)).toMatch(/0 to 1/);
    expect(inEnglish(bad[3]!.message)).toMatch(/temperature is missing/);
  });

  it('counts lines as an editor does, blank ones too', () => {
    const { bad } = readWeatherCsv(
      'time,temperature\n\n2026-05-14T12:00Z,16\n2026-05-14T13:00Z,999\n\n2026-05-14T14:00Z,x\n',
    );
    expect(bad.map(({ line }) => line)).toEqual([4, 6]);
  });

  it('takes neither 30 February nor hexadecimal for what they are not', () => {
    const { hours, bad } = readWeatherCsv(
      'time,temperature\n2026-02-30T12:00Z,16\n2026-05-14T12:00Z,0x10\n2026-05-14T13:00Z,1e1\n2026-05-14T14:00Z,Infinity\n',
    );
    expect(hours.map(({ weather }) => weather.temperature)).toEqual([10]);
    expect(bad.map(({ line }) => line)).toEqual([2, 3, 5]);
  });

  it('does not move the hours of zones with a half-hour offset: each of ours is the mean of the two it lies in', () => {
    const at = (hour: number) => `2026-05-14T${String(hour).padStart(2, '0')}:00+05:30`;
    const rows = [10, 11, 12, 13, 14].map((hour) => `${at(hour)},${hour * 2}`);
    const { hours } = readWeatherCsv(`time,temperature\n${rows.join('\n')}\n`);
    // 12:00 at +05:30 is 06:30Z: 06:00Z lies between the hours that begin at 11 and at 12 o'clock there.
    const six = hours.find(({ at: start }) => start === Date.parse('2026-05-14T06:00Z'))!;
    expect(six.weather.temperature).toBeCloseTo(23, 9);
    const kathmandu = readWeatherCsv('time,temperature\n2026-05-14T12:00+05:45,10\n2026-05-14T13:00+05:45,14\n').hours;
    // 12:45 to 13:00 there belongs to 07:00Z for a quarter, 13:00 to 13:45 for three.
    expect(
      kathmandu.find(({ at: start }) => start === Date.parse('2026-05-14T07:00Z'))?.weather.temperature,
    ).toBeCloseTo(13, 9);
  });

  it('says what a file lacks', () => {
    expect(unfitBy(() => readWeatherCsv('when,temp\n1,2\n'))).toMatch(/“time” among them/);
    expect(unfitBy(() => readWeatherCsv(''))).toMatch(/no hours/);
  });

  it('never fails in any other way, whatever it is given', () => {
    fc.assert(
      fc.property(fc.string(), (text) => {
        try {
          readWeatherCsv(text);
        } catch (error) {
          expect(error).toBeInstanceOf(RangeError);
        }
      }),
    );
  });

  it('fills gaps with what goes with the rest', () => {
    const [record] = readWeatherCsv('time,temperature,wind\n2026-05-14T12:00Z,16,20\n').hours;
    expect(completed(record!)).toMatchObject({ temperature: 16, dewPoint: 11, wind: 20, gust: 32, rain: 0 });
  });
});

/** An EPW file of a made-up place with a plain yearly and daily course, by the column order of the EnergyPlus format. */
function epw(change: (row: string[], hour: number) => void = () => undefined): string {
  const head = [
    'LOCATION,Made-up Hill,-,XXX,made,000000,-35.20,149.10,10.0,580.0',
    ...Array.from({ length: 7 }, () => 'HEAD,0'),
  ];
  const rows = Array.from({ length: 8760 }, (_, hour) => {
    const day = Math.floor(hour / 24);
    const date = new Date(Date.UTC(2001, 0, 1 + day));
    const row = Array.from({ length: 35 }, () => '0');
    row[1] = `${date.getUTCMonth() + 1}`;
    row[2] = `${date.getUTCDate()}`;
    row[3] = `${(hour % 24) + 1}`;
    row[6] = (14 + 8 * Math.cos((2 * Math.PI * (day - 18)) / 365) + 5 * Math.sin(((hour % 24) - 9) / 3.8)).toFixed(1);
    row[33] = hour % 24 === 3 ? '2' : '999';
    change(row, hour);
    return row.join(',');
  });
  return [...head, ...rows].join('\n');
}

describe('typical-year file', () => {
  it('gives the place and 365 usual days, with missing rain as none', () => {
    const year = readEpw(epw());
    expect(year).toMatchObject({ latitude: -35.2, longitude: 149.1 });
    expect(year.days).toHaveLength(365);
    expect(year.days[18]!.high).toBeGreaterThan(year.days[200]!.high);
    expect(year.days[50]!.rain).toBeCloseTo(2, 5);
  });

  it('passes over an hour without a temperature, and says which line holds rubbish', () => {
    expect(readEpw(epw((row, hour) => hour === 30 && (row[6] = '99.9'))).days).toHaveLength(365);
    expect(unfitBy(() => readEpw(epw((row, hour) => hour === 2 && (row[6] = 'warm'))))).toMatch(/Line 11 holds “warm”/);
  });

  it('says what is no such file', () => {
    expect(unfitBy(() => readEpw('a,b\n1,2'))).toMatch(/LOCATION/);
    expect(unfitBy(() => readEpw(epw().split('\n').slice(0, 500).join('\n')))).toMatch(/8760 hours/);
  });
});
