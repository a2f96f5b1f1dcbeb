import { endpoints } from '@brave-comb/contract';
import type { Context } from '../context';
import { enterObservation, importClimate, importWeather, setLimits } from '../records/weather';
import type { Serve } from '../routing';
import { dayPage } from '../views/weather/day-page';
import { forecastTrust } from '../views/weather/trust';

export function weatherRoutes(context: Context, serve: Serve): void {
  serve(endpoints.dayPage, ({ params, query }, actor) => dayPage(context, actor, params.date, query.site));
  serve(endpoints.forecastTrust, ({ query }, actor) => forecastTrust(context, actor, query.site));
  serve(endpoints.setLimits, ({ body }, actor) => setLimits(context, actor, body));
  serve(endpoints.importWeather, ({ params, body }, actor) => importWeather(context, actor, params.site, body));
  serve(endpoints.importClimate, ({ params, body }, actor) => importClimate(context, actor, params.site, body));
  serve(endpoints.enterObservation, ({ params, body }, actor) => enterObservation(context, actor, params.site, body));
}
