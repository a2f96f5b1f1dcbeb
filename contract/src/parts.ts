import { isZone } from '@brave-comb/core/place';
import { wrong } from './wrong';
import * as z from 'zod';

/** An id made here or by a device in the field. */
export const Id = z.uuid(wrong('id'));
/** No calendar, climate or bee book here goes further. */
const inReach = (text: string): boolean => text >= '1900' && text < '2101';
const REACH = wrong('out-of-reach');
/** A moment, ISO 8601 in UTC. */
export const Instant = z.iso.datetime({ error: wrong('moment') }).refine(inReach, REACH);
/** A time zone by its IANA name. */
export const Zone = z.string().max(60).refine(isZone, wrong('zone'));
/** A civil date at the site. */
export const CivilDate = z.iso.date(wrong('date')).refine(inReach, REACH);
export const list = <T extends z.ZodType>(of: T) => z.array(of).readonly();
/** Whether a session is ahead, took place, or does not. */
export const SessionStatus = z.enum(['planned', 'held', 'called-off']);
export const Share = z.number().min(0).max(1);
/** Figures at one in ten, the middle and nine in ten. */
export const Span = z.tuple([z.number(), z.number(), z.number()]).readonly();

/** The site that an answer is about, and those to choose from. */
export const SiteNames = {
  site: z.object({ id: Id, name: z.string(), zone: z.string() }),
  sites: list(z.object({ id: Id, name: z.string() })),
};
/** When the forecast in use was made, and what is wrong with it. */
export const ForecastInUse = z.object({ issuedAt: Instant.nullable(), problem: z.string().nullable() });
export const onSite = z.object({ site: Id });
export const siteQuery = z.object({ site: Id.optional() });
/** Those who open hives. */
export const field = ['lead', 'supervisor'] as const;

/** Why something is refused or did not come through, one id each. */
export const PROBLEMS = [
  'a-draft-is-there',
  'another-drill',
  'another-list-waits',
  'another-name',
  'another-version',
  'away',
  'bad-address',
  'before-the-colony',
  'breaks-a-rule',
  'busy',
  'cannot-be-kept',
  'changed-since',
  'cut-off',
  'database-away',
  'day',
  'disk-full',
  'does-not-fit',
  'empty-hive',
  'enough-plans-wait',
  'fault',
  'for-supervisors',
  'for-trainees',
  'hive-stands-elsewhere',
  'id-in-use',
  'in-the-future',
  'in-the-past',
  'list-does-not-hold-together',
  'newer-forecast',
  'no-connection',
  'no-day-to-come',
  'no-demo',
  'no-group',
  'no-trainee',
  'nobody-in-it',
  'not-advised',
  'not-allowed',
  'not-found',
  'not-in-the-group',
  'not-json',
  'not-later',
  'not-read',
  'not-settled',
  'not-signed-in',
  'not-valid',
  'not-what-it-says',
  'not-your-session',
  'not-yours',
  'other-kind',
  'other-site',
  'over-eight-eighths',
  'published-meanwhile',
  'real-clock',
  'rule-not-met',
  'settled-already',
  'skills-open',
  'slot-is-gone',
  'somebody-else',
  'stopping',
  'taken',
  'too-early',
  'too-large',
  'too-late',
  'too-many-photos',
  'too-many-streams',
  'too-many-tries',
  'too-slow',
  'unknown',
  'unknown-box',
  'unknown-comb',
  'unknown-entry',
  'unknown-frame',
  'unknown-names',
  'unknown-part',
  'unknown-skill',
  'unknown-task',
  'unreadable',
  'visit-closed',
  'wrong-door',
  'wrong-code',
  'has-owner',
  'not-ahead',
  'bees-in-it',
  'changed-meanwhile',
  'hive-not-here',
  'hives-stand-there',
  'invitation-over',
  'mail-failed',
  'name-in-use',
  'no-mail',
  'owner-stays',
] as const;
export type ProblemId = (typeof PROBLEMS)[number];

/** What every refused request is answered with. */
export const Problem = z.object({
  problem: z.enum(PROBLEMS),
  /** What is wrong and what to do about it. */
  message: z.string(),
  /** Which parts of the request are meant. */
  details: list(z.object({ path: z.string(), message: z.string() })).optional(),
});
export type Problem = z.output<typeof Problem>;
