import { type CivilDate, addDays, laterOf, spoken } from '../../units';
import { DEFECTS, type RepairBy } from './defects';
import { FINDINGS } from './findings';
import { readMeasure } from './measures';
import { suspected } from '../closing/guards';
import { type VisitRecord, latestFindings } from './record';
import { STRAY_CAUSES } from '../side/stray-comb';

/** Something that a visit leaves to be done. */
export interface VisitTask {
  /** Tells it from the other tasks of its visit, the same on every reckoning. */
  readonly key: string;
  readonly what: string;
  readonly from: CivilDate;
  readonly due: CivilDate;
  /** What to bring for it. */
  readonly bring: string | null;
}

export interface TaskDates {
  /** Day of the visit. */
  readonly date: CivilDate;
  /** First day on which the hive is shut for winter, `null` when the place has no such day. */
  readonly winter: CivilDate | null;
}

/** Days from a drone egg to the last drone: brood above the excluder is out by then. */
const DRONE_DAYS = 24;
const SOON = 2;
/** A finding less sure than this is looked at again, percent. */
const SURE = 75;

/**
 * What a visit leaves to be done: repairs by their dates, causes of stray comb to be mended, what was not so on leaving, the second look
 * that something found asks for. Each comes from an entry; taken back with it.
 *
 * @param record the visit
 * @param dates its day and the beginning of winter
 * @returns tasks, the first due first
 * @example tasksOf(recordOf([]), { date: '2026-05-14', winter: null }) // []
 */
export function tasksOf(record: VisitRecord, { date, winter }: TaskDates): readonly VisitTask[] {
  const by: Readonly<Record<RepairBy, CivilDate>> = {
    'next-visit': addDays(date, 10),
    'two-weeks': addDays(date, 14),
    'before-winter': winter ? laterOf(addDays(winter, -14), addDays(date, 1)) : addDays(date, 60),
  };
  const task = (key: string, what: string, days: number, bring: string | null = null, from = days): VisitTask => ({
    key,
    what,
    from: addDays(date, Math.min(from, days)),
    due: addDays(date, days),
    bring,
  });
  const repairs = record.defects.map(({ id, part, defect, forNow, until }): VisitTask => ({
    key: `defect/${id}`,
    what: `Repair: ${DEFECTS[defect].name}, ${part}${forNow ? ` (for now: ${forNow})` : ''}`,
    from: date,
    due: by[until],
    bring: DEFECTS[defect].bring,
  }));
  const strays = record.strayCombs
    .filter(({ cause }) => cause !== 'earlier-visit')
    .map(({ id, place, part, cause }) =>
      task(
        `stray/${id}`,
        `Stray comb ${spoken(place)}, ${part}: ${STRAY_CAUSES[cause].mend}`,
        14,
        STRAY_CAUSES[cause].bring,
        0,
      ),
    );
  return [...repairs, ...strays, ...leftOpen(record, task), ...lookAgain(record, task)].sort(
    (a, b) => a.due.localeCompare(b.due) || a.key.localeCompare(b.key),
  );
}

type Make = (key: string, what: string, days: number, bring?: string | null, from?: number) => VisitTask;

/** What was not so when the hive was left. */
function leftOpen(record: VisitRecord, task: Make): readonly VisitTask[] {
  const not = (id: string) => record.checks.some(({ check, ok }) => check === id && !ok);
  const found = (id: string) => latestFindings(record).some((each) => each.finding === id && each.found);
  const after = record.outside.after ?? record.outside.before;
  const tasks: readonly (readonly [boolean, VisitTask])[] = [
    [
      not('strap') || found('no-strap') || found('animal-traces'),
      task('strap', 'Strap or weight the hive against wind and animals', SOON, 'a strap', 0),
    ],
    [found('lean') || after?.leans === true, task('level', 'Level the hive', SOON, 'wedges and a level', 0)],
    [not('feeder-on'), task('feeder', 'Feeder is not in its place: fill it or take it off', SOON, 'feed', 0)],
    [not('food-on') && record.closed !== null, task('food', 'Food taken off is not back above the bees', 1, 'feed', 0)],
    [not('wires-across'), task('wires', 'Turn the excluder: wires across the frames', 10, null, 0)],
    [not('escape-up'), task('escape', 'Turn the escape board the right way up', 1, null, 0)],
    [not('spacer-out'), task('spacer', 'Take the empty rim off before they build in it', 10, null, 0)],
    [found('mice'), task('mice', 'Fit a mouse guard', 14, 'a mouse guard', 0)],
  ];
  return tasks.filter(([applies]) => applies).map(([, each]) => each);
}

/** What something seen asks to be looked at again, or told. */
function lookAgain(record: VisitRecord, task: Make): readonly VisitTask[] {
  const before = record.outside.before;
  const after = record.outside.after;
  const narrowed =
    after?.entrance !== undefined && after.entrance !== 'full' && (before?.entrance ?? 'full') !== after.entrance;
  const mites = record.measures
    .map(({ measure }) => measure)
    .findLast((measure) => measure.what === 'mites-on-bees' || measure.what === 'mites-in-drone-brood');
  const found = latestFindings(record).filter((each) => each.found);
  const above = found.some(({ finding }) => finding === 'brood-above');
  const sick = suspected(record, null);
  return [
    ...(sick === null
      ? []
      : [
          task(
            'inspector',
            `Disease suspected (${sick}): has the bee inspector been told? The law of the place decides`,
            1,
            null,
            0,
          ),
        ]),
    ...(mites && readMeasure(mites).level === 'act'
      ? [task('mites', `${readMeasure(mites).says}: decide on a treatment by label and season`, 7, null, 0)]
      : []),
    ...(narrowed ? [task('entrance', 'Narrowed entrance: do they find it, are wasps baulked?', 7, null, 6)] : []),
    ...found
      .filter(({ sure }) => sure !== null && sure < SURE)
      .map(({ finding, sure }) =>
        task(`unsure/${finding}`, `Look again: ${FINDINGS[finding].name}, ${sure} in 100 sure`, 10, null, 3),
      ),
    ...(before?.bearding === true
      ? [task('bearding', 'Bees hung outside: heat, room, or a split?', 7, 'a super', 0)]
      : []),
    ...(above
      ? [
          task(
            'brood-above',
            'Brood above the excluder should be out: look, then clear the super',
            DRONE_DAYS,
            null,
            21,
          ),
        ]
      : []),
  ];
}
