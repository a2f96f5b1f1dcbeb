import { unfitBy } from './in-english';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { LETTERS, type Letter, parseSide } from '../src/inspection';
import {
  CELL_MM,
  COMB_SUBJECTS,
  DEEP_COMB,
  LETTER_OF,
  TROUBLES,
  ageAt,
  cellAt,
  combToRead,
  layComb,
  layingFor,
  middleOf,
  neighboursOf,
  patchesOf,
  recipeFor,
  recipeOfSide,
  setBees,
  stagesLeft,
  troubledRecipe,
  zonesOf,
} from '../src/practice';
import { Random } from '../src/units';

const CELLS = DEEP_COMB.columns * DEEP_COMB.rows;
const seeds = fc.integer({ min: 0, max: 0x7fffffff });
const levels = fc.integer({ min: 1, max: 8 });
const subjects = fc.constantFrom(...COMB_SUBJECTS);
const sumOf = (truth: Readonly<Partial<Record<Letter, number>>>) =>
  LETTERS.reduce((sum, letter) => sum + (truth[letter] ?? 0), 0);
const made = (subject: (typeof COMB_SUBJECTS)[number], level: number, seed: number) =>
  layComb(recipeFor(subject, level, seed, new Random(seed)));

describe('the grid of a comb', () => {
  it('has as many cells as the published 400 on a dm² give for a deep side of 428 by 205 mm, within 2 in 100', () => {
    // Imdorf et al. 1987 (Liebefeld): 400 worker cells on a dm² of one side; 8.774 dm² hold 3,510.
    expect(Math.abs(CELLS - 3510) / 3510).toBeLessThan(0.02);
    // A worker cell is 5.2 to 5.4 mm wide from wall to wall (Winston 1987, from memory).
    expect(CELL_MM).toBeGreaterThan(5.2);
    expect(CELL_MM).toBeLessThan(5.45);
  });

  it('gives every inner cell six neighbours one width away, and each neighbour knows it too', () => {
    for (const cell of [DEEP_COMB.columns + 5, 2 * DEEP_COMB.columns + 9]) {
      const near = neighboursOf(DEEP_COMB, cell);
      expect(near).toHaveLength(6);
      const [x, y] = middleOf(DEEP_COMB, cell);
      for (const other of near) {
        const [ox, oy] = middleOf(DEEP_COMB, other);
        expect(Math.hypot(ox - x, oy - y)).toBeCloseTo(1, 6);
        expect(neighboursOf(DEEP_COMB, other)).toContain(cell);
      }
    }
  });

  it('finds the cell under its own middle, and none beside the comb', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: CELLS - 1 }), (cell) => {
        expect(cellAt(DEEP_COMB, ...middleOf(DEEP_COMB, cell))).toBe(cell);
      }),
    );
    expect(cellAt(DEEP_COMB, -2, 5)).toBeNull();
    expect(cellAt(DEEP_COMB, 5, DEEP_COMB.rows + 5)).toBeNull();
  });
});

describe('how a queen goes over a side', () => {
  it('leaves eggs, larvae and sealed brood as 3 to 6 to 12 when all ages are there alike', () => {
    // Days of the stages of a worker: 3, 6 and 12 of 21 (Winston 1987, from memory).
    const shares = [0, 1, 2].map(
      (stage) =>
        Array.from({ length: 42 }, (_, half) => stagesLeft({ middle: half / 2, behind: 0 })[stage]!).reduce(
          (sum, each) => sum + each,
          0,
        ) / 42,
    );
    expect(shares[0]).toBeCloseTo(3 / 21, 1);
    expect(shares[1]).toBeCloseTo(6 / 21, 1);
    expect(shares[2]).toBeCloseTo(12 / 21, 1);
  });

  it('lays the middle first: the further out, the younger, until she comes round again', () => {
    expect(ageAt({ middle: 14, behind: 8 }, 0)).toBe(14);
    expect(ageAt({ middle: 14, behind: 8 }, 1)).toBe(6);
    // Hatched in the middle a day ago: eggs there, old brood around.
    expect(ageAt({ middle: 1, behind: 4 }, 0)).toBe(1);
    expect(ageAt({ middle: 1, behind: 4 }, 1)).toBe(18);
  });

  it('finds a laying that leaves recorded shares', () => {
    fc.assert(
      fc.property(fc.integer({ min: 3, max: 14 }), fc.double({ min: 0, max: 1, noNaN: true }), (behind, share) => {
        // Not come round again yet: the middle is older than the rim.
        const middle = behind + share * (20 - behind);
        const wanted = stagesLeft({ middle, behind });
        stagesLeft(layingFor(wanted)).forEach((share, stage) => {
          expect(Math.abs(share - wanted[stage]!)).toBeLessThan(0.08);
        });
      }),
    );
    expect(layingFor([0, 0, 4]).middle).toBeGreaterThan(9);
  });
});

describe('a comb laid out', () => {
  it('holds what was asked for, cell by cell, and its truth adds up to eight', () => {
    fc.assert(
      fc.property(subjects, levels, seeds, (subject, level, seed) => {
        const recipe = recipeFor(subject, level, seed, new Random(seed));
        const side = layComb(recipe);
        expect(side.kinds).toHaveLength(CELLS);
        expect(sumOf(side.truth)).toBeCloseTo(8, 9);
        for (const letter of LETTERS)
          expect(Math.abs((side.truth[letter] ?? 0) - (recipe.shares[letter] ?? 0))).toBeLessThan(0.01);
      }),
      { numRuns: 40 },
    );
  });

  it('is the same for the same seed and another for another one', () => {
    expect(made('brood', 4, 7).kinds).toEqual(made('brood', 4, 7).kinds);
    expect(made('brood', 4, 7).kinds).not.toEqual(made('brood', 4, 8).kinds);
  });

  it('lies as a nest lies: honey above brood, pollen between, drones at the lower rim, the oldest brood innermost', () => {
    const side = layComb({
      seed: 3,
      shares: { S: 3, L: 1, E: 0.6, D: 0.4, P: 0.8, N: 0.7, H: 1.3, C: 0.2 },
      place: { middle: [0.5, 0.56], stretch: 1.3, ragged: 0.4 },
      laying: null,
      misses: 0.02,
      pollens: [],
      trouble: null,
      struck: 0,
      doubles: 0,
    });
    const heightOf = (letter: Letter) => {
      const heights = side.kinds.flatMap((kind, cell) =>
        LETTER_OF[kind] === letter ? [middleOf(side.grid, cell)[1]] : [],
      );
      return heights.reduce((sum, each) => sum + each, 0) / heights.length;
    };
    expect(heightOf('H')).toBeLessThan(heightOf('S') - 8);
    expect(heightOf('P')).toBeLessThan(heightOf('S') - 4);
    expect(heightOf('D')).toBeGreaterThan(heightOf('S') + 8);
    const outOf = (letter: Letter) => {
      const far = side.kinds.flatMap((kind, cell) => {
        const [x, y] = middleOf(side.grid, cell);
        return LETTER_OF[kind] === letter
          ? [Math.hypot((x / side.grid.columns - 0.5) / 1.3, y / (side.grid.rows * 0.866) - 0.56)]
          : [];
      });
      return far.reduce((sum, each) => sum + each, 0) / far.length;
    };
    expect(outOf('S')).toBeLessThan(outOf('L'));
    expect(outOf('L')).toBeLessThan(outOf('E'));
  });

  it('keeps ages within the stage that a cell shows', () => {
    fc.assert(
      fc.property(levels, seeds, (level, seed) => {
        const { kinds, ages } = made('brood', level, seed);
        kinds.forEach((kind, cell) => {
          const age = ages[cell];
          if (kind === 'egg') expect(age).toBeLessThan(3);
          if (kind === 'young-larva' || kind === 'old-larva') {
            expect(age).toBeGreaterThanOrEqual(3);
            expect(age).toBeLessThan(9);
          }
          if (kind === 'sealed-worker') expect(age).toBeGreaterThanOrEqual(9);
        });
      }),
      { numRuns: 20 },
    );
  });

  it('scatters open cells among sealed brood without changing the sums', () => {
    const recipe = recipeFor('spotty', 3, 11, new Random(11));
    const open = (misses: number) => {
      const side = layComb({ ...recipe, misses });
      const gaps = side.kinds.filter(
        (kind, cell) =>
          kind !== 'sealed-worker' &&
          neighboursOf(side.grid, cell).filter((other) => side.kinds[other] === 'sealed-worker').length >= 5,
      );
      return { gaps: gaps.length, truth: side.truth };
    };
    expect(open(0.3).gaps).toBeGreaterThan(3 * open(0).gaps + 20);
    expect(open(0.3).truth).toEqual(open(0).truth);
  });

  it('refuses nothing and less than nothing', () => {
    const recipe = recipeFor('brood', 1, 1, new Random(1));
    expect(() => layComb({ ...recipe, shares: {} })).toThrow(/needs eighths/);
    expect(() => layComb({ ...recipe, shares: { S: 9, H: -1 } })).toThrow(/none of them negative/);
  });

  it('shows each trouble where it strikes, and none on a sound comb', () => {
    const strange = (kinds: readonly string[]) => new Set(kinds.filter((kind) => STRANGE.has(kind)));
    const STRANGE = new Set([
      'sunken-lid',
      'pierced-lid',
      'bald-pupa',
      'twisted-larva',
      'mummy',
      'domed-in-worker-cell',
      'two-eggs',
    ]);
    const SHOWS = {
      'sunken-lids': 'sunken-lid',
      'twisted-larvae': 'twisted-larva',
      'chalky-mummies': 'mummy',
      'bald-brood': 'bald-pupa',
      'drones-in-worker-cells': 'domed-in-worker-cell',
      'several-eggs-in-a-cell': 'two-eggs',
    } as const;
    for (const trouble of TROUBLES)
      for (const level of [1, 4, 8])
        for (const seed of [5, 77, 4242]) {
          const { kinds } = layComb(troubledRecipe(trouble, level, seed, new Random(seed)));
          const seen = strange(kinds);
          const cells = kinds.filter((kind) => kind === SHOWS[trouble]).length;
          expect(cells, `${trouble}, level ${level}, seed ${seed}`).toBeGreaterThan(5);
          expect([...seen].every((kind) => kind === SHOWS[trouble] || kind === 'pierced-lid')).toBe(true);
        }
    expect(strange(layComb(troubledRecipe(null, 4, 5, new Random(5))).kinds).size).toBe(0);
  });
});

describe('a recorded side as a comb', () => {
  it('has the eighths that were read, only a few as a quarter, and empty comb for what was not read', () => {
    const { truth } = layComb(recipeOfSide(parseSide('3S 1L 2H +E ~orange'), 9));
    // 3 + 1 + 2 + a quarter + the rest, scaled to eight.
    expect(truth.S).toBeCloseTo(3, 1);
    expect(truth.H).toBeCloseTo(2, 1);
    expect(truth.E).toBeCloseTo(0.25, 1);
    expect(truth.C).toBeCloseTo(1.75, 1);
  });

  it('shows pollen in the colours that were noted, and the marks', () => {
    const side = layComb(recipeOfSide(parseSide('4S 4P ~orange .sunken-lids'), 9));
    expect(new Set(side.pollens.filter((each) => each !== null))).toEqual(new Set(['orange']));
    expect(side.kinds).toContain('sunken-lid');
  });

  it('needs something that was read', () => {
    expect(unfitBy(() => recipeOfSide(parseSide(''), 1))).toMatch(/Nothing was read/);
  });
});

describe('bees on a comb', () => {
  it('are as many as the published 125 on a dm² of covered comb, the queen first with her court', () => {
    const side = made('young', 5, 3);
    const bees = setBees(side, { eighths: 2, drones: 3, queen: true, mark: null }, new Random(1));
    // Two eighths of 8.77 dm² by 125 (Liebefeld) are 274; crowded places may stay free.
    const workers = bees.filter(({ caste }) => caste === 'worker').length;
    expect(workers).toBeGreaterThan(250);
    expect(workers).toBeLessThan(290);
    expect(bees[0]?.caste).toBe('queen');
    expect(bees.filter(({ caste }) => caste === 'queen')).toHaveLength(1);
    expect(bees.filter(({ caste }) => caste === 'drone')).toHaveLength(3);
    const longest = Math.max(...bees.filter(({ caste }) => caste !== 'queen').map(({ length }) => length));
    expect(bees[0]!.length).toBeGreaterThan(longest);
  });

  it('come into the way from the fourth level on', () => {
    expect(combToRead('brood', 3, 2).bees).toHaveLength(0);
    expect(combToRead('brood', 8, 2).bees.length).toBeGreaterThan(150);
  });
});

describe('a comb for those who hear it', () => {
  it('counts every cell in one patch', () => {
    const side = made('brood', 3, 4);
    const patches = patchesOf(side, 8, 5);
    expect(patches).toHaveLength(40);
    expect(patches.flatMap(({ looks }) => looks).reduce((sum, { cells }) => sum + cells, 0)).toBe(CELLS);
    expect(patches[4]!.looks[0]!.kind).toBe('capped-honey');
  });

  it('has zones without single strays', () => {
    const side = made('spotty', 2, 4);
    const zones = zonesOf(side);
    const lonely = zones.filter(
      (own, cell) => neighboursOf(side.grid, cell).filter((other) => zones[other] === own).length === 0,
    );
    expect(lonely.length).toBeLessThan(CELLS / 200);
  });
});
