import { elementOf, show } from '../../testing/show';
import { DayHours } from './day-hours';

const limits = { warmth: 10, heat: 40, gust: 30, rain: 0.1, light: 5, beesOut: false };
const hour = (at: number, gust: number, full: number) => ({
  at: `2026-05-14T${`${at}`.padStart(2, '0')}:00:00.000Z`,
  temperature: [14, 16, 18],
  gust: [gust - 4, gust, gust + 6],
  rain: [0, 0.4],
  rainChance: 0.2,
  chance: { outside: 1, lid: 1, 'one-frame': 0.9, full },
  elevation: 40,
  broodMinutes: 5,
  light: 'good',
});

describe('the hours of a day', () => {
  const day = {
    site: { id: 'home', name: 'Home orchard', zone: 'Europe/London' },
    spans: [{ words: '13:00–15:40 fit for full inspection; wind ends it at 15:40' }],
    hours: [hour(12, 20, 0.9), hour(13, 20, 0.9), hour(14, 41, 0)],
    sun: { noon: '2026-05-14T12:09:00.000Z' },
    limits: { outside: limits, lid: limits, 'one-frame': limits, full: limits },
  };

  it('stand at the site’s clock, with gusts over the limit marked and odds as filled cells', async () => {
    const element = elementOf(await show(DayHours, { day }));
    const texts = [...element.querySelectorAll('text')].map((text) => text.textContent.trim());
    expect(texts).toEqual(expect.arrayContaining(['13', '14', '15', '41']));
    expect([...element.querySelectorAll('.warn')].map((text) => text.textContent.trim())).toEqual(['41']);
    const full = [...element.querySelectorAll('rect[fill="var(--spruce)"]')].map((cell) =>
      Number(cell.getAttribute('height')),
    );
    expect(full[0]).toBeCloseTo(14 * 0.9, 5);
    expect(full[2]).toBe(0);
  });

  it('say the same in words to those who do not see the picture', async () => {
    const element = elementOf(await show(DayHours, { day }));
    expect(element.querySelector('svg')!.getAttribute('aria-label')).toMatch(/wind ends it at 15:40/);
  });
});
