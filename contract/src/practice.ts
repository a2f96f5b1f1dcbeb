import { wrong } from './wrong';
import { ADVICE_KINDS } from '@brave-comb/core/care';
import { LETTERS, PHOTO_SUBJECTS } from '@brave-comb/core/inspection';
import {
  GRADES,
  LAST_LEVEL,
  POLL_ANSWERS,
  POLL_MOMENTS,
  STOP_ANSWERS,
  TOPIC_IDS,
  TROUBLES,
} from '@brave-comb/core/practice';
import { DEPTHS, HINDRANCES } from '@brave-comb/core/weather';
import * as z from 'zod';
import { Advice } from './care';
import { ROLES, endpoint } from './endpoint';
import { AddressedSide, FrameSide, SideAddress } from './inspection-sides';
import { CivilDate, Id, Instant, Share, field, list } from './parts';
import { ReadingHabit } from './skills';
import { AllLimits } from './weather';

const Topic = z.enum(TOPIC_IDS);
const Level = z.int().min(1).max(LAST_LEVEL);
const Shares = z.partialRecord(z.enum(LETTERS), z.number().min(0).max(8));
const Words = z.string().trim().min(1).max(300);

/** A recorded colony, or one side of it. */
const Recorded = z.object({ visit: Id, address: SideAddress.nullable() });

export const PracticeResult = z.object({
  id: Id,
  trainee: Id,
  topic: Topic,
  at: Instant,
  level: Level,
  seconds: z.number(),
  score: Share,
  right: z.boolean(),
  grade: z.enum(GRADES),
  read: Shares.nullable(),
  truth: Shares.nullable(),
  ground: z.string().nullable(),
  recorded: Recorded.nullable(),
});

const PhotoDrill = z.object({
  id: Id,
  attachment: Id,
  question: Words,
  choices: list(Words),
  /** Place of the right choice. */
  answer: z.int().min(0),
  says: z.string(),
});

/** A closed visit whose sides and whose colony can be practised on. */
const PracticeRecord = z.object({
  visit: Id,
  hive: z.string(),
  day: CivilDate,
  sides: list(AddressedSide),
  /** What is known of the colony, without what was advised. */
  lines: list(z.string()),
  advice: list(Advice),
  /** What the lead decided, where that is recorded. */
  decision: z.string().nullable(),
});

/** A session indoors that was set out for a group: what its trainees see of it. */
const SetOutPlan = z.object({
  id: Id,
  group: z.object({ id: Id, name: z.string() }),
  day: CivilDate,
  minutes: z.int(),
  by: z.string(),
  at: Instant,
  stations: list(z.object({ topic: Topic, minutes: z.int(), how: z.string(), pairs: list(list(z.string())) })),
});

/** All that practice needs on a device, also without signal. */
export const Practice = z.object({
  person: Id,
  limits: AllLimits,
  results: list(PracticeResult),
  /** What the person reads wrong at the hive again and again. */
  habits: list(ReadingHabit),
  /** Eighths in the wrong place that supervisors have on the mean, oneself left out; `null` while none of them practised. */
  staffWrong: z.number().nullable(),
  photos: list(PhotoDrill),
  /** The latest closed visits. */
  records: list(PracticeRecord),
  /** Sessions indoors that are set out for the person's groups, the next one first. */
  plans: list(SetOutPlan),
  /** Groups whose indoor plan the person may ask for. */
  groups: list(z.object({ id: Id, name: z.string() })),
});

export const practice = endpoint({
  method: 'GET',
  path: '/api/practice',
  access: ROLES,
  summary: 'Own results in practice and everything that drills are made from',
  response: Practice,
});

export const practiceRecord = endpoint({
  method: 'GET',
  path: '/api/practice/records/:visit',
  access: ROLES,
  summary: 'Any visit that one may see, to be read again as a drill',
  params: z.object({ visit: Id }),
  response: PracticeRecord,
});

const Touch = z.tuple([z.number(), z.number()]).readonly();
export const DrillAnswer = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('comb'), side: FrameSide }),
  z.object({ kind: z.literal('trouble'), trouble: z.enum(TROUBLES).nullable() }),
  z.object({ kind: z.literal('find'), touches: z.array(Touch).max(200, 'Touch at most 200 places.').readonly() }),
  z.object({ kind: z.literal('weather'), depth: z.enum(DEPTHS).nullable(), because: z.enum(HINDRANCES).nullable() }),
  z.object({ kind: z.literal('order'), order: z.array(z.string().max(60)).max(60).readonly() }),
  z.object({ kind: z.literal('stop'), answer: z.enum(STOP_ANSWERS) }),
  z.object({ kind: z.literal('next'), advice: z.enum(ADVICE_KINDS) }),
  z.object({ kind: z.literal('photo'), choice: z.int().min(0).max(20) }),
  z.object({ kind: z.literal('given-up') }),
]);

export const recordPractice = endpoint({
  method: 'POST',
  path: '/api/practice/results',
  access: ROLES,
  summary: 'Keep one answer: the server makes the same drill again and marks it',
  body: z.object({
    id: Id,
    topic: Topic,
    level: Level,
    seed: z.int().min(0).max(0x7fffffff),
    at: Instant,
    seconds: z.number().min(0).max(36_000),
    answer: DrillAnswer,
    /** What was recorded, for drills from the record. */
    recorded: Recorded.nullable(),
    /** Read from the table of counts instead of the comb: practice, but no evidence. */
    asTable: z.boolean().default(false),
    /** The photo drill, for own photos. */
    photo: Id.nullable(),
  }),
  response: z.object({
    /** Not when it was sent before, or the same recorded side or colony was answered before. */
    kept: z.boolean(),
    score: Share,
    right: z.boolean(),
    grade: z.enum(GRADES),
    /** Names of skills that it is weak evidence for. */
    evidence: list(z.string()),
  }),
});

export const IndoorPlan = z.object({
  group: z.object({ id: Id, name: z.string() }),
  trainees: z.int(),
  minutes: z.int(),
  stations: list(
    z.object({
      topic: Topic,
      minutes: z.int(),
      how: z.string(),
      weakness: Share,
      why: list(z.string()),
      pairs: list(list(z.string())),
    }),
  ),
});

export const indoorPlan = endpoint({
  method: 'GET',
  path: '/api/practice/groups/:group/plan',
  access: field,
  summary: "A session indoors from a group's weakest drills",
  params: z.object({ group: Id }),
  query: z.object({
    minutes: z.coerce.number().int().min(15).max(480).default(90),
    stations: z.coerce.number().int().min(1).max(6).default(3),
  }),
  response: IndoorPlan,
});

export const setOutIndoorPlan = endpoint({
  method: 'POST',
  path: '/api/practice/groups/:group/plan',
  access: field,
  summary: 'Set a session indoors out for a group: its trainees see stations, minutes and who works with whom',
  params: z.object({ group: Id }),
  body: z.object({
    id: Id,
    day: CivilDate,
    minutes: z.int().min(15).max(480),
    stations: z.int().min(1).max(6),
  }),
  response: Practice,
});

export const takeBackIndoorPlan = endpoint({
  method: 'POST',
  path: '/api/practice/plans/:plan/withdraw',
  access: field,
  summary: 'Take back a session indoors that was set out',
  params: z.object({ plan: Id }),
  response: Practice,
});

const PhotoBank = z.object({
  photos: list(
    z.object({
      id: Id,
      takenAt: Instant,
      hive: z.string(),
      of: z.enum(PHOTO_SUBJECTS),
      spot: z.string(),
    }),
  ),
  drills: list(PhotoDrill),
});

export const photoBank = endpoint({
  method: 'GET',
  path: '/api/practice/photos',
  access: field,
  summary: "The school's own photos, and the drills made from them",
  response: PhotoBank,
});

export const makePhotoDrill = endpoint({
  method: 'POST',
  path: '/api/practice/photos',
  access: field,
  summary: 'Make a drill from a photo: a question with choices',
  body: z
    .object({
      id: Id,
      attachment: Id,
      question: Words,
      choices: z
        .array(Words)
        .min(2, wrong('one-choice'))
        .max(6, wrong('many-choices'))
        .readonly()
        .meta({ example: ['eggs', 'young larvae'] }),
      answer: z.int().min(0).max(5),
      says: z.string().trim().max(500),
    })
    .refine(({ choices, answer }) => answer < choices.length, { path: ['answer'], error: wrong('no-right-choice') })
    .refine(({ choices }) => new Set(choices.map((each) => each.toLowerCase())).size === choices.length, {
      path: ['choices'],
      error: wrong('same-choices'),
    }),
  response: PhotoBank,
});

export const retirePhotoDrill = endpoint({
  method: 'POST',
  path: '/api/practice/photos/:drill/retire',
  access: field,
  summary: 'Ask a photo no more; answers given to it stay',
  params: z.object({ drill: Id }),
  response: PhotoBank,
});

const Polls = z.object({
  polls: list(
    z.object({
      id: Id,
      /** `null` once a new plan has dropped it. */
      session: Id.nullable(),
      day: CivilDate,
      group: z.string(),
      askedBy: z.string(),
      /** Before the session, or after it. */
      moment: z.enum(POLL_MOMENTS),
      questions: list(
        z.object({
          text: z.string(),
          /** Own answers. */
          own: z.partialRecord(z.enum(POLL_MOMENTS), z.enum(POLL_ANSWERS)),
          /** How many gave each answer; for trainees once they have answered themselves. */
          counts: z.partialRecord(z.enum(POLL_MOMENTS), z.record(z.enum(POLL_ANSWERS), z.int())).nullable(),
          says: z.string(),
        }),
      ),
    }),
  ),
  /** Sessions that a poll can be made for, with questions from what their groups have still open. */
  sessions: list(z.object({ id: Id, group: Id, groupName: z.string(), day: CivilDate, suggested: list(z.string()) })),
});

export const polls = endpoint({
  method: 'GET',
  path: '/api/practice/polls',
  access: ROLES,
  summary: 'What groups are asked before and after a lesson, and how they answered',
  response: Polls,
});

export const askPoll = endpoint({
  method: 'POST',
  path: '/api/practice/polls',
  access: field,
  summary: 'Ask a group before and after a session what it feels ready for',
  body: z.object({
    id: Id,
    session: Id,
    group: Id,
    questions: z.array(Words).min(1, 'Ask at least one question.').max(8, 'Eight questions are enough.').readonly(),
  }),
  response: Polls,
});

export const answerPoll = endpoint({
  method: 'POST',
  path: '/api/practice/polls/:poll/answers',
  access: ROLES,
  summary: 'Answer a poll; answering again changes the answer',
  params: z.object({ poll: Id }),
  body: z.object({
    moment: z.enum(POLL_MOMENTS),
    answers: list(z.object({ question: z.int().min(0).max(7), answer: z.enum(POLL_ANSWERS) })),
  }),
  response: Polls,
});
