import type { PlanModel } from './model';

/** Points that keep what is pinned in every answer of the relaxed problem. */
const PINNED = 1000;

/** Weight of the newest answer in the running mean of answers, falling with the rounds (tuned by trial). */
const newest = (round: number) => Math.max(0.003, 0.3 / (1 + round / 30));

/**
 * An upper bound on what any plan is worth, by Lagrangian relaxation: rules that tie groups together get prices, and what
 * remains falls apart into groups (hives per session by minutes, sessions by gaps), hives (openings by rest, one care
 * credit), staff by slot, and the worth of learning. Any prices give a valid bound; the volume algorithm improves them.
 *
 * Source: Barahona and Anbil (2000), The volume algorithm, Mathematical Programming 87, 385–399 (from memory).
 */
export class PlanBound {
  /** No plan is worth more than this. */
  value = Infinity;
  rounds = 0;
  private readonly prices: Prices;
  private readonly trial: Prices;
  private readonly residual: Prices;
  private readonly mean: Prices;
  private readonly scale: Scale;
  private stepFactor = 1;
  private idle = 0;
  /** Worth of each hive to a session, slot by slot, and the highest of them: room to work in. */
  private readonly worthOf: Float64Array;
  private readonly top: Float64Array;
  private readonly pinnedSession: Uint8Array;
  private readonly pinnedHive: Map<number, Set<number>>;
  private readonly pinnedTotal: number;

  constructor(readonly model: PlanModel) {
    this.scale = scaleOf(model);
    this.prices = pricesOf(model);
    this.trial = pricesOf(model);
    this.residual = pricesOf(model);
    this.mean = pricesOf(model);
    const { G, T, H, K } = model;
    this.worthOf = new Float64Array(T * H);
    this.top = new Float64Array(model.maxHives);
    this.pinnedSession = new Uint8Array(G * T);
    this.pinnedHive = new Map();
    let total = 0;
    for (const lock of model.problem.locks) {
      if (lock.staff === true) continue;
      const gt = model.placeOf.group(lock.group) * T + model.placeOf.slot(lock.slot);
      if (this.pinnedSession[gt] === 0) total += PINNED;
      this.pinnedSession[gt] = 1;
      const own = this.pinnedHive.get(gt) ?? new Set<number>();
      this.pinnedHive.set(gt, own);
      for (const id of lock.hives ?? []) {
        const h = model.placeOf.hive(id);
        if (!own.has(h)) total += PINNED;
        own.add(h);
      }
    }
    this.pinnedTotal = total;
    for (let gk = 0; gk < G * K; gk += 1) {
      this.prices.learning[gk] = model.skill * model.need[gk]! * slopeAt(model, model.covered[gk]! + 0.9);
    }
    this.prices.share.fill(model.fairness / Math.max(1, G));
    this.value = this.relaxed(this.prices, this.mean);
  }

  /**
   * Improves the prices.
   *
   * @param rounds how often
   * @param target worth of the best plan known, to which the steps are sized
   * @returns the bound
   */
  run(rounds: number, target: number): number {
    const { prices, trial, residual, mean } = this;
    for (let n = 0; n < rounds; n += 1) {
      this.rounds += 1;
      const length = dot(mean, mean, this.scale);
      if (length < 1e-12) return this.value;
      const aim = Math.min(target, this.value - 1e-4 * Math.abs(this.value));
      const step = (this.stepFactor * (this.value - aim)) / length;
      moved(prices, mean, -step, this.scale, trial);
      const value = this.relaxed(trial, residual);
      const along = dot(residual, mean, this.scale);
      blend(mean, residual, newest(this.rounds));
      if (value < this.value) {
        this.value = value;
        copy(trial, prices);
        this.idle = 0;
        this.stepFactor = Math.min(2, this.stepFactor * (along > 0 ? 1.5 : 1.02));
      } else {
        this.idle += 1;
        if (this.idle >= 20) {
          this.idle = 0;
          this.stepFactor = Math.max(1e-4, this.stepFactor * 0.7);
        }
      }
    }
    return this.value;
  }

  /** Value of the relaxed problem at given prices, and how far its answer is from keeping each priced rule. */
  private relaxed(prices: Prices, residual: Prices): number {
    clear(residual);
    return (
      this.model.constant -
      this.pinnedTotal +
      this.ofPractice(prices, residual) +
      this.ofGroups(prices, residual) +
      this.ofHives(prices, residual) +
      this.ofStaff(prices, residual) +
      this.ofSlots(prices, residual)
    );
  }

  /** Practice at its price, and the least share. */
  private ofPractice(prices: Prices, residual: Prices): number {
    const { G, K, need, covered, curve, open, fairness, skill } = this.model;
    let value = 0;
    let shares = 0;
    for (let g = 0; g < G; g += 1) {
      const nu = open[g]! > 0 ? prices.share[g]! : 0;
      shares += nu;
      const points = skill + (open[g]! > 0 ? nu / open[g]! : 0);
      let got = 0;
      for (let k = 0; k < K; k += 1) {
        const gk = g * K + k;
        if (need[gk] === 0) continue;
        const pi = prices.learning[gk]!;
        // Best learning to buy at this price: the curve is concave, so where its slope falls under the price.
        const worth = points * need[gk]!;
        let at = covered[gk]!;
        let line = 0;
        while (curve.ends[line]! <= at) line += 1;
        const before = curve.offset[line]! + curve.slope[line]! * at;
        let now = before;
        while (line < curve.slope.length - 1 && worth * curve.slope[line]! > pi) {
          at = curve.ends[line]!;
          now = curve.offset[line]! + curve.slope[line]! * at;
          line += 1;
        }
        got += need[gk]! * (now - before);
        value += worth * (now - before) - pi * (at - covered[gk]!);
        residual.learning[gk]! -= at - covered[gk]!;
      }
      if (open[g]! > 0) residual.share[g]! += got / open[g]!;
    }
    const theta = fairness > shares ? 1 : 0;
    for (let g = 0; g < G; g += 1) if (open[g]! > 0) residual.share[g]! -= theta;
    return value + theta * (fairness - shares);
  }

  private ofGroups(prices: Prices, residual: Prices): number {
    let value = 0;
    for (let g = 0; g < this.model.G; g += 1) value += this.ofGroup(g, prices, residual);
    return value;
  }

  /** Sessions of one group. Slots are packed with hives only when a quick bound on them would be chosen. */
  private ofGroup(g: number, prices: Prices, residual: Prices): number {
    const { model } = this;
    const { H, T } = model;
    const slots = model.slotsOf[g]!;
    const n = slots.length;
    const base = new Float64Array(n);
    const worth = new Float64Array(n);
    const sets: (readonly number[] | undefined)[] = Array.from({ length: n });
    for (let i = 0; i < n; i += 1) {
      const t = slots[i]!;
      const gt = g * T + t;
      let crews = 0;
      for (const c of model.crewsOf[t]!) crews += prices.crew[c]!;
      base[i] =
        model.sessionWorth[gt]! -
        model.people[g]! * prices.suits[t]! -
        crews +
        (this.pinnedSession[gt] === 1 ? PINNED : 0);
      worth[i] = base[i]! + this.hiveWorth(g, t, prices, i * H);
    }
    for (;;) {
      const chosen = this.bestSlots(g, slots, worth);
      const open = chosen.places.filter((i) => sets[i] === undefined);
      for (const i of open) {
        const set = this.bestHives(g, slots[i]!, i * H);
        sets[i] = set.hives;
        worth[i] = base[i]! + set.value;
      }
      if (open.length > 0) continue;
      for (const i of chosen.places) this.countSession(g, slots[i]!, sets[i]!, residual);
      return chosen.value;
    }
  }

  /** Worth of each hive to a session at these prices, kept from `at`; returns a quick bound on the best set. */
  private hiveWorth(g: number, t: number, prices: Prices, at: number): number {
    const { model, worthOf } = this;
    const { H, T, K, maxHives } = model;
    const gt = g * T + t;
    const row = model.told[gt]!;
    const pinned = this.pinnedHive.get(gt);
    let seniors = 0;
    for (const c of model.crewsOf[t]!) seniors += prices.senior[c]!;
    const able = model.candidates[gt]!;
    const top = this.top.fill(-Infinity);
    const last = maxHives - 1;
    for (const h of able) {
      let value = -prices.opening[h * T + t]!;
      const end = model.needed[g * H + h + 1]!;
      for (let i = model.needed[g * H + h]!; i < end; i += 1)
        value += prices.learning[g * K + model.skillOf[i]!]! * model.learning[model.learningAt[i]! + t]!;
      if (row >= 0) value += model.hiveChange[row * H + h]!;
      if (model.suspect[h] === 1) value -= seniors;
      if (pinned?.has(h) === true) value += PINNED;
      worthOf[at + h] = value;
      if (value > top[last]!) {
        let place = last;
        for (; place > 0 && top[place - 1]! < value; place -= 1) top[place] = top[place - 1]!;
        top[place] = value;
      }
    }
    let bound = top[0]!;
    for (let i = 1; i <= last && top[i]! > 0; i += 1) bound += top[i]!;
    return bound;
  }

  private countSession(g: number, t: number, hives: readonly number[], residual: Prices): void {
    const { model } = this;
    residual.suits[t]! -= model.people[g]!;
    for (const c of model.crewsOf[t]!) residual.crew[c]! -= 1;
    for (const h of hives) {
      residual.opening[h * model.T + t]! -= 1;
      if (model.suspect[h] === 1) for (const c of model.crewsOf[t]!) residual.senior[c]! -= 1;
      const end = model.needed[g * model.H + h + 1]!;
      for (let i = model.needed[g * model.H + h]!; i < end; i += 1)
        residual.learning[g * model.K + model.skillOf[i]!]! += model.learning[model.learningAt[i]! + t]!;
    }
  }

  /** Best hives of a session: one at least, by minutes, one suspect at most. */
  private bestHives(g: number, t: number, at: number): { value: number; hives: readonly number[] } {
    const { model, worthOf } = this;
    const able = model.candidates[g * model.T + t]!;
    const which: number[] = [];
    let single = able[0]!;
    for (const h of able) {
      if (worthOf[at + h]! > worthOf[at + single]!) single = h;
      if (worthOf[at + h]! > 0) which.push(h);
    }
    if (which.length < 2) return { value: worthOf[at + single]!, hives: [single] };
    which.sort((a, b) => worthOf[at + b]! - worthOf[at + a]!);
    return this.packed(
      which,
      (h) => worthOf[at + h]!,
      (h) => model.minutes[g * model.H + h]!,
      model.room[t]!,
      model.maxHives,
    );
  }

  /** Best set of hives, given in falling worth above 0, by minutes, by branch and bound. */
  private packed(
    order: readonly number[],
    worth: (h: number) => number,
    minutes: (h: number) => number,
    room: number,
    most: number,
  ): { value: number; hives: readonly number[] } {
    const { suspect } = this.model;
    let best = 0;
    let hives: readonly number[] = [];
    const taken: number[] = [];
    const search = (from: number, value: number, left: number, suspects: number): void => {
      if (value > best) {
        best = value;
        hives = [...taken];
      }
      const more = most - taken.length;
      if (more === 0) return;
      for (let i = from; i < order.length; i += 1) {
        const h = order[i]!;
        const each = worth(h);
        if (value + more * each <= best) return;
        const needs = minutes(h);
        if (needs > left || suspects + suspect[h]! > 1) continue;
        taken.push(h);
        search(i + 1, value + each, left - needs, suspects + suspect[h]!);
        taken.pop();
      }
    };
    search(0, 0, room, 0);
    return { value: best, hives };
  }

  /** Sessions of a group: at most so many, with their gaps, by dynamic programming over its slots. */
  private bestSlots(g: number, slots: Int32Array, worth: Float64Array): { value: number; places: number[] } {
    const { model } = this;
    const n = slots.length;
    const most = Math.min(model.sessions[g]!, n);
    // at[m * (n + 1) + i]: best worth of m sessions among the first i slots.
    const at = new Float64Array((most + 1) * (n + 1));
    const before = new Int32Array(n);
    for (let i = 0, j = 0; i < n; i += 1) {
      while (j < i && model.day[slots[i]!]! - model.day[slots[j]!]! >= model.gap[g]!) j += 1;
      before[i] = Math.min(j, i);
    }
    for (let m = 1; m <= most; m += 1)
      for (let i = 0; i < n; i += 1) {
        const skip = at[m * (n + 1) + i]!;
        const take = worth[i]! + at[(m - 1) * (n + 1) + before[i]!]!;
        at[m * (n + 1) + i + 1] = Math.max(skip, take);
      }
    const places: number[] = [];
    for (let m = most, i = n; m > 0 && i > 0;) {
      if (at[m * (n + 1) + i] === at[m * (n + 1) + i - 1]) i -= 1;
      else {
        places.push(i - 1);
        i = before[i - 1]!;
        m -= 1;
      }
    }
    return { value: at[most * (n + 1) + n]!, places };
  }

  /**
   * Openings of each hive by its rest, one in each turn of its due with the credit for care. `best[k]` is what the slots so far are worth when
   * credits of turns below `k` were given; an opening that takes the credit of its turn comes after slots that took those of earlier turns.
   */
  private ofHives(prices: Prices, residual: Prices): number {
    const { H, T, day, rest, care, disturb, turns, turnAt } = this.model;
    let value = 0;
    const best = Array.from({ length: turns + 1 }, () => new Float64Array(T + 1));
    const before = new Int32Array(T);
    for (let h = 0; h < H; h += 1) {
      for (let t = 0, j = 0; t < T; t += 1) {
        while (j < t && day[t]! - day[j]! >= rest[h]!) j += 1;
        before[t] = j;
        const ht = h * T + t;
        const gain = prices.opening[ht]! - disturb[ht]!;
        const turn = turnAt[ht]! - h * turns;
        const credited = gain + care[ht]! + best[turn]![j]!;
        for (let k = 0; k <= turns; k += 1) {
          const own = best[k]!;
          const plain = Math.max(own[t]!, gain + own[j]!);
          own[t + 1] = k > turn && credited > plain ? credited : plain;
        }
      }
      value += best[turns]![T]!;
      let k = turns;
      for (let t = T; t > 0;) {
        const own = best[k]!;
        if (own[t] === own[t - 1]) {
          t -= 1;
          continue;
        }
        const ht = h * T + t - 1;
        residual.opening[ht]! += 1;
        const gain = prices.opening[ht]! - disturb[ht]!;
        const j = before[t - 1]!;
        if (own[t] !== gain + own[j]!) k = turnAt[ht]! - h * turns;
        t = j;
      }
    }
    return value;
  }

  private ofStaff(prices: Prices, residual: Prices): number {
    const { model } = this;
    const { H, T } = model;
    let value = 0;
    for (let t = 0; t < T; t += 1) {
      const worth = (h: number) => -prices.opening[h * T + t]! - model.staffCost;
      const which: number[] = [];
      for (let h = 0; h < H; h += 1) if (model.staffOk[h * T + t] === 1 && worth(h) > 0) which.push(h);
      if (which.length === 0) continue;
      which.sort((a, b) => worth(b) - worth(a));
      const minutes = (h: number) => model.staffHiveMinutes[h]!;
      const chosen = this.packed(which, worth, minutes, model.staffMinutes[t]!, model.staffVisits[t]!);
      value += chosen.value;
      for (const h of chosen.hives) residual.opening[h * T + t]! -= 1;
    }
    return value;
  }

  private ofSlots(prices: Prices, residual: Prices): number {
    const { T, suits, crews } = this.model;
    let value = 0;
    for (let t = 0; t < T; t += 1) {
      value += prices.suits[t]! * suits[t]!;
      residual.suits[t]! += suits[t]!;
    }
    crews.forEach(({ supervisors, seniors }, c) => {
      value += prices.crew[c]! * supervisors + prices.senior[c]! * seniors;
      residual.crew[c]! += supervisors;
      residual.senior[c]! += seniors;
    });
    return value;
  }
}

/** Price of each rule that is relaxed, or how far an answer is from keeping it. */
interface Prices {
  /** Hive × slot: openings by groups and staff are openings of the hive. Any sign. */
  readonly opening: Float64Array;
  /** Group × skill: learning counted is learning had. Not negative, as all that follow. */
  readonly learning: Float64Array;
  /** Group: its share is at least the least share. */
  readonly share: Float64Array;
  readonly suits: Float64Array;
  readonly crew: Float64Array;
  readonly senior: Float64Array;
}

const KINDS = ['opening', 'learning', 'share', 'suits', 'crew', 'senior'] as const;

/** How far each kind of price moves for the same residual, so that all come near their best together (tuned by trial). */
type Scale = Readonly<Record<(typeof KINDS)[number], number>>;

function scaleOf({ people, G }: PlanModel): Scale {
  const squares = people.reduce((sum, each) => sum + each * each, 0);
  return { opening: 1, learning: 1, share: 30, suits: (0.3 * G) / Math.max(1, squares), crew: 1, senior: 1 };
}

const pricesOf = ({ G, T, H, K, crews }: PlanModel): Prices => ({
  opening: new Float64Array(H * T),
  learning: new Float64Array(G * K),
  share: new Float64Array(G),
  suits: new Float64Array(T),
  crew: new Float64Array(crews.length),
  senior: new Float64Array(crews.length),
});

const clear = (prices: Prices) => KINDS.forEach((kind) => prices[kind].fill(0));
const copy = (from: Prices, to: Prices) => KINDS.forEach((kind) => to[kind].set(from[kind]));

function dot(a: Prices, b: Prices, scale: Scale): number {
  let sum = 0;
  for (const kind of KINDS) for (let i = 0; i < a[kind].length; i += 1) sum += scale[kind] * a[kind][i]! * b[kind][i]!;
  return sum;
}

function moved(from: Prices, along: Prices, by: number, scale: Scale, to: Prices): void {
  for (const kind of KINDS)
    for (let i = 0; i < from[kind].length; i += 1) {
      const price = from[kind][i]! + by * scale[kind] * along[kind][i]!;
      to[kind][i] = kind === 'opening' || price > 0 ? price : 0;
    }
}

function blend(mean: Prices, newest: Prices, share: number): void {
  for (const kind of KINDS)
    for (let i = 0; i < mean[kind].length; i += 1) mean[kind][i]! += share * (newest[kind][i]! - mean[kind][i]!);
}

function slopeAt({ curve }: PlanModel, learning: number): number {
  return curve.slope[curve.ends.findIndex((end) => end > learning)]!;
}
