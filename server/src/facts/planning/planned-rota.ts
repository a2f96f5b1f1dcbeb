import { worstOfLate } from '@brave-comb/core/planning';
import type { Context } from '../../context';
import type { HiveRow } from '../../records/equipment';
import type { VisitRow } from '../../records/inspection';
import { traineesOf } from '../../records/people';
import { traineeLimits } from '../../records/planning';
import { tempersOf } from '../inspection';
import { jobsDone, schoolStandings } from '../skills';
import { rotaOf } from './rota';

/** Who is to do what at a hive that is about to be opened, by ids: kept with the visit, so that it can be told afterwards. */
export async function plannedRota(
  context: Context,
  school: string,
  hive: HiveRow,
  group: string,
  at: Date,
): Promise<NonNullable<VisitRow['rota']>> {
  const { db } = context;
  const trainees = await traineesOf(db, school, [group]);
  const [limits, tempers, played, skills] = await Promise.all([
    traineeLimits(db, school),
    tempersOf(context, hive, at),
    jobsDone(db, school, [group], at),
    schoolStandings(
      context,
      school,
      trainees.map(({ id }) => id),
    ),
  ]);
  const ids = new Map(trainees.map(({ id, name }) => [name, id]));
  const turns = rotaOf(
    { skills, limits, played, tempers: new Map([[hive.id, worstOfLate(tempers)]]) },
    trainees,
    hive,
    [],
  );
  const idsOf = (names: readonly string[]) => names.map((name) => ids.get(name)!);
  return turns.map(({ fromFrame, toFrame, roles }) => ({
    fromFrame,
    toFrame,
    roles: {
      smoke: idsOf(roles.smoke),
      frames: idsOf(roles.frames),
      record: idsOf(roles.record),
      clock: idsOf(roles.clock),
      watch: idsOf(roles.watch),
    },
  }));
}
