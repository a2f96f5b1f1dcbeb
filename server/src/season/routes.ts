import { endpoints } from '@brave-comb/contract';
import type { Serve } from '../routing';
import type { Context } from '../context';
import { seasonStrip } from './service';

export function seasonRoutes(context: Context, serve: Serve): void {
  serve(endpoints.seasonStrip, ({ query }, actor) => seasonStrip(context, actor, query));
}
