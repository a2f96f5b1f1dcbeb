import { say } from '../../words';
import type { Actor } from '../../context';
import type { Db } from '../../database/db';
import { tell } from '../people';
import { checklistOf } from './checklist-store';
import { type DemonstrationRow, insertCorrection } from './evidence-store';

/**
 * Turns showings of one trainee down that waited for a word: they stay in the record with the reason, and the trainee is told once.
 *
 * @param trx transaction
 * @param actor whoever turns them down
 * @param rows what waited, of one trainee
 * @param reason in their words
 * @param at now
 */
export async function turnDown(
  trx: Db,
  actor: Actor,
  rows: readonly DemonstrationRow[],
  reason: string,
  at: Date,
): Promise<void> {
  const [first, ...others] = rows;
  if (!first) return;
  for (const { id } of rows)
    await insertCorrection(trx, { id, school: actor.school, demonstration: id, level: null, reason, by: actor.id, at });
  const { skills } = await checklistOf(trx, actor.school, first.day);
  const skill = skills.find(({ id }) => id === first.skill)?.name ?? first.skill;
  const one = others.length === 0;
  const subject = one ? say('claim-turned-down', { skill }) : say('showings-turned-down', { count: rows.length });
  const about = one ? say('claim-stays', { day: first.day }) : say('showings-stay');
  const why = say('turned-down-by', { who: actor.name, reason });
  await tell(trx, actor.school, at, [{ person: first.trainee, subject, lines: [why, about] }]);
}
