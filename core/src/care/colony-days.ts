import type { ColonyDay } from '../biology';
import {
  type DayWeather,
  type Forage,
  type Phase,
  type PhaseSpan,
  inBloom,
  nectarOn,
  phaseAround,
  pollenWorth,
} from '../season';
import { type CivilDate, addDays, daysBetween } from '../units';
import type { Course } from './treatments';

/** How a strain answers a dearth: a habit, no fault. */
export const STRAINS = ['keeps-laying', 'cuts-down', 'stops'] as const;
export type Strain = (typeof STRAINS)[number];

/** The queen that a colony waits for. */
export interface WaitingForQueen {
  /** No eggs are laid from this day on. */
  readonly stopped: CivilDate;
  /** She should begin between these days. */
  readonly from: CivilDate;
  readonly to: CivilDate;
}

/** What the days of a colony rest on. */
export interface DaysFacts {
  readonly phases: readonly PhaseSpan[];
  readonly forage: readonly Forage[];
  /** Observed and forecast days; days that are missing count as ordinary ones. */
  readonly days: readonly DayWeather[];
  /** Feeds, sugar or honey in kg. */
  readonly fed: readonly { readonly date: CivilDate; readonly kg: number }[];
  readonly strain: Strain;
  /** Medicines that it was given. */
  readonly courses: readonly Course[];
  /** Days on which no queen lays, from one day on and before another; `null` for none. */
  readonly noQueen: { readonly from: CivilDate; readonly until: CivilDate } | null;
}

/** A day of a colony, with what makes it other than an ordinary one. */
export interface DayAt extends ColonyDay {
  readonly date: CivilDate;
  readonly dearth: boolean;
  /** Shut in by rain or cold for so long that they rear less. */
  readonly shutIn: boolean;
  readonly fedLately: boolean;
}

/** Eggs a day of a good queen at the height of each phase, before bees, food and weather hold her back. Common practice; peak near 2000. */
const LAYING: Readonly<Record<Phase, number>> = {
  'winter-rest': 0,
  'first-brood': 220,
  'build-up': 1000,
  'swarm-season': 1500,
  flow: 1350,
  dearth: 900,
  'late-flow': 800,
  'making-winter-bees': 600,
  'closing-down': 150,
};
/** Days that a worker lives as an adult in each phase. Winter bees: 4 to 8 months, until they rear the first brood. Common practice. */
const LIFE: Readonly<Record<Phase, number>> = {
  'winter-rest': 170,
  'first-brood': 48,
  'build-up': 40,
  'swarm-season': 34,
  flow: 32,
  dearth: 36,
  'late-flow': 42,
  'making-winter-bees': 55,
  'closing-down': 80,
};
/** Share of the brood that is drone. Common practice. */
export const DRONE_SHARE: Readonly<Record<Phase, number>> = {
  'winter-rest': 0,
  'first-brood': 0,
  'build-up': 0.04,
  'swarm-season': 0.08,
  flow: 0.06,
  dearth: 0.02,
  'late-flow': 0.015,
  'making-winter-bees': 0.005,
  'closing-down': 0,
};
/** Laying in a dearth as a share of before, by strain. Common practice. */
const IN_DEARTH: Readonly<Record<Strain, number>> = { 'keeps-laying': 0.9, 'cuts-down': 0.45, stops: 0.04 };

/** Nectar that a frame of bees brings home a day for each point of worth in bloom, ripened, kg: 0.9 to 1.4 kg a day of a strong hive in a flow. Common practice. */
export const GATHERS = 0.011;
/** Bees that keep brood warm and fed: frames of brood at most for each frame of bees; fewer while nights are cold. Common practice. */
const BROOD_PER_BEES: Readonly<Partial<Record<Phase, number>>> = {
  'winter-rest': 0.1,
  'first-brood': 0.22,
  'build-up': 0.45,
  'closing-down': 0.3,
};
const BROOD_IN_THE_WARM = 0.75;
/** Part of a day's foraging that is left with more rain, mm, or a lower highest temperature, °C; of a day that nobody knows. Common practice. */
const KEPT_IN = { rain: 4, high: 10, leaves: 0.1 } as const;
const HALF_DAY = { rain: 1, high: 13, leaves: 0.5 } as const;
const UNKNOWN_DAY = 0.75;

/** Share of a day's foraging that its weather allows. */
export const flyable = (day: DayWeather | undefined): number =>
  day === undefined
    ? UNKNOWN_DAY
    : ([KEPT_IN, HALF_DAY].find(({ rain, high }) => day.rain > rain || day.high < high)?.leaves ?? 1);
/** Days for which a feed keeps brood going, and laying in a dearth meanwhile as a share of before. Common practice. */
const FED_DAYS = 8;
const FED_IN_DEARTH = 0.8;
/** Five days to a week without flying stop brood rearing where the pollen store is thin: laying that is left, by pollen in bloom. Common practice. */
const SHUT_IN_DAYS = 5;
const SHUT_IN = { pollen: 8, rich: 0.7, thin: 0.35 } as const;
/** Part of a feed that is stored. Common practice. */
const STORED = 0.9;
/** In build-up she begins with a fifth of what she lays at its end. Common practice. */
const BEGINS = 0.2;
/** Part of the mites on bees that a medicine kills: in a day that it lies in the hive, and on the day of a dose that does not stay. Common practice. */
const KILLS = { lying: 0.3, dose: 0.85 } as const;

const ramp = ({ from, to }: PhaseSpan, date: CivilDate): number =>
  BEGINS + ((1 - BEGINS) * daysBetween(from, date)) / Math.max(1, daysBetween(from, to));

/**
 * What each day holds for a colony, through phase, forage, weather, feeds and medicines.
 *
 * @param facts the place, and what was done
 * @param from first day
 * @param count days, 0 or more
 * @returns one a day
 * @throws RangeError for a malformed date
 * Source: common practice; each figure names its own.
 */
export function colonyDays(facts: DaysFacts, from: CivilDate, count: number): readonly DayAt[] {
  const weather = new Map(facts.days.map((day) => [day.date, day]));
  let wet = 0;
  return Array.from({ length: count }, (_, index): DayAt => {
    const date = addDays(from, index);
    const span = phaseAround(facts.phases, date);
    const phase = span?.phase ?? 'build-up';
    const fly = flyable(weather.get(date));
    wet = fly <= KEPT_IN.leaves ? wet + 1 : 0;
    const shutIn = wet >= SHUT_IN_DAYS && phase !== 'winter-rest';
    const fedLately = facts.fed.some((feed) => {
      const since = daysBetween(feed.date, date);
      return since >= 0 && since <= FED_DAYS;
    });
    const fedKg = facts.fed.filter((feed) => feed.date === date).reduce((sum, feed) => sum + feed.kg, 0);
    const waits = facts.noQueen !== null && date >= facts.noQueen.from && date < facts.noQueen.until;
    return {
      date,
      dearth: phase === 'dearth',
      shutIn,
      fedLately,
      laying: waits
        ? 0
        : LAYING[phase] *
          (phase === 'build-up' && span ? ramp(span, date) : 1) *
          (phase === 'dearth' ? Math.max(fedLately ? FED_IN_DEARTH : 0, IN_DEARTH[facts.strain]) : 1) *
          (shutIn ? (pollenWorth(inBloom(facts.forage, date)) >= SHUT_IN.pollen ? SHUT_IN.rich : SHUT_IN.thin) : 1),
      life: LIFE[phase],
      broodPerBees: BROOD_PER_BEES[phase] ?? BROOD_IN_THE_WARM,
      incomeKg: phase === 'winter-rest' ? 0 : nectarOn(facts.forage, date) * fly * GATHERS,
      fedKg: fedKg * STORED,
      clustered: phase === 'winter-rest',
      drones: DRONE_SHARE[phase],
      mitesKilled: killed(facts.courses, date),
    };
  });
}

function killed(courses: readonly Course[], date: CivilDate): number {
  const on = courses.filter(({ from, end }) => date >= from && date <= end);
  if (on.some(({ removeAfter }) => removeAfter !== null)) return KILLS.lying;
  return on.some(({ from, lastDose }) => date === from || date === lastDose) ? KILLS.dose : 0;
}
