import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { decide, visitReview, withdrawDecision } from './service';

export function careRoutes(context: Context, serve: Serve): void {
  serve(endpoints.visitReview, ({ params }, actor) => visitReview(context, actor, params.visit));
  serve(endpoints.decide, ({ params, body }, actor) => decide(context, actor, params.visit, body));
  serve(endpoints.withdrawDecision, ({ params }, actor) => withdrawDecision(context, actor, params.decision));
}
