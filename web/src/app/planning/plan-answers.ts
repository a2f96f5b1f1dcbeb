import {
  forceInto,
  marginalOf,
  modelOf,
  obstaclesTo,
  type PlanItem,
  type PlanLock,
  type PlanModel,
  skillsGained,
  whyNot,
  without,
} from '@brave-comb/core/planning';
import type { Answers, OtherPlace, Question } from './plan-thoughts';

const MOVES = { place: 600, force: 6000 };
const PLACES = 24;
const SHOWN = 5;

/**
 * One who answers questions about the problem that was sent last.
 *
 * @returns a function from question to answer; it throws when no problem was sent yet
 */
export function planAnswerer(): (question: Question) => Answers[Question['about']] {
  let model: PlanModel | null = null;
  return (question) => {
    if (question.about === 'problem') {
      model = modelOf(question.problem);
      return null;
    }
    if (model === null) throw new Error('no problem was sent');
    return answer(model, question);
  };
}

function answer(model: PlanModel, question: Exclude<Question, { about: 'problem' }>): Answers[Question['about']] {
  const { problem } = model;
  if (question.about === 'why')
    return {
      marginal: marginalOf(problem, question.plan, question.item),
      skills: question.item.kind === 'hive' ? skillsGained(problem, question.plan, question.item) : [],
    };
  if (question.about === 'force')
    return forceInto(model, question.plan, question.lock, { seed: 1, iterations: MOVES.force });
  if (question.about === 'places') return places(model, question);
  const opened = new Set([
    ...question.plan.sessions.flatMap(({ hives }) => hives),
    ...question.plan.staff.map(({ hive }) => hive),
  ]);
  return problem.hives.filter(({ id }) => !opened.has(id)).map(({ id }) => whyNot(problem, question.plan, id));
}

/** Other groups and slots for a hive, the cheapest first, and a few that are forbidden. */
function places(known: PlanModel, { plan, item }: Extract<Question, { about: 'places' }>): readonly OtherPlace[] {
  if (item.kind !== 'hive') return [];
  const { problem } = known;
  const left = without(plan, item);
  const nothing = { sessions: [], staff: [] };
  const offers = problem.groups.flatMap(({ id: group }) =>
    problem.slots.flatMap(({ id: slot }) => {
      if (group === item.group && slot === item.slot) return [];
      const here: PlanItem = { kind: 'hive', group, slot, hive: item.hive };
      const lock: PlanLock = { group, slot, hives: [item.hive] };
      const [rule] = obstaclesTo(problem, nothing, here);
      return [{ lock, says: rule?.says ?? '', free: rule === undefined, own: group === item.group }];
    }),
  );
  const free = offers.filter((each) => each.free).slice(0, PLACES);
  const priced = free
    .flatMap(({ lock }) => {
      const forced = forceInto(known, left, lock, { seed: 1, iterations: MOVES.place });
      const before = marginalOf(problem, plan, item).total;
      return forced === null ? [] : [{ lock, price: forced.price + before, says: '' }];
    })
    .sort((a, b) => a.price - b.price);
  const closed = offers.filter((each) => !each.free && each.own).map(({ lock, says }) => ({ lock, price: null, says }));
  return [...priced.slice(0, SHOWN), ...closed.slice(0, 1)];
}
