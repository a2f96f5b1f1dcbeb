import { endpoints } from '@brave-comb/contract';
import type { Context } from '../context';
import type { Serve } from '../routing';
import {
  aliveRound,
  dropPlant,
  forage,
  happenings,
  keepPlant,
  logSeasonEvent,
  movePlan,
  scheduleMove,
  seeBloom,
  seePollen,
  setClimate,
  setTriggers,
  settlePollen,
  tapAlive,
  tickFlowSigns,
  withdrawSeasonEvent,
} from './service';
import { seasonStrip } from './strip';
import { seasonYear } from './year';

export function seasonRoutes(context: Context, serve: Serve): void {
  serve(endpoints.seasonStrip, ({ query }, actor) => seasonStrip(context, actor, query));
  serve(endpoints.seasonYear, ({ query }, actor) => seasonYear(context, actor, query));
  serve(endpoints.forage, ({ query }, actor) => forage(context, actor, query.site));
  serve(endpoints.keepPlant, async ({ params, body }, actor) => {
    await keepPlant(context, actor, params.site, body);
    return forage(context, actor, params.site);
  });
  serve(endpoints.dropPlant, async ({ params, body }, actor) => {
    await dropPlant(context, actor, params.site, body);
    return forage(context, actor, params.site);
  });
  serve(endpoints.seeBloom, async ({ params, body }, actor) => {
    await seeBloom(context, actor, params.site, body);
    return forage(context, actor, params.site);
  });
  serve(endpoints.setClimate, async ({ params, body }, actor) => {
    await setClimate(context, actor, params.site, body);
    return forage(context, actor, params.site);
  });
  serve(endpoints.happenings, ({ query }, actor) => happenings(context, actor, query.site));
  serve(endpoints.logSeasonEvent, async ({ params, body }, actor) => {
    await logSeasonEvent(context, actor, params.site, body);
    return happenings(context, actor, params.site);
  });
  serve(endpoints.withdrawSeasonEvent, async ({ params }, actor) => {
    const { site } = await withdrawSeasonEvent(context, actor, params.event);
    return happenings(context, actor, site);
  });
  serve(endpoints.setTriggers, ({ body }, actor) => setTriggers(context, actor, body));
  serve(endpoints.tickFlowSigns, async ({ params, body }, actor) => {
    await tickFlowSigns(context, actor, params.site, body);
    return happenings(context, actor, params.site);
  });
  serve(endpoints.seePollen, async ({ params, body }, actor) => {
    await seePollen(context, actor, params.site, body);
    return happenings(context, actor, params.site);
  });
  serve(endpoints.settlePollen, async ({ params, body }, actor) => {
    const { site } = await settlePollen(context, actor, params.seen, body);
    return happenings(context, actor, site);
  });
  serve(endpoints.aliveRound, ({ query }, actor) => aliveRound(context, actor, query.site));
  serve(endpoints.tapAlive, async ({ params, body }, actor) => {
    const { site } = await tapAlive(context, actor, params.hive, body);
    return aliveRound(context, actor, site);
  });
  serve(endpoints.movePlan, ({ query }, actor) => movePlan(context, actor, query));
  serve(endpoints.scheduleMove, ({ body }, actor) => scheduleMove(context, actor, body));
}
