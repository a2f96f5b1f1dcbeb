import { DEVELOPMENT } from '../biology';
import { onDay } from '../language';
import { nectarOn } from '../season';
import { type CivilDate, addDays, daysBetween } from '../units';
import type { ColonyEvent } from './colony-event';
import type { CalendarFacts, SourceDue } from './dues-types';
import { GATHERS, flyable } from './colony-days';
import { TAKES, dailyOf, feedingsOf, runsOut } from './feed-uptake';
import { standing } from './standing-event';
import { type Course, coursesOf } from './treatments';
import { boundBy } from './withdrawal';
import { say } from './said';
import { type Text, named } from '../language';

/**
 * Dates that treatments, feeds, supers, drone comb and suspicions set.
 *
 * @param facts the colony
 * @returns dues
 */
export function careDates(facts: CalendarFacts): readonly SourceDue[] {
  return [
    ...treatmentDues(facts),
    ...feedPart(facts),
    ...superPart(facts),
    ...dronePart(facts),
    ...suspicionPart(facts),
  ];
}

const LABEL = say('label-label-local-law-lead');

const treatmentDues = (facts: CalendarFacts): readonly SourceDue[] =>
  coursesOf(facts.events, facts.today).flatMap((course) => courseDues(facts, course));

/** What one course of a medicine asks for, under names that stay while it lasts. */
function courseDues(facts: CalendarFacts, course: Course): readonly SourceDue[] {
  const { medicine, lastDose, nextDose, end, freeFrom } = course;
  const named = (what: string) => `${what}:${medicine.trim().toLowerCase().replaceAll(/\s+/g, '-')}:${course.from}`;
  const dues: SourceDue[] = [];
  if (nextDose !== null)
    dues.push({
      id: `${named('treatment-repeat')}:${course.given + 1}`,
      title: say('dose-of', { medicine, given: course.given + 1, planned: course.planned }),
      from: addDays(nextDose, -1),
      due: addDays(nextDose, 1),
      why: say('every-days-last', {
        label: LABEL,
        repeatAfter: course.repeatAfter,
        lastDose,
        today: facts.today,
        warmthAhead: warmthAhead(facts),
      }),
      strict: 'must',
      question: null,
      bring: say('protective-gear-label', { medicine }),
      opens: true,
      lapses: null,
    });
  if (course.toTakeOut) {
    const from = nextDose === null ? addDays(lastDose, course.removeAfter ?? 0) : end;
    dues.push({
      id: named('treatment-out'),
      title: say('take-out', { medicine }),
      from,
      due: addDays(from, 3),
      why: say('out-days-after-last-dose', { label: LABEL, removeAfter: course.removeAfter }),
      strict: 'must',
      question: say('out-counted'),
      bring: say('gloves-bag'),
      opens: true,
      lapses: null,
    });
  }
  if (!course.supersAllowed && freeFrom !== null && daysBetween(facts.today, freeFrom) >= 0)
    dues.push({
      id: named('withdrawal'),
      title: say('withdrawal-ends', { medicine }),
      from: freeFrom,
      due: freeFrom,
      why: say('days-new-super-harvest-before', {
        label: LABEL,
        withdrawal: course.withdrawal,
        end,
        today: facts.today,
        ended: course.ended,
      }),
      strict: 'must',
      question: null,
      bring: null,
      opens: false,
      lapses: freeFrom,
    });
  if (nextDose === null)
    dues.push({
      id: named('mites-after'),
      title: say('count-mites-again-after', { medicine }),
      from: addDays(end, 7),
      due: addDays(end, 21),
      why: say('whether-worked-shows-only-count', { medicine }),
      strict: 'should',
      question: say('mites-per-bees'),
      bring: say('mite-wash-kit'),
      opens: true,
      lapses: addDays(end, 45),
    });
  return dues;
}

/** Many medicines work and are borne within a span of warmth only: what the forecast says of it. */
function warmthAhead({ days, today }: CalendarFacts): Text {
  const highs = days
    .filter(({ date }) => daysBetween(today, date) >= 0 && daysBetween(today, date) < 7)
    .map(({ high }) => high);
  if (highs.length === 0) return '';
  return say('coming-days-reach-c-see', { least: Math.min(...highs), most: Math.max(...highs) });
}

/** How long a feed keeps: thin syrup ferments within days in the warm, saturated syrup does not. Common practice. */
const KEEPS: Readonly<Record<Extract<ColonyEvent, { kind: 'feed' }>['what'], Text>> = {
  'thin-syrup': say('plain-thin-syrup-keeps-three'),
  'thick-syrup': say('thick-syrup-keeps-weeks-what'),
  fondant: '',
  'dry-sugar': '',
};

function feedPart(facts: CalendarFacts): readonly SourceDue[] {
  const feed = standing(facts, 'feed', ['feeder-empty']);
  const patty = standing(facts, 'patty', []);
  const dues: SourceDue[] = [];
  if (feed) {
    const empty = runsOut(feed.date, feed.kg, dailyOf(feed), facts.framesOfBees);
    dues.push({
      id: `feed:${feed.date}`,
      title: say('feeder-empty', { what: feed.what }),
      from: addDays(empty, -1),
      due: addDays(empty, 3),
      why: say('kg-given-frames-bees', {
        kg: feed.kg,
        date: feed.date,
        today: facts.today,
        framesOfBees: facts.framesOfBees,
        keeps: KEEPS[feed.what],
      }),
      strict: 'should',
      question: say('taken-more-ignored-then-off'),
      bring: named('feed', feed.what),
      opens: false,
      lapses: addDays(empty, 24),
    });
  }
  if (patty) {
    const gone = runsOut(patty.date, patty.kg, TAKES.patty, facts.framesOfBees);
    dues.push({
      id: `patty:${patty.date}`,
      title: say('patty-eaten'),
      from: addDays(gone, -1),
      due: addDays(gone, 3),
      why: say('kg-given-strong-hive-takes', { kg: patty.kg, date: patty.date, today: facts.today }),
      strict: 'may',
      question: say('patty-eaten-pollen-nest'),
      bring: say('patty'),
      opens: true,
      lapses: addDays(gone, 24),
    });
  }
  return dues;
}

/** A super filled this far makes the next one due: 30 of 35 lb. */
const NEXT_AT = 0.86;
/** Days ahead over which a super’s filling is followed. Common practice. */
const HORIZON = 28;

/** When a super is full by what is in bloom, bees and weather, within four weeks; `null` when it is not. */
export function superFullOn(
  on: CivilDate,
  holdsKg: number,
  facts: Pick<CalendarFacts, 'forage' | 'days' | 'framesOfBees' | 'today'>,
): CivilDate | null {
  const weather = new Map(facts.days.map((day) => [day.date, day]));
  let kg = 0;
  for (let day = 1; day <= daysBetween(on, facts.today) + HORIZON; day += 1) {
    const date = addDays(on, day);
    kg += nectarOn(facts.forage, date) * flyable(weather.get(date)) * facts.framesOfBees * GATHERS;
    if (kg >= holdsKg * NEXT_AT) return date;
  }
  return null;
}

function superPart(facts: CalendarFacts): readonly SourceDue[] {
  const on = standing(facts, 'super-on', ['super-off', 'super-left-as-winter-food']);
  if (!on) return [];
  const binding = boundBy(coursesOf(facts.events, facts.today), on.date);
  if (binding) {
    const free = binding.freeFrom === null ? say('unknown-day-enter-withdrawal') : onDay(binding.freeFrom, facts.today);
    return [
      {
        id: `super-inside-withdrawal:${on.date}`,
        title: say('super-inside-withdrawal-mark-harvest'),
        from: on.date,
        due: on.date,
        why: say('put-binds-honey-until-what', {
          date: on.date,
          today: facts.today,
          medicine: binding.medicine,
          from: binding.from,
          free,
        }),
        strict: 'must',
        question: say('box-off-marked'),
        bring: say('marker-label'),
        opens: true,
        lapses: null,
      },
    ];
  }
  const fed = feedingsOf(facts.events, facts.framesOfBees).find(
    ({ from, until }) => from <= on.date && on.date < until,
  );
  if (fed)
    return [
      {
        id: `super-with-feed:${on.date}`,
        title: say('super-while-fed-mark-harvest'),
        from: on.date,
        due: on.date,
        why: say('put-carried-down-until-about', {
          date: on.date,
          today: facts.today,
          what: fed.what,
          from: fed.from,
          until: fed.until,
        }),
        strict: 'must',
        question: say('feeder-off-box-marked'),
        bring: say('marker-label'),
        opens: true,
        lapses: addDays(fed.until, 60),
      },
    ];
  const full = superFullOn(on.date, on.holdsKg, facts);
  if (!full) return [];
  return [
    {
      id: `super-full:${on.date}`,
      title: say('super-full-next-one'),
      from: addDays(full, -3),
      due: addDays(full, 3),
      why: say('since-what-bloom-holds-kg', {
        date: on.date,
        today: facts.today,
        holdsKg: on.holdsKg * NEXT_AT,
        holdsKg2: on.holdsKg,
        full,
        holdsKg3: (on.holdsKg * NEXT_AT) / Math.max(1, daysBetween(on.date, full)),
      }),
      strict: 'should',
      question: say('how-full-super-lift-look'),
      bring: say('super'),
      opens: true,
      lapses: addDays(full, 24),
    },
  ];
}

function dronePart(facts: CalendarFacts): readonly SourceDue[] {
  const comb = standing(facts, 'drone-comb-in', ['drone-comb-out']);
  if (!comb) return [];
  const { egg, larva, sealed } = DEVELOPMENT.drone;
  const capped = addDays(comb.date, Math.ceil(egg + larva) + 5);
  const emerge = addDays(comb.date, Math.floor(egg + larva + sealed));
  return [
    {
      id: `drone-comb:${comb.date}`,
      title: say('drone-comb-out-before-emerges'),
      from: capped,
      due: addDays(emerge, -1),
      why: say('since-drones-emerge-day-every', {
        date: comb.date,
        today: facts.today,
        emerge,
        daysBetween: daysBetween(comb.date, emerge),
      }),
      strict: 'must',
      question: say('sealed-cut-out-frozen'),
      bring: say('empty-drone-frame-bag'),
      opens: true,
      lapses: addDays(emerge, 21),
    },
  ];
}

function suspicionPart(facts: CalendarFacts): readonly SourceDue[] {
  const suspicion = standing(facts, 'suspicion', ['suspicion-settled']);
  if (!suspicion) return [];
  return [
    {
      id: `disease:${suspicion.date}`,
      title: say('suspicion-look-again-ask', { of: suspicion.of }),
      from: addDays(suspicion.date, 1),
      due: addDays(suspicion.date, 7),
      why: say('seen-nothing-leaves-hive-tools', { date: suspicion.date, today: facts.today }),
      strict: 'must',
      question: say('cappings-larvae-ropiness-test-sample'),
      bring: say('matches-sample-box-washing-soda'),
      opens: true,
      lapses: null,
    },
  ];
}
