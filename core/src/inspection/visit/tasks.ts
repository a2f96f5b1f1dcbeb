import { type CivilDate, addDays, laterOf } from '../../units';
import { type RepairBy } from './defects';
import { readMeasure } from './measures';
import { suspected } from '../closing/guards';
import { type VisitRecord, latestFindings } from '../entries/record';
import type { StrayCause } from '../side/stray-comb';
import { say } from '../said';
import { type Text, named } from '../../language';

/** Something that a visit leaves to be done. */
export interface VisitTask {
  /** Tells it from the other tasks of its visit, the same on every reckoning. */
  readonly key: string;
  readonly what: Text;
  readonly from: CivilDate;
  readonly due: CivilDate;
  /** What to bring for it. */
  readonly bring: Text | null;
}

export interface TaskDates {
  /** Day of the visit. */
  readonly date: CivilDate;
  /** First day on which the hive is shut for winter, `null` when the place has no such day. */
  readonly winter: CivilDate | null;
}

/** Days from a drone egg to the last drone: brood above the excluder is out by then. */
const DRONE_DAYS = 24;
/** Days within which what is easily mended is mended. Common practice. */
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
  const task = (key: string, what: Text, days: number, bring: Text | null = null, from = days): VisitTask => ({
    key,
    what,
    from: addDays(date, Math.min(from, days)),
    due: addDays(date, days),
    bring,
  });
  const repairs = record.defects.map(({ id, part, defect, forNow, until }): VisitTask => ({
    key: `defect/${id}`,
    what: say('repair', { name: named('defect', defect), part, forNow }),
    from: date,
    due: by[until],
    bring: named('defectBring', defect),
  }));
  const strays = record.strayCombs
    .filter(({ cause }) => cause !== 'earlier-visit')
    .map(({ id, place, part, cause }) =>
      task(
        `stray/${id}`,
        say('stray-comb', { place, part, mend: named('strayMend', cause) }),
        14,
        STRAY_BRING.has(cause) ? named('strayBring', cause) : null,
        0,
      ),
    );
  return [...repairs, ...strays, ...leftOpen(record, task), ...lookAgain(record, task)].sort(
    (a, b) => a.due.localeCompare(b.due) || a.key.localeCompare(b.key),
  );
}

/** Causes of stray comb for whose cure something is brought along. */
const STRAY_BRING: ReadonlySet<StrayCause> = new Set(['gap-too-wide', 'missing-frame', 'heat-collapse', 'not-known']);

type Make = (key: string, what: Text, days: number, bring?: Text | null, from?: number) => VisitTask;

/** What was not so when the hive was left. */
function leftOpen(record: VisitRecord, task: Make): readonly VisitTask[] {
  const not = (id: string) => record.checks.some(({ check, ok }) => check === id && !ok);
  const found = (id: string) => latestFindings(record).some((each) => each.finding === id && each.found);
  const after = record.outside.after ?? record.outside.before;
  const tasks: readonly (readonly [boolean, VisitTask])[] = [
    [
      not('strap') || found('no-strap') || found('animal-traces'),
      task('strap', say('strap-weight-hive-against-wind'), SOON, 'a strap', 0),
    ],
    [found('lean') || after?.leans === true, task('level', say('level-hive'), SOON, say('wedges-level'), 0)],
    [not('feeder-on'), task('feeder', say('feeder-place-fill-take-off'), SOON, 'feed', 0)],
    [not('food-on') && record.closed !== null, task('food', say('food-taken-off-back-above'), 1, 'feed', 0)],
    [not('wires-across'), task('wires', say('turn-excluder-wires-across-frames'), 10, null, 0)],
    [not('escape-up'), task('escape', say('turn-escape-board-right-way'), 1, null, 0)],
    [not('spacer-out'), task('spacer', say('take-empty-rim-off-before'), 10, null, 0)],
    [found('mice'), task('mice', say('fit-mouse-guard'), 14, say('mouse-guard'), 0)],
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
    ...(sick === null ? [] : [task('inspector', say('disease-suspected-has-bee-inspector', { sick }), 1, null, 0)]),
    ...(mites && readMeasure(mites).level === 'act'
      ? [task('mites', say('decide-treatment-label-season', { says: readMeasure(mites).says }), 7, null, 0)]
      : []),
    ...(narrowed ? [task('entrance', say('narrowed-entrance-do-find-wasps'), 7, null, 6)] : []),
    ...found
      .filter(({ sure }) => sure !== null && sure < SURE)
      .map(({ finding, sure }) =>
        task(`unsure/${finding}`, say('look-again-sure', { name: named('finding', finding), sure }), 10, null, 3),
      ),
    ...(before?.bearding === true ? [task('bearding', say('bees-hung-outside-heat-room'), 7, 'a super', 0)] : []),
    ...(above ? [task('brood-above', say('brood-above-excluder-should-out'), DRONE_DAYS, null, 21)] : []),
  ];
}
