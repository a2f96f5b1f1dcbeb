import { type Members, endpoints } from '@brave-comb/contract';
import { type ParsedMail, simpleParser } from 'mailparser';
import { SMTPServer } from 'smtp-server';
import type { AddressInfo } from 'node:net';
import supertest from 'supertest';
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest';
import { SetUpError, configFromEnvironment } from '../src/config';
import { smtpMail } from '../src/mail';
import { sendMails, tell } from '../src/records/people';
import { type School, openSchool, pathOf } from './school';

/** Mails through a mail server that is not ours (smtp-server), read by a parser that is not ours (mailparser). */

type Agent = Awaited<ReturnType<School['signIn']>>;
const taken: ParsedMail[] = [];
let refuses = false;
const postOffice = new SMTPServer({
  authOptional: true,
  disabledCommands: ['STARTTLS'],
  onData: (stream, _session, done) => {
    void simpleParser(stream).then((mail) => {
      if (!refuses) taken.push(mail);
      done(refuses ? new Error('451 the mailbox is full') : null);
    });
  },
});
let school: School;
let lead: Agent;
let mail: ReturnType<typeof smtpMail>;

beforeAll(async () => {
  await new Promise<void>((done) => postOffice.listen(0, '127.0.0.1', done));
  const { port } = postOffice.server.address() as AddressInfo;
  mail = smtpMail(`smtp://127.0.0.1:${port}`, 'Brenna Fell <school@brenna-fell.example>');
  school = await openSchool('', 'mails', false, mail);
  lead = await school.signIn('morag');
  await school.db('people').where({ sign_in: 'salma' }).update({ mail: 'salma@brenna-fell.example' });
}, 120_000);
afterAll(async () => {
  await school.close();
  await new Promise<void>((done) => postOffice.close(done));
});
beforeEach(() => {
  taken.length = 0;
  refuses = false;
});

const members = async () => (await lead.get(endpoints.members.path).expect(200)).body as Members;
const person = async (name: RegExp) => (await members()).people.find((each) => name.test(each.name))!;
const linkIn = (letter: ParsedMail): string =>
  /https:\/\/hives\.example\.org\/invitation#([\w-]{43})/.exec(letter.text ?? '')?.[1] ?? '';
const look = (token: string) => supertest(school.app).post(endpoints.lookAtInvitation.path).send({ token });

describe('an invitation by mail', () => {
  it('reaches whom it is for, in their name, with a link that opens', async () => {
    const salma = await person(/^Salma/);
    await school.wrote();
    expect((await members()).mails).toBe(true);
    const answer = await lead.post(pathOf(endpoints.mailInvitation, { person: salma.id })).expect(200);
    expect(JSON.stringify(answer.body)).not.toContain('invitation#');
    expect(taken).toHaveLength(1);
    const [letter] = taken;
    expect(letter!.subject).toBe('Your way in at Brenna Fell School of Beekeeping');
    expect(letter!.from?.text).toContain('school@brenna-fell.example');
    expect([letter!.to].flat().map((each) => each?.text)).toEqual(['salma@brenna-fell.example']);
    expect(letter!.text).toContain('Morag Selkirk has set you up');
    expect((await look(linkIn(letter!)).expect(200)).body).toMatchObject({ name: salma.name });
  });

  it('that the mail server does not take counts for nothing: the link before it is still good', async () => {
    const salma = await person(/^Salma/);
    await lead.post(pathOf(endpoints.mailInvitation, { person: salma.id })).expect(200);
    const before = linkIn(taken[0]!);
    refuses = true;
    const answer = await lead.post(pathOf(endpoints.mailInvitation, { person: salma.id })).expect(502);
    expect(answer.body).toMatchObject({ problem: 'mail-failed', message: /did not take it.*Nothing was sent/ });
    await look(before).expect(200);
  });

  it('is refused for somebody without an address, to supervisors, and for a lead by another lead', async () => {
    const kwame = await person(/^Kwame/);
    const answer = await lead.post(pathOf(endpoints.mailInvitation, { person: kwame.id })).expect(409);
    expect(answer.body).toMatchObject({ message: /No mail address of Kwame/ });
    const salma = await person(/^Salma/);
    await (await school.signIn('tomasz')).post(pathOf(endpoints.mailInvitation, { person: salma.id })).expect(403);
    await (await school.signIn('ines')).post(pathOf(endpoints.mailInvitation, { person: salma.id })).expect(404);
    expect(taken).toEqual([]);
  });
});

const WAITS = { timeout: 10_000 };

describe('a lost password', () => {
  const lost = (name: string) => supertest(school.app).post(endpoints.lostPassword.path).send({ name });

  it('is made anew by a link to the address that is known; strangers hear the same for anybody', async () => {
    expect((await lost('salma').expect(200)).body).toEqual({ mails: true });
    expect((await lost('nobody-at-all').expect(200)).body).toEqual({ mails: true });
    await vi.waitFor(() => expect(taken).toHaveLength(1), WAITS);
    expect(taken[0]!.subject).toBe('A new password at Brenna Fell School of Beekeeping');
    const token = linkIn(taken[0]!);
    await supertest(school.app)
      .post(endpoints.acceptInvitation.path)
      .send({ token, signIn: 'salma', password: 'four plain words here' })
      .expect(200);
    await supertest(school.app)
      .post(endpoints.signIn.path)
      .send({ name: 'salma', password: 'four plain words here' })
      .expect(200);
    const { lines } = (await lead.get(endpoints.changeLog.path).expect(200)).body as {
      lines: { door: string | null }[];
    };
    expect(lines.some(({ door }) => door === 'password-lost')).toBe(true);
  });

  it('is found by the address too, and sends nothing to who has none', async () => {
    await lost('kwame').expect(200);
    await lost('Salma@Brenna-Fell.example').expect(200);
    await vi.waitFor(() => expect(taken).toHaveLength(1), WAITS);
    expect([taken[0]!.to].flat().map((each) => each?.text)).toEqual(['salma@brenna-fell.example']);
  });

  it('leaves the password as it is when the link is not used', async () => {
    await lost('salma').expect(200);
    await vi.waitFor(() => expect(taken).toHaveLength(1), WAITS);
    await supertest(school.app)
      .post(endpoints.signIn.path)
      .send({ name: 'salma', password: 'four plain words here' })
      .expect(200);
  });

  it('is slowed down: nobody is flooded with mails', async () => {
    const answers: number[] = [];
    for (let time = 0; time < 14; time += 1) answers.push((await lost('salma')).status);
    expect(answers.at(-1)).toBe(429);
    const admitted = answers.filter((status) => status === 200).length;
    await vi.waitFor(() => expect(taken).toHaveLength(admitted), WAITS);
    expect(admitted).toBeLessThan(11);
  });
});

describe('messages as mails', () => {
  const outbox = async () =>
    (await lead.get(endpoints.outbox.path).expect(200)).body as {
      sends: boolean;
      mails: {
        to: string;
        subject: string;
        mail: { sent: string | null; tries: number; fault: string | null } | null;
      }[];
    };
  const told = async (subject: string, days = 0) => {
    const { school: own, id } = await school
      .db('people')
      .where({ sign_in: 'salma' })
      .first<{ school: string; id: string }>();
    const other = await school.db('people').where({ sign_in: 'kwame' }).first<{ id: string }>();
    const at = new Date(school.context.clock.now().getTime() - days * 86_400_000);
    await tell(school.db, own, at, [
      { person: id, subject, lines: ['Thu 21 May, 12:30', 'Veils on at the gate 🐝'] },
      { person: other.id, subject, lines: ['the same'] },
    ]);
    await school.wrote();
  };
  const state = async (subject: string) =>
    (await outbox()).mails.filter((each) => each.subject === subject).map(({ mail: as }) => as);

  it('go out once to who has an address; the outbox tells which', async () => {
    await told('Called off');
    expect(await sendMails(school.context, mail)).toBe(1);
    expect(await sendMails(school.context, mail)).toBe(0);
    expect(taken.map(({ subject }) => subject)).toEqual(['Called off']);
    expect(taken[0]!.text).toContain('Veils on at the gate 🐝');
    expect(taken[0]!.text).toContain('https://hives.example.org/messages');
    await school.wrote();
    expect((await outbox()).sends).toBe(true);
    const states = await state('Called off');
    expect(states).toContainEqual(null);
    expect(states).toContainEqual({ sent: '2026-05-14T06:40:00.000Z', tries: 0, fault: null });
  });

  it('that are not taken wait, are told of in the outbox, and are tried again later, six times at most', async () => {
    await told('Moved');
    refuses = true;
    expect(await sendMails(school.context, mail)).toBe(0);
    await school.wrote();
    expect(await state('Moved')).toContainEqual({
      sent: null,
      tries: 1,
      fault: expect.stringContaining('mailbox is full') as string,
    });
    refuses = false;
    expect(await sendMails(school.context, mail)).toBe(0);
    await school.db('messages').whereNotNull('mail_next').update({ mail_next: school.context.clock.now() });
    expect(await sendMails(school.context, mail)).toBe(1);
    await told('Never');
    refuses = true;
    for (let time = 0; time < 8; time += 1) {
      await sendMails(school.context, mail);
      await school.db('messages').whereNotNull('mail_next').update({ mail_next: school.context.clock.now() });
    }
    await school.wrote();
    expect(await state('Never')).toContainEqual({
      sent: null,
      tries: 6,
      fault: expect.stringContaining('full') as string,
    });
  });

  it('from before yesterday are not sent: a mail server set up today does not tell of last season', async () => {
    await told('Last season', 3);
    expect(await sendMails(school.context, mail)).toBe(0);
  });
});

describe('the settings of mail', () => {
  const base = {
    SMTP_URL: 'smtps://a:b@mail.example.org',
    MAIL_FROM: 'school@example.org',
    PUBLIC_URL: 'https://hives.example.org',
  };
  it.each([
    ['all there', base, null],
    ['no mail server', {}, null],
    ['an address that is none', { ...base, SMTP_URL: 'mail.example.org' }, /SMTP_URL is no address/],
    ['nobody who sends', { ...base, MAIL_FROM: '' }, /MAIL_FROM is needed/],
    ['no address for links', { ...base, PUBLIC_URL: '' }, /PUBLIC_URL is needed/],
  ])('%s', (_what, env, wrong) => {
    if (wrong === null) expect(configFromEnvironment(env).smtpUrl).toBe((env as { SMTP_URL?: string }).SMTP_URL ?? '');
    else expect(() => configFromEnvironment(env)).toThrow(new RegExp(wrong));
    if (wrong !== null) expect(() => configFromEnvironment(env)).toThrow(SetUpError);
  });
});
