import { endpoints } from '@brave-comb/contract';
import type { Context } from '../context';
import type { Serve } from '../routing';
import { askPlan, pinPlan, planBoard, planJob, resumePlanJob, stopPlanJob, unpinPlan, watchPlanJob } from './board';
import { coverage } from './coverage';
import { mySessions } from './my-sessions';
import { nextHives } from './next-hives';
import { planVersions, publishPlan } from './publish';
import { daySheet, nextSession, openUnplanned, sessionOn } from './service';
import { planningTerms, setHivePlace, setPlanningTerms } from './terms';

export function planningRoutes(context: Context, serve: Serve): void {
  serve(endpoints.nextSession, (_input, actor) => nextSession(context, actor));
  serve(endpoints.openUnplanned, ({ body }, actor) => openUnplanned(context, actor, body));
  serve(endpoints.sessionOn, ({ params, query }, actor) => sessionOn(context, actor, params.date, query.site));
  serve(endpoints.daySheet, ({ params }, actor) => daySheet(context, actor, params.session));
  serve(endpoints.nextHives, ({ params }, actor) => nextHives(context, actor, params.session));
  serve(endpoints.mySessions, (_input, actor) => mySessions(context, actor));
  serve(endpoints.planBoard, (_input, actor) => planBoard(context, actor));
  serve(endpoints.askPlan, ({ body }, actor) => askPlan(context, actor, body));
  serve(endpoints.planJob, ({ params }, actor) => planJob(context, actor, params.job));
  serve(endpoints.watchPlanJob, ({ params }, actor) => watchPlanJob(context, actor, params.job));
  serve(endpoints.stopPlanJob, ({ params }, actor) => stopPlanJob(context, actor, params.job));
  serve(endpoints.resumePlanJob, ({ params, body }, actor) => resumePlanJob(context, actor, params.job, body.seconds));
  serve(endpoints.pinPlan, ({ body }, actor) => pinPlan(context, actor, body.id, body.what));
  serve(endpoints.unpinPlan, ({ params }, actor) => unpinPlan(context, actor, params.pin));
  serve(endpoints.publishPlan, ({ body }, actor) => publishPlan(context, actor, body));
  serve(endpoints.planVersions, (_input, actor) => planVersions(context, actor));
  serve(endpoints.planningTerms, (_input, actor) => planningTerms(context, actor));
  serve(endpoints.coverage, (_input, actor) => coverage(context, actor));
  serve(endpoints.setHivePlace, ({ params, body }, actor) => setHivePlace(context, actor, params.hive, body.place));
  serve(endpoints.setPlanningTerms, ({ params, body }, actor) =>
    setPlanningTerms(context, actor, params.owner, body.terms),
  );
}
