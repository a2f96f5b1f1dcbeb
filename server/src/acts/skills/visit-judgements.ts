import { sideKey, type VisitRecord } from '@brave-comb/core/inspection';
import type { Context } from '../../context';
import { dateAt } from '../../dates';
import type { NamedVisit } from '../../records/inspection';
import { peopleOf } from '../../records/people';
import { checklistOf, replaceDemonstrations, replaceReadingPairs } from '../../records/skills';

/** Brings what was judged in a visit up to its entries. */
export async function projectJudgements(
  { db: trx }: Context,
  visit: NamedVisit,
  { judgements }: VisitRecord,
): Promise<void> {
  const { version } = await checklistOf(trx, visit.school, dateAt(visit.zone, visit.started_at));
  const assessors = await peopleOf(trx, visit.school, [...new Set(judgements.map(({ by }) => by))]);
  const leads = new Set(assessors.filter(({ role }) => role === 'lead').map(({ id }) => id));
  await replaceDemonstrations(
    trx,
    visit.id,
    judgements.map((each) => ({
      id: each.id,
      school: visit.school,
      trainee: each.trainee,
      skill: each.skill,
      level: each.level,
      at: new Date(each.at),
      day: dateAt(visit.zone, each.at),
      source: 'visit',
      hive: visit.hive,
      session: visit.session,
      visit: visit.id,
      judged_by: each.by,
      by_lead: leads.has(each.by),
      version,
      prompt: each.prompt ?? '',
      note: each.note ?? '',
      elsewhere: null,
    })),
  );
}

/** Brings hidden readings beside the supervisor's up to the entries of a visit; a side that nobody else read does not count. */
export async function projectReadings({ db: trx }: Context, visit: NamedVisit, record: VisitRecord): Promise<void> {
  await replaceReadingPairs(
    trx,
    visit.id,
    record.traineeReadings.flatMap(({ id, at, person, address, side }) => {
      const reading = record.sides[sideKey(address)];
      if (!reading || reading.by === person) return [];
      const own = { school: visit.school, trainee: person, visit: visit.id };
      return [{ ...own, id, at: new Date(at), own: side.eighths, reference: reading.side.eighths }];
    }),
  );
}
