import type { Input, Output, endpoints } from '@brave-comb/contract';
import { v5 as uuidOf } from 'uuid';
import type { Actor, Context } from '../context';
import { dayAtSchool } from '../equipment/store';
import { traineeSeenBy } from './access';
import { checklistOf } from './checklist-store';
import { demonstrationsOf, insertDemonstration, type DemonstrationRow } from './evidence-store';

type Import = (typeof endpoints)['importPassport'];

/** Makes the same passport the same evidence, so that taking it in twice changes nothing. */
const PASSPORTS = '0b1d6f0e-6c9e-4c5e-9a53-5a0f3f1f7c11';

/** Takes in another school's passport. Its evidence waits for the lead's word; skills that this list does not have are named. */
export async function importPassport(
  { db, clock }: Context,
  actor: Actor,
  trainee: string,
  file: Input<Import>['body'],
): Promise<Output<Import>> {
  await traineeSeenBy(db, actor, trainee);
  const { version, skills } = await checklistOf(db, actor.school, await dayAtSchool(db, actor.school, clock.now()));
  // A skill may stand in the file by the id that it had in an earlier list.
  const byId = new Map([
    ...skills.flatMap(({ id, from }) => from.map((was) => [was, id] as const)),
    ...skills.map(({ id }) => [id, id] as const),
  ]);
  const byName = new Map(skills.map((skill) => [skill.name.toLowerCase(), skill.id]));
  const named = file.skills.map((each) => ({
    ...each,
    here: byId.get(each.id) ?? byName.get(each.name.toLowerCase()) ?? null,
  }));
  const rows = named.flatMap(({ here, evidence }): DemonstrationRow[] =>
    here === null
      ? []
      : evidence.map(({ day, level, hive, assessor }, at) => ({
          id: uuidOf([file.school, trainee, here, day, level, hive ?? '', assessor ?? '', at].join('|'), PASSPORTS),
          school: actor.school,
          trainee,
          skill: here,
          level,
          at: new Date(`${day}T12:00:00Z`),
          day,
          source: 'passport',
          hive: null,
          session: null,
          visit: null,
          judged_by: null,
          by_lead: false,
          version,
          prompt: '',
          note: hive ? `hive ${hive}` : '',
          elsewhere: `${assessor ?? 'somebody'}, ${file.school}`.slice(0, 120),
        })),
  );
  return db.transaction(async (trx) => {
    const known = new Set((await demonstrationsOf(trx, actor.school, [trainee])).map(({ id }) => id));
    const fresh = rows.filter(({ id }) => !known.has(id));
    if (fresh.length > 0) await insertDemonstration(trx, fresh);
    return {
      taken: fresh.length,
      known: rows.length - fresh.length,
      unknown: named.filter(({ here }) => here === null).map(({ name }) => name),
    };
  });
}
