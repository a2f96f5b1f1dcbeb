import {
  CHAPTERS,
  DEFAULT_PRACTICE,
  FIGURES,
  type FigureId,
  type FigureValue,
  figureOf,
  practiceTroubles,
  withFigures,
} from '@brave-comb/core/house';
import type { HousePracticeForm } from '@brave-comb/contract';
import { type Sayable, named } from '@brave-comb/core/language';
import type { Body } from '../../body';
import type { Actor, Context } from '../../context';
import type { Db } from '../../database/db';
import { revise } from '../../database/revision-store';
import { changesOfThing, writeChanges } from '../../database/versioned-store';
import { iso } from '../../dates';
import { Refusal } from '../../problem';
import { say } from '../../words';
import { changeHousePractice, housePracticeOf, lockSchool } from './store';

type Form = Sayable<HousePracticeForm>;
type Shown = Form['chapters'][number]['figures'][number];

/** Who changed each figure last, and when. */
async function lastChanged(db: Db, school: string): Promise<ReadonlyMap<string, { by: string; at: string }>> {
  const changes = await changesOfThing(db, school, 'schools');
  return new Map(
    changes
      .toReversed()
      .flatMap(({ by, at, is }) => Object.keys(is ?? {}).map((figure) => [figure, { by, at: iso(at) }] as const)),
  );
}

/** The figures by which a school works, with what they mean. */
export async function housePracticeForm({ db }: Context, actor: Actor): Promise<Form> {
  const [practice, changed] = await Promise.all([housePracticeOf(db, actor.school), lastChanged(db, actor.school)]);
  const shown = (id: FigureId): Shown => {
    const figure = FIGURES[id];
    const number = figure.holds === 'number' ? figure : null;
    const others: readonly { readonly school: string; readonly value: FigureValue }[] =
      'others' in figure ? (figure.others ?? []) : [];
    const why = (school: string) => named('houseSchool', school);
    return {
      id,
      name: named('houseFigure', id),
      meaning: named('houseMeaning', id),
      holds: figure.holds,
      measure: number?.measure ?? null,
      least: number?.least ?? null,
      most: number?.most ?? null,
      step: number?.step ?? null,
      usual: number?.usual ?? null,
      choices:
        figure.holds === 'choice' ? figure.of.map((value) => ({ value, name: named('houseChoice', value) })) : [],
      others: others.map(({ school, value }) => ({ value, why: why(school) })),
      ours: figureOf(practice, id),
      standard: figureOf(DEFAULT_PRACTICE, id),
      changed: changed.get(id) ?? null,
    };
  };
  const ids = Object.keys(FIGURES) as FigureId[];
  return {
    mayChange: actor.role === 'lead',
    chapters: CHAPTERS.map((chapter) => ({
      id: chapter,
      name: named('houseChapter', chapter),
      figures: ids.filter((id) => FIGURES[id].chapter === chapter).map(shown),
    })),
    troubles: practiceTroubles(practice),
  };
}

/**
 * Changes figures of the house practice.
 *
 * @throws Refusal 409 where another changed one of them meanwhile, 422 naming the figures that cannot be kept
 */
export function keepHousePractice(
  { db, clock }: Context,
  actor: Actor,
  { changes, was }: Body<'keepHousePractice'>,
): Promise<{ kept: true }> {
  return revise(db, actor.school, async (trx) => {
    await lockSchool(trx, actor.school);
    const before = await housePracticeOf(trx, actor.school);
    const ids = Object.keys(changes) as FigureId[];
    const own = withFigures(before, changes);
    const refused = practiceTroubles(own, changes).filter((each) => each.refused);
    if (refused[0])
      throw new Refusal(
        422,
        'not-valid',
        say('figure-refused', { figure: named('houseFigure', refused[0].figure), why: refused[0].says }),
        refused.map(({ figure, says }) => ({ path: figure, message: says })),
      );
    const differ = ids.filter((id) => figureOf(before, id) !== changes[id]);
    const other = differ.find((id) => was[id] !== undefined && was[id] !== figureOf(before, id));
    if (other !== undefined) {
      const last = (await lastChanged(trx, actor.school)).get(other);
      throw new Refusal(
        409,
        'changed-meanwhile',
        say('changed-meanwhile', { by: last?.by ?? null, at: last?.at ?? null }),
      );
    }
    if (differ.length === 0) return { kept: true };
    const {
      limits,
      care,
      calendar,
      planning,
      groupLimit,
      openingLimit,
      lift,
      openMinutes,
      workingHours,
      forgetting,
      combGoal,
    } = own;
    const parts = {
      limits,
      care,
      calendar,
      planning,
      groupLimit,
      openingLimit,
      lift,
      openMinutes,
      workingHours,
      forgetting,
      combGoal,
    };
    await changeHousePractice(trx, actor.school, parts);
    const values = (of: typeof own) => Object.fromEntries(differ.map((id) => [id, `${figureOf(of, id)}`]));
    const line = {
      school: actor.school,
      person: actor.id,
      at: clock.now(),
      thing: 'schools' as const,
      record: actor.school,
    };
    await writeChanges(trx, [{ ...line, name: '', was: values(before), is: values(own) }]);
    return { kept: true };
  });
}
