import { MOST_PAIRS, pairHives } from '@brave-comb/core/care';
import { scattered } from '@brave-comb/core/units';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import { revise } from '../../database/revision-store';
import { dateAt } from '../../dates';
import { colonyStates, mayTakePart } from '../../facts/care';
import { siteSeason } from '../../facts/season';
import { Refusal, notFound } from '../../problem';
import { changeTrial, insertTrial, trialById } from '../../records/care';
import { siteOf } from '../../records/equipment';
import { say } from '../../words';

/**
 * Begins a trial: like hives are paired, and chance says which of each gets which method. Sent twice, it is begun once.
 *
 * @throws Refusal when the day of the revisit is past, or fewer than one pair is alike
 * @returns its site
 */
export async function beginTrial(
  context: Context,
  actor: Actor,
  siteId: string,
  { id, hives, ...body }: Body<'beginTrial'>,
): Promise<string> {
  const { db, clock } = context;
  const { site } = await siteOf(context, actor.school, siteId);
  const today = dateAt(site.zone, clock.now());
  if (body.revisit <= today) throw new Refusal(422, 'not-valid', say('trial-revisit-past'));
  const states = await colonyStates(context, await siteSeason(context, site));
  const chosen = mayTakePart(states).filter(({ hive }) => hives.includes(hive));
  const pairs = pairHives(chosen, scattered(seedOf(id))).slice(0, MOST_PAIRS);
  if (pairs.length === 0) throw new Refusal(422, 'not-valid', say('trial-no-pair'));
  await revise(db, actor.school, async (trx) => {
    if (await trialById(trx, actor.school, id)) return;
    await insertTrial(trx, {
      ...body,
      id,
      pairs,
      school: actor.school,
      site: site.id,
      begun: today,
      by_person: actor.id,
      at: clock.now(),
      ended: null,
      withdrawn_at: null,
    });
  });
  return site.id;
}

/** Ends a trial, or takes it back. Done twice, it is done once. */
export async function endTrial(context: Context, actor: Actor, id: string, { how }: Body<'endTrial'>): Promise<string> {
  const { db, clock } = context;
  const trial = await trialById(db, actor.school, id);
  if (!trial) throw notFound('trial');
  const { site } = await siteOf(context, actor.school, trial.site);
  const change =
    how === 'ended' ? { ended: trial.ended ?? dateAt(site.zone, clock.now()) } : { withdrawn_at: clock.now() };
  await revise(db, actor.school, (trx) => changeTrial(trx, actor.school, id, change));
  return site.id;
}

/** The same chance for the same trial, however often it is sent. */
const seedOf = (id: string): number => parseInt(id.replaceAll('-', '').slice(-8), 16);
