import type { AdviceKind } from './advice';
import type { MatingDay } from '../biology';
import type { DayWeather, Forage, Phase, PhaseSpan } from '../season';
import type { CivilDate } from '../units';
import type { ColonyEvent } from './colony-event';
import type { HoneyLock, StandingSuper } from './withdrawal';
import type { Text } from '../language';

export type Strict = 'must' | 'should' | 'may';

/** Something due at a colony. */
export interface Due {
  /** The same for as long as the task is the same, whatever else comes or goes: calendars of other programs hold on to it. */
  readonly id: string;
  readonly title: Text;
  readonly from: CivilDate;
  readonly due: CivilDate;
  readonly why: Text;
  readonly strict: Strict;
  /** What to look for, and what to bring. */
  readonly question: Text | null;
  readonly bring: Text | null;
  /** The advice that it came from, where it came from one. */
  readonly about?: AdviceKind | null | undefined;
  /** Days after which it is due again once it was done, up to and with a day; left out when it is done once. */
  readonly again?: { readonly every: number; readonly until: CivilDate } | undefined;
  /** Whether the hive has to be opened for it. */
  readonly opens: boolean;
  /** Why the hive should not be opened within the whole of its span, `null` when some day is free. */
  readonly clash: Text | null;
}

export const REST_CAUSES = ['young-queen', 'just-opened', 'load'] as const;

/** A stretch in which a colony is left alone. */
export interface Rest {
  readonly cause: (typeof REST_CAUSES)[number];
  readonly from: CivilDate;
  readonly to: CivilDate;
  readonly why: Text;
  readonly strict: 'must' | 'should';
}

/** One opening of a hive. */
export interface Opening {
  readonly date: CivilDate;
  readonly minutes: number;
  readonly stings: number;
  /** Whether frames came out. */
  readonly deep: boolean;
}

/** What a house asks of a colony's calendar. */
export interface HouseDues {
  /** Days between looks by phase, least and most, where the house differs from the trade. */
  readonly intervals: Partial<Readonly<Record<Phase, readonly [number, number]>>>;
  /** Whether cells must be caught: every `swarmIntervalDays` while swarms may leave. */
  readonly catchCells: boolean;
  readonly swarmIntervalDays: number;
  /** Days of rest after frames came out. */
  readonly restDays: number;
  /** Most openings, minutes open and stings in thirty days. */
  readonly load: { readonly openings: number; readonly minutes: number; readonly stings: number };
}

export const DEFAULT_CALENDAR: HouseDues = {
  intervals: {},
  catchCells: true,
  swarmIntervalDays: 7,
  restDays: 4,
  load: { openings: 4, minutes: 120, stings: 12 },
};

/** How much is asked of a colony: one that only lives for itself is looked at seldom. */
export const COLONY_CLASSES = ['production', 'teaching', 'nucleus', 'resting'] as const;
export type ColonyClass = (typeof COLONY_CLASSES)[number];

export interface CalendarFacts {
  readonly today: CivilDate;
  readonly phases: readonly PhaseSpan[];
  readonly forage: readonly Forage[];
  readonly days: readonly DayWeather[];
  readonly matingDays: readonly MatingDay[];
  readonly colonyClass: ColonyClass;
  /** Frames of bees expected now, for how fast feed goes and supers fill. */
  readonly framesOfBees: number;
  readonly openings: readonly Opening[];
  readonly followUps: readonly {
    readonly id: string;
    readonly question: Text;
    readonly from: CivilDate;
    readonly due: CivilDate;
    readonly bring: Text | null;
    /** The advice that it came from, where it came from one. */
    readonly about: AdviceKind | null;
    /** A repair or a fetched thing stays until somebody settles it; a question about a colony grows old. */
    readonly stays: boolean;
  }[];
  /** Honey boxes on the hive, with the day on which each came on. */
  readonly supers: readonly StandingSuper[];
  readonly events: readonly ColonyEvent[];
  readonly practice: HouseDues;
}

export interface Load {
  readonly openings: number;
  readonly minutes: number;
  readonly stings: number;
  /** Which limits are reached. */
  readonly over: readonly ('openings' | 'minutes' | 'stings')[];
}

export interface ColonyCalendar {
  readonly dues: readonly Due[];
  /** Questions that nobody answered in time: told, not asked any more. */
  readonly lapsed: readonly { readonly title: Text; readonly due: CivilDate }[];
  readonly honey: HoneyLock;
  readonly rests: readonly Rest[];
  readonly load: Load;
  /** First day on which the hive may be opened without a reason. */
  readonly openFrom: CivilDate;
}

/** A due as its source gives it, before it is set against the rests. */
export interface SourceDue extends Omit<Due, 'clash'> {
  /** Last day on which it is still asked; `null` for what stays until somebody settles it. */
  readonly lapses: CivilDate | null;
}

/** What one source of dates adds to a calendar. */
export interface Dates {
  readonly dues: readonly SourceDue[];
  readonly rests: readonly Rest[];
}
