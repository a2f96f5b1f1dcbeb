import { endpoints } from '@brave-comb/contract';
import type { Context } from '../context';
import { Refusal } from '../problem';
import type { Serve } from '../routing';
import { signInAttempts } from './attempts';
import { messages, outbox, readMessage } from './messages';
import { checkSignIn, shown } from './service';

export function peopleRoutes(context: Context, serve: Serve): void {
  const attempts = signInAttempts(context.db);
  const clock = () => ({ now: context.clock.now().toISOString(), demo: context.clock.demo });

  serve(endpoints.signIn, async ({ body }, _nobody, { request }) => {
    const address = request.ip ?? 'unknown';
    await attempts.admit(body.name, address);
    const actor = await checkSignIn(context, body.name, body.password).catch(async (error: unknown) => {
      if (error instanceof Refusal) await attempts.failed(body.name, address);
      throw error;
    });
    await attempts.succeeded(body.name);
    await new Promise<void>((done, fail) => {
      request.session.regenerate((error?: Error | null) => (error ? fail(error) : done()));
    });
    request.session.actor = actor;
    return { person: shown(actor), clock: clock() };
  });

  serve(endpoints.signOut, async (_input, _actor, { request, response }) => {
    await new Promise<void>((done, fail) => {
      request.session.destroy((error?: Error | null) => (error ? fail(error) : done()));
    });
    response.clearCookie(context.cookieName);
    return { signedOut: true as const };
  });

  serve(endpoints.messages, (_input, actor) => messages(context, actor));
  serve(endpoints.readMessage, ({ params }, actor) => readMessage(context, actor, params.message));
  serve(endpoints.outbox, (_input, actor) => outbox(context, actor));

  serve(endpoints.whoAmI, (_input, actor) => Promise.resolve({ person: actor ? shown(actor) : null, clock: clock() }));

  serve(endpoints.moveClock, async ({ body }) => {
    if (!context.clock.demo) {
      throw new Refusal(409, 'real clock', 'This school runs on the real clock, which cannot be moved.');
    }
    const now = context.clock.now().getTime();
    const to = body.to ? Date.parse(body.to) : now + (body.minutes ?? 0) * 60_000;
    if (to <= now)
      throw new Refusal(422, 'not later', 'The demo clock only moves on: name a later moment, or some minutes.');
    await context.clock.moveTo(new Date(to));
    return clock();
  });
}
