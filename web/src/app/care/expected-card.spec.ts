import { elementOf, show } from '../../testing/show';
import { ExpectedCard } from './expected-card';

const figure = (value: number) => ({ value, low: value * 0.8, high: value * 1.2 });

describe('what to expect', () => {
  it('gives each figure with its range, the mood, and what moved it', async () => {
    const fixture = await show(ExpectedCard, {
      expected: {
        phase: 'dearth',
        days: 14,
        bees: figure(8),
        eggs: figure(0.4),
        larvae: figure(0.9),
        sealed: figure(2),
        brood: figure(3.3),
        drone: figure(0),
        storesKg: figure(10),
        mood: 'defensive, robbing about',
        because: ['12 days of dearth: no comb is built, honey is eaten; this strain cuts its brood down'],
      },
    });
    const text = elementOf(fixture).textContent.replace(/\s+/g, ' ');
    expect(text).toMatch(/Bees ?8 frames ?6.4 to 9.6/);
    expect(text).toMatch(/Stores ?10 kg ?8 to 12/);
    expect(text).toMatch(/defensive/);
    expect(text).toMatch(/record of 14 days ago, now dearth/);
    expect(text).toMatch(/cuts its brood down/);
  });
});
