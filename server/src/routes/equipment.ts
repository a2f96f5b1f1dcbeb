import { endpoints } from '@brave-comb/contract';
import type { Context } from '../context';
import {
  addHives,
  changeHive,
  keepSite,
  keepSitePlan,
  retireHive,
  retireSite,
  schoolHives,
  schoolSites,
  sitePlan,
  sitesOut,
} from '../records/equipment';
import type { Serve } from '../routing';

export function equipmentRoutes(context: Context, serve: Serve): void {
  serve(endpoints.schoolSites, (_input, actor) => schoolSites(context, actor));
  serve(endpoints.keepSite, ({ params, body }, actor) => keepSite(context, actor, params.site, body));
  serve(endpoints.retireSite, ({ params, body }, actor) => retireSite(context, actor, params.site, body));
  serve(endpoints.sitePlan, ({ params }, actor) => sitePlan(context, actor, params.site));
  serve(endpoints.keepSitePlan, ({ params, body }, actor) => keepSitePlan(context, actor, params.site, body));
  serve(endpoints.schoolHives, (_input, actor) => schoolHives(context, actor));
  serve(endpoints.addHives, ({ body }, actor) => addHives(context, actor, body));
  serve(endpoints.changeHive, ({ params, body }, actor) => changeHive(context, actor, params.hive, body));
  serve(endpoints.retireHive, ({ params, body }, actor) => retireHive(context, actor, params.hive, body));

  serve(endpoints.sitesOut, async (_input, actor, { response }) => {
    const day = context.clock.now().toISOString().slice(0, 10);
    const features = await sitesOut(context, actor);
    response.attachment(`sites-${day}.geojson`).type('application/geo+json; charset=utf-8').send(features);
    return null;
  });
}
