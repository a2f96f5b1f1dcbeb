import type { StackChange } from '../../equipment';
import type { Text } from '../../language';
import type { FrameSide } from '../side/frame-side';

/** What every entry carries beside what was entered. */
export interface Stamp {
  readonly id: string;
  /** Instant on the device's clock, ISO 8601 in UTC. */
  readonly at: string;
  /** Person who made it. */
  readonly by: string;
}

/** What an entry names; it is kept only where the visit knows all of it. */
export interface References {
  readonly box?: string;
  readonly frame?: { readonly box: string; readonly frame: number };
  readonly part?: string;
  /** A reading, which must add up. */
  readonly side?: FrameSide;
  /** A trainee of the group. */
  readonly trainee?: string;
  /** Somebody with the group; `null` for what concerns nobody by name. */
  readonly person?: string | null;
  readonly judged?: { readonly trainee: string; readonly skill: string };
  readonly entry?: string;
  readonly task?: string;
  /** Combs and colonies of this school. */
  readonly own?: readonly (string | null)[];
  readonly hive?: string;
  readonly change?: StackChange;
}

type Writable<R> = { -readonly [K in keyof R]: R[K] };

/** One kind of entry: what it changes, how it is told, and what it is held against. */
export interface EntryKind<Body, Piece> {
  /** It follows from the work: nobody takes it back. */
  readonly byItself?: true;
  /** It stays with supervisors, also when a trainee keeps the record. */
  readonly bySupervisors?: true;
  /** What it changes in the record of the visit. */
  fold(record: Writable<Piece>, entry: Body & Stamp): void;
  /** In a few words, without names of people; left out where the kind's own name says it all. */
  text?(body: Body): Text;
  refersTo?(body: Body): References;
}

/** Kinds of one subject: what is entered by each, and the piece of the record that they write. */
export type Kinds<Bodies, Piece> = { readonly [K in keyof Bodies]: EntryKind<Bodies[K] & { readonly kind: K }, Piece> };

/** A list without what passes a test. */
export const without = <T>(list: readonly T[], test: (each: T) => boolean): readonly T[] =>
  list.filter((each) => !test(each));
