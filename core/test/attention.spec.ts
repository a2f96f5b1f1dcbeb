import { describe, expect, it } from 'vitest';
import { type Advice, type Due, asksOf, attentionOf } from '../src/care';

const today = '2026-05-14';
const due = (id: string, by: string, strict: Due['strict'] = 'should'): Due => ({
  id,
  title: id,
  from: today,
  due: by,
  why: '',
  strict,
  question: null,
  bring: null,
  opens: true,
  clash: null,
});
const advice = (kind: Advice['kind'], by: string, pressing: number): Advice => ({
  kind,
  title: kind,
  from: today,
  by,
  confidence: 'firm',
  pressing,
  reasons: [],
  otherSchool: '',
  whereFrom: { figure: '', rule: '', steps: [], source: '' },
  climate: { band: null, holding: 'not-known', says: '' },
  cautions: [],
  turns: [],
  ifItFails: null,
  errand: { minutes: 5, when: 'day', opens: true, brings: [] },
  followUps: [{ question: '', from: by, due: by }],
});

describe('how soon a colony needs somebody', () => {
  it.each([
    ['nothing due', [], 'nothing'],
    ['only what may be done, and today', [due('patty', today, 'may')], 'later'],
    ['late by a week', [due('cells', '2026-05-07', 'must')], 'now'],
    ['due the day after tomorrow', [due('cells', '2026-05-16')], 'now'],
    ['due in three days', [due('cells', '2026-05-17')], 'this-week'],
    ['due in a week', [due('cells', '2026-05-21')], 'this-week'],
    ['due in eight days', [due('cells', '2026-05-22')], 'later'],
    ['may today, must in a week', [due('patty', today, 'may'), due('cells', '2026-05-21', 'must')], 'this-week'],
  ] as const)('%s', (_, dues, expected) => {
    expect(attentionOf(asksOf(dues, []), today)).toBe(expected);
  });

  it('counts advice that waits for a decision, but not what asks for nothing or hardly presses', () => {
    const asks = asksOf(
      [due('cells', '2026-05-17', 'must')],
      [advice('feed', '2026-05-15', 0.8), advice('leave-alone', today, 0.9), advice('look-again', today, 0.3)],
    );
    expect(asks.map(({ what, strict, toDecide }) => [what, strict, toDecide])).toEqual([
      ['feed', 'must', true],
      ['cells', 'must', false],
    ]);
    expect(attentionOf(asks, today)).toBe('now');
  });

  it('puts the stricter first on the same day', () => {
    const asks = asksOf([due('b', today, 'may'), due('a', today, 'must')], [advice('mites', today, 0.5)]);
    expect(asks.map(({ what }) => what)).toEqual(['a', 'mites', 'b']);
  });

  it('does not say twice what a task of the visit and an advice both ask for', () => {
    const dues = [due('t1', today), due('t2', today), due('t3', today)];
    const tasks = new Map([
      ['t1', 'mites'],
      ['t2', 'feeder'],
      ['t3', 'defect/floor'],
    ]);
    expect(asksOf(dues, [advice('mites', today, 0.6)], tasks).map(({ what }) => what)).toEqual(['t2', 't3', 'mites']);
    expect(asksOf(dues, [advice('comb', today, 0.5)], tasks).map(({ what }) => what)).toEqual(['t1', 't2', 'comb']);
    expect(asksOf(dues, [], tasks).map(({ what }) => what)).toEqual(['t1', 't2', 't3']);
  });

  it.each([
    ['on the list for the day it is due', '2026-05-20', '2026-05-20', []],
    ['on the list for an earlier day', '2026-05-18', '2026-05-20', []],
    ['on the list for a later day than it now presses', '2026-06-10', '2026-05-20', ['feed']],
  ] as const)('says an advice that is %s only where the list is too late', (_, listed, by, expected) => {
    const asks = asksOf([due('t1', listed)], [advice('feed', by, 0.8)], new Map([['t1', 'advice/feed']]));
    expect(asks.filter(({ toDecide }) => toDecide).map(({ what }) => what)).toEqual(expected);
  });
});
