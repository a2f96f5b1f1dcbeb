import { type StackChange, changeText } from '../../equipment';
import { type Text, named } from '../../language';
import { say } from '../said';
import type { StrayCause, StrayContent, StrayPlace } from '../side/stray-comb';
import type { CombMove } from '../visit/combs';
import type { DefectId, RepairBy } from '../visit/defects';
import { type Kinds, type Stamp, without } from './kind';

/** A box summed up without lifting all its frames. */
export interface BoxSummary {
  /** Seams of bees from above, `null` when not counted. */
  readonly seams: number | null;
  /** Frames with brood, with food, drawn and still bare; `null` when not looked at. */
  readonly brood: number | null;
  readonly food: number | null;
  readonly drawn: number | null;
  readonly bare: number | null;
  readonly note: string;
}

interface FrameOf {
  readonly box: string;
  readonly frame: number;
}

/** Parts, boxes and frames: what comes off and goes back, what was changed, what is broken. */
export interface HiveEntries {
  'part-taken-off': { readonly part: string };
  'part-put-back': { readonly part: string };
  'box-opened': { readonly box: string };
  'box-tipped': { readonly box: string };
  'seams-counted': { readonly box: string; readonly seams: number };
  'box-summed-up': { readonly box: string; readonly summary: BoxSummary };
  'frame-lifted': FrameOf;
  'frame-set-back': FrameOf;
  'comb-moved': CombMove;
  'stack-changed': { readonly change: StackChange; readonly reason: string };
  'defect-noted': {
    readonly part: string;
    readonly defect: DefectId;
    /** What was done for now; empty when nothing was. */
    readonly forNow: string;
    readonly until: RepairBy;
  };
  'stray-comb-noted': {
    readonly part: string;
    readonly place: StrayPlace;
    readonly content: StrayContent;
    readonly cause: StrayCause;
    readonly removed: boolean;
  };
  /** A task from an earlier visit, done or not after all. */
  'task-settled': { readonly task: string; readonly done: boolean };
}

/** A frame out of its box. */
export interface FrameOut extends FrameOf {
  readonly since: string;
}

type Kept<K extends keyof HiveEntries> = readonly (HiveEntries[K] & Stamp)[];

export interface HiveRecord {
  /** When the first part came off or the first frame was read. */
  readonly openedAt: string | null;
  /** Parts that are off now, in the order they came off. */
  readonly partsOff: readonly string[];
  /** Parts that came off at any time. */
  readonly partsEverOff: readonly string[];
  /** When each part was last taken off or put on, and when a frame was last lifted: an answer from before is asked again. */
  readonly partsMoved: Readonly<Record<string, string>>;
  readonly lastLift: string | null;
  /** When a part was last taken off or a frame last lifted: bees may have strayed since. */
  readonly lastTaken: string | null;
  /** Boxes that were opened, in order. */
  readonly boxes: Kept<'box-opened'>;
  readonly tipped: readonly string[];
  /** Seams of bees counted from above, by box. */
  readonly seams: Readonly<Record<string, number>>;
  readonly summaries: Readonly<Record<string, BoxSummary>>;
  /** The frame in hand. */
  readonly inHand: FrameOut | null;
  /** Frames that stand aside: the first of each box, until it is set back. */
  readonly aside: readonly FrameOut[];
  /** Seconds that each frame was out, by box and number, when it was set back. */
  readonly exposures: readonly (FrameOf & { readonly seconds: number })[];
  readonly moves: readonly (CombMove & Pick<Stamp, 'id'>)[];
  readonly stackChanges: Kept<'stack-changed'>;
  readonly defects: Kept<'defect-noted'>;
  readonly strayCombs: Kept<'stray-comb-noted'>;
  /** Latest word on each task of an earlier visit. */
  readonly tasks: Kept<'task-settled'>;
}

/** A hive that nobody has opened. */
const SHUT = {
  openedAt: null,
  boxes: [],
  inHand: null,
  aside: [],
  exposures: [],
  lastLift: null,
  lastTaken: null,
} satisfies Partial<HiveRecord>;

export const HIVE_BLANK: HiveRecord = {
  ...SHUT,
  partsOff: [],
  partsEverOff: [],
  partsMoved: {},
  tipped: [],
  seams: {},
  summaries: {},
  moves: [],
  stackChanges: [],
  defects: [],
  strayCombs: [],
  tasks: [],
};

/** The hive as if it had not been opened: everything that opened it was taken back, and what followed by itself goes with it. */
export const shutAgain = <R extends HiveRecord>(record: R): R => ({ ...record, ...SHUT });

type Draft = { -readonly [K in keyof HiveRecord]: HiveRecord[K] };
const partText = ({ kind, part }: { readonly kind: string; readonly part: string }): Text =>
  say('entry-of', { what: named('entryKind', kind), says: part });
const frameText = ({ kind, box, frame }: FrameOf & { readonly kind: string }): Text =>
  say('entry-of', { what: named('entryKind', kind), says: say('spot-frame', { part: box, frame }) });

export const HIVE_KINDS: Kinds<HiveEntries, HiveRecord> = {
  'part-taken-off': {
    fold: (record, { part, at }) => {
      record.openedAt ??= at;
      record.partsOff = [...without(record.partsOff, (each) => each === part), part];
      record.lastTaken = at;
      record.partsEverOff = [...without(record.partsEverOff, (each) => each === part), part];
      record.partsMoved = { ...record.partsMoved, [part]: at };
    },
    text: partText,
    refersTo: ({ part }) => ({ part }),
  },
  'part-put-back': {
    fold: (record, { part, at }) => {
      record.partsOff = without(record.partsOff, (each) => each === part);
      record.partsMoved = { ...record.partsMoved, [part]: at };
    },
    text: partText,
    refersTo: ({ part }) => ({ part }),
  },
  'box-opened': {
    byItself: true,
    fold: (record, entry) => {
      record.boxes = [...without(record.boxes, ({ box }) => box === entry.box), entry];
    },
    refersTo: ({ box }) => ({ box }),
  },
  'box-tipped': {
    fold: (record, { box }) => {
      record.tipped = [...without(record.tipped, (each) => each === box), box];
    },
    refersTo: ({ box }) => ({ box }),
  },
  'seams-counted': {
    fold: (record, { box, seams }) => {
      record.seams = { ...record.seams, [box]: seams };
    },
    refersTo: ({ box }) => ({ box }),
  },
  'box-summed-up': {
    fold: (record, { box, summary }) => {
      record.summaries = { ...record.summaries, [box]: summary };
      if (summary.seams !== null) record.seams = { ...record.seams, [box]: summary.seams };
    },
    refersTo: ({ box }) => ({ box }),
  },
  'frame-lifted': {
    byItself: true,
    fold: (record, { box, frame, at }) => {
      record.openedAt ??= at;
      lift(record, { box, frame, since: at });
      record.lastLift = at;
      record.lastTaken = at;
    },
    text: frameText,
    refersTo: ({ box, frame }) => ({ frame: { box, frame } }),
  },
  'frame-set-back': {
    byItself: true,
    fold: (record, { box, frame, at }) => setBack(record, { box, frame }, at),
    text: frameText,
    refersTo: ({ box, frame }) => ({ frame: { box, frame } }),
  },
  'comb-moved': {
    fold: (record, { id, comb, to, reason, at }) => {
      record.moves = [...record.moves, { id, comb, to, reason }];
      // A comb that leaves its box is in nobody's hand any more.
      if (to.in !== 'box' && record.inHand) setBack(record, record.inHand, at);
    },
    text: ({ comb }) => say('entry-comb', { label: comb.label }),
    refersTo: ({ comb, to }) => ({
      own: [comb.id, comb.donor],
      ...(to.in === 'box' ? { box: to.box } : to.in === 'hive' ? { hive: to.hive } : {}),
    }),
  },
  'stack-changed': {
    bySupervisors: true,
    fold: (record, entry) => {
      const { change } = entry;
      record.stackChanges = [...record.stackChanges, entry];
      if (change.do === 'take') record.partsOff = without(record.partsOff, (part) => part === change.part);
    },
    text: ({ change }) => changeText(change),
    refersTo: ({ change }) => ({ change }),
  },
  'defect-noted': {
    fold: (record, entry) => {
      record.defects = [...record.defects, entry];
    },
    text: ({ defect, part }) => say('entry-defect', { defect, part }),
  },
  'stray-comb-noted': {
    fold: (record, entry) => {
      record.strayCombs = [...record.strayCombs, entry];
    },
    text: ({ place }) => say('entry-stray', { place }),
  },
  'task-settled': {
    fold: (record, entry) => {
      record.tasks = [...without(record.tasks, ({ task }) => task === entry.task), entry];
    },
    refersTo: ({ task }) => ({ task }),
  },
};

/** Whoever lifts a frame has set the one before back; the first of a box stays aside, it makes the gap. */
function lift(record: Draft, out: FrameOut): void {
  const { inHand } = record;
  if (inHand?.box === out.box && inHand.frame === out.frame) return;
  const first = inHand !== null && !record.exposures.some(({ box }) => box === inHand.box);
  const others = record.aside.some(({ box }) => box === inHand?.box);
  if (inHand && first && !others && inHand.box === out.box) record.aside = [...record.aside, inHand];
  else if (inHand) setBack(record, inHand, out.since);
  record.aside = without(record.aside, (each) => each.box === out.box && each.frame === out.frame);
  record.inHand = out;
}

function setBack(record: Draft, frame: FrameOf, at: string): void {
  const same = (each: FrameOut) => each.box === frame.box && each.frame === frame.frame;
  const out = [record.inHand, ...record.aside].find((each) => each && same(each));
  if (!out) return;
  const seconds = Math.max(0, (Date.parse(at) - Date.parse(out.since)) / 1000);
  record.exposures = [...record.exposures, { box: frame.box, frame: frame.frame, seconds }];
  record.aside = without(record.aside, same);
  if (record.inHand && same(record.inHand)) record.inHand = null;
}
