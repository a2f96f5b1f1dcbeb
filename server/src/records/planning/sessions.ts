import { v7 as uuid } from 'uuid';
import type { Context } from '../../context';
import { type SessionGroupRow, type SessionRow, insertSession } from './store';

export async function addSession(
  { db }: Context,
  session: Omit<SessionRow, 'id'>,
  groups: readonly Omit<SessionGroupRow, 'session'>[],
): Promise<string> {
  const id = uuid();
  await db.transaction((trx) => insertSession(trx, { id, ...session }, groups));
  return id;
}
