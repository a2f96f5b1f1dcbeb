import type { Sayable } from '@brave-comb/core/language';
import type { Output, endpoints } from '@brave-comb/contract';
import { SKILL_LEVELS } from '@brave-comb/core/inspection';
import { windowOf } from '@brave-comb/core/planning';
import { STANDING_STATES } from '@brave-comb/core/skills';
import type { Actor, Context } from '../../context';
import { iso } from '../../dates';
import { schoolPhases } from '../../facts/season';
import { NO_JOBS, jobsDone, type JobsDone, schoolStandings } from '../../facts/skills';
import { hivesById } from '../../records/equipment';
import { traineesOf } from '../../records/people';
import { termsOf } from '../../records/planning';
import { claimsOf, elsewhereOf, groupsSeen } from '../../records/skills';

type Matrix = Output<(typeof endpoints)['traineeMatrix']>;

/** Trainees by group with their standings; a supervisor sees the groups that they have led. */
export async function traineeMatrix(context: Context, actor: Actor): Promise<Sayable<Matrix>> {
  const { db } = context;
  const groups = await groupsSeen({ db }, actor);
  const ids = groups.map(({ id }) => id);
  const trainees = await traineesOf(db, actor.school, ids);
  const people = trainees.map(({ id }) => id);
  const [skills, claims, played, terms, { phases, today }] = await Promise.all([
    schoolStandings(context, actor.school, people),
    claimsOf(db, actor.school, people),
    jobsDone(db, actor.school, ids),
    termsOf(db, actor.school),
    schoolPhases(context, actor.school),
  ]);
  const { checklist, standing, words } = skills;
  const refused = new Set(words.corrections.map(({ demonstration }) => demonstration));
  const waiting = claims.filter(({ id }) => !refused.has(id));
  const hives = await hivesById(db, actor.school, [...new Set(waiting.flatMap(({ hive }) => hive ?? []))]);
  const cell = (trainee: string, skill: string): Matrix['groups'][number]['trainees'][number]['standings'][number] => {
    const { state, level, until } = standing(trainee, skill);
    return [STANDING_STATES.indexOf(state), level === null ? -1 : SKILL_LEVELS.indexOf(level), until];
  };
  return {
    today,
    skills: checklist.skills.map(({ id, name, phase, gate, rule, season }) => ({
      id,
      name,
      phase,
      gate,
      level: rule.level,
      window: season && windowOf(season, phases, today),
      seasonal: season !== null,
    })),
    groups: groups.map((group) => {
      const own = terms.find(({ owner }) => owner === group.id)?.terms;
      return {
        id: group.id,
        name: group.name,
        until: own?.kind === 'group' ? own.until : null,
        trainees: trainees
          .filter((each) => each.group === group.id)
          .map(({ id, name }) => ({
            id,
            name,
            standings: checklist.skills.map((skill) => cell(id, skill.id)),
            ...turnsOf(played.get(id) ?? NO_JOBS),
          })),
      };
    }),
    claims: waiting.map((claim) => ({
      id: claim.id,
      trainee: { id: claim.trainee, name: trainees.find(({ id }) => id === claim.trainee)?.name ?? '' },
      skill: claim.skill,
      skillName: checklist.skills.find(({ id }) => id === claim.skill)?.name ?? claim.skill,
      level: claim.level,
      at: iso(claim.at),
      hive: hives.find(({ id }) => id === claim.hive)?.number ?? null,
      source: claim.source,
      note: claim.note,
      elsewhere: claim.source === 'passport' ? elsewhereOf(claim) : null,
    })),
  };
}

const turnsOf = ({ visits, had }: JobsDone) => ({ visits, held: had.frames, smoked: had.smoke });
