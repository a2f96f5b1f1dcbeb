import { onCurve, type PlanModel } from './model';

const ADD_SESSION = 0;
const DROP_SESSION = 1;
const OPEN = 2;
const CLOSE = 3;
const ADD_STAFF = 4;
const DROP_STAFF = 5;

/** Who opens a hive when it is the staff. */
export const STAFF = -1;

/** A plan in numbers: sessions as group × slot with their hives, staff visits as hive × slot. */
export interface PlanPicture {
  readonly sessions: readonly { readonly gt: number; readonly hives: readonly number[] }[];
  readonly staff: readonly number[];
}

/**
 * A plan under construction whose worth is kept up to date with each change, and in which changes can be taken back.
 * Feasible at all times, but for sessions without a hive, which the caller fills or drops.
 */
export class PlanState {
  /** Sessions, as group × slot. */
  readonly sessions: number[] = [];
  readonly placeOf: Int32Array;
  readonly count: Uint8Array;
  readonly hivesAt: Int32Array;
  /** Hives at the front of a session that are pinned. */
  readonly pinned: Uint8Array;
  readonly sessionPinned: Uint8Array;
  /** −1 any supervisor, 1 a senior is pinned, 0 one who is not. */
  readonly pinnedSenior: Int8Array;
  readonly used: Float64Array;
  readonly suspects: Uint8Array;
  readonly groupSlots: readonly number[][];
  readonly slotSessions: readonly number[][];
  readonly people: Int32Array;
  readonly crewUsed: Int32Array;
  readonly crewSeniors: Int32Array;
  /** Per hive the slots of its openings, and beside each who opens it. */
  readonly openSlots: readonly number[][];
  readonly openBy: readonly number[][];
  /** Staff visits, as hive × slot. */
  readonly staff: number[] = [];
  readonly staffPinned = new Set<number>();
  readonly staffAt: Int32Array;
  readonly staffMinutesAt: Float64Array;
  readonly staffSuspects: Uint8Array;
  readonly learning: Float64Array;
  readonly worth: Float64Array;
  readonly got: Float64Array;
  readonly share: Float64Array;
  readonly bestCare: Float64Array;
  /** Worth without fairness. */
  value: number;
  /** Least share of any group, 0 without groups. */
  leastShare = 0;

  private readonly journal: number[] = [];

  constructor(readonly model: PlanModel) {
    const { G, T, H } = model;
    this.placeOf = new Int32Array(G * T).fill(-1);
    this.count = new Uint8Array(G * T);
    this.hivesAt = new Int32Array(G * T * model.maxHives);
    this.pinned = new Uint8Array(G * T);
    this.sessionPinned = new Uint8Array(G * T);
    this.pinnedSenior = new Int8Array(G * T).fill(-1);
    this.used = new Float64Array(G * T);
    this.suspects = new Uint8Array(G * T);
    this.groupSlots = Array.from({ length: G }, () => []);
    this.slotSessions = Array.from({ length: T }, () => []);
    this.people = new Int32Array(T);
    this.crewUsed = new Int32Array(model.crews.length);
    this.crewSeniors = new Int32Array(model.crews.length);
    this.openSlots = Array.from({ length: H }, () => []);
    this.openBy = Array.from({ length: H }, () => []);
    this.staffAt = new Int32Array(T);
    this.staffMinutesAt = new Float64Array(T);
    this.staffSuspects = new Uint8Array(T);
    this.learning = Float64Array.from(model.covered);
    this.worth = Float64Array.from(model.covered, (covered) => onCurve(model.curve, covered));
    this.got = new Float64Array(G);
    this.share = Float64Array.from(model.open, (open) => (open > 0 ? 0 : 1));
    this.bestCare = new Float64Array(H * model.turns);
    this.value = model.constant;
    this.leastShare = G === 0 ? 0 : Math.min(...this.share);
  }

  /** Worth of the plan as it stands. */
  get total(): number {
    return this.value + this.model.fairness * this.leastShare;
  }

  /** Forgets what could be taken back. */
  mark(): void {
    this.journal.length = 0;
  }

  /** Takes back everything since the mark. */
  rollBack(): void {
    const { journal } = this;
    for (let at = journal.length - 3; at >= 0; at -= 3) {
      const [op, a, h] = [journal[at]!, journal[at + 1]!, journal[at + 2]!];
      if (op === OPEN) this.closed(a, h);
      else if (op === CLOSE) this.opened(a, h);
      else if (op === ADD_SESSION) this.sessionDropped(a);
      else if (op === DROP_SESSION) this.sessionAdded(a);
      else if (op === ADD_STAFF) this.staffDropped(a);
      else this.staffAdded(a);
    }
    journal.length = 0;
  }

  addSession(gt: number): void {
    this.journal.push(ADD_SESSION, gt, 0);
    this.sessionAdded(gt);
  }

  /** Drops a session that has no hives left. */
  dropSession(gt: number): void {
    this.journal.push(DROP_SESSION, gt, 0);
    this.sessionDropped(gt);
  }

  open(gt: number, h: number): void {
    this.journal.push(OPEN, gt, h);
    this.opened(gt, h);
  }

  close(gt: number, h: number): void {
    this.journal.push(CLOSE, gt, h);
    this.closed(gt, h);
  }

  addStaff(ht: number): void {
    this.journal.push(ADD_STAFF, ht, 0);
    this.staffAdded(ht);
  }

  dropStaff(ht: number): void {
    this.journal.push(DROP_STAFF, ht, 0);
    this.staffDropped(ht);
  }

  /** The plan as it stands, to be kept. */
  picture(): PlanPicture {
    const { maxHives } = this.model;
    return {
      sessions: this.sessions.map((gt) => ({
        gt,
        hives: Array.from(this.hivesAt.subarray(gt * maxHives, gt * maxHives + this.count[gt]!)),
      })),
      staff: [...this.staff],
    };
  }

  /** Closes all hives of a session and drops it. */
  removeSession(gt: number): void {
    const { maxHives } = this.model;
    for (let n = this.count[gt]!; n > 0; n -= 1) this.close(gt, this.hivesAt[gt * maxHives + n - 1]!);
    this.dropSession(gt);
  }

  holds(gt: number, h: number): boolean {
    const from = gt * this.model.maxHives;
    for (let i = from; i < from + this.count[gt]!; i += 1) if (this.hivesAt[i] === h) return true;
    return false;
  }

  /** Whether the group's other sessions leave room for one in this slot. */
  groupFree(g: number, t: number): boolean {
    const { model } = this;
    const own = this.groupSlots[g]!;
    if (own.length >= model.sessions[g]!) return false;
    for (const other of own) {
      if (other === t || Math.abs(model.day[other]! - model.day[t]!) < model.gap[g]!) return false;
    }
    return true;
  }

  /** Whether suits and supervisors suffice for one more group in this slot. */
  slotFree(g: number, t: number): boolean {
    const { model } = this;
    if (this.people[t]! + model.people[g]! > model.suits[t]!) return false;
    for (const c of model.crewsOf[t]!) if (this.crewUsed[c]! >= model.crews[c]!.supervisors) return false;
    return true;
  }

  /** Whether a hive's other openings leave it rested in this slot. */
  rested(h: number, t: number): boolean {
    const { model } = this;
    const own = this.openSlots[h]!;
    const rest = model.rest[h]!;
    for (const other of own) {
      if (other === t || Math.abs(model.day[other]! - model.day[t]!) < rest) return false;
    }
    return true;
  }

  /** Whether one more hive finds room in a session: number, minutes, suspect and seniors. Rest is asked apart. */
  fits(gt: number, h: number): boolean {
    const { model } = this;
    if (this.count[gt]! >= model.maxHives) return false;
    const t = gt % model.T;
    const g = (gt / model.T) | 0;
    if (this.used[gt]! + model.minutes[g * model.H + h]! > model.room[t]!) return false;
    return model.suspect[h] === 0 || (this.suspects[gt] === 0 && this.seniorFree(gt, t));
  }

  private seniorFree(gt: number, t: number): boolean {
    const pinned = this.pinnedSenior[gt]!;
    if (pinned >= 0) return pinned === 1;
    for (const c of this.model.crewsOf[t]!) if (this.crewSeniors[c]! >= this.model.crews[c]!.seniors) return false;
    return true;
  }

  staffFits(ht: number): boolean {
    const { model } = this;
    if (model.staffOk[ht] === 0) return false;
    const t = ht % model.T;
    const h = (ht / model.T) | 0;
    if (this.staffAt[t]! >= model.staffVisits[t]!) return false;
    if (this.staffMinutesAt[t]! + model.staffHiveMinutes[h]! > model.staffMinutes[t]!) return false;
    return model.suspect[h] === 0 || this.staffSuspects[t] === 0;
  }

  /** What opening a hive in a session would add, without fairness. */
  gainOfOpening(gt: number, h: number): number {
    const { model } = this;
    const t = gt % model.T;
    const ht = h * model.T + t;
    const learnt = this.learnt((gt / model.T) | 0, h, t, 1);
    const care = model.care[ht]! - this.bestCare[model.turnAt[ht]!]!;
    return model.skill * learnt + (care > 0 ? care : 0) - model.disturb[ht]! + this.changeOf(gt, h);
  }

  /** What a hive's opening in a session adds as things stand, without fairness. */
  worthOfOpening(gt: number, h: number): number {
    const { model } = this;
    const t = gt % model.T;
    const unlearnt = this.learnt((gt / model.T) | 0, h, t, -1);
    const care = this.bestCare[model.turnAt[h * model.T + t]!]! - this.bestCareWithout(h, t);
    return care - model.skill * unlearnt - model.disturb[h * model.T + t]! + this.changeOf(gt, h);
  }

  /** Weighted worth of learning that a group gains by an opening more, or (negative) by one less. */
  private learnt(g: number, h: number, t: number, by: 1 | -1): number {
    const { model } = this;
    let sum = 0;
    const end = model.needed[g * model.H + h + 1]!;
    for (let i = model.needed[g * model.H + h]!; i < end; i += 1) {
      const gk = g * model.K + model.skillOf[i]!;
      const now = this.learning[gk]! + by * model.learning[model.learningAt[i]! + t]!;
      sum += model.need[gk]! * (onCurve(model.curve, now > 0 ? now : 0) - this.worth[gk]!);
    }
    return sum;
  }

  private changeOf(gt: number, h: number): number {
    const row = this.model.told[gt]!;
    return row < 0 ? 0 : this.model.hiveChange[row * this.model.H + h]!;
  }

  private bestCareWithout(h: number, t: number): number {
    const { care, turnAt, T } = this.model;
    const turn = turnAt[h * T + t]!;
    let best = 0;
    for (const other of this.openSlots[h]!)
      if (other !== t && turnAt[h * T + other] === turn) best = Math.max(best, care[h * T + other]!);
    return best;
  }

  private sessionAdded(gt: number): void {
    const { model } = this;
    const t = gt % model.T;
    const g = (gt / model.T) | 0;
    this.placeOf[gt] = this.sessions.push(gt) - 1;
    this.groupSlots[g]!.push(t);
    this.slotSessions[t]!.push(gt);
    this.people[t]! += model.people[g]!;
    for (const c of model.crewsOf[t]!) {
      this.crewUsed[c]! += 1;
      if (this.pinnedSenior[gt] === 1) this.crewSeniors[c]! += 1;
    }
    this.value += model.sessionWorth[gt]!;
  }

  private sessionDropped(gt: number): void {
    const { model } = this;
    const t = gt % model.T;
    const g = (gt / model.T) | 0;
    const place = this.placeOf[gt]!;
    const last = this.sessions.pop()!;
    if (last !== gt) {
      this.sessions[place] = last;
      this.placeOf[last] = place;
    }
    this.placeOf[gt] = -1;
    remove(this.groupSlots[g]!, t);
    remove(this.slotSessions[t]!, gt);
    this.people[t]! -= model.people[g]!;
    for (const c of model.crewsOf[t]!) {
      this.crewUsed[c]! -= 1;
      if (this.pinnedSenior[gt] === 1) this.crewSeniors[c]! -= 1;
    }
    this.value -= model.sessionWorth[gt]!;
  }

  private opened(gt: number, h: number): void {
    const { model } = this;
    const t = gt % model.T;
    const g = (gt / model.T) | 0;
    this.hivesAt[gt * model.maxHives + this.count[gt]!] = h;
    this.count[gt]! += 1;
    this.used[gt]! += model.minutes[g * model.H + h]!;
    if (model.suspect[h] === 1) this.suspectChanged(gt, t, 1);
    this.value += this.changeOf(gt, h);
    this.hiveOpened(h, t, g);
    this.practised(g, h, t, 1);
  }

  private closed(gt: number, h: number): void {
    const { model } = this;
    const t = gt % model.T;
    const g = (gt / model.T) | 0;
    const from = gt * model.maxHives;
    const last = from + this.count[gt]! - 1;
    for (let i = from; i <= last; i += 1)
      if (this.hivesAt[i] === h) {
        this.hivesAt[i] = this.hivesAt[last]!;
        break;
      }
    this.count[gt]! -= 1;
    this.used[gt]! -= model.minutes[g * model.H + h]!;
    if (model.suspect[h] === 1) this.suspectChanged(gt, t, -1);
    this.value -= this.changeOf(gt, h);
    this.hiveClosed(h, t, g);
    this.practised(g, h, t, -1);
  }

  private suspectChanged(gt: number, t: number, by: 1 | -1): void {
    this.suspects[gt]! += by;
    if (this.pinnedSenior[gt] === 1) return;
    for (const c of this.model.crewsOf[t]!) this.crewSeniors[c]! += by;
  }

  private staffAdded(ht: number): void {
    const { model } = this;
    const t = ht % model.T;
    const h = (ht / model.T) | 0;
    this.staff.push(ht);
    this.staffAt[t]! += 1;
    this.staffMinutesAt[t]! += model.staffHiveMinutes[h]!;
    this.staffSuspects[t]! += model.suspect[h]!;
    this.value -= model.staffCost;
    this.hiveOpened(h, t, STAFF);
  }

  private staffDropped(ht: number): void {
    const { model } = this;
    const t = ht % model.T;
    const h = (ht / model.T) | 0;
    remove(this.staff, ht);
    this.staffAt[t]! -= 1;
    this.staffMinutesAt[t]! -= model.staffHiveMinutes[h]!;
    this.staffSuspects[t]! -= model.suspect[h]!;
    this.value += model.staffCost;
    this.hiveClosed(h, t, STAFF);
  }

  private hiveOpened(h: number, t: number, by: number): void {
    const ht = h * this.model.T + t;
    this.openSlots[h]!.push(t);
    this.openBy[h]!.push(by);
    const care = this.model.care[ht]!;
    this.value -= this.model.disturb[ht]!;
    const turn = this.model.turnAt[ht]!;
    if (care > this.bestCare[turn]!) {
      this.value += care - this.bestCare[turn]!;
      this.bestCare[turn] = care;
    }
  }

  private hiveClosed(h: number, t: number, by: number): void {
    const ht = h * this.model.T + t;
    const [slots, who] = [this.openSlots[h]!, this.openBy[h]!];
    let at = slots.length - 1;
    while (slots[at] !== t || who[at] !== by) at -= 1;
    slots[at] = slots.at(-1)!;
    who[at] = who.at(-1)!;
    slots.pop();
    who.pop();
    this.value += this.model.disturb[ht]!;
    const care = this.model.care[ht]!;
    const turn = this.model.turnAt[ht]!;
    if (care > 0 && care === this.bestCare[turn]) {
      const best = this.bestCareWithout(h, t);
      this.value += best - care;
      this.bestCare[turn] = best;
    }
  }

  private practised(g: number, h: number, t: number, by: 1 | -1): void {
    const { model } = this;
    let learnt = 0;
    const end = model.needed[g * model.H + h + 1]!;
    for (let i = model.needed[g * model.H + h]!; i < end; i += 1) {
      const gk = g * model.K + model.skillOf[i]!;
      const need = model.need[gk]!;
      const now = Math.max(model.covered[gk]!, this.learning[gk]! + by * model.learning[model.learningAt[i]! + t]!);
      const worth = onCurve(model.curve, now);
      learnt += need * (worth - this.worth[gk]!);
      this.learning[gk] = now;
      this.worth[gk] = worth;
    }
    if (learnt === 0) return;
    this.value += model.skill * learnt;
    this.got[g]! += learnt;
    const open = model.open[g]!;
    if (open <= 0) return;
    const before = this.share[g]!;
    const after = this.got[g]! / open;
    this.share[g] = after;
    if (after < this.leastShare) this.leastShare = after;
    else if (before === this.leastShare) this.leastShare = least(this.share);
  }
}

function remove(items: number[], item: number): void {
  const at = items.indexOf(item);
  items[at] = items.at(-1)!;
  items.pop();
}

function least(values: Float64Array): number {
  let found = Infinity;
  for (const value of values) if (value < found) found = value;
  return found;
}
