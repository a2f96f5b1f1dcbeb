import { Random } from '../../units';
import type { PlanModel } from './model';
import { assignmentsOf } from '../explanation/names';
import type { Assignments } from './problem';
import { startOf } from './start';
import { type PlanPicture, type PlanState, STAFF } from './state';

export interface SearchOptions {
  /** Whole number; with the budget it makes a plan that can be made again. */
  readonly seed: number;
  /** Moves to be tried. */
  readonly iterations: number;
  /** A plan to begin with and stay near: its worth is not risked by a hot start. */
  readonly near?: Assignments | undefined;
}

const NONE = -1;

/** Too cold to leave a good plan, warm enough to mend one. */
const GENTLE = [0.25, 0.05] as const;

/** Highest and lowest temperature in points, by moves for each session that is wanted (tuned by trial). */
function temperatures(iterations: number, wanted: number): readonly [hot: number, cold: number] {
  if (wanted <= 12) return [4, 0.1];
  return iterations / wanted < 9000 ? [0.4, 0.05] : [0.8, 0.05];
}

/**
 * Simulated annealing over sessions, hives and staff visits, from a greedy start.
 * It is run in pieces, so that whoever runs it can look at the best plan so far, and stop.
 */
export class PlanSearch {
  readonly model: PlanModel;
  readonly state: PlanState;
  done = 0;
  bestTotal = -Infinity;
  bestPicture: PlanPicture = { sessions: [], staff: [] };
  private readonly random: Random;
  private readonly hot: number;
  private readonly cold: number;
  private temperature: number;

  constructor(
    model: PlanModel,
    private readonly options: SearchOptions,
  ) {
    this.model = model;
    this.state = startOf(model, options.near);
    this.random = new Random(options.seed);
    const wanted = this.model.sessions.reduce((sum, each) => sum + each, 0);
    [this.hot, this.cold] = options.near === undefined ? temperatures(options.iterations, wanted) : GENTLE;
    this.temperature = this.cold;
    this.greedy();
    this.keepIfBetter();
  }

  get best(): Assignments {
    return assignmentsOf(this.model, this.bestPicture);
  }

  get finished(): boolean {
    return this.done >= this.options.iterations;
  }

  /**
   * Tries so many moves.
   *
   * @param moves how many, fewer when the budget ends
   * @returns whether a better plan was found
   */
  run(moves: number): boolean {
    const { state, random } = this;
    const before = this.bestTotal;
    const until = Math.min(this.options.iterations, this.done + moves);
    const cooling = Math.log(this.cold / this.hot) / this.options.iterations;
    for (; this.done < until; this.done += 1) {
      if ((this.done & 255) === 0) this.temperature = this.hot * Math.exp(cooling * this.done);
      const was = state.total;
      state.mark();
      if (!this.move()) {
        state.rollBack();
        continue;
      }
      const gain = state.total - was;
      if (gain < 0 && random.unit() >= Math.exp(gain / this.temperature)) state.rollBack();
      else if (state.total > this.bestTotal + 1e-9) this.keepIfBetter();
    }
    return this.bestTotal > before;
  }

  private keepIfBetter(): void {
    if (this.state.total <= this.bestTotal) return;
    this.bestTotal = this.state.total;
    this.bestPicture = this.state.picture();
  }

  private greedy(): void {
    const { state, model } = this;
    for (let round = 0; round < Math.max(0, ...model.sessions); round += 1) {
      const order = Array.from({ length: model.G }, (_, g) => g).sort((a, b) => state.share[a]! - state.share[b]!);
      for (const g of order) this.insertBest(g, 8, 12);
    }
  }

  private move(): boolean {
    const { random, state } = this;
    const kind = random.unit();
    if (state.sessions.length === 0 || kind < 0.03) return this.insertBest(this.someGroup(), 2, 6);
    if (kind < 0.48) return this.changeHive(this.someSession());
    if (kind < 0.7) return this.steal(this.someSession());
    if (kind < 0.8) return this.moveSession(this.someSession());
    if (kind < 0.92) return this.eject(this.someGroup());
    if (kind < 0.96) return this.swapHives(this.someSession());
    if (kind < 0.97) return this.removeOne(this.someSession());
    return this.changeStaff();
  }

  /** A group, every eighth time the one that got the least. */
  private someGroup(): number {
    const { state, model, random } = this;
    return random.unit() < 0.12 ? state.share.indexOf(state.leastShare) : random.below(model.G);
  }

  private someSession(): number {
    const { state, model, random } = this;
    if (random.unit() < 0.12) {
      const g = state.share.indexOf(state.leastShare);
      const own = state.groupSlots[g]!;
      if (own.length > 0) return g * model.T + own[random.below(own.length)]!;
    }
    return state.sessions[random.below(state.sessions.length)]!;
  }

  /** Best of a sample of hives that could be opened now; NONE if none adds anything. */
  private bestHive(gt: number, samples: number): number {
    const { state, model, random } = this;
    const own = model.candidates[gt]!;
    const t = gt % model.T;
    let best = NONE;
    let most = 0;
    const tries = Math.min(samples, own.length);
    for (let i = 0; i < tries; i += 1) {
      const h = own[random.below(own.length)]!;
      if (!state.fits(gt, h) || state.holds(gt, h) || !state.rested(h, t)) continue;
      const gain = state.gainOfOpening(gt, h);
      if (gain > most || (best === NONE && state.count[gt] === 0)) {
        most = gain;
        best = h;
      }
    }
    return best;
  }

  /** Opens hives in a session while they add something. False if the session stays without a hive. */
  private fill(gt: number, samples: number): boolean {
    const { state, model } = this;
    while (state.count[gt]! < model.maxHives) {
      const h = this.bestHive(gt, samples);
      if (h === NONE) break;
      state.open(gt, h);
    }
    return state.count[gt]! > 0;
  }

  /** Inserts a session for a group in the best of some slots. */
  private insertBest(g: number, slots: number, samples: number): boolean {
    const { state, model, random } = this;
    if (state.groupSlots[g]!.length >= model.sessions[g]!) return false;
    const free = this.slotsFree(g);
    if (free.length === 0) return false;
    let best = NONE;
    let most = -Infinity;
    let hives: number[] = [];
    for (let i = 0; i < slots && free.length > 0; i += 1) {
      const pick = random.below(free.length);
      const gt = g * model.T + free[pick]!;
      free[pick] = free.at(-1)!;
      free.pop();
      const before = state.total;
      state.addSession(gt);
      if (this.fill(gt, samples) && state.total - before > most) {
        most = state.total - before;
        best = gt;
        hives = this.hivesOf(gt);
      }
      state.removeSession(gt);
    }
    if (best === NONE) return false;
    state.addSession(best);
    for (const h of hives) state.open(best, h);
    return true;
  }

  private slotsFree(g: number): number[] {
    const { state, model } = this;
    const free: number[] = [];
    const own = model.slotsOf[g]!;
    for (const t of own) if (state.groupFree(g, t) && state.slotFree(g, t)) free.push(t);
    return free;
  }

  private hivesOf(gt: number): number[] {
    const { state, model } = this;
    return Array.from(state.hivesAt.subarray(gt * model.maxHives, gt * model.maxHives + state.count[gt]!));
  }

  /** A hive of the session that is not pinned, or NONE. */
  private looseHive(gt: number): number {
    const { state, model, random } = this;
    const loose = state.count[gt]! - state.pinned[gt]!;
    return loose === 0 ? NONE : state.hivesAt[gt * model.maxHives + state.pinned[gt]! + random.below(loose)]!;
  }

  private changeHive(gt: number): boolean {
    const { state, random } = this;
    const out = random.unit() < 0.25 ? NONE : this.looseHive(gt);
    if (out !== NONE) state.close(gt, out);
    const into = random.unit() < 0.1 ? NONE : this.bestHive(gt, 12);
    if (into === NONE && out === NONE) return false;
    if (into !== NONE) state.open(gt, into);
    return state.count[gt]! > 0 || this.fill(gt, 8);
  }

  /** Takes a hive that must rest from whoever opens it. */
  private steal(gt: number): boolean {
    const { state, model, random } = this;
    const own = model.candidates[gt]!;
    const t = gt % model.T;
    let best = NONE;
    let most = -Infinity;
    for (let i = 0; i < 6; i += 1) {
      const h = own[random.below(own.length)]!;
      if (state.holds(gt, h) || state.rested(h, t)) continue;
      let gain = state.gainOfOpening(gt, h);
      const slots = state.openSlots[h]!;
      for (let j = 0; j < slots.length; j += 1) {
        const u = slots[j]!;
        if (u !== t && Math.abs(model.day[u]! - model.day[t]!) >= model.rest[h]!) continue;
        const by = state.openBy[h]![j]!;
        if (by !== STAFF) gain -= state.worthOfOpening(by * model.T + u, h);
      }
      if (gain > most) {
        most = gain;
        best = h;
      }
    }
    return best !== NONE && this.force(gt, best);
  }

  /** Opens a hive in a session whatever stands in the way, and mends what was broken for it. */
  private force(gt: number, h: number): boolean {
    const { state, model } = this;
    const t = gt % model.T;
    const broken = this.clearRest(h, t);
    if (broken === null) return false;
    while (!state.fits(gt, h)) {
      const out = this.looseHive(gt);
      if (out === NONE) return false;
      state.close(gt, out);
    }
    state.open(gt, h);
    this.fill(gt, 6);
    return this.mend(broken);
  }

  /** Closes the openings that keep a hive from being opened in a slot; null if one is pinned. */
  private clearRest(h: number, t: number): number[] | null {
    const { state, model } = this;
    const broken: number[] = [];
    for (let j = state.openSlots[h]!.length - 1; j >= 0; j -= 1) {
      const u = state.openSlots[h]![j]!;
      if (u !== t && Math.abs(model.day[u]! - model.day[t]!) >= model.rest[h]!) continue;
      const by = state.openBy[h]![j]!;
      if (by === STAFF) {
        if (state.staffPinned.has(h * model.T + u)) return null;
        state.dropStaff(h * model.T + u);
      } else {
        const other = by * model.T + u;
        if (this.isPinned(other, h)) return null;
        state.close(other, h);
        broken.push(other);
      }
    }
    return broken;
  }

  private isPinned(gt: number, h: number): boolean {
    const { state, model } = this;
    const from = gt * model.maxHives;
    for (let i = from; i < from + state.pinned[gt]!; i += 1) if (state.hivesAt[i] === h) return true;
    return false;
  }

  /** Fills sessions that lost a hive; drops those that stay without and looks for another place for the group. */
  private mend(broken: readonly number[]): boolean {
    const { state, model } = this;
    for (const gt of broken) {
      if (state.placeOf[gt]! < 0 || this.fill(gt, 8)) continue;
      if (state.sessionPinned[gt] === 1) return false;
      state.dropSession(gt);
      this.insertBest((gt / model.T) | 0, 2, 6);
    }
    return true;
  }

  private moveSession(gt: number): boolean {
    const { state, model } = this;
    if (state.sessionPinned[gt] === 1) return false;
    state.removeSession(gt);
    return this.insertBest((gt / model.T) | 0, 2, 8);
  }

  /** Forces a session into a slot; what it displaces looks for another place. */
  private eject(g: number): boolean {
    const { state, model, random } = this;
    const own = model.slotsOf[g]!;
    if (own.length === 0) return false;
    const t = own[random.below(own.length)]!;
    if (state.placeOf[g * model.T + t]! >= 0) return false;
    const displaced: number[] = [];
    const drop = (gt: number) => {
      if (state.sessionPinned[gt] === 1) return false;
      state.removeSession(gt);
      displaced.push((gt / model.T) | 0);
      return true;
    };
    for (const u of [...state.groupSlots[g]!])
      if (Math.abs(model.day[u]! - model.day[t]!) < model.gap[g]! && !drop(g * model.T + u)) return false;
    if (state.groupSlots[g]!.length >= model.sessions[g]!) {
      const held = state.groupSlots[g]!;
      if (!drop(g * model.T + held[random.below(held.length)]!)) return false;
    }
    for (let tries = 0; !state.slotFree(g, t); tries += 1) {
      const there = state.slotSessions[t]!;
      if (there.length === 0 || tries > 8) return false;
      const gt = there[random.below(there.length)]!;
      if (!drop(gt)) return false;
    }
    const gt = g * model.T + t;
    state.addSession(gt);
    if (!this.fill(gt, 8)) return false;
    for (const other of displaced) this.insertBest(other, 3, 8);
    return true;
  }

  /** Swaps one hive with another session, if both may. */
  private swapHives(gt: number): boolean {
    const { state } = this;
    const other = this.someSession();
    if (other === gt) return false;
    const [a, b] = [this.looseHive(gt), this.looseHive(other)];
    if (a === NONE || b === NONE || a === b) return false;
    state.close(gt, a);
    state.close(other, b);
    return this.openIfMay(gt, b) && this.openIfMay(other, a);
  }

  private openIfMay(gt: number, h: number): boolean {
    const { state, model } = this;
    if (model.able[gt * model.H + h] === 0 || state.holds(gt, h) || !state.fits(gt, h)) return false;
    if (!state.rested(h, gt % model.T)) return false;
    state.open(gt, h);
    return true;
  }

  private removeOne(gt: number): boolean {
    if (this.state.sessionPinned[gt] === 1) return false;
    this.state.removeSession(gt);
    return true;
  }

  private changeStaff(): boolean {
    const { state, model, random } = this;
    const out = state.staff.length > 0 && random.unit() < 0.5 ? state.staff[random.below(state.staff.length)]! : NONE;
    if (out !== NONE) {
      if (state.staffPinned.has(out)) return false;
      state.dropStaff(out);
      if (random.unit() < 0.4) return true;
    }
    if (model.staffCandidates.length === 0) return out !== NONE;
    const ht = model.staffCandidates[random.below(model.staffCandidates.length)]!;
    const [h, t] = [(ht / model.T) | 0, ht % model.T];
    if (!state.staffFits(ht)) return false;
    let broken: readonly number[] | null = [];
    if (!state.rested(h, t)) broken = this.clearRest(h, t);
    if (broken === null) return false;
    state.addStaff(ht);
    return this.mend(broken);
  }
}
