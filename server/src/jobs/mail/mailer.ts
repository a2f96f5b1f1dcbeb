import { v7 as uuid } from 'uuid';
import type { Context } from '../../context';
import { giveLease, takeLease } from '../../database/leases';
import { sendMails } from '../../records/people';

const LEASE = 'mail';
/** Longer than twenty mails take of a server that does not answer, s. */
const LEASE_LASTS = 300;
const LOOK_EVERY = 10_000;

/** Sends what is to be told by mail again and again, one process at a time, until it is stopped. Without a mail server there is nothing to do. */
export function startMailer(context: Context): { stop: () => Promise<void> } {
  const { db, log, mail } = context;
  if (!mail) return { stop: () => Promise.resolve() };
  const me = uuid();
  let stopping = false;
  let timer: NodeJS.Timeout;
  const send = async (): Promise<void> => {
    if (!(await takeLease(db, LEASE, me, LEASE_LASTS))) return;
    try {
      await sendMails(context, mail);
    } finally {
      await giveLease(db, LEASE, me);
    }
  };
  const turn = async (): Promise<void> => {
    await send().catch((error: unknown) => log.warn({ err: error }, 'mails cannot be sent'));
    if (!stopping) timer = setTimeout(() => void (current = turn()), LOOK_EVERY);
  };
  let current = turn();
  return {
    stop: async () => {
      stopping = true;
      clearTimeout(timer);
      await current;
    },
  };
}
