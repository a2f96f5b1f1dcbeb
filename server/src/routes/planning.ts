import { endpoints } from '@brave-comb/contract';
import { notesOn } from '../facts/inspection';
import { notesShown } from '../records/people';
import { callOffSession, keepHandSession } from '../acts/planning/by-hand';
import { askPlan, planJob, resumePlanJob, stopPlanJob, watchPlanJob } from '../acts/planning/jobs';
import { openUnplanned } from '../acts/planning/open-unplanned';
import { pinPlan, unpinPlan } from '../acts/planning/pins';
import { publishPlan } from '../acts/planning/publish';
import type { Context } from '../context';
import { planningTerms, setPlanningTerms } from '../records/planning';
import type { Serve } from '../routing';
import { planBoard } from '../views/planning/plan-board';
import { coverage } from '../views/planning/coverage';
import { daySheet, nextSession, sessionOn } from '../views/planning/day-sheet';
import { mySessions } from '../views/planning/my-sessions';
import { handSession, plannedSession } from '../views/planning/hand-session';
import { nextHives } from '../views/planning/next-hives';
import { planVersions } from '../views/planning/versions';

export function planningRoutes(context: Context, serve: Serve): void {
  serve(endpoints.nextSession, (_input, actor) => nextSession(context, actor));
  serve(endpoints.openUnplanned, ({ body }, actor) => openUnplanned(context, actor, body));
  serve(endpoints.sessionOn, ({ params, query }, actor) => sessionOn(context, actor, params.date, query.site));
  serve(endpoints.daySheet, async ({ params }, actor) => {
    const sheet = await daySheet(context, actor, params.session);
    await notesShown(context, actor, notesOn(sheet));
    return sheet;
  });
  serve(endpoints.nextHives, ({ params }, actor) => nextHives(context, actor, params.session));
  serve(endpoints.mySessions, (_input, actor) => mySessions(context, actor));
  serve(endpoints.handSession, ({ query }, actor) => handSession(context, actor, query));
  serve(endpoints.plannedSession, ({ params }, actor) => plannedSession(context, actor, params.session));
  serve(endpoints.keepHandSession, ({ params, body }, actor) => keepHandSession(context, actor, params.session, body));
  serve(endpoints.callOffSession, ({ params, body }, actor) => callOffSession(context, actor, params.session, body));
  serve(endpoints.planBoard, (_input, actor) => planBoard(context, actor));
  serve(endpoints.askPlan, ({ body }, actor) => askPlan(context, actor, body));
  serve(endpoints.planJob, ({ params }, actor) => planJob(context, actor, params.job));
  serve(endpoints.watchPlanJob, ({ params }, actor) => watchPlanJob(context, actor, params.job));
  serve(endpoints.stopPlanJob, ({ params }, actor) => stopPlanJob(context, actor, params.job));
  serve(endpoints.resumePlanJob, ({ params, body }, actor) => resumePlanJob(context, actor, params.job, body.seconds));
  serve(endpoints.pinPlan, async ({ body }, actor) => {
    await pinPlan(context, actor, body.id, body.what);
    return planBoard(context, actor);
  });
  serve(endpoints.unpinPlan, async ({ params }, actor) => {
    await unpinPlan(context, actor, params.pin);
    return planBoard(context, actor);
  });
  serve(endpoints.publishPlan, async ({ body }, actor) => ({
    ...(await publishPlan(context, actor, body)),
    board: await planBoard(context, actor),
  }));
  serve(endpoints.planVersions, (_input, actor) => planVersions(context, actor));
  serve(endpoints.planningTerms, (_input, actor) => planningTerms(context, actor));
  serve(endpoints.coverage, (_input, actor) => coverage(context, actor));
  serve(endpoints.setPlanningTerms, ({ params, body }, actor) =>
    setPlanningTerms(context, actor, params.owner, body.terms),
  );
}
