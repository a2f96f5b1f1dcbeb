import { type HiveTypeId, type Stack } from '../../equipment';
import { type VisitDepth, openingScript } from '../../inspection';
import { scattered } from '../../units';
import type { Mark } from '../mark';

/** One thing to be done. */
export interface OrderStep {
  readonly id: string;
  readonly text: string;
}

/** A visit whose steps are to be put in order. */
export interface OrderDrill {
  /** What the hive is and what is wanted. */
  readonly says: string;
  /** As they are offered. */
  readonly shuffled: readonly OrderStep[];
  /** In the trade's order. */
  readonly order: readonly OrderStep[];
}

const box = (id: string, kind: 'national-brood' | 'national-super', frames = 11, dummy = false) =>
  ({ id, kind: 'box', box: kind, frames, dummy }) as const;
const part = <K extends 'floor' | 'excluder' | 'crown-board' | 'roof' | 'escape' | 'feeder'>(kind: K) =>
  ({ id: kind, kind }) as const;

interface Hive {
  readonly says: string;
  readonly type: HiveTypeId;
  readonly stack: Stack;
  readonly box: string;
  readonly depth: VisitDepth;
}

/** Hives, the plainest first. */
const HIVES: readonly Hive[] = [
  {
    says: 'One brood box, a cool spring day: a look under the lid only.',
    type: 'national',
    stack: [part('floor'), box('brood', 'national-brood'), part('crown-board'), part('roof')],
    box: 'brood',
    depth: 'lid',
  },
  {
    says: 'One brood box, warm and calm: the whole nest.',
    type: 'national',
    stack: [part('floor'), box('brood', 'national-brood'), part('crown-board'), part('roof')],
    box: 'brood',
    depth: 'full',
  },
  {
    says: 'A brood box with a super over an excluder: the whole nest.',
    type: 'national',
    stack: [
      part('floor'),
      box('brood', 'national-brood'),
      part('excluder'),
      box('super', 'national-super', 10),
      part('crown-board'),
      part('roof'),
    ],
    box: 'brood',
    depth: 'full',
  },
  {
    says: 'A brood box with a dummy board, two supers over an excluder: the whole nest.',
    type: 'national',
    stack: [
      part('floor'),
      box('brood', 'national-brood', 10, true),
      part('excluder'),
      box('lower super', 'national-super', 10),
      box('upper super', 'national-super', 10),
      part('crown-board'),
      part('roof'),
    ],
    box: 'brood',
    depth: 'full',
  },
];

const NAMES: Readonly<Record<string, string>> = { roof: 'roof', 'crown-board': 'crown board', excluder: 'excluder' };

/** The steps of a hive; from the fifth level on each part that comes off and goes back is a step of its own. */
function stepsOf(hive: Hive, byParts: boolean): readonly OrderStep[] {
  return openingScript(hive.type, hive.stack, hive.box, hive.depth).flatMap(({ id, title, parts }): OrderStep[] => {
    if (!byParts || parts.length === 0) return [{ id, text: title }];
    const verb = id === 'close' ? 'back on' : 'off';
    const own = parts.map((layer) => ({ id: `${id} ${layer.id}`, text: `${NAMES[layer.kind] ?? layer.id} ${verb}` }));
    return id === 'close' ? [{ id: 'close frames', text: 'Frames together in their order' }, ...own] : own;
  });
}

/** A visit to be put in order. */
export function someOrder(level: number, seed: number): OrderDrill {
  const random = scattered(seed);
  const reach = Math.min(HIVES.length, 1 + Math.ceil(level / 2));
  const hive = HIVES[Math.max(0, reach - 2) + random.below(Math.min(2, reach))]!;
  const order = stepsOf(hive, level >= 5);
  const shuffled = [...order];
  for (let at = shuffled.length - 1; at > 0; at -= 1) {
    const other = random.below(at + 1);
    [shuffled[at], shuffled[other]] = [shuffled[other]!, shuffled[at]!];
  }
  return { says: hive.says, shuffled, order };
}

/** Orders that hurt somebody when they are turned round: the first must come before the second. */
const MUST: readonly (readonly [first: string, then: string, why: string])[] = [
  ['before', 'smoke', 'Veils and a lit smoker come before anything is touched.'],
  ['smoke', 'open', 'Open without smoke and a minute’s wait, and the guards come out.'],
  ['first-frame', 'frames', 'Without the gap of the outermost frame bees and the queen are rolled.'],
  ['again', 'close', 'A doubtful frame is looked at again before the hive is shut.'],
];

/** Parts that come off, and parts that go back: what lies on another comes off before it and goes back after it. */
const LIES_ON: readonly (readonly [ids: RegExp, why: string])[] = [
  [/^(open|supers) /, 'A part comes off only once what lies on it is off.'],
  [/^close /, 'From the inside out: a part goes back only once what lies under it is in its place.'],
];

/**
 * Marks an order by its pairs: Kendall's distance, the share of pairs that stand the right way round.
 *
 * @param given ids in the order chosen
 * @param order the trade's order
 * @returns the mark; right when at most one neighbouring pair is turned round, and none that hurts or that cannot be done
 */
export function markOrder(given: readonly string[], order: readonly OrderStep[]): Mark {
  const place = new Map(given.map((id, index) => [id, index]));
  let [turned, pairs] = [0, 0];
  order.forEach(({ id }, index) => {
    for (const later of order.slice(index + 1)) {
      pairs += 1;
      if ((place.get(id) ?? Infinity) >= (place.get(later.id) ?? -1)) turned += 1;
    }
  });
  const head = (id: string) => order.find((step) => step.id === id || step.id.startsWith(`${id} `))?.id;
  const hurts = MUST.filter(([first, then]) => {
    const [a, b] = [head(first), head(then)];
    return a !== undefined && b !== undefined && (place.get(a) ?? Infinity) > (place.get(b) ?? -1);
  });
  const cannotBe = LIES_ON.filter(([ids]) => {
    const places = order.filter(({ id }) => ids.test(id)).map(({ id }) => place.get(id) ?? Infinity);
    return places.some((each, index) => index > 0 && each <= places[index - 1]!);
  });
  const score = pairs === 0 ? 1 : 1 - turned / pairs;
  const faults = [...hurts.map(([, , why]) => why), ...cannotBe.map(([, why]) => why)];
  return {
    score: faults.length > 0 ? Math.min(score, 0.45) : score,
    right: turned <= 1 && faults.length === 0,
    says: [turned === 0 ? 'In order.' : `${turned} of ${pairs} pairs stand the wrong way round.`, ...faults],
  };
}
