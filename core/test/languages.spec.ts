import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wayOf } from '../src/language';
import { accented, britishDates, english, languageFor, languages, pseudoOf } from '../src/words';

describe('the language for somebody', () => {
  it.each([
    [['en-GB', 'en'], 'en'],
    [['en-XA'], 'en-XA'],
    [['cy', 'en-XA', 'en'], 'en-XA'],
    [['de-AT', 'en-GB'], 'en'],
    [['cy'], 'en'],
    [['*'], 'en'],
    [[], 'en'],
    [['toString'], 'en'],
  ])('%j is given %s', (asked, tag) => {
    expect(languageFor(asked)).toBe(tag);
  });
});

describe('the language that nobody speaks', () => {
  it('leaves no letter plain, keeps numbers and signs, and is longer', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme' }), (text) => {
        const made = accented(text);
        expect(made).not.toMatch(/[A-Za-z]/);
        expect(made.replace(/[^0-9]/g, '')).toBe(text.replace(/[^0-9]/g, ''));
        expect(made.length).toBeGreaterThanOrEqual(text.length);
      }),
    );
    expect(accented('Lift slowly').length).toBeGreaterThan('Lift slowly'.length * 1.4);
  });

  it('has every name and every sentence of English, and the facts within them', () => {
    const pseudo = languages['en-XA'];
    for (const [set, names] of Object.entries(english.names))
      expect(Object.keys(pseudo.names[set]!)).toEqual(Object.keys(names));
    expect(pseudo.names.phase!.dearth).toBe(accented(english.names.phase.dearth));
    const made = pseudoOf({
      names: {},
      sentences: { test: { bare: 'bare', days: ({ days }: { days: number }) => `${days} days` } },
      list: (parts) => parts.join(' & '),
      dates: britishDates,
    });
    expect(wayOf(made).text({ say: 'test/days', of: { days: 12 } })).toBe(`12 ${accented('days')}`);
    expect(wayOf(made).text({ say: 'test/bare' })).toBe(accented('bare'));
  });
});
