import { type Text, isSaid } from '../../language';
import type { PlanModel } from '../solver/model';
import { type Assignments, type PlannedSession, soundFirst } from '../solver/problem';
import type { PlanPicture } from '../solver/state';

interface Unnamed {
  readonly t: number;
  readonly group: string;
  readonly slot: string;
  readonly suspect: boolean;
  /** Supervisor that is pinned. */
  readonly pin: string | undefined;
  /** Supervisor that people were told. */
  readonly told: string | undefined;
  readonly hives: readonly string[];
}

/**
 * A plan in names: hives in the order of opening (suspect last, else the calmest first), supervisors dealt out so
 * that suspect hives have seniors, nobody is in two places, and who was told to lead a session leads it where that can be.
 *
 * @param model the problem in numbers
 * @param picture the plan in numbers
 * @returns the plan; a session for which no supervisor is left is missing from it
 */
export function assignmentsOf(model: PlanModel, picture: PlanPicture): Assignments {
  const { groups, hives, locks, published } = model.problem;
  const told = new Map((published?.sessions ?? []).map((each) => [`${each.group} ${each.slot}`, each.supervisor]));
  const pins = new Map(
    locks.flatMap((lock) =>
      lock.staff === true || lock.supervisor === undefined ? [] : [[`${lock.group} ${lock.slot}`, lock.supervisor]],
    ),
  );
  const unnamed = [...picture.sessions]
    .sort((a, b) => (a.gt % model.T) - (b.gt % model.T) || a.gt - b.gt)
    .map(({ gt, hives: opened }): Unnamed => {
      const [group, slot] = [groups[Math.floor(gt / model.T)]!.id, model.slotAt[gt % model.T]!.id];
      const order = [...opened].sort(
        (a, b) => soundFirst(hives[a]!, hives[b]!) || hives[a]!.temper - hives[b]!.temper || a - b,
      );
      return {
        t: gt % model.T,
        group,
        slot,
        suspect: opened.some((h) => model.suspect[h] === 1),
        pin: pins.get(`${group} ${slot}`),
        told: told.get(`${group} ${slot}`),
        hives: order.map((h) => hives[h]!.id),
      };
    });
  const names = dealSupervisors(model, unnamed);
  return {
    sessions: unnamed.flatMap(({ group, slot, hives: opened }, at): PlannedSession[] => {
      const supervisor = names.get(at);
      return supervisor === undefined ? [] : [{ group, slot, supervisor, hives: opened }];
    }),
    staff: picture.staff.map((ht) => ({
      slot: model.slotAt[ht % model.T]!.id,
      hive: hives[Math.floor(ht / model.T)]!.id,
    })),
  };
}

/** Supervisors for sessions by Kuhn's augmenting paths: who stands in the way takes another session if one is left. */
function dealSupervisors(model: PlanModel, sessions: readonly Unnamed[]): ReadonlyMap<number, string> {
  const together = (t: number, u: number) => model.crewsOf[t]!.some((c) => model.crews[c]!.slots.includes(u));
  const dealt = new Map<number, string>();
  const deal = (at: number, tried: Set<string>): boolean => {
    const { t, slot, suspect, pin } = sessions[at]!;
    for (const { id, senior, slots } of model.problem.supervisors) {
      if (tried.has(id) || !slots.includes(slot) || (suspect && !senior) || (pin !== undefined && pin !== id)) continue;
      tried.add(id);
      const held = [...dealt].filter(([other, who]) => who === id && together(sessions[other]!.t, t));
      const holder = held[0]?.[0];
      if (held.length > 1) continue;
      if (holder !== undefined) dealt.delete(holder);
      dealt.set(at, id);
      if (holder === undefined || deal(holder, tried)) return true;
      dealt.set(holder, id);
      dealt.delete(at);
    }
    return false;
  };
  sessions.forEach(({ t, slot, suspect, pin, told }, at) => {
    const who = model.problem.supervisors.find(({ id }) => id === (pin ?? told));
    if (who === undefined || !who.slots.includes(slot) || (suspect && !who.senior)) return;
    if (![...dealt].some(([other, id]) => id === who.id && together(sessions[other]!.t, t))) dealt.set(at, who.id);
  });
  sessions.forEach((_, at) => dealt.has(at) || deal(at, new Set()));
  return dealt;
}

/**
 * Words of the checker and the explanations with names for ids, and dates where they count days of the plan.
 *
 * @param text for example that h4 is due by day 3
 * @param names what the plan's things are called, by id
 * @param dateOf how a day is written, for the number of days from the plan's first
 * @returns the same text, of the same facts by their names
 */
export function withNames(text: Text, names: ReadonlyMap<string, Text>, dateOf: (day: number) => Text): Text {
  const called = (fact: unknown): unknown => {
    if (typeof fact === 'string') return names.get(fact) ?? fact;
    if (fact === null || typeof fact !== 'object') return fact;
    if (isSaid(fact) && fact.say === 'planning/day') return dateOf((fact.of as { readonly day: number }).day);
    if (Array.isArray(fact)) return fact.map(called);
    return Object.fromEntries(Object.entries(fact).map(([key, value]) => [key, key === 'say' ? value : called(value)]));
  };
  return called(text) as Text;
}
