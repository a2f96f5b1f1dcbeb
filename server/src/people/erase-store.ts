import type { Knex } from 'knex';

/** What an erased person is called. */
const ERASED_NAME = 'former trainee';

/** Takes out all that tells who somebody was or what was said of them; what was counted stays. */
export async function erasePerson(trx: Knex, school: string, person: string, at: Date): Promise<void> {
  const { sign_in: signIn } = await trx('people').where({ school, id: person }).first<{ sign_in: string }>('sign_in');
  await trx('people')
    .where({ school, id: person })
    .update({
      name: ERASED_NAME,
      sign_in: `erased ${person}`,
      password_hash: '',
      emergency_note: null,
      erased_at: at,
    });
  await trx('web_sessions').where({ person }).delete();
  await trx('known_devices').where({ person }).delete();
  await trx('calendar_feeds').where({ person }).delete();
  await trx('audit_log').where({ person }).orWhere({ about: signIn }).update({ about: '' });
  await trx('group_members').where({ person }).delete();
  await trx('planning_terms').where({ school, owner: person }).delete();
  await trx('messages').where({ person }).delete();
  await trx('demonstrations').where({ school, trainee: person }).update({ note: '', prompt: '' });
  await trx('demonstration_corrections')
    .whereIn('demonstration', trx('demonstrations').where({ school, trainee: person }).select('id'))
    .update({ reason: '' });
  await trx('sign_offs').where({ school, trainee: person }).update({ note: '', withdrawn_why: null });
  await trx('course_sign_offs').where({ school, trainee: person }).update({ note: '', withdrawn_why: null });
  await emptyWords(trx, 'skill judged', 'trainee', person, ['note', 'prompt']);
  await emptyWords(trx, 'incident noted', 'person', person, ['text']);
}

/** Empties words in the entries of visits that are about somebody. */
async function emptyWords(
  trx: Knex,
  kind: string,
  about: 'trainee' | 'person',
  person: string,
  words: readonly string[],
): Promise<void> {
  for (const word of words)
    await trx('visit_entries')
      .whereRaw(`json_value(body, '$.kind') = ? and json_value(body, '$.${about}') = ?`, [kind, person])
      .whereRaw(`json_exists(body, '$.${word}')`)
      .update({ body: trx.raw(`json_replace(body, '$.${word}', '')`) });
}
