import { say } from '../words';
import { endpoints } from '@brave-comb/contract';
import { deviceOf as browserOf } from '@brave-comb/core/people';
import { DAY } from '@brave-comb/core/units';
import type { Request } from 'express';
import type { Config } from '../config';
import type { Actor, Context } from '../context';
import { iso } from '../dates';
import { LATEST_DEMO_TIME, beginAgain } from '../demo/begin-again';
import { doorProblem } from '../doors';
import { Refusal } from '../problem';
import {
  acceptInvitation,
  addMembers,
  type Attempt,
  audit,
  awaitsOwner,
  beginSchool,
  changeLog,
  changeMember,
  changePassword,
  checkSignIn,
  chooseUnits,
  endSignIns,
  housePracticeForm,
  invite,
  keepHousePractice,
  keepGroup,
  lookAtInvitation,
  lostPassword,
  mailInvitation,
  members,
  messages,
  mySignIns,
  outbox,
  readEmergencyNote,
  readMessage,
  retireGroup,
  retireMember,
  shown,
  signInAttempts,
  unitsOf,
} from '../records/people';
import type { Call, Serve } from '../routing';
import { tryHousePractice } from '../views/weather/practice-tried';

const DEVICE_YEARS = 2;

export function peopleRoutes(context: Context, serve: Serve, config: Config, refreshed: () => Promise<void>): void {
  const { db } = context;
  const attempts = signInAttempts(db);
  const deviceCookie = `${context.cookieName}_device`;
  const clock = () => ({ now: context.clock.now().toISOString(), demo: context.clock.demo });
  const addressOf = (request: Request) => request.ip ?? 'unknown';
  const deviceOf = (request: Request): string =>
    new RegExp(`(?:^|; )${deviceCookie}=([\\w-]{43})(?:;|$)`).exec(request.headers.cookie ?? '')?.[1] ?? '';

  /** From where somebody wants in; refused where what they type could be read on its way. */
  const attemptOf = (name: string, request: Request): Attempt => {
    const problem = doorProblem(request, config);
    if (problem !== null && config.https && !request.secure) throw new Refusal(403, 'wrong-door', problem);
    return { name, address: addressOf(request), device: deviceOf(request) };
  };

  /** Begins a session of somebody who has shown who they are, on a device that is known from then on. */
  const goesIn = async (actor: Actor, attempt: Attempt, { request, response }: Call) => {
    const device = await attempts.succeeded(attempt, actor.id);
    await new Promise<void>((done, fail) => {
      request.session.regenerate((error?: Error | null) => (error ? fail(error) : done()));
    });
    request.session.actor = actor;
    request.session.device = browserOf(request.get('user-agent') ?? '');
    await new Promise<void>((done, fail) => {
      request.session.save((error?: Error | null) => (error ? fail(error) : done()));
    });
    const { school, id: person } = actor;
    await audit(db, { school, person, what: 'signed-in', about: actor.name, address: attempt.address });
    response.cookie(deviceCookie, device, {
      httpOnly: true,
      sameSite: 'strict',
      secure: config.https,
      path: '/',
      maxAge: DEVICE_YEARS * 365 * DAY,
    });
    return { person: shown(actor, await unitsOf(db, actor.id)), clock: clock() };
  };

  serve(endpoints.signIn, async ({ body }, _nobody, { request, response }) => {
    const attempt = attemptOf(body.name, request);
    const told = (what: 'sign-in-refused' | 'sign-in-slowed-down') => async (error: unknown) => {
      if (error instanceof Refusal)
        await audit(db, { school: null, person: null, what, about: body.name, address: attempt.address });
      throw error;
    };
    await attempts.admit(attempt).catch(told('sign-in-slowed-down'));
    const actor = await checkSignIn(context, body.name, body.password).catch(told('sign-in-refused'));
    return goesIn(actor, attempt, { request, response });
  });

  serve(endpoints.beginSchool, async ({ body }, _nobody, { request, response }) => {
    const attempt = attemptOf(body.signIn, request);
    const actor = await beginSchool(context, body, attempt.address);
    return goesIn(actor, attempt, { request, response });
  });

  serve(endpoints.lostPassword, async ({ body: { name } }, _nobody, { request }) => {
    const attempt = { ...attemptOf(name, request), device: '' };
    await attempts.admit(attempt);
    // Answered before it is looked for: how long it takes would tell strangers who is known.
    void lostPassword(context, name, attempt.address).catch((error: unknown) =>
      context.log.warn({ err: error }, 'a lost password was not looked for'),
    );
    return { mails: context.mail !== undefined };
  });
  serve(endpoints.lookAtInvitation, ({ body }) => lookAtInvitation(context, body));
  serve(endpoints.acceptInvitation, async ({ body }, _nobody, { request, response }) => {
    const attempt = attemptOf(body.signIn, request);
    const actor = await acceptInvitation(context, body, attempt.address);
    return goesIn(actor, attempt, { request, response });
  });
  serve(endpoints.changePassword, async ({ body }, actor, { request }) => {
    await attempts.admit({ ...attemptOf(actor.id, request), device: '' });
    return changePassword(context, actor, body, request.sessionID);
  });
  serve(endpoints.mySignIns, (_input, actor, { request }) => mySignIns(context, actor, request.sessionID));
  serve(endpoints.endSignIns, ({ body }, actor, { request }) => endSignIns(context, actor, body.id, request.sessionID));
  memberRoutes(context, serve);

  serve(endpoints.signOut, async (_input, { id: person, name, school }, { request, response }) => {
    await audit(db, { school, person, what: 'signed-out', about: name, address: addressOf(request) });
    await new Promise<void>((done, fail) => {
      request.session.destroy((error?: Error | null) => (error ? fail(error) : done()));
    });
    response.clearCookie(context.cookieName);
    return { signedOut: true as const };
  });

  serve(endpoints.chooseUnits, ({ body }, actor) => chooseUnits(context, actor, body));
  serve(endpoints.messages, (_input, actor) => messages(context, actor));
  serve(endpoints.readMessage, ({ params }, actor) => readMessage(context, actor, params.message));
  serve(endpoints.outbox, (_input, actor) => outbox(context, actor));

  serve(endpoints.whoAmI, async (_input, actor, { request }) => ({
    person: actor && request.session.units ? shown(actor, request.session.units) : null,
    clock: clock(),
    beginning: actor === null && (await awaitsOwner(db)),
    door: doorProblem(request, config),
  }));

  serve(endpoints.moveClock, async ({ body }) => {
    if (!context.clock.demo) {
      throw new Refusal(409, 'real-clock', say('real-clock'));
    }
    const now = context.clock.now().getTime();
    const to = body.to ? Date.parse(body.to) : now + (body.minutes ?? 0) * 60_000;
    if (to <= now) throw new Refusal(422, 'not-later', say('not-later'));
    if (to > LATEST_DEMO_TIME)
      throw new Refusal(422, 'too-late', say('too-late', { date: iso(LATEST_DEMO_TIME).slice(0, 10) }));
    await context.clock.moveTo(new Date(to));
    await refreshed();
    return clock();
  });

  serve(endpoints.beginDemoAgain, async (_input, actor, { request }) => {
    await beginAgain(context);
    await refreshed();
    await audit(db, {
      school: null,
      person: null,
      what: 'demo-begun-again',
      about: actor.name,
      address: addressOf(request),
    });
    return { begun: true as const };
  });

  serve(endpoints.changeLog, ({ query }, actor) => changeLog(context, actor, query));

  serve(endpoints.noteTakenOut, async ({ body }, { school, id: person }, { request }) => {
    await audit(db, { school, person, what: 'records-taken-out', about: body.file, address: addressOf(request) });
    return { noted: true as const };
  });
}

function memberRoutes(context: Context, serve: Serve): void {
  serve(endpoints.housePractice, (_input, actor) => housePracticeForm(context, actor));
  serve(endpoints.tryHousePractice, ({ body }, actor) => tryHousePractice(context, actor, body));
  serve(endpoints.keepHousePractice, ({ body }, actor) => keepHousePractice(context, actor, body));
  serve(endpoints.members, (_input, actor) => members(context, actor));
  serve(endpoints.addMembers, ({ body }, actor) => addMembers(context, actor, body));
  serve(endpoints.changeMember, ({ params, body }, actor) => changeMember(context, actor, params.person, body));
  serve(endpoints.retireMember, ({ params, body }, actor) => retireMember(context, actor, params.person, body));
  serve(endpoints.keepGroup, ({ params, body }, actor) => keepGroup(context, actor, params.group, body));
  serve(endpoints.retireGroup, ({ params, body }, actor) => retireGroup(context, actor, params.group, body));
  serve(endpoints.mailInvitation, ({ params }, actor) => mailInvitation(context, actor, params.person));
  serve(endpoints.invite, ({ params }, actor) => invite(context, actor, params.person));
  serve(endpoints.readEmergencyNote, ({ params }, actor) => readEmergencyNote(context, actor, params.person));
}
