import {
  type Checklist,
  corrected,
  isOpen,
  readingsOffOfLate,
  type Skill,
  type Standings,
  standingsFrom,
} from '@brave-comb/core/skills';
import { addDays } from '@brave-comb/core/units';
import { v7 as uuid } from 'uuid';
import type { Clock } from '../../clock/clock';
import type { Db } from '../../database/db';
import { raiseRevision } from '../../database/revision-store';
import { hourAt, iso } from '../../dates';
import { onceARevision } from '../../kept';
import { dayAtSchool, sitesOf, turnOf } from '../../records/equipment';
import { learnersOf, housePracticeOf, lockSchool } from '../../records/people';
import {
  checklistOf,
  type ChecklistRow,
  checklistToCarry,
  type CorrectionRow,
  correctionsOf,
  insertSignOffs,
  markCarried,
  readingPairsOf,
  shownBy,
  type SignOffRow,
  signOffsOf,
} from '../../records/skills';

/** Later words on what some trainees have shown, and signatures. */
export interface EvidenceWords {
  readonly corrections: readonly CorrectionRow[];
  readonly signOffs: readonly SignOffRow[];
}

/** A school's list, and where some trainees stand by it today. */
export interface SchoolStandings {
  readonly checklist: Checklist;
  readonly standing: Standings;
  readonly today: string;
  readonly words: EvidenceWords;
  /** Where they would stand by another list. */
  readonly by: (checklist: Checklist) => Standings;
}

/**
 * Where some trainees of a school stand today.
 *
 * @param from database and clock
 * @param school id of the school
 * @param trainees ids
 * @returns the list in force, the standings, and the words that they rest on besides the demonstrations
 */
export async function schoolStandings(
  context: { readonly db: Db; readonly clock: Clock },
  school: string,
  trainees: readonly string[],
): Promise<SchoolStandings> {
  const who = [...new Set(trainees)].sort();
  return onceARevision(context, school, `standings of ${who.join(' ')}`, () => reckonStandings(context, school, who));
}

async function reckonStandings(
  { db, clock }: { readonly db: Db; readonly clock: Clock },
  school: string,
  trainees: readonly string[],
): Promise<SchoolStandings> {
  const now = clock.now();
  const today = await dayAtSchool(db, school, now);
  if (await checklistToCarry(db, school, today)) await carryToList(db, school, now);
  const [checklist, { words, by }] = await Promise.all([
    checklistOf(db, school, today),
    schoolEvidence(db, school, trainees, now),
  ]);
  const standings = (list: Checklist) => by(list, today);
  return { checklist, standing: standings(checklist), today, words, by: standings };
}

/** What trainees have shown and what was signed; where they stand on a day by a list is reckoned from it. */
async function schoolEvidence(db: Db, school: string, trainees: readonly string[], now: Date) {
  const [{ forgetting }, [site], demonstrations, corrections, signOffs, pairs] = await Promise.all([
    housePracticeOf(db, school),
    sitesOf(db, school),
    shownBy(db, school, trainees),
    correctionsOf(db, school, trainees),
    signOffsOf(db, school, trainees),
    readingPairsOf(db, school, trainees),
  ]);
  const off = new Map(trainees.map((id) => [id, readingsOffOfLate(pairs.filter(({ trainee }) => trainee === id))]));
  const judged = corrected(demonstrations, corrections.map(asCorrection));
  // Words on a showing that came after it was signed for: the signature may have rested on it.
  const later = corrections.flatMap(({ demonstration, at }) => {
    const shown = demonstrations.find(({ id }) => id === demonstration);
    return shown ? [{ trainee: shown.trainee, skill: shown.skill, day: shown.day, at }] : [];
  });
  const signed = signOffs.flatMap(({ trainee, skill, day, kind, at, by_exception, withdrawn_at }) =>
    withdrawn_at === null
      ? [
          {
            trainee,
            skill,
            day,
            kind,
            byException: Boolean(by_exception),
            struck: later.some(
              (each) => each.trainee === trainee && each.skill === skill && each.day <= day && each.at > at,
            ),
          },
        ]
      : [],
  );
  const by = (checklist: Checklist, today: string): Standings =>
    standingsFrom({
      checklist,
      demonstrations: judged,
      signOffs: signed,
      today,
      now: iso(now),
      forgetting,
      ...(site ? { turn: turnOf(site) } : {}),
      readingsOff: (trainee) => off.get(trainee) ?? null,
    });
  return { words: { corrections, signOffs }, by };
}

/** The day of a list that waited has come: carries over what is held on it, whoever looks first. */
async function carryToList(db: Db, school: string, now: Date): Promise<void> {
  await db.transaction(async (trx) => {
    await lockSchool(trx, school);
    const waited = await checklistToCarry(trx, school, await dayAtSchool(trx, school, now));
    if (!waited) return;
    const { row, before } = waited;
    const trainees = await learnersOf(trx, school);
    const [site] = await sitesOf(trx, school);
    // What was shown from the first day on counts by the new list, however late somebody looks.
    const until = new Date(hourAt(site?.zone ?? 'utc', row.starts!, 0) - 1);
    const { by } = await schoolEvidence(trx, school, trainees, until);
    await carryOver(trx, row, by(before, addDays(row.starts!, -1)), trainees, now);
    await markCarried(trx, row.id);
    await raiseRevision(trx, school);
  });
}

/**
 * Notes what is held by the list before for a new one, under the ids that skills go on as, from the day on which each was last shown.
 *
 * @returns how many standings were carried over
 */
export async function carryOver(
  trx: Db,
  list: Pick<ChecklistRow, 'school' | 'version' | 'skills' | 'made_by'>,
  before: Standings,
  trainees: readonly string[],
  at: Date,
): Promise<number> {
  const held = trainees.flatMap((trainee) =>
    list.skills.flatMap(({ id, from }) => {
      const standing = [id, ...from].map((each) => before(trainee, each)).find((each) => !isOpen(each));
      return standing?.last ? [{ trainee, skill: id, day: standing.last }] : [];
    }),
  );
  const rows = held.map((each) => ({
    ...each,
    id: uuid(),
    school: list.school,
    kind: 'carried' as const,
    by_exception: false,
    version: list.version!,
    note: '',
    by: list.made_by!,
    at,
  }));
  if (rows.length > 0) await insertSignOffs(trx, rows);
  return rows.length;
}

const asCorrection = ({ demonstration, level, at, by, reason }: CorrectionRow) => ({
  demonstration,
  level,
  at: iso(at),
  by,
  reason,
});

/** A skill with those who still have to show it. */
export interface OpenSkill {
  readonly skill: Skill;
  readonly open: readonly string[];
}

/** Skills that are still open in a group, those that most trainees need first. */
export const openSkills = (
  { checklist, standing }: Pick<SchoolStandings, 'checklist' | 'standing'>,
  trainees: readonly string[],
): readonly OpenSkill[] =>
  checklist.skills
    .map((skill) => ({ skill, open: trainees.filter((trainee) => isOpen(standing(trainee, skill.id))) }))
    .filter(({ open }) => open.length > 0)
    .sort((a, b) => b.open.length - a.open.length);
