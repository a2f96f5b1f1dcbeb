import type { Output, endpoints } from '@brave-comb/contract';
import { DAY } from '@brave-comb/core/units';
import type { Actor, Context } from '../../context';
import type { Mail } from '../../mail';
import { revise } from '../../database/revision-store';
import { iso } from '../../dates';
import { Refusal, notFound } from '../../problem';
import { inEnglish, inLanguage, say } from '../../words';
import { audit } from './audit-store';
import { freshInvitation } from './invitations';
import { lostBy, mailFailed, mailSent, unsentMails } from './mail-store';
import { membersOf } from './member-store';
import { members } from './members';

/** Older messages are told on the screen only: nobody wants last season's mails on the day that a mail server is set up. */
const NOT_OLDER = DAY;
const AT_A_TIME = 20;
const MINUTE = 60_000;

/**
 * Sends messages as mails to those who have an address. What a mail server does not take is tried again, each time twice as late.
 *
 * @returns how many went out
 */
export async function sendMails({ clock, db, log, publicUrl }: Context, mail: Mail): Promise<number> {
  const now = clock.now();
  let sent = 0;
  for (const row of await unsentMails(db, new Date(now.getTime() - NOT_OLDER), now, AT_A_TIME)) {
    const { subject, lines } = inLanguage({ subject: row.subject, lines: row.lines }, 'en', row.units ?? 'metric');
    const text = [...lines, '', `${row.school_name}: ${publicUrl}/messages`].join('\n');
    try {
      await mail({ to: row.mail, subject, text });
      await mailSent(db, row.id, now);
      sent += 1;
    } catch (error) {
      const tries = row.mail_tries + 1;
      const next = new Date(now.getTime() + 2 ** tries * MINUTE);
      await mailFailed(db, row.id, tries, next, (error as Error).message);
      log.warn({ err: error, tries }, 'a mail was not taken');
    }
  }
  return sent;
}

/**
 * Makes an invitation and sends it. It counts once the mail server has taken it: earlier links are good until then.
 *
 * @throws Refusal 409 where this installation sends no mail or the person has no address, 502 when the mail server takes it not
 */
export async function mailInvitation(
  context: Context,
  actor: Actor,
  person: string,
): Promise<Output<(typeof endpoints)['mailInvitation']>> {
  const { mail } = context;
  const until = await revise(context.db, actor.school, async (trx) => {
    const found = (await membersOf(trx, actor.school)).find(({ id }) => id === person);
    if (!found) throw notFound('person');
    if (!mail) throw new Refusal(409, 'no-mail', say('no-mail'));
    if (!found.mail) throw new Refusal(409, 'no-mail', say('no-mail-address', { name: found.name }));
    const made = await freshInvitation(trx, actor, person);
    await posted(mail, {
      to: found.mail,
      subject: inEnglish(say('invitation-mail-subject', { school: actor.schoolName })),
      text: linkText(
        context,
        say('invitation-mail', { name: found.name, school: actor.schoolName, by: actor.name }),
        made.link,
      ),
    });
    return made.until;
  });
  return { until: iso(until), members: await members(context, actor) };
}

/**
 * Sends a link for a new password to whoever is meant, if somebody is.
 *
 * @param name a sign-in name or a mail address
 * @param address from where it is asked
 */
export async function lostPassword(context: Context, name: string, address: string): Promise<void> {
  const { db, mail, log } = context;
  if (!mail) return;
  for (const { id, name: called, school, school_name: schoolName, mail: to } of await lostBy(
    db,
    name.trim().toLowerCase(),
  )) {
    const own = { id, name: called, school, schoolName, role: 'trainee' } as const;
    await revise(db, school, async (trx) => {
      const { link } = await freshInvitation(trx, own, id);
      await audit(trx, { school, person: id, what: 'password-lost', about: called, address });
      await posted(mail, {
        to,
        subject: inEnglish(say('lost-password-subject', { school: schoolName })),
        text: linkText(context, say('lost-password-mail', { name: called, school: schoolName }), link),
      });
    }).catch((error: unknown) => log.warn({ err: error }, 'a link for a new password was not sent'));
  }
}

const linkText = ({ publicUrl }: Context, words: Parameters<typeof inEnglish>[0], link: string): string =>
  `${inEnglish(words) as string}\n\n${publicUrl}${link}\n`;

async function posted(mail: Mail, letter: Parameters<Mail>[0]): Promise<void> {
  try {
    await mail(letter);
  } catch (error) {
    throw new Refusal(502, 'mail-failed', say('mail-failed', { why: (error as Error).message.slice(0, 120) }));
  }
}
