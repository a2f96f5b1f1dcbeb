import { type Text, named } from '../../language';
import { BEES_KINDS, type BeesEntries } from './bees';
import { HIVE_KINDS, type HiveEntries } from './hive';
import type { EntryKind, References, Stamp } from './kind';
import { PEOPLE_KINDS, type PeopleEntries } from './people';
import { SIDES_KINDS, type SidesEntries } from './sides';
import { WAY_KINDS, type WayEntries } from './way';

interface AllEntries extends WayEntries, PeopleEntries, BeesEntries, HiveEntries, SidesEntries {}
type KindId = keyof AllEntries;

/** Something done or seen during a visit. Entries are only ever added; one of the kind "entry-undone" takes another back. */
export type EntryBody = { readonly [K in KindId]: { readonly kind: K } & AllEntries[K] }[KindId];

/** An entry with who made it and when. The device makes the id, so that sending it twice does no harm. */
export interface VisitEntry extends Stamp {
  readonly body: EntryBody;
}

const KINDS = { ...WAY_KINDS, ...PEOPLE_KINDS, ...BEES_KINDS, ...HIVE_KINDS, ...SIDES_KINDS };
export const ENTRY_KINDS = Object.keys(KINDS) as readonly KindId[];

/** The kind of an entry. What a version to come may have entered is told by its name, and changes nothing. */
export const kindOf = (body: EntryBody): EntryKind<EntryBody, object> =>
  (KINDS as Readonly<Record<string, EntryKind<EntryBody, object>>>)[body.kind] ?? { fold: () => undefined };

/**
 * An entry in a few words, for lists of what waits or was refused.
 *
 * @param body what was entered
 * @returns words without names of people: "mood: easy"
 */
export const entryText = (body: EntryBody): Text => kindOf(body).text?.(body) ?? named('entryKind', body.kind);

/** What an entry names, to be held against the visit that it is of. */
export const referencesOf = (body: EntryBody): References => kindOf(body).refersTo?.(body) ?? {};
