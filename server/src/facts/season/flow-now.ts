import { flowStatus } from '@brave-comb/core/season';
import { addDays } from '@brave-comb/core/units';
import type { Context } from '../../context';
import { housePracticeOf } from '../../records/people';
import { flowSigns } from '../../records/season';
import { poorDaysAfter } from '../../records/weather';
import type { SiteSeason } from './site-season';

/** Days back over which signs count. */
const SIGN_DAYS = 14;

/** Flow or dearth now, by signs, forage, scale and weather. */
export async function flowNow(context: Context, season: SiteSeason, gains: readonly number[]) {
  const { site, today } = season;
  const [signs, practice] = await Promise.all([
    flowSigns(context.db, site.school, site.id, addDays(today, -SIGN_DAYS), today),
    housePracticeOf(context.db, site.school),
  ]);
  return flowStatus({
    today,
    signs,
    forage: season.bloom,
    gains,
    poorDays: poorDaysAfter(season.forecast.ensemble, site, practice.limits, today),
    lostDays: season.before.slice(-5).filter((day) => day.rain > 4 || day.high < 10).length,
  });
}
