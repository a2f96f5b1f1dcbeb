import { ownCase } from './own-case';

const CASE = {
  format: 'colony-situation/1',
  title: 'Hunger in a June gap',
  date: '2026-06-18',
  site: { latitude: 54, longitude: -2 },
  hive: { stack: ['floor', 'national-brood', 'crown-board', 'roof'] },
  visit: {
    sides: Array.from({ length: 22 }, (_, at) => {
      const frame = Math.floor(at / 2) + 1;
      return `${frame}/${at % 2 === 0 ? frame - 1 : frame + 1}: 1P 1E 2L 2S 2C B6`;
    }),
  },
};

describe('a case that a school wrote itself', () => {
  it('is judged, and told without what follows from it', () => {
    const opened = ownCase(JSON.stringify(CASE));
    if ('faults' in opened) throw new Error(opened.faults.join());
    expect(opened.title).toBe('Hunger in a June gap');
    expect(opened.drill.advice[0]?.kind).toBe('feed');
    expect(opened.drill.lines.length).toBeGreaterThan(5);
  });

  it.each([
    ['{', /not JSON/],
    ['{"format":"colony-situation/2"}', /^format/],
    [JSON.stringify({ ...CASE, visit: { sides: ['5/6: 9S'] } }), /^visit\.sides/],
    [JSON.stringify({ ...CASE, events: [{ date: '2027-01-01', kind: 'drone-comb-in' }] }), /^events\.0\.date/],
  ])('names what is wrong: %s', (text, fault) => {
    const opened = ownCase(text);
    expect('faults' in opened && opened.faults[0]).toMatch(fault);
  });
});
