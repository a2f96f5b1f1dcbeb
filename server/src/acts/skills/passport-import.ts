import { inEnglish, say } from '../../words';
import type { Input, Output, endpoints } from '@brave-comb/contract';
import { sameName } from '@brave-comb/core/exchange';
import { v5 as uuidOf } from 'uuid';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal } from '../../problem';
import { dayAtSchool } from '../../records/equipment';
import {
  checklistOf,
  confirmClaim,
  type DemonstrationRow,
  demonstrationsOf,
  elsewhereOf,
  insertDemonstration,
  removeDemonstrations,
  traineeSeenBy,
  turnDown,
  waitingOfPassports,
} from '../../records/skills';
import { spoken } from '@brave-comb/core/units';

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
  const person = await traineeSeenBy(db, actor, trainee);
  if (!sameName(file.trainee, person.name) && !file.anotherName)
    throw new Refusal(
      422,
      'another-name',
      say('another-persons-passport', { trainee: file.trainee, school: file.school, name: person.name }),
    );
  const { version, skills } = await checklistOf(db, actor.school, await dayAtSchool(db, actor.school, clock.now()));
  // A skill may stand in the file by the id that it had in an earlier list.
  const byId = new Map([
    ...skills.flatMap(({ id, from }) => from.map((was) => [was, id] as const)),
    ...skills.map(({ id }) => [id, id] as const),
  ]);
  const byName = new Map(skills.map((skill) => [inEnglish(skill.name).toLowerCase(), skill.id]));
  const named = file.skills.map((each) => ({
    ...each,
    here: byId.get(each.id) ?? byName.get(each.name.toLowerCase()) ?? null,
  }));
  const rows = named.flatMap(({ here, evidence }): DemonstrationRow[] =>
    here === null
      ? []
      : evidence.map(({ day, level, hive, assessor }, at) => ({
          // By the level as it was always written, so that a file of an older version is known again.
          id: uuidOf(
            [file.school, trainee, here, day, spoken(level), hive ?? '', assessor ?? '', at].join('|'),
            PASSPORTS,
          ),
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
  return revise(db, actor.school, async (trx) => {
    const known = new Set((await demonstrationsOf(trx, actor.school, [trainee])).map(({ id }) => id));
    const fresh = rows.filter(({ id }) => !known.has(id));
    if (fresh.length > 0) await insertDemonstration(trx, fresh);
    return {
      school: file.school,
      taken: fresh.length,
      known: rows.length - fresh.length,
      unknown: named.filter(({ here }) => here === null).map(({ name }) => name),
    };
  });
}

type Settle = (typeof endpoints)['settlePassport'];

/** One word on all that waits of a trainee from one school. What was taken in for the wrong person is taken out as if it had never come. */
export async function settlePassport(
  { db, clock }: Context,
  actor: Actor,
  trainee: string,
  word: Input<Settle>['body'],
): Promise<Output<Settle>> {
  await traineeSeenBy(db, actor, trainee);
  return revise(db, actor.school, async (trx) => {
    const rows = (await waitingOfPassports(trx, actor.school, trainee)).filter(
      (row) => elsewhereOf(row)?.school === word.school,
    );
    if (word.word === 'take-out') {
      await removeDemonstrations(
        trx,
        rows.map(({ id }) => id),
      );
      return { settled: rows.length };
    }
    if (word.word === 'turn-down') await turnDown(trx, actor, rows, word.reason, clock.now());
    for (const { id, level } of rows)
      await confirmClaim(trx, id, { judged_by: actor.id, by_lead: actor.role === 'lead', level });
    return { settled: rows.length };
  });
}
