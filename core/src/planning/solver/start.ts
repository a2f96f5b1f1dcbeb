import type { PlanModel } from './model';
import type { Assignments, PlanLock, PublishedSession } from './problem';
import { PlanState } from './state';

/** Thrown when no plan can keep every pin. */
export class PinsCannotBeKept extends Error {
  override readonly name = 'PinsCannotBeKept';
}

/**
 * A state with what is pinned, and as much of an earlier plan as still may be.
 *
 * @param model the problem in numbers
 * @param from sessions and staff visits to begin with; the published plan if none is given
 * @returns a feasible state, pinned parts marked
 * @throws PinsCannotBeKept if the pins contradict each other or the rules
 */
export function startOf(model: PlanModel, from?: Assignments): PlanState {
  const state = new PlanState(model);
  const before = from?.sessions ?? model.problem.published?.sessions ?? [];
  pin(state, model.problem.locks, before);
  heldAgain(state, before);
  for (const visit of from?.staff ?? []) {
    const ht = model.placeOf.hive(visit.hive) * model.T + model.placeOf.slot(visit.slot);
    if (state.staff.includes(ht) || !state.staffFits(ht)) continue;
    if (state.rested(Math.floor(ht / model.T), ht % model.T)) state.addStaff(ht);
  }
  state.mark();
  return state;
}

/**
 * Whether pins can be kept together.
 *
 * @param model the problem in numbers
 * @param locks pins, of the problem or others
 * @returns whether any plan keeps them
 */
export function canPin(model: PlanModel, locks: readonly PlanLock[]): boolean {
  try {
    pin(new PlanState(model), locks, []);
    return true;
  } catch (error) {
    if (error instanceof PinsCannotBeKept) return false;
    throw error;
  }
}

type SessionLock = Exclude<PlanLock, { readonly staff: true }>;

/** Pins of one session put together; null if two of them name different supervisors. */
function merged(locks: readonly SessionLock[]): SessionLock | null {
  const named = new Set(locks.flatMap(({ supervisor }) => supervisor ?? []));
  if (named.size > 1) return null;
  return {
    group: locks[0]!.group,
    slot: locks[0]!.slot,
    hives: [...new Set(locks.flatMap(({ hives }) => hives ?? []))],
    supervisor: [...named][0],
  };
}

function pin(state: PlanState, pins: readonly PlanLock[], before: readonly PublishedSession[]): void {
  const { model } = state;
  const { problem } = model;
  const bySession = new Map<string, SessionLock[]>();
  for (const lock of pins) {
    if (lock.staff === true) {
      const ht = model.placeOf.hive(lock.hive) * model.T + model.placeOf.slot(lock.slot);
      if (state.staffPinned.has(ht)) continue;
      if (!state.staffFits(ht) || !state.rested(Math.floor(ht / model.T), ht % model.T)) throw new PinsCannotBeKept();
      state.addStaff(ht);
      state.staffPinned.add(ht);
    } else {
      const key = `${lock.group} ${lock.slot}`;
      bySession.set(key, [...(bySession.get(key) ?? []), lock]);
    }
  }
  const empty: Unfilled[] = [];
  const named: { readonly who: string; readonly t: number }[] = [];
  for (const locks of bySession.values()) {
    const lock = merged(locks);
    if (lock === null) throw new PinsCannotBeKept();
    const [g, t] = [model.placeOf.group(lock.group), model.placeOf.slot(lock.slot)];
    const gt = g * model.T + t;
    const who = problem.supervisors.find(({ id }) => id === lock.supervisor);
    if (lock.supervisor !== undefined && who?.slots.includes(lock.slot) !== true) throw new PinsCannotBeKept();
    if (model.sessionOk[gt] === 0 || !state.groupFree(g, t) || !state.slotFree(g, t)) throw new PinsCannotBeKept();
    if (who !== undefined) {
      const busy = named.some((each) => each.who === who.id && atOnce(model, each.t, t));
      if (busy) throw new PinsCannotBeKept();
      named.push({ who: who.id, t });
    }
    if (who !== undefined) state.pinnedSenior[gt] = who.senior ? 1 : 0;
    state.addSession(gt);
    state.sessionPinned[gt] = 1;
    for (const id of lock.hives ?? []) {
      const h = model.placeOf.hive(id);
      if (model.able[gt * model.H + h] === 0 || !state.fits(gt, h) || !state.rested(h, t)) throw new PinsCannotBeKept();
      state.open(gt, h);
      state.pinned[gt]! += 1;
    }
    if (state.count[gt] === 0) {
      const told = before.find((each) => each.group === lock.group && each.slot === lock.slot)?.hives ?? [];
      empty.push({ gt, first: told.map((id) => model.placeOf.hive(id)) });
    }
  }
  if (!giveEachAHive(state, empty)) throw new PinsCannotBeKept();
}

const atOnce = (model: PlanModel, t: number, u: number) =>
  model.crewsOf[t]!.some((c) => model.crews[c]!.slots.includes(u));

/** A pinned session without a hive, and the hives that it had before. */
interface Unfilled {
  readonly gt: number;
  readonly first: readonly number[];
}

/** One hive for each pinned session that names none, by trying. */
function giveEachAHive(state: PlanState, sessions: readonly Unfilled[]): boolean {
  const [session, ...rest] = sessions;
  if (session === undefined) return true;
  const { model } = state;
  const { gt, first } = session;
  const able = [...model.candidates[gt]!]
    .filter((h) => state.fits(gt, h) && state.rested(h, gt % model.T))
    .sort(
      (a, b) =>
        Number(first.includes(b)) - Number(first.includes(a)) ||
        state.gainOfOpening(gt, b) - state.gainOfOpening(gt, a),
    );
  for (const h of able) {
    state.open(gt, h);
    if (giveEachAHive(state, rest)) return true;
    state.close(gt, h);
  }
  return false;
}

function heldAgain(state: PlanState, sessions: readonly PublishedSession[]): void {
  const { model } = state;
  for (const { group, slot, hives } of sessions) {
    const [g, t] = [model.placeOf.group(group), model.placeOf.slot(slot)];
    if (g < 0 || t < 0) continue;
    const gt = g * model.T + t;
    const held = state.placeOf[gt]! >= 0;
    if (!held) {
      if (model.sessionOk[gt] === 0 || !state.groupFree(g, t) || !state.slotFree(g, t)) continue;
      state.addSession(gt);
    }
    for (const id of hives) {
      const h = model.placeOf.hive(id);
      if (h < 0 || model.able[gt * model.H + h] === 0 || state.holds(gt, h) || !state.fits(gt, h)) continue;
      if (state.rested(h, t)) state.open(gt, h);
    }
    if (state.count[gt] === 0) state.dropSession(gt);
  }
}
