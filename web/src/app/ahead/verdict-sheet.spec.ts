import type { DaySheet, DayVerdict } from '@brave-comb/contract';
import { elementOf, show } from '../../testing/show';
import { GaugeBar } from './gauge-bar';
import { HoursChart } from './hours-chart';
import { VerdictSheet } from './verdict-sheet';

const hour = (at: string, full: number, warm = 16): DayVerdict['hours'][number] => ({
  at: `2026-05-14T${at}:00:00.000Z`,
  temperature: [warm - 1, warm, warm + 1],
  gust: [18, 22, 27],
  rain: [0, 0.4],
  rainChance: 0.2,
  chance: { outside: 1, lid: 1, 'one-frame': 0.9, full },
});
const go: DayVerdict = {
  word: 'go',
  best: { from: '2026-05-14T12:10:00.000Z', to: '2026-05-14T14:30:00.000Z', chance: 0.875, depth: 'full' },
  chance: 0.875,
  gauges: [
    { id: 'warmth', value: [15, 16.2, 17], limit: 15, sense: 'at-least', state: 'inside' },
    { id: 'gusts', value: [20, 26, 33], limit: 30, sense: 'at-most', state: 'tight' },
    { id: 'dry', value: [200, 220, 300], limit: 140, sense: 'at-least', state: 'inside' },
    { id: 'light', value: [480, 480, 480], limit: 140, sense: 'at-least', state: 'inside' },
    { id: 'group', value: [9, 9, 9], limit: 7, sense: 'at-most', state: 'outside' },
  ],
  turn: { at: '2026-05-14T14:50:00.000Z', giveOrTake: 25, why: 'rain', chance: 0.9 },
  hours: [hour('11', 0.2, 12), hour('12', 0.9), hour('13', 0.9), hour('14', 0.5), hour('15', 0)],
  stillPossible: null,
  nextBest: { from: '2026-05-16T10:30:00.000Z', to: '2026-05-16T12:50:00.000Z', chance: 0.7 },
};
const sheet = {
  session: {
    id: 's',
    site: { id: 'home', name: 'Home orchard' },
    zone: 'Europe/London',
    date: '2026-05-14',
    startsAt: '2026-05-14T12:10:00.000Z',
    endsAt: '2026-05-14T14:30:00.000Z',
    depth: 'full',
    status: 'planned',
  },
} as DaySheet;
const no: DayVerdict = {
  ...go,
  word: 'no',
  best: null,
  chance: 0.05,
  turn: null,
  nextBest: null,
  stillPossible: { from: '2026-05-14T08:00:00.000Z', to: '2026-05-14T08:30:00.000Z', chance: 0.9, depth: 'lid' },
};
const words = async (verdict: DayVerdict) =>
  elementOf(await show(VerdictSheet, { sheet, verdict })).textContent.replace(/\s+/g, ' ');

describe('the verdict', () => {
  it('says go, the hours at the site, when it turns and why', async () => {
    const text = await words(go);
    expect(text).toContain('Go');
    expect(text).toContain('Thursday 14 May 2026Home orchard');
    expect(text).toContain('13:10 to 15:30');
    expect(text).toContain('Changes at 15:50, rain comes in. Fit throughout in 9 in 10 forecasts.');
    expect(text).toContain('Sat 16 May, 11:30–13:50');
  });

  it('gives its reasons with limits, and says which are tight or not met', async () => {
    const text = await words(go);
    expect(text).toContain('16° coolest');
    expect(text).toContain('up to 30, tight');
    expect(text).toContain('3 h 40 needs 2 h 20');
    expect(text).toContain('all day');
    expect(text).toContain('up to 7 each, not met');
  });

  it('says no, what can still be done, and that no better day is in sight', async () => {
    const text = await words(no);
    expect(text).toContain('no frame out');
    expect(text).toContain('a lid from 09:00 to 09:30, then nothing');
    expect(text).toContain('Not that day.');
    expect(text).toContain('No suitable period');
  });

  it('says move with the planned start, and short with the shallower depth', async () => {
    const moved = {
      from: '2026-05-14T09:00:00.000Z',
      to: '2026-05-14T11:20:00.000Z',
      chance: 0.8,
      depth: 'full' as const,
    };
    expect(await words({ ...go, word: 'move', best: moved })).toContain('full inspection, instead of 13:10');
    const quick = { ...moved, depth: 'one-frame' as const };
    expect(await words({ ...go, word: 'short', best: quick, turn: null })).toContain('quick look at a few frames');
  });
});

describe('a gauge', () => {
  it('is round inside its limit and square outside it', async () => {
    const [inside, , , , outside] = go.gauges;
    expect(elementOf(await show(GaugeBar, { gauge: inside })).querySelector('circle')).not.toBeNull();
    const bad = elementOf(await show(GaugeBar, { gauge: outside }));
    expect(bad.querySelector('circle')).toBeNull();
    expect(bad.querySelector('rect[fill="var(--madder)"]')).not.toBeNull();
  });
});

describe('the hours of the day', () => {
  const chart = async (verdict: DayVerdict) => {
    const { startsAt, endsAt, zone } = sheet.session;
    return elementOf(await show(HoursChart, { verdict, startsAt, endsAt, zone }));
  };

  it('join hours of the same depth, hatch what may be, and mark the hour it turns', async () => {
    const element = await chart(go);
    const fills = [...element.querySelectorAll('rect')].map((rect) => rect.getAttribute('fill'));
    expect(fills.filter((fill) => fill === 'var(--spruce)')).toHaveLength(1);
    expect(fills.filter((fill) => fill === 'url(#hatch-may-be)')).toHaveLength(1);
    expect(element.textContent).toContain('turns 15:50, ± 25 min');
  });

  it('are told in words, in the site’s time', async () => {
    const label = (await chart(go)).querySelector('svg')?.getAttribute('aria-label');
    expect(label).toContain('13:00 16 degrees, full inspection 9 in 10');
  });

  it('stand without any hour', async () => {
    expect((await chart({ ...go, hours: [], turn: null })).querySelector('svg')).not.toBeNull();
  });
});
