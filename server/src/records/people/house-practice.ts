import {
  CHAPTERS,
  DEFAULT_PRACTICE,
  FIGURES,
  type FigureId,
  type FigureValue,
  type HousePractice,
  figureIds,
  figureOf,
  inAgreement,
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
import { housePracticeOf, lockSchool, writeHousePractice } from './store';

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
  return {
    mayChange: actor.role === 'lead',
    chapters: CHAPTERS.map((chapter) => ({
      id: chapter,
      name: named('houseChapter', chapter),
      figures: figureIds.filter((id) => FIGURES[id].chapter === chapter).map(shown),
    })),
    troubles: practiceTroubles(practice),
  };
}

/** The parts that differ. */
const differing = (before: HousePractice, own: HousePractice): Partial<HousePractice> =>
  Object.fromEntries(
    Object.entries(own).filter(
      ([part, value]) => JSON.stringify(value) !== JSON.stringify(before[part as keyof HousePractice]),
    ),
  );

/**
 * Changes the house practice, and writes down which figures became what; two who change it at once do so one after the other.
 *
 * @param change makes the practice as it is to be
 */
const changed = (
  { db, clock }: Context,
  actor: Actor,
  change: (before: HousePractice, trx: Db) => HousePractice | Promise<HousePractice>,
) =>
  revise(db, actor.school, async (trx): Promise<{ kept: true }> => {
    await lockSchool(trx, actor.school);
    const before = await housePracticeOf(trx, actor.school);
    const own = inAgreement(before, await change(before, trx));
    await writeHousePractice(trx, actor.school, differing(before, own));
    const figures = figureIds.filter((id) => figureOf(before, id) !== figureOf(own, id));
    const values = (of: HousePractice) => Object.fromEntries(figures.map((id) => [id, String(figureOf(of, id))]));
    const line = {
      school: actor.school,
      person: actor.id,
      at: clock.now(),
      thing: 'schools',
      record: actor.school,
    } as const;
    if (figures.length > 0) await writeChanges(trx, [{ ...line, name: '', was: values(before), is: values(own) }]);
    return { kept: true };
  });

/** Changes whole parts of the house practice, as the forms beside the work do. */
export const changeHousePractice = (
  context: Context,
  actor: Actor,
  parts: (before: HousePractice) => Partial<HousePractice>,
): Promise<{ kept: true }> => changed(context, actor, (before) => ({ ...before, ...parts(before) }));

/**
 * Changes figures of the house practice.
 *
 * @throws Refusal 409 where another changed one of them meanwhile, 422 naming the figures that cannot be kept
 */
export const keepHousePractice = (
  context: Context,
  actor: Actor,
  { changes, was }: Body<'keepHousePractice'>,
): Promise<{ kept: true }> =>
  changed(context, actor, async (before, trx) => {
    const own = withFigures(before, changes);
    const refused = practiceTroubles(own, changes).filter((each) => each.refused);
    if (refused[0])
      throw new Refusal(
        422,
        'not-valid',
        say('figure-refused', { figure: named('houseFigure', refused[0].figure), why: refused[0].says }),
        refused.map(({ figure, says }) => ({ path: figure, message: says })),
      );
    const other = figureIds.find((id) => {
      const [is, wanted, read] = [figureOf(before, id), changes[id], was[id]];
      return wanted !== undefined && is !== wanted && read !== undefined && read !== is;
    });
    if (other === undefined) return own;
    const last = (await lastChanged(trx, actor.school)).get(other);
    throw new Refusal(
      409,
      'changed-meanwhile',
      say('changed-meanwhile', { by: last?.by ?? null, at: last?.at ?? null }),
    );
  });
