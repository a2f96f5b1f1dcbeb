import type { SeenMark } from '../biology';
import type { ColonyClass, ColonyEvent, HouseCare, MiteSample, Strain } from '../care';
import type { BoxKindId, PLAIN_PARTS } from '../equipment';
import type {
  BoxSummary,
  CheckId,
  DefectId,
  EvidenceId,
  FindingId,
  Measure,
  OutsideLook,
  Question,
  StrayCause,
  StrayContent,
  StrayPlace,
} from '../inspection';
import type { DayWeather, Phase } from '../season';
import type { CivilDate, MonthDay } from '../units';
import type { Some } from './some';

/** The format of a situation's file, and its version. */
export const SITUATION_FORMAT = 'colony-situation/1';

/** A part of the hive: its kind alone, or with what is special about it. Parts are named as they come: "brood box", "super 1", "super 2". */
export type SituationPart =
  | (typeof PLAIN_PARTS)[number]
  | BoxKindId
  | {
      readonly box: BoxKindId;
      readonly id?: string | undefined;
      /** Frames standing in it; as many as it takes when left out. */
      readonly frames?: number | undefined;
      readonly dummy?: boolean | undefined;
    };

/** Something that was looked for: found when only named. */
export type SituationFinding =
  | FindingId
  | {
      readonly finding: FindingId;
      readonly found?: boolean | undefined;
      readonly count?: number | undefined;
      readonly sure?: number | undefined;
      readonly note?: string | undefined;
    };

/** Comb where none should be: still there, of unknown cause and empty unless it says otherwise. */
export interface SituationStray {
  readonly place: StrayPlace;
  readonly part?: string | undefined;
  readonly content?: StrayContent | undefined;
  readonly cause?: StrayCause | undefined;
  readonly removed?: boolean | undefined;
}

/** One look into the hive. Whatever is left out was not looked at. */
export interface SituationVisit {
  /** What it was opened for. */
  readonly questions?: readonly Question[] | undefined;
  /** Frame sides in shorthand, `6/7: 3S 1L 1P 3H B6`, of the lowest box of the nest, or by box. */
  readonly sides?: readonly string[] | Readonly<Record<string, readonly string[]>> | undefined;
  /** Boxes that were summed up without lifting all frames. */
  readonly boxes?: Readonly<Record<string, Some<BoxSummary>>> | undefined;
  /** Seams of bees from above, by box. */
  readonly seams?: Readonly<Record<string, number>> | undefined;
  readonly ticks?: Some<Record<EvidenceId, boolean>> | undefined;
  readonly findings?: readonly SituationFinding[] | undefined;
  readonly measures?: readonly Measure[] | undefined;
  readonly strayCombs?: readonly SituationStray[] | undefined;
  readonly defects?: readonly { readonly part: string; readonly defect: DefectId }[] | undefined;
  /** Checks as they were answered. */
  readonly checks?: Some<Record<CheckId, boolean>> | undefined;
  readonly outside?: Some<OutsideLook> | undefined;
  /** 1 quiet to 5 close up now. */
  readonly mood?: number | undefined;
  readonly queenMark?: SeenMark | undefined;
}

/** A colony on a day: all that somebody knows of it, and may leave out. */
export interface Situation {
  readonly format: typeof SITUATION_FORMAT;
  readonly title?: string | undefined;
  readonly date: CivilDate;
  readonly site: {
    /** Degrees north and east. */
    readonly latitude: number;
    readonly longitude: number;
    /** Metres above the sea. */
    readonly height?: number | undefined;
    /** Winter solstice, or where the year begins between the tropics. */
    readonly yearBegins?: MonthDay | undefined;
  };
  /** Days before and after, in any order; those left out are as usual. */
  readonly weather?: readonly DayWeather[] | undefined;
  readonly season?:
    | {
        /** The phase of the colony's year, where somebody knows better than the reckoning. */
        readonly phase?: Phase | undefined;
        /** Plants that bees work here, with their first and last bloom where somebody saw it. Common ones when left out. */
        readonly plants?:
          | readonly {
              readonly plant: string;
              readonly first?: CivilDate | undefined;
              readonly last?: CivilDate | undefined;
            }[]
          | undefined;
      }
    | undefined;
  readonly hive: { readonly name?: string | undefined; readonly stack: readonly SituationPart[] };
  readonly colony?:
    | {
        readonly class?: ColonyClass | undefined;
        readonly strain?: Strain | undefined;
        readonly queen?:
          | {
              readonly year?: number | undefined;
              readonly mark?: SeenMark | undefined;
              readonly clipped?: boolean | undefined;
            }
          | undefined;
      }
    | undefined;
  readonly practice?: Some<HouseCare> | undefined;
  /** Mites counted in colonies of the place that were given nothing, colony by colony. */
  readonly untreated?: readonly (readonly MiteSample[])[] | undefined;
  /** What happened to it: hived, queens, treatments, feeds, supers. */
  readonly events?: readonly ColonyEvent[] | undefined;
  /** Looks before this one, in any order. */
  readonly before?: readonly (SituationVisit & { readonly date: CivilDate })[] | undefined;
  readonly visit?: SituationVisit | undefined;
}
