import { FLOW_NECTAR, type Phase, nectarOf } from '../season';
import { addDays, roundTo } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import { eatenDaily } from '../biology';
import { type ColonyFacts, harvestOn, middleHigh } from './facts';
import { halfRead } from './reading';
import { say } from './said';
import { adviseStimulating, afterDriving } from './stimulate';
import { type Text, inOne } from '../language';

/** A feed, and how much of it comes from one kilogram of sugar. */
interface Feed {
  readonly bring: 'thin-syrup' | 'thick-syrup' | 'fondant';
  readonly name: Text;
  readonly unit: 'L' | 'kg';
  readonly perKgSugar: number;
  readonly mix: (sugar: number) => Text;
  readonly source: Text;
}

const QUANTITY = { L: 'volume', kg: 'weight' } as const;

/** Litres from one kilogram of sugar: 2 kg of 1:1 at 1.2297 kg/L, 1.5 kg of 2:1 at 1.3268 kg/L (ICUMSA density, from memory). */
const FEEDS = {
  thin: {
    bring: 'thin-syrup',
    name: say('thin-syrup'),
    unit: 'L',
    perKgSugar: 1.626,
    mix: (sugar) => say('thin-syrup-mix', { sugar }),
    source: say('thin-syrup-source'),
  },
  thick: {
    bring: 'thick-syrup',
    name: say('thick-syrup'),
    unit: 'L',
    perKgSugar: 1.13,
    mix: (sugar) => say('thick-syrup-mix', { sugar, water: sugar / 2 }),
    source: say('thick-syrup-source'),
  },
  candy: {
    bring: 'fondant',
    name: say('candy-fondant'),
    unit: 'kg',
    perKgSugar: 1.1,
    mix: (sugar) => say('kilograms', { kg: sugar }),
    source: say('tenth-water-fondant-common-practice'),
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
/** Highest temperature from which syrup is taken in winter too, °C. Common practice. */
const TAKEN_IN_WINTER = 15;
/** Days that food has to last in the open season. Common practice. */
const ENOUGH_DAYS = 10;
/** Days that food has to last through the shut season, until somebody looks again. Common practice. */
const ENOUGH_SHUT = 30;
/** Days of food below which a colony is starving: it is fed the same day. Common practice. */
const STARVING_DAYS = 4;
/** What a colony takes in a week: litres of syrup or kilograms of candy a frame of bees; a small one between one and two. Common practice. */
const TAKES = { L: 0.8, kg: 0.25 } as const;
/** Frames of bees below which a colony is small. Common practice. */
const SMALL = 5;
/** Frames of bees of a colony that winters with the whole store of the house; a smaller one needs less, never under half. Common practice. */
const FULL_SIZE = 8;

const FOR_WINTER: ReadonlySet<Phase> = new Set<Phase>(['making-winter-bees', 'closing-down']);
const SHUT: ReadonlySet<Phase> = new Set<Phase>(['winter-rest', 'first-brood']);

const beesOf = (facts: ColonyFacts): number => facts.nest.framesOfBees?.value ?? facts.nestFrames * 0.7;

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
  readonly why: Text;
}

interface Need {
  readonly food: number;
  readonly days: number;
  readonly least: number;
  readonly upTo: number;
  readonly starving: boolean;
  readonly harvest: boolean;
  /** How long the food lasts, in words. */
  readonly lasts: Text;
  /** Why nothing is fed; `null` when they are. */
  readonly not: Text | null;
}

function needOf(facts: ColonyFacts): Need {
  const { phase } = facts;
  const food = foodOf(facts);
  const days = daysOfFood(facts);
  const { least, upTo } = wantedKg(facts);
  const enough = phase !== null && SHUT.has(phase) ? ENOUGH_SHUT : ENOUGH_DAYS;
  const starving = days < STARVING_DAYS;
  const harvest = harvestOn(facts);
  const flowing = facts.nectar >= FLOW_NECTAR && (facts.poorDays ?? 0) <= 3;
  const found = say('kg-found-least-wanted', { food, least, phase, has: phase !== null && FOR_WINTER.has(phase) });
  const lasts = say('lasts-about-days', { floor: Math.floor(Math.min(days, 365)) });
  const not =
    food >= least && days >= enough
      ? say('without-any-income', { found, lasts })
      : flowing && !starving
        ? say('but-bloom-days-fit-bring', {
            found,
            plants: nectarOf(facts.inBloom).map(({ plant }) => plant),
            lasts,
          })
        : null;
  return { food, days, least, upTo, starving, harvest, lasts, not };
}

/** Under half of the frames read says too little about food. */
const tooLittleRead = (facts: ColonyFacts): boolean => !halfRead(facts) && !facts.foodWeighed;

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
      why: say('frames-were-read-lift-hive', { framesRead: facts.framesRead, frames: facts.frames }),
    };
  const need = needOf(facts);
  if (need.not !== null) return { feed: 'no', why: need.not };
  const reason = reasonsOf(facts, need).find(({ sense }) => sense === 'for')!;
  return { feed: 'yes', why: inOne([reason.text, need.lasts], '; ') };
}

/**
 * Feed, when food would not last or lies under what the house wants at this time of the year. A starving colony comes first; otherwise nothing
 * is fed while honey boxes for harvest are on, or while nectar comes in.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when there is food enough, too little was read to say, or feeding would do harm
 * Source: common practice.
 */
export function adviseFeeding(facts: ColonyFacts): Advised | null {
  if (tooLittleRead(facts)) return null;
  const need = needOf(facts);
  if (need.not !== null) return adviseStimulating(facts);
  const { today } = facts;
  const { food, least, upTo, starving, harvest } = need;
  const feed: Feed = FEEDS[kindOfFeed(facts)];
  const sugar = starving && harvest ? tenDays(facts) : roundTo(Math.max(1, upTo - food), 1);
  const whole = roundTo(sugar * feed.perKgSugar, 1);
  const portion = Math.min(whole, portionOf(facts, feed));
  const amount = say('portion-of-feed', { portion, of: QUANTITY[feed.unit], name: feed.name });
  const by = addDays(today, starving ? 1 : 3);
  const again = portion < whole;
  return {
    kind: 'feed',
    errand: {
      brings: [
        { what: feed.bring, amount: portion },
        { what: 'feeder', amount: 1 },
      ],
    },
    title:
      harvest && !starving
        ? say('take-supers-off-first-then', { amount })
        : say('feed-them', { amount, starving, again }),
    by,
    pressing: weigh(starving ? 0.98 : 0.55 + (least - food) / 12),
    reasons: reasonsOf(facts, need),
    otherSchool: otherSchoolOf(facts, feed),
    whereFrom: {
      figure: amount,
      rule: say('food-wanted-less-food-found'),
      steps: [
        ['wanted', say('kilograms', { kg: upTo })],
        [
          say('found-nest'),
          say('kg-to', {
            value: facts.nest.storesKg.value,
            low: facts.nest.storesKg.low,
            high: facts.nest.storesKg.high,
          }),
        ],
        ...(facts.superKg === null
          ? []
          : [[say('found-supers'), say('kilograms-found', { kg: facts.superKg })] as const]),
        ['sugar', feed.mix(sugar)],
        [feed.name, say('feed-in-portions', { whole, of: QUANTITY[feed.unit], again, portion })],
      ],
      source: say('house-practice-store-wanted', { source: feed.source }),
    },
    followUps: [
      { question: say('feed-taken-food-kg'), from: addDays(by, 4), due: addDays(by, 7) },
      ...(feed === FEEDS.thin && facts.nest.brood.value > 0 ? afterDriving(facts) : []),
    ],
  };
}

function kindOfFeed(facts: ColonyFacts): keyof typeof FEEDS {
  const { phase } = facts;
  const middle = middleHigh(facts);
  if (middle !== null && middle < LIQUID_WARMTH) return 'candy';
  if (phase === null) return 'thin';
  // Where winter is warm, syrup is taken while the cluster would sit elsewhere.
  return BY_PHASE[phase] === 'candy' && middle !== null && middle >= TAKEN_IN_WINTER ? 'thin' : BY_PHASE[phase];
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
      ? say('in-the-nest')
      : facts.superKg === null
        ? say('nest-supers-were-looked')
        : say('supers-all');
  const reasons: (Reason | null)[] = [
    {
      text: say('kg-food-house-rule-least', {
        food,
        where,
        phase: facts.phase,
        has: facts.phase !== null && FOR_WINTER.has(facts.phase),
        least,
      }),
      weight: weigh(1 - food / least + 0.3),
      sense: 'for',
    },
    {
      text: say('lasts-about-days-frames-brood', { floor: Math.floor(Math.min(days, 365)), value: nest.brood.value }),
      weight: weigh(1 - days / (2 * ENOUGH_DAYS)),
      sense: 'for',
    },
    poor >= 2 ? { text: say('next-days-hardly-fit-flying', { poor }), weight: weigh(poor / 7), sense: 'for' } : null,
    kindOfFeed(facts) === 'candy' && highs.length > 0
      ? {
          text: say('days-reach-c-most-syrup', { max: Math.max(...highs) }),
          weight: 0.5,
          sense: 'for',
        }
      : null,
    nectar.length > 0
      ? {
          text: say('bloom-nectar-may-come', { plants: nectar.map((each) => each.plant) }),
          weight: weigh(0.5 - poor / 14),
          sense: 'against',
        }
      : null,
    harvest && starving
      ? {
          text: say('supers-harvest-starving-colony-comes'),
          weight: 0.6,
          sense: 'against',
        }
      : null,
    unread > 0 && !facts.foodWeighed
      ? {
          text: say('frames-were-read-both-sides', { unread, frames: facts.frames }),
          weight: weigh(unread / facts.frames),
          sense: 'against',
        }
      : null,
  ];
  return reasons.filter((each) => each !== null);
}

function otherSchoolOf(facts: ColonyFacts, feed: Feed): Text {
  if (facts.phase !== null && FOR_WINTER.has(facts.phase)) return say('leaves-honey-feeds-nothing-another');
  if (feed === FEEDS.candy) return say('gives-dry-sugar-bag-over');
  return nectarOf(facts.inBloom).length > 0
    ? say('leaves-forage-while-plants-bloom')
    : say('gives-fondant-over-nest-wet');
}
