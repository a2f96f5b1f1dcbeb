import { meanOf } from '../statistics';
import { type CivilDate, addDays, daysBetween } from '../units';
import { FLOW_NECTAR, type Forage, GAP_NECTAR, inBloom, nectarOf, nectarOn } from './forage';
import { say } from './said';
import type { Text } from '../language';

/** Signs at the hive: what speaks for a flow, what for a dearth, and how much each weighs (log odds). Common practice. */
export const FLOW_SIGNS = {
  temper: { flow: say('gentle-bees'), dearth: say('sharp-following-bees'), weight: 0.6 },
  wax: { flow: say('white-new-wax'), dearth: say('new-wax-comb-edges-brown'), weight: 1 },
  festoons: { flow: say('festoons-bees-building'), dearth: say('nobody-building'), weight: 0.8 },
  scales: { flow: say('wax-scales-floor'), dearth: say('wax-scales'), weight: 0.5 },
  syrup: { flow: say('syrup-pollen-feeder-ignored'), dearth: say('syrup-taken-once'), weight: 1 },
  robbing: { flow: say('no-robbing'), dearth: say('robbing-fighting-entrances'), weight: 0.9 },
  nectar: { flow: say('fresh-nectar-drips-comb'), dearth: say('cells-dry-open-food-shrinking'), weight: 1.2 },
} as const satisfies Record<string, { flow: Text; dearth: Text; weight: number }>;
export type FlowSign = keyof typeof FLOW_SIGNS;
export const FLOW_SIGN_NAMES = Object.keys(FLOW_SIGNS) as readonly FlowSign[];

/** A sign ticked at a visit. */
export interface SignSeen {
  readonly sign: FlowSign;
  readonly says: 'flow' | 'dearth';
  readonly date: CivilDate;
}

export const FLOW_STATES = ['flow', 'starting', 'fading', 'dearth', 'uncertain'] as const;
export type FlowState = (typeof FLOW_STATES)[number];

export interface FlowFacts {
  readonly today: CivilDate;
  /** Signs of the last two weeks. */
  readonly signs: readonly SignSeen[];
  readonly forage: readonly Forage[];
  /** Gain of the hive on the scale, kg a day, oldest first, without jumps that people or swarms made; `[]` without a scale. */
  readonly gains: readonly number[];
  /** Days of the coming seven on which bees can hardly fly; `null` without a forecast. */
  readonly poorDays: number | null;
  /** Days of the last five on which bees could hardly fly. */
  readonly lostDays: number;
}

export interface FlowReason {
  readonly text: Text;
  readonly says: 'flow' | 'dearth';
  /** Log odds, above 0. */
  readonly weight: number;
}

export interface FlowStatus {
  readonly state: FlowState;
  /** Chance that nectar comes in now, 0 to 1. */
  readonly chance: number;
  readonly reasons: readonly FlowReason[];
  readonly advice: Text;
}

/** A sign fades: half its weight after a week. */
const HALF_LIFE = 7;
/** Chance from which a flow, or a dearth, is said to be on. Common practice. */
const SURE = 0.68;
/** Gains that speak for and against a flow, kg a day. Common practice. */
const GAIN = { flow: 0.3, dearth: -0.05 };

const ADVICE: Readonly<Record<FlowState, Text>> = {
  flow: say('room-ahead-need-feed-look'),
  starting: say('supers-ready-take-feeders-off'),
  fading: say('more-supers-entrances-small-robbers'),
  dearth: say('new-boxes-short-openings-nothing'),
  uncertain: say('tick-signs-next-visit-new'),
};

/**
 * Flow or dearth, from what was seen at visits, what is in bloom, what the scale says and whether bees could fly.
 *
 * @param facts signs, forage, scale and weather
 * @returns the state with its chance and every reason
 * @throws RangeError for malformed dates
 */
export function flowStatus(facts: FlowFacts): FlowStatus {
  const reasons = [...signReasons(facts), ...forageReasons(facts), ...scaleReasons(facts)];
  const odds = reasons.reduce((sum, { says, weight }) => sum + (says === 'flow' ? weight : -weight), 0);
  const chance = 1 / (1 + Math.exp(-odds));
  const state = stateOf(facts, chance);
  return { state, chance, reasons: [...reasons].sort((a, b) => b.weight - a.weight), advice: ADVICE[state] };
}

function stateOf(facts: FlowFacts, chance: number): FlowState {
  const { today, forage, gains } = facts;
  const now = nectarOn(forage, today);
  const soon = nectarOn(forage, addDays(today, 7));
  const before = nectarOn(forage, addDays(today, -7));
  const rising = gains.length >= 6 ? meanOf(gains.slice(-3)) - meanOf(gains.slice(-6, -3)) : 0;
  if (chance >= SURE) {
    if (before < FLOW_NECTAR && now >= FLOW_NECTAR && rising >= 0) return 'starting';
    return (soon <= GAP_NECTAR && forage.length > 0) || rising < -0.8 ? 'fading' : 'flow';
  }
  if (soon >= FLOW_NECTAR && soon > now && (facts.poorDays ?? 0) <= 3 && chance > 0.2) return 'starting';
  return chance <= 1 - SURE ? 'dearth' : 'uncertain';
}

function signReasons({ signs, today }: FlowFacts): readonly FlowReason[] {
  const newest = new Map<FlowSign, { flow: number; dearth: number; seen: number; ago: number }>();
  for (const { sign, says, date } of signs) {
    const ago = Math.max(0, daysBetween(date, today));
    const own = newest.get(sign) ?? { flow: 0, dearth: 0, seen: 0, ago };
    own[says] += 0.5 ** (ago / HALF_LIFE);
    own.seen += 1;
    own.ago = Math.min(own.ago, ago);
    newest.set(sign, own);
  }
  return [...newest].flatMap(([sign, { flow, dearth, seen, ago }]) => {
    const lean = (flow - dearth) / (flow + dearth);
    // Several colonies that agree say more than one, but not in step with their number.
    const weight = FLOW_SIGNS[sign].weight * Math.abs(lean) * Math.min(1.5, Math.sqrt(flow + dearth));
    if (weight < 0.05) return [];
    const says = lean > 0 ? ('flow' as const) : ('dearth' as const);
    const when = ago === 0 ? 'today' : ago === 1 ? 'yesterday' : say('days-ago', { ago });
    const times = seen > 1 ? say('at-openings', { seen }) : '';
    return [{ text: say('sign-seen', { sign: FLOW_SIGNS[sign][says], when, times }), says, weight }];
  });
}

function forageReasons({ forage, today, lostDays }: FlowFacts): readonly FlowReason[] {
  if (forage.length === 0) return [];
  const worth = nectarOn(forage, today);
  const plants = nectarOf(inBloom(forage, today)).map((each) => each.plant);
  const said = plants.length > 0 ? say('plants-in-bloom', { plants: plants.slice(0, 3) }) : say('nothing-nectar-bloom');
  const lost: FlowReason[] =
    lostDays >= 3 ? [{ text: say('last-days-kept', { lostDays }), says: 'dearth', weight: 0.25 * lostDays }] : [];
  if (worth >= FLOW_NECTAR) return [{ text: said, says: 'flow', weight: Math.min(1.6, 0.3 + worth / 8) }, ...lost];
  if (worth <= GAP_NECTAR) return [{ text: said, says: 'dearth', weight: 1.1 }, ...lost];
  return lost;
}

function scaleReasons({ gains }: FlowFacts): readonly FlowReason[] {
  const last = gains.slice(-3);
  if (last.length === 0) return [];
  const gain = meanOf(last);
  const text = say('scale-hive-kg-day', { gain, gain2: Math.abs(gain) });
  if (gain >= GAIN.flow) return [{ text, says: 'flow', weight: Math.min(2.5, 0.8 + gain) }];
  if (gain <= GAIN.dearth) return [{ text, says: 'dearth', weight: Math.min(1.8, 0.7 - 2 * gain) }];
  return [];
}
