import { say } from '../../words';
import type { Text } from '@brave-comb/core/language';
import type { ProblemId, Role } from '@brave-comb/contract';
import { type HiveTypeId, type Stack, type StackChange, isBox, stackProblem } from '@brave-comb/core/equipment';
import {
  type FrameSide,
  type References,
  type VisitEntry,
  kindOf,
  referencesOf,
  sideProblem,
} from '@brave-comb/core/inspection';
import { DAY } from '@brave-comb/core/units';
import { Refusal } from '../../problem';

/** What entries of one visit are held against. */
export interface EntryRules {
  readonly hive: string;
  readonly type: HiveTypeId;
  /** The hive as it stands now, with parts that were taken away during the visit. */
  readonly stack: Stack;
  /** First day of the colony, civil date. */
  readonly colonySince: string;
  readonly now: Date;
  readonly trainees: ReadonlySet<string>;
  readonly people: ReadonlySet<string>;
  /** Trainees whom the sender may judge: one who changed groups meanwhile keeps what was seen. */
  readonly learners: ReadonlySet<string>;
  /** Skills of all versions of the checklist. */
  readonly skills: ReadonlySet<string>;
  readonly entries: ReadonlySet<string>;
  /** Role of whoever sends them. */
  readonly role: Role;
  /** When the visit was closed, `null` while it is open. */
  readonly closedAt: string | null;
  /** Who made an entry of the visit. */
  readonly madeBy: (entry: string) => string | null;
  readonly sender: string;
  /** Hives of the site. */
  readonly hives: ReadonlySet<string>;
  /** Tasks that earlier visits left at this hive. */
  readonly tasks: ReadonlySet<string>;
  /** Ids of combs and colonies in what was sent that are not this school's. */
  readonly foreign: ReadonlySet<string>;
}

/** A device's clock may run ahead this far. */
const AHEAD = DAY;
/** What a trainee took back before the visit was closed may arrive this long after. */
const UNDO_LATE = DAY;

const refuse = (problem: ProblemId, says: Text): Refusal => new Refusal(422, problem, says);

/**
 * Why an entry cannot be kept.
 *
 * @param entry the entry
 * @param rules the visit's hive, colony and people
 * @returns the refusal, or `null` when the entry can be kept
 */
export function entryProblem(entry: VisitEntry, rules: EntryRules): Refusal | null {
  if (entry.at.slice(0, 10) < rules.colonySince) {
    return refuse(
      'before-the-colony',
      say('entry-before-the-colony', { hive: rules.hive, since: rules.colonySince, date: entry.at.slice(0, 10) }),
    );
  }
  if (Date.parse(entry.at) > rules.now.getTime() + AHEAD) {
    return refuse('in-the-future', say('entry-in-the-future', { date: entry.at.slice(0, 10) }));
  }
  const { body } = entry;
  if (rules.role === 'trainee' && kindOf(body).bySupervisors) {
    return refuse('for-supervisors', say('for-the-supervisor'));
  }
  const late = body.kind === 'entry-undone' && rules.now.getTime() > Date.parse(rules.closedAt ?? '') + UNDO_LATE;
  if (rules.role === 'trainee' && rules.closedAt !== null && (late || entry.at > rules.closedAt))
    return refuse('visit-closed', say('visit-is-closed'));
  if (rules.role === 'trainee' && body.kind === 'entry-undone' && rules.madeBy(body.entry) !== rules.sender)
    return rules.madeBy(body.entry) === null
      ? entryKnown(body.entry, rules)
      : refuse('for-supervisors', say('somebody-elses-entry'));
  return referenceProblem(referencesOf(body), rules);
}

/** The first thing that an entry names and the visit does not know. */
function referenceProblem(of: References, rules: EntryRules): Refusal | null {
  const checks: readonly (() => Refusal | null)[] = [
    () =>
      given(of.own, (ids) =>
        ids.some((id) => id !== null && rules.foreign.has(id))
          ? refuse('unknown-comb', say('comb-of-no-school'))
          : null,
      ),
    () => given(of.box, (box) => boxProblem(box, rules)),
    () => given(of.frame, (frame) => frameProblem(frame, rules)),
    () => given(of.part, (part) => partProblem(part, rules)),
    () => given(of.side, sideRefusal),
    () =>
      given(of.trainee, (id) =>
        rules.trainees.has(id) ? null : refuse('not-in-the-group', say('trainee-of-another-group')),
      ),
    () =>
      given(of.person, (id) => (rules.people.has(id) ? null : refuse('not-in-the-group', say('not-with-this-group')))),
    () => given(of.judged, (judged) => judgedProblem(judged, rules)),
    () => given(of.entry, (id) => entryKnown(id, rules)),
    () => given(of.task, (id) => (rules.tasks.has(id) ? null : refuse('unknown-task', say('no-such-task')))),
    () =>
      given(of.hive, (id) =>
        rules.hives.has(id) ? null : refuse('hive-stands-elsewhere', say('comb-to-another-site')),
      ),
    () => given(of.change, (change) => changeProblem(change, rules)),
  ];
  for (const check of checks) {
    const problem = check();
    if (problem) return problem;
  }
  return null;
}

const given = <T>(named: T | null | undefined, check: (named: T) => Refusal | null): Refusal | null =>
  named === null || named === undefined ? null : check(named);

const entryKnown = (id: string, rules: EntryRules): Refusal | null =>
  rules.entries.has(id) ? null : refuse('unknown-entry', say('no-such-entry'));

function boxProblem(box: string, rules: EntryRules): Refusal | null {
  const boxes = rules.stack.filter(isBox).map((layer) => layer.id);
  return boxes.includes(box) ? null : refuse('unknown-box', say('no-such-box', { hive: rules.hive, box, boxes }));
}

function frameProblem({ box, frame }: NonNullable<References['frame']>, rules: EntryRules): Refusal | null {
  const layer = rules.stack.filter(isBox).find((each) => each.id === box);
  if (!layer) return boxProblem(box, rules);
  return frame <= layer.frames
    ? null
    : refuse('unknown-frame', say('no-such-frame', { box: layer.id, hive: rules.hive, frames: layer.frames, frame }));
}

function partProblem(part: string, rules: EntryRules): Refusal | null {
  const parts = rules.stack.map((layer) => layer.id);
  return parts.includes(part) ? null : refuse('unknown-part', say('no-such-part', { hive: rules.hive, part, parts }));
}

function sideRefusal(side: FrameSide): Refusal | null {
  const problem = sideProblem(side);
  return problem ? refuse('over-eight-eighths', problem) : null;
}

function judgedProblem({ trainee, skill }: NonNullable<References['judged']>, rules: EntryRules): Refusal | null {
  if (!rules.skills.has(skill)) return refuse('unknown-skill', say('unknown-skill', { skill }));
  return rules.learners.has(trainee) ? null : refuse('no-trainee', say('no-trainee-of-yours'));
}

function changeProblem(change: StackChange, rules: EntryRules): Refusal | null {
  const wrong = stackProblem(rules.type, rules.stack, change);
  return wrong ? refuse('does-not-fit', wrong) : null;
}
