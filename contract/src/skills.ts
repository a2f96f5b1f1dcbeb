import { wrong } from './wrong';
import { LETTERS, JOBS, SKILL_LEVELS } from '@brave-comb/core/inspection';
import { PHASES } from '@brave-comb/core/season';
import {
  COLONY_THINGS,
  EVIDENCE_SOURCES,
  type Missing as MissingEvidence,
  SKILL_PHASES,
  SKILL_RISKS,
  STANDING_STATES,
  KAPPA_BANDS,
} from '@brave-comb/core/skills';
import * as z from 'zod';
import { ROLES, endpoint } from './endpoint';
import { CivilDate, field, Id, Instant, list } from './parts';
import { PhaseSpan } from './season';

const SkillId = z
  .string()
  .min(1)
  .max(60)
  .regex(/^[a-z0-9-]+$/, wrong('id-of-list'));
const Line = z.string().trim().min(1).max(500);
const Reason = z.string().trim().min(3, wrong('few-words')).max(500);
const Level = z.enum(SKILL_LEVELS);

export const EvidenceRule = z.object({
  level: Level,
  times: z.int().min(1).max(20),
  days: z.int().min(1).max(20),
  colonies: z.int().min(1).max(10),
  assessors: z.int().min(1).max(5),
  lead: z.boolean(),
  months: z.union([z.int().min(1).max(120), z.literal('season')]).nullable(),
  indoors: z.int().min(0).max(20),
  within: z.number().min(0.25).max(4).nullable(),
});

export const Skill = z.object({
  id: SkillId,
  name: z.string().trim().min(1).max(140),
  phase: z.enum(SKILL_PHASES),
  shownBy: Line,
  faults: list(Line),
  needs: list(SkillId),
  season: list(z.enum(PHASES)).nullable(),
  colony: list(z.enum(COLONY_THINGS)),
  gear: list(z.string().trim().min(1).max(100)),
  role: z.enum([...JOBS, 'everybody']),
  risk: z.enum(SKILL_RISKS).nullable(),
  gate: z.boolean(),
  indoors: Line.nullable(),
  rule: EvidenceRule,
  levels: z.partialRecord(Level, Line),
  from: list(SkillId),
});

export const Checklist = z.object({ version: z.int(), skills: list(Skill) });

/** What becomes of standings when a new version comes into force. */
const CARRY_POLICIES = ['carried-over', 'judged-again', 'from-the-next-course'] as const;

const Missing = z.discriminatedUnion('what', [
  z.object({ what: z.enum(['times', 'days', 'colonies', 'assessors']), have: z.int(), need: z.int() }),
  z.object({ what: z.literal('lead') }),
  z.object({ what: z.literal('readings'), off: z.number(), allowed: z.number() }),
  z.object({ what: z.literal('again'), why: z.enum(['faded', 'help-needed']) }),
]) satisfies z.ZodType<MissingEvidence>;

export const Standing = z.object({
  state: z.enum(STANDING_STATES),
  level: Level.nullable(),
  counted: list(Id),
  missing: list(Missing),
  until: CivilDate.nullable(),
  last: CivilDate.nullable(),
  progress: z.number(),
  signature: z.enum(['earned', 'by-exception', 'fallen']).nullable(),
});

/** How long a skill holds after it was last shown. */
const Forgetting = z.discriminatedUnion('school', [
  z.object({ school: z.literal('fixed-term') }),
  z.object({ school: z.literal('growing-term'), growth: z.number().min(1).max(3), most: z.int().min(1).max(120) }),
]);

export const checklist = endpoint({
  method: 'GET',
  path: '/api/checklist',
  access: ROLES,
  summary: 'The checklist in force, the draft where a lead asks, and all versions',
  response: z.object({
    inForce: Checklist,
    draft: z.object({ skills: list(Skill), by: z.string(), at: Instant }).nullable(),
    versions: list(
      z.object({
        version: z.int(),
        skills: z.int(),
        by: z.string().nullable(),
        from: Instant.nullable(),
        note: z.string(),
      }),
    ),
    today: CivilDate,
    /** The year of growth at the school's first site, for when skills can be shown. */
    phases: list(PhaseSpan),
    /** A version that waits for its day. */
    waiting: z.object({ version: z.int(), starts: CivilDate }).nullable(),
    /** Day after the last of the running courses; `null` while none has an end. */
    nextCourse: CivilDate.nullable(),
    forgetting: Forgetting,
    /** How many trainees of the school have shown each level, by skill; nothing for trainees, who see only themselves. */
    levels: z.record(z.string(), z.partialRecord(Level, z.int())),
  }),
});

const DraftSkills = z.object({ skills: z.array(Skill).min(1).max(200) });

export const draftChecklist = endpoint({
  method: 'POST',
  path: '/api/checklist/draft',
  access: ['lead'],
  summary: 'Keeps a draft of the next version; nothing changes for anybody',
  body: DraftSkills,
  response: z.object({ problem: z.string().nullable() }),
});

export const discardDraft = endpoint({
  method: 'POST',
  path: '/api/checklist/draft/discard',
  access: ['lead'],
  summary: 'Throws the draft away',
  response: z.object({ discarded: z.boolean() }),
});

export const previewChecklist = endpoint({
  method: 'POST',
  path: '/api/checklist/preview',
  access: ['lead'],
  summary: 'Whom a draft would touch, were all evidence judged again by it',
  body: DraftSkills,
  response: z.object({
    problem: z.string().nullable(),
    trainees: z.int(),
    changes: list(
      z.object({
        trainee: z.object({ id: Id, name: z.string() }),
        skill: z.string(),
        before: Standing,
        after: Standing,
        stepsBack: z.boolean(),
        says: z.string(),
      }),
    ),
    /** Skills of the list in force that the draft does not go on with, and how much evidence they have. */
    dropped: list(z.object({ id: z.string(), name: z.string(), demonstrations: z.int() })),
    added: list(z.string()),
    /** Demonstrations that are still asked for of all trainees together, by the list in force and by the draft. */
    asked: z.object({ before: z.int(), after: z.int() }),
    /** The same for each skill of the draft. */
    stillAsked: list(z.object({ skill: z.string(), before: z.int(), after: z.int() })),
  }),
});

export const enforceChecklist = endpoint({
  method: 'POST',
  path: '/api/checklist/in-force',
  access: ['lead'],
  summary: 'Puts a draft in force as the next version',
  body: DraftSkills.extend({
    /** Version that the draft was made from: somebody else may have put another in force since. */
    after: z.int(),
    standings: z.enum(CARRY_POLICIES),
    /** First day on which it is in force, when that is the next course: what is held on it is carried over. */
    from: CivilDate.nullable(),
    note: z.string().trim().max(300),
  }),
  response: z.object({ version: z.int(), starts: CivilDate, carried: z.int() }),
});

export const takeBackChecklist = endpoint({
  method: 'POST',
  path: '/api/checklist/waiting/take-back',
  access: ['lead'],
  summary: 'Makes the list that waits for its day the draft again',
  response: z.object({ version: z.int().nullable() }),
});

const Person = z.object({ id: Id, name: z.string() });

/** One cell of the matrix: state and level by their places in the lists, last day. */
export const StandingCell = z.tuple([z.int(), z.int(), CivilDate.nullable()]).meta({ example: [2, 3, '2026-05-14'] });

export const traineeMatrix = endpoint({
  method: 'GET',
  path: '/api/trainees',
  access: field,
  summary: 'Trainees by group with their standing in every skill; supervisors get those of their sessions',
  response: z.object({
    today: CivilDate,
    skills: list(
      z.object({
        id: z.string(),
        name: z.string(),
        phase: z.enum(SKILL_PHASES),
        gate: z.boolean(),
        level: Level,
        /** Days left this year in which it can be shown; `null` for any opening, no days when its season is over. */
        window: z.object({ from: CivilDate, to: CivilDate }).nullable(),
        seasonal: z.boolean(),
      }),
    ),
    groups: list(
      z.object({
        id: Id,
        name: z.string(),
        /** Last day of its course. */
        until: CivilDate.nullable(),
        trainees: list(
          Person.extend({
            /** One for each skill, in the order of the list. */
            standings: list(StandingCell),
            /** Visits with the group, and turns by role. */
            visits: z.int(),
            held: z.int(),
            smoked: z.int(),
          }),
        ),
      }),
    ),
    /** Claims that wait for somebody's word. */
    claims: list(
      z.object({
        id: Id,
        trainee: Person,
        skill: z.string(),
        skillName: z.string(),
        level: Level,
        at: Instant,
        hive: z.string().nullable(),
        source: z.enum(EVIDENCE_SOURCES),
        note: z.string(),
        /** Who judged it at which other school, for what came with a passport. */
        elsewhere: z.object({ assessor: z.string(), school: z.string() }).nullable(),
      }),
    ),
  }),
});

export const Evidence = z.object({
  id: Id,
  skill: z.string(),
  level: Level,
  /** What was said first, where a correction changed it. */
  first: Level.nullable(),
  withdrawn: z.boolean(),
  at: Instant,
  day: CivilDate,
  source: z.enum(EVIDENCE_SOURCES),
  hive: z.string().nullable(),
  visit: Id.nullable(),
  assessor: z.string().nullable(),
  lead: z.boolean(),
  version: z.int(),
  prompt: z.string(),
  note: z.string(),
  weather: z.string().nullable(),
  /** Whether the evidence rule counts it today. */
  counts: z.boolean(),
  corrections: list(z.object({ level: Level.nullable(), by: z.string(), at: Instant, reason: z.string() })),
});

export const SignOff = z.object({
  id: Id,
  skill: z.string(),
  kind: z.enum(['signed', 'carried']),
  /** Signed though the rule was not met; the note says why. */
  byException: z.boolean(),
  by: z.string(),
  day: CivilDate,
  version: z.int(),
  note: z.string(),
  withdrawn: z.object({ by: z.string(), at: Instant, reason: z.string() }).nullable(),
});

export const passport = endpoint({
  method: 'GET',
  path: '/api/trainees/:trainee/passport',
  access: ROLES,
  summary: "A trainee's standing in every skill with its evidence; trainees get their own only",
  params: z.object({ trainee: Id }),
  response: z.object({
    trainee: Person,
    school: z.string(),
    groups: list(z.string()),
    supervisors: list(z.string()),
    today: CivilDate,
    version: z.int(),
    skills: list(
      z.object({
        id: z.string(),
        name: z.string(),
        phase: z.enum(SKILL_PHASES),
        shownBy: z.string(),
        rule: z.string(),
        asked: Level,
        /** What each level sounds like, the least first. */
        sounds: list(z.string()),
        standing: Standing,
        says: z.string(),
        evidence: list(Evidence),
        signOffs: list(SignOff),
        /** Names of skills that come before it and are not held yet. */
        waitsFor: list(z.string()),
      }),
    ),
    /** Evidence in skills that the list in force no longer has. */
    earlier: list(Evidence),
    /** Words that tie a printed passport to the record. */
    checkWords: z.string(),
    gates: list(z.string()),
    hives: list(z.object({ id: Id, number: z.string() })),
    held: z.int(),
    visits: z.int(),
    /** The closing signature under the whole course, while it stands. */
    course: z
      .object({
        id: Id,
        by: z.string(),
        day: CivilDate,
        version: z.int(),
        skills: z.int(),
        exceptions: z.int(),
        note: z.string(),
      })
      .nullable(),
  }),
});

const Judged = {
  id: Id,
  skill: SkillId,
  level: Level,
  at: Instant,
  hive: Id.nullable(),
  note: z.string().trim().max(500),
};
const Kept = z.object({ kept: z.boolean() });

export const judgeSkill = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/demonstrations',
  access: field,
  summary: 'Judges a skill in the debrief; sent twice it is kept once',
  params: z.object({ trainee: Id }),
  body: z.object({ ...Judged, session: Id.nullable(), prompt: z.string().trim().max(120) }),
  response: Kept,
});

export const correctDemonstration = endpoint({
  method: 'POST',
  path: '/api/demonstrations/:demonstration/corrections',
  access: field,
  summary: 'Says a later word on a demonstration: another level, or that it does not count',
  params: z.object({ demonstration: Id }),
  body: z.object({ id: Id, level: Level.nullable(), reason: Reason }),
  response: Kept,
});

export const claimSkill = endpoint({
  method: 'POST',
  path: '/api/claims',
  access: ['trainee'],
  summary: 'A trainee claims to have shown a skill; it counts once a supervisor confirms it',
  body: z.object({ ...Judged, session: Id.nullable() }),
  response: Kept,
});

export const settleClaim = endpoint({
  method: 'POST',
  path: '/api/claims/:claim/settle',
  access: field,
  summary: 'Confirms a claim, at the level that was seen, or turns it down with a reason',
  params: z.object({ claim: Id }),
  body: z.discriminatedUnion('confirmed', [
    z.object({ confirmed: z.literal(true), level: Level }),
    z.object({ confirmed: z.literal(false), reason: Reason }),
  ]),
  response: Kept,
});

export const signOffSkills = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/sign-offs',
  access: ['lead'],
  summary: 'Signs skills of a trainee',
  params: z.object({ trainee: Id }),
  body: z.object({
    skills: z
      .array(z.object({ id: Id, skill: SkillId }))
      .min(1)
      .max(200),
    /** Needed for a skill whose evidence rule is not met. */
    note: z.string().trim().max(500),
  }),
  response: z.object({ signed: z.int() }),
});

export const withdrawSignOffs = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/sign-offs/withdraw',
  access: ['lead'],
  summary: 'Takes several signatures back as one, with the reason; they stay in the record',
  params: z.object({ trainee: Id }),
  body: z.object({ signOffs: z.array(Id).min(1).max(200), reason: Reason }),
  response: z.object({ withdrawn: z.int() }),
});

export const signOffCourse = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/course-sign-off',
  access: ['lead'],
  summary: 'Signs the whole course, once every skill of the list stands',
  params: z.object({ trainee: Id }),
  body: z.object({ id: Id, note: z.string().trim().max(500) }),
  response: Kept,
});

export const withdrawCourse = endpoint({
  method: 'POST',
  path: '/api/course-sign-offs/:signOff/withdraw',
  access: ['lead'],
  summary: 'Takes the closing signature of a course back, with the reason',
  params: z.object({ signOff: Id }),
  body: z.object({ reason: Reason }),
  response: Kept,
});

export const withdrawSignOff = endpoint({
  method: 'POST',
  path: '/api/sign-offs/:signOff/withdraw',
  access: ['lead'],
  summary: 'Takes a signature back, with the reason; it stays in the record',
  params: z.object({ signOff: Id }),
  body: z.object({ reason: Reason }),
  response: Kept,
});

/** Lowest and highest. */
const Range = z.tuple([z.number(), z.number()]).readonly();

const Kappa = z.object({
  observed: z.number(),
  expected: z.number(),
  kappa: z.number().nullable(),
  range: Range.nullable(),
  count: z.int(),
  alike: z.int(),
});

/** What a trainee reads wrong again and again. */
export const ReadingHabit = z.object({ says: z.string(), letters: list(z.enum(LETTERS)) });

/** How a trainee's hidden readings lie against the supervisors'. */
const Readings = z.object({
  pairs: z.int(),
  off: z.number().nullable(),
  letters: list(
    z.object({
      letter: z.enum(LETTERS),
      count: z.int(),
      within: z.int(),
      bias: z.number(),
      biasRange: Range.nullable(),
      spread: z.number().nullable(),
      limits: Range.nullable(),
      off: z.number(),
      kappa: z.number().nullable(),
      kappaRange: Range.nullable(),
      trend: list(z.object({ at: Instant, bias: z.number() })),
    }),
  ),
  confusions: list(z.object({ from: z.enum(LETTERS), to: z.enum(LETTERS), eighths: z.number() })),
  trend: list(z.object({ at: Instant, off: z.number() })),
  habits: list(ReadingHabit),
});

export const agreement = endpoint({
  method: 'GET',
  path: '/api/agreement',
  access: ROLES,
  summary: "Hidden readings against the supervisors'; leads also get how assessors lie against each other",
  response: z.object({
    people: list(z.object({ id: Id, name: z.string(), group: z.string(), readings: Readings })),
    /** For leads only. */
    assessors: z
      .object({
        pairs: list(
          z.object({ one: z.string(), other: z.string(), kappa: Kappa, word: z.enum(KAPPA_BANDS).nullable() }),
        ),
        /** Whoever two of them were; `null` while nothing was judged twice. */
        together: Kappa.extend({ word: z.enum(KAPPA_BANDS).nullable() }).nullable(),
        habits: list(
          z.object({
            name: z.string(),
            judged: z.int(),
            shared: z.int(),
            leniency: z.number().nullable(),
            drift: z.number().nullable(),
          }),
        ),
      })
      .nullable(),
  }),
});

/** A passport as a file that any school with this software reads. */
export const PassportFile = z.object({
  format: z.literal('brave-comb-passport/1'),
  school: z.string().max(120),
  trainee: z.string().max(120),
  made: CivilDate,
  checklistVersion: z.int(),
  skills: z
    .array(
      z.object({
        id: SkillId,
        name: z.string().max(80),
        state: z.enum(STANDING_STATES),
        level: Level.nullable(),
        until: CivilDate.nullable(),
        signedBy: z.string().max(120).nullable(),
        signedOn: CivilDate.nullable(),
        evidence: z.array(
          z.object({
            day: CivilDate,
            level: Level,
            source: z.enum(EVIDENCE_SOURCES),
            hive: z.string().max(20).nullable(),
            assessor: z.string().max(120).nullable(),
          }),
        ),
      }),
    )
    .max(300),
  checkWords: z.string().max(60),
});

export const importPassport = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/passport/import',
  access: ['lead'],
  summary: "Takes in another school's passport: its evidence waits for the lead's word, like a claim",
  params: z.object({ trainee: Id }),
  body: PassportFile.extend({
    /** Somebody said that it is the same person, though the file has another name. */
    anotherName: z.boolean().default(false),
  }),
  response: z.object({ school: z.string(), taken: z.int(), known: z.int(), unknown: list(z.string()) }),
});

export const settlePassport = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/passport/settle',
  access: ['lead'],
  summary:
    'Accepts together what waits from one school, turns it down together, or takes it out again as never taken in',
  params: z.object({ trainee: Id }),
  body: z.discriminatedUnion('word', [
    z.object({ word: z.literal('accept'), school: z.string().max(120) }),
    z.object({ word: z.literal('turn-down'), school: z.string().max(120), reason: Reason }),
    z.object({ word: z.literal('take-out'), school: z.string().max(120) }),
  ]),
  response: z.object({ settled: z.int() }),
});

export const eraseTrainee = endpoint({
  method: 'POST',
  path: '/api/trainees/:trainee/erase',
  access: ['lead'],
  summary: 'Erases a trainee on request: name, sign-in and notes go, counts stay without them',
  params: z.object({ trainee: Id }),
  body: z.object({ name: z.string() }),
  response: z.object({ erased: z.boolean() }),
});

export const setForgetting = endpoint({
  method: 'POST',
  path: '/api/skills/forgetting',
  access: ['lead'],
  summary: 'How long a skill holds after it was last shown: a fixed term, or one that grows',
  body: Forgetting,
  response: Kept,
});
