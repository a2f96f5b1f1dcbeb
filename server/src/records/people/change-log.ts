import type { Output, endpoints } from '@brave-comb/contract';
import { type Sayable, named } from '@brave-comb/core/language';
import { DAY } from '@brave-comb/core/units';
import type { Query } from '../../body';
import type { Actor, Context } from '../../context';
import { recordChanges } from '../../database/versioned-store';
import { iso } from '../../dates';
import { auditOf } from './audit-store';
import { membersOf } from './member-store';

type Log = Sayable<Output<(typeof endpoints)['changeLog']>>;
type Line = Log['lines'][number];

/** Lines of a page. */
const PAGE = 100;

/** Who changed what, came in, read a note or took records out, the newest first. */
export async function changeLog(
  { db, clock }: Context,
  actor: Actor,
  { words = '', before, doors = 'with' }: Query<'changeLog'>,
): Promise<Log> {
  // A demo's clock runs apart from the machine's, by which doors are watched.
  const until = before === undefined ? new Date(Math.max(Date.now(), clock.now().getTime()) + DAY) : new Date(before);
  const [changes, watched, people] = await Promise.all([
    recordChanges(db, actor.school, until, words, PAGE + 1),
    doors === 'with' ? auditOf(db, actor.school, until, words, PAGE + 1) : [],
    membersOf(db, actor.school),
  ]);
  const names = new Map(people.map(({ id, name }) => [id, name]));
  const lines: Line[] = [
    ...changes.map(({ at, by, thing, name, was, is }) => ({
      at: iso(at),
      by,
      thing,
      door: null,
      name,
      made: is === null,
      parts: Object.entries(is ?? {}).map(([field, value]) => ({
        field: thing === 'schools' ? named('houseFigure', field) : field,
        was: was?.[field] ?? null,
        is: value,
      })),
      address: '',
    })),
    ...watched.map(({ at, name, what, about, address }) => ({
      at: iso(at),
      by: name,
      thing: null,
      door: what,
      // Whose note was read is written down by who it is, not by what they were called then.
      name: names.get(about) ?? about,
      made: false,
      parts: [],
      address,
    })),
  ].toSorted((a, b) => b.at.localeCompare(a.at));
  return { lines: lines.slice(0, PAGE), more: lines.length > PAGE };
}
