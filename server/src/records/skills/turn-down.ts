import { inEnglish } from '../../words';
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
  const skill = inEnglish(skills.find(({ id }) => id === first.skill)?.name ?? first.skill);
  const subject =
    others.length === 0
      ? `Your claim was turned down: ${skill}`
      : `${rows.length} showings of your passport were turned down`;
  const about =
    others.length === 0
      ? `It was about ${first.day}. It stays in your passport; show the skill again and claim it anew.`
      : 'They stay in your passport; show the skills again here.';
  await tell(trx, actor.school, at, [{ person: first.trainee, subject, lines: [`${actor.name}: ${reason}`, about] }]);
}
