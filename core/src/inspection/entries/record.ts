import type { StackChange } from '../../equipment';
import type { Job } from '../visit/jobs';
import { BEES_BLANK, type BeesRecord } from './bees';
import { type VisitEntry, kindOf } from './entries';
import { redoableOf, undoneOf } from './undo';
import { HIVE_BLANK, type HiveRecord, shutAgain } from './hive';
import { PEOPLE_BLANK, type PeopleRecord } from './people';
import { SIDES_BLANK, type SidesRecord } from './sides';
import { WAY_BLANK, type WayRecord } from './way';

/** A visit as its entries tell it. Plain data, so that it can be stored, sent and compared. */
export interface VisitRecord extends WayRecord, PeopleRecord, BeesRecord, HiveRecord, SidesRecord {
  /** Entries that still count and can be taken back, oldest first. */
  readonly undoable: readonly string[];
  /** The entry that took something back last, while nothing new was entered: taking it back brings that again. */
  readonly redoable: string | null;
}

const BLANK: VisitRecord = {
  ...WAY_BLANK,
  ...PEOPLE_BLANK,
  ...BEES_BLANK,
  ...HIVE_BLANK,
  ...SIDES_BLANK,
  undoable: [],
  redoable: null,
};

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
  const record = { ...BLANK };
  const undoable: string[] = [];
  for (const { body, ...stamp } of entries) {
    if (undone.has(stamp.id) || body.kind === 'entry-undone') continue;
    const kind = kindOf(body);
    kind.fold(record, { ...body, ...stamp });
    if (!kind.byItself) undoable.push(stamp.id);
  }
  const takenBack = entries.some(({ id, body }) => body.kind === 'part-taken-off' && undone.has(id));
  const neverOpened = takenBack && record.partsEverOff.length === 0 && Object.keys(record.sides).length === 0;
  const told = neverOpened ? shutAgain(record) : record;
  return { ...told, undoable, redoable: redoableOf(entries, undone) };
}

/** The latest word on each thing that was looked for. */
export const latestFindings = (record: VisitRecord): VisitRecord['findings'] => [
  ...new Map(record.findings.map((each) => [each.finding, each])).values(),
];

/** Changes of the hive's parts, in order. */
export const changesOf = (record: VisitRecord): readonly StackChange[] =>
  record.stackChanges.map(({ change }) => change);

/** The jobs as they were given by hand, on top of what the rota says. */
export function jobsNow(
  rota: Readonly<Record<Job, readonly string[]>>,
  given: VisitRecord['roles'],
  nameOf: (person: string) => string,
): Readonly<Record<Job, readonly string[]>> {
  const moved = new Map(given.map(({ person, role }) => [nameOf(person), role]));
  return Object.fromEntries(
    Object.entries(rota).map(([role, names]) => [
      role,
      [
        ...names.filter((name) => !moved.has(name)),
        ...[...moved].filter(([, own]) => own === role).map(([name]) => name),
      ],
    ]),
  ) as unknown as Readonly<Record<Job, readonly string[]>>;
}
