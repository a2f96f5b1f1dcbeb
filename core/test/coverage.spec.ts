import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { choose, collectionsIn, weatherOfCoverage } from '../src/exchange';
import { Unfit } from '../src/language';
import { inEnglish } from '../src/words';

const T0 = Date.parse('2026-05-14T00:00:00Z');
const time = (hour: number) => new Date(T0 + hour * 3_600_000).toISOString();
const parameter = (standard: string, unit: unknown, more: object = {}) => ({
  type: 'Parameter',
  observedProperty: { id: `http://vocab.nerc.ac.uk/standard_name/${standard}/`, label: { en: standard } },
  unit: { symbol: unit },
  ...more,
});
const ucum = (value: string) => ({ value, type: 'http://www.opengis.net/def/uom/UCUM/' });
const range = (values: readonly (number | null)[], axisNames = ['t'], shape = [values.length]) => ({
  type: 'NdArray',
  dataType: 'float',
  axisNames,
  shape,
  values,
});
const coverage = (hours: readonly number[], parameters: object, ranges: object, axes: object = {}) => ({
  type: 'Coverage',
  domain: {
    type: 'Domain',
    domainType: 'PointSeries',
    axes: { x: { values: [-3.3] }, y: { values: [55.1] }, t: { values: hours.map(time) }, ...axes },
  },
  parameters,
  ranges,
});
const PLAIN = {
  a: parameter('air_temperature', ucum('Cel')),
  b: parameter('wind_speed', ucum('km/h')),
  c: parameter('precipitation_amount', ucum('mm'), { measurementType: { method: 'sum', period: 'PT0M/PT1H' } }),
};
const plain = (
  hours: readonly number[],
  a: readonly (number | null)[],
  b: readonly (number | null)[],
  c: readonly (number | null)[],
) => coverage(hours, PLAIN, { a: range(a), b: range(b), c: range(c) });
const refusal = (document: unknown): string => {
  try {
    weatherOfCoverage(document);
    return '';
  } catch (error) {
    return error instanceof Unfit ? inEnglish(error.says) : String(error);
  }
};
const near = (values: readonly (number | null)[] | undefined, expected: readonly (number | null)[]) => {
  expect(values).toHaveLength(expected.length);
  expected.forEach((value, index) =>
    value === null ? expect(values![index]).toBeNull() : expect(values![index]).toBeCloseTo(value, 6),
  );
};

describe('weather of a point in CoverageJSON', () => {
  it('is read hour by hour, with what is missing', () => {
    const read = weatherOfCoverage(plain([0, 1, 2], [10, null, 12], [5, 6, 7], [0, 0.4, 0]));
    expect(read).toMatchObject({ issued: null, start: T0, hours: 3, members: 1, coarse: false });
    near(read.courses.temperature![0], [10, null, 12]);
    near(read.courses.rain![0], [0, 0.4, 0]);
    expect(read.courses.gust).toBeUndefined();
  });

  // Units by UCUM: a knot is 1.852 km/h, a mile 1.609344 km, an inch 25.4 mm, exactly; 0 °C is 273.15 K and 32 °F.
  const units: readonly (readonly [
    figure: 'temperature' | 'wind' | 'rain' | 'cloud',
    standard: string,
    unit: unknown,
    told: number,
    kept: number,
  ])[] = [
    ['temperature', 'air_temperature', ucum('K'), 288.15, 15],
    ['temperature', 'air_temperature', ucum('[degF]'), 59, 15],
    ['temperature', 'air_temperature', '°C', 15, 15],
    ['wind', 'wind_speed', ucum('m/s'), 5, 18],
    ['wind', 'wind_speed', 'm s-1', 5, 18],
    ['wind', 'wind_speed', ucum('[kn_i]'), 10, 18.52],
    ['wind', 'wind_speed', 'kt', 10, 18.52],
    ['wind', 'wind_speed', 'mph', 10, 16.09344],
    ['rain', 'precipitation_amount', ucum('kg.m-2'), 1.2, 1.2],
    ['rain', 'lwe_thickness_of_precipitation_amount', ucum('m'), 0.0012, 1.2],
    ['rain', 'precipitation_amount', ucum('[in_i]'), 0.1, 2.54],
    ['rain', 'precipitation_flux', 'kg m-2 s-1', 0.0005, 1.8],
    ['rain', 'rainfall_rate', 'mm/h', 1.8, 1.8],
    ['cloud', 'cloud_area_fraction', ucum('%'), 75, 0.75],
    ['cloud', 'cloud_area_fraction', 'okta', 6, 0.75],
    ['cloud', 'cloud_area_fraction', ucum('1'), 0.75, 0.75],
  ];
  it.each(units)('%s as %s in %j: %d is kept as %d', (figure, standard, unit, told, kept) => {
    const slot = { temperature: 'a', wind: 'b', rain: 'c', cloud: 'd' }[figure];
    const hourly = figure === 'rain' ? { measurementType: { period: 'PT0M/PT1H' } } : {};
    const document = coverage(
      [0, 1],
      { ...PLAIN, [slot]: parameter(standard, unit, hourly) },
      { a: range([1, 1]), b: range([1, 1]), c: range([1, 1]), [slot]: range([told, told]) },
    );
    near(weatherOfCoverage(document).courses[figure]![0], [kept, kept]);
  });

  it('in a unit that is not known is refused with those that are', () => {
    const furlongs = coverage(
      [0, 1],
      { ...PLAIN, b: parameter('wind_speed', 'furlong/fortnight') },
      { a: range([1, 1]), b: range([1, 1]), c: range([0, 0]) },
    );
    expect(refusal(furlongs)).toMatch(/tells b in “furlong\/fortnight”; read are km\/h, .*m\/s/);
  });

  const names: readonly (readonly [name: string, description: unknown, figure: string | null])[] = [
    ['temperature_2m', undefined, 'temperature'],
    ['2t', { unit: { symbol: 'K' } }, 'temperature'],
    ['x', parameter('air_temperature', 'K'), 'temperature'],
    ['dewPoint', undefined, 'dewPoint'],
    ['TotalCloudCover', undefined, 'cloud'],
    ['x', { observedProperty: { label: { en: 'Wind gust' } } }, 'gust'],
    ['sea_surface_temperature', undefined, null],
    ['soil_temperature', undefined, null],
    // What it observes is not known: it goes by its name.
    ['wind', parameter('sea_surface_wave_height', 'm'), 'wind'],
  ];
  it.each(names)('%s is told by its name', (name, description, figure) => {
    const document = coverage(
      [0, 1],
      { ...PLAIN, [name]: description },
      { a: range([1, 1]), b: range([1, 1]), c: range([0, 0]), [name]: range([280, 280]) },
    );
    // Nothing else tells the same.
    const instead = { temperature: 'a', wind: 'b' }[figure ?? ''];
    document.ranges = Object.fromEntries(Object.entries(document.ranges).filter(([each]) => each !== instead));
    const told = refusal(document);
    // Without a unit a temperature cannot be read; it is known for one all the same.
    if (told === '')
      expect(Object.keys(weatherOfCoverage(document).courses)).toEqual(expect.arrayContaining(figure ? [figure] : []));
    else expect(told).toContain(`tells ${name} in “`);
    if (figure === null) expect(told).toBe('');
  });

  it('takes wind from its parts and the dew point from humidity', () => {
    const read = weatherOfCoverage(
      coverage(
        [0, 1],
        {
          a: PLAIN.a,
          c: PLAIN.c,
          u: parameter('eastward_wind', 'm/s'),
          v: parameter('northward_wind', 'm/s'),
          h: parameter('relative_humidity', '%'),
        },
        { a: range([20, 20]), c: range([0, 0]), u: range([3, -3]), v: range([4, 4]), h: range([50, 100]) },
      ),
    );
    near(read.courses.wind![0], [18, 18]);
    // 20 °C at 50 % has its dew point at 9.3 °C (psychrometric tables); saturated air has it at its own temperature.
    expect(read.courses.dewPoint![0]![0]).toBeCloseTo(9.3, 1);
    expect(read.courses.dewPoint![0]![1]).toBeCloseTo(20, 6);
  });

  describe('rain', () => {
    const rain = (hours: readonly number[], values: readonly number[], period: string | null, unit = 'mm') => {
      const c = parameter(
        'precipitation_amount',
        unit,
        period === null ? {} : { measurementType: { method: 'sum', period } },
      );
      const zero = hours.map(() => 1);
      return weatherOfCoverage(coverage(hours, { ...PLAIN, c }, { a: range(zero), b: range(zero), c: range(values) }));
    };
    it('that stands at the end of its hour belongs to the hour before', () => {
      const read = rain([0, 1, 2, 3], [9, 1, 2, 3], '-PT1H/PT0M');
      expect(read.hours).toBe(3);
      near(read.courses.rain![0], [1, 2, 3]);
    });
    it('does so where nothing is said, as observers tell it', () => {
      near(rain([0, 1, 2], [9, 1, 2], null).courses.rain![0], [1, 2]);
    });
    it('that stands at the begin of its hour stays there', () => {
      near(rain([0, 1, 2], [9, 1, 2], 'PT0M/PT1H').courses.rain![0], [9, 1, 2]);
    });
    it('of three and six hours is spread; none is lost and none is made', () => {
      const read = rain([0, 1, 4, 10], [0, 0.6, 3, 6], '-PT1H/PT0M');
      expect(read).toMatchObject({ hours: 10, coarse: true });
      near(read.courses.rain![0], [0.6, 1, 1, 1, 1, 1, 1, 1, 1, 1]);
      fc.assert(
        fc.property(
          fc.array(fc.tuple(fc.constantFrom(1, 2, 3, 6), fc.nat(50)), { minLength: 1, maxLength: 20 }),
          (steps) => {
            const hours = steps.reduce<number[]>((all, [step]) => [...all, all.at(-1)! + step], [0]);
            const values = [0, ...steps.map(([, mm]) => mm)];
            const spread = rain(hours, values, '-PT1H/PT0M').courses.rain![0]!;
            expect(spread.reduce<number>((sum, value) => sum + value!, 0)).toBeCloseTo(
              values.reduce((sum, value) => sum + value, 0),
              6,
            );
            expect(spread).toHaveLength(hours.at(-1)!);
          },
        ),
      );
    });
    it('as a rate is what falls in an hour at its time', () => {
      near(rain([0, 3], [2, 5], null, 'mm/h').courses.rain![0], [2, 3, 4, 5, 5, 5]);
    });
  });

  it('goes evenly from one time to the next where hours lie between', () => {
    const read = weatherOfCoverage(plain([0, 3], [10, 16], [6, 0], [3, 3]));
    near(read.courses.temperature![0], [10, 12, 14, 16, 16, 16]);
    near(read.courses.wind![0]!.slice(0, 3), [6, 4, 2]);
  });

  it('of several members is read in whatever order its axes stand', () => {
    const byTime = coverage(
      [0, 1, 2],
      PLAIN,
      {
        a: range([1, 10, 2, 20, 3, 30], ['t', 'realization'], [3, 2]),
        b: range([1, 2, 3, 10, 20, 30], ['realization', 't'], [2, 3]),
        c: range([0, 0, 0, 0, 0, 0], ['x', 't', 'y', 'realization'], [1, 3, 1, 2]),
      },
      { realization: { values: [0, 1] } },
    );
    const read = weatherOfCoverage(byTime);
    expect(read.members).toBe(2);
    near(read.courses.temperature![0], [1, 2, 3]);
    near(read.courses.temperature![1], [10, 20, 30]);
    near(read.courses.wind![1], [10, 20, 30]);
    const numbered = {
      ...byTime,
      domain: { ...byTime.domain, axes: { t: byTime.domain.axes.t, number: { start: 0, stop: 1, num: 2 } } },
    };
    for (const each of Object.values(numbered.ranges) as { axisNames: string[] }[])
      each.axisNames = each.axisNames.map((name) => (name === 'realization' ? 'number' : name));
    near(weatherOfCoverage(numbered).courses.temperature![1], [10, 20, 30]);
  });

  it('is put together of coverages, one a member or one a parameter', () => {
    const member = (add: number) => {
      const { parameters: _, ...rest } = plain([0, 1], [1 + add, 2 + add], [3, 3], [0, 0]);
      return rest;
    };
    const read = weatherOfCoverage({
      type: 'CoverageCollection',
      parameters: PLAIN,
      coverages: [member(0), member(10)],
    });
    expect(read.members).toBe(2);
    near(read.courses.temperature![1], [11, 12]);
    const single = (key: 'a' | 'b' | 'c', value: number) =>
      coverage([0, 1], { [key]: PLAIN[key] }, { [key]: range([value, value]) });
    const parts = weatherOfCoverage({
      type: 'CoverageCollection',
      coverages: [single('a', 9), single('b', 4), single('c', 0)],
    });
    expect(parts.members).toBe(1);
    near(parts.courses.wind![0], [4, 4]);
  });

  const bad: readonly (readonly [why: string, document: unknown, says: RegExp])[] = [
    ['another document', { hello: 'bees' }, /without domain/],
    ['nothing', null, /without domain/],
    ['no times', coverage([], PLAIN, {}), /without domain\.axes\.t/],
    [
      'times that are none',
      { ...plain([0], [1], [1], [1]), domain: { axes: { t: { values: ['soon'] } } } },
      /domain\.axes\.t/,
    ],
    ['no wind', coverage([0, 1], PLAIN, { a: range([1, 1]), c: range([0, 0]) }), /without ranges\.wind/],
    [
      'a value too few',
      coverage([0, 1], PLAIN, { a: range([1, 1]), b: range([1], ['t'], [2]), c: range([0, 0]) }),
      /1 values of b for 2 hours and 1 members/,
    ],
    [
      'a range that lies elsewhere',
      coverage([0, 1], PLAIN, { a: { type: 'NdArray', href: 'x' } as object }),
      /without ranges\.a\.values/,
    ],
    [
      'a gap of four hours',
      plain([0, 1, 5], [1, 1, 1], [1, 1, 1], [0, 0, 0]),
      /left out the hour before 2026-05-14T05:00/,
    ],
    ['times that go back', plain([2, 1], [1, 1], [1, 1], [0, 0]), /left out the hour/],
    [
      'members of different times',
      { coverages: [plain([0, 1], [1, 1], [1, 1], [0, 0]), plain([1, 2], [1, 1], [1, 1], [0, 0])] },
      /different hours/,
    ],
  ];
  it.each(bad)('is refused for %s', (_why, document, says) => {
    expect(refusal(document)).toMatch(says);
  });
});

describe('collections of a service', () => {
  const names = (...list: string[]) => Object.fromEntries(list.map((name) => [name, {}]));
  const ALL = names('air_temperature', 'wind_speed', 'precipitation_amount', 'sea_level');
  const collection = (
    id: string,
    from: string | null,
    to: string | null,
    parameter_names: object = ALL,
    data_queries: object = { position: {} },
  ) => ({
    id,
    extent: { temporal: { interval: [[from, to]] } },
    data_queries,
    parameter_names,
  });
  const now = Date.parse('2026-05-14T00:00:00Z');
  const chosen = (all: readonly object[], named = { forecast: '', observed: '' }) => {
    const { forecast, observed } = choose(collectionsIn({ collections: all }), now, named);
    return `${forecast?.id ?? '–'} ${observed?.id ?? '–'}`;
  };
  const ahead = ['2026-05-14T00:00:00Z', '2026-05-24T00:00:00Z'] as const;
  const behind = ['2000-01-01T00:00:00Z', '2026-05-13T00:00:00Z'] as const;

  it.each([
    [
      'by their names',
      [collection('observations', ...behind), collection('forecast-10d', ...ahead)],
      'forecast-10d observations',
    ],
    ['by what they reach', [collection('uk-2km', ...ahead), collection('stations', ...behind)], 'uk-2km stations'],
    [
      'the furthest ahead',
      [collection('short', '2026-05-14T00:00:00Z', '2026-05-16T00:00:00Z'), collection('long', ...ahead)],
      'long –',
    ],
    ['none without rain', [collection('forecast', ...ahead, names('air_temperature', 'wind_speed'))], '– –'],
    [
      'wind in its parts',
      [
        collection(
          'forecast',
          ...ahead,
          names('air_temperature', 'eastward_wind', 'northward_wind', 'precipitation_amount'),
        ),
      ],
      'forecast –',
    ],
    ['none that cannot be asked for a point', [collection('forecast', ...ahead, ALL, { cube: {} })], '– –'],
    ['none of nothing', [], '– –'],
  ])('are chosen %s', (_why, all, says) => {
    expect(chosen(all)).toBe(says);
  });

  it('are those that were named, whatever they say of themselves', () => {
    expect(chosen([collection('a', ...ahead), collection('b', ...behind, {})], { forecast: 'a', observed: 'b' })).toBe(
      'a b',
    );
    expect(chosen([collection('a', ...ahead)], { forecast: 'c', observed: '' })).toBe('– –');
  });
  it('are read of nothing but parameters that are used', () => {
    expect(collectionsIn({ collections: [collection('a', ...ahead)] })[0]!.parameters).toEqual([
      'air_temperature',
      'wind_speed',
      'precipitation_amount',
    ]);
    expect(collectionsIn('no document')).toEqual([]);
  });
});
