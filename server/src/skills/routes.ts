import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { standingsOf } from './service';

export function skillsRoutes(context: Context, serve: Serve): void {
  serve(endpoints.standings, ({ params }, actor) => standingsOf(context, actor, params.trainee));
}
