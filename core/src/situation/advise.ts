import { type Advice, type ColonyFacts, DEFAULT_CARE, adviseColony, colonyFacts, withSeen } from '../care';
import { yearOfMark } from '../biology';
import { Faults } from './faults';
import { say } from './said';
import { seasonOf } from './season';
import type { Situation } from './situation';
import { withDefaults } from './some';
import { stackOf } from './stack';
import { readVisit } from './visit';

/** What is known of a colony, and what it needs next, the most pressing first. */
export interface Judgement {
  readonly facts: ColonyFacts;
  readonly advice: readonly Advice[];
}

/** A hive that nobody gave a name. */
const UNNAMED = '1';

/**
 * What is known of the colony of a situation.
 *
 * @param situation a colony on a day; what is left out is not known
 * @returns the facts that the judges rest on
 * @throws UnfitSituation with every fault that was found
 */
export function factsOf(situation: Situation): ColonyFacts {
  const faults = new Faults();
  const { date, hive, colony = {}, events = [], before = [], visit = {} } = situation;
  const stack = stackOf(hive.stack, faults);
  const season = seasonOf(situation, faults);
  events.forEach((event, at) => {
    if (event.date > date) faults.add(['events', at, 'date'], say('event-ahead', { date: event.date, today: date }));
  });
  before.forEach((look, at) => {
    if (look.date >= date)
      faults.add(['before', at, 'date'], say('before-is-not-before', { date: look.date, today: date }));
  });
  faults.throwAny();
  const earlier = before
    .map((look, at) => ({ date: look.date, read: readVisit(look, stack, look.date, ['before', at], faults) }))
    .sort((a, b) => a.date.localeCompare(b.date));
  const now = readVisit(visit, stack, date, ['visit'], faults);
  faults.throwAny();
  return colonyFacts({
    hive: hive.name ?? UNNAMED,
    today: date,
    now,
    before: earlier,
    questions: visit.questions ?? ['laying'],
    season,
    queenClipped: colony.queen?.clipped ?? false,
    untreated: situation.untreated ?? [],
    strain: colony.strain ?? 'cuts-down',
    queenYear:
      colony.queen?.year ??
      (colony.queen?.mark && colony.queen.mark !== 'none'
        ? yearOfMark(colony.queen.mark, Number(date.slice(0, 4)))
        : null),
    events: withSeen(events, [...earlier, { date, read: now }]).toSorted((a, b) => a.date.localeCompare(b.date)),
    practice: withDefaults(DEFAULT_CARE, situation.practice),
  });
}

/**
 * Judges a situation.
 *
 * @param situation a colony on a day
 * @returns facts and ranked advice, without a language
 * @throws UnfitSituation with every fault that was found
 */
export function judgeSituation(situation: Situation): Judgement {
  const facts = factsOf(situation);
  return { facts, advice: adviseColony(facts) };
}
