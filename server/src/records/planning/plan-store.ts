import type { Text } from '@brave-comb/core/language';
import type { Pin, PlanJob, PlanningTerms } from '@brave-comb/contract';
import type { InspectionPlan, PlanningProblem, TraineeTerms } from '@brave-comb/core/planning';
import type { Knex } from 'knex';
import { raiseRevision } from '../../database/revision-store';
import { lockSchool } from '../people';

export interface TermsRow {
  readonly owner: string;
  readonly school: string;
  readonly kind: PlanningTerms['kind'];
  readonly terms: PlanningTerms;
  readonly by_person: string | null;
  readonly at: Date;
}

export const termsOf = (db: Knex, school: string): Promise<TermsRow[]> =>
  db<TermsRow>('planning_terms').where({ school }).select();

/** What single trainees may lift and who works sitting, by trainee. */
export async function traineeLimits(db: Knex, school: string): Promise<ReadonlyMap<string, TraineeTerms>> {
  const rows = await db<TermsRow>('planning_terms').where({ school, kind: 'trainee' }).select('owner', 'terms');
  return new Map(rows.flatMap(({ owner, terms }) => (terms.kind === 'trainee' ? [[owner, terms]] : [])));
}

export const keepTerms = (db: Knex, row: TermsRow) =>
  db('planning_terms')
    .insert({ ...row, terms: JSON.stringify(row.terms) })
    .onConflict('owner')
    .merge(['terms', 'by_person', 'at']);
export const staffOf = (db: Knex, school: string) =>
  db('people')
    .where({ school })
    .whereIn('role', ['lead', 'supervisor'])
    .whereNull('retired_at')
    .orderBy('name')
    .select<{ id: string; name: string; role: 'lead' | 'supervisor' }[]>('id', 'name', 'role');

export interface PinRow {
  readonly id: string;
  readonly school: string;
  readonly what: Pin;
  readonly by_person: string;
  readonly at: Date;
  readonly withdrawn_at: Date | null;
}

export const pinsOf = (db: Knex, school: string) =>
  db('plan_pins')
    .join('people', 'people.id', 'plan_pins.by_person')
    .where('plan_pins.school', school)
    .whereNull('withdrawn_at')
    .orderBy('plan_pins.at')
    .select<(PinRow & { by_name: string })[]>('plan_pins.*', 'people.name as by_name');

export const keepPin = (db: Knex, row: Omit<PinRow, 'withdrawn_at'>) =>
  db('plan_pins')
    .insert({ ...row, what: JSON.stringify(row.what) })
    .onConflict('id')
    .ignore();

export const pinById = (db: Knex, school: string, id: string): Promise<PinRow | undefined> =>
  db<PinRow>('plan_pins').where({ school, id }).first();

export const withdrawPin = (db: Knex, school: string, id: string, at: Date): Promise<number> =>
  db<PinRow>('plan_pins').where({ school, id }).whereNull('withdrawn_at').update({ withdrawn_at: at });

export interface JobRow {
  readonly id: string;
  readonly school: string;
  readonly asked_by: string;
  readonly asked_at: Date;
  readonly status: PlanJob['status'];
  readonly stop_asked: 0 | 1;
  readonly seed: number;
  readonly seconds: number;
  readonly spent: number;
  readonly problem: string;
  readonly course: string;
  readonly plan: string | null;
  readonly trouble: Text | null;
  readonly claims: number;
  readonly claimed_by: string | null;
  readonly beat: Date | null;
  readonly revision: number;
}

const jobs = (db: Knex) => db<JobRow>('plan_jobs');
const named = (db: Knex, school: string) =>
  db('plan_jobs').join('people', 'people.id', 'plan_jobs.asked_by').where('plan_jobs.school', school);
type NamedJob = JobRow & { readonly by_name: string };

export const jobById = (db: Knex, school: string, id: string): Promise<NamedJob | undefined> =>
  named(db, school).where('plan_jobs.id', id).first<NamedJob | undefined>('plan_jobs.*', 'people.name as by_name');

export const latestJob = (db: Knex, school: string): Promise<NamedJob | undefined> =>
  named(db, school)
    .orderBy('asked_at', 'desc')
    .orderBy('plan_jobs.id', 'desc')
    .first<NamedJob | undefined>('plan_jobs.*', 'people.name as by_name');

/** Revision and state of a job: cheap enough to be asked for several times a second. */
export const jobRevision = (db: Knex, id: string): Promise<Pick<JobRow, 'revision' | 'status'> | undefined> =>
  jobs(db).where({ id }).first('revision', 'status');

export const insertJob = (
  db: Knex,
  row: Pick<JobRow, 'id' | 'school' | 'asked_by' | 'asked_at' | 'seed' | 'seconds'> & { problem: PlanningProblem },
) =>
  db('plan_jobs')
    .insert({ ...row, problem: JSON.stringify(row.problem), status: 'waiting', course: '[]' })
    .onConflict('id')
    .ignore();

export const lockJob = (db: Knex, school: string, id: string): Promise<JobRow | undefined> =>
  jobs(db).where({ school, id }).forUpdate().first();

export const changeJob = (db: Knex, id: string, change: Partial<Omit<JobRow, 'id' | 'school' | 'revision'>>) =>
  jobs(db)
    .where({ id })
    .update({ ...change, revision: db.raw('revision + 1') as unknown as number });

/** A job that its worker left behind has not shown a sign of life for so long, seconds. */
export const LOST_AFTER = 10;

const FRESH = `beat >= utc_timestamp(3) - interval ${LOST_AFTER} second`;
const runningSchools = (db: Knex) => jobs(db).where({ status: 'running' }).whereRaw(FRESH).select('school');

/**
 * Takes one job that waits, or whose worker is gone, so that no two servers take the same. Of each school one is worked on at a time, and
 * next is what was worked on longest ago: a school that asks for much does not hold up the others.
 */
export async function claimJob(db: Knex, me: string): Promise<JobRow | undefined> {
  return db.transaction(async (trx) => {
    const first = (status: JobRow['status']) =>
      jobs(trx)
        .where({ status })
        .orderByRaw("coalesce(beat, '1970-01-01'), asked_at")
        .limit(1)
        .forUpdate()
        .skipLocked();
    const [waiting] = await first('waiting').whereNotIn('school', runningSchools(trx));
    const job = waiting ?? (await first('running').whereRaw(`(beat is null or not ${FRESH})`))[0];
    if (!job) return undefined;
    await lockSchool(trx, job.school);
    const others = await runningSchools(trx).where({ school: job.school }).whereNot({ id: job.id });
    if (others.length > 0) return undefined;
    await changeJob(trx, job.id, {
      status: 'running',
      claimed_by: me,
      claims: job.claims + 1,
      beat: trx.raw('utc_timestamp(3)') as unknown as Date,
    });
    await raiseRevision(trx, job.school);
    return { ...job, claims: job.claims + 1 };
  });
}

/** Tells how far a claimed job has come; answers whether it is still ours, and whether it shall stop. */
export async function reportJob(
  db: Knex,
  id: string,
  me: string,
  change: Partial<Pick<JobRow, 'course' | 'plan' | 'spent'>>,
): Promise<'go-on' | 'stop' | 'not-ours'> {
  const ours = await jobs(db)
    .where({ id, claimed_by: me, status: 'running' })
    .update({
      ...change,
      beat: db.raw('utc_timestamp(3)') as unknown as Date,
      revision: db.raw('revision + 1') as unknown as number,
    });
  if (ours === 0) return 'not-ours';
  const row = await jobs(db).where({ id }).first('stop_asked');
  return row?.stop_asked === 1 ? 'stop' : 'go-on';
}

export const endJob = (
  db: Knex,
  id: string,
  me: string,
  change: Pick<JobRow, 'status' | 'trouble'> & Partial<Pick<JobRow, 'course' | 'plan' | 'spent'>>,
) =>
  jobs(db)
    .where({ id, claimed_by: me, status: 'running' })
    .update({
      ...change,
      trouble: change.trouble === null ? null : (JSON.stringify(change.trouble) as unknown as Text),
      stop_asked: 0,
      claimed_by: null,
      revision: db.raw('revision + 1') as unknown as number,
    });

/** Gives a job back, to be claimed again: after the others where it made room for them, which is no fault of its own. */
export const giveJobBack = (db: Knex, id: string, me: string, madeRoom = false) =>
  jobs(db)
    .where({ id, claimed_by: me, status: 'running' })
    .update({
      status: 'waiting',
      claimed_by: null,
      ...(madeRoom ? { claims: db.raw('claims - 1') as unknown as number } : {}),
    });

/** Whether another school's job waits that nobody works on. */
export const othersWait = async (db: Knex, school: string): Promise<boolean> =>
  (await jobs(db)
    .where({ status: 'waiting' })
    .whereNot({ school })
    .whereNotIn('school', runningSchools(db))
    .first('id')) !== undefined;

/** How many jobs of a school wait or are worked on. */
export async function jobsGoing(db: Knex, school: string): Promise<number> {
  const rows = await jobs(db).where({ school }).whereIn('status', ['waiting', 'running']).select('id');
  return rows.length;
}

export interface VersionRow {
  readonly id: string;
  readonly school: string;
  readonly version: number;
  readonly by_person: string;
  readonly at: Date;
  readonly forecast: Date | null;
  readonly problem: string;
  readonly plan: string;
  readonly changes: readonly Text[];
  readonly reason: string;
}
export type NamedVersion = VersionRow & { readonly by_name: string };

const versions = (db: Knex, school: string) =>
  db('plan_versions')
    .join('people', 'people.id', 'plan_versions.by_person')
    .where('plan_versions.school', school)
    .orderBy('version', 'desc');

export const latestVersion = (db: Knex, school: string): Promise<NamedVersion | undefined> =>
  versions(db, school).first<NamedVersion | undefined>('plan_versions.*', 'people.name as by_name');

export const versionsOf = (db: Knex, school: string): Promise<NamedVersion[]> =>
  versions(db, school).limit(50).select<NamedVersion[]>('plan_versions.*', 'people.name as by_name');

export const versionById = (db: Knex, school: string, id: string): Promise<VersionRow | undefined> =>
  db<VersionRow>('plan_versions').where({ school, id }).first();

export const insertVersion = (
  db: Knex,
  row: Omit<VersionRow, 'problem' | 'plan'> & { problem: PlanningProblem; plan: InspectionPlan },
) =>
  db('plan_versions').insert({
    ...row,
    problem: JSON.stringify(row.problem),
    plan: JSON.stringify(row.plan),
    changes: JSON.stringify(row.changes),
  });

/** What somebody said of when they can come and what they can lift is gone. */
export const forgetTerms = (db: Knex, school: string, owner: string) =>
  db('planning_terms').where({ school, owner }).delete();
