import type { Knex } from 'knex';
import { forgetChanges } from '../../database/versioned-store';

/** What an erased person is called. */
const ERASED_NAME = 'former trainee';

/** Takes out all that tells who somebody was. */
export async function erasePerson(trx: Knex, school: string, person: string, at: Date): Promise<void> {
  const { sign_in: signIn } = await trx('people').where({ school, id: person }).first<{ sign_in: string }>('sign_in');
  await trx('people')
    .where({ school, id: person })
    .update({
      name: ERASED_NAME,
      sign_in: `erased ${person}`,
      password_hash: '',
      emergency_note: null,
      mail: null,
      erased_at: at,
    });
  await trx('web_sessions').where({ person }).delete();
  await trx('known_devices').where({ person }).delete();
  await trx('audit_log').where({ person }).orWhere({ about: signIn }).update({ about: '' });
  await trx('invitations').where({ person }).delete();
  await forgetChanges(trx, person);
  await trx('group_members').where({ person }).delete();
  await trx('messages').where({ person }).delete();
}
