import type { Knex } from 'knex';

export interface InvitationRow {
  readonly id: string;
  readonly person: string;
  readonly token_hash: string;
  readonly until: Date;
  readonly used_at: Date | null;
}

/** Makes a link count, and earlier ones of the same person no more. */
export async function keepInvitation(
  trx: Knex,
  row: Omit<InvitationRow, 'used_at'> & { readonly made_by: string; readonly made_at: Date },
): Promise<void> {
  await trx('invitations').where({ person: row.person }).whereNull('used_at').delete();
  await trx('invitations').insert(row);
}

/** An invitation with the person it is for, held so that it is used once. */
export const invitationHeld = (trx: Knex, tokenHash: string) =>
  trx('invitations')
    .join('people', 'people.id', 'invitations.person')
    .join('schools', 'schools.id', 'people.school')
    .where({ token_hash: tokenHash })
    .whereNull('people.erased_at')
    .whereNull('people.retired_at')
    .forUpdate()
    .first<
      | (InvitationRow & {
          readonly name: string;
          readonly sign_in: string;
          readonly mail: string | null;
          readonly school: string;
          readonly school_name: string;
          readonly role: 'lead' | 'supervisor' | 'trainee';
          readonly owner: 0 | 1;
        })
      | undefined
    >(
      'invitations.*',
      'people.name',
      'people.sign_in',
      'people.mail',
      'people.role',
      'people.owner',
      'people.school',
      'schools.name as school_name',
    );

export const useInvitation = (trx: Knex, id: string, at: Date) =>
  trx('invitations').where({ id }).update({ used_at: at });

/** Whether a sign-in name is somebody's. */
export const signInTaken = async (db: Knex, signIn: string, by: string): Promise<boolean> =>
  (await db('people').where({ sign_in: signIn }).whereNot({ id: by }).first<object | undefined>('id')) !== undefined;
