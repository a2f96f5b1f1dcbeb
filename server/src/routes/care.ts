import { endpoints } from '@brave-comb/contract';
import { decide, withdrawDecision } from '../acts/care/decisions';
import { sendToSession } from '../acts/care/send-to-session';
import { beginTrial, endTrial } from '../acts/care/trials';
import type { Context } from '../context';
import {
  calendarFeed,
  createCalendarFeed,
  logColonyEvent,
  revokeCalendarFeed,
  setCalendarPractice,
  setCombGoal,
  setColony,
  takeColonyEventBack,
} from '../records/care';
import type { Serve } from '../routing';
import { colonyList } from '../views/care/colonies';
import { colonyStory } from '../views/care/colony-story';
import { colonyCalendars } from '../views/care/dues';
import { increase } from '../views/care/increase';
import { visitReview } from '../views/care/visit-review';
import { wordHere } from '../views/care/word-here';
import { yardRound } from '../views/care/yard-round';

/** The plan that is shown before anybody asks for another. */
const FIRST_ASKED = { source: 'graft', wanted: 2 } as const;

export function careRoutes(context: Context, serve: Serve): void {
  serve(endpoints.visitReview, ({ params }, actor) => visitReview(context, actor, params.visit));
  serve(endpoints.decide, ({ params, body }, actor) => decide(context, actor, params.visit, body));
  serve(endpoints.withdrawDecision, ({ params }, actor) => withdrawDecision(context, actor, params.decision));
  serve(endpoints.colonyCalendars, ({ query }, actor) => colonyCalendars(context, actor, query.site));
  serve(endpoints.colonyList, (_input, actor) => colonyList(context, actor));
  serve(endpoints.wordHere, ({ params }, actor) => wordHere(context, actor, params.word));
  serve(endpoints.colonyStory, ({ params }, actor) => colonyStory(context, actor, params.hive));
  serve(endpoints.yardRound, ({ query }, actor) => yardRound(context, actor, query.site));
  serve(endpoints.sendToSession, async ({ params, body }, actor) =>
    yardRound(context, actor, await sendToSession(context, actor, params.hive, body)),
  );
  serve(endpoints.increase, ({ query }, actor) => increase(context, actor, query));
  serve(endpoints.setCombGoal, ({ body }, actor) => setCombGoal(context, actor, body));
  serve(endpoints.beginTrial, async ({ params, body }, actor) =>
    increase(context, actor, { ...FIRST_ASKED, site: await beginTrial(context, actor, params.site, body) }),
  );
  serve(endpoints.endTrial, async ({ params, body }, actor) =>
    increase(context, actor, { ...FIRST_ASKED, site: await endTrial(context, actor, params.trial, body) }),
  );
  serve(endpoints.logColonyEvent, async ({ params, body }, actor) =>
    colonyCalendars(context, actor, await logColonyEvent(context, actor, params.hive, body)),
  );
  serve(endpoints.withdrawColonyEvent, async ({ params }, actor) =>
    colonyCalendars(context, actor, await takeColonyEventBack(context, actor, params.event)),
  );
  serve(endpoints.setColony, async ({ params, body }, actor) =>
    colonyCalendars(context, actor, await setColony(context, actor, params.hive, body)),
  );
  serve(endpoints.setCalendarPractice, ({ body }, actor) => setCalendarPractice(context, actor, body));
  serve(endpoints.calendarFeed, (_input, actor) => calendarFeed(context, actor));
  serve(endpoints.createCalendarFeed, (_input, actor) => createCalendarFeed(context, actor));
  serve(endpoints.revokeCalendarFeed, (_input, actor) => revokeCalendarFeed(context, actor));
}
