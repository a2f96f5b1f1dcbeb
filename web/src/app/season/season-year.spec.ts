import type { Year } from '@brave-comb/contract';
import { addDays } from '@brave-comb/core/units';
import { showView } from '../../testing/ahead';
import { SeasonYear } from './season-year';

const bloom = (plant: string, from: string, to: string, giveOrTake: number): Year['bloom'][number] => ({
  id: plant.toLowerCase(),
  plant,
  nectar: 4,
  pollen: 1,
  from,
  to,
  giveOrTake,
  toGiveOrTake: giveOrTake,
  state: giveOrTake === 0 ? 'seen' : 'expected',
  ended: false,
  usual: { from: addDays(from, 6), to: addDays(to, 6) },
  movedBy: 0,
  sum: { now: 100, needed: 300, base: 5 },
});
const swarmSeason: Year['phases'][number] = {
  phase: 'swarm-season',
  from: '2026-04-25',
  to: '2026-06-14',
  swarming: { from: '2026-04-25', to: '2026-06-14' },
  reasons: ['strong colonies'],
};
const year: Year = {
  site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
  sites: [],
  today: '2026-05-14',
  from: '2025-12-21',
  to: '2026-12-20',
  climate: { band: 'cool-maritime', from: 'the last year’s weather here', turn: '12-21' },
  forecast: { issuedAt: null, problem: null },
  phases: [
    { phase: 'build-up', from: '2025-12-21', to: '2026-04-24', swarming: null, reasons: ['warmth'] },
    swarmSeason,
    { phase: 'flow', from: '2026-06-15', to: '2026-12-20', swarming: null, reasons: ['clover'] },
  ],
  now: { phase: swarmSeason, interval: [7, 7], purposes: ['Queen cells'], cautions: ['A cell is sealed on day 8.'] },
  days: Array.from({ length: 365 }, (_, day) => ({
    date: addDays('2025-12-21', day),
    known: day < 144 ? ('observed' as const) : day < 158 ? ('forecast' as const) : ('usual' as const),
    low: 4,
    high: 14,
    rain: day % 5,
    sun: 12,
  })),
  bloom: [bloom('Sycamore', '2026-05-06', '2026-05-27', 0), bloom('Hawthorn', '2026-05-17', '2026-06-08', 2)],
  spans: [{ kind: 'gap', from: '2026-08-06', to: '2026-09-08', plants: ['Lime', 'Ivy'], giveOrTake: 0 }],
  flow: { state: 'flow', chance: 0.97, reasons: [{ text: 'white new wax', says: 'flow', weight: 1 }], advice: 'Room.' },
  deadlines: [
    { id: 'late', job: 'Supers on', from: '2026-04-01', by: '2026-04-14', before: 'main-flow', why: 'over' },
    { id: 'mites', job: 'Mites down', from: '2026-07-20', by: '2026-08-25', before: 'winter', why: 'winter bees' },
  ],
  events: [],
  sessions: [{ id: 's', date: '2026-05-14', groups: 3, status: 'planned' }],
  colonies: [
    {
      hive: '4',
      dues: [{ id: 'o', title: 'Look for queen cells', from: '2026-05-11', due: '2026-05-12', strict: 'must' }],
      rests: [],
      openings: ['2026-05-05'],
    },
    { hive: '5', dues: [], rests: [{ from: '2026-05-10', to: '2026-05-20', why: 'young-queen' }], openings: [] },
  ],
  scales: [
    {
      hive: '1',
      days: Array.from({ length: 30 }, (_, day) => ({ date: addDays('2026-04-14', day), kg: 30 + day * 0.3 })),
      events: [{ kind: 'swarm', from: '2026-05-02', to: '2026-05-02', kg: -2.1, says: 'a swarm?' }],
    },
  ],
};

describe('the season of a year', () => {
  it('says where the colony year stands, what it asks for, and what is late', async () => {
    const { element } = await showView(SeasonYear, 'seasonYear', year);
    const text = element.textContent.replace(/\s+/g, ' ');
    expect(element.querySelector('h1')!.textContent).toMatch(/Swarm season/);
    expect(text).toMatch(/Every 7 days; swarms may leave/);
    expect(text).toMatch(/Hawthorn in 3 days, 2 either way\. It runs 6 days ahead of usual years/);
    expect(text).toMatch(/A gap is likely from 6 Aug, for 34 days/);
    expect(text).toMatch(/Late: hive 4/);
  });

  it('lists only the deadlines still to come, and draws the swarm that the scale saw', async () => {
    const { element } = await showView(SeasonYear, 'seasonYear', year);
    const coming = [...element.querySelectorAll('.now li')].map((line) => line.textContent);
    expect(coming.some((line) => line.includes('Mites down'))).toBe(true);
    expect(coming.some((line) => line.includes('Supers on'))).toBe(false);
    expect([...element.querySelectorAll('.tick.warn')].map((mark) => mark.textContent.trim())).toEqual(['swarm']);
  });

  it('has the same as tables', async () => {
    const { element } = await showView(SeasonYear, 'seasonYear', year);
    expect(element.querySelectorAll('details tbody tr')).toHaveLength(year.phases.length + year.bloom.length);
  });

  it('counts in weeks from the first pollen when asked to', async () => {
    const { element, press } = await showView(SeasonYear, 'seasonYear', year);
    const ticks = () => [...element.querySelectorAll('text.tick')].map((tick) => tick.textContent.trim());
    expect(ticks()).toContain('May');
    await press(/^Weeks from first pollen/);
    expect(ticks()).toContain('0');
    expect(ticks()).not.toContain('May');
  });

  it('stands without a scale, without colonies and without bloom', async () => {
    const bare = { ...year, scales: [], colonies: [], bloom: [], spans: [], deadlines: [] };
    const { element } = await showView(SeasonYear, 'seasonYear', bare, 'trainee');
    expect(element.textContent).toMatch(/Nothing in bloom now/);
  });
});
