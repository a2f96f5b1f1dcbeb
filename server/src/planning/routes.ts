import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { daySheet, nextSession, sessionOn } from './service';

export function planningRoutes(context: Context, serve: Serve): void {
  serve(endpoints.nextSession, (_input, actor) => nextSession(context, actor));
  serve(endpoints.sessionOn, ({ params, query }, actor) => sessionOn(context, actor, params.date, query.site));
  serve(endpoints.daySheet, ({ params }, actor) => daySheet(context, actor, params.session));
}
