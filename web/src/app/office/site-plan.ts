import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatMenuModule } from '@angular/material/menu';
import { MatSnackBar } from '@angular/material/snack-bar';
import { RouterLink } from '@angular/router';
import type { SitePlanView } from '@brave-comb/contract';
import {
  type Landmark,
  type PlanHive,
  asPlaced,
  hivesOn,
  jobsOf,
  moveWithin,
  planTroubles,
  setHives,
  setOut,
  standable,
  standingPlan,
} from '@brave-comb/core/site';
import { COMPASS_POINTS, compassPoint } from '@brave-comb/core/units';
import { named } from '@brave-comb/core/language';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { saving } from '../api/saving';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { said } from '../language/said';
import { measured } from '../language/units';
import { FIELD } from '../parts/field';
import { peopleFeature } from '../people/people.feature';
import { Differs } from './differs';
import { meanwhile } from './meanwhile';
import { type Drawn, type Item, PlanDrafts, freeName, itemTaken, sameItem, standOf } from './plan-draft';
import { KINDS, PlanGround } from './plan-ground';
import { PlanSide } from './plan-side';

const LETTER = { frames: 'F', smoke: 'S', record: 'R', clock: 'C', watch: 'W' } as const;

/** The plan of a site: stands with their hives, where bees fly and people stand, what else is on the ground; and what is wrong with it. */
@Component({
  selector: 'bc-site-plan',
  imports: [Differs, FIELD, MatButton, MatMenuModule, PlanGround, PlanSide, RouterLink, ViewState],
  templateUrl: './site-plan.html',
  styleUrls: ['./office.scss', './site-plan.scss'],
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SitePlanScreen {
  private readonly bar = inject(MatSnackBar);
  private readonly drafts = inject(PlanDrafts);
  private readonly me = inject(Store).selectSignal(peopleFeature.selectPerson);
  readonly site = input.required<string>();
  protected readonly watched = inject(ViewDesk).watch('sitePlan', () => ({ params: { site: this.site() } }));
  protected readonly view = this.watched.data;
  protected readonly draft = computed(() => this.drafts.of(this.me()?.id ?? '', this.site()));
  protected readonly drawn = computed(() => this.draft().now());
  protected readonly save = saving();
  protected readonly chosen = signal<Item | null>(null);
  protected readonly fixed = computed(
    () => this.me()?.role !== 'lead' || this.view() === null || this.view()?.site.retired !== null,
  );
  protected readonly kinds = Object.entries(KINDS) as [Landmark['kind'], string][];

  constructor() {
    effect(() => {
      const view = this.view();
      const draft = this.draft();
      if (view) untracked(() => (draft.dirty() ? undefined : draft.begin(drawnOf(view), view.site.version)));
    });
  }

  protected readonly around = computed(() => ({
    latitude: this.view()?.site.latitude ?? 0,
    group: this.view()?.group ?? 0,
  }));
  protected readonly troubles = computed(() => {
    const drawn = this.drawn();
    return drawn ? planTroubles(drawn.plan, drawn.hives, this.around()) : [];
  });
  protected readonly serious = computed(() =>
    this.troubles()
      .filter((each) => each.serious)
      .map(({ at }) => at),
  );
  /** Troubles by the stand, in the order of the stands. */
  protected readonly lists = computed(() => {
    const chosen = this.chosen();
    const open = chosen?.kind === 'stand' ? chosen.id : null;
    return (this.drawn()?.plan.stands ?? [])
      .map((stand) => ({
        stand,
        troubles: this.troubles()
          .filter((each) => each.stand === stand.id)
          .map(toldOf),
      }))
      .filter(({ stand, troubles }) => troubles.length > 0 && (open === null || open === stand.id));
  });
  /** The eight points, and the bearing that is kept where it is none of them. */
  protected readonly winds = computed(() => {
    const kept = this.drawn()?.plan.wind ?? null;
    const points = COMPASS_POINTS.map((point, at) => ({ degrees: at * 45, name: said(named('compass', point)) }));
    if (kept === null || kept % 45 === 0) return points;
    return [...points, { degrees: kept, name: `${said(named('compass', compassPoint(kept)))}, ${kept}°` }];
  });
  protected readonly windFrom = computed(() => {
    const wind = this.drawn()?.plan.wind ?? null;
    return wind === null ? null : said(named('compass', compassPoint(wind)));
  });
  protected readonly unsetNumbers = computed(() =>
    this.unset()
      .map(({ number }) => number)
      .join(', '),
  );
  protected readonly unset = computed(() => (this.drawn()?.hives ?? []).filter(({ place }) => place === null));

  /** What the hives that have moved since the plan was saved mean for their foragers. */
  protected readonly moves = computed(() => {
    const [drawn, before] = [this.drawn(), this.draft().before()];
    if (!drawn || !before) return [];
    const was = new Map(setHives(before.hives).map((hive) => [hive.id, hive.place]));
    const told = new Map<string, string[]>();
    for (const { id, number, place } of setHives(drawn.hives)) {
      const advice = was.has(id) ? moveWithin(was.get(id)!, place) : null;
      if (advice) told.set(said(advice), [...(told.get(said(advice)) ?? []), number]);
    }
    return [...told].map(([says, hives]) => ({ says, hives: hives.join(', ') }));
  });
  protected readonly marks = computed(() => {
    const drawn = this.drawn();
    const chosen = this.chosen();
    if (!drawn || !chosen || chosen.kind === 'landmark') return [];
    const stand = chosen.kind === 'stand' ? standOf(drawn, chosen.id) : undefined;
    const [hive] = stand ? hivesOn(stand, drawn.hives) : setHives(drawn.hives).filter(({ id }) => id === chosen.id);
    if (!hive) return [];
    const others = setHives(drawn.hives).filter(({ id }) => id !== hive.id);
    const { marks } = standingPlan(asPlaced(hive), others.map(asPlaced), jobsOf(this.around().group), (x, y) =>
      standable(drawn.plan, hive.place, { east: x, north: y }),
    );
    return marks.map(({ role, x, y }) => ({
      letter: LETTER[role],
      east: hive.place.east + x,
      north: hive.place.north + y,
    }));
  });
  protected change(next: Drawn): void {
    if (!this.fixed()) this.draft().change(next);
  }
  protected choose(item: Item | null): void {
    const chosen = this.chosen();
    if (item === null || !sameItem(chosen, item)) this.chosen.set(item);
  }

  protected setAllOut(): void {
    const drawn = this.drawn()!;
    const sunward = this.around().latitude < 0 ? 0 : 180;
    this.change(setOut(drawn.plan, drawn.hives, sunward, uuid));
  }

  protected addStand(): void {
    const drawn = this.drawn()!;
    const stand = {
      id: uuid(),
      name: freeName(drawn),
      ...this.bareSpot(drawn),
      faces: this.around().latitude < 0 ? 0 : 180,
      height: null,
    };
    this.change({ ...drawn, plan: { ...drawn.plan, stands: [...drawn.plan.stands, stand] } });
    this.chosen.set({ kind: 'stand', id: stand.id });
  }
  protected addLandmark(kind: Landmark['kind']): void {
    const drawn = this.drawn()!;
    const [id, at] = [uuid(), this.bareSpot(drawn)];
    const along = [
      { ...at, east: at.east - 3 },
      { ...at, east: at.east + 3 },
    ];
    const name = KINDS[kind].toLowerCase();
    const mark: Landmark =
      kind === 'path'
        ? { id, kind, name, along, width: 1.2 }
        : kind === 'barrier'
          ? { id, kind, name, along, height: 2 }
          : kind === 'tree'
            ? { id, kind, name, at, radius: 1.5 }
            : { id, kind, name, at };
    this.change({ ...drawn, plan: { ...drawn.plan, landmarks: [...drawn.plan.landmarks, mark] } });
    this.chosen.set({ kind: 'landmark', id });
  }
  /** South of all that stands there, in the middle. */
  private bareSpot({ plan, hives }: Drawn) {
    const spots = [...plan.stands, ...setHives(hives).map(({ place }) => place)];
    if (spots.length === 0) return { east: 0, north: 0 };
    const easts = spots.map(({ east }) => east);
    const middle = (Math.min(...easts) + Math.max(...easts)) / 2;
    return { east: Math.round(middle), north: Math.round(Math.min(...spots.map(({ north }) => north))) - 5 };
  }
  protected take(item: Item): void {
    const drawn = this.drawn()!;
    const stand = item.kind === 'stand' ? standOf(drawn, item.id) : undefined;
    const here = stand ? drawn.hives.filter((each) => each.stand === stand.name) : [];
    if (stand && here.length > 0) {
      const numbers = here.map(({ number }) => number).join(', ');
      this.bar.open($localize`Put hives ${numbers} on another stand first.`, undefined, { duration: 8000 });
      return;
    }
    this.change(itemTaken(drawn, item));
    if (item.point === undefined) this.chosen.set(null);
  }
  protected wind(value: number | ''): void {
    const drawn = this.drawn()!;
    this.change({ ...drawn, plan: { ...drawn.plan, wind: value === '' ? null : value } });
  }

  protected readonly differences = meanwhile(
    this.save,
    computed(() => this.view() && { ...this.view()!, changed: this.view()!.site.changed }),
    (view) => {
      const [theirs, mine] = [drawnOf(view), this.drawn()];
      const names = ({ plan }: Drawn) => [...plan.stands, ...plan.landmarks].map(({ name }) => name).join(', ');
      return [
        [$localize`Stands and ground`, names(theirs), mine ? names(mine) : ''],
        ...(mine?.hives ?? []).map(
          (hive) =>
            [
              $localize`Hive ${hive.number}`,
              placeText(theirs.hives.find(({ id }) => id === hive.id)),
              placeText(hive),
            ] as const,
        ),
      ];
    },
  );
  protected takeTheirs(): void {
    const view = this.view()!;
    this.save.clear();
    this.chosen.set(null);
    this.draft().begin(drawnOf(view), view.site.version);
  }
  protected saveMine(): void {
    this.draft().version = this.view()!.site.version;
    void this.submit();
  }

  protected async submit(): Promise<void> {
    const [draft, drawn] = [this.draft(), this.drawn()];
    if (!drawn) return;
    const { plan, hives } = drawn;
    const view = await this.save.send('keepSitePlan', {
      params: { site: this.site() },
      body: {
        version: draft.version,
        plan: {
          ...plan,
          stands: [...plan.stands],
          landmarks: plan.landmarks.map((mark) => ('at' in mark ? mark : { ...mark, along: [...mark.along] })),
        },
        hives: hives.map(({ id, stand, place }) => ({ id, stand, place })),
      },
    });
    if (!view) return;
    draft.begin(drawnOf(view), view.site.version);
    this.bar.open($localize`The plan of ${view.site.name} is saved.`, undefined, { duration: 6000 });
  }

  protected print(): void {
    window.print();
  }
}

const drawnOf = ({ plan, hives }: SitePlanView): Drawn => ({ plan, hives });
const toldOf = ({ says, serious }: ReturnType<typeof planTroubles>[number]) => ({ says: said(says), serious });
const placeText = (hive: Pick<PlanHive, 'stand' | 'place'> | undefined): string =>
  hive?.place
    ? $localize`${hive.stand}\: ${measured('length', hive.place.east, 1)} east, ${measured('length', hive.place.north, 1)} north, ${hive.place.faces}°`
    : $localize`not on the plan`;
