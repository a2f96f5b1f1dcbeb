import { TURN, usualTurn } from '@brave-comb/core/season';
import type { Context } from '../../context';
import { notFound } from '../../problem';
import { type SiteRow, sitesOf } from './store';

/** The school's site that is asked for, or its first. */
export async function siteOf(
  { db }: Context,
  school: string,
  id: string | undefined,
): Promise<{ site: SiteRow; sites: readonly SiteRow[] }> {
  const sites = await sitesOf(db, school);
  const site = id ? sites.find((each) => each.id === id) : sites[0];
  if (!site) throw notFound('site');
  return { site, sites };
}

export const siteNames = ({ site, sites }: { site: SiteRow; sites: readonly SiteRow[] }) => ({
  site: { id: site.id, name: site.name, zone: site.zone },
  sites: sites.map(({ id, name }) => ({ id, name })),
});

export const turnOf = (site: SiteRow): string =>
  site.turn ?? usualTurn(site.latitude) ?? (site.latitude >= 0 ? TURN.north : TURN.south);
