import { endpoints } from '@brave-comb/contract';
import { scheduleMove } from '../acts/season/schedule-move';
import type { Context } from '../context';
import { movePlan } from '../facts/season';
import {
  aliveRound,
  dropPlant,
  keepPlant,
  logSeasonEvent,
  seeBloom,
  seePollen,
  setClimate,
  settlePollen,
  setTriggers,
  tapAlive,
  tickFlowSigns,
  withdrawSeasonEvent,
} from '../records/season';
import type { Serve } from '../routing';
import { forage } from '../views/season/forage';
import { happenings } from '../views/season/happenings';
import { seasonStrip } from '../views/season/strip';
import { seasonYear } from '../views/season/year';

export function seasonRoutes(context: Context, serve: Serve): void {
  serve(endpoints.seasonStrip, ({ query }, actor) => seasonStrip(context, actor, query));
  serve(endpoints.seasonYear, ({ query }, actor) => seasonYear(context, actor, query));
  serve(endpoints.forage, ({ query }, actor) => forage(context, actor, query.site));
  serve(endpoints.keepPlant, async ({ params, body }, actor) =>
    forage(context, actor, await keepPlant(context, actor, params.site, body)),
  );
  serve(endpoints.dropPlant, async ({ params, body }, actor) =>
    forage(context, actor, await dropPlant(context, actor, params.site, body)),
  );
  serve(endpoints.seeBloom, async ({ params, body }, actor) =>
    forage(context, actor, await seeBloom(context, actor, params.site, body)),
  );
  serve(endpoints.setClimate, async ({ params, body }, actor) =>
    forage(context, actor, await setClimate(context, actor, params.site, body)),
  );
  serve(endpoints.happenings, ({ query }, actor) => happenings(context, actor, query.site));
  serve(endpoints.logSeasonEvent, async ({ params, body }, actor) =>
    happenings(context, actor, await logSeasonEvent(context, actor, params.site, body)),
  );
  serve(endpoints.withdrawSeasonEvent, async ({ params }, actor) =>
    happenings(context, actor, await withdrawSeasonEvent(context, actor, params.event)),
  );
  serve(endpoints.setTriggers, ({ body }, actor) => setTriggers(context, actor, body));
  serve(endpoints.tickFlowSigns, async ({ params, body }, actor) =>
    happenings(context, actor, await tickFlowSigns(context, actor, params.site, body)),
  );
  serve(endpoints.seePollen, async ({ params, body }, actor) =>
    happenings(context, actor, await seePollen(context, actor, params.site, body)),
  );
  serve(endpoints.settlePollen, async ({ params, body }, actor) =>
    happenings(context, actor, await settlePollen(context, actor, params.seen, body)),
  );
  serve(endpoints.aliveRound, ({ query }, actor) => aliveRound(context, actor, query.site));
  serve(endpoints.tapAlive, async ({ params, body }, actor) =>
    aliveRound(context, actor, await tapAlive(context, actor, params.hive, body)),
  );
  serve(endpoints.movePlan, ({ query }, actor) => movePlan(context, actor, query));
  serve(endpoints.scheduleMove, ({ body }, actor) => scheduleMove(context, actor, body));
}
