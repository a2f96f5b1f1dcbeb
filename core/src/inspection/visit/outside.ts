import type { Measure } from './measures';
import { waspPressure } from './measures';
import type { PollenColour } from '../side/pollen-colours';
import { say } from '../said';
import type { Text } from '../../language';

export const TRAFFIC = ['none', 'little', 'steady', 'heavy'] as const;
export const ENTRANCES = ['full', 'half', 'a-hand', 'one-bee', 'shut'] as const;
export type EntranceWidth = (typeof ENTRANCES)[number];
export const AMOUNTS = ['none', 'few', 'many'] as const;
export type Amount = (typeof AMOUNTS)[number];

/** What was seen at the entrance before opening, or after closing. */
export interface OutsideLook {
  /** `null` is "not looked at", here and below: nothing counts as seen that nobody touched. */
  readonly traffic: (typeof TRAFFIC)[number] | null;
  readonly pollenIn: boolean | null;
  readonly deadBees: boolean | null;
  readonly intruders: boolean | null;
  readonly note: string;
  /** Colours of the loads going in. */
  readonly pollens?: readonly PollenColour[] | undefined;
  readonly dead?: Amount | undefined;
  readonly droppings?: Amount | undefined;
  /** Bees hang in a mass outside. */
  readonly bearding?: boolean | undefined;
  readonly robbing?: boolean | undefined;
  readonly entrance?: EntranceWidth | undefined;
  readonly leans?: boolean | undefined;
  readonly strapped?: boolean | undefined;
}

export const EMPTY_LOOK: OutsideLook = {
  traffic: null,
  pollenIn: null,
  deadBees: null,
  intruders: null,
  note: '',
};

/** What a look from outside suggests; each line is a hint, not a finding. Common practice. */
export function outsideSays(look: OutsideLook): readonly Text[] {
  const colours = look.pollens?.length ?? 0;
  const says: readonly (readonly [boolean, Text])[] = [
    [look.pollenIn === true || colours > 0, say('pollen-goes-laying-queen-likely')],
    [colours > 2, say('colours-pollen-varied-diet', { colours })],
    [look.pollenIn === false && colours === 0 && look.traffic === 'heavy', say('much-traffic-without-pollen-robbing')],
    [look.dead === 'few', say('few-dead-bees-normal')],
    [look.dead === 'many', say('many-dead-bees-poisoning-starvation')],
    [look.droppings === 'many', say('droppings-front-note-look-stores')],
    [look.bearding === true, say('bees-hang-outside-heat-too')],
    [look.robbing === true, say('robbing-do-open-narrow-entrance')],
    [look.leans === true, say('level-hive-before-boxes-go')],
    [look.strapped === false, say('strap-strap-weight-before-you')],
  ];
  return says.filter(([applies]) => applies).map(([, words]) => words);
}

export interface EntranceAdvice {
  readonly width: EntranceWidth;
  readonly why: Text;
  /** When to look whether they found the new way in, minutes; and whether it worked, days. */
  readonly lookAfter: { readonly minutes: number; readonly days: number } | null;
}

/**
 * How wide the entrance should be for what the colony can guard. Common practice.
 *
 * @param framesOfBees strength, frames; `null` when not counted
 * @param wasps wasps at the entrance, `null` when not counted
 * @param robbingSeason dearth or autumn
 * @param hot bees hang outside or it is above 28 °C
 * @returns width, why, and when to look again. A plug can be grass, a cork, foam or a strip of wood
 * @example entranceAdvice(3, { aMinute: 8, pastGuards: true }, true, false).width // 'one-bee'
 */
export function entranceAdvice(
  framesOfBees: number | null,
  wasps: Pick<Extract<Measure, { what: 'wasps' }>, 'aMinute' | 'pastGuards'> | null,
  robbingSeason: boolean,
  hot: boolean,
): EntranceAdvice {
  const pressure = wasps ? waspPressure(wasps) : 'none';
  const weak = framesOfBees !== null && framesOfBees < 5;
  const lookAfter = { minutes: 10, days: 7 };
  if (pressure === 'heavy') return { width: 'one-bee', why: say('guards-have-given-up'), lookAfter };
  if (pressure === 'some' || (pressure === 'light' && weak))
    return { width: weak ? 'one-bee' : 'a-hand', why: say('pressure-wasps', { pressure }), lookAfter };
  if (weak) return { width: 'a-hand', why: say('few-bees-guard'), lookAfter };
  if (hot) return { width: 'full', why: say('heat-crowding'), lookAfter: null };
  if (robbingSeason) return { width: 'half', why: say('robbing-season'), lookAfter: null };
  return { width: 'full', why: say('strong-nothing-presses'), lookAfter: null };
}

/** Points of the traffic at the entrance when strengths are ranked from outside. Common practice. */
const TRAFFIC_SCORE: Readonly<Record<(typeof TRAFFIC)[number], number>> = { none: -3, little: -1, steady: 1, heavy: 2 };

/**
 * One figure for a look at the entrance, to be held against the last one: 0 trouble to 10 thriving. It says where to look, nothing more.
 *
 * @param look what was seen
 * @returns 0 to 10. Common practice
 * @example entranceScore({ ...EMPTY_LOOK, traffic: 'steady', pollenIn: true }) // 8
 */
export function entranceScore(look: OutsideLook): number {
  const score =
    5 +
    (look.traffic === null ? 0 : TRAFFIC_SCORE[look.traffic]) +
    (look.pollenIn === true ? 2 : 0) -
    (look.dead === 'many' ? 3 : 0) -
    (look.droppings === 'many' ? 1 : 0) -
    (look.robbing === true ? 4 : look.intruders === true ? 1 : 0);
  return Math.min(10, Math.max(0, score));
}
