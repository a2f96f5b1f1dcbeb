import { showView } from '../../testing/ahead';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { AgreementScreen } from './agreement';
import type { Agreement, Readings } from './agreement-view';
import { ReadingsChart } from './readings-chart';

const BIAS = [
  { at: '2026-04-12T10:00:00Z', bias: -1.5 },
  { at: '2026-05-09T10:00:00Z', bias: 0.5 },
];
const READINGS: Readings = {
  pairs: 15,
  off: 1.1,
  letters: [
    {
      letter: 'E',
      count: 15,
      within: 12,
      bias: -0.8,
      biasRange: [-1.1, -0.5],
      spread: 0.4,
      limits: [-1.6, 0],
      off: 0.8,
      kappa: 0.45,
      kappaRange: [0.1, 0.8],
      trend: BIAS,
    },
    {
      letter: 'S',
      count: 9,
      within: 6,
      bias: 1,
      biasRange: [0.4, 1.6],
      spread: 0.5,
      limits: [0, 2],
      off: 1,
      kappa: 0,
      kappaRange: null,
      trend: BIAS.slice(1),
    },
  ],
  confusions: [{ from: 'E', to: 'S', eighths: 4 }],
  trend: [
    { at: '2026-04-12T10:00:00Z', off: 1.4 },
    { at: '2026-05-09T10:00:00Z', off: 0.5 },
  ],
  habits: [
    { says: 'Reads too few eggs: by 0.8 eighths (0.5 to 1.1) on 15 sides.', letters: ['E'] },
    { says: 'Takes pollen for nectar: drill the two side by side.', letters: ['P', 'N'] },
  ],
};
const NONE: Readings = { pairs: 0, off: null, letters: [], confusions: [], trend: [], habits: [] };
const DATA: Agreement = {
  people: [
    { id: 'jun', name: 'Jun', group: 'Curlew', readings: { ...READINGS, off: 0.2, habits: [] } },
    { id: 'salma', name: 'Salma', group: 'Curlew', readings: READINGS },
    { id: 'ravi', name: 'Ravi', group: 'Dipper', readings: NONE },
    { id: 'greta', name: 'Greta', group: 'Curlew', readings: { ...READINGS, pairs: 5, off: 2.4, habits: [] } },
  ],
  assessors: {
    together: { observed: 0.7, expected: 0.4, kappa: 0.5, range: [0.2, 0.8], count: 20, alike: 15, word: 'moderate' },
    pairs: [
      {
        one: 'Ruth Okafor',
        other: 'Tomasz Wierzba',
        kappa: { observed: 0.8, expected: 0.5, kappa: 0.6, range: [0.25, 0.95], count: 12, alike: 8 },
        word: 'moderate',
      },
    ],
    habits: [
      { name: 'Tomasz Wierzba', judged: 80, shared: 12, leniency: -0.6, drift: -0.2 },
      { name: 'Marit Aune', judged: 30, shared: 0, leniency: null, drift: null },
    ],
  },
};

describe('agreement', () => {
  it('has who is furthest off first, with bias, limits, confusion, trend and the drill that follows', async () => {
    const { element, press } = await showView(AgreementScreen, 'agreement', DATA);
    const text = textOf(element);
    expect(text).toContain('Salma Curlew 1.1 eighths off on 15 sides');
    expect(text).toContain('Jun Curlew 0.2 eighths off on 15 sides: good');
    expect(text).toContain('Reads too few eggs');
    expect(text).toMatch(/eggs 15 12 of 15 −0\.8 \(−1\.1 to −0\.5\) −1\.6 to 0\.0 0\.45 \(0\.10 to 0\.80\), moderate/);
    expect(text).toContain('Most goes from eggs to sealed worker: 4.0 eighths.');
    expect(text).toContain('Eighths off on the mean: 1.4 on Sun 12 Apr, 0.5 on Sat 9 May.');
    expect(text).toContain('No hidden reading yet: Ravi.');
    const drills = [...element.querySelectorAll('.advice a')];
    expect(drills.map((link) => [link.textContent, link.getAttribute('href')])).toEqual([
      ['Drill: Eggs and larvae', '/practice/comb-young'],
      ['Drill: Stores and pollen', '/practice/comb-stores'],
    ]);
    const lines = [...element.querySelectorAll('bc-trend-line')];
    expect(lines.map((each) => each.querySelector('svg')?.getAttribute('aria-label') ?? textOf(each))).toEqual([
      'From -1.5 to 0.5 over 2 days',
      'one day',
      'From 1.4 to 0.5 over 2 days',
    ]);
    // Fewer lies below nought, more above it.
    expect(Number(lines[0]!.querySelector('circle')!.getAttribute('cy'))).toBeLessThan(
      Number(lines[0]!.querySelector('line')!.getAttribute('y1')),
    );
    await press(/^Jun/);
    expect(textOf(element.querySelector('.one'))).toContain('No consistent habit');
  });

  it('says nothing firm of fewer than ten sides, of a person or of a content', async () => {
    const { element, press } = await showView(AgreementScreen, 'agreement', DATA);
    expect(textOf(element)).toMatch(/sealed worker 9 6 of 9 too few sides to tell/);
    const people = [...element.querySelectorAll('.people li')].map(textOf);
    expect(people.at(-1)).toBe('Greta Curlew 5 sides, too few to say');
    await press(/^Greta/);
    const greta = textOf(element.querySelector('.one'));
    expect(greta).toContain('5 sides so far: a habit shows from 10 sides on.');
    expect(greta).not.toMatch(/Most goes from|No habit/);
  });

  it('shows assessors beside each other to whom it is sent, and to nobody else', async () => {
    const { element } = await showView(AgreementScreen, 'agreement', DATA);
    expect(textOf(element)).toContain(
      'Ruth Okafor and Tomasz Wierzba: the same level in 8 of 12, weighted kappa 0.60 (0.25 to 0.95), moderate.',
    );
    expect(textOf(element)).toMatch(/Tomasz Wierzba 80 12 0\.6 levels more severe −0\.2 levels/);
    expect(textOf(element)).toMatch(/Marit Aune 30 0 too few in common to say too few in common to say/);
    const trainee = await showView(AgreementScreen, 'agreement', { ...DATA, assessors: null }, 'trainee');
    expect(textOf(trainee.element)).not.toContain('Assessors');
  });

  it('is drawn with fewer to the left, limits where there are any, and said in words', async () => {
    const element = elementOf(await show(ReadingsChart, { letters: READINGS.letters }));
    const [eggs, sealed] = [...element.querySelectorAll('circle')].map((each) => Number(each.getAttribute('cx')));
    expect(eggs!).toBeLessThan(sealed!);
    expect(element.querySelectorAll('.limits')).toHaveLength(1);
    expect(element.querySelectorAll('circle.few')).toHaveLength(1);
    expect(element.querySelector('svg')?.getAttribute('aria-label')).toBe(
      'eggs 0.8 eighths fewer, sealed worker on 9 sides, too few to say',
    );
  });
});
