import type { SkillLevel } from '@brave-comb/core/inspection';
import type { Demonstration } from '@brave-comb/core/skills';
import type { Knex } from 'knex';
import { iso } from '../dates';

export interface DemonstrationRow {
  readonly id: string;
  readonly school: string;
  readonly trainee: string;
  readonly skill: string;
  readonly level: SkillLevel;
  readonly visit: string;
  readonly judged_by: string;
  readonly at: Date;
}

/** Makes the demonstrations of a visit what its entries say. */
export async function replaceDemonstrations(db: Knex, visit: string, rows: readonly DemonstrationRow[]): Promise<void> {
  await db<DemonstrationRow>('demonstrations').where({ visit }).delete();
  if (rows.length > 0) await db('demonstrations').insert(rows);
}

/** What some trainees have shown. */
export async function demonstrationsOf(
  db: Knex,
  school: string,
  trainees: readonly string[],
): Promise<Demonstration[]> {
  const rows = await db<DemonstrationRow>('demonstrations')
    .where({ school })
    .whereIn('trainee', trainees)
    .select('skill', 'trainee', 'level', 'at');
  return rows.map(({ skill, trainee, level, at }) => ({ skill, trainee, level, at: iso(at) }));
}
