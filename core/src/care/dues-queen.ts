import { DEVELOPMENT, type QueenStart, type QueenTimetable, daysToEmergence, queenTimetable } from '../biology';
import { type CivilDate, addDays, daysBetween, laterOf } from '../units';
import type { CalendarFacts, Dates } from './dues-types';
import { newColonyPlan } from './new-colony';
import { standing } from './standing-event';
import { say } from './said';

/** Days after which a new colony's timeline is over. */
const SETTLED = 60;

/**
 * Dates that queens, young colonies and brood breaks set.
 *
 * @param facts the colony
 * @returns dues and rests
 */
export function queenDates(facts: CalendarFacts): Dates {
  const all = [queenPart(facts), hivedPart(facts), broodPart(facts)];
  return { dues: all.flatMap((each) => each.dues), rests: all.flatMap((each) => each.rests) };
}

/** A queen that nobody saw lay is asked after for so many days past the day of worry. */
const QUEEN_LAPSES = 28;

/**
 * The queen that a colony waits for, with her timetable; `null` once eggs were seen that can be hers, or when her time is long over. Eggs from
 * before the day on which she can lay are those of the queen before her.
 */
export function queenInTheMaking(
  facts: Pick<CalendarFacts, 'events' | 'matingDays' | 'today'>,
): { readonly start: QueenStart; readonly date: CivilDate; readonly plan: QueenTimetable } | null {
  const queen = standing(facts, 'queen', []) ?? queenOfSplit(facts);
  if (!queen) return null;
  const plan = queenTimetable(queen.start, queen.date, facts.matingDays);
  const lays = facts.events.some(({ kind, date }) => kind === 'eggs-seen' && date >= plan.laying.from);
  return lays || daysBetween(plan.worry, facts.today) > QUEEN_LAPSES
    ? null
    : { start: queen.start, date: queen.date, plan };
}

/** A split that got no queen lost her on its day. */
function queenOfSplit(facts: Pick<CalendarFacts, 'events'>): { start: QueenStart; date: CivilDate } | null {
  const hived = standing(facts, 'hived', []);
  return hived?.as === 'split-without-a-queen' ? { start: 'queen-lost', date: hived.date } : null;
}

function queenPart(facts: CalendarFacts): Dates {
  const queen = queenInTheMaking(facts);
  if (!queen) return { dues: [], rests: [] };
  const { plan } = queen;
  const began = say('queen-start', { start: queen.start, date: queen.date, today: facts.today });
  const mating = plan.mating
    ? say('mature-days-fit-mating', {
        mature: plan.mature!,
        today: facts.today,
        fitDays: plan.mating.fitDays,
        to: plan.mating.to,
      })
    : '';
  const common = {
    question: say('eggs-young-larvae'),
    opens: true,
    lapses: addDays(plan.worry, QUEEN_LAPSES),
  } as const;
  return {
    dues: [
      {
        ...common,
        id: `queen-eggs:${queen.date}`,
        title: say('she-laying'),
        from: laterOf(plan.laying.from, addDays(plan.alone.to, 1)),
        due: laterOf(plan.laying.to, addDays(plan.alone.to, 2)),
        why: say('queen-raised', { began, emerges: plan.emerges?.from ?? null, today: facts.today, mating }),
        strict: 'should',
        bring: null,
      },
      {
        ...common,
        id: `queen-worry:${queen.date}`,
        title: say('eggs-yet-act-now'),
        from: addDays(plan.worry, -1),
        due: addDays(plan.worry, 2),
        why: say('without-eggs-she-lost-mated', { began, worry: plan.worry, today: facts.today }),
        strict: 'must',
        bring: say('frame-eggs-queen'),
      },
    ],
    rests: [
      {
        ...plan.alone,
        cause: 'young-queen',
        why: plan.emerges ? say('young-queen-emerges-flies-mates') : say('queen-put-disturbed-early-she'),
        strict: 'must',
      },
    ],
  };
}

function hivedPart(facts: CalendarFacts): Dates {
  const hived = standing(facts, 'hived', []);
  if (!hived || daysBetween(hived.date, facts.today) > SETTLED) return { dues: [], rests: [] };
  const plan = newColonyPlan(hived.as, hived.date);
  const done = (due: string) =>
    facts.openings.some(({ date }) => daysBetween(addDays(due, -4), date) >= 0 && daysBetween(hived.date, date) > 0);
  return {
    dues: plan.steps
      .filter((step) => !done(step.due))
      .map(({ key, title, question, bring, from, due, strict }) => ({
        id: `new-${key}:${hived.date}`,
        title,
        from,
        due,
        strict,
        question,
        bring,
        opens: true,
        lapses: addDays(hived.date, SETTLED),
        why: say('day-another-school', {
          as: hived.as,
          date: hived.date,
          today: facts.today,
          daysBetween: daysBetween(hived.date, from),
          otherSchool: plan.otherSchool,
        }),
      })),
    rests: plan.alone.map(({ from, to, why }) => ({
      cause: 'young-queen' as const,
      from,
      to,
      why,
      strict: 'should' as const,
    })),
  };
}

/** Last day of the first weeks of a new colony, in which it is looked at by its own plan and by no other; `null` when it is none. */
export function firstWeeksTo(facts: CalendarFacts): CivilDate | null {
  const hived = standing(facts, 'hived', []);
  if (!hived) return null;
  const asked = newColonyPlan(hived.as, hived.date).steps.filter(({ strict }) => strict !== 'may');
  return asked.reduce<CivilDate>((last, { due }) => laterOf(last, due), hived.date);
}

/** No sealed brood left: the days on which acids reach every mite. */
function broodPart(facts: CalendarFacts): Dates {
  const stopped = standing(facts, 'brood-stopped', ['eggs-seen']);
  if (!stopped) return { dues: [], rests: [] };
  const { egg, larva } = DEVELOPMENT.worker;
  const open = addDays(stopped.date, egg + larva);
  const free = addDays(stopped.date, daysToEmergence('worker'));
  const drones = addDays(stopped.date, daysToEmergence('drone'));
  return {
    dues: [
      {
        id: `brood-free:${stopped.date}`,
        title: say('sealed-brood-time-treat'),
        from: free,
        due: addDays(drones, 3),
        why: say('laying-stopped-last-worker-brood', { date: stopped.date, today: facts.today, open, free, drones }),
        strict: 'should',
        question: say('any-sealed-brood-left'),
        bring: say('what-label-asks-gloves-goggles'),
        opens: true,
        lapses: addDays(drones, 10),
      },
    ],
    rests: [],
  };
}
