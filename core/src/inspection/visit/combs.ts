import type { BoxLayer } from '../../equipment';
import { say } from '../said';
import type { Text } from '../../language';

export const COMB_KINDS = ['drawn', 'foundation', 'food', 'drone', 'foundationless'] as const;
export const COMB_GRADES = ['keep', 'edge', 'replace'] as const;
export type CombGrade = (typeof COMB_GRADES)[number];

/** One comb in its frame, known wherever it goes. */
export interface Comb {
  readonly id: string;
  readonly kind: (typeof COMB_KINDS)[number];
  /** Year in which it was given as foundation; `null` when nobody knows. */
  readonly since: number | null;
  /** Colony that it came from, `null` when it has always been here or came new. */
  readonly donor: string | null;
  /** Short mark on the top bar, by which people tell it. */
  readonly label: string;
}

/** Where combs go that are in no hive. */
export const COMB_STORES = ['stand', 'food-reserve', 'drawn-reserve', 'melting', 'freezer', 'burnt'] as const;
export type CombStore = (typeof COMB_STORES)[number];

/** Where a comb stands: in a box of this hive, in another hive, or in a store. Places count from 1 and are those after the move. */
export type CombPlace =
  | { readonly in: 'box'; readonly box: string; readonly place: number }
  | { readonly in: 'hive'; readonly hive: string; readonly box: string; readonly place: number }
  | { readonly in: 'store'; readonly store: CombStore };

/** A comb taken from one place to another. Frames of the box left close up, those of the box entered make room. */
export interface CombMove {
  readonly comb: Comb;
  readonly to: CombPlace;
  readonly reason: string;
}

/** Combs of a hive as they stand, box by box in order, and those that left it with where they went. */
export interface Arrangement {
  readonly boxes: Readonly<Record<string, readonly Comb[]>>;
  readonly away: readonly { readonly comb: Comb; readonly to: CombPlace }[];
}

/**
 * Where every comb of a hive stands after some moves.
 *
 * @param found combs of each box as they were found, in order
 * @param moves moves in the order in which they were made
 * @returns the arrangement; a comb stands in one place only
 */
export function arranged(found: Readonly<Record<string, readonly Comb[]>>, moves: readonly CombMove[]): Arrangement {
  const boxes: Record<string, readonly Comb[]> = { ...found };
  let away: Arrangement['away'] = [];
  for (const { comb, to } of moves) {
    for (const [box, combs] of Object.entries(boxes)) boxes[box] = combs.filter(({ id }) => id !== comb.id);
    away = away.filter((each) => each.comb.id !== comb.id);
    if (to.in === 'box') {
      const others = boxes[to.box] ?? [];
      boxes[to.box] = others.toSpliced(Math.max(0, to.place - 1), 0, comb);
    } else {
      away = [...away, { comb, to }];
    }
  }
  return { boxes, away };
}

/**
 * Combs that stand elsewhere than they were found, though they are still in the hive: what must be put right, or have a reason.
 *
 * @param found combs as they were found
 * @param now combs as they stand
 * @returns combs whose neighbours on either side are not those they had, box by box
 */
export function outOfOrder(
  found: Readonly<Record<string, readonly Comb[]>>,
  now: Arrangement,
): readonly { readonly box: string; readonly comb: Comb }[] {
  const stayed = new Set(Object.values(now.boxes).flatMap((combs) => combs.map(({ id }) => id)));
  return Object.entries(now.boxes).flatMap(([box, combs]) => {
    const before = (found[box] ?? []).filter(({ id }) => stayed.has(id)).map(({ id }) => id);
    const known = combs.filter(({ id }) => before.includes(id));
    return known.filter(({ id }, place) => before[place] !== id).map((comb) => ({ box, comb }));
  });
}

/**
 * Combs of a box whose combs nobody has named yet: as many as frames stand in it, marked by box and place.
 *
 * @param hive the hive's number
 * @param layer the box
 * @param idOf makes an id for each place, the same on every device
 * @returns combs in order
 */
export const unnamedCombs = (hive: string, layer: BoxLayer, idOf: (place: number) => string): readonly Comb[] =>
  Array.from({ length: layer.frames }, (_, index) => ({
    id: idOf(index + 1),
    kind: 'drawn' as const,
    since: null,
    donor: null,
    label: `${hive}-${layer.id}-${index + 1}`,
  }));

/** Years in the brood nest after which a comb is due. House practice; common answers run from 2 to 4. */
export const COMB_YEARS = 3;

/**
 * What to do with a comb by its age and what was seen on it.
 *
 * @param comb the comb
 * @param year this year
 * @param seen marks of its condition
 * @param years years after which it is due
 * @returns keep, move to the edge (so that it is empty when its time comes), or replace; with why
 */
export function gradeComb(
  { since }: Comb,
  year: number,
  seen: { readonly old: boolean; readonly broken: boolean },
  years = COMB_YEARS,
): { readonly grade: CombGrade; readonly why: Text; readonly due: number | null } {
  const age = since === null ? null : year - since;
  const due = since === null ? null : since + years;
  if (seen.broken) return { grade: 'replace', why: say('broken-sagging'), due };
  if (age !== null && age >= years) return { grade: 'replace', why: say('years-use', { age }), due };
  if (seen.old) return { grade: age === null ? 'replace' : 'edge', why: say('black-light-comes-through'), due };
  if (age !== null && age >= years - 1) return { grade: 'edge', why: say('due-year', { years: years - age }), due };
  return { grade: 'keep', why: age === null ? say('age-known-looks-sound') : say('years-use', { age }), due };
}

/** Words by which a planned job asks for a comb, each for one. */
const ASKS_FOR: Readonly<Partial<Record<Comb['kind'], RegExp>>> = {
  foundation: /foundation|bare frame/i,
  drawn: /drawn comb|drawn frame|empty comb/i,
  food: /food comb|food frame|honey frame/i,
  drone: /drone (comb|frame)/i,
};

/**
 * Combs that planned jobs ask for and the stores do not hold.
 *
 * @param jobs what is due, in words, with the hive's number
 * @param stock combs in store by kind
 * @returns kinds that are short, with need and stock; a job asks for one comb of each kind that it names. Common practice
 * @example combsShort([{ hive: '4', question: 'Hang a frame of foundation' }], {})[0]?.need // 1
 */
export function combsShort(
  jobs: readonly { readonly hive: string; readonly question: string }[],
  stock: Readonly<Partial<Record<Comb['kind'], number>>>,
): readonly {
  readonly kind: Comb['kind'];
  readonly need: number;
  readonly have: number;
  readonly hives: readonly string[];
}[] {
  return COMB_KINDS.flatMap((kind) => {
    const asking = jobs.filter(({ question }) => ASKS_FOR[kind]?.test(question));
    const have = stock[kind] ?? 0;
    return asking.length > have
      ? [{ kind, need: asking.length, have, hives: [...new Set(asking.map(({ hive }) => hive))] }]
      : [];
  });
}
