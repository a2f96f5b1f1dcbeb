import type { Db } from '../../database/db';
import { dateAt } from '../../dates';
import { sitesOf } from './store';

/** The civil day of an instant at a school, by its first site. */
export async function dayAtSchool(db: Db, school: string, at: Date | string): Promise<string> {
  const [site] = await sitesOf(db, school);
  return dateAt(site?.zone ?? 'utc', at);
}
