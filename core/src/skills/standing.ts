import { type SkillLevel, SKILL_LEVELS } from '../inspection';
import { TURN } from '../season';
import type { CivilDate } from '../units';
import { type Demonstration, isJudged, levelRank } from './demonstration';
import { type Forgetting, FORGETTING } from './forgetting';
import { type Calendar, dateOf, dayOf, heldBy, lastDay, type Missing, missingOf } from './held';
import type { Checklist, EvidenceRule, Skill } from './skill';

/** Where a trainee can be with a skill, from nothing to the lead's signature; "due-again" was held and has faded. */
export const STANDING_STATES = ['not-met', 'in-progress', 'shown', 'due-again', 'signed-off'] as const;
export type StandingState = (typeof STANDING_STATES)[number];

/** Where a trainee stands in a skill, and what that rests on. */
export interface Standing {
  readonly state: StandingState;
  /** Level at which it was shown of late: the best of the last three; `null` when it never was. */
  readonly level: SkillLevel | null;
  /** Ids of the demonstrations that the rule counts. */
  readonly counted: readonly string[];
  readonly missing: readonly Missing[];
  /** Last day on which it holds; `null` while it is not held, and for good. */
  readonly until: CivilDate | null;
  /** Day on which it was last judged. */
  readonly last: CivilDate | null;
  /** How far it is to being held, 0 to 1. */
  readonly progress: number;
  /** A lead's signature: earned by the rule, given by exception, or fallen because evidence that it rested on was struck. */
  readonly signature: 'earned' | 'by-exception' | 'fallen' | null;
}

/** A lead's signature under a skill, or what was held when a new version of the list came. */
export interface SignOff {
  readonly trainee: string;
  readonly skill: string;
  readonly day: CivilDate;
  readonly kind: 'signed' | 'carried';
  /** Signed though the rule was not met, with a reason. */
  readonly byException?: boolean | undefined;
  /** Evidence from before it was struck or lowered since. */
  readonly struck?: boolean | undefined;
}

export interface EvidenceFacts {
  readonly checklist: Checklist;
  readonly demonstrations: readonly Demonstration[];
  readonly signOffs: readonly SignOff[];
  readonly today: CivilDate;
  /** ISO instant; what is dated later does not count. */
  readonly now: string;
  readonly forgetting?: Forgetting;
  /** First day of the year of growth, `MM-DD`; the northern winter solstice unless said otherwise. */
  readonly turn?: string;
  /** Eighths by which a trainee's hidden readings were off of late, on the mean; `null` when there are none. */
  readonly readingsOff?: (trainee: string) => number | null;
}

/** Where trainees stand. */
export type Standings = (trainee: string, skill: string) => Standing;

/** Demonstrations that tell the level: one good day long ago does not count for ever. */
const OF_LATE = 3;

const NOTHING: readonly Missing[] = [];
const NOT_MET: Standing = {
  state: 'not-met',
  level: null,
  counted: [],
  missing: [],
  until: null,
  last: null,
  progress: 0,
  signature: null,
};

/** Whether a standing means that the skill still has to be practised. */
export const isOpen = ({ state }: Standing): boolean => state !== 'shown' && state !== 'signed-off';

/**
 * Where trainees stand in the skills of a checklist, each by its evidence rule.
 *
 * @param facts the list, all judgements as they stand after corrections, signatures, today
 * @returns the standing of one trainee in one skill, reckoned once for each
 */
export function standingsFrom(facts: EvidenceFacts): Standings {
  const skills = new Map(facts.checklist.skills.map((skill) => [skill.id, skill]));
  const shown = new Map<string, Map<string, Demonstration[]>>();
  let [last, ofLast]: [string | null, Map<string, Demonstration[]>] = [null, new Map<string, Demonstration[]>()];
  for (const each of facts.demonstrations) {
    if (each.at > facts.now || !isJudged(each)) continue;
    if (each.trainee !== last) {
      last = each.trainee;
      ofLast = shown.get(last) ?? new Map<string, Demonstration[]>();
      shown.set(last, ofLast);
    }
    const list = ofLast.get(each.skill);
    if (list) list.push(each);
    else ofLast.set(each.skill, [each]);
  }
  const signed = new Map<string, SignOff[]>();
  for (const each of facts.signOffs) {
    const key = `${each.trainee} ${each.skill}`;
    signed.set(key, [...(signed.get(key) ?? []), each]);
  }
  const known = new Map<string, Map<string, Standing>>();
  const calendar = {
    today: facts.today,
    forgetting: facts.forgetting ?? FORGETTING,
    turn: facts.turn ?? TURN.north,
  };
  return (trainee, id) => {
    let own = known.get(trainee);
    if (!own) known.set(trainee, (own = new Map<string, Standing>()));
    let standing = own.get(id);
    if (!standing) {
      const skill = skills.get(id);
      standing = skill
        ? standingOf(
            skill,
            evidenceFor(skill, shown.get(trainee)),
            signed.get(`${trainee} ${id}`) ?? [],
            calendar,
            skill.rule.within === null ? null : (facts.readingsOff?.(trainee) ?? null),
          )
        : NOT_MET;
      own.set(id, standing);
    }
    return standing;
  };
}

/** By the moment; what was judged at the same moment by its id, so that the order is always the same. */
function inOrder(a: Demonstration, b: Demonstration): number {
  if (a.at !== b.at) return a.at < b.at ? -1 : 1;
  return a.id < b.id ? -1 : a.id > b.id ? 1 : 0;
}

/** Evidence in a skill and in those it took the place of, oldest first. */
function evidenceFor(
  skill: Skill,
  shown: ReadonlyMap<string, readonly Demonstration[]> | undefined,
): readonly Demonstration[] {
  const own = shown?.get(skill.id) ?? [];
  const all = skill.from.length === 0 ? own : [...own, ...skill.from.flatMap((id) => shown?.get(id) ?? [])];
  for (let at = 1; at < all.length; at += 1) if (inOrder(all[at - 1]!, all[at]!) > 0) return all.toSorted(inOrder);
  return all;
}

function standingOf(
  { rule }: Skill,
  evidence: readonly Demonstration[],
  signOffs: readonly SignOff[],
  calendar: Calendar,
  off: number | null,
): Standing {
  const signed = signOffs.findLast(({ kind }) => kind === 'signed');
  const latest = evidence.at(-1);
  if (!latest && signOffs.length === 0) return NOT_MET;
  const asked = levelRank(rule.level);
  const good: Demonstration[] = [];
  for (const each of evidence) if (levelRank(each.level) >= asked) good.push(each);
  // A signature outlives no evidence that it rested on: what is struck afterwards has to be made good.
  const fell = signed?.struck === true && signed.byException !== true && heldBy(rule, good, null, calendar) === null;
  const signature = (fell ? undefined : signed) ?? signOffs.findLast(({ kind }) => kind === 'carried');
  const mark = fell ? 'fallen' : signed === undefined ? null : signed.byException ? 'by-exception' : 'earned';
  const held = heldBy(rule, good, signature?.day ?? null, calendar);
  const now = dayOf(calendar.today);
  const level = lateLevel(evidence);
  const last = latest?.day ?? null;
  if (held) {
    const counted = idsOf(good);
    const until = held.until === Infinity ? null : dateOf(held.until);
    const why = held.until < now ? 'faded' : helpNeeded(evidence, held.since, asked) ? 'help-needed' : null;
    if (why)
      return {
        state: 'due-again',
        level,
        counted,
        missing: [{ what: 'again', why }],
        until,
        last,
        progress: 0.7,
        signature: mark,
      };
    const astray = signature?.kind === 'signed' ? NOTHING : readingsMissing(rule, off);
    if (astray.length > 0)
      return { state: 'in-progress', level, counted, missing: astray, until, last, progress: 0.8, signature: mark };
    const state = signature?.kind === 'signed' ? 'signed-off' : 'shown';
    return { state, level, counted, missing: NOTHING, until, last, progress: 1, signature: mark };
  }
  // What was shown longer ago than it holds counts no more.
  let first = 0;
  while (first < good.length && lastDay(rule.months, good[first]!.day, calendar.turn) < now) first += 1;
  const valid = first === 0 ? good : good.slice(first);
  return {
    state: 'in-progress',
    level,
    counted: idsOf(valid),
    missing: [...missingOf(rule, valid), ...readingsMissing(rule, off)],
    until: null,
    last,
    progress: progressOf(rule, level, valid),
    signature: mark,
  };
}

function idsOf(demonstrations: readonly Demonstration[]): readonly string[] {
  const ids: string[] = [];
  for (const { id } of demonstrations) ids.push(id);
  return ids;
}

/** Whether the last two showings at a hive since it was held both needed more help than is allowed. */
function helpNeeded(evidence: readonly Demonstration[], since: string, asked: number): boolean {
  if (evidence.length < 2) return false;
  for (let back = 1; back <= 2; back += 1) {
    const each = evidence[evidence.length - back]!;
    if (each.source === 'practice' || each.at <= since || levelRank(each.level) >= asked) return false;
  }
  return true;
}

const readingsMissing = ({ within }: EvidenceRule, off: number | null): readonly Missing[] =>
  within !== null && off !== null && off > within ? [{ what: 'readings', off, allowed: within }] : NOTHING;

function lateLevel(evidence: readonly Demonstration[]): SkillLevel | null {
  let best = -1;
  for (let at = Math.max(0, evidence.length - OF_LATE); at < evidence.length; at += 1)
    best = Math.max(best, levelRank(evidence[at]!.level));
  return best < 0 ? null : SKILL_LEVELS[best]!;
}

/** Half for the level reached, half for how often it was shown so. */
function progressOf(rule: EvidenceRule, level: SkillLevel | null, valid: readonly Demonstration[]): number {
  const reached = level === null ? 0 : levelRank(level) / Math.max(1, levelRank(rule.level));
  return Math.min(0.95, (Math.min(1, reached) + Math.min(1, valid.length / rule.times)) / 2);
}
