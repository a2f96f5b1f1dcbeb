import { describe, expect, it } from 'vitest';
import { beesDue, layingRate, markColour } from '../src/biology';
import { fillOfWeight, perBee, shareOf } from '../src/inspection';
import { averageDegreeDays, clampedDegreeDays, degreeDays, evenYear, sineDegreeDays, usualTurn } from '../src/season';
import { studentT } from '../src/skills';
import { meanOf, medianOf, quantile, wilson } from '../src/statistics';
import { addDays, kmBetween, roundTo } from '../src/units';
import { beaufort, broodMinutes, heatIndex, lightningDistance, relativeHumidity, windChill } from '../src/weather';

type Reckoning = (...args: readonly number[]) => unknown;
const layer = { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false } as const;

/** Each with arguments that it takes. */
const RECKONINGS: readonly (readonly [name: string, of: Reckoning, valid: readonly number[]])[] = [
  ['beesDue', (cells, days) => beesDue(cells, days), [12_000, 7]],
  ['layingRate', (cells) => layingRate(cells), [10_400]],
  ['markColour', (year) => markColour(year), [2026]],
  ['shareOf', (found, sample) => shareOf(found, sample), [9, 300]],
  ['perBee', (mites, bees) => perBee(mites, bees), [40, 30]],
  ['fillOfWeight', (kg) => fillOfWeight(layer, kg), [14]],
  ['averageDegreeDays', (low, high, base) => averageDegreeDays(low, high, base), [11, 25, 10]],
  ['clampedDegreeDays', (low, high, base, cap) => clampedDegreeDays(low, high, base, cap), [3, 15, 10, 30]],
  ['sineDegreeDays', (low, high, base, cap) => sineDegreeDays(low, high, base, cap), [3, 15, 10, 30]],
  ['degreeDays', (low, high, base) => degreeDays('single-sine', low, high, base), [3, 15, 10]],
  ['evenYear', (coldest, warmest) => evenYear(coldest, warmest, true).map(({ low, high }) => low + high), [5, 17]],
  ['usualTurn', (latitude) => usualTurn(latitude), [-34]],
  ['studentT', (freedom) => studentT(freedom), [16]],
  ['meanOf', (...values) => meanOf(values), [1, 2, 6]],
  ['medianOf', (...values) => medianOf(values), [1, 2, 6]],
  ['quantile', (share, ...values) => quantile(values, share), [0.5, 1, 2]],
  ['wilson', (hits, of) => wilson(hits, of), [8, 10]],
  ['addDays', (days) => addDays('2026-05-14', days), [21]],
  ['roundTo', (value, decimals) => roundTo(value, decimals), [8.77, 1]],
  [
    'kmBetween',
    (a, b, c, d) => kmBetween({ latitude: a, longitude: b }, { latitude: c, longitude: d }),
    [52, 0, 53, 1],
  ],
  ['beaufort', (wind) => beaufort(wind), [28]],
  ['broodMinutes', (temperature) => broodMinutes(temperature), [16]],
  ['heatIndex', (temperature, humidity) => heatIndex(temperature, humidity), [32, 60]],
  ['lightningDistance', (seconds) => lightningDistance(seconds), [30]],
  ['relativeHumidity', (temperature, dewPoint) => relativeHumidity(temperature, dewPoint), [20, 12]],
  ['windChill', (temperature, wind) => windChill(temperature, wind), [-10, 20]],
];

describe('what is no number', () => {
  it.each(RECKONINGS)('is refused by %s and not handed on', (_name, of, valid) => {
    expect(() => of(...valid)).not.toThrow();
    for (const at of valid.keys()) expect(() => of(...valid.with(at, NaN)), `argument ${at + 1}`).toThrow(RangeError);
  });
});
