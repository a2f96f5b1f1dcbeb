import {
  type Checklist,
  corrected,
  type Demonstration,
  isOpen,
  readingsOffOfLate,
  type SignOff,
  type Skill,
  type Standings,
  standingsFrom,
} from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import type { Clock } from '../clock/clock';
import { dateAt, iso } from '../dates';
import { sitesOf } from '../equipment/store';
import { practiceOf } from '../people/store';
import { checklistOf } from './checklist-store';
import {
  type CorrectionRow,
  correctionsOf,
  type DemonstrationRow,
  demonstrationsOf,
  type SignOffRow,
  signOffsOf,
} from './evidence-store';

import { readingPairsOf } from './reading-store';

/** All that was ever said of some trainees' skills. */
export interface EvidenceRows {
  readonly demonstrations: readonly DemonstrationRow[];
  readonly corrections: readonly CorrectionRow[];
  readonly signOffs: readonly SignOffRow[];
}

/** A school's list, and where some trainees stand by it today. */
export interface SchoolStandings {
  readonly checklist: Checklist;
  readonly standing: Standings;
  readonly today: string;
  readonly rows: EvidenceRows;
  /** Where they would stand by another list, with other signatures. */
  readonly by: (checklist: Checklist, more?: readonly SignOff[]) => Standings;
}

/**
 * Where some trainees of a school stand today.
 *
 * @param from database and clock
 * @param school id of the school
 * @param trainees ids
 * @returns the list in force, the standings, and the rows that they rest on
 */
export async function schoolStandings(
  { db, clock }: { readonly db: Knex; readonly clock: Clock },
  school: string,
  trainees: readonly string[],
): Promise<SchoolStandings> {
  const [checklist, practice, [site], demonstrations, corrections, signOffs, pairs] = await Promise.all([
    checklistOf(db, school),
    practiceOf(db, school),
    sitesOf(db, school),
    demonstrationsOf(db, school, trainees),
    correctionsOf(db, school, trainees),
    signOffsOf(db, school, trainees),
    readingPairsOf(db, school, trainees),
  ]);
  const off = new Map(trainees.map((id) => [id, readingsOffOfLate(pairs.filter(({ trainee }) => trainee === id))]));
  const now = clock.now();
  const today = dateAt(site?.zone ?? 'utc', now);
  const judged = corrected(demonstrations.map(asDemonstration), corrections.map(asCorrection));
  const signed = signOffs.flatMap(({ trainee, skill, day, kind, withdrawn_at }) =>
    withdrawn_at === null ? [{ trainee, skill, day, kind }] : [],
  );
  const by: SchoolStandings['by'] = (list, more = []) =>
    standingsFrom({
      checklist: list,
      demonstrations: judged,
      signOffs: [...signed, ...more],
      today,
      now: iso(now),
      forgetting: practice.forgetting,
      readingsOff: (trainee) => off.get(trainee) ?? null,
    });
  return { checklist, standing: by(checklist), today, rows: { demonstrations, corrections, signOffs }, by };
}

const asDemonstration = (row: DemonstrationRow): Demonstration => ({
  id: row.id,
  trainee: row.trainee,
  skill: row.skill,
  level: row.level,
  at: iso(row.at),
  day: row.day,
  source: row.source,
  colony: row.hive,
  assessor: row.judged_by,
  lead: Boolean(row.by_lead),
});

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
