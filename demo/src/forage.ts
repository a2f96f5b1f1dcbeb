/** A plant of the general list at a site, with the blooms that were seen there. */
export interface DemoPlant {
  readonly id: string;
  /** First and last bloom seen, `null` for what nobody saw. */
  readonly seen: readonly (readonly [first: string | null, last: string | null])[];
}

const plant = (id: string, ...seen: DemoPlant['seen']): DemoPlant => ({ id, seen });

/** Plants of each site with what was seen of them in this and earlier years. */
export const FORAGE: readonly { readonly site: string; readonly plants: readonly DemoPlant[] }[] = [
  {
    site: 'Home orchard',
    plants: [
      plant('hazel', ['2025-01-28', null], ['2026-02-01', '2026-03-14']),
      plant('goat-willow', ['2024-03-17', null], ['2025-03-24', null], ['2026-03-20', '2026-04-22']),
      plant('gorse', ['2025-03-02', null], ['2026-03-05', '2026-05-12']),
      plant('dandelion', ['2024-04-12', null], ['2025-04-20', null], ['2026-04-16', null]),
      plant('cherry', ['2026-04-20', '2026-05-08']),
      plant('sycamore', ['2024-05-03', null], ['2025-05-09', null], ['2026-05-06', null]),
      plant('hawthorn', ['2024-05-18', null], ['2025-05-25', null]),
      plant('white-clover', ['2024-05-27', null], ['2025-05-30', null]),
      plant('bramble', ['2025-06-14', '2025-07-28']),
      plant('lime', ['2024-07-01', null], ['2025-07-06', '2025-07-20']),
      plant('ivy', ['2024-09-12', null], ['2025-09-10', null]),
    ],
  },
  {
    site: 'Moor edge',
    plants: [
      plant('gorse', ['2026-03-12', null]),
      plant('goat-willow', ['2026-03-29', null]),
      plant('dandelion', ['2025-04-28', null], ['2026-04-24', null]),
      plant('hawthorn', ['2025-05-27', null]),
      plant('bell-heather', ['2025-06-30', null]),
      plant('rosebay', ['2025-07-08', null]),
      plant('heather', ['2024-08-09', null], ['2025-08-11', '2025-09-14']),
    ],
  },
  {
    site: 'Saltpan Road',
    plants: [
      plant('goat-willow', ['2025-09-18', null]),
      plant('dandelion', ['2025-10-04', null]),
      plant('white-clover', ['2025-11-20', null]),
      plant('bramble', ['2025-12-08', null]),
      plant('lucerne', ['2025-12-20', null]),
      plant('ivy', ['2025-04-08', null], ['2026-04-10', null]),
      plant('rosemary', ['2025-09-12', null]),
    ],
  },
];

/** What was seen at the sites this spring: season events, flow signs and pollen colours. */
export const HAPPENINGS = [
  { site: 'Home orchard', by: 'morag', kind: 'natural-pollen', plant: null, date: '2026-02-12' },
  { site: 'Home orchard', by: 'leilani', kind: 'drones-flying', plant: null, date: '2026-05-02' },
] as const;

export const FLOW_TICKS = [
  { site: 'Home orchard', by: 'tomasz', hive: '1', date: '2026-05-10', sign: 'wax', says: 'flow' },
  { site: 'Home orchard', by: 'tomasz', hive: '1', date: '2026-05-10', sign: 'temper', says: 'flow' },
  { site: 'Home orchard', by: 'ruth', hive: '9', date: '2026-05-10', sign: 'festoons', says: 'flow' },
  { site: 'Home orchard', by: 'ruth', hive: '9', date: '2026-05-10', sign: 'robbing', says: 'flow' },
] as const;

export const POLLEN_SEEN = [
  { site: 'Home orchard', by: 'leilani', colour: 'orange', date: '2026-05-10', plant: 'Dandelion' },
  { site: 'Home orchard', by: 'leilani', colour: 'olive', date: '2026-05-10', plant: 'Sycamore' },
  { site: 'Home orchard', by: 'ruth', colour: 'brown', date: '2026-05-07', plant: 'Gorse' },
  { site: 'Home orchard', by: 'ruth', colour: 'grey', date: '2026-05-10', plant: null },
  { site: 'Home orchard', by: 'tomasz', colour: 'brick-red', date: '2026-05-05', plant: null },
] as const;

const AUTUMN = ['1', '3', '4', '5', '6', '8', '9', '10', '11', '12', '13'] as const;

/** Last year's care against mites, and the feed for winter. Days by the labels as they were entered. */
const LAST_YEAR = AUTUMN.flatMap(
  (hive) =>
    [
      {
        hive,
        by: 'morag',
        date: '2025-08-16',
        detail: {
          kind: 'treatment',
          medicine: 'thymol, gel',
          repeatAfter: 14,
          doses: 2,
          removeAfter: 14,
          withdrawal: 0,
        },
      },
      {
        hive,
        by: 'morag',
        date: '2025-08-30',
        detail: {
          kind: 'treatment',
          medicine: 'thymol, gel',
          repeatAfter: 14,
          doses: 2,
          removeAfter: 14,
          withdrawal: 0,
        },
      },
      { hive, by: 'tomasz', date: '2025-09-13', detail: { kind: 'treatment-out', medicine: 'thymol, gel' } },
      { hive, by: 'tomasz', date: '2025-09-14', detail: { kind: 'feed', what: 'thick-syrup', kg: 6 } },
      { hive, by: 'tomasz', date: '2025-09-21', detail: { kind: 'feed', what: 'thick-syrup', kg: 5 } },
      {
        hive,
        by: 'morag',
        date: '2025-12-20',
        detail: {
          kind: 'treatment',
          medicine: 'oxalic acid, trickled',
          repeatAfter: null,
          doses: 1,
          removeAfter: null,
          withdrawal: 0,
        },
      },
    ] as const,
);

/** What was done to colonies and sets dates. */
export const COLONY_EVENTS = [
  ...LAST_YEAR,
  { hive: '7', by: 'leilani', date: '2026-04-29', detail: { kind: 'queen', start: 'virgin-emerged' } },
  { hive: '2', by: 'tomasz', date: '2026-05-10', detail: { kind: 'feed', what: 'thin-syrup', kg: 4 } },
  { hive: '2', by: 'tomasz', date: '2026-05-10', detail: { kind: 'patty', kg: 0.25 } },
  { hive: '9', by: 'ruth', date: '2026-05-01', detail: { kind: 'super-on', holdsKg: 14 } },
  { hive: '4', by: 'tomasz', date: '2026-05-05', detail: { kind: 'super-on', holdsKg: 12 } },
  { hive: '8', by: 'ruth', date: '2026-05-05', detail: { kind: 'drone-comb-in' } },
  { hive: '3', by: 'leilani', date: '2026-05-10', detail: { kind: 'suspicion', of: 'uneven cappings on 4' } },
] as const;

/** How the colonies came through winter. */
export const ALIVE_TAPS = [
  { year: '2026', date: '2026-02-14', alive: ['1', '2', '3', '4', '5', '6', '7', '8', '9'], dead: [] },
] as const;
