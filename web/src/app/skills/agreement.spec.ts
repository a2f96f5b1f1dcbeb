import { showView } from '../../testing/ahead';
import { elementOf, show } from '../../testing/show';
import { textOf } from '../../testing/text';
import { AgreementScreen } from './agreement';
import type { Agreement, Readings } from './agreement-view';
import { ReadingsChart } from './readings-chart';

const READINGS: Readings = {
  pairs: 5,
  off: 0.9,
  letters: [
    { letter: 'E', count: 5, bias: -0.8, spread: 0.4, limits: [-1.6, 0], off: 0.8, kappa: 0.45 },
    { letter: 'S', count: 1, bias: 1, spread: null, limits: null, off: 1, kappa: null },
  ],
  confusions: [{ from: 'E', to: 'S', eighths: 4 }],
  trend: [
    { at: '2026-04-12T10:00:00Z', off: 1.4 },
    { at: '2026-05-09T10:00:00Z', off: 0.5 },
  ],
  advice: ['Reads too few eggs: by 0.8 eighths on 5 sides.'],
};
const NONE: Readings = { pairs: 0, off: null, letters: [], confusions: [], trend: [], advice: [] };
const DATA: Agreement = {
  people: [
    { id: 'jun', name: 'Jun', group: 'Curlew', readings: { ...READINGS, off: 0.2, advice: [] } },
    { id: 'salma', name: 'Salma', group: 'Curlew', readings: READINGS },
    { id: 'ravi', name: 'Ravi', group: 'Dipper', readings: NONE },
  ],
  assessors: {
    together: { observed: 0.7, expected: 0.4, kappa: 0.5, count: 20, word: 'moderate' },
    pairs: [
      {
        one: 'Ruth Okafor',
        other: 'Tomasz Wierzba',
        kappa: { observed: 0.8, expected: 0.5, kappa: 0.6, count: 12 },
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
    expect(text).toContain('From 1.4 to 0.5 eighths off between Sun 12 Apr and Sat 9 May');
    expect(text).toContain('No hidden reading yet: Ravi.');
    await press(/^Jun/);
    expect(textOf(element.querySelector('.one'))).toContain('No habit to be seen');
  });

  it('shows assessors beside each other to whom it is sent, and to nobody else', async () => {
    const { element } = await showView(AgreementScreen, 'agreement', DATA);
    expect(textOf(element)).toContain('Ruth Okafor and Tomasz Wierzba: 8 of 10 alike on 12, kappa 0.60, moderate.');
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
