import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  DEFAULT_PRACTICE,
  FIGURES,
  type FigureId,
  type FigureValue,
  figureOf,
  inAgreement,
  practiceTroubles,
  withFigures,
} from '../src/house';
import { english, inEnglish } from '../src/words';

const IDS = Object.keys(FIGURES) as FigureId[];
type Changes = Partial<Record<FigureId, FigureValue>>;

/** What is said of a house that differs from the trade in some figures: "figure: sentence", with ! where it is refused. */
const said = (changes: Changes): readonly string[] =>
  practiceTroubles(withFigures(DEFAULT_PRACTICE, changes), changes).map(
    ({ figure, says, refused }) => `${refused ? '!' : ''}${figure}: ${inEnglish(says)}`,
  );

describe('a house practice', () => {
  const cases: readonly (readonly [why: string, changes: Changes, says: readonly RegExp[]])[] = [
    ['as the trade has it', {}, []],
    ['a warm-day house', { 'full-warmth': 21 }, []],
    [
      'two brood boxes, driven in spring, calendar against mites',
      { 'brood-boxes': '2', stimulates: true, mites: 'calendar' },
      [],
    ],
    ['light touch', { 'catch-cells': false, 'look-days': 21, openings: 2, 'rest-days': 10 }, []],
    ['a full look at 12 °C', { 'full-warmth': 13 }, [/^full-warmth: Unusual: most work with 14 °C to 21 °C/]],
    ['a full look in frost', { 'full-warmth': 2 }, [/^!full-warmth: From 5 °C to 30 °C/]],
    [
      'one frame needs it warmer than a full look',
      { 'frame-warmth': 16, 'full-warmth': 15 },
      [/^!full-warmth: “Full opening from” may not be below “One frame from”/],
    ],
    ['frames in more wind than lids', { 'frame-gust': 45, 'lid-gust': 40 }, [/^!lid-gust/]],
    [
      '30 kg for one',
      { 'lift-one': 30, 'lift-two': 40 },
      [/^lift-one: A full super .* rules for lifting at work where you are/],
    ],
    [
      'two lift less than one',
      { 'lift-two': 12 },
      [/^lift-two: Unusual/, /^!lift-two: “Two people lift, at most” may not be below/],
    ],
    ['ten days between looks with unclipped queens', { 'swarm-days': 10 }, [/^swarm-days: A cell is sealed on day 8/]],
    ['ten days where swarms may go', { 'swarm-days': 10, 'catch-cells': false }, []],
    ['an hour open', { 'open-minutes': 60 }, [/^open-minutes: Brood chills/]],
    ['feeding up to less than the least', { 'least-food': 8, 'feed-to': 6 }, [/^!feed-to/]],
    ['a long winter', { 'winter-food': 38 }, []],
    ['more food than a box holds', { 'winter-food': 55 }, [/^winter-food: Unusual: most work with 10 kg to 40 kg/]],
    [
      'sessions shorter than the shortest',
      { 'longest-session': 45, 'shortest-session': 60 },
      [/^longest-session: Unusual/, /^!longest-session/],
    ],
    [
      'a working day of two hours',
      { 'work-from': 12, 'work-to': 14 },
      [/^work-from: Unusual/, /^!work-to: A working day/, /./],
    ],
    ['half a trainee', { 'group-size': 4.5 }, [/^!group-size: A whole number/]],
    ['no figure at all', { 'group-size': Number.NaN }, [/^!group-size: Choose one, or type a figure/]],
    ['a word where yes or no is needed', { stimulates: 'often' }, [/^!stimulates/]],
    ['a way of keeping mites that nobody knows', { mites: 'hope' }, [/^!mites/]],
    ['a share told in a hundred', { 'add-space': 0.5 }, [/^add-space: Unusual: most work with 65 % to 90 %/]],
  ];
  it.each(cases)('%s', (_why, changes, says) => {
    const found = said(changes);
    if (says.length === 0) expect(found).toEqual([]);
    for (const each of says) expect(found.join('\n')).toMatch(new RegExp(each, 'm'));
    const refused = says.some((each) => each.source.startsWith('^!'));
    expect(found.some((line) => line.startsWith('!'))).toBe(refused);
  });

  it('is named and explained figure by figure, in words', () => {
    for (const id of IDS) {
      const { others = [] } = FIGURES[id] as { others?: readonly { school: string }[] };
      expect(english.names.houseFigure[id], id).toBeTruthy();
      expect(english.names.houseMeaning[id], id).toMatch(/[.]$|goal\.$/);
      for (const { school } of others)
        expect((english.names.houseSchool as Record<string, string>)[school], school).toBeTruthy();
    }
  });

  it('keeps what was set and nothing else changes, whatever is set in whatever order', () => {
    const change = fc.oneof(
      ...IDS.map((id) => {
        const figure = FIGURES[id];
        const value: fc.Arbitrary<FigureValue> =
          figure.holds === 'yes-no'
            ? fc.boolean()
            : figure.holds === 'choice'
              ? fc.constantFrom(...figure.of)
              : fc.integer({ min: Math.ceil(figure.least), max: Math.floor(figure.most) });
        return fc.tuple(fc.constant(id), value);
      }),
    );
    fc.assert(
      fc.property(fc.array(change, { maxLength: 12 }), (list) => {
        const before = JSON.stringify(DEFAULT_PRACTICE);
        const changes = Object.fromEntries(list) as Changes;
        const own = withFigures(DEFAULT_PRACTICE, changes);
        for (const id of IDS) expect(figureOf(own, id)).toBe(changes[id] ?? figureOf(DEFAULT_PRACTICE, id));
        expect(JSON.stringify(DEFAULT_PRACTICE)).toBe(before);
        // Everything that is no figure stays as it is.
        expect(own.triggers).toEqual(DEFAULT_PRACTICE.triggers);
        expect(own.planning.weights).toEqual(DEFAULT_PRACTICE.planning.weights);
        expect(own.workingHours).toHaveLength(2);
      }),
    );
  });

  it('says alike what stands in two places, whichever of them was changed', () => {
    const looks = { ...DEFAULT_PRACTICE, calendar: { ...DEFAULT_PRACTICE.calendar, swarmIntervalDays: 9 } };
    expect(inAgreement(DEFAULT_PRACTICE, looks).care.swarmIntervalDays).toBe(9);
    const load = { ...DEFAULT_PRACTICE.calendar.load, openings: 2 };
    const worked = { ...DEFAULT_PRACTICE, calendar: { ...DEFAULT_PRACTICE.calendar, load } };
    expect(inAgreement(DEFAULT_PRACTICE, worked).openingLimit).toBe(2);
    expect(inAgreement(DEFAULT_PRACTICE, { ...DEFAULT_PRACTICE, openingLimit: 6 }).calendar.load).toEqual({
      ...DEFAULT_PRACTICE.calendar.load,
      openings: 6,
    });
    expect(inAgreement(DEFAULT_PRACTICE, DEFAULT_PRACTICE)).toEqual(DEFAULT_PRACTICE);
  });

  it('says nothing of the default of any figure, and all that others do can be kept', () => {
    for (const id of IDS)
      for (const { value } of (FIGURES[id] as { others?: readonly { value: FigureValue }[] }).others ?? [])
        expect(
          said({ [id]: value }).filter((line) => line.startsWith(`!${id}`)),
          `${id} ${String(value)}`,
        ).toEqual([]);
  });
});
