import type { SeenMark } from '../../biology';
import type { Text } from '../../language';
import { say } from '../said';
import type { Letter } from '../side/contents';
import { type FrameSide, type SideAddress, setEighths, shows, sideKey, toggleTrace } from '../side/frame-side';
import { formatSide } from '../side/shorthand';
import { spotOf, spotText } from '../visit/spots';
import type { HiveRecord } from './hive';
import { type Kinds, type Stamp, without } from './kind';

/** Frame sides as they are read, guessed, doubted and settled, and the queen who was seen on them. */
export interface SidesEntries {
  'frame-side-recorded': {
    readonly address: SideAddress;
    readonly side: FrameSide;
    /** The reading of this side that the device showed when this one was made. */
    readonly seen: string | null;
  };
  'reading-settled': { readonly address: SideAddress; readonly keep: string };
  'side-guessed': {
    readonly person: string;
    readonly address: SideAddress;
    readonly letters: readonly Letter[];
  };
  'side-read-by-trainee': { readonly person: string; readonly address: SideAddress; readonly side: FrameSide };
  /** A doubt about eggs (or another content) settled later, mostly by a photo. */
  'confirmed-afterwards': { readonly address: SideAddress; readonly letter: Letter; readonly there: boolean };
  'queen-mark-seen': { readonly colour: SeenMark };
  /** A doubtful side was looked at again: sound after all, or still in doubt. */
  'doubt-looked-at-again': { readonly address: SideAddress; readonly sound: boolean; readonly found: string };
  'queen-accounted-for': { readonly how: 'on-her-frame' | 'seen-going-in' | 'not-seen-again' };
}

/** A reading with who made it. */
export interface SideReading {
  readonly entry: string;
  readonly at: string;
  readonly by: string;
  readonly address: SideAddress;
  readonly side: FrameSide;
}

type Kept<K extends keyof SidesEntries> = SidesEntries[K] & Stamp;

export interface SidesRecord {
  /** The reading in force of each side, by {@link sideKey}. */
  readonly sides: Readonly<Record<string, SideReading>>;
  /** Sides read by two people who had not seen each other's reading, until somebody settles them. */
  readonly conflicts: readonly {
    readonly address: SideAddress;
    readonly readings: readonly [SideReading, SideReading];
  }[];
  /** Sides that somebody read again with another result, having seen the first: both stay told. */
  readonly reread: readonly { readonly before: SideReading; readonly now: SideReading }[];
  /** The side on which the queen was seen last. */
  readonly queen: SideReading | null;
  readonly queenAccounted: Kept<'queen-accounted-for'> | null;
  /** What was seen on the queen's back, latest. */
  readonly queenMark: Kept<'queen-mark-seen'> | null;
  /** Doubtful sides that were looked at again, with the reading that each look was at. */
  readonly doubts: readonly (Kept<'doubt-looked-at-again'> & { readonly reading: string | null })[];
  readonly guesses: readonly (Kept<'side-guessed'> & { readonly kind: 'side-guessed' })[];
  readonly traineeReadings: readonly (Kept<'side-read-by-trainee'> & { readonly kind: 'side-read-by-trainee' })[];
  readonly confirmed: readonly Kept<'confirmed-afterwards'>[];
}

export const SIDES_BLANK: SidesRecord = {
  sides: {},
  conflicts: [],
  reread: [],
  queen: null,
  queenAccounted: null,
  queenMark: null,
  doubts: [],
  guesses: [],
  traineeReadings: [],
  confirmed: [],
};

type Piece = SidesRecord & Pick<HiveRecord, 'openedAt'>;
type Draft = { -readonly [K in keyof Piece]: Piece[K] };
const where = (address: SideAddress): Text => spotText(spotOf(address));
const readText = ({ address, side }: { readonly address: SideAddress; readonly side: FrameSide }): Text =>
  say('entry-of', { what: where(address), says: formatSide(side) });

export const SIDES_KINDS: Kinds<SidesEntries, Piece> = {
  'frame-side-recorded': {
    fold: (record, { id, at, by, address, side, seen }) => {
      record.openedAt ??= at;
      applyReading(record, { entry: id, at, by, address, side }, seen);
    },
    text: readText,
    refersTo: ({ address, side }) => ({ frame: address, side }),
  },
  'reading-settled': {
    bySupervisors: true,
    fold: (record, { address, keep }) => settle(record, address, keep),
    text: ({ address }) => say('entry-settled', { side: where(address) }),
    refersTo: ({ address, keep }) => ({ frame: address, entry: keep }),
  },
  'side-guessed': {
    fold: (record, entry) => {
      record.guesses = [...record.guesses, entry];
    },
    text: ({ address, letters }) => say('entry-guessed', { side: where(address), letters }),
    refersTo: ({ address, person }) => ({ frame: address, trainee: person }),
  },
  'side-read-by-trainee': {
    fold: (record, entry) => {
      record.traineeReadings = [...record.traineeReadings, entry];
    },
    text: readText,
    refersTo: ({ address, side, person }) => ({ frame: address, side, trainee: person }),
  },
  'confirmed-afterwards': {
    fold: (record, entry) => {
      record.confirmed = [...record.confirmed, entry];
      confirm(record, entry);
    },
    text: ({ address, letter, there }) => say('entry-confirmed', { side: where(address), letter, there }),
    refersTo: ({ address }) => ({ frame: address }),
  },
  'queen-mark-seen': {
    fold: (record, entry) => {
      record.queenMark = entry;
    },
    text: ({ colour }) => say('entry-queen-mark', { colour }),
  },
  'doubt-looked-at-again': {
    bySupervisors: true,
    fold: lookAgain,
    text: ({ address, sound }) => say('entry-doubt', { side: where(address), sound }),
    refersTo: ({ address }) => ({ frame: address }),
  },
  'queen-accounted-for': {
    fold: (record, entry) => {
      record.queenAccounted = entry;
    },
  },
};

function applyReading(record: Draft, reading: SideReading, seen: string | null): void {
  const key = sideKey(reading.address);
  const before = record.sides[key];
  const unseen = before && before.entry !== seen && before.by !== reading.by;
  const open = record.conflicts.filter((conflict) => sideKey(conflict.address) !== key);
  if (unseen && formatSide(before.side) !== formatSide(reading.side)) {
    record.conflicts = [...open, { address: reading.address, readings: [before, reading] }];
    return;
  }
  record.conflicts = open;
  if (before && before.by !== reading.by && formatSide(before.side) !== formatSide(reading.side))
    record.reread = [...record.reread, { before, now: reading }];
  keep(record, reading);
}

/** What a photo showed later changes the reading it belongs to: a content there at least as a few cells, or not at all. */
function confirm(record: Draft, { address, letter, there }: SidesEntries['confirmed-afterwards']): void {
  const key = sideKey(address);
  const reading = record.sides[key];
  if (!reading || shows(reading.side, letter) === there) return;
  const cleared = setEighths(reading.side, letter, 0);
  const side = there || cleared.trace.includes(letter) ? toggleTrace(cleared, letter) : cleared;
  record.sides = { ...record.sides, [key]: { ...reading, side } };
}

/** A side that proved sound loses its flag; what was seen on it stays. */
function lookAgain(record: Draft, look: Kept<'doubt-looked-at-again'>): void {
  const key = sideKey(look.address);
  const reading = record.sides[key];
  record.doubts = [
    ...without(record.doubts, (each) => sideKey(each.address) === key),
    { ...look, reading: reading?.entry ?? null },
  ];
  if (reading && look.sound)
    record.sides = { ...record.sides, [key]: { ...reading, side: { ...reading.side, doubtful: false } } };
}

function settle(record: Draft, address: SideAddress, entry: string): void {
  const key = sideKey(address);
  const conflict = record.conflicts.find((each) => sideKey(each.address) === key);
  const kept = conflict?.readings.find((reading) => reading.entry === entry);
  if (!kept) return;
  record.conflicts = record.conflicts.filter((each) => each !== conflict);
  keep(record, kept);
}

/** The queen is where she was seen last; a side read again without her leaves the question open until she is seen elsewhere. */
function keep(record: Draft, reading: SideReading): void {
  record.sides = { ...record.sides, [sideKey(reading.address)]: reading };
  if (reading.side.queen) {
    record.queen = reading;
    record.queenAccounted = null;
  } else if (record.queen && sideKey(record.queen.address) === sideKey(reading.address)) {
    record.queen = null;
  }
}

/** Flagged sides of which the latest reading was not looked at again. */
export const doubtsLeft = (record: Pick<SidesRecord, 'sides' | 'doubts'>): readonly SideReading[] =>
  Object.values(record.sides).filter(
    ({ side, address, entry }) =>
      side.doubtful &&
      !record.doubts.some((each) => sideKey(each.address) === sideKey(address) && each.reading === entry),
  );
