import { say } from '../../words';
import type { Text } from '@brave-comb/core/language';
import { NewEntry, type EntryVerdict as Shown } from '@brave-comb/contract';
import { type Stack, stackAfter } from '@brave-comb/core/equipment';
import { withIdsOfNow } from '@brave-comb/core/exchange';
import { type VisitEntry, changesOf, recordOf, sideKey } from '@brave-comb/core/inspection';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { refusalOf, worthAgain } from '../../faults';
import { Refusal, wrongText } from '../../problem';
import { tornText } from '../../torn-text';
import { taskIdsOf } from '../care';
import { coloniesById, colonyIn, hivesById, hivesOf } from '../equipment';
import { learnersOf, traineesOf } from '../people';
import { learnersLedBy } from '../planning';
import { knownSkills } from '../skills';
import { entryProblem } from './check-entry';
import { combsOfOthers } from './comb-store';
import type { Projection } from './projection';
import { openVisit } from './shown-visit';
import { type NamedVisit, entriesOf, entryOwners, insertEntry, lockVisit, updateVisit } from './store';

/** What became of an entry; why it was refused is in no language yet. */
type EntryVerdict = Omit<Shown, 'problem'> & {
  readonly problem?: { readonly problem: NonNullable<Shown['problem']>['problem']; readonly message: Text } | undefined;
};

/**
 * Records entries of a visit in one transaction. Each is kept, known already, or refused for itself: also one that fails in a way that nobody
 * foresaw, which is then written to the log.
 *
 * @param follows what follows from entries, in the order in which it is brought up to them
 * @throws Refusal 422 when not one of them could be kept or was known
 */
export async function recordEntries(
  context: Context,
  actor: Actor,
  id: string,
  sent: readonly unknown[],
  follows: readonly Projection[],
): Promise<{ verdicts: readonly EntryVerdict[] }> {
  const visit = await openVisit(context.db, actor, id);
  const verdicts = await recordBatch(context, actor, visit, sent, follows).catch(async (error: unknown) => {
    if (!ofTheEntry(error)) throw error;
    const apart: EntryVerdict[] = [];
    for (const each of sent) apart.push(...(await recordAlone(context, actor, visit, each, follows)));
    return apart;
  });
  if (verdicts.every((each) => each.outcome === 'refused')) {
    const [first] = verdicts;
    throw new Refusal(
      422,
      first?.problem?.problem ?? 'not-valid',
      first?.problem?.message ?? say('nothing-could-be-kept'),
      verdicts.map((each) => ({ path: each.id, message: each.problem?.message ?? '' })),
    );
  }
  return { verdicts };
}

const NOT_FORESEEN = new Refusal(422, 'fault', say('entry-not-kept'));

/** Whether an error lies in what was sent: not in a database that is away, full, or busy with the same. */
const ofTheEntry = (error: unknown): boolean => !worthAgain(error) && refusalOf(error).status <= 500;

/** One entry of a batch that failed as a whole: it is the one, or it is kept. */
async function recordAlone(
  context: Context,
  actor: Actor,
  visit: NamedVisit,
  sent: unknown,
  follows: readonly Projection[],
): Promise<readonly EntryVerdict[]> {
  try {
    return await recordBatch(context, actor, visit, [sent], follows);
  } catch (error) {
    if (!ofTheEntry(error)) throw error;
    const refusal = refusalOf(error);
    context.log.error({ err: error, entry: idOf(sent) }, 'an entry cannot be kept');
    return [refused(idOf(sent), refusal.status < 500 ? refusal : NOT_FORESEEN)];
  }
}

async function recordBatch(
  context: Context,
  actor: Actor,
  visit: NamedVisit,
  sent: readonly unknown[],
  follows: readonly Projection[],
): Promise<readonly EntryVerdict[]> {
  const [colony, trainees] = await Promise.all([
    colonyIn(context.db, actor.school, visit.hive),
    traineesOf(context.db, actor.school, [visit.trainee_group]),
  ]);
  return revise(context.db, actor.school, async (trx) => {
    await lockVisit(trx, visit.id);
    const entries = await entriesOf(trx, visit.id);
    const known = new Set(entries.map((entry) => entry.id));
    const ids = new Set(trainees.map((trainee) => trainee.id));
    const [hive] = await hivesById(trx, actor.school, [visit.hive]);
    const readable = sent.map(readEntry);
    const rules = {
      hive: visit.hive_number,
      type: hive!.type,
      stack: partsKnown(visit, entries),
      colonySince: colony?.since ?? '',
      now: context.clock.now(),
      trainees: ids,
      learners: await learnersJudgedBy(trx, actor),
      skills: await knownSkills(trx, actor.school),
      people: new Set([...ids, visit.supervisor, actor.id]),
      entries: known,
      role: actor.role,
      closedAt: recordOf(entries).closed?.at ?? null,
      madeBy: (entry: string) => entries.find(({ id: known }) => known === entry)?.by ?? null,
      sender: actor.id,
      hives: new Set((await hivesOf(trx, actor.school, visit.site)).map(({ id }) => id)),
      tasks: new Set(await taskIdsOf(trx, actor.school, visit.hive)),
      foreign: await foreignNames(trx, actor.school, readable),
    };
    const owners = new Map(
      (
        await entryOwners(
          trx,
          readable.flatMap((each) => ('entry' in each ? each.entry.id : [])),
        )
      ).map((row) => [row.id, row.visit]),
    );
    const outcomes: EntryVerdict[] = [];
    for (const [index, read] of readable.entries()) {
      if ('refusal' in read) {
        outcomes.push(refused(idOf(sent[index]), read.refusal));
        continue;
      }
      const entry = asSeenBy(actor, ids, entries, { ...read.entry, by: actor.id });
      const owner = owners.get(entry.id);
      if (known.has(entry.id) || owner === visit.id) {
        outcomes.push({ id: entry.id, outcome: 'known-already' });
        continue;
      }
      const problem = owner
        ? new Refusal(409, 'id-in-use', say('id-of-another-visits-entry'))
        : entryProblem(entry, rules);
      if (problem) {
        outcomes.push(refused(entry.id, problem));
        continue;
      }
      await insertEntry(trx, visit.id, entry, context.clock.now());
      known.add(entry.id);
      entries.push(entry);
      if (entry.body.kind === 'stack-changed' || entry.body.kind === 'entry-undone')
        rules.stack = partsKnown(visit, entries);
      outcomes.push({ id: entry.id, outcome: 'kept' });
    }
    if (outcomes.some((each) => each.outcome === 'kept'))
      await project({ ...context, db: trx }, visit, entries, follows);
    return outcomes;
  });
}

/** Trainees whom somebody may judge: those of the school for a lead, of the groups that they have led for a supervisor. */
const learnersJudgedBy = async (db: Db, actor: Actor): Promise<ReadonlySet<string>> =>
  new Set(actor.role === 'lead' ? await learnersOf(db, actor.school) : await learnersLedBy(db, actor.id));

/** A trainee's reading of a side that a supervisor has read stands beside it, as one of two readings, and does not replace it. */
function asSeenBy(
  { role }: Actor,
  trainees: ReadonlySet<string>,
  entries: readonly VisitEntry[],
  entry: VisitEntry,
): VisitEntry {
  if (role !== 'trainee' || entry.body.kind !== 'frame-side-recorded') return entry;
  const before = recordOf(entries).sides[sideKey(entry.body.address)];
  return before && !trainees.has(before.by) ? { ...entry, body: { ...entry.body, seen: null } } : entry;
}

type ReadEntry = { readonly entry: NewEntry } | { readonly refusal: Refusal };

function readEntry(sent: unknown): ReadEntry {
  const torn = tornText(sent);
  if (torn !== null)
    return {
      refusal: new Refusal(422, 'not-valid', say('entry-with-half-a-character', { torn })),
    };
  const today = NewEntry.safeParse(sent);
  const read = today.success ? today : NewEntry.safeParse(withIdsOfNow(sent));
  return read.success ? { entry: read.data } : { refusal: unreadable(read.error.issues) };
}

/** Combs and colonies that entries name and that are not this school's to name. */
async function foreignNames(trx: Db, school: string, read: readonly ReadEntry[]): Promise<ReadonlySet<string>> {
  const combs = read.flatMap((each) =>
    'entry' in each && each.entry.body.kind === 'comb-moved' ? [each.entry.body.comb] : [],
  );
  const donors = combs.flatMap(({ donor }) => donor ?? []);
  const [foreign, own] = await Promise.all([
    combsOfOthers(
      trx,
      school,
      combs.map(({ id }) => id),
    ),
    coloniesById(trx, school, donors),
  ]);
  const known = new Set(own.map(({ id }) => id));
  return new Set([...foreign, ...donors.filter((donor) => !known.has(donor))]);
}

/** Parts that an entry may speak of: those on the hive now, and those that were on it when it was opened. */
function partsKnown(visit: NamedVisit, entries: readonly VisitEntry[]): Stack {
  const now = stackAfter(visit.stack, changesOf(recordOf(entries)));
  return [...now, ...visit.stack.filter(({ id }) => !now.some((layer) => layer.id === id))];
}

const idOf = (sent: unknown): string =>
  typeof sent === 'object' && sent !== null && 'id' in sent && typeof sent.id === 'string' ? sent.id : '';

const refused = (id: string, { problem, says }: Refusal): EntryVerdict => ({
  id,
  outcome: 'refused',
  problem: { problem, message: says },
});

function unreadable(issues: readonly { readonly path: PropertyKey[]; readonly message: string }[]): Refusal {
  const [first] = issues;
  const where = first && first.path.length > 0 ? first.path.map(String).join('.') : null;
  return new Refusal(
    422,
    'not-valid',
    say('entry-unreadable', { where, why: first === undefined ? null : wrongText(first.message) }),
  );
}

/** Brings closing time and mood up to a visit's entries, and then what follows from them. */
async function project(
  context: Context,
  visit: NamedVisit,
  entries: readonly VisitEntry[],
  follows: readonly Projection[],
): Promise<void> {
  const record = recordOf(entries);
  const { closed, mood } = record;
  await updateVisit(context.db, visit.id, { closed_at: closed ? new Date(closed.at) : null, mood });
  for (const projection of follows) await projection(context, visit, record);
}
