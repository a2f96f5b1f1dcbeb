import { DEVELOPMENT } from '../biology';
import { nectarOn } from '../season';
import { type CivilDate, addDays, dayAndMonth, daysBetween, roundTo, upperFirst } from '../units';
import type { CalendarFacts, Dates, SourceDue } from './calendar-types';
import { BRINGS, flyable } from './expected';
import { standing } from './standing-event';

/**
 * Dates that treatments, feeds, supers, drone comb and suspicions set.
 *
 * @param facts the colony
 * @returns dues and rests
 */
export function careDates(facts: CalendarFacts): Dates {
  const treated = treatmentPart(facts);
  return {
    dues: [...treated.dues, ...feedPart(facts), ...superPart(facts), ...dronePart(facts), ...suspicionPart(facts)],
    rests: treated.rests,
  };
}

function treatmentPart(facts: CalendarFacts): Dates {
  const last = standing(facts, 'treatment', []);
  if (!last) return { dues: [], rests: [] };
  const out = standing(facts, 'treatment out', []);
  const isOut = out !== null && daysBetween(last.date, out.date) >= 0;
  const given = facts.events.filter((event) => event.kind === 'treatment' && event.medicine === last.medicine);
  const course = given.filter(({ date }) => daysBetween(date, last.date) <= (last.repeatAfter ?? 0) * last.doses);
  const left = last.doses - course.length;
  const lastDose = left > 0 ? addDays(last.date, left * (last.repeatAfter ?? 0)) : last.date;
  const end = isOut ? out.date : addDays(lastDose, last.removeAfter ?? 0);
  const freeFrom = last.withdrawal === null ? null : addDays(end, last.withdrawal);
  const dues: SourceDue[] = [];
  const label = 'By its label; the label and local law lead';
  if (left > 0 && last.repeatAfter !== null)
    dues.push({
      id: 'treatment-repeat',
      title: `${last.medicine}: dose ${course.length + 1} of ${last.doses}`,
      from: addDays(last.date, last.repeatAfter - 1),
      due: addDays(last.date, last.repeatAfter + 1),
      why: `${label}: every ${last.repeatAfter} days${warmthAhead(facts)}`,
      strict: 'must',
      question: null,
      bring: `${last.medicine}, protective gear of the label`,
      opens: true,
    });
  if (last.removeAfter !== null && !isOut)
    dues.push({
      id: 'treatment-out',
      title: `${last.medicine}: take it out`,
      from: end,
      due: addDays(end, 3),
      why: `${label}: out ${last.removeAfter} days after the last dose; left longer it breeds resistance`,
      strict: 'must',
      question: 'Out and counted?',
      bring: 'Gloves, bag',
      opens: true,
    });
  if (freeFrom !== null && daysBetween(facts.today, freeFrom) >= 0)
    dues.push({
      id: 'withdrawal',
      title: `${last.medicine}: withdrawal ends`,
      from: freeFrom,
      due: freeFrom,
      why: `${label}: no honey for people from this hive before ${dayAndMonth(freeFrom)}`,
      strict: 'must',
      question: null,
      bring: null,
      opens: false,
    });
  if (left <= 0 || last.repeatAfter === null)
    dues.push({
      id: 'mites-after',
      title: 'Count mites again',
      from: addDays(end, 7),
      due: addDays(end, 21),
      why: `Whether ${last.medicine} worked shows only in a count after it`,
      strict: 'should',
      question: 'Mites per 100 bees?',
      bring: 'Mite wash kit',
      opens: true,
    });
  return { dues: dues.filter(({ due }) => daysBetween(due, facts.today) <= 60), rests: [] };
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

/** Taken in a day by a frame of bees, kg of syrup, of solid feed, and of patty: 0.45 kg of patty a week in a brimming deep box. */
const TAKES = { syrup: 0.12, solid: 0.02, patty: 0.0065 } as const;

const runsOut = (date: CivilDate, kg: number, perFrame: number, frames: number): CivilDate =>
  addDays(date, Math.min(42, Math.max(2, Math.round(kg / (perFrame * Math.max(2, frames))))));

function feedPart(facts: CalendarFacts): readonly SourceDue[] {
  const feed = standing(facts, 'feed', ['feeder empty']);
  const patty = standing(facts, 'patty', []);
  const dues: SourceDue[] = [];
  if (feed) {
    const liquid = feed.what.includes('syrup');
    const empty = runsOut(feed.date, feed.kg, liquid ? TAKES.syrup : TAKES.solid, facts.framesOfBees);
    dues.push({
      id: 'feed',
      title: `${upperFirst(feed.what)}: feeder empty?`,
      from: addDays(empty, -1),
      due: addDays(empty, 3),
      why: `${roundTo(feed.kg, 1)} kg given ${dayAndMonth(feed.date)} to ${roundTo(facts.framesOfBees, 0)} frames of bees${liquid ? '; plain syrup keeps three to four days' : ''}`,
      strict: 'should',
      question: 'Taken? More? Or ignored, then off with it',
      bring: feed.what,
      opens: false,
    });
  }
  if (patty) {
    const gone = runsOut(patty.date, patty.kg, TAKES.patty, facts.framesOfBees);
    dues.push({
      id: 'patty',
      title: 'Patty eaten?',
      from: addDays(gone, -1),
      due: addDays(gone, 3),
      why: `${roundTo(patty.kg, 2)} kg given ${dayAndMonth(patty.date)}; a strong hive takes half a kilogram a week, and what stays feeds beetles and moths`,
      strict: 'may',
      question: 'Patty eaten? Pollen in the nest?',
      bring: 'Patty',
      opens: true,
    });
  }
  return dues.filter(({ due }) => daysBetween(due, facts.today) <= 21);
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
  const on = standing(facts, 'super on', ['super off']);
  if (!on) return [];
  const full = superFullOn(on.date, on.holdsKg, facts);
  if (!full) return [];
  return [
    {
      id: 'super-full',
      title: 'Super full? Next one on',
      from: addDays(full, -3),
      due: addDays(full, 3),
      why: `On since ${dayAndMonth(on.date)}; by what is in bloom it holds ${roundTo(on.holdsKg * NEXT_AT, 0)} of ${roundTo(on.holdsKg, 0)} kg about ${dayAndMonth(full)}`,
      strict: 'should',
      question: 'How full is the super? Lift or look at the outer frame',
      bring: 'Super',
      opens: true,
    },
  ];
}

function dronePart(facts: CalendarFacts): readonly SourceDue[] {
  const comb = standing(facts, 'drone comb in', ['drone comb out']);
  if (!comb) return [];
  const { egg, larva, sealed } = DEVELOPMENT.drone;
  const capped = addDays(comb.date, Math.ceil(egg + larva) + 5);
  const emerge = addDays(comb.date, Math.floor(egg + larva + sealed));
  return [
    {
      id: 'drone-comb',
      title: 'Drone comb out before it emerges',
      from: capped,
      due: addDays(emerge, -1),
      why: `In since ${dayAndMonth(comb.date)}: drones emerge from ${dayAndMonth(emerge)}, day ${daysBetween(comb.date, emerge)}, and every mite on them with them. Left in, it breeds mites`,
      strict: 'must',
      question: 'Sealed? Cut out or frozen?',
      bring: 'Empty drone frame, bag',
      opens: true,
    },
  ];
}

function suspicionPart(facts: CalendarFacts): readonly SourceDue[] {
  const suspicion = standing(facts, 'suspicion', ['suspicion settled']);
  if (!suspicion) return [];
  return [
    {
      id: 'disease',
      title: `Suspicion of ${suspicion.of}: look again or ask`,
      from: addDays(suspicion.date, 1),
      due: addDays(suspicion.date, 7),
      why: `Seen ${dayAndMonth(suspicion.date)}. Nothing leaves this hive, tools are cleaned. Some diseases must be reported at once: the inspector and local law decide`,
      strict: 'must',
      question: 'Lids, larvae, matchstick test, sample?',
      bring: 'Matches, sample box, washing soda',
      opens: true,
    },
  ];
}
