import { type HiveTypeId, type Stack } from '../../equipment';
import { type VisitDepth, openingScript } from '../../inspection';
import { scattered } from '../../units';
import type { Mark } from '../mark';
import { say } from '../said';
import type { Text } from '../../language';

/** One thing to be done. */
export interface OrderStep {
  readonly id: string;
  readonly text: Text;
}

/** A visit whose steps are to be put in order. */
export interface OrderDrill {
  /** What the hive is and what is wanted. */
  readonly says: Text;
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
  readonly says: Text;
  readonly type: HiveTypeId;
  readonly stack: Stack;
  readonly box: string;
  readonly depth: VisitDepth;
}

/** Hives, the plainest first. */
const HIVES: readonly Hive[] = [
  {
    says: say('one-brood-box-cool-spring'),
    type: 'national',
    stack: [part('floor'), box('brood', 'national-brood'), part('crown-board'), part('roof')],
    box: 'brood',
    depth: 'lid',
  },
  {
    says: say('one-brood-box-warm-calm'),
    type: 'national',
    stack: [part('floor'), box('brood', 'national-brood'), part('crown-board'), part('roof')],
    box: 'brood',
    depth: 'full',
  },
  {
    says: say('brood-box-super-over-excluder'),
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
    says: say('brood-box-dummy-board-two'),
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

/** Parts of which a hive has one. */
const NAMED_BY_KIND: ReadonlySet<string> = new Set(['roof', 'crown-board', 'excluder']);

/** The steps of a hive; from the fifth level on each part that comes off and goes back is a step of its own. */
function stepsOf(hive: Hive, byParts: boolean): readonly OrderStep[] {
  return openingScript(hive.type, hive.stack, hive.box, hive.depth).flatMap(({ id, title, parts }): OrderStep[] => {
    if (!byParts || parts.length === 0) return [{ id, text: title }];
    const own = parts.map((layer) => {
      const part = NAMED_BY_KIND.has(layer.kind) ? layer.kind : layer.id;
      return { id: `${id} ${layer.id}`, text: id === 'close' ? say('part-back', { part }) : say('part-off', { part }) };
    });
    return id === 'close' ? [{ id: 'close frames', text: say('frames-together-their-order') }, ...own] : own;
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
const MUST: readonly (readonly [first: string, then: string, why: Text])[] = [
  ['before', 'smoke', say('veils-lit-smoker-come-before')],
  ['smoke', 'open', say('open-without-smoke-minutes-wait')],
  ['first-frame', 'frames', say('without-gap-outermost-frame-bees')],
  ['again', 'close', say('doubtful-frame-looked-again-before')],
];

/** Parts that come off, and parts that go back: what lies on another comes off before it and goes back after it. */
const LIES_ON: readonly (readonly [ids: RegExp, why: Text])[] = [
  [/^(open|supers) /, say('part-comes-off-only-once')],
  [/^close /, say('inside-out-part-goes-back')],
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
    says: [turned === 0 ? say('in-order') : say('pairs-stand-wrong-way-round', { turned, pairs }), ...faults],
  };
}
