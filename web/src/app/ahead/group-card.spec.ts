import { provideRouter } from '@angular/router';
import type { DaySheet, GroupSheet } from '@brave-comb/contract';
import { parseSide } from '@brave-comb/core/inspection';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { GroupCard } from './group-card';

const card = {
  group: { id: 'g', name: 'Curlew' },
  size: 7,
  supervisor: { id: 't', name: 'Tomasz Wierzba' },
  hive: { id: 'h', number: '4', stand: 'B', type: 'British National' },
  startsAt: '2026-05-14T12:10:00.000Z',
  why: ['Calmest of 8: mood 1.0 on 5 visits'],
  lastTime: {
    visit: 'v',
    daysAgo: 9,
    bees: 7.1,
    brood: 3.5,
    storesKg: 5,
    frames: [{ low: parseSide('3H 5C'), high: parseSide('2E 4S 2H') }],
    telling: [{ frame: 1, face: 'high' }],
    queenOn: null,
  },
  frameCount: 11,
  stack: [
    {
      layer: { id: 'brood box', kind: 'box', box: 'national-brood', frames: 11, dummy: true },
      kg: 21.2,
      lift: 'stays-put',
    },
    {
      layer: { id: 'super 1', kind: 'box', box: 'national-super', frames: 10, dummy: false },
      kg: 20.6,
      lift: 'two-lift',
    },
  ],
  queenMark: 'blue',
  due: [
    { id: 'a', strict: 'must', question: 'Swarm cells?', due: '2026-05-14', daysLeft: 0 },
    { id: 'b', strict: 'should', question: 'Second super?', due: '2026-05-20', daysLeft: 6 },
    { id: 'c', strict: 'should', question: 'Cappings on 3?', due: '2026-05-11', daysLeft: -3 },
  ],
  rota: [
    {
      fromFrame: 1,
      toFrame: 4,
      roles: { frames: ['Salma', 'Li Wen'], smoke: ['Ife'], record: [], clock: ['Jun'], watch: ['Mateo'] },
    },
  ],
  visit: null,
  alone: null,
} as unknown as GroupSheet;
const sheet = (change: Partial<DaySheet> = {}) =>
  ({
    session: { zone: 'Europe/London', site: { id: 'home', name: 'Home orchard' } },
    verdict: { word: 'go' },
    mine: null,
    mayStart: true,
    ...change,
  }) as unknown as DaySheet;
const text = async (inputs: Readonly<Record<string, unknown>>) =>
  elementOf(await show(GroupCard, inputs, [provideRouter([])])).textContent.replace(/\s+/g, ' ');

describe('a group’s card', () => {
  it('says who opens which hive, why, what it was like and what is due', async () => {
    const said = await text({ sheet: sheet(), card });
    expect(said).toContain('7 with Tomasz, stand B');
    expect(said).toContain('Calmest of 8');
    expect(said).toContain('9 days ago bees 7.1, brood 3.5, food 5 kg');
    expect(said).toContain('last day');
    expect(said).toContain('till Wed 20');
    expect(said).toContain('3 days late');
  });

  it('says that a colony is to be left alone, and until when', async () => {
    const alone = { until: '2026-05-28', why: 'A young queen emerges, flies and mates', strict: 'must' };
    expect(await text({ card: { ...card, alone }, sheet: sheet() })).toMatch(
      /Leave it alone until Thu 28\. A young queen emerges/,
    );
  });

  it('says of each box how it is lifted, that the nest stays put, and what nobody has weighed', async () => {
    const said = await text({ sheet: sheet(), card });
    expect(said).toMatch(/21 kg\s*leave it/);
    const [nest, above] = card.stack;
    const unweighed = { ...card, stack: [nest!, { ...above!, kg: null, lift: null }] };
    expect(await text({ sheet: sheet(), card: unweighed })).toMatch(/super 1\s*not weighed/);
  });

  it('gives everybody a job, with whole given names', async () => {
    const said = await text({ sheet: sheet(), card });
    expect(said).toMatch(/Frames\s*Salma\s*,\s*Li Wen/);
    expect(said).toMatch(/Record\s*–/);
  });

  it('offers the start with its time, going on, or the review, and nothing to a trainee', async () => {
    expect(await text({ sheet: sheet(), card })).toContain('Start 13:10');
    expect(await text({ sheet: sheet(), card: { ...card, visit: { id: 'v', closed: false } } })).toContain('Go on');
    expect(await text({ sheet: sheet(), card: { ...card, visit: { id: 'v', closed: true } } })).toContain('Review');
    const trainee = await show(GroupCard, { sheet: sheet({ mine: { roles: [], openSkills: [] } }), card }, [
      provideRouter([]),
    ]);
    expect(elementOf(trainee).querySelector('button')).toBeNull();
  });

  it('waits for its hive on a no, and lets the instructor open all the same', async () => {
    const said = await text({ sheet: sheet({ verdict: { word: 'no' } as never }), card });
    expect(said).toContain('waits for');
    expect(said).toContain('Open anyway');
  });

  it('stands for a colony that was never opened', async () => {
    expect(await text({ sheet: sheet(), card: { ...card, lastTime: null, due: [] } })).toMatch(
      /Never opened before.*Nothing is due/,
    );
  });

  it('of the reader’s only group has a line a person, the reader’s own first', async () => {
    const rota = [
      ...card.rota,
      {
        fromFrame: 5,
        toFrame: 11,
        roles: { frames: ['Mateo'], smoke: [], record: ['Salma'], clock: [], watch: ['Ife', 'Jun', 'Li Wen'] },
      },
    ];
    const element = elementOf(
      await show(GroupCard, { sheet: sheet(), card: { ...card, rota }, alone: true, own: 'Mateo' }, [
        provideRouter([]),
      ]),
    );
    const lines = [...element.querySelectorAll('bc-rota-bars tbody tr')].map(textOf);
    expect(lines[0]).toBe('Mateo watches holds frames');
    expect(lines).toContain('Salma holds frames records');
    expect(lines).toHaveLength(5);
    expect(element.querySelector('bc-rota-bars .own')!.textContent).toContain('Mateo');
  });
});
