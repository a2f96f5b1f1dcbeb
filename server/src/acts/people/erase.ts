import { say } from '../../words';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { Refusal, notFound } from '../../problem';
import { forgetFeeds } from '../../records/care';
import { forgetWordsInEntries } from '../../records/inspection';
import { audit, erasePerson, peopleOf } from '../../records/people';
import { forgetTerms } from '../../records/planning';
import { forgetWordsOn } from '../../records/skills';

/**
 * Erases a trainee on request. What was counted stays: judgements, turns and readings under nobody's name.
 *
 * @param name the trainee's name, typed once more, so that nobody is erased by a slip
 * @throws Refusal 422 when the name is another
 */
export async function eraseTrainee(
  { db, clock }: Context,
  actor: Actor,
  trainee: string,
  name: string,
): Promise<{ erased: boolean }> {
  const [person] = await peopleOf(db, actor.school, [trainee]);
  if (person?.role !== 'trainee') throw notFound('trainee');
  if (name.trim() !== person.name)
    throw new Refusal(422, 'another-name', say('name-as-it-stands', { name: person.name }));
  await revise(db, actor.school, async (trx) => {
    await erasePerson(trx, actor.school, trainee, clock.now());
    await forgetFeeds(trx, trainee);
    await forgetTerms(trx, actor.school, trainee);
    await forgetWordsOn(trx, actor.school, trainee);
    await forgetWordsInEntries(trx, trainee);
    await audit(trx, {
      school: actor.school,
      person: actor.id,
      what: 'person-erased',
      about: `trainee ${trainee}`,
      address: '',
    });
  });
  return { erased: true };
}
