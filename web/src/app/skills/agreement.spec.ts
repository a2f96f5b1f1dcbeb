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
  pairs: 5,
  off: 0.9,
  letters: [
    { letter: 'E', count: 5, bias: -0.8, spread: 0.4, limits: [-1.6, 0], off: 0.8, kappa: 0.45, trend: BIAS },
    { letter: 'S', count: 1, bias: 1, spread: null, limits: null, off: 1, kappa: null, trend: BIAS.slice(1) },
  ],
  confusions: [{ from: 'E', to: 'S', eighths: 4 }],
  trend: [
    { at: '2026-04-12T10:00:00Z', off: 1.4 },
    { at: '2026-05-09T10:00:00Z', off: 0.5 },
  ],
  habits: [
    { says: 'Reads too few eggs: by 0.8 eighths on 5 sides.', letters: ['E'] },
    { says: 'Takes pollen for nectar: drill the two side by side.', letters: ['P', 'N'] },
  ],
};
const NONE: Readings = { pairs: 0, off: null, letters: [], confusions: [], trend: [], habits: [] };
const DATA: Agreement = {
  people: [
    { id: 'jun', name: 'Jun', group: 'Curlew', readings: { ...READINGS, off: 0.2, habits: [] } },
    { id: 'salma', name: 'Salma', group: 'Curlew', readings: READINGS },
    { id: 'ravi', name: 'Ravi', group: 'Dipper', readings: NONE },
  ],
  assessors: {
    together: { observed: 0.7, expected: 0.4, kappa: 0.5, count: 20, alike: 15, word: 'moderate' },
    pairs: [
      {
        one: 'Ruth Okafor',
        other: 'Tomasz Wierzba',
        kappa: { observed: 0.8, expected: 0.5, kappa: 0.6, count: 12, alike: 8 },
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
    expect(text).toContain('Salma Curlew 0.9 eighths off on 5 sides');
    expect(text).toContain('Reads too few eggs');
    expect(text).toMatch(/eggs 5 −0\.8 −1\.6 to 0\.0 0\.45, moderate/);
    expect(text).toMatch(/sealed worker 1 \+1\.0 one side only too few sides/);
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
    expect(textOf(element.querySelector('.one'))).toContain('No habit to be seen');
  });

  it('shows assessors beside each other to whom it is sent, and to nobody else', async () => {
    const { element } = await showView(AgreementScreen, 'agreement', DATA);
    expect(textOf(element)).toContain(
      'Ruth Okafor and Tomasz Wierzba: the same level in 8 of 12, weighted kappa 0.60, moderate.',
    );
    expect(textOf(element)).toMatch(/Tomasz Wierzba 80 12 0\.6 levels more severe −0\.2 levels/);
    expect(textOf(element)).toMatch(/Marit Aune 30 0 nothing shared too little to tell/);
    const trainee = await showView(AgreementScreen, 'agreement', { ...DATA, assessors: null }, 'trainee');
    expect(textOf(trainee.element)).not.toContain('Assessors');
  });

  it('is drawn with fewer to the left, limits where there are any, and said in words', async () => {
    const element = elementOf(await show(ReadingsChart, { letters: READINGS.letters }));
    const [eggs, sealed] = [...element.querySelectorAll('circle')].map((each) => Number(each.getAttribute('cx')));
    expect(eggs!).toBeLessThan(sealed!);
    expect(element.querySelectorAll('.limits')).toHaveLength(1);
    expect(element.querySelector('svg')?.getAttribute('aria-label')).toBe(
      'eggs 0.8 eighths fewer, sealed worker 1.0 eighths more',
    );
  });
});
