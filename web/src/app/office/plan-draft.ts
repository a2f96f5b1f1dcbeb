import { Injectable, computed, signal } from '@angular/core';
import {
  type HivePlace,
  type Landmark,
  type PlanHive,
  type PlanStand,
  type SitePlan,
  type Spot,
  bearing,
  movedStand,
} from '@brave-comb/core/site';

/** What is drawn: the plan and where the hives stand on it. */
export interface Drawn {
  readonly plan: SitePlan;
  readonly hives: readonly PlanHive[];
}

/** A thing on the plan that can be taken hold of; a line is also taken by one of its points. */
export interface Item {
  readonly kind: 'stand' | 'hive' | 'landmark';
  readonly id: string;
  readonly point?: number;
}

export const sameItem = (one: Item | null, other: Item): boolean =>
  one !== null && one.kind === other.kind && one.id === other.id && one.point === other.point;

export const standOf = ({ plan }: Drawn, id: string): PlanStand | undefined =>
  plan.stands.find((each) => each.id === id);
export const hiveOf = ({ hives }: Drawn, id: string): PlanHive | undefined => hives.find((each) => each.id === id);
export const landmarkOf = ({ plan }: Drawn, id: string): Landmark | undefined =>
  plan.landmarks.find((each) => each.id === id);

/** The spot by which a thing is taken hold of. */
export function spotOf(drawn: Drawn, { kind, id, point = 0 }: Item): Spot | null {
  if (kind === 'stand') return standOf(drawn, id) ?? null;
  if (kind === 'hive') return hiveOf(drawn, id)?.place ?? null;
  const mark = landmarkOf(drawn, id);
  if (!mark) return null;
  return 'at' in mark ? mark.at : (mark.along[point] ?? null);
}

const tenth = (value: number): number => Math.round(value * 10) / 10 + 0;
const onTenths = ({ east, north }: Spot): Spot => ({ east: tenth(east), north: tenth(north) });

export const withStand = (drawn: Drawn, stand: PlanStand): Drawn => ({
  ...drawn,
  plan: { ...drawn.plan, stands: drawn.plan.stands.map((each) => (each.id === stand.id ? stand : each)) },
});
export const withHive = (drawn: Drawn, id: string, change: Partial<PlanHive>): Drawn => ({
  ...drawn,
  hives: drawn.hives.map((each) => (each.id === id ? { ...each, ...change } : each)),
});
export const withLandmark = (drawn: Drawn, mark: Landmark): Drawn => ({
  ...drawn,
  plan: { ...drawn.plan, landmarks: drawn.plan.landmarks.map((each) => (each.id === mark.id ? mark : each)) },
});

/** A stand that stands and looks otherwise, with its hives. */
export function standMoved(drawn: Drawn, stand: PlanStand, to: Partial<HivePlace>): Drawn {
  const moved = movedStand(stand, { ...stand, ...to }, drawn.hives);
  return { ...withStand(drawn, moved.stand), hives: moved.hives };
}

/** A thing moved so that the spot by which it is held comes to lie elsewhere, to the tenth of a metre. */
export function itemMoved(drawn: Drawn, item: Item, to: Spot): Drawn {
  const spot = onTenths(to);
  if (item.kind === 'stand') {
    const stand = standOf(drawn, item.id);
    return stand ? standMoved(drawn, stand, spot) : drawn;
  }
  if (item.kind === 'hive') {
    const place = hiveOf(drawn, item.id)?.place;
    return place ? withHive(drawn, item.id, { place: { ...place, ...spot } }) : drawn;
  }
  const mark = landmarkOf(drawn, item.id);
  if (!mark) return drawn;
  if ('at' in mark) return withLandmark(drawn, { ...mark, at: spot });
  const held = mark.along[item.point ?? 0]!;
  const [east, north] = [spot.east - held.east, spot.north - held.north];
  const along = mark.along.map((each, at) =>
    item.point === undefined || item.point === at
      ? onTenths({ east: each.east + east, north: each.north + north })
      : each,
  );
  return withLandmark(drawn, { ...mark, along });
}

/** A stand or a hive turned by some degrees; nothing else has a side. */
export function itemTurned(drawn: Drawn, { kind, id }: Item, degrees: number): Drawn {
  const stand = kind === 'stand' ? standOf(drawn, id) : undefined;
  if (stand) return standMoved(drawn, stand, { faces: stand.faces + degrees });
  const place = kind === 'hive' ? hiveOf(drawn, id)?.place : null;
  return place ? withHive(drawn, id, { place: { ...place, faces: bearing(place.faces + degrees) } }) : drawn;
}

/** A plan without a thing: a hive is taken off the plan and stays in the school; a line loses a point as long as two are left. */
export function itemTaken(drawn: Drawn, { kind, id, point }: Item): Drawn {
  if (kind === 'hive') return withHive(drawn, id, { place: null });
  const { stands, landmarks } = drawn.plan;
  if (kind === 'stand') return { ...drawn, plan: { ...drawn.plan, stands: stands.filter((each) => each.id !== id) } };
  const mark = landmarkOf(drawn, id);
  if (mark && 'along' in mark && point !== undefined && mark.along.length > 2)
    return withLandmark(drawn, { ...mark, along: mark.along.toSpliced(point, 1) });
  return { ...drawn, plan: { ...drawn.plan, landmarks: landmarks.filter((each) => each.id !== id) } };
}

/** The first letter that no stand has, then AA and so on. */
export function freeName({ plan }: Drawn): string {
  const taken = new Set(plan.stands.map(({ name }) => name.toUpperCase()));
  for (let at = 0; ; at += 1) {
    const letter = String.fromCodePoint(65 + (at % 26));
    const name = at < 26 ? letter : `${letter}${Math.floor(at / 26)}`;
    if (!taken.has(name)) return name;
  }
}

/** A plan that is being changed: what was saved, what is drawn, and the steps back and forth between. */
export class PlanDraft {
  private readonly saved = signal<Drawn | null>(null);
  private readonly past = signal<readonly Drawn[]>([]);
  private readonly undone = signal<readonly Drawn[]>([]);
  /** The version that it was drawn from. */
  version = 0;
  readonly now = signal<Drawn | null>(null);
  readonly before = this.saved.asReadonly();
  readonly canUndo = computed(() => this.past().length > 0);
  readonly canRedo = computed(() => this.undone().length > 0);
  readonly dirty = computed(() => this.now() !== this.saved());

  begin(drawn: Drawn, version: number): void {
    this.saved.set(drawn);
    this.now.set(drawn);
    this.past.set([]);
    this.undone.set([]);
    this.version = version;
  }

  change(next: Drawn): void {
    const now = this.now();
    if (now === null || now === next) return;
    this.past.update((past) => [...past, now]);
    this.undone.set([]);
    this.now.set(next);
  }

  undo(): void {
    const [now, back] = [this.now(), this.past().at(-1)];
    if (!now || !back) return;
    this.past.update((past) => past.slice(0, -1));
    this.undone.update((undone) => [...undone, now]);
    this.now.set(back);
  }

  redo(): void {
    const [now, forth] = [this.now(), this.undone().at(-1)];
    if (!now || !forth) return;
    this.undone.update((undone) => undone.slice(0, -1));
    this.past.update((past) => [...past, now]);
    this.now.set(forth);
  }
}

/** Drafts of plans by person and site: whoever looks at another page finds what was drawn when they come back. */
@Injectable({ providedIn: 'root' })
export class PlanDrafts {
  private readonly drafts = new Map<string, PlanDraft>();

  of(person: string, site: string): PlanDraft {
    const key = `${person} ${site}`;
    const found = this.drafts.get(key) ?? new PlanDraft();
    this.drafts.set(key, found);
    return found;
  }
}
