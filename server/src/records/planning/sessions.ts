import { v7 as uuid } from 'uuid';
import type { Context } from '../../context';
import { revise } from '../../database/revision-store';
import { type SessionGroupRow, type SessionRow, insertSession } from './store';

export async function addSession(
  { db }: Context,
  session: Omit<SessionRow, 'id' | 'by_hand'>,
  groups: readonly Omit<SessionGroupRow, 'session'>[],
): Promise<string> {
  const id = uuid();
  await revise(db, session.school, (trx) => insertSession(trx, { id, ...session }, groups));
  return id;
}
