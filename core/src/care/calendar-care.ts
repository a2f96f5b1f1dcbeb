import { DEVELOPMENT } from '../biology';
import { nectarOn } from '../season';
import { type CivilDate, addDays, dayAndMonth, daysBetween, roundTo, upperFirst, spoken } from '../units';
import type { ColonyEvent } from './colony-event';
import type { CalendarFacts, SourceDue } from './calendar-types';
import { BRINGS, flyable } from './expected';
import { TAKES, dailyOf, feedingsOf, runsOut } from './feed-uptake';
import { standing } from './standing-event';
import { type Course, boundBy, coursesOf } from './treatments';

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

const LABEL = 'By its label; the label and local law lead';

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
      title: `${medicine}: dose ${course.given + 1} of ${course.planned}`,
      from: addDays(nextDose, -1),
      due: addDays(nextDose, 1),
      why: `${LABEL}: every ${course.repeatAfter} days, the last on ${dayAndMonth(lastDose, facts.today)}${warmthAhead(facts)}`,
      strict: 'must',
      question: null,
      bring: `${medicine}, protective gear of the label`,
      opens: true,
      lapses: null,
    });
  if (course.toTakeOut) {
    const from = nextDose === null ? addDays(lastDose, course.removeAfter ?? 0) : end;
    dues.push({
      id: named('treatment-out'),
      title: `${medicine}: take it out`,
      from,
      due: addDays(from, 3),
      why: `${LABEL}: out ${course.removeAfter} days after the last dose. Left longer it breeds resistance, and its withdrawal begins only when it is out`,
      strict: 'must',
      question: 'Out and counted?',
      bring: 'Gloves, bag',
      opens: true,
      lapses: null,
    });
  }
  if (freeFrom !== null && daysBetween(facts.today, freeFrom) >= 0)
    dues.push({
      id: named('withdrawal'),
      title: `${medicine}: withdrawal ends`,
      from: freeFrom,
      due: freeFrom,
      why: `${LABEL}: ${course.withdrawal} days from ${dayAndMonth(end, facts.today)}${course.ended ? '' : ', later if it is taken out later'}. A new super for harvest not before; a box that stood on stays locked`,
      strict: 'must',
      question: null,
      bring: null,
      opens: false,
      lapses: freeFrom,
    });
  if (nextDose === null)
    dues.push({
      id: named('mites-after'),
      title: `Count mites again after ${medicine}`,
      from: addDays(end, 7),
      due: addDays(end, 21),
      why: `Whether ${medicine} worked shows only in a count after it`,
      strict: 'should',
      question: 'Mites per 100 bees?',
      bring: 'Mite wash kit',
      opens: true,
      lapses: addDays(end, 45),
    });
  return dues;
}

/** Many medicines work and are borne within a span of warmth only: what the forecast says of it. */
function warmthAhead({ days, today }: CalendarFacts): string {
  const highs = days
    .filter(({ date }) => daysBetween(today, date) >= 0 && daysBetween(today, date) < 7)
    .map(({ high }) => high);
  if (highs.length === 0) return '';
  const [least, most] = [Math.min(...highs), Math.max(...highs)].map((high) => roundTo(high, 0));
  return `. The coming days reach ${least} to ${most} °C: see that this lies within the label’s span`;
}

/** How long a feed keeps: thin syrup ferments within days in the warm, saturated syrup does not. Common practice. */
const KEEPS: Readonly<Record<Extract<ColonyEvent, { kind: 'feed' }>['what'], string>> = {
  'thin-syrup': '; plain thin syrup keeps three to four days in the warm',
  'thick-syrup': '; thick syrup keeps for weeks, so what stays is not wanted',
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
      title: `${upperFirst(spoken(feed.what))}: feeder empty?`,
      from: addDays(empty, -1),
      due: addDays(empty, 3),
      why: `${roundTo(feed.kg, 1)} kg given ${dayAndMonth(feed.date, facts.today)} to ${roundTo(facts.framesOfBees, 0)} frames of bees${KEEPS[feed.what]}`,
      strict: 'should',
      question: 'Taken? More? Or ignored, then off with it',
      bring: spoken(feed.what),
      opens: false,
      lapses: addDays(empty, 24),
    });
  }
  if (patty) {
    const gone = runsOut(patty.date, patty.kg, TAKES.patty, facts.framesOfBees);
    dues.push({
      id: `patty:${patty.date}`,
      title: 'Patty eaten?',
      from: addDays(gone, -1),
      due: addDays(gone, 3),
      why: `${roundTo(patty.kg, 2)} kg given ${dayAndMonth(patty.date, facts.today)}; a strong hive takes half a kilogram a week, and what stays feeds beetles and moths`,
      strict: 'may',
      question: 'Patty eaten? Pollen in the nest?',
      bring: 'Patty',
      opens: true,
      lapses: addDays(gone, 24),
    });
  }
  return dues;
}

/** A super filled this far makes the next one due: 30 of 35 lb. */
const NEXT_AT = 0.86;
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
    kg += nectarOn(facts.forage, date) * flyable(weather.get(date)) * facts.framesOfBees * BRINGS;
    if (kg >= holdsKg * NEXT_AT) return date;
  }
  return null;
}

function superPart(facts: CalendarFacts): readonly SourceDue[] {
  const on = standing(facts, 'super-on', ['super-off', 'super-left-as-winter-food']);
  if (!on) return [];
  const binding = boundBy(coursesOf(facts.events, facts.today), on.date);
  if (binding) {
    const free =
      binding.freeFrom === null ? 'an unknown day: enter its withdrawal' : dayAndMonth(binding.freeFrom, facts.today);
    return [
      {
        id: `super-inside-withdrawal:${on.date}`,
        title: 'Super inside a withdrawal: mark it, not for harvest',
        from: on.date,
        due: on.date,
        why: `Put on ${dayAndMonth(on.date, facts.today)}; ${binding.medicine} of ${dayAndMonth(binding.from, facts.today)} binds honey until ${free}. What they store in this box is not for people: take it off or mark it as their own food. The label and local law lead`,
        strict: 'must',
        question: 'Box off, or marked?',
        bring: 'Marker, label',
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
        title: 'Super on while they are fed: mark it, not for harvest',
        from: on.date,
        due: on.date,
        why: `Put on ${dayAndMonth(on.date, facts.today)}; the ${spoken(fed.what)} of ${dayAndMonth(fed.from, facts.today)} is carried down until about ${dayAndMonth(fed.until, facts.today)}, into this box as well. Sugar in honey is no honey: feeder off, or the box marked as their own food`,
        strict: 'must',
        question: 'Feeder off, or box marked?',
        bring: 'Marker, label',
        opens: true,
        lapses: addDays(fed.until, 60),
      },
    ];
  const full = superFullOn(on.date, on.holdsKg, facts);
  if (!full) return [];
  return [
    {
      id: `super-full:${on.date}`,
      title: 'Super full? Next one on',
      from: addDays(full, -3),
      due: addDays(full, 3),
      why: `On since ${dayAndMonth(on.date, facts.today)}; by what is in bloom it holds ${roundTo(on.holdsKg * NEXT_AT, 0)} of ${roundTo(on.holdsKg, 0)} kg about ${dayAndMonth(full, facts.today)}, ${roundTo((on.holdsKg * NEXT_AT) / Math.max(1, daysBetween(on.date, full)), 1)} kg a day`,
      strict: 'should',
      question: 'How full is the super? Lift or look at the outer frame',
      bring: 'Super',
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
      title: 'Drone comb out before it emerges',
      from: capped,
      due: addDays(emerge, -1),
      why: `In since ${dayAndMonth(comb.date, facts.today)}: drones emerge from ${dayAndMonth(emerge, facts.today)}, day ${daysBetween(comb.date, emerge)}, and every mite on them with them. Left in, it breeds mites`,
      strict: 'must',
      question: 'Sealed? Cut out or frozen?',
      bring: 'Empty drone frame, bag',
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
      title: `Suspicion of ${suspicion.of}: look again or ask`,
      from: addDays(suspicion.date, 1),
      due: addDays(suspicion.date, 7),
      why: `Seen ${dayAndMonth(suspicion.date, facts.today)}. Nothing leaves this hive, tools are cleaned. Some diseases must be reported at once: the inspector and local law decide`,
      strict: 'must',
      question: 'Cappings, larvae, ropiness test, sample?',
      bring: 'Matches, sample box, washing soda',
      opens: true,
      lapses: null,
    },
  ];
}
