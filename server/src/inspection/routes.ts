import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { preparedVisit, recentVisits, recordEntries, startVisit, visitFile } from './service';

export function inspectionRoutes(context: Context, serve: Serve): void {
  serve(endpoints.startVisit, ({ body }, actor) => startVisit(context, actor, body));
  serve(endpoints.recentVisits, (_input, actor) => recentVisits(context, actor));
  serve(endpoints.visitFile, ({ params }, actor) => visitFile(context, actor, params.visit));
  serve(endpoints.preparedVisit, ({ params }, actor) => preparedVisit(context, actor, params.session, params.hive));
  serve(endpoints.recordEntries, ({ params, body }, actor) =>
    recordEntries(context, actor, params.visit, body.entries),
  );
}
