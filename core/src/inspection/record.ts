import type { EntryBody, OutsideLook, Summary, VisitEntry } from './entries';
import type { EvidenceId } from './questions';
import { type FrameSide, type SideAddress, sideKey } from './frame-side';
import { formatSide } from './shorthand';
import type { StepId } from './steps';

/** A reading with who made it. */
export interface SideReading {
  readonly entry: string;
  readonly at: string;
  readonly by: string;
  readonly address: SideAddress;
  readonly side: FrameSide;
}

type Noted<K extends EntryBody['kind']> = Extract<EntryBody, { kind: K }> & Pick<VisitEntry, 'id' | 'at' | 'by'>;

/** A visit as its entries tell it. Plain data, so that it can be stored, sent and compared. */
export interface VisitRecord {
  readonly step: StepId;
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
  readonly smoke: readonly Noted<'smoke given'>[];
  /** Parts that are off now, in the order they came off. */
  readonly partsOff: readonly string[];
  /** Seams of bees counted from above, by box. */
  readonly seams: Readonly<Record<string, number>>;
  readonly ticks: Readonly<Partial<Record<EvidenceId, boolean>>>;
  readonly mood: number | null;
  readonly stings: readonly Noted<'sting counted'>[];
  /** Latest judgement of each trainee in each skill. */
  readonly judgements: readonly Noted<'skill judged'>[];
  readonly notes: readonly Noted<'note written'>[];
  readonly summary: Summary | null;
  readonly closed: Noted<'visit closed'> | null;
  /** Entries that still count and can be taken back, oldest first. */
  readonly undoable: readonly string[];
}

type Draft = { -readonly [K in keyof VisitRecord]: VisitRecord[K] };

/**
 * Tells a visit from its entries.
 *
 * Two readings of one side conflict when the later one's device had not seen the earlier one, another person made it, and they differ.
 *
 * @param entries entries in the order in which they arrived
 * @returns the visit as it stands
 * @example recordOf([]).step // 'outside'
 */
export function recordOf(entries: readonly VisitEntry[]): VisitRecord {
  const undone = new Set<string>();
  for (const { body } of entries) if (body.kind === 'entry undone') undone.add(body.entry);
  const record: Draft = {
    step: 'outside',
    openedAt: null,
    sides: {},
    conflicts: [],
    outside: {},
    smoke: [],
    partsOff: [],
    seams: {},
    ticks: {},
    mood: null,
    stings: [],
    judgements: [],
    notes: [],
    summary: null,
    closed: null,
    undoable: [],
  };
  for (const entry of entries) {
    if (undone.has(entry.id) || entry.body.kind === 'entry undone') continue;
    apply(record, entry);
    record.undoable = [...record.undoable, entry.id];
  }
  return record;
}

function apply(record: Draft, entry: VisitEntry): void {
  const { id, at, by, body } = entry;
  if (body.kind === 'part taken off' || body.kind === 'frame side recorded') record.openedAt ??= at;
  switch (body.kind) {
    case 'step reached':
      record.step = body.step;
      break;
    case 'outside seen':
      record.outside = { ...record.outside, [body.when]: body.look };
      break;
    case 'smoke given':
      record.smoke = [...record.smoke, { id, at, by, ...body }];
      break;
    case 'part taken off':
      record.partsOff = [...record.partsOff.filter((part) => part !== body.part), body.part];
      break;
    case 'part put back':
      record.partsOff = record.partsOff.filter((part) => part !== body.part);
      break;
    case 'seams counted':
      record.seams = { ...record.seams, [body.box]: body.seams };
      break;
    case 'frame side recorded':
      applyReading(record, { entry: id, at, by, address: body.address, side: body.side }, body.seen);
      break;
    case 'reading settled':
      settle(record, body.address, body.keep);
      break;
    case 'evidence ticked':
      record.ticks = { ...record.ticks, [body.evidence]: body.seen };
      break;
    case 'mood noted':
      record.mood = body.mood;
      break;
    case 'sting counted':
      record.stings = [...record.stings, { id, at, by, ...body }];
      break;
    case 'skill judged':
      record.judgements = [
        ...record.judgements.filter((each) => each.trainee !== body.trainee || each.skill !== body.skill),
        { id, at, by, ...body },
      ];
      break;
    case 'note written':
      record.notes = [...record.notes, { id, at, by, ...body }];
      break;
    case 'summed up':
      record.summary = body.summary;
      break;
    case 'visit closed':
      record.closed = { id, at, by, ...body };
      break;
    case 'entry undone':
      break;
  }
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
  record.sides = { ...record.sides, [key]: reading };
}

function settle(record: Draft, address: SideAddress, keep: string): void {
  const key = sideKey(address);
  const conflict = record.conflicts.find((each) => sideKey(each.address) === key);
  const kept = conflict?.readings.find((reading) => reading.entry === keep);
  if (!kept) return;
  record.conflicts = record.conflicts.filter((each) => each !== conflict);
  record.sides = { ...record.sides, [key]: kept };
}
