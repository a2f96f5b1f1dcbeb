import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  afterNextRender,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { HivePlace } from '@brave-comb/core/site';
import { FLIGHT_LANE, type Spot, awayFrom, railOf, setHives } from '@brave-comb/core/site';
import { extent } from 'd3-array';
import { arc, line } from 'd3-shape';
import { measured } from '../language/units';
import { type Drawn, type Item, itemMoved, itemTurned, sameItem, spotOf } from './plan-draft';

const HEIGHT = 540;
const HALF = (FLIGHT_LANE.halfAngle * Math.PI) / 180;
/** Metres of bare ground that are shown around what stands there. */
const MARGIN = 4;
/** Below this width, pixels, a site is not shown whole at first. */
const NARROW = 600;
/** Pixels to a metre, at least and at most. */
const [FAR, NEAR] = [6, 120];
/** Smallest side of a drawn hive, pixels: a finger has to meet it. */
const LEAST_HIVE = 24;

/** From the end of its rails to the middle of a stand's sign, pixels. */
const SIGN = 18;

interface Sight {
  readonly east: number;
  readonly north: number;
  /** Pixels to a metre. */
  readonly scale: number;
}

interface Grip {
  /** Null for the ground itself. */
  readonly item: Item | null;
  readonly x: number;
  readonly y: number;
  readonly from: Spot;
  readonly to: Spot;
}

/** The ground of a site from above, north up: what stands there is taken hold of by pointer or keys. */
@Component({
  selector: 'bc-plan-ground',
  templateUrl: './plan-ground.html',
  styleUrl: './plan-ground.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanGround {
  readonly drawn = input.required<Drawn>();
  /** As it was saved: what has moved leaves a ghost. */
  readonly before = input.required<Drawn>();
  readonly chosen = input<Item | null>(null);
  readonly fixed = input(false);
  /** Places to stand at the chosen hive, metres on the plan. */
  readonly marks = input<readonly (Spot & { readonly letter: string })[]>([]);
  /** Spots that something serious is said of. */
  readonly troubles = input<readonly Spot[]>([]);
  readonly name = input.required<string>();
  readonly picked = output<Item | null>();
  readonly changed = output<Drawn>();
  readonly taken = output<Item>();
  readonly backed = output();

  private readonly box = viewChild.required<ElementRef<HTMLElement>>('box');
  protected readonly width = signal(800);
  protected readonly height = HEIGHT;
  private readonly zoom = signal(1);
  /** Whether all is to be seen; a narrow screen begins with the hives alone. */
  private readonly wide = signal(false);
  private readonly pan = signal<Spot>({ east: 0, north: 0 });
  private readonly grip = signal<Grip | null>(null);

  constructor() {
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      const box = this.box().nativeElement;
      if (typeof ResizeObserver === 'undefined') return;
      const watch = new ResizeObserver(() => this.width.set(Math.max(280, box.clientWidth)));
      watch.observe(box);
      destroyed.onDestroy(() => watch.disconnect());
    });
  }

  /** What is drawn while something is held: it lies where the hand is. */
  private readonly shown = computed(() => {
    const grip = this.grip();
    return grip?.item ? itemMoved(this.drawn(), grip.item, grip.to) : this.drawn();
  });

  /** All that stands there as it was saved: the sight stays while things are moved. */
  private readonly whole = computed((): Sight => {
    const { plan, hives } = this.before();
    const bees: Spot[] = [
      ...plan.stands,
      ...setHives(hives).flatMap(({ place }) => [place, awayFrom(place, place.faces, FLIGHT_LANE.metres)]),
    ];
    const near = bees.length > 0 && this.width() < NARROW && !this.wide();
    const spots = near ? bees : [...bees, ...plan.landmarks.flatMap((mark) => ('at' in mark ? [mark.at] : mark.along))];
    const [west = 0, east = 10] = extent(spots, (spot) => spot.east);
    const [south = 0, north = 8] = extent(spots, (spot) => spot.north);
    const scale = Math.min(this.width() / (east - west + MARGIN), HEIGHT / (north - south + MARGIN));
    return { east: (west + east) / 2, north: (south + north) / 2, scale: Math.min(NEAR, Math.max(FAR, scale)) };
  });
  protected readonly sight = computed((): Sight => {
    const { east, north, scale } = this.whole();
    const grip = this.grip();
    const held = grip && grip.item === null ? grip : null;
    const pan = this.pan();
    return {
      east: east + pan.east - (held ? held.to.east - held.from.east : 0),
      north: north + pan.north - (held ? held.to.north - held.from.north : 0),
      scale: Math.min(NEAR, Math.max(FAR, scale * this.zoom())),
    };
  });

  private x = (east: number): number => this.width() / 2 + (east - this.sight().east) * this.sight().scale;
  private y = (north: number): number => HEIGHT / 2 - (north - this.sight().north) * this.sight().scale;
  private at = ({ east, north }: Spot) => ({ x: this.x(east), y: this.y(north) });
  private path = (along: readonly Spot[]): string =>
    line<Spot>(
      ({ east }) => this.x(east),
      ({ north }) => this.y(north),
    )([...along]) ?? '';

  /** Lines of the ground: a metre apart, or five where a metre is narrow. */
  protected readonly grid = computed(() => {
    const { scale } = this.sight();
    const step = scale >= 16 ? 1 : 5;
    const { east, north } = this.sight();
    const across = (middle: number, pixels: number) => {
      const first = Math.ceil((middle - pixels / 2 / scale) / step);
      return Array.from({ length: Math.ceil(pixels / scale / step) }, (_, at) => (first + at) * step);
    };
    return {
      down: across(east, this.width()).map((metre) => ({ at: this.x(metre), strong: metre % 5 === 0 })),
      over: across(north, HEIGHT).map((metre) => ({ at: this.y(metre), strong: metre % 5 === 0 })),
      five: 5 * scale,
      label: measured('length', 5),
    };
  });

  protected readonly lane = computed(
    () =>
      arc()({
        innerRadius: 0,
        outerRadius: FLIGHT_LANE.metres * this.sight().scale,
        startAngle: -HALF,
        endAngle: HALF,
      }) ?? '',
  );
  protected readonly side = computed(() => Math.max(LEAST_HIVE, 0.5 * this.sight().scale));

  protected readonly hives = computed(() => {
    const was = new Map(setHives(this.before().hives).map((hive) => [hive.id, hive.place]));
    return setHives(this.shown().hives).map(({ id, number, stand, place }) => {
      const item: Item = { kind: 'hive', id };
      const old = was.get(id);
      const moved = old !== undefined && (old.east !== place.east || old.north !== place.north);
      return {
        ...this.at(place),
        ...{ id, number, item, faces: place.faces },
        feet: this.at(awayFrom(place, place.faces + 180, 0.9)),
        chosen: this.isChosen(item) || this.isChosenStand(stand),
        ghost: moved ? { ...this.at(old), faces: old.faces } : null,
        label: $localize`Hive ${number} on stand ${stand}, ${this.sayPlace(place)}`,
      };
    });
  });

  protected readonly stands = computed(() =>
    this.shown().plan.stands.map((stand) => {
      const item: Item = { kind: 'stand', id: stand.id };
      const rail = railOf(stand, this.shown().hives);
      const sign = awayFrom(rail[0], stand.faces + 270, 0.1 + SIGN / this.sight().scale);
      return {
        ...{ id: stand.id, name: stand.name, item },
        rail: this.path(rail),
        sign: this.at(sign),
        chosen: this.isChosen(item),
        label: $localize`Stand ${stand.name}, ${this.sayPlace(stand)}`,
      };
    }),
  );

  protected readonly landmarks = computed(() =>
    this.shown().plan.landmarks.map((mark) => {
      const item: Item = { kind: 'landmark', id: mark.id };
      const chosen = this.chosen();
      const open = chosen?.kind === 'landmark' && chosen.id === mark.id;
      const along = 'at' in mark ? [] : mark.along;
      return {
        ...{ id: mark.id, kind: mark.kind, name: mark.name, item, chosen: open },
        spot: this.at('at' in mark ? mark.at : middle(mark.along)),
        line: this.path(along),
        width: (mark.kind === 'path' ? mark.width : 0.6) * this.sight().scale,
        radius: mark.kind === 'tree' ? mark.radius * this.sight().scale : 0,
        points:
          open && !this.fixed()
            ? along.map((spot, point) => ({
                ...this.at(spot),
                item: { ...item, point },
                chosen: this.isChosen({ ...item, point }),
                label: $localize`Point ${point + 1} of ${mark.name}`,
              }))
            : [],
        label: $localize`${KINDS[mark.kind]} ${mark.name}`,
      };
    }),
  );

  protected readonly places = computed(() => this.marks().map(({ letter, ...spot }) => ({ letter, ...this.at(spot) })));
  protected readonly spots = computed(() => this.troubles().map((spot) => this.at(spot)));
  protected readonly wind = computed(() => this.drawn().plan.wind);

  private isChosen(item: Item): boolean {
    return sameItem(this.chosen(), item);
  }
  private isChosenStand(name: string): boolean {
    const chosen = this.chosen();
    return (
      chosen?.kind === 'stand' && this.shown().plan.stands.some((each) => each.id === chosen.id && each.name === name)
    );
  }
  private sayPlace({ east, north, faces }: HivePlace): string {
    return $localize`${measured('length', east, 1)} east, ${measured('length', north, 1)} north, faces ${faces}°`;
  }

  /** Shows less ground, larger, or more of it. */
  nearer(times: number): void {
    this.zoom.update((zoom) => Math.min(8, Math.max(0.25, zoom * times)));
  }
  /** Shows all that stands there. */
  all(): void {
    this.wide.set(true);
    this.zoom.set(1);
    this.pan.set({ east: 0, north: 0 });
  }

  protected grab(event: PointerEvent, item: Item | null): void {
    if (event.button !== 0) return;
    event.stopPropagation();
    this.picked.emit(item);
    const from = item && !this.fixed() ? spotOf(this.drawn(), item) : { east: 0, north: 0 };
    if (from === null || (item !== null && this.fixed())) return;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.grip.set({ item, x: event.clientX, y: event.clientY, from, to: from });
  }
  protected drag({ clientX, clientY }: PointerEvent): void {
    const { scale } = this.sight();
    this.grip.update(
      (grip) =>
        grip && {
          ...grip,
          to: {
            east: grip.from.east + (clientX - grip.x) / scale,
            north: grip.from.north - (clientY - grip.y) / scale,
          },
        },
    );
  }
  protected drop(): void {
    const grip = this.grip();
    if (grip === null) return;
    const [east, north] = [grip.to.east - grip.from.east, grip.to.north - grip.from.north];
    this.grip.set(null);
    if (Math.hypot(east, north) < 0.05) return;
    if (grip.item) this.changed.emit(itemMoved(this.drawn(), grip.item, grip.to));
    else this.pan.update((pan) => ({ east: pan.east - east, north: pan.north - north }));
  }
  protected letGo(): void {
    this.grip.set(null);
  }

  protected key(event: KeyboardEvent, item: Item): void {
    const step = event.shiftKey ? 1 : 0.1;
    const way = WAYS[event.key];
    const acts: Readonly<Record<string, () => void>> = {
      Enter: () => this.picked.emit(item),
      ' ': () => this.picked.emit(item),
      Escape: () => (this.grip() ? this.letGo() : this.backed.emit()),
      r: () => this.changed.emit(itemTurned(this.drawn(), item, 15)),
      R: () => this.changed.emit(itemTurned(this.drawn(), item, -15)),
      Delete: () => this.taken.emit(item),
    };
    const spot = way && spotOf(this.drawn(), item);
    const act = spot
      ? () => {
          this.picked.emit(item);
          this.changed.emit(
            itemMoved(this.drawn(), item, { east: spot.east + way[0] * step, north: spot.north + way[1] * step }),
          );
        }
      : acts[event.key];
    if (!act || (this.fixed() && !['Enter', ' '].includes(event.key))) return;
    event.preventDefault();
    event.stopPropagation();
    act();
  }
}

const WAYS: Readonly<Record<string, readonly [east: number, north: number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** What landmarks are called. */
export const KINDS = {
  path: $localize`Path`,
  barrier: $localize`Hedge or wall`,
  tree: $localize`Tree`,
  gate: $localize`Gate`,
} as const;

/** Where the name of a line is written: at its middle point, or between the two. */
function middle(along: readonly Spot[]): Spot {
  const half = (along.length - 1) / 2;
  const [one, other] = [along[Math.floor(half)]!, along[Math.ceil(half)]!];
  return { east: (one.east + other.east) / 2, north: (one.north + other.north) / 2 };
}
