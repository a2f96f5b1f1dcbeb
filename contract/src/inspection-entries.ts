import { MARK_COLOURS } from '@brave-comb/core/biology';
import {
  AMOUNTS,
  BEE_SIGNS,
  CHECK_IDS,
  DEFECT_IDS,
  ENTRANCES,
  EVIDENCE_IDS,
  FINDING_IDS,
  GUARD_IDS,
  INCIDENTS,
  NECTAR_TESTS,
  PHOTO_SUBJECTS,
  REACTIONS,
  REPAIR_BY,
  JOBS,
  ROPE_LARVAE,
  ROPE_LIDS,
  SKILL_LEVELS,
  SMOKE_PLACES,
  STEP_IDS,
  STOP_REASONS,
  STRAY_CAUSES,
  STRAY_CONTENTS,
  STRAY_PLACES,
  TRAFFIC,
  VISIT_DEPTHS,
  WASH_METHODS,
} from '@brave-comb/core/inspection';
import * as z from 'zod';
import { StackChange } from './equipment';
import { Comb, CombPlace, Frame, FrameSide, Letter, PartName, Pollens, SideAddress, Spot } from './inspection-sides';
import { Id, list } from './parts';

const Amount = z.enum(AMOUNTS);
const Words = z.string().max(500);
const Kg = z.number().min(0).max(200);
const Person = Id.nullable();
const Sure = z.int('How sure is a whole number of percent.').min(0).max(100).nullable();
const Count = z.int().min(0).max(100_000);

export const OutsideLook = z.object({
  traffic: z.enum(TRAFFIC).nullable(),
  pollenIn: z.boolean().nullable(),
  deadBees: z.boolean().nullable(),
  intruders: z.boolean().nullable(),
  note: Words,
  pollens: Pollens.optional(),
  dead: Amount.optional(),
  droppings: Amount.optional(),
  bearding: z.boolean().optional(),
  robbing: z.boolean().optional(),
  entrance: z.enum(ENTRANCES).optional(),
  leans: z.boolean().optional(),
  strapped: z.boolean().optional(),
});

const Frames = z.number().min(0).max(40).nullable();
export const BoxSummary = z.object({
  seams: Frames,
  brood: Frames,
  food: Frames,
  drawn: Frames,
  bare: Frames,
  note: Words,
});

export const Measure = z.discriminatedUnion('what', [
  z.object({
    what: z.literal('mites-on-bees'),
    method: z.enum(WASH_METHODS),
    bees: Count.min(1, 'Say how many bees the sample had.'),
    mites: Count,
  }),
  z
    .object({
      what: z.literal('mites-in-drone-brood'),
      cells: Count.min(1, 'Say how many cells were opened.'),
      infested: Count,
    })
    .refine(({ cells, infested }) => infested <= cells, 'More infested cells than were opened: count again.'),
  z.object({ what: z.literal('weight'), part: PartName, how: z.enum(['scale', 'hefted', 'by-feel']), kg: Kg }),
  z.object({ what: z.literal('nest-temperature'), celsius: z.number().min(-20).max(60) }),
  z.object({
    what: z.literal('ropiness'),
    test: z.object({
      lid: z.enum(ROPE_LIDS),
      larva: z.enum(ROPE_LARVAE),
      threadMm: z.number().min(0).max(100).nullable(),
      foulSmell: z.boolean(),
    }),
    spot: Spot.nullable().optional(),
  }),
  z.object({ what: z.literal('honey-moisture'), box: PartName, percent: z.number().min(10).max(40) }),
  z.object({ what: z.literal('gap'), between: z.string().min(1).max(80), mm: z.number().min(0).max(200) }),
  z.object({ what: z.literal('fresh-nectar'), box: PartName, test: z.enum(NECTAR_TESTS), wet: z.boolean() }),
  z.object({ what: z.literal('wasps'), aMinute: z.number().min(0).max(1000), pastGuards: z.boolean() }),
  z.object({ what: z.literal('stuck'), part: PartName, grade: z.int().min(0).max(3) }),
  z.object({ what: z.literal('scraps'), kg: Kg }),
]);

const Heading = Words;

/** What can be entered during a visit. */
export const EntryBody = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('step-reached'), step: z.enum(STEP_IDS) }),
  z.object({ kind: z.literal('depth-chosen'), depth: z.enum(VISIT_DEPTHS) }),
  z.object({ kind: z.literal('outside-seen'), when: z.enum(['before', 'after']), look: OutsideLook }),
  z.object({ kind: z.literal('role-given'), role: z.enum(JOBS), person: Id }),
  z.object({ kind: z.literal('checked'), check: z.enum(CHECK_IDS), ok: z.boolean(), person: Person }),
  z.object({
    kind: z.literal('smoke-given'),
    place: z.enum(SMOKE_PLACES),
    puffs: z.int().min(1).max(50).optional(),
  }),
  z.object({ kind: z.literal('part-taken-off'), part: PartName }),
  z.object({ kind: z.literal('part-put-back'), part: PartName }),
  z.object({ kind: z.literal('box-opened'), box: PartName }),
  z.object({ kind: z.literal('box-tipped'), box: PartName }),
  z.object({ kind: z.literal('seams-counted'), box: PartName, seams: z.number().min(0).max(40) }),
  z.object({ kind: z.literal('box-summed-up'), box: PartName, summary: BoxSummary }),
  z.object({ kind: z.literal('frame-lifted'), box: PartName, frame: Frame }),
  z.object({ kind: z.literal('frame-set-back'), box: PartName, frame: Frame }),
  z.object({ kind: z.literal('comb-moved'), comb: Comb, to: CombPlace, reason: Words }),
  z.object({ kind: z.literal('frame-side-recorded'), address: SideAddress, side: FrameSide, seen: Id.nullable() }),
  z.object({ kind: z.literal('reading-settled'), address: SideAddress, keep: Id }),
  z.object({ kind: z.literal('side-guessed'), person: Id, address: SideAddress, letters: list(Letter) }),
  z.object({ kind: z.literal('side-read-by-trainee'), person: Id, address: SideAddress, side: FrameSide }),
  z.object({ kind: z.literal('confirmed-afterwards'), address: SideAddress, letter: Letter, there: z.boolean() }),
  z.object({ kind: z.literal('queen-mark-seen'), colour: z.enum(['none', ...MARK_COLOURS]) }),
  z.object({ kind: z.literal('doubt-looked-at-again'), address: SideAddress, sound: z.boolean(), found: Words }),
  z.object({
    kind: z.literal('queen-accounted-for'),
    how: z.enum(['on-her-frame', 'seen-going-in', 'not-seen-again']),
  }),
  z.object({ kind: z.literal('evidence-ticked'), evidence: z.enum(EVIDENCE_IDS), seen: z.boolean() }),
  z.object({
    kind: z.literal('finding-noted'),
    finding: z.enum(FINDING_IDS),
    found: z.boolean(),
    count: Count.nullable(),
    sure: Sure,
    spot: Spot.nullable(),
    note: Words,
  }),
  z.object({ kind: z.literal('measured'), measure: Measure }),
  z.object({ kind: z.literal('mood-noted'), mood: z.int().min(1).max(5) }),
  z.object({ kind: z.literal('sign-noticed'), sign: z.enum(BEE_SIGNS) }),
  z.object({ kind: z.literal('sting-counted'), person: Person }),
  z.object({ kind: z.literal('sting-asked-after'), person: Id, reaction: z.enum(REACTIONS) }),
  z.object({ kind: z.literal('stack-changed'), change: StackChange, reason: Words }),
  z.object({
    kind: z.literal('defect-noted'),
    part: PartName,
    defect: z.enum(DEFECT_IDS),
    forNow: Words,
    until: z.enum(REPAIR_BY),
  }),
  z.object({
    kind: z.literal('stray-comb-noted'),
    part: PartName,
    place: z.enum(STRAY_PLACES),
    content: z.enum(STRAY_CONTENTS),
    cause: z.enum(STRAY_CAUSES),
    removed: z.boolean(),
  }),
  z.object({ kind: z.literal('task-settled'), task: Id, done: z.boolean() }),
  z.object({ kind: z.literal('incident-noted'), what: z.enum(INCIDENTS), person: Person, text: Words }),
  z.object({
    kind: z.literal('skill-judged'),
    trainee: Id,
    skill: z.string().max(60),
    level: z.enum(SKILL_LEVELS),
    prompt: Words.optional(),
    note: Words.optional(),
  }),
  z.object({ kind: z.literal('note-written'), text: z.string().min(1).max(2000) }),
  z.object({
    kind: z.literal('question-asked'),
    text: z.string().trim().min(1, 'Write the question.').max(500),
    person: Person,
    spot: Spot.nullable(),
    photo: Id.nullable(),
    sure: Sure,
  }),
  z.object({ kind: z.literal('photo-taken'), photo: Id, of: z.enum(PHOTO_SUBJECTS), spot: Spot.nullable() }),
  z.object({
    kind: z.literal('voice-recorded'),
    recording: Id,
    seconds: z.number().min(0).max(180, 'Speak for three minutes at most.'),
    spot: Spot.nullable(),
  }),
  z.object({
    kind: z.literal('guard-overridden'),
    guard: z.enum(GUARD_IDS),
    reason: z.string().trim().min(1, 'Give the reason.').max(500),
  }),
  z.object({
    kind: z.literal('summed-up'),
    summary: z.object({ bees: Heading, brood: Heading, food: Heading, health: Heading }),
  }),
  z.object({ kind: z.literal('entry-undone'), entry: Id }),
  z.object({ kind: z.literal('stop-said'), reason: z.enum(STOP_REASONS), note: Words }),
  z.object({ kind: z.literal('visit-closed'), reason: z.enum(STOP_REASONS), note: Words }),
]);
