import type { Phase } from '../season';
import { medianOf } from '../statistics';
import { type CivilDate, addDays, daysBetween, earlierOf, laterOf } from '../units';
import { type Advised, type Reason, weigh } from './advice';
import { type ColonyFacts, nightsAhead } from './facts';
import { healthOf } from './health';
import { halfRead } from './reading';
import { say } from './said';

/** Phases in which it is settled who goes into winter by itself. */
const BEFORE_WINTER: ReadonlySet<Phase> = new Set<Phase>(['late-flow', 'making-winter-bees', 'closing-down']);
/** Frames of bees that a colony needs to winter by itself: before a long cold, and where winter is short or none. Common practice. */
const WINTERS = { cold: 5, mild: 3 } as const;
/** Days of cold from which a winter is long: the nest stands still for so long. Common practice. */
const LONG_WINTER = 100;
/** Days before the cold by which colonies are united, so that they settle as one. Common practice: six weeks. */
const SETTLE = 42;
/** Days before the cold from which a small colony can still grow: two rounds of brood and the time to rear them. Common practice. */
const TWO_ROUNDS = 84;
/** Where nights stay warm few bees cover much brood, and it grows in less. Common practice: nights of 16 °C; two and a half frames to begin with. */
const WARM = { night: 16, days: 56, bees: 2.5 } as const;
/** Days ahead of which the nights are looked at. */
const NIGHTS = 7;
/** Frames of bees under which nothing is worth nursing, whatever the time. Common practice. */
const HANDFUL = 1;
/** What a small colony is fed: litres of thin syrup a frame of bees, at least and at most, and every so many days. Common practice. */
const SIPS = { aFrame: 0.2, least: 0.25, most: 0.5, every: 2 } as const;

/**
 * A colony that is too small to winter by itself, a late swarm above all: nurse it while time and nights allow, unite it, or let a handful go.
 *
 * @param facts the colony
 * @returns the advice with its numbers, or `null` when it is large enough, its season is another, or it may be sick
 * Source: common practice.
 */
export function adviseStrength(facts: ColonyFacts): Advised | null {
  const { today, phase, coldFrom, nest } = facts;
  const bees = nest.framesOfBees;
  if (phase === null || !BEFORE_WINTER.has(phase) || bees === null || coldFrom === null) return null;
  if (!halfRead(facts)) return null;
  // The judge of queens speaks of colonies without one; a sick colony is never united.
  if (!facts.eggsSeen && !facts.larvaeSeen && !facts.queenSeen) return null;
  const verdict = healthOf(facts).verdict;
  if (verdict !== 'sound' && verdict !== 'wings') return null;
  const long = facts.coldDays !== null && facts.coldDays >= LONG_WINTER;
  // A reserve is wintered over or beside a strong colony, which keeps it warm.
  const reserve = facts.aim === 'reserve';
  const least = long && !reserve ? WINTERS.cold : WINTERS.mild;
  if (bees.value >= least) return null;
  const left = daysBetween(today, coldFrom);
  const nights = nightsAhead(facts, NIGHTS);
  const night = nights.length > 0 ? medianOf(nights) : null;
  const handful = bees.value < HANDFUL;
  const warm = night !== null && night >= WARM.night && left >= WARM.days && bees.value >= WARM.bees;
  const nurse = !handful && (left >= TWO_ROUNDS || warm);
  const sips = Math.min(SIPS.most, Math.max(SIPS.least, Math.round(bees.value * SIPS.aFrame * 4) / 4));
  const by: CivilDate = nurse
    ? addDays(today, 7)
    : laterOf(addDays(today, 3), earlierOf(addDays(today, 14), addDays(coldFrom, -SETTLE)));
  const reasons: readonly Reason[] = [
    {
      text: say('bees-of-a-winter', { bees: bees.value, least }),
      weight: weigh(1 - bees.value / least + 0.4),
      sense: 'for',
    },
    {
      text: say('days-until-cold', { coldFrom, left }),
      weight: weigh(1 - left / 120),
      sense: nurse ? 'against' : 'for',
    },
    ...(night === null
      ? []
      : [{ text: say('nights-of', { night, warm: night >= WARM.night }), weight: 0.4, sense: warmFor(nurse, night) }]),
    ...(bees.high >= least ? [{ text: say('range-reaches-enough'), weight: 0.4, sense: 'against' as const }] : []),
  ];
  return {
    kind: 'strength',
    title: nurse ? say('nurse-small-colony') : handful ? say('let-handful-go') : say('unite-small-colony'),
    ...(nurse
      ? {
          errand: {
            brings: [
              { what: 'thin-syrup' as const, amount: sips },
              { what: 'feeder' as const, amount: 1 },
              { what: 'dummy' as const, amount: 1 },
            ],
          },
        }
      : {}),
    by,
    pressing: weigh((nurse ? 0.45 : 0.6) + (left < SETTLE ? 0.1 : 0)),
    reasons,
    otherSchool: nurse ? say('lets-nature-cull') : say('nurses-in-a-small-box'),
    whereFrom: {
      figure: say('frames-of-bees', { value: bees.value }),
      rule: say('strength-rule', { least, settle: SETTLE }),
      steps: [
        [say('bees-in-nest'), say('frames-of-bees', { value: bees.value })],
        [say('days-to-the-cold'), say('days', { days: left })],
        ...(nurse ? [[say('feeding-plan'), say('sips-every', { litres: sips, every: SIPS.every })] as const] : []),
      ],
      source: say('common-practice'),
    },
    cautions: [say('unite-healthy-only')],
    turns: [say('more-bees-next-look'), say('nights-stay-warm')],
    ifItFails: nurse ? say('unite-six-weeks-before') : say('small-box-beside-strong'),
    followUps: [
      {
        question: nurse ? say('how-many-frames-now') : say('united-one-queen-eggs'),
        from: addDays(by, nurse ? 10 : 7),
        due: addDays(by, 14),
      },
    ],
  };
}

/** Warm nights speak for nursing, cold ones against it. */
const warmFor = (nurse: boolean, night: number): Reason['sense'] => (nurse === night >= WARM.night ? 'for' : 'against');
