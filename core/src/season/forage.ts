import { type CivilDate, addDays, daysBetween } from '../units';

/** A plant in bloom at a site, seen or expected. */
export interface Forage {
  readonly plant: string;
  /** What it is worth to bees: 0 nothing, 1 a little, 2 useful, 3 good, 4 a main source. */
  readonly nectar: number;
  readonly pollen: number;
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** Days either way that the expected dates may be off; 0 for dates that were seen. */
  readonly giveOrTake: number;
}

/** What a plant gives, in words. */
export function gives({
  nectar,
  pollen,
}: Pick<Forage, 'nectar' | 'pollen'>): 'nectar' | 'pollen' | 'nectar-and-pollen' {
  if (pollen === 0) return 'nectar';
  return nectar === 0 ? 'pollen' : 'nectar-and-pollen';
}

/**
 * Plants in bloom on a day.
 *
 * @param forage plants of the site
 * @param date civil date
 * @returns those whose bloom spans the day
 */
export function inBloom<T extends Pick<Forage, 'from' | 'to'>>(forage: readonly T[], date: CivilDate): readonly T[] {
  return forage.filter(({ from, to }) => from <= date && date <= to);
}

/** Worth of all pollen of some plants. */
export const pollenWorth = (forage: readonly Pick<Forage, 'pollen'>[]): number =>
  forage.reduce((sum, { pollen }) => sum + pollen, 0);

/** Plants of a list that give nectar worth speaking of. */
export const nectarOf = <T extends Pick<Forage, 'nectar'>>(forage: readonly T[]): readonly T[] =>
  forage.filter((each) => each.nectar > 0);

/** A stretch of the year by what the flowers give. */
export interface ForageSpan {
  readonly kind: 'flow' | 'gap';
  readonly from: CivilDate;
  readonly to: CivilDate;
  /** Plants that carry a flow, strongest first; for a gap those on either side. */
  readonly plants: readonly string[];
  /** Days either way that its beginning may be off. */
  readonly giveOrTake: number;
}

/** Nectar worth from which a flow is spoken of: a main source, or several good ones. Common practice. */
export const FLOW_NECTAR = 4;
/** Nectar worth up to which there is a gap. Common practice. */
export const GAP_NECTAR = 1;
/** Days that a gap lasts at least. Common practice. */
const SHORTEST_GAP = 7;

/** Worth of all nectar in bloom on a day; a plant's first and last days count half. */
export function nectarOn(forage: readonly Forage[], date: CivilDate): number {
  return inBloom(forage, date).reduce((sum, { nectar, from, to }) => {
    const edge = Math.min(daysBetween(from, date), daysBetween(date, to));
    return sum + nectar * (edge < 2 ? 0.5 : 1);
  }, 0);
}

/**
 * Flows and gaps between two dates. A gap is at least a week with next to no nectar between two flowering stretches.
 *
 * @param forage plants of the site with this year's dates
 * @param from first date
 * @param to last date
 * @returns spans in order of time
 * @throws RangeError for a malformed date
 */
export function forageSpans(forage: readonly Forage[], from: CivilDate, to: CivilDate): readonly ForageSpan[] {
  const days = Array.from({ length: daysBetween(from, to) + 1 }, (_, day) => addDays(from, day));
  const worth = days.map((date) => nectarOn(forage, date));
  const spans: ForageSpan[] = [];
  const firstNectar = worth.findIndex((each) => each > GAP_NECTAR);
  const lastNectar = worth.findLastIndex((each) => each > GAP_NECTAR);
  const kindOf = (day: number): ForageSpan['kind'] | null => {
    if (worth[day]! >= FLOW_NECTAR) return 'flow';
    return worth[day]! <= GAP_NECTAR && day > firstNectar && day < lastNectar ? 'gap' : null;
  };
  for (let first = 0; first < days.length;) {
    const kind = kindOf(first);
    let end = first + 1;
    while (end < days.length && kindOf(end) === kind) end += 1;
    if (kind === 'flow' || (kind === 'gap' && end - first >= SHORTEST_GAP)) {
      const [begins, ends] = [days[first]!, days[end - 1]!];
      const plants =
        kind === 'flow'
          ? [...nectarOf(inBloom(forage, addDays(begins, Math.floor((end - first) / 2))))]
          : [...nectarOf(inBloom(forage, addDays(begins, -1))), ...nectarOf(inBloom(forage, addDays(ends, 1)))];
      spans.push({
        kind,
        from: begins,
        to: ends,
        plants: [...new Set(plants.sort((a, b) => b.nectar - a.nectar).map((each) => each.plant))].slice(0, 4),
        giveOrTake: Math.max(0, ...inBloom(forage, begins).map((each) => each.giveOrTake)),
      });
    }
    first = end;
  }
  return spans;
}

/** Share of the year's best day from which a day belongs to the main flow. Common practice. */
const MAIN = 0.6;
/** Plants that open within so many days of the main flow's usual beginning carry it with those in bloom by then. Common practice. */
const CARRIES = 10;

/** A plant with this year's dates and, where they are known, its usual ones. */
type YearForage = Forage & { readonly usual?: { readonly from: CivilDate; readonly to: CivilDate } };

/**
 * The main flow between two dates: the longest stretch in which the flowers usually give most, moved by as much as the plants that carry its
 * beginning and its end are early or late this year. A plant that opens early never puts it off.
 *
 * @param forage plants of the site with this year's dates, and their usual ones
 * @param from first date
 * @param to last date
 * @returns the stretch with its plants, `null` where nothing makes a flow
 * @throws RangeError for a malformed date
 */
export function mainFlow(
  forage: readonly YearForage[],
  from: CivilDate,
  to: CivilDate,
): { readonly from: CivilDate; readonly to: CivilDate; readonly plants: readonly string[] } | null {
  const usual = forage.map((each) => ({ ...each, ...each.usual, now: each }));
  const days = Array.from({ length: daysBetween(from, to) + 1 }, (_, day) => addDays(from, day));
  const worth = days.map((date) => nectarOn(usual, date));
  const least = Math.max(FLOW_NECTAR, MAIN * Math.max(0, ...worth));
  let best: readonly [number, number] | null = null;
  for (let first = 0; first < days.length; first += 1) {
    if (worth[first]! < least) continue;
    let end = first;
    while (end + 1 < days.length && worth[end + 1]! >= least) end += 1;
    if (!best || end - first > best[1] - best[0]) best = [first, end];
    first = end;
  }
  if (!best) return null;
  const [first, last] = [days[best[0]]!, days[best[1]]!];
  const carrying = (date: CivilDate) =>
    nectarOf(usual).filter((each) => each.from <= addDays(date, CARRIES) && each.to >= addDays(date, -CARRIES));
  const begins = addDays(
    first,
    meanShift(carrying(first), ({ from: usually, now }) => daysBetween(usually, now.from)),
  );
  const ends = addDays(
    last,
    meanShift(carrying(last), ({ to: usually, now }) => daysBetween(usually, now.to)),
  );
  const middle = nectarOf(inBloom(usual, days[Math.floor((best[0] + best[1]) / 2)]!));
  return {
    from: begins,
    to: ends < begins ? begins : ends,
    plants: [...middle].sort((a, b) => b.nectar - a.nectar).map((each) => each.plant),
  };
}

/** Mean of days by which plants are late, each weighed by its nectar. */
function meanShift<T extends Pick<Forage, 'nectar'>>(plants: readonly T[], late: (plant: T) => number): number {
  const weight = plants.reduce((sum, { nectar }) => sum + nectar, 0);
  return weight === 0 ? 0 : Math.round(plants.reduce((sum, each) => sum + each.nectar * late(each), 0) / weight);
}
