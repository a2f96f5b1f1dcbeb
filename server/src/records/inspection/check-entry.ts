import { say } from '../../words';
import type { Text } from '@brave-comb/core/language';
import type { ProblemId, Role } from '@brave-comb/contract';
import { type HiveTypeId, type Stack, isBox, stackProblem } from '@brave-comb/core/equipment';
import { type SideAddress, type VisitEntry, sideProblem } from '@brave-comb/core/inspection';
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

/** What stays with supervisors, also when a trainee keeps the record. */
const BY_SUPERVISORS: ReadonlySet<string> = new Set([
  'skill-judged',
  'reading-settled',
  'doubt-looked-at-again',
  'guard-overridden',
  'visit-closed',
  'stack-changed',
]);

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
  if (rules.role === 'trainee' && BY_SUPERVISORS.has(body.kind)) {
    return refuse('for-supervisors', say('for-the-supervisor'));
  }
  const late = body.kind === 'entry-undone' && rules.now.getTime() > Date.parse(rules.closedAt ?? '') + UNDO_LATE;
  if (rules.role === 'trainee' && rules.closedAt !== null && (late || entry.at > rules.closedAt))
    return refuse('visit-closed', say('visit-is-closed'));
  if (rules.role === 'trainee' && body.kind === 'entry-undone' && rules.madeBy(body.entry) !== rules.sender)
    return rules.madeBy(body.entry) === null
      ? entryKnown(body.entry, rules)
      : refuse('for-supervisors', say('somebody-elses-entry'));
  switch (body.kind) {
    case 'box-opened':
    case 'box-tipped':
    case 'box-summed-up':
      return boxProblem(body.box, rules);
    case 'frame-lifted':
    case 'frame-set-back':
      return addressProblem({ box: body.box, frame: body.frame, face: 'low' }, rules);
    case 'confirmed-afterwards':
    case 'doubt-looked-at-again':
      return addressProblem(body.address, rules);
    case 'side-guessed':
      return addressProblem(body.address, rules) ?? inGroup(body.person, rules);
    case 'side-read-by-trainee':
      return addressProblem(body.address, rules) ?? sideRefusal(body.side) ?? inGroup(body.person, rules);
    case 'comb-moved':
      if (rules.foreign.has(body.comb.id) || (body.comb.donor !== null && rules.foreign.has(body.comb.donor)))
        return refuse('unknown-comb', say('comb-of-no-school'));
      if (body.to.in === 'box') return boxProblem(body.to.box, rules);
      return body.to.in === 'hive' && !rules.hives.has(body.to.hive)
        ? refuse('hive-stands-elsewhere', say('comb-to-another-site'))
        : null;
    case 'role-given':
      return inGroup(body.person, rules);
    case 'checked':
    case 'question-asked':
      return body.person === null ? null : withGroup(body.person, rules);
    case 'frame-side-recorded':
      return addressProblem(body.address, rules) ?? sideRefusal(body.side);
    case 'reading-settled':
      return addressProblem(body.address, rules) ?? entryKnown(body.keep, rules);
    case 'seams-counted':
      return boxProblem(body.box, rules);
    case 'part-taken-off':
    case 'part-put-back':
      return rules.stack.some((layer) => layer.id === body.part)
        ? null
        : refuse(
            'unknown-part',
            say('no-such-part', { hive: rules.hive, part: body.part, parts: rules.stack.map((layer) => layer.id) }),
          );
    case 'skill-judged':
      if (!rules.skills.has(body.skill)) {
        return refuse('unknown-skill', say('unknown-skill', { skill: body.skill }));
      }
      return rules.learners.has(body.trainee) ? null : refuse('no-trainee', say('no-trainee-of-yours'));
    case 'sting-asked-after':
      return withGroup(body.person, rules);
    case 'stack-changed': {
      const wrong = stackProblem(rules.type, rules.stack, body.change);
      return wrong ? refuse('does-not-fit', wrong) : null;
    }
    case 'task-settled':
      return rules.tasks.has(body.task) ? null : refuse('unknown-task', say('no-such-task'));
    case 'sting-counted':
    case 'incident-noted':
      return body.person === null ? null : withGroup(body.person, rules);
    case 'entry-undone':
      return entryKnown(body.entry, rules);
    default:
      return null;
  }
}

const inGroup = (person: string, rules: EntryRules): Refusal | null =>
  rules.trainees.has(person) ? null : refuse('not-in-the-group', say('trainee-of-another-group'));

const withGroup = (person: string, rules: EntryRules): Refusal | null =>
  rules.people.has(person) ? null : refuse('not-in-the-group', say('not-with-this-group'));

const entryKnown = (id: string, rules: EntryRules): Refusal | null =>
  rules.entries.has(id) ? null : refuse('unknown-entry', say('no-such-entry'));

function boxProblem(box: string, rules: EntryRules): Refusal | null {
  const boxes = rules.stack.filter(isBox).map((layer) => layer.id);
  return boxes.includes(box) ? null : refuse('unknown-box', say('no-such-box', { hive: rules.hive, box, boxes }));
}

function addressProblem(address: SideAddress, rules: EntryRules): Refusal | null {
  const layer = rules.stack.filter(isBox).find((each) => each.id === address.box);
  if (!layer) return boxProblem(address.box, rules);
  return address.frame <= layer.frames
    ? null
    : refuse(
        'unknown-frame',
        say('no-such-frame', { box: layer.id, hive: rules.hive, frames: layer.frames, frame: address.frame }),
      );
}

function sideRefusal(side: Parameters<typeof sideProblem>[0]): Refusal | null {
  const problem = sideProblem(side);
  return problem ? refuse('over-eight-eighths', problem) : null;
}
