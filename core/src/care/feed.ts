import { FLOW_NECTAR, type Phase, nectarOf } from '../season';
import { addDays, roundTo } from '../units';
import { type Advice, type Reason, weigh } from './advice';
import { eatenDaily } from './eating';
import type { ColonyFacts } from './facts';

/** A feed, and how much of it comes from one kilogram of sugar. */
interface Feed {
  readonly name: string;
  readonly unit: 'L' | 'kg';
  readonly perKgSugar: number;
  readonly mix: (sugar: number) => string;
  readonly source: string;
}

/** Litres from one kilogram of sugar: 2 kg of 1:1 at 1.2297 kg/L, 1.5 kg of 2:1 at 1.3268 kg/L (ICUMSA density, from memory). */
const FEEDS = {
  thin: {
    name: 'thin syrup',
    unit: 'L',
    perKgSugar: 1.626,
    mix: (sugar) => `${sugar} kg with ${sugar} L of water`,
    source: 'density of 50 °Bx sucrose by the ICUMSA formula, from memory',
  },
  thick: {
    name: 'thick syrup',
    unit: 'L',
    perKgSugar: 1.13,
    mix: (sugar) => `${sugar} kg with ${roundTo(sugar / 2, 1)} L of water`,
    source: 'density of 66.7 °Bx sucrose by the ICUMSA formula, from memory',
  },
  candy: {
    name: 'candy or fondant',
    unit: 'kg',
    perKgSugar: 1.1,
    mix: (sugar) => `${sugar} kg`,
    source: 'a tenth of water in fondant, common practice',
  },
} as const satisfies Record<string, Feed>;

/** What they are fed in each phase where days are warm enough for liquid. Common practice. */
const BY_PHASE: Readonly<Record<Phase, keyof typeof FEEDS>> = {
  'winter-rest': 'candy',
  'first-brood': 'candy',
  'build-up': 'thin',
  'swarm-season': 'thin',
  flow: 'thin',
  dearth: 'thin',
  'late-flow': 'thick',
  'making-winter-bees': 'thick',
  'closing-down': 'thick',
};
/** Under this highest temperature liquid feed is hardly taken, °C. Common practice. */
const LIQUID_WARMTH = 10;
/** Days that food has to last, in the open season and through the shut one until somebody looks again. Common practice. */
const ENOUGH_DAYS = 10;
const ENOUGH_SHUT = 30;
const STARVING_DAYS = 4;
/** What a colony takes in a week: litres of syrup or kilograms of candy a frame of bees; a small one between one and two. Common practice. */
const TAKES = { L: 0.8, kg: 0.25 } as const;
const SMALL = 5;
/** Frames of bees of a colony that winters with the whole store of the house; a smaller one needs less, never under half. Common practice. */
const FULL_SIZE = 8;

const FOR_WINTER: ReadonlySet<Phase> = new Set<Phase>(['making-winter-bees', 'closing-down']);
const SHUT: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood']);

const beesOf = (facts: ColonyFacts): number => facts.nest.framesOfBees?.value ?? facts.frames * 0.7;

/** All food on the hive, kg: the nest's, and what is in the supers. */
export const foodOf = (facts: ColonyFacts): number => facts.nest.storesKg.value + (facts.superKg ?? 0);

/** Days that the food lasts without any income, from bees and brood. */
export function daysOfFood(facts: ColonyFacts): number {
  const daily = eatenDaily(beesOf(facts), facts.nest.brood.value, facts.phase === 'winter-rest');
  return daily > 0 ? foodOf(facts) / daily : Infinity;
}

/** Food wanted on this day, kg. */
function wantedKg(facts: ColonyFacts): { readonly least: number; readonly upTo: number } {
  const { practice, phase } = facts;
  if (phase === null || !FOR_WINTER.has(phase)) return { least: practice.leastStoresKg, upTo: practice.feedToKg };
  const winter = roundTo(practice.winterStoresKg * Math.min(1, Math.max(0.5, beesOf(facts) / FULL_SIZE)), 1);
  return { least: winter, upTo: winter };
}

/** Whether they are fed, in one word, and why. */
export interface FeedAnswer {
  readonly feed: 'yes' | 'no' | 'not-known';
  readonly why: string;
}

interface Need {
  readonly food: number;
  readonly days: number;
  readonly least: number;
  readonly upTo: number;
  readonly starving: boolean;
  readonly harvest: boolean;
  /** How long the food lasts, in words. */
  readonly lasts: string;
  /** Why nothing is fed; `null` when they are. */
  readonly not: string | null;
}

function needOf(facts: ColonyFacts): Need {
  const { phase } = facts;
  const food = foodOf(facts);
  const days = daysOfFood(facts);
  const { least, upTo } = wantedKg(facts);
  const enough = phase !== null && SHUT.has(phase) ? ENOUGH_SHUT : ENOUGH_DAYS;
  const starving = days < STARVING_DAYS;
  const harvest = facts.supers > 0 && !facts.supersAreTheirs;
  const flowing = facts.nectar >= FLOW_NECTAR && (facts.poorDays ?? 0) <= 3;
  const found = `${roundTo(food, 1)} kg found, at least ${least} wanted${phase !== null && FOR_WINTER.has(phase) ? ' for winter' : ''}`;
  const lasts = `lasts about ${Math.floor(Math.min(days, 365))} days`;
  const not =
    food >= least && days >= enough
      ? `${found}; ${lasts} without any income`
      : flowing && !starving
        ? `${found}, but ${nectarOf(facts.inBloom)
            .map(({ plant }) => plant)
            .join(' and ')} in bloom and days are fit: they bring it themselves; ${lasts}, look again after poor days`
        : null;
  return { food, days, least, upTo, starving, harvest, lasts, not };
}

/** Under half of the frames read says too little about food. */
const tooLittleRead = (facts: ColonyFacts): boolean => facts.framesRead * 2 < facts.frames;

/**
 * Whether a colony is fed, with the reason, also when it is not.
 *
 * @param facts the colony
 * @returns yes, no, or not known when too little was read
 * Source: common practice.
 */
export function feedAnswer(facts: ColonyFacts): FeedAnswer {
  if (tooLittleRead(facts))
    return {
      feed: 'not-known',
      why: `${facts.framesRead} of ${facts.frames} frames were read: lift the hive at the back, or look at the outer combs`,
    };
  const need = needOf(facts);
  if (need.not !== null) return { feed: 'no', why: need.not };
  const reason = reasonsOf(facts, need).find(({ sense }) => sense === 'for')!;
  return { feed: 'yes', why: `${reason.text}; ${need.lasts}` };
}

/**
 * Feed, when food would not last or lies under what the house wants at this time of the year. A starving colony comes first; otherwise nothing
 * is fed while honey boxes for harvest are on, or while nectar comes in.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there is food enough, too little was read to say, or feeding would do harm
 * Source: common practice.
 */
export function adviseFeeding(facts: ColonyFacts): Advice | null {
  if (tooLittleRead(facts)) return null;
  const need = needOf(facts);
  if (need.not !== null) return null;
  const { today } = facts;
  const { food, least, upTo, starving, harvest } = need;
  const feed: Feed = FEEDS[kindOfFeed(facts)];
  const sugar = starving && harvest ? tenDays(facts) : roundTo(Math.max(1, upTo - food), 1);
  const whole = roundTo(sugar * feed.perKgSugar, 1);
  const portion = Math.min(whole, portionOf(facts, feed));
  const amount = `${portion} ${feed.unit} of ${feed.name}`;
  const by = addDays(today, starving ? 1 : 3);
  const again = portion < whole;
  return {
    kind: 'feed',
    title:
      harvest && !starving
        ? `Take the supers off first, then feed ${amount}`
        : `Feed ${amount}${starving ? ' now' : ''}${again ? ', then look again' : ''}`,
    by,
    pressing: weigh(starving ? 0.98 : 0.55 + (least - food) / 12),
    reasons: reasonsOf(facts, need),
    otherSchool: otherSchoolOf(facts, feed),
    whereFrom: {
      figure: amount,
      rule: 'Food wanted less food found, as sugar; no more at once than they can take in about a week.',
      steps: [
        ['wanted', `${upTo} kg`],
        [
          'found in the nest',
          `${roundTo(facts.nest.storesKg.value, 1)} kg (${roundTo(facts.nest.storesKg.low, 1)} to ${roundTo(facts.nest.storesKg.high, 1)})`,
        ],
        ...(facts.superKg === null ? [] : [['found in the supers', `${roundTo(facts.superKg, 1)} kg`] as const]),
        ['sugar', feed.mix(sugar)],
        [feed.name, `${whole} ${feed.unit}${again ? `, ${portion} ${feed.unit} at a time` : ''}`],
      ],
      source: `House practice for the store wanted; ${feed.source}.`,
    },
    followUp: { question: 'Feed taken? Food in kg?', from: addDays(by, 4), due: addDays(by, 7) },
  };
}

function kindOfFeed({ phase, highs }: ColonyFacts): keyof typeof FEEDS {
  const sorted = [...highs].sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)];
  if (middle !== undefined && middle < LIQUID_WARMTH) return 'candy';
  return phase === null ? 'thin' : BY_PHASE[phase];
}

/** Sugar that carries them for about ten days, kg. */
const tenDays = (facts: ColonyFacts): number =>
  roundTo(Math.max(1, ENOUGH_DAYS * eatenDaily(beesOf(facts), facts.nest.brood.value)), 1);

function portionOf(facts: ColonyFacts, { unit }: Feed): number {
  const bees = beesOf(facts);
  const half = (value: number) => Math.round(value * 2) / 2;
  return half(bees < SMALL ? Math.min(2, Math.max(1, bees * 0.4)) : bees * TAKES[unit]);
}

function reasonsOf(facts: ColonyFacts, { food, days, least, starving, harvest }: Need): readonly Reason[] {
  const { nest, highs } = facts;
  const nectar = nectarOf(facts.inBloom);
  const poor = facts.poorDays ?? 0;
  const unread = facts.frames - facts.framesRead;
  const where =
    facts.supers === 0
      ? ' in the nest'
      : facts.superKg === null
        ? ' in the nest, the supers were not looked at'
        : ', supers and all';
  const reasons: (Reason | null)[] = [
    {
      text: `${roundTo(food, 1)} kg of food${where}; house rule ${facts.phase !== null && FOR_WINTER.has(facts.phase) ? 'for winter ' : ''}is at least ${least} kg`,
      weight: weigh(1 - food / least + 0.3),
      sense: 'for',
    },
    {
      text: `Lasts about ${Math.floor(Math.min(days, 365))} days for ${roundTo(nest.brood.value, 1)} frames of brood`,
      weight: weigh(1 - days / (2 * ENOUGH_DAYS)),
      sense: 'for',
    },
    poor >= 2
      ? { text: `${poor} of the next 7 days hardly fit for flying`, weight: weigh(poor / 7), sense: 'for' }
      : null,
    kindOfFeed(facts) === 'candy' && highs.length > 0
      ? {
          text: `Days reach ${Math.round(Math.max(...highs))} °C at most: syrup is hardly taken, solid feed over the bees is`,
          weight: 0.5,
          sense: 'for',
        }
      : null,
    nectar.length > 0
      ? {
          text: `${nectar.map((each) => each.plant).join(' and ')} in bloom, nectar may come in`,
          weight: weigh(0.5 - poor / 14),
          sense: 'against',
        }
      : null,
    harvest && starving
      ? {
          text: 'Supers for harvest are on: a starving colony comes first, what is in them is then not for harvest; mark them',
          weight: 0.6,
          sense: 'against',
        }
      : null,
    unread > 0
      ? {
          text: `${unread} of ${facts.frames} frames were not read on both sides`,
          weight: weigh(unread / facts.frames),
          sense: 'against',
        }
      : null,
  ];
  return reasons.filter((each) => each !== null);
}

function otherSchoolOf(facts: ColonyFacts, feed: Feed): string {
  if (facts.phase !== null && FOR_WINTER.has(facts.phase))
    return 'leaves the honey and feeds nothing; another gives thin syrup with protein, so that they go on rearing winter bees.';
  if (feed === FEEDS.candy)
    return 'gives dry sugar in its bag over the frames, which some found eaten better than bricks.';
  return nectarOf(facts.inBloom).length > 0
    ? 'leaves them to forage while plants are in bloom and looks again after the next fine day: fed colonies fill the nest with syrup.'
    : 'gives fondant over the nest: no wet feed while nights are cool, and nothing to spill for robbers.';
}
