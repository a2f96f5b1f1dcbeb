import { describe, expect, it } from 'vitest';
import { coursesOf, efficacyOf, hendersonTilton, untreatedDuring } from '../src/care';

const given = { medicine: 'formic acid', repeatAfter: null, doses: 1, removeAfter: 14, withdrawal: 28 } as const;
const [course] = coursesOf(
  [
    { date: '2026-08-01', kind: 'treatment', ...given },
    { date: '2026-08-15', kind: 'treatment-out' },
  ],
  '2026-09-10',
);
const washed = (date: string, mites: number, bees = 300) => ({ date, method: 'alcohol-wash', bees, mites }) as const;

describe('Henderson and Tilton', () => {
  // Henderson & Tilton (1955), J. Econ. Entomol. 48, 157–161: 100 × (1 − Ta·Cb / (Tb·Ca)).
  it.each([
    [40, 4, 40, 50, 0.92],
    [40, 0, 40, 50, 1],
    [50, 60, 50, 40, -0.5],
    [100, 30, 100, 100, 0.7],
  ])('%d to %d, untreated %d to %d: %d', (tb, ta, cb, ca, share) => {
    expect(hendersonTilton({ before: tb, after: ta }, { before: cb, after: ca })).toBeCloseTo(share, 10);
  });

  it('says nothing without mites before, or without any on the untreated', () => {
    expect(hendersonTilton({ before: 0, after: 0 }, { before: 10, after: 10 })).toBeNull();
    expect(hendersonTilton({ before: 10, after: 1 }, { before: 0, after: 10 })).toBeNull();
    expect(hendersonTilton({ before: 10, after: 1 }, { before: 10, after: 0 })).toBeNull();
  });
});

describe('how well a treatment worked', () => {
  it('is before against after where nobody counted untreated colonies', () => {
    const worked = efficacyOf(course!, [washed('2026-07-28', 20), washed('2026-08-30', 2)]);
    expect(worked).toMatchObject({ against: 'before', controls: 0 });
    expect(worked!.share).toBeCloseTo(0.9, 10);
  });

  it('is held against untreated colonies, in which mites grew meanwhile', () => {
    const grew = [washed('2026-07-27', 10), washed('2026-08-29', 20)];
    const worked = efficacyOf(
      course!,
      [washed('2026-07-28', 20), washed('2026-08-30', 4)],
      [grew, [washed('2026-08-29', 9)]],
    );
    expect(worked).toMatchObject({ against: 'untreated', controls: 1 });
    expect(worked!.share).toBeCloseTo(0.9, 10);
  });

  it.each([
    ['no count before', [washed('2026-08-30', 2)]],
    ['no count after', [washed('2026-07-28', 20)]],
    ['counted while it was in the hive', [washed('2026-07-28', 20), washed('2026-08-10', 2)]],
    ['counted half a year before', [washed('2026-02-28', 20), washed('2026-08-30', 2)]],
    ['counted half a year after', [washed('2026-07-28', 20), washed('2027-01-30', 2)]],
    ['no mites before', [washed('2026-07-28', 0), washed('2026-08-30', 2)]],
  ])('cannot be told: %s', (_, samples) => {
    expect(efficacyOf(course!, samples)).toBeNull();
  });

  it.each([
    ['last autumn', '2025-09-01', true],
    ['just before the counts', '2026-06-01', true],
    ['while it was counted', '2026-07-10', false],
    ['at the same time', '2026-08-05', false],
    ['before the second count', '2026-09-01', false],
    ['long after', '2026-10-20', true],
  ])('is held against a colony that was treated %s: %s, %s', (_, date, untreated) => {
    const courses = coursesOf([{ date, kind: 'treatment', ...given, removeAfter: null }], '2026-12-01');
    expect(untreatedDuring(courses, course!)).toBe(untreated);
  });

  it('cannot be told while the treatment is in the hive', () => {
    const [running] = coursesOf([{ date: '2026-08-01', kind: 'treatment', ...given }], '2026-08-20');
    expect(efficacyOf(running!, [washed('2026-07-28', 20), washed('2026-08-19', 2)])).toBeNull();
  });
});
