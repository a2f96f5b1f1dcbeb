import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { DEFAULT_CHECKLIST, levelRank, type Skill } from '@brave-comb/core/skills';
import { addDays } from '@brave-comb/core/units';
import { COURSES, type DemoCourse, EARLY_SKILLS, LAST_SEASON, LATE_SKILL } from '@brave-comb/demo';
import { v7 as uuid } from 'uuid';
import type { Context } from '../context';
import { type DemonstrationRow, insertDemonstration, insertSignOffs } from '../records/skills';

/** A school's ids by the names of the demo data. */
interface Named {
  readonly school: string;
  readonly people: ReadonlyMap<string, { readonly id: string }>;
  readonly hives: ReadonlyMap<string, string>;
}

/** A share, 0 to 1, that is the same for the same numbers at every start. */
function share(...numbers: readonly number[]): number {
  const mixed = numbers.reduce((sum, number) => Math.imul(sum ^ (number + 0x9e3779b9), 0x85ebca6b) >>> 0, 17);
  return ((mixed ^ (mixed >>> 13)) >>> 0) / 2 ** 32;
}

const HIVES = ['4', '9', '1'] as const;

/** What the trainees of a group had shown by the end of last season, and what was signed. */
export async function loadPastEvidence(
  { db }: Context,
  { school, people, hives }: Named,
  group: string,
  trainees: readonly string[],
): Promise<void> {
  const course = COURSES.find((each) => each.group === group);
  if (!course) return;
  const idOf = (name: string) => people.get(name)!.id;
  const late = idOf(LATE_SKILL.trainee);
  const told = trainees.flatMap((trainee, at) =>
    DEFAULT_CHECKLIST.skills.flatMap((skill, place) => {
      const luck = share(at, place, group.length);
      const early = (EARLY_SKILLS[group] ?? []).includes(skill.id);
      const missing = trainee === late && skill.id === LATE_SKILL.skill;
      return [{ trainee, skill, held: !missing && (early || luck < course.held), luck, place }];
    }),
  );
  const rows = told.flatMap(({ trainee, skill, held, luck, place }): DemonstrationRow[] =>
    shownBefore(skill, held, luck, share(place, 7, trainees.indexOf(trainee)) < course.tried).map((level, turn) => {
      const day = addDays(
        LAST_SEASON.from,
        Math.floor(share(place, turn, trainees.indexOf(trainee)) * LAST_SEASON.days),
      );
      return {
        id: uuid(),
        school,
        trainee,
        skill: skill.id,
        level,
        at: new Date(`${day}T13:00:00Z`),
        day,
        source: 'debrief',
        hive: hives.get(HIVES[turn % HIVES.length]!) ?? null,
        session: null,
        visit: null,
        judged_by: idOf(skill.rule.lead ? 'morag' : assessorOf(course, turn)),
        by_lead: skill.rule.lead,
        version: 1,
        prompt: '',
        note: '',
        elsewhere: null,
      };
    }),
  );
  for (let from = 0; from < rows.length; from += 500) await insertDemonstration(db, rows.slice(from, from + 500));
  const signed = told.filter(({ held, luck }) => held && luck < course.signed * course.held);
  if (signed.length === 0) return;
  await insertSignOffs(
    db,
    signed.map(({ trainee, skill }) => ({
      id: uuid(),
      school,
      trainee,
      skill: skill.id,
      kind: 'signed',
      by_exception: false,
      version: 1,
      day: LAST_SEASON.signed,
      note: '',
      by: idOf('morag'),
      at: new Date(`${LAST_SEASON.signed}T15:00:00Z`),
    })),
  );
}

const assessorOf = ({ assessors }: DemoCourse, turn: number) => assessors[turn % assessors.length]!;

/** Levels of the showings, oldest first: all that the rule asks for, or a try or two on the way there. */
function shownBefore({ rule }: Skill, held: boolean, luck: number, tried: boolean): readonly SkillLevel[] {
  const asked = levelRank(rule.level);
  if (held) {
    const last = luck < 0.12 ? SKILL_LEVELS.length - 1 : asked;
    return Array.from({ length: rule.times + 1 }, (_, at) => SKILL_LEVELS[at === rule.times ? last : asked]!);
  }
  return Array.from({ length: !tried ? 0 : luck > 0.8 ? 1 : 2 }, (_, at) => SKILL_LEVELS[Math.min(asked - 1, at)]!);
}
