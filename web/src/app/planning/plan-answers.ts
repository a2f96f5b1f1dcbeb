import {
  afterStep,
  type Assignments,
  changed,
  checkPlan,
  comparePlans,
  differencesBetween,
  forceInto,
  holds,
  marginalOf,
  modelOf,
  moveTo,
  objectiveOf,
  obstaclesTo,
  type PlanItem,
  type PlanLock,
  type PlanModel,
  type PlanningProblem,
  type PlanStep,
  PlanSearch,
  reasonsOf,
  skillsGained,
  stepsBetween,
  troublesOf,
  waysOut,
  wetDayOf,
  whyNot,
  withItem,
  without,
} from '@brave-comb/core/planning';
import type { Answers, OtherPlace, Question } from './plan-thoughts';

const MOVES = { place: 600, force: 6000 };
const PLACES = 24;
const SHOWN = 5;
/** Cells that are priced when a hive is picked up, and changes that are put in order one by one. */
const [CELLS, STEPS] = [240, 30];

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
  switch (question.about) {
    case 'why':
      return {
        marginal: marginalOf(problem, question.plan, question.item),
        skills: question.item.kind === 'hive' ? skillsGained(problem, question.plan, question.item) : [],
      };
    case 'force':
      return forced(model, question, MOVES.force);
    case 'places':
      return places(model, question);
    case 'cells':
      return cells(model, question);
    case 'price':
      return { price: forced(model, question, MOVES.place)?.price ?? null };
    case 'reasons':
      return reasonsOf(problem, question.plan);
    case 'worth':
      return { worth: objectiveOf(problem, question.plan) };
    case 'troubles':
      return troublesOf(problem, question.plan);
    case 'ways':
      return waysOut(problem, question.plan, question.trouble);
    case 'wet-day':
      return wetDayOf(problem, question.plan, question.session, question.ways);
    case 'comparison':
      return comparison(model, question);
    case 'step':
      return step(model, question);
    case 'not-placed': {
      const opened = new Set([
        ...question.plan.sessions.flatMap(({ hives }) => hives),
        ...question.plan.staff.map(({ hive }) => hive),
      ]);
      return problem.hives.filter(({ id }) => !opened.has(id)).map(({ id }) => whyNot(problem, question.plan, id));
    }
  }
}

/** Worth of the plan, or of what as much mending makes of it without forcing anything: what a force is priced against. */
function unforced(model: PlanModel, plan: Assignments, iterations: number): number {
  const { problem } = model;
  const search = new PlanSearch(model, { seed: 1, iterations, near: plan });
  search.run(iterations);
  return Math.max(objectiveOf(problem, plan), objectiveOf(problem, search.best));
}

/** The plan with a hive taken from its place and forced into another, and what the force costs. */
function forced(
  model: PlanModel,
  { plan, item, lock }: Pick<Extract<Question, { about: 'force' }>, 'plan' | 'item' | 'lock'>,
  iterations: number,
  worth = unforced(model, plan, iterations),
): Answers['force'] {
  const options = { seed: 1, iterations };
  const found = item === null ? forceInto(model, plan, lock, options) : moveTo(model, plan, item, lock, options);
  return found && { plan: found.plan, price: worth - found.plan.objective };
}

/** Other groups and slots for a hive, the cheapest first, and a few that are forbidden. */
function places(known: PlanModel, { plan, item }: Extract<Question, { about: 'places' }>): readonly OtherPlace[] {
  if (item.kind !== 'hive') return [];
  const { problem } = known;
  const nothing = { sessions: [], staff: [] };
  const offers = problem.groups.flatMap(({ id: group }) =>
    problem.slots.flatMap(({ id: slot }) => {
      const here: PlanItem = { kind: 'hive', group, slot, hive: item.hive };
      if (holds(plan, here)) return [];
      const lock: PlanLock = { group, slot, hives: [item.hive] };
      const [rule] = obstaclesTo(problem, nothing, here);
      return [{ lock, says: rule?.says ?? '', free: rule === undefined, own: group === item.group }];
    }),
  );
  const free = offers.filter((each) => each.free).slice(0, PLACES);
  const worth = unforced(known, plan, MOVES.place);
  const priced = free
    .flatMap(({ lock }) => {
      const found = forced(known, { plan, item, lock }, MOVES.place, worth);
      return found === null ? [] : [{ lock, price: found.price, says: '' }];
    })
    .sort((a, b) => a.price - b.price);
  const closed = offers.filter((each) => !each.free && each.own).map(({ lock, says }) => ({ lock, price: null, says }));
  return [...priced.slice(0, SHOWN), ...closed.slice(0, 1)];
}

/** Every place where a picked-up hive could be put down, priced as the rest of the plan stands. */
function cells({ problem }: PlanModel, { plan, item }: Extract<Question, { about: 'cells' }>): readonly OtherPlace[] {
  if (item.kind === 'session') return [];
  const { hive } = item;
  const left = without(plan, item);
  const before = objectiveOf(problem, plan);
  const targets: PlanItem[] = [
    ...problem.groups.flatMap(({ id: group, slots }) =>
      slots.map((slot): PlanItem => ({ kind: 'hive', group, slot, hive })),
    ),
    ...problem.slots.flatMap(({ id: slot, staffVisits }): PlanItem[] =>
      staffVisits > 0 ? [{ kind: 'staff', slot, hive }] : [],
    ),
  ];
  const own = (target: PlanItem) =>
    Number(target.slot === item.slot) +
    Number(
      target.kind === item.kind && (target.kind === 'staff' || item.kind === 'staff' || target.group === item.group),
    );
  return targets
    .filter((target) => !holds(plan, target))
    .sort((a, b) => own(b) - own(a))
    .slice(0, CELLS)
    .map((target) => {
      const lock: PlanLock =
        target.kind === 'hive'
          ? { group: target.group, slot: target.slot, hives: [hive] }
          : { staff: true, slot: target.slot, hive };
      const [rule] = obstaclesTo(problem, left, target);
      if (rule !== undefined) return { lock, price: null, says: rule.says };
      return { lock, price: before - objectiveOf(problem, withItem(problem, left, target)), says: '' };
    });
}

function comparison(
  { problem }: PlanModel,
  { plan, other }: Extract<Question, { about: 'comparison' }>,
): Answers['comparison'] {
  const changes = differencesBetween(plan, other).length;
  const steps = changes > STEPS ? null : stepsBetween(problem, plan, other);
  return {
    more: comparePlans(problem, plan, other),
    worth: objectiveOf(problem, plan),
    steps,
    // Plans on the way that break no rule: only these can be told to people.
    sound: steps === null ? [] : soundness(problem, plan, steps),
    changes,
  };
}

/** For no step made, for the first, and so on: whether the plan keeps every rule. */
function soundness(problem: PlanningProblem, plan: Assignments, steps: readonly PlanStep[]): readonly boolean[] {
  const plans = steps.reduce<readonly Assignments[]>(
    (made, { change }) => [...made, changed(made.at(-1)!, change)],
    [plan],
  );
  return plans.map((each) => checkPlan(problem, each).violations.length === 0);
}

function step({ problem }: PlanModel, { plan, steps, take }: Extract<Question, { about: 'step' }>): Answers['step'] {
  if ('first' in take)
    return {
      plan: steps.slice(0, take.first).reduce((next, { change }) => changed(next, change), plan),
      made: take.first,
    };
  const { plan: next, made } = afterStep(problem, plan, steps, take.only);
  return { plan: next, made: made.length };
}
