import type { CombMove } from './combs';
import type { StackChange } from '../../equipment';
import type { BoxSummary, EntryBody, Summary, VisitEntry } from './entries';
import type { Letter } from '../side/contents';
import { type FrameSide, type SideAddress, setEighths, shows, sideKey, toggleTrace } from '../side/frame-side';
import type { OutsideLook } from './outside';
import type { EvidenceId } from './questions';
import type { Role } from './roles';
import { formatSide } from '../side/shorthand';
import type { NotedSign } from './signs';
import type { StepId, VisitDepth } from '../closing/steps';

/** A reading with who made it. */
export interface SideReading {
  readonly entry: string;
  readonly at: string;
  readonly by: string;
  readonly address: SideAddress;
  readonly side: FrameSide;
}

/** An entry of one kind with its id, time and author. */
export type Noted<K extends EntryBody['kind']> = Extract<EntryBody, { kind: K }> & Pick<VisitEntry, 'id' | 'at' | 'by'>;

/** A frame out of its box. */
export interface FrameOut {
  readonly box: string;
  readonly frame: number;
  readonly since: string;
}

/** A visit as its entries tell it. Plain data, so that it can be stored, sent and compared. */
export interface VisitRecord {
  readonly step: StepId;
  /** How deep it goes, as somebody chose; `null` for as deep as the hour allows. */
  readonly depth: VisitDepth | null;
  /** When the first part came off or the first frame was read. */
  readonly openedAt: string | null;
  /** The reading in force of each side, by {@link sideKey}. */
  readonly sides: Readonly<Record<string, SideReading>>;
  /** Sides read by two people who had not seen each other's reading, until somebody settles them. */
  readonly conflicts: readonly {
    readonly address: SideAddress;
    readonly readings: readonly [SideReading, SideReading];
  }[];
  readonly outside: Readonly<Partial<Record<'before' | 'after', OutsideLook>>>;
  /** Whom each job was given to by hand, latest last. */
  readonly roles: readonly Noted<'role-given'>[];
  /** Latest answer to each check, for each person asked. */
  readonly checks: readonly Noted<'checked'>[];
  readonly smoke: readonly Noted<'smoke-given'>[];
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
  readonly boxes: readonly Noted<'box-opened'>[];
  readonly tipped: readonly string[];
  /** Seams of bees counted from above, by box. */
  readonly seams: Readonly<Record<string, number>>;
  readonly summaries: Readonly<Record<string, BoxSummary>>;
  /** The frame in hand. */
  readonly inHand: FrameOut | null;
  /** Frames that stand aside: the first of each box, until it is set back. */
  readonly aside: readonly FrameOut[];
  /** Seconds that each frame was out, by box and number, when it was set back. */
  readonly exposures: readonly { readonly box: string; readonly frame: number; readonly seconds: number }[];
  readonly moves: readonly (CombMove & Pick<VisitEntry, 'id'>)[];
  /** The side on which the queen was seen last. */
  readonly queen: SideReading | null;
  readonly queenAccounted: Noted<'queen-accounted-for'> | null;
  /** What was seen on the queen's back, latest. */
  readonly queenMark: Noted<'queen-mark-seen'> | null;
  /** Doubtful sides that were looked at again, with the reading that each look was at. */
  readonly doubts: readonly (Noted<'doubt-looked-at-again'> & { readonly reading: string | null })[];
  readonly guesses: readonly Noted<'side-guessed'>[];
  readonly traineeReadings: readonly Noted<'side-read-by-trainee'>[];
  readonly confirmed: readonly Noted<'confirmed-afterwards'>[];
  readonly ticks: Readonly<Partial<Record<EvidenceId, boolean>>>;
  readonly findings: readonly Noted<'finding-noted'>[];
  readonly measures: readonly Noted<'measured'>[];
  /** Latest mood. */
  readonly mood: number | null;
  readonly moods: readonly Noted<'mood-noted'>[];
  /** What the bees showed, stings among it. */
  readonly signs: readonly NotedSign[];
  readonly stings: readonly Noted<'sting-counted'>[];
  /** Answers of those who were stung. */
  readonly stingsAskedAfter: readonly Noted<'sting-asked-after'>[];
  readonly incidents: readonly Noted<'incident-noted'>[];
  readonly stackChanges: readonly Noted<'stack-changed'>[];
  readonly defects: readonly Noted<'defect-noted'>[];
  readonly strayCombs: readonly Noted<'stray-comb-noted'>[];
  /** Latest word on each task of an earlier visit. */
  readonly tasks: readonly Noted<'task-settled'>[];
  /** Latest judgement of each trainee in each skill. */
  readonly judgements: readonly Noted<'skill-judged'>[];
  readonly notes: readonly Noted<'note-written'>[];
  readonly questions: readonly Noted<'question-asked'>[];
  readonly photos: readonly Noted<'photo-taken'>[];
  readonly recordings: readonly Noted<'voice-recorded'>[];
  readonly overrides: readonly Noted<'guard-overridden'>[];
  readonly summary: Summary | null;
  /** Why somebody said to stop before all was seen; the end of the visit carries it. */
  readonly stop: Noted<'stop-said'> | null;
  /** Sides that somebody read again with another result, having seen the first: both stay told. */
  readonly reread: readonly { readonly before: SideReading; readonly now: SideReading }[];
  readonly closed: Noted<'visit-closed'> | null;
  /** Entries that still count and can be taken back, oldest first. */
  readonly undoable: readonly string[];
  /** The entry that took something back last, while nothing new was entered: taking it back brings that again. */
  readonly redoable: string | null;
}

type Draft = { -readonly [K in keyof VisitRecord]: VisitRecord[K] } & { takenBack?: boolean };

const BLANK: VisitRecord = {
  step: 'before',
  depth: null,
  openedAt: null,
  sides: {},
  conflicts: [],
  outside: {},
  roles: [],
  checks: [],
  smoke: [],
  partsOff: [],
  partsEverOff: [],
  partsMoved: {},
  lastLift: null,
  lastTaken: null,
  boxes: [],
  tipped: [],
  seams: {},
  summaries: {},
  inHand: null,
  aside: [],
  exposures: [],
  moves: [],
  queen: null,
  queenAccounted: null,
  queenMark: null,
  doubts: [],
  guesses: [],
  traineeReadings: [],
  confirmed: [],
  ticks: {},
  findings: [],
  measures: [],
  mood: null,
  moods: [],
  signs: [],
  stings: [],
  stingsAskedAfter: [],
  incidents: [],
  stackChanges: [],
  defects: [],
  strayCombs: [],
  tasks: [],
  judgements: [],
  notes: [],
  questions: [],
  photos: [],
  recordings: [],
  overrides: [],
  summary: null,
  stop: null,
  reread: [],
  closed: null,
  undoable: [],
  redoable: null,
};

/** Entries that follow from the work by themselves: nobody takes them back. */
const BY_ITSELF: ReadonlySet<EntryBody['kind']> = new Set(['frame-lifted', 'frame-set-back', 'box-opened']);

/**
 * Tells a visit from its entries.
 *
 * Two readings of one side conflict when the later one's device had not seen the earlier one, another person made it, and they differ. The
 * earlier one stands until somebody chooses; both are kept.
 *
 * @param entries entries in the order in which they arrived
 * @returns the visit as it stands
 * @example recordOf([]).step // 'before'
 */
export function recordOf(entries: readonly VisitEntry[]): VisitRecord {
  const undone = undoneOf(entries);
  const record: Draft = { ...BLANK };
  record.takenBack = entries.some(({ id, body }) => body.kind === 'part-taken-off' && undone.has(id));
  const undoable: string[] = [];
  for (const entry of entries) {
    if (undone.has(entry.id) || entry.body.kind === 'entry-undone') continue;
    apply(record, entry);
    if (!BY_ITSELF.has(entry.body.kind)) undoable.push(entry.id);
  }
  const { takenBack: _, ...told } = neverOpened(record) ? shutAgain(record) : record;
  return { ...told, undoable, redoable: redoableOf(entries, undone) };
}

/** Everything that opened the hive was taken back: what followed by itself is taken back with it. */
const neverOpened = (record: Draft): boolean =>
  record.takenBack === true && record.partsEverOff.length === 0 && Object.keys(record.sides).length === 0;

const shutAgain = (record: Draft): Draft => ({
  ...record,
  openedAt: null,
  boxes: [],
  inHand: null,
  aside: [],
  exposures: [],
  lastLift: null,
  lastTaken: null,
});

/** Entries that do not count: a later one takes them back and was not taken back itself. */
function undoneOf(entries: readonly VisitEntry[]): ReadonlySet<string> {
  const undone = new Set<string>();
  for (const { id, body } of entries.toReversed())
    if (body.kind === 'entry-undone' && !undone.has(id)) undone.add(body.entry);
  return undone;
}

function redoableOf(entries: readonly VisitEntry[], undone: ReadonlySet<string>): string | null {
  const undos = new Set(entries.filter(({ body }) => body.kind === 'entry-undone').map(({ id }) => id));
  for (const { id, body } of entries.toReversed()) {
    if (undone.has(id) || BY_ITSELF.has(body.kind)) continue;
    if (body.kind !== 'entry-undone') return null;
    if (!undos.has(body.entry)) return id;
  }
  return null;
}

const without = <T>(list: readonly T[], test: (each: T) => boolean): readonly T[] => list.filter((each) => !test(each));

function apply(record: Draft, entry: VisitEntry): void {
  const { id, at, by, body } = entry;
  if (body.kind === 'part-taken-off' || body.kind === 'frame-lifted' || body.kind === 'frame-side-recorded')
    record.openedAt ??= at;
  switch (body.kind) {
    case 'step-reached':
      record.step = body.step;
      break;
    case 'depth-chosen':
      record.depth = body.depth;
      break;
    case 'outside-seen':
      record.outside = { ...record.outside, [body.when]: body.look };
      break;
    case 'role-given':
      record.roles = [...without(record.roles, (each) => each.person === body.person), { id, at, by, ...body }];
      break;
    case 'checked':
      record.checks = [
        ...without(record.checks, (each) => each.check === body.check && each.person === body.person),
        { id, at, by, ...body },
      ];
      break;
    case 'smoke-given':
      record.smoke = [...record.smoke, { id, at, by, ...body }];
      break;
    case 'part-taken-off':
      record.partsOff = [...without(record.partsOff, (part) => part === body.part), body.part];
      record.lastTaken = at;
      record.partsEverOff = [...without(record.partsEverOff, (part) => part === body.part), body.part];
      record.partsMoved = { ...record.partsMoved, [body.part]: at };
      break;
    case 'part-put-back':
      record.partsOff = without(record.partsOff, (part) => part === body.part);
      record.partsMoved = { ...record.partsMoved, [body.part]: at };
      break;
    case 'box-opened':
      record.boxes = [...without(record.boxes, (each) => each.box === body.box), { id, at, by, ...body }];
      break;
    case 'box-tipped':
      record.tipped = [...without(record.tipped, (box) => box === body.box), body.box];
      break;
    case 'seams-counted':
      record.seams = { ...record.seams, [body.box]: body.seams };
      break;
    case 'box-summed-up':
      record.summaries = { ...record.summaries, [body.box]: body.summary };
      if (body.summary.seams !== null) record.seams = { ...record.seams, [body.box]: body.summary.seams };
      break;
    case 'frame-lifted':
      lift(record, { box: body.box, frame: body.frame, since: at });
      record.lastLift = at;
      record.lastTaken = at;
      break;
    case 'frame-set-back':
      setBack(record, body, at);
      break;
    case 'comb-moved':
      record.moves = [...record.moves, { id, comb: body.comb, to: body.to, reason: body.reason }];
      // A comb that leaves its box is in nobody's hand any more.
      if (body.to.in !== 'box' && record.inHand) setBack(record, record.inHand, at);
      break;
    case 'frame-side-recorded':
      applyReading(record, { entry: id, at, by, address: body.address, side: body.side }, body.seen);
      break;
    case 'reading-settled':
      settle(record, body.address, body.keep);
      break;
    case 'side-guessed':
      record.guesses = [...record.guesses, { id, at, by, ...body }];
      break;
    case 'side-read-by-trainee':
      record.traineeReadings = [...record.traineeReadings, { id, at, by, ...body }];
      break;
    case 'confirmed-afterwards':
      record.confirmed = [...record.confirmed, { id, at, by, ...body }];
      confirm(record, body.address, body.letter, body.there);
      break;
    case 'queen-accounted-for':
      record.queenAccounted = { id, at, by, ...body };
      break;
    case 'queen-mark-seen':
      record.queenMark = { id, at, by, ...body };
      break;
    case 'doubt-looked-at-again':
      lookAgain(record, { id, at, by, ...body });
      break;
    case 'evidence-ticked':
      record.ticks = { ...record.ticks, [body.evidence]: body.seen };
      break;
    case 'finding-noted':
      record.findings = [...record.findings, { id, at, by, ...body }];
      break;
    case 'measured':
      record.measures = [...record.measures, { id, at, by, ...body }];
      break;
    case 'mood-noted':
      record.mood = body.mood;
      record.moods = [...record.moods, { id, at, by, ...body }];
      break;
    case 'sign-noticed':
      record.signs = [...record.signs, { sign: body.sign, at }];
      break;
    case 'sting-counted':
      record.stings = [...record.stings, { id, at, by, ...body }];
      record.signs = [...record.signs, { sign: 'sting', at }];
      break;
    case 'sting-asked-after':
      record.stingsAskedAfter = [...record.stingsAskedAfter, { id, at, by, ...body }];
      break;
    case 'stack-changed':
      record.stackChanges = [...record.stackChanges, { id, at, by, ...body }];
      if (body.change.do === 'take') record.partsOff = partsLeft(record.partsOff, body.change.part);
      break;
    case 'defect-noted':
      record.defects = [...record.defects, { id, at, by, ...body }];
      break;
    case 'stray-comb-noted':
      record.strayCombs = [...record.strayCombs, { id, at, by, ...body }];
      break;
    case 'task-settled':
      record.tasks = [...without(record.tasks, (each) => each.task === body.task), { id, at, by, ...body }];
      break;
    case 'incident-noted':
      record.incidents = [...record.incidents, { id, at, by, ...body }];
      break;
    case 'skill-judged':
      record.judgements = [
        ...without(record.judgements, (each) => each.trainee === body.trainee && each.skill === body.skill),
        { id, at, by, ...body },
      ];
      break;
    case 'note-written':
      record.notes = [...record.notes, { id, at, by, ...body }];
      break;
    case 'question-asked':
      record.questions = [...record.questions, { id, at, by, ...body }];
      break;
    case 'photo-taken':
      record.photos = [...record.photos, { id, at, by, ...body }];
      break;
    case 'voice-recorded':
      record.recordings = [...record.recordings, { id, at, by, ...body }];
      break;
    case 'guard-overridden':
      record.overrides = [...record.overrides, { id, at, by, ...body }];
      break;
    case 'summed-up':
      record.summary = body.summary;
      break;
    case 'stop-said':
      record.stop = { id, at, by, ...body };
      break;
    case 'visit-closed':
      record.closed = { id, at, by, ...body };
      break;
    case 'entry-undone':
      break;
  }
}

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

function setBack(record: Draft, frame: { readonly box: string; readonly frame: number }, at: string): void {
  const same = (each: FrameOut) => each.box === frame.box && each.frame === frame.frame;
  const out = [record.inHand, ...record.aside].find((each) => each && same(each));
  if (!out) return;
  const seconds = Math.max(0, (Date.parse(at) - Date.parse(out.since)) / 1000);
  record.exposures = [...record.exposures, { box: frame.box, frame: frame.frame, seconds }];
  record.aside = without(record.aside, same);
  if (record.inHand && same(record.inHand)) record.inHand = null;
}

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

const partsLeft = (parts: readonly string[], gone: string) => without(parts, (part) => part === gone);

/** What a photo showed later changes the reading it belongs to: a content there at least as a few cells, or not at all. */
function confirm(record: Draft, address: SideAddress, letter: Letter, there: boolean): void {
  const key = sideKey(address);
  const reading = record.sides[key];
  if (!reading || shows(reading.side, letter) === there) return;
  const cleared = setEighths(reading.side, letter, 0);
  const side = there || cleared.trace.includes(letter) ? toggleTrace(cleared, letter) : cleared;
  record.sides = { ...record.sides, [key]: { ...reading, side } };
}

/** A side that proved sound loses its flag; what was seen on it stays. */
function lookAgain(record: Draft, look: Noted<'doubt-looked-at-again'>): void {
  const key = sideKey(look.address);
  const reading = record.sides[key];
  record.doubts = [
    ...without(record.doubts, (each) => sideKey(each.address) === key),
    { ...look, reading: reading?.entry ?? null },
  ];
  if (reading && look.sound)
    record.sides = { ...record.sides, [key]: { ...reading, side: { ...reading.side, doubtful: false } } };
}

/** Flagged sides of which the latest reading was not looked at again. */
export const doubtsLeft = (record: Pick<VisitRecord, 'sides' | 'doubts'>): readonly SideReading[] =>
  Object.values(record.sides).filter(
    ({ side, address, entry }) =>
      side.doubtful &&
      !record.doubts.some((each) => sideKey(each.address) === sideKey(address) && each.reading === entry),
  );

/** The latest word on each thing that was looked for. */
export const latestFindings = (record: VisitRecord): VisitRecord['findings'] => [
  ...new Map(record.findings.map((each) => [each.finding, each])).values(),
];

/** Changes of the hive's parts, in order. */
export const changesOf = (record: VisitRecord): readonly StackChange[] =>
  record.stackChanges.map(({ change }) => change);

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

/** The jobs as they were given by hand, on top of what the rota says. */
export function rolesNow(
  rota: Readonly<Record<Role, readonly string[]>>,
  given: VisitRecord['roles'],
  nameOf: (person: string) => string,
): Readonly<Record<Role, readonly string[]>> {
  const moved = new Map(given.map(({ person, role }) => [nameOf(person), role]));
  return Object.fromEntries(
    Object.entries(rota).map(([role, names]) => [
      role,
      [
        ...names.filter((name) => !moved.has(name)),
        ...[...moved].filter(([, own]) => own === role).map(([name]) => name),
      ],
    ]),
  ) as unknown as Readonly<Record<Role, readonly string[]>>;
}
