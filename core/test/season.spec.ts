import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type BloomFacts,
  DEFAULT_TRIGGERS,
  PHASES,
  PHASE_WORK,
  PLANTS,
  type PhaseFacts,
  type ScaleDay,
  bandOf,
  bloomOf,
  deadlinesOf as deadlinesOfInCodes,
  flowStatus as flowStatusInCodes,
  forageSpans,
  mainFlow,
  modelOf,
  moveToFlow as moveToFlowInCodes,
  naturalGains,
  nectarOn,
  phaseAround,
  phaseOn,
  pollenGuesses as pollenGuessesInCodes,
  scaleEvents as scaleEventsInCodes,
  survivalBySetUp,
  survivalOf,
  tasksFor,
  evenYear,
  usualByPlace,
  usualTurn,
  yearPhases,
} from '../src/season';
import { wilson } from '../src/statistics';
import { addDays, daysBetween } from '../src/units';
import { english, inEnglish } from '../src/words';
import { answersInEnglish } from './in-english';

const deadlinesOf = answersInEnglish(deadlinesOfInCodes);
const flowStatus = answersInEnglish(flowStatusInCodes);
const moveToFlow = answersInEnglish(moveToFlowInCodes);
const pollenGuesses = answersInEnglish(pollenGuessesInCodes);
const scaleEvents = answersInEnglish(scaleEventsInCodes);

const COMMON = [
  'hazel',
  'goat-willow',
  'dandelion',
  'cherry',
  'sycamore',
  'hawthorn',
  'white-clover',
  'bramble',
  'lime',
  'heather',
  'ivy',
];
/** A place on a windward coast, whatever its latitude. */
const windward = (latitude: number, altitude: number) => ({ latitude, longitude: latitude > 0 ? -9 : 172, altitude });
const plantsFor = (turn: string, ids: readonly string[] = COMMON) =>
  PLANTS.filter(({ id }) => ids.includes(id)).map((plant) => ({
    id: plant.id,
    name: english.names.plant[plant.id as keyof typeof english.names.plant],
    nectar: plant.nectar,
    pollen: plant.pollen,
    model: modelOf(plant, turn),
  }));
const bloomFacts = (latitude: number, today: string, more: Partial<BloomFacts> = {}): BloomFacts => {
  const turn = usualTurn(latitude) ?? '12-21';
  return {
    today,
    turn,
    usual: usualByPlace(windward(latitude, 150)),
    days: [],
    plants: plantsFor(turn),
    seen: [],
    method: 'single-sine',
    ...more,
  };
};
const phaseFacts = (latitude: number, today: string): PhaseFacts => {
  const facts = bloomFacts(latitude, today);
  return { turn: facts.turn, usual: facts.usual, days: facts.days, forage: bloomOf(facts) };
};
const by = (facts: BloomFacts, id: string) => bloomOf(facts).find((bloom) => bloom.id === id)!;

/** Coldest and warmest month of places in all climates, °C; climate normals from memory, a degree or two off at most. */
const CLIMATES: readonly (readonly [
  string,
  latitude: number,
  longitude: number,
  altitude: number,
  coldest: number,
  warmest: number,
])[] = [
  ['east coast of a northern continent', 42.4, -71, 10, -1.5, 23.5],
  ['middle of a northern continent', 45, -93.3, 260, -9, 23.5],
  ['high plain under a mountain range', 39.7, -105, 1600, -0.5, 23.5],
  ['alpine valley at 1200 m', 47.1, 11.4, 1200, -3, 16],
  ['far inland, 55° N', 55, 83, 150, -17, 19.5],
  ['eastern plain, 56° N', 55.7, 37.6, 150, -6.5, 19],
  ['maritime 56° N', 55.9, -3.2, 50, 4, 15.3],
  ['windward coast, 47° N', 47.6, -122.3, 50, 5, 19.5],
  ['island in the south, 43° S', -42.9, 147.3, 50, 8.5, 17.5],
  ['east coast in the south, 34° S', -33.9, 151.2, 20, 12.5, 23],
  ['southern high plain, 26° S', -26.2, 28, 1750, 10, 20],
  ['east coast of an old continent, 36° N', 35.7, 139.7, 20, 5, 27],
];

describe('the rough climate of a place of which nothing is known', () => {
  it.each(CLIMATES)('%s: coldest and warmest within 7 °C', (_name, latitude, longitude, altitude, coldest, warmest) => {
    const means = usualByPlace({ latitude, longitude, altitude }).map(({ low, high }) => (low + high) / 2);
    expect(Math.abs(Math.min(...means) - coldest)).toBeLessThanOrEqual(7);
    expect(Math.abs(Math.max(...means) - warmest)).toBeLessThanOrEqual(7);
  });

  it('is within 4 °C for most of them, and tells continental from maritime', () => {
    const off = CLIMATES.map(([, latitude, longitude, altitude, coldest]) => {
      const means = usualByPlace({ latitude, longitude, altitude }).map(({ low, high }) => (low + high) / 2);
      return Math.abs(Math.min(...means) - coldest);
    });
    expect(off.filter((each) => each <= 4).length).toBeGreaterThanOrEqual(8);
    const inland = usualByPlace({ latitude: 45, longitude: -93.3, altitude: 260 });
    const coast = usualByPlace({ latitude: 45, longitude: -124, altitude: 10 });
    const swing = (year: typeof inland) =>
      Math.max(...year.map(({ high }) => high)) - Math.min(...year.map(({ high }) => high));
    expect(swing(inland)).toBeGreaterThan(swing(coast) + 8);
  });

  it.each(CLIMATES)('%s: a swarm season in its own spring or early summer', (_name, latitude, longitude, altitude) => {
    const place = { latitude, longitude, altitude };
    const turn = usualTurn(latitude)!;
    const today = latitude > 0 ? '2026-05-14' : '2026-11-14';
    const facts = bloomFacts(latitude, today, { turn, usual: usualByPlace(place), plants: plantsFor(turn) });
    const swarming = yearPhases({ turn, usual: facts.usual, days: [], forage: bloomOf(facts) }, today).flatMap(
      (span) => span.swarming ?? [],
    );
    expect(swarming.length).toBeGreaterThan(0);
    const dayOfGrowth = daysBetween(latitude > 0 ? '2025-12-21' : '2026-06-21', swarming[0]!.from);
    expect(dayOfGrowth).toBeGreaterThanOrEqual(latitude > 40 ? 100 : 55);
    expect(dayOfGrowth).toBeLessThanOrEqual(200);
  });

  it('refuses a place off the globe', () => {
    expect(() => usualByPlace({ latitude: 91, longitude: 0, altitude: 0 })).toThrow(/latitude/);
    expect(() => usualByPlace({ latitude: 50, longitude: 181, altitude: 0 })).toThrow(/longitude/);
  });
});

describe('the plant list', () => {
  it('has some sixty plants, each of some worth, with unlike names', () => {
    expect(PLANTS.length).toBeGreaterThanOrEqual(60);
    expect(new Set(PLANTS.map((plant) => plant.id)).size).toBe(PLANTS.length);
    for (const plant of PLANTS) expect(plant.nectar + plant.pollen, plant.id).toBeGreaterThan(0);
  });
});

describe('bloom', () => {
  it('comes in the reference climate on the listed days, within a day', () => {
    const facts = bloomFacts(52, '2026-02-01', { usual: evenYear(5.1, 16.5, true) });
    for (const bloom of bloomOf(facts)) {
      const listed = PLANTS.find((plant) => plant.id === bloom.id)!;
      expect(Math.abs(daysBetween(`2026-${listed.opens}`, bloom.from)), bloom.plant).toBeLessThanOrEqual(1);
    }
  });

  it('is half a year off in the south, with the same order of plants', () => {
    const south = bloomOf(bloomFacts(-44, '2026-10-14'));
    const first = south.find((bloom) => bloom.id === 'hawthorn')!;
    expect(first.from >= '2026-09-15' && first.from <= '2026-12-01').toBe(true);
    expect(south[0]?.id).toBe('hazel');
    expect(south.find((bloom) => bloom.id === 'ivy')!.from > '2027-02-15').toBe(true);
  });

  it('comes earlier in a warm spring by the days of warmth, not by the date', () => {
    const usual = evenYear(5.1, 16.5, true);
    const warm = Array.from({ length: 110 }, (_, day) => ({
      date: addDays('2026-01-01', day),
      low: usual[day]!.low + 3,
      high: usual[day]!.high + 3,
      rain: 0,
    }));
    const ordinary = by(bloomFacts(52, '2026-04-20'), 'hawthorn');
    const early = by(bloomFacts(52, '2026-04-20', { days: warm }), 'hawthorn');
    expect(daysBetween(early.from, ordinary.from)).toBeGreaterThan(7);
    expect(early.usual.from).toBe(ordinary.usual.from);
    expect(early.giveOrTake).toBeLessThan(ordinary.giveOrTake);
    // A plant that goes by the length of the day does not move.
    expect(by(bloomFacts(52, '2026-04-20', { days: warm }), 'heather').from).toBe(
      by(bloomFacts(52, '2026-04-20'), 'heather').from,
    );
  });

  it('is corrected by what was seen, and the correction carries to the plants behind it', () => {
    const before = bloomFacts(52, '2026-04-25');
    const dandelion = by(before, 'dandelion');
    const seen = [{ plant: 'dandelion', first: addDays(dandelion.from, 12), last: null }];
    const after = { ...before, seen };
    expect(by(after, 'dandelion')).toMatchObject({ from: addDays(dandelion.from, 12), state: 'seen', giveOrTake: 0 });
    const moved = (id: string) => daysBetween(by(before, id).from, by(after, id).from);
    expect(moved('sycamore')).toBeGreaterThanOrEqual(3);
    expect(moved('sycamore')).toBeLessThanOrEqual(12);
    expect(moved('lime')).toBeGreaterThan(0);
    expect(moved('lime')).toBeLessThanOrEqual(moved('sycamore'));
    expect(by(after, 'sycamore').giveOrTake).toBeLessThan(by(before, 'sycamore').giveOrTake);
    expect(by(after, 'sycamore').movedBy).toBe(moved('sycamore'));
    // One that goes by the length of the day hardly goes along.
    expect(moved('heather')).toBeLessThanOrEqual(moved('lime'));
    expect(moved('heather')).toBeLessThanOrEqual(2);
  });

  it('learns from earlier years at the same site', () => {
    const plain = by(bloomFacts(52, '2026-03-01'), 'hawthorn');
    const seen = [2023, 2024, 2025].map((year) => ({
      plant: 'hawthorn',
      first: addDays(`${year}${plain.usual.from.slice(4)}`, 10),
      last: null,
    }));
    const learned = by(bloomFacts(52, '2026-03-01', { seen }), 'hawthorn');
    const later = daysBetween(plain.from, learned.from);
    expect(later).toBeGreaterThanOrEqual(8);
    expect(later).toBeLessThanOrEqual(10);
  });

  it('ends when its end was seen', () => {
    const facts = bloomFacts(52, '2026-06-10', {
      seen: [{ plant: 'hawthorn', first: '2026-05-10', last: '2026-05-28' }],
    });
    expect(by(facts, 'hawthorn')).toMatchObject({ to: '2026-05-28', ended: true, toGiveOrTake: 0 });
  });

  it('never blooms later for more warmth', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 30, max: 66 }),
        fc.double({ min: 0.2, max: 4, noNaN: true }),
        (latitude, warmer) => {
          const cold = bloomFacts(latitude, '2026-06-01');
          const warm = {
            ...cold,
            usual: cold.usual.map((day) => ({ ...day, low: day.low + warmer, high: day.high + warmer })),
          };
          const sooner = new Map(bloomOf(warm).map((bloom) => [bloom.id, bloom.from]));
          for (const bloom of bloomOf(cold))
            expect(daysBetween(sooner.get(bloom.id)!, bloom.from)).toBeGreaterThanOrEqual(0);
        },
      ),
      { numRuns: 25 },
    );
  });
});

describe('flows and gaps', () => {
  const forage = [
    { plant: 'Fruit trees', nectar: 4, pollen: 3, from: '2026-04-20', to: '2026-05-15', giveOrTake: 3 },
    { plant: 'Lime', nectar: 4, pollen: 1, from: '2026-06-10', to: '2026-06-30', giveOrTake: 3 },
  ];

  it('finds the June gap between two flows', () => {
    expect(forageSpans(forage, '2026-04-01', '2026-08-01').map(({ kind }) => kind)).toEqual(['flow', 'gap', 'flow']);
    const gap = forageSpans(forage, '2026-04-01', '2026-08-01')[1]!;
    expect(gap.plants).toEqual(['Fruit trees', 'Lime']);
    expect(daysBetween(gap.from, gap.to)).toBeGreaterThan(20);
    expect(nectarOn(forage, '2026-05-25')).toBe(0);
  });
});

describe('the main flow', () => {
  const plant = (name: string, nectar: number, from: string, to: string) => ({
    plant: name,
    nectar,
    pollen: 0,
    from,
    to,
    giveOrTake: 0,
  });

  it('is the longest stretch near the year’s best, not the first flowers of spring', () => {
    const forage = [
      plant('Cherry', 4, '2026-04-15', '2026-04-30'),
      plant('Clover', 4, '2026-06-01', '2026-07-15'),
      plant('Bramble', 4, '2026-06-10', '2026-07-20'),
    ];
    expect(mainFlow(forage, '2026-01-01', '2026-12-31')).toEqual({
      from: '2026-06-10',
      to: '2026-07-15',
      plants: ['Clover', 'Bramble'],
    });
  });

  const usually = (name: string, nectar: number, from: string, to: string, early = 0) => ({
    ...plant(name, nectar, addDays(from, -early), addDays(to, -early)),
    usual: { from, to },
  });
  const spring = [
    usually('Hawthorn', 3, '2026-05-12', '2026-06-02'),
    usually('Sycamore', 3, '2026-05-05', '2026-05-25'),
  ];
  const summer = (clover: number, bramble = 0) => [
    ...spring,
    usually('White clover', 4, '2026-05-27', '2026-08-05', clover),
    usually('Bramble', 4, '2026-06-13', '2026-07-25', bramble),
    usually('Lime', 3, '2026-06-25', '2026-07-12'),
  ];
  const begins = (clover: number, bramble = 0) => mainFlow(summer(clover, bramble), '2026-01-01', '2026-12-31')!.from;

  it('comes no later when clover is seen twelve days early', () => {
    expect(begins(12) < begins(0)).toBe(true);
    expect(begins(12, 4) < begins(12)).toBe(true);
  });

  it('never moves later when a plant opens earlier, nor earlier when one opens later (property)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -25, max: 25 }),
        fc.integer({ min: 0, max: 20 }),
        fc.integer({ min: -15, max: 15 }),
        (clover, more, bramble) => {
          expect(begins(clover + more, bramble) <= begins(clover, bramble)).toBe(true);
        },
      ),
    );
  });

  it('is none where nothing gives much', () => {
    expect(mainFlow([plant('Privet', 2, '2026-06-20', '2026-07-10')], '2026-01-01', '2026-12-31')).toBeNull();
    expect(mainFlow([], '2026-01-01', '2026-12-31')).toBeNull();
  });
});

describe('phase of the colony year', () => {
  const phaseAt = (latitude: number, date: string) =>
    phaseOn(yearPhases(phaseFacts(latitude, date), date), date)?.phase;

  it('is the end of winter in the south while it is high summer in the north', () => {
    expect(phaseAt(52, '2026-07-10')).toMatch(/flow|swarm season|dearth/);
    expect(phaseAt(-44, '2026-07-10')).toBe('winter-rest');
    expect(phaseAt(-44, '2026-11-20')).toMatch(/swarm season|flow/);
    expect(phaseAt(52, '2026-11-20')).toBe('winter-rest');
  });

  it('opens the year in January in the subtropics while the cold north rests', () => {
    expect(phaseAt(28, '2026-01-20')).toBe('build-up');
    expect(phaseAt(60, '2026-01-20')).toBe('winter-rest');
    expect(bandOf(usualByPlace(windward(28, 0)))).toBe('subtropical');
    expect(bandOf(usualByPlace({ latitude: 66, longitude: 25, altitude: 200 }))).toMatch(
      /cold-continental|cool-maritime/,
    );
    expect(usualTurn(10)).toBeNull();
  });

  it('lets swarms leave on single days, not for as long as the phase that holds them', () => {
    for (const latitude of [48, 52, 55]) {
      const spans = yearPhases(phaseFacts(latitude, '2026-06-01'), '2026-06-01');
      const last = spans.flatMap(({ swarming }) => swarming ?? []).at(-1)!;
      expect(last.to <= '2026-07-15').toBe(true);
      for (const { swarming, from, to } of spans)
        if (swarming) expect(swarming.from >= from && swarming.to <= to).toBe(true);
    }
  });

  it('runs through the year without gaps or overlaps, in both halves of the globe, with a reason each', () => {
    fc.assert(
      fc.property(
        fc.oneof(fc.integer({ min: 24, max: 67 }), fc.integer({ min: -50, max: -24 })),
        fc.integer({ min: 0, max: 1200 }),
        (latitude, day) => {
          const date = addDays('2025-01-01', day);
          const spans = yearPhases(phaseFacts(latitude, date), date);
          for (const [index, span] of spans.entries()) {
            expect(PHASES).toContain(span.phase);
            expect(inEnglish(span.reasons).join('')).not.toBe('');
            if (index > 0) expect(daysBetween(spans[index - 1]!.to, span.from)).toBe(1);
          }
          expect(phaseOn(spans, date)).not.toBeNull();
          expect(daysBetween(spans[0]!.from, spans.at(-1)!.to) + 1).toBeGreaterThanOrEqual(365);
        },
      ),
      { numRuns: 40 },
    );
  });

  it('knows the phase of a day before or after the year of growth, by the year that is known', () => {
    const spans = yearPhases(phaseFacts(53, '2026-05-14'), '2026-05-14');
    expect(phaseOn(spans, '2025-11-25')).toBeNull();
    expect(phaseAround(spans, '2025-11-25')?.phase).toBe(phaseOn(spans, '2026-11-25')?.phase);
    expect(phaseAround(spans, '2027-01-20')).toMatchObject({ phase: 'winter-rest' });
    expect(phaseAround(spans, '2026-05-14')).toBe(phaseOn(spans, '2026-05-14'));
    for (const date of ['2024-06-01', '2025-12-20', '2026-12-21', '2027-12-31']) {
      const { from, to } = phaseAround(spans, date)!;
      expect(from <= date && date <= to).toBe(true);
    }
    expect(phaseAround([], '2026-05-14')).toBeNull();
  });

  it('asks for seven days in swarm season and nothing in winter, with cautions', () => {
    expect(PHASE_WORK['swarm-season'].interval).toEqual([7, 7]);
    expect(PHASE_WORK['winter-rest'].interval).toBeNull();
    for (const phase of PHASES) expect(PHASE_WORK[phase].cautions.length).toBeGreaterThan(0);
  });
});

describe('deadlines', () => {
  it('count back from winter: mites before winter bees, stores before the cold, mating before the chill', () => {
    const facts = phaseFacts(52, '2026-08-01');
    const of = (id: string) => deadlinesOf(facts, '2026-08-01').find((each) => each.id === id)!;
    expect(daysBetween(of('mites').by, of('winter-bees').by)).toBeGreaterThan(20);
    // Few mites before the first winter bee is laid; in cool maritime places that is August.
    expect(of('mites').by < of('winter-bees').from).toBe(true);
    expect(of('mites').by.slice(0, 7)).toBe('2026-08');
    expect(
      deadlinesOf(phaseFacts(55, '2026-08-01'), '2026-08-01')
        .find((each) => each.id === 'mites')!
        .by.slice(0, 7),
    ).toBe('2026-08');
    expect(daysBetween(of('stores').by, of('repairs').by)).toBeGreaterThanOrEqual(0);
    for (const each of deadlinesOf(facts, '2026-08-01')) expect(daysBetween(each.from, each.by)).toBeGreaterThan(0);
  });

  it('begin in August in a cold place', () => {
    expect(
      deadlinesOf(phaseFacts(62, '2026-07-01'), '2026-07-01').find((each) => each.id === 'mites')!.from < '2026-08-15',
    ).toBe(true);
  });

  it('stand in their order on both halves of the globe: feed and medicines off, then supers on, then the flow', () => {
    for (const [latitude, today] of [
      [52, '2026-03-01'],
      [55, '2026-03-01'],
      [-44, '2026-09-01'],
    ] as const) {
      const found = deadlinesOf(phaseFacts(latitude, today), today);
      const of = (id: string) => found.find((each) => each.id === id)!;
      expect(of('withdrawal').by < of('supers').from).toBe(true);
      expect(of('feed-off').by < of('supers').from).toBe(true);
    }
  });

  it('count back from the main flow: six weeks from the egg to a forager', () => {
    const facts = {
      ...phaseFacts(52, '2026-04-01'),
      forage: [{ plant: 'Lime', nectar: 4, pollen: 1, from: '2026-06-20', to: '2026-07-15', giveOrTake: 4 }],
    };
    const foragers = deadlinesOf(facts, '2026-04-01').find((each) => each.id === 'foragers')!;
    expect(daysBetween(foragers.from, '2026-06-20')).toBeGreaterThanOrEqual(42);
    expect(foragers.why).toMatch(/Lime/);
  });
});

describe('flow or dearth', () => {
  const lime = [{ plant: 'Lime', nectar: 6, pollen: 1, from: '2026-06-15', to: '2026-07-10', giveOrTake: 3 }];
  const base = { today: '2026-06-25', signs: [], forage: [], gains: [], poorDays: 0, lostDays: 0 };
  const sign = (
    name: Parameters<typeof flowStatus>[0]['signs'][number]['sign'],
    says: 'flow' | 'dearth',
    date = '2026-06-24',
  ) => ({ sign: name, says, date });

  it('is uncertain when nothing is known, and says what to tick', () => {
    expect(flowStatus(base)).toMatchObject({ state: 'uncertain', chance: 0.5 });
    expect(flowStatus(base).advice).toMatch(/Tick/);
  });

  it('is a flow by gentle bees, white wax, festoons and syrup ignored', () => {
    const signs = [sign('temper', 'flow'), sign('wax', 'flow'), sign('festoons', 'flow'), sign('syrup', 'flow')];
    const status = flowStatus({ ...base, signs });
    expect(status.state).toBe('flow');
    expect(inEnglish(status.reasons.map((reason) => reason.text)).join()).toMatch(/white new wax \(yesterday\)/);
  });

  it('is a dearth by robbing, syrup taken at once and nothing in bloom', () => {
    const other = [{ ...lime[0]!, from: '2026-08-01', to: '2026-08-20' }];
    expect(
      flowStatus({ ...base, forage: other, signs: [sign('robbing', 'dearth'), sign('syrup', 'dearth')] }).state,
    ).toBe('dearth');
  });

  it('is starting when lime opens within the week, fading when it goes over', () => {
    expect(flowStatus({ ...base, today: '2026-06-10', forage: lime }).state).toBe('starting');
    const opened = flowStatus({
      ...base,
      today: '2026-06-17',
      forage: lime,
      gains: [0, 0, 0, 0.3, 0.8, 1.2],
      signs: [sign('wax', 'flow', '2026-06-17')],
    });
    expect(opened.state).toBe('starting');
    const late = flowStatus({
      ...base,
      today: '2026-07-06',
      forage: lime,
      gains: [2, 2, 2, 1, 0.8, 0.6],
      signs: [sign('wax', 'flow', '2026-07-05')],
    });
    expect(late.state).toBe('fading');
  });

  it('believes an old sign less than a fresh one', () => {
    const fresh = flowStatus({ ...base, signs: [sign('wax', 'flow', '2026-06-25')] });
    const old = flowStatus({ ...base, signs: [sign('wax', 'flow', '2026-06-12')] });
    expect(fresh.chance).toBeGreaterThan(old.chance);
    expect(old.chance).toBeGreaterThan(0.5);
  });

  it('rises with every sign for a flow and falls with every sign against it', () => {
    fc.assert(
      fc.property(fc.subarray(['temper', 'wax', 'festoons', 'scales', 'syrup', 'robbing'] as const), (names) => {
        const more = flowStatus({
          ...base,
          signs: [...names.map((name) => sign(name, 'flow')), sign('nectar', 'flow')],
        });
        const less = flowStatus({
          ...base,
          signs: [...names.map((name) => sign(name, 'flow')), sign('nectar', 'dearth')],
        });
        expect(more.chance).toBeGreaterThan(less.chance);
      }),
    );
  });
});

describe('hive scale', () => {
  const series = (changes: readonly number[], start = 30): readonly ScaleDay[] =>
    changes.reduce<ScaleDay[]>(
      (days, change) => [...days, { date: addDays(days.at(-1)!.date, 1), kg: days.at(-1)!.kg + change }],
      [{ date: '2026-05-01', kg: start }],
    );

  it('shows a swarm, a box and a flow, and leaves the quiet days alone', () => {
    const events = scaleEvents(series([0, -0.1, 0.1, -2.6, 0, 0.1, 7.5, 0, 0.6, 0.9, 1.1, 0.8, 0]));
    expect(events.map(({ kind, from }) => [kind, from])).toEqual([
      ['swarm', '2026-05-05'],
      ['box-on', '2026-05-08'],
      ['flow', '2026-05-10'],
    ]);
    expect(events[2]?.kg).toBeCloseTo(3.4, 5);
    expect(scaleEvents(series([0, -0.1, 0.1, -0.2, 0, 0.1]))).toEqual([]);
  });

  it('tells robbing, which goes on, from a swarm, which leaves once', () => {
    expect(scaleEvents(series([-0.1, -0.1, -1.5, -1.8, -1.2, -0.1, -0.1])).map((event) => event.kind)).toEqual([
      'robbing',
    ]);
  });

  it('takes two wet days after a flow for what they are: −0.8 kg each is food and drying, not robbing, and the flow before is no feed', () => {
    const kinds = scaleEvents(series([0.9, 1.1, 1.3, -0.8, -0.8, 0, 0])).map((event) => event.kind);
    expect(kinds).toEqual(['flow']);
  });

  it('finds a swarm in the middle of a flow', () => {
    const kinds = scaleEvents(series([0.8, 0.9, 1, -1.9, 0.7, 0.8, 0.9])).map((event) => event.kind);
    expect(kinds).toContain('swarm');
    expect(kinds).toContain('flow');
  });

  it('gives the gains that the bees made themselves', () => {
    expect(naturalGains(series([0.5, 8, 0.6, -2.5, 0.7])).every((gain) => gain > 0 && gain < 1)).toBe(true);
  });

  it('reads missing days per day', () => {
    const days = [
      { date: '2026-05-01', kg: 30 },
      { date: '2026-05-11', kg: 36 },
      { date: '2026-05-12', kg: 36.6 },
      { date: '2026-05-13', kg: 37.2 },
    ];
    expect(scaleEvents(days).map((event) => event.kind)).toEqual(['flow']);
  });
});

describe('season events', () => {
  it('create dated tasks by house practice; an inactive rule and another plant create none', () => {
    const frost = tasksFor({ kind: 'first-frost', plant: null, date: '2026-10-20' }, DEFAULT_TRIGGERS);
    expect(frost).toMatchObject([{ trigger: 'frost-close', from: '2026-10-20', due: '2026-11-03' }]);
    expect(
      tasksFor({ kind: 'first-bloom', plant: 'dandelion', date: '2026-04-10' }, DEFAULT_TRIGGERS).map(
        (task) => task.trigger,
      ),
    ).toEqual(['supers-ready']);
    expect(tasksFor({ kind: 'first-bloom', plant: 'lime', date: '2026-07-01' }, DEFAULT_TRIGGERS)).toEqual([]);
    expect(tasksFor({ kind: 'natural-pollen', plant: null, date: '2026-02-10' }, DEFAULT_TRIGGERS)).toEqual([]);
  });

  it('begins the autumn feed the day the last flow fades', () => {
    expect(
      tasksFor({ kind: 'last-flow-fading', plant: null, date: '2026-09-02' }, DEFAULT_TRIGGERS).find(
        (task) => task.trigger === 'autumn-feed',
      )?.from,
    ).toBe('2026-09-02');
  });
});

describe('pollen key', () => {
  const plants = [
    {
      plant: 'Dandelion',
      pollen: 4,
      colours: ['orange', 'golden'] as const,
      from: '2026-04-15',
      to: '2026-05-25',
      giveOrTake: 2,
    },
    {
      plant: 'Oilseed rape',
      pollen: 4,
      colours: ['yellow', 'green'] as const,
      from: '2026-04-20',
      to: '2026-05-25',
      giveOrTake: 2,
    },
    { plant: 'Snowdrop', pollen: 2, colours: ['orange'] as const, from: '2026-02-01', to: '2026-03-10', giveOrTake: 2 },
  ];

  it('names the plant of that week, not that of another', () => {
    expect(pollenGuesses('orange', '2026-05-10', plants, []).map((guess) => guess.plant)[0]).toBe('Dandelion');
    expect(pollenGuesses('orange', '2026-02-20', plants, [])[0]?.plant).toBe('Snowdrop');
  });

  it('is unknown when nothing fits: ask later', () => {
    expect(pollenGuesses('blue', '2026-05-10', plants, [])).toEqual([]);
  });

  it('grows with what was settled here: the same tree is called by another colour', () => {
    const settled = [1, 2, 3].map((day) => ({
      colour: 'purple' as const,
      date: `2025-05-0${day}`,
      plant: 'Oilseed rape',
    }));
    expect(pollenGuesses('purple', '2026-05-04', plants, [])).toEqual([]);
    expect(pollenGuesses('purple', '2026-05-04', plants, settled)[0]).toMatchObject({
      plant: 'Oilseed rape',
      share: 1,
    });
  });
});

describe('alive round', () => {
  it('has Wilson’s interval of its published example: 8 of 10 lies between 0.490 and 0.943', () => {
    const [low, high] = wilson(8, 10);
    expect(low).toBeCloseTo(0.49, 2);
    expect(high).toBeCloseTo(0.943, 2);
    expect(wilson(8, 8)[1]).toBe(1);
  });

  it('counts by set-up, leaving out what all have alike', () => {
    const taps = [
      ...Array.from({ length: 4 }, () => ({ state: 'alive' as const, setUp: { boxes: 'two', floor: 'mesh' } })),
      ...Array.from({ length: 2 }, () => ({ state: 'dead' as const, setUp: { boxes: 'one', floor: 'mesh' } })),
      { state: 'unsure' as const, setUp: { boxes: 'one', floor: 'mesh' } },
    ];
    expect(survivalOf(taps)).toMatchObject({ alive: 4, dead: 2, unsure: 1, share: 4 / 6 });
    expect(survivalBySetUp(taps).map(({ name, value, survival }) => [name, value, survival.share])).toEqual([
      ['boxes', 'one', 0],
      ['boxes', 'two', 1],
    ]);
    expect(survivalOf([]).share).toBeNull();
  });
});

describe('a move to a later flow', () => {
  const heather = { plant: 'Heather', nectar: 4, pollen: 2, from: '2026-08-06', to: '2026-09-10', giveOrTake: 4 };

  it('is done just before the bloom, at a distance from which nobody flies home, with a way back', () => {
    const plan = moveToFlow({ today: '2026-07-01', target: heather, km: 18, home: [], hives: 3 });
    expect(daysBetween(plan.move.from, heather.from)).toBeGreaterThan(0);
    expect(daysBetween(heather.to, plan.back.from)).toBe(1);
    expect(plan.warnings).toEqual([]);
    expect(plan.tasks[0]?.why).toMatch(/local law/);
    const dates = plan.tasks.map((task) => task.due);
    expect([...dates].sort()).toEqual(dates);
  });

  it('warns of a short way, a home flow and a date gone by', () => {
    const lime = { plant: 'Lime', nectar: 4, pollen: 1, from: '2026-07-20', to: '2026-08-30', giveOrTake: 2 };
    const plan = moveToFlow({ today: '2026-08-20', target: heather, km: 2, home: [lime], hives: 1 });
    expect(inEnglish(plan.warnings).join(' ')).toMatch(/foragers fly home.*Lime still in bloom.*one day less of flow/s);
  });
});
