import { sumOf } from '../../statistics';
import { NINETEEN_IN_TWENTY } from './limits';

/** How far two judges of the same things agree beyond chance. */
export interface Kappa {
  /** Share of agreement, weighted where weights are given, 0 to 1; shown with kappa, which is low when nearly all are of one class. */
  readonly observed: number;
  readonly expected: number;
  /** 1 perfect, 0 no better than chance; `null` when chance alone agrees always. */
  readonly kappa: number | null;
  /** Where it lies, in 19 of 20 such samples, by leaving out one thing judged after the other; `null` where that says nothing. */
  readonly range: readonly [number, number] | null;
  readonly count: number;
  /** How many of them all judges put in the same class. */
  readonly alike: number;
}

type Point = Omit<Kappa, 'range'>;

/** Weight of a disagreement between two classes, by their places; 0 for none. */
export type Disagreement = (one: number, other: number) => number;

/** Every disagreement weighs the same. */
const UNWEIGHTED: Disagreement = (one, other) => Number(one !== other);
/** A disagreement weighs by its distance. */
export const LINEAR: Disagreement = (one, other) => Math.abs(one - other);
/** A disagreement weighs by the square of its distance. */
export const QUADRATIC: Disagreement = (one, other) => (one - other) ** 2;

/**
 * Cohen's kappa of two judges.
 *
 * @param table how often the first judge chose the class of the row and the second that of the column; square, whole numbers
 * @param disagreement weights, every disagreement alike unless said otherwise
 * @returns agreement and kappa with its range; for weights, agreement is one less the weighted share of disagreement against the largest weight
 * @throws RangeError for a table that is not square or holds nothing
 * Source: Cohen 1960, Educ. Psychol. Meas. 20:37–46; weighted: Cohen 1968, Psychol. Bull. 70:213–220.
 * @example cohenKappa([[20, 5], [10, 15]]).kappa // 0.4
 */
export function cohenKappa(table: readonly (readonly number[])[], disagreement: Disagreement = UNWEIGHTED): Kappa {
  const whole = cohenOf(table, disagreement);
  const cells = table.flatMap((row, one) => row.flatMap((many, other) => (many > 0 ? [{ one, other, many }] : [])));
  const without = cells.map(({ one, other, many }) => ({
    many,
    left: () =>
      cohenOf(
        table.map((row, at) => (at === one ? row.map((n, place) => (place === other ? n - 1 : n)) : row)),
        disagreement,
      ).kappa,
  }));
  return { ...whole, range: rangeOf(whole, without) };
}

/**
 * The range of a figure by leaving out one thing judged after the other.
 *
 * Source: jackknife, Quenouille 1956, Biometrika 43:353–360; for kappa Fleiss & Davies 1982, Appl. Psychol. Meas. 6:259 (from memory).
 */
function rangeOf(
  { kappa, count }: Pick<Kappa, 'kappa' | 'count'>,
  without: readonly { readonly many: number; readonly left: () => number | null }[],
): Kappa['range'] {
  if (kappa === null || count < 3) return null;
  const left = without.map(({ many, left: of }) => ({ many, kappa: of() }));
  if (left.some((each) => each.kappa === null)) return null;
  const mean = sumOf(left.map((each) => each.many * each.kappa!)) / count;
  const variance = ((count - 1) / count) * sumOf(left.map((each) => each.many * (each.kappa! - mean) ** 2));
  const reach = NINETEEN_IN_TWENTY * Math.sqrt(variance);
  return [Math.max(-1, kappa - reach), Math.min(1, kappa + reach)];
}

function cohenOf(table: readonly (readonly number[])[], disagreement: Disagreement): Point {
  const size = table.length;
  if (size === 0 || table.some((row) => row.length !== size))
    throw new RangeError('two judges are compared in a square table, one row and one column for each class');
  const places = table.map((_, at) => at);
  const rows = table.map(sumOf);
  const columns = places.map((at) => sumOf(table.map((row) => row[at]!)));
  const count = sumOf(rows);
  if (count === 0) throw new RangeError('there is nothing to compare: the table is empty');
  let [seen, chance, largest] = [0, 0, 0];
  for (const one of places)
    for (const other of places) {
      const weight = disagreement(one, other);
      seen += weight * table[one]![other]!;
      chance += (weight * rows[one]! * columns[other]!) / count;
      largest = Math.max(largest, weight);
    }
  const scale = largest === 0 ? 1 : largest * count;
  return {
    observed: 1 - seen / scale,
    expected: 1 - chance / scale,
    kappa: chance === 0 ? null : 1 - seen / chance,
    count,
    alike: sumOf(places.map((at) => table[at]![at]!)),
  };
}

/**
 * Fleiss' kappa of several judges.
 *
 * @param subjects for each thing judged, how many judges chose each class; the same number of judges, at least two, for every one
 * @returns agreement and kappa with its range
 * @throws RangeError when the numbers of judges differ
 * Source: Fleiss 1971, Psychol. Bull. 76:378–382.
 */
export function fleissKappa(subjects: readonly (readonly number[])[]): Kappa {
  const whole = fleissOf(subjects);
  const alike = new Map<string, { many: number; first: number }>();
  subjects.forEach((row, index) => {
    const key = row.join(' ');
    const found = alike.get(key);
    if (found) found.many += 1;
    else alike.set(key, { many: 1, first: index });
  });
  const without = [...alike.values()].map(({ many, first }) => ({
    many,
    left: () => fleissOf(subjects.toSpliced(first, 1)).kappa,
  }));
  return { ...whole, range: rangeOf(whole, without) };
}

function fleissOf(subjects: readonly (readonly number[])[]): Point {
  const judges = sumOf(subjects[0] ?? []);
  if (judges < 2 || subjects.some((row) => sumOf(row) !== judges))
    throw new RangeError('everything must be judged by the same number of judges, two at least');
  const pairs = judges * (judges - 1);
  const observed = sumOf(subjects.map((row) => sumOf(row.map((n) => n * (n - 1))) / pairs)) / subjects.length;
  const shares = subjects[0]!.map((_, at) => sumOf(subjects.map((row) => row[at]!)) / (subjects.length * judges));
  const expected = sumOf(shares.map((share) => share ** 2));
  return {
    observed,
    expected,
    kappa: expected === 1 ? null : (observed - expected) / (1 - expected),
    count: subjects.length,
    alike: subjects.filter((row) => row.includes(judges)).length,
  };
}

const LABELS = [
  [0, 'poor'],
  [0.2, 'slight'],
  [0.4, 'fair'],
  [0.6, 'moderate'],
  [0.8, 'substantial'],
  [Infinity, 'almost-perfect'],
] as const;
/** Bands of agreement beyond chance, the least first. */
export const KAPPA_BANDS = ['poor', 'slight', 'fair', 'moderate', 'substantial', 'almost-perfect'] as const;
export type KappaBand = (typeof KAPPA_BANDS)[number];

/**
 * A word for kappa.
 *
 * @param kappa −1 to 1
 * @returns the word
 * Source: Landis & Koch 1977, Biometrics 33:159–174, who call their bounds arbitrary.
 * @example kappaWord(0.55) // 'moderate'
 */
export const kappaWord = (kappa: number): KappaBand =>
  kappa < 0 ? 'poor' : LABELS.slice(1).find(([most]) => Math.round(kappa * 100) / 100 <= most)![1];
