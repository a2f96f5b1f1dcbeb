import { MARK_COLOURS } from '@brave-comb/core/biology';
import { COLONY_CLASSES, MITE_SCHOOLS, STRAINS } from '@brave-comb/core/care';
import { BOXES, type BoxKindId, PLAIN_PARTS } from '@brave-comb/core/equipment';
import {
  CHECK_IDS,
  DEFECT_IDS,
  EVIDENCE_IDS,
  FINDING_IDS,
  QUESTIONS,
  STRAY_CAUSES,
  STRAY_CONTENTS,
  STRAY_PLACES,
  WASH_METHODS,
} from '@brave-comb/core/inspection';
import { PHASES, PLANTS } from '@brave-comb/core/season';
import { SITUATION_FORMAT, type Situation } from '@brave-comb/core/situation';
import * as z from 'zod';
import { Detail } from './dues';
import { BoxSummary, Measure, OutsideLook } from './inspection-entries';
import { CivilDate } from './parts';

const BoxKind = z.enum(Object.keys(BOXES) as [BoxKindId, ...BoxKindId[]]);
const Name = z.string().trim().min(1).max(40);
const MonthDay = z.string().regex(/^(0[1-9]|1[0-2])-(0[1-9]|[12]\d|3[01])$/, 'Write month and day, as 12-21.');
const Mark = z.enum([...MARK_COLOURS, 'none']);
const Degrees = z.number().min(-60).max(60);
const Lines = z.array(z.string().max(200)).max(160);
const Finding = z.enum(FINDING_IDS as [(typeof FINDING_IDS)[number], ...(typeof FINDING_IDS)[number][]]);

const Part = z.union([
  z.enum(PLAIN_PARTS),
  BoxKind,
  z.strictObject({
    box: BoxKind,
    id: Name.optional(),
    frames: z.int().min(0).max(40).optional(),
    dummy: z.boolean().optional(),
  }),
]);

const visit = {
  questions: z.array(z.enum(QUESTIONS)).optional(),
  sides: z.union([Lines, z.record(Name, Lines)]).optional(),
  boxes: z.record(Name, BoxSummary.partial()).optional(),
  seams: z.record(Name, z.number().min(0).max(40)).optional(),
  ticks: z.partialRecord(z.enum(EVIDENCE_IDS), z.boolean()).optional(),
  findings: z
    .array(
      z.union([
        Finding,
        z.strictObject({
          finding: Finding,
          found: z.boolean().optional(),
          count: z.int().min(0).max(100_000).optional(),
          sure: z.int().min(0).max(100).optional(),
          note: z.string().max(500).optional(),
        }),
      ]),
    )
    .optional(),
  measures: z.array(Measure).optional(),
  strayCombs: z
    .array(
      z.strictObject({
        place: z.enum(STRAY_PLACES),
        part: Name.optional(),
        content: z.enum(STRAY_CONTENTS).optional(),
        cause: z.enum(STRAY_CAUSES).optional(),
        removed: z.boolean().optional(),
      }),
    )
    .optional(),
  defects: z.array(z.strictObject({ part: Name, defect: z.enum(DEFECT_IDS) })).optional(),
  checks: z.partialRecord(z.enum(CHECK_IDS), z.boolean()).optional(),
  outside: OutsideLook.partial().optional(),
  mood: z.int().min(1).max(5).optional(),
  queenMark: Mark.optional(),
};

/** `colony-situation/1`: a colony on a day, by which the judges can be asked without server or database. */
export const SituationFile = z.strictObject({
  format: z.literal(SITUATION_FORMAT),
  title: z.string().max(200).optional(),
  date: CivilDate,
  site: z.strictObject({
    latitude: z.number().min(-90).max(90),
    longitude: z.number().min(-180).max(180),
    height: z.number().min(-450).max(6000).optional(),
    yearBegins: MonthDay.optional(),
  }),
  weather: z
    .array(z.strictObject({ date: CivilDate, low: Degrees, high: Degrees, rain: z.number().min(0).max(1000) }))
    .optional(),
  season: z
    .strictObject({
      phase: z.enum(PHASES).optional(),
      plants: z
        .array(
          z.strictObject({
            plant: z.enum(PLANTS.map(({ id }) => id) as [string, ...string[]]),
            first: CivilDate.optional(),
            last: CivilDate.optional(),
          }),
        )
        .optional(),
    })
    .optional(),
  hive: z.strictObject({ name: Name.optional(), stack: z.array(Part).min(1).max(20) }),
  colony: z
    .strictObject({
      class: z.enum(COLONY_CLASSES).optional(),
      strain: z.enum(STRAINS).optional(),
      queen: z
        .strictObject({
          year: z.int().min(1990).max(2200).optional(),
          mark: Mark.optional(),
          clipped: z.boolean().optional(),
        })
        .optional(),
    })
    .optional(),
  practice: z
    .strictObject({
      leastStoresKg: z.number().min(0).max(100).optional(),
      feedToKg: z.number().min(0).max(100).optional(),
      winterStoresKg: z.number().min(0).max(100).optional(),
      addSpaceAt: z.number().min(0.1).max(1).optional(),
      swarmIntervalDays: z.int().min(1).max(60).optional(),
      intervalDays: z.int().min(1).max(90).optional(),
      broodBoxes: z.union([z.literal(1), z.literal(2)]).optional(),
      stimulates: z.boolean().optional(),
      mites: z.enum(MITE_SCHOOLS).optional(),
    })
    .optional(),
  untreated: z
    .array(
      z
        .array(
          z.strictObject({
            date: CivilDate,
            method: z.enum(WASH_METHODS),
            bees: z.int().min(1).max(5000),
            mites: z.int().min(0).max(5000),
          }),
        )
        .max(50),
    )
    .max(200)
    .optional(),
  events: z.array(z.object({ date: CivilDate }).and(Detail)).optional(),
  before: z.array(z.strictObject({ date: CivilDate, ...visit })).optional(),
  visit: z.strictObject(visit).optional(),
}) satisfies z.ZodType<Situation>;
