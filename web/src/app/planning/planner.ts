import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  linkedSignal,
  signal,
  untracked,
  viewChild,
} from '@angular/core';
import { MatBottomSheet } from '@angular/material/bottom-sheet';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatDialog } from '@angular/material/dialog';
import { RouterLink } from '@angular/router';
import type { PlanBoard } from '@brave-comb/contract';
import {
  type Assignments,
  differencesBetween,
  holds,
  type OpeningReason,
  type PlanItem,
  type PlanLock,
  type PlanningProblem,
  released,
  type Trouble,
  type WayOut,
  type WhyNot,
  without,
} from '@brave-comb/core/planning';
import { upperFirst } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { oddsText, shortDate, timeOf } from '../ui/format';
import { onPhone } from '../ui/on-phone';
import { PlanCompare } from './plan-compare';
import { keepDrafts, keptDrafts } from './plan-drafts';
import { type Placed, PlanForce } from './plan-force';
import { PlanGrid } from './plan-grid';
import { PlanJobEvents, planJobFeature } from './plan-job.feature';
import { inWords, namesOf } from './plan-names';
import { type Offer, pointsText } from './plan-row';
import { cellKey, keepAlike, type Row, rowsOf } from './plan-rows';
import { PlanThinker } from './plan-thinker';
import type { Answers, Question } from './plan-thoughts';
import { PlanTroubles } from './plan-troubles';
import { PlanDays } from './plan-days';
import { PlanOpening } from './plan-opening';
import { type OpeningShown, PlanOpeningSheet } from './plan-opening-sheet';
import { PlanPublish, type PublishTouches } from './plan-publish';
import { PlanRhythm } from './plan-rhythm';
import { PlanScore } from './plan-score';

const SECONDS = 60;
const LOOK_EVERY = 30_000;
/** Sessions of a plan whose reasons are reckoned anew with every answer that comes in. */
const SMALL = 25;
/** Odds under which a slot is hardly ever fit, and over which it always is. */
const [HARDLY, ALWAYS] = [0.05, 0.98];
/** Slots in sight at once, and free ones that are always offered. */
const [SIGHT, FREE] = [7, 2];
/** Change of odds that is worth a line. */
const NEWS = 0.1;

/** The planner: a board that computes, proves, explains and is changed by hand. */
@Component({
  selector: 'bc-planner',
  imports: [
    MatButton,
    MatButtonToggle,
    MatButtonToggleGroup,
    RouterLink,
    ViewState,
    PlanScore,
    PlanRhythm,
    PlanOpening,
    PlanDays,
    PlanGrid,
    PlanTroubles,
    PlanCompare,
    PlanForce,
  ],
  providers: [PlanThinker],
  templateUrl: './planner.html',
  styleUrl: './planner.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
})
export class Planner {
  private readonly store = inject(Store);
  private readonly desk = inject(ViewDesk);
  private readonly thinker = inject(PlanThinker);
  private readonly dialog = inject(MatDialog);
  private readonly grid = viewChild(PlanGrid);
  protected readonly watched = this.desk.watch('planBoard', () => ({}));
  protected readonly board = this.watched.data;
  /** How skills are practised without bees. */
  private readonly ways = computed(() =>
    Object.fromEntries(this.board()?.skills.flatMap(({ id, indoors }) => (indoors ? [[id, indoors]] : [])) ?? []),
  );
  private readonly told = this.store.selectSignal(planJobFeature.selectJob);
  protected readonly asking = this.store.selectSignal(planJobFeature.selectAsking);
  protected readonly fault = this.store.selectSignal(planJobFeature.selectFault);
  protected readonly drafts = this.store.selectSignal(planJobFeature.selectDrafts);
  private readonly aside = this.store.selectSignal(planJobFeature.selectAside);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  private readonly sheet = inject(MatBottomSheet);
  protected readonly phone = onPhone();
  /** On a phone the plan is read by day; the board is one press away. */
  protected readonly look = signal<'days' | 'board'>('days');
  protected readonly ownName = computed(() => {
    const person = this.person();
    return person?.role === 'supervisor' ? (person.name.split(' ')[0] ?? '') : '';
  });
  protected readonly mayPlan = computed(() => this.person()?.role === 'lead');
  private readonly publishedNow = this.desk.lastAnswer('publishPlan');

  protected readonly job = computed(() => this.told() ?? this.board()?.job ?? null);
  protected readonly busy = computed(() => this.asking() || ['waiting', 'running'].includes(this.job()?.status ?? ''));
  protected readonly stale = computed(() => {
    const board = this.board();
    return board !== null && board.published !== null && board.published.forecast !== board.forecast.issuedAt;
  });
  /** The plan that people were told, and the best that the job has found, as far as their slots are still there. */
  private readonly toldPlan = computed(() => this.board()?.told ?? null);
  private readonly found = computed(() => {
    const [board, plan] = [this.board(), this.job()?.plan ?? null];
    return board !== null && plan !== null && fits(board, plan) ? plan : null;
  });
  /** What the board shows: changes made by hand, else what people were told if the forecast is a new one, else the best. */
  protected readonly plan = computed((): Assignments | null => {
    const board = this.board();
    if (!board) return null;
    const draft = this.drafts().at(-1)?.plan;
    if (draft && fits(board, draft)) return draft;
    return this.stale() ? this.toldPlan() : (this.found() ?? this.toldPlan());
  });

  protected readonly other = linkedSignal<boolean, string | null>({
    source: computed(() => this.stale() && this.found() !== null),
    computation: (stale) => (stale ? 'found' : null),
  });
  protected readonly others = computed(() => [
    ...(this.found() === null ? [] : [{ id: 'found', name: $localize`the best that was found` }]),
    { id: 'told', name: $localize`what people were told` },
    ...this.aside().map(({ name }, at) => ({ id: `aside ${at}`, name })),
  ]);
  private readonly otherPlan = computed((): Assignments | null => {
    const [board, id] = [this.board(), this.other()];
    if (board === null || id === null) return null;
    if (id === 'found') return this.found();
    if (id === 'told') return this.toldPlan();
    const aside = this.aside()[Number(id.slice('aside '.length))]?.plan ?? null;
    return aside !== null && fits(board, aside) ? aside : null;
  });
  protected readonly comparison = signal<Answers['comparison'] | null>(null);
  protected readonly kept = computed(() => {
    const other = this.otherPlan()?.sessions ?? [];
    return (this.plan()?.sessions ?? []).filter((each) =>
      other.some(({ group, slot }) => group === each.group && slot === each.slot),
    ).length;
  });
  protected readonly compareTitle = computed(() => {
    const board = this.board();
    const issued = board?.forecast.issuedAt ?? null;
    return this.stale() && issued !== null
      ? $localize`What the ${timeOf(issued, board?.slots[0]?.zone ?? 'utc')} forecast changes`
      : $localize`Compare two plans`;
  });
  protected readonly news = computed(() => {
    const board = this.board();
    const before = board?.published?.fits;
    if (!board || !before || !this.stale()) return [];
    const slots = new Set(board.told.sessions.map(({ slot }) => slot));
    return board.slots
      .filter(({ id, fit }) => slots.has(id) && Math.abs(fit - (before[id] ?? fit)) >= NEWS)
      .map(
        ({ id, fit }) =>
          $localize`${this.say()(id)}\: full in ${oddsText(before[id] ?? fit)}, now in ${oddsText(fit)}.`,
      );
  });

  protected readonly chosen = signal<PlanItem | null>(null);
  protected readonly why = signal<Answers['why'] | null>(null);
  protected readonly places = signal<Answers['places'] | null>(null);
  protected readonly wet = signal<Answers['wet-day']>(null);
  /** `null` while it is not known for the plan that is shown. */
  protected readonly notPlaced = signal<readonly WhyNot[] | null>(null);
  /** Worth of the plan on the board; null until it is known. */
  protected readonly worth = signal<number | null>(null);
  protected readonly isBest = computed(() => {
    const [plan, found] = [this.plan(), this.found()];
    return plan !== null && found !== null && keyOf(plan) === keyOf(found);
  });
  protected readonly problem = computed(() => this.board()?.problem as PlanningProblem | undefined);
  protected readonly numbers = computed(() => new Map(this.board()?.hives.map(({ id, number }) => [id, number])));
  protected readonly troubles = signal<readonly Trouble[]>([]);
  protected readonly broken = computed(() => this.troubles().filter(({ kind }) => kind === 'broken-rule').length);
  protected readonly only = signal<Trouble['kind'] | null>(null);
  private readonly reasons = signal<readonly OpeningReason[]>([]);
  protected readonly offers = signal<ReadonlyMap<string, Offer>>(new Map());
  protected readonly words = signal('');
  protected readonly points = pointsText;
  protected readonly names = computed(() => namesOf(this.board()));
  protected readonly say = computed(() => inWords(this.board()));

  /** Slots that are shown: those of the plan with the likeliest free ones, those that somebody could use, or all. */
  protected readonly which = signal<'likely' | 'usable' | 'all'>('likely');
  private readonly offered = computed(() => {
    const [board, plan, other] = [this.board(), this.plan(), this.otherPlan()];
    if (!board) return { likely: [], usable: [], all: [] };
    const used = new Set(
      [plan, other].flatMap((each) => [...(each?.sessions ?? []), ...(each?.staff ?? [])]).map(({ slot }) => slot),
    );
    const led = new Set(board.problem.supervisors.flatMap(({ slots }) => slots));
    const free = new Set(board.problem.groups.flatMap(({ slots }) => slots).filter((slot) => led.has(slot)));
    const usable = board.slots.filter(({ id }) => used.has(id) || free.has(id));
    const likeliest = usable.filter(({ id }) => !used.has(id)).sort((a, b) => b.fit - a.fit);
    const added = new Set(likeliest.slice(0, Math.max(FREE, SIGHT - used.size)).map(({ id }) => id));
    return { likely: usable.filter(({ id }) => used.has(id) || added.has(id)), usable, all: board.slots };
  });
  private readonly usable = computed(() => this.offered()[this.which()]);
  protected readonly choices = computed(() => {
    const { likely, usable, all } = this.offered();
    return [
      { which: 'likely', count: likely.length, words: $localize`Planned and likely ${likely.length}` },
      { which: 'usable', count: usable.length, words: $localize`Usable ${usable.length}` },
      { which: 'all', count: all.length, words: $localize`All slots ${all.length}` },
    ].filter(({ count }, at, list) => at === 0 || count > list[at - 1]!.count);
  });
  /** Where the trouble that is looked at lies. */
  private readonly spots = computed(() => this.troubles().filter(({ kind }) => kind === this.only()));
  private readonly shown = computed(
    () => {
      const slots = new Set(this.spots().flatMap(({ slot }) => slot ?? []));
      return this.usable().filter(({ id }) => slots.size === 0 || slots.has(id));
    },
    { equal: sameItems },
  );

  private readonly heads = computed(
    () =>
      new Map(
        (this.board()?.slots ?? []).map((slot) => [
          slot.id,
          {
            ...slot,
            day: shortDate(slot.date),
            hours: `${timeOf(slot.startsAt, slot.zone)}–${timeOf(slot.endsAt, slot.zone)}`,
            odds: fitText(slot.fit),
          },
        ]),
      ),
  );
  protected readonly slots = computed(() => this.shown().map(({ id }) => this.heads().get(id)!), { equal: sameItems });

  private drawn: readonly Row[] = [];
  protected readonly rows = computed(() => {
    const [board, plan] = [this.board(), this.plan()];
    if (!board || !plan) return [];
    const groups = new Set(this.spots().flatMap(({ group }) => group ?? []));
    const slots = this.shown().map(({ id }) => id);
    const rows = rowsOf(board, this.names(), slots, plan, this.otherPlan(), this.reasons());
    this.drawn = keepAlike(this.drawn, rows);
    return this.drawn.filter(({ id }) => groups.size === 0 || (id !== null && groups.has(id)));
  });

  protected readonly changed = computed(() => {
    const [plan, told] = [this.plan(), this.toldPlan()];
    return plan !== null && told !== null && keyOf(plan) !== keyOf(told);
  });
  protected readonly hopeless = computed(() => {
    const board = this.board();
    return board?.hopeless ? { says: HOPELESS_WORDS[board.hopeless], indoors: WEATHER.has(board.hopeless) } : null;
  });
  protected readonly conflict = computed(() => {
    const conflict = this.board()?.conflict;
    return conflict ? { ...conflict, rules: conflict.rules.map(({ says }) => says) } : null;
  });

  constructor() {
    // Others pin and publish meanwhile.
    const look = setInterval(() => {
      if (document.visibilityState === 'visible' && !this.busy() && !this.publishing()) this.watched.reload();
    }, LOOK_EVERY);
    inject(DestroyRef).onDestroy(() => clearInterval(look));
    let restored = false;
    effect(() => {
      const [owner, drafts] = [this.person(), this.drafts()];
      if (!owner) return;
      const kept = restored || drafts.length > 0 ? [] : keptDrafts(owner.id);
      restored = true;
      if (kept.length > 0) this.store.dispatch(PlanJobEvents.draftsFound({ drafts: kept }));
      else keepDrafts(owner.id, drafts);
    });
    effect(() => {
      const problem = this.problem();
      if (problem) void this.thinker.ask({ about: 'problem', problem });
    });
    effect(() => {
      const stored = this.board()?.job;
      if (stored && ['waiting', 'running'].includes(stored.status) && !untracked(this.told))
        this.store.dispatch(PlanJobEvents.watched({ id: stored.id }));
    });
    effect(() => {
      const [plan, board] = [this.plan(), this.board()];
      this.notPlaced.set(null);
      if (!plan || !board) return;
      const openings = plan.sessions.length + plan.staff.length;
      if (this.busy() && openings > SMALL) return;
      void this.thinker.askLatest({ about: 'reasons', plan }).then((answer) => answer && this.reasons.set(answer));
      void this.thinker.askLatest({ about: 'troubles', plan }).then((answer) => answer && this.troubles.set(answer));
      if (this.busy()) return;
      void this.thinker.askLatest({ about: 'not-placed', plan }).then((answer) => answer && this.notPlaced.set(answer));
    });
    effect(() => {
      const plan = this.plan();
      this.worth.set(null);
      if (!plan || this.isBest()) return;
      void this.thinker.askLatest({ about: 'worth', plan }).then((answer) => answer && this.worth.set(answer.worth));
    });
    effect(() => {
      const [plan, item] = [this.plan(), this.chosen()];
      this.why.set(null);
      this.places.set(null);
      if (!plan || !item || !holds(plan, item)) return;
      void this.thinker.askLatest({ about: 'why', plan, item }).then((answer) => answer && this.why.set(answer));
      if (untracked(this.mayPlan))
        void this.thinker
          .askLatest({ about: 'places', plan, item })
          .then((answer) => answer && this.places.set(answer));
    });
    effect(() => {
      const [plan, item] = [this.plan(), this.chosen()];
      this.wet.set(null);
      const session = item?.kind === 'hive' && plan !== null ? sessionAt(plan, item) : undefined;
      if (!plan || !session) return;
      void this.thinker
        .askLatest({ about: 'wet-day', plan, session, ways: untracked(this.ways) })
        .then((answer) => answer && this.wet.set(answer));
    });
    effect(() => {
      const [plan, other] = [this.plan(), this.otherPlan()];
      this.comparison.set(null);
      if (!plan || !other) return;
      void this.thinker
        .askLatest({ about: 'comparison', plan, other })
        .then((answer) => answer && this.comparison.set(answer));
    });
    effect(() => {
      const answer = this.publishedNow() as { version: number; told: number } | null;
      if (answer === null || !untracked(this.publishing)) return;
      this.publishing.set(false);
      this.store.dispatch(PlanJobEvents.published());
      this.words.set(
        answer.told === 1
          ? $localize`Version ${answer.version} is published. One person was told.`
          : $localize`Version ${answer.version} is published. ${answer.told} people were told.`,
      );
    });
    effect(() => {
      if (this.watched.refused().length === 0 || !untracked(this.publishing)) return;
      this.publishing.set(false);
      this.words.set($localize`Not published. Your plan is kept and compared with what people were told.`);
      this.other.set('told');
      this.watched.reload();
    });
  }

  protected hiveOf(item: PlanItem): string {
    if (item.kind === 'session') return $localize`this session`;
    return (this.names().get(item.hive) ?? $localize`this hive`).toLowerCase();
  }

  protected placeOf(item: PlanItem): string {
    const slot = this.heads().get(item.slot);
    const who = item.kind === 'staff' ? $localize`Staff` : (this.names().get(item.group) ?? '');
    return [who, slot?.day, slot?.hours, slot?.site].filter(Boolean).join(', ');
  }

  /** Opens what is known of an opening from below. */
  protected show(item: PlanItem): void {
    this.chosen.set(item);
    const data: OpeningShown = {
      item,
      hive: this.hiveOf(item),
      place: this.placeOf(item),
      odds: upperFirst(this.heads().get(item.slot)?.odds ?? ''),
      why: this.why.asReadonly(),
      wet: this.wet.asReadonly(),
      skills: this.board()?.skills ?? [],
      say: this.say(),
    };
    this.sheet
      .open<PlanOpeningSheet, OpeningShown>(PlanOpeningSheet, { data, ariaLabel: $localize`Why ${data.hive}` })
      .afterDismissed()
      .subscribe(() => this.chosen.set(null));
  }

  protected ask(): void {
    const seed = 1 + Math.floor((Date.parse(this.board()?.forecast.issuedAt ?? '2026-01-01') / 60_000) % 1_000_000);
    this.store.dispatch(PlanJobEvents.asked({ id: uuid(), seconds: SECONDS, seed }));
  }

  protected stop(): void {
    const job = this.job();
    if (job && !this.asking()) this.store.dispatch(PlanJobEvents.stopAsked({ id: job.id }));
  }

  protected resume(): void {
    const job = this.job();
    if (job) this.store.dispatch(PlanJobEvents.resumeAsked({ id: job.id, seconds: SECONDS }));
  }

  /** Prices the cells for a hive that is picked up. */
  protected async carry(item: PlanItem | null): Promise<void> {
    this.offers.set(new Map());
    const plan = this.plan();
    if (item === null) this.words.set($localize`Put back.`);
    if (item === null || plan === null) return;
    const carried = this.names().get(item.kind === 'session' ? '' : item.hive);
    this.words.set(carried ? $localize`${carried} picked up.` : $localize`Picked up.`);
    const answer = await this.thinker.askLatest({ about: 'cells', plan, item });
    if (answer) this.offers.set(new Map(answer.map(({ lock, price, says }) => [lockKey(lock), { price, says }])));
  }

  /** Says what the carried hive would cost in a cell, with the plan mended around it. */
  protected async weigh({ cell, item, lock }: { cell: string; item: PlanItem; lock: PlanLock }): Promise<void> {
    const plan = this.plan();
    if (plan === null) return;
    const say = this.say();
    const where = `${lock.staff === true ? $localize`Staff` : say(lock.group)}, ${say(lock.slot)}`;
    const rule = this.offers().get(cell)?.says ?? '';
    this.words.set(`${where}: ${rule === '' ? '…' : say(rule)}`);
    const answer = await this.thinker.askLatest({ about: 'price', plan, item, lock });
    if (answer === null) return;
    const { price } = answer;
    if (price === null) {
      this.words.set(
        rule === ''
          ? $localize`${where}\: no, a rule or a fixed slot does not allow it.`
          : $localize`${where}\: no, ${say(rule)}`,
      );
      return;
    }
    this.offers.update((offers) => new Map([...offers, [cell, { price, says: '' }]]));
    this.words.set(
      rule === ''
        ? $localize`${where}\: ${pointsText(-price)} points.`
        : $localize`${where}\: ${pointsText(-price)} points after the other sessions adjust.`,
    );
  }

  /** Moves a hive: the plan is mended around it, and the price is shown. */
  protected async force(item: PlanItem | null, lock: PlanLock): Promise<void> {
    const plan = this.plan();
    if (!plan) return;
    const forced = await this.thinker.ask({ about: 'force', plan, item, lock });
    if (forced === null) {
      const rule = this.offers().get(lockKey(lock))?.says ?? '';
      this.words.set(
        rule === ''
          ? $localize`Not moved: a rule or a fixed slot does not allow this.`
          : $localize`Not moved: ${this.say()(rule)}`,
      );
      return;
    }
    const { price } = forced;
    const points = $localize`${Math.abs(price).toFixed(1)} points`;
    const words =
      Math.abs(price) < 0.05
        ? $localize`Moved, at no cost`
        : $localize`Moved, ${points} ${price > 0 ? $localize`less` : $localize`more`}`;
    this.store.dispatch(PlanJobEvents.draftChanged({ plan: plain(forced.plan), words }));
    if (item) this.releasePins(item);
    this.words.set(words);
    this.chosen.set(
      lock.staff === true
        ? { kind: 'staff', slot: lock.slot, hive: lock.hive }
        : {
            kind: 'hive',
            group: lock.group,
            slot: lock.slot,
            hive: lock.hives?.[0] ?? sessionAt(forced.plan, lock)?.hives[0] ?? '',
          },
    );
    // The button that was pressed goes with the old prices: the focus follows the hive.
    this.grid()?.focusChosen();
  }

  /** Settles a trouble by one change, with nothing else touched. */
  protected mend({ way, words }: { way: WayOut; words: string }): void {
    this.store.dispatch(PlanJobEvents.draftChanged({ plan: plain(way.plan), words }));
    this.words.set($localize`Done\: ${words}, ${pointsText(-way.price)} points.`);
  }

  /** A pin does not hold back what was moved away from it by hand. */
  private releasePins(item: PlanItem): void {
    for (const { id, what } of this.board()?.pins ?? []) {
      if (!('pin' in what)) continue;
      if (released(what.pin, item) !== what.pin) this.withdraw(id);
    }
  }

  /** Makes some of the steps to the plan that is compared with. */
  protected async take(take: Extract<Question, { about: 'step' }>['take']): Promise<void> {
    const [plan, steps] = [this.plan(), this.comparison()?.steps];
    if (!plan || !steps) return;
    const answer = await this.thinker.ask({ about: 'step', plan, steps, take });
    const words = answer.made === 1 ? $localize`Made one move` : $localize`Made ${answer.made} moves`;
    this.store.dispatch(PlanJobEvents.draftChanged({ plan: plain(answer.plan), words }));
    this.words.set(words);
  }

  protected readonly slotChoices = computed(() =>
    [...this.heads().values()].map(({ id, day, hours, site }) => ({ id, name: `${day}, ${hours}, ${site}` })),
  );

  /** Says what forcing something would cost. */
  protected async quote(lock: PlanLock): Promise<void> {
    const plan = this.plan();
    if (plan === null || lock.staff === true) return;
    const where = [lock.group, lock.slot].map(this.say()).join(', ');
    this.words.set(`${where}: …`);
    const answer = await this.thinker.ask({ about: 'force', plan, item: null, lock });
    const why = this.board()?.away[`${lock.group} ${lock.slot}`] ?? $localize`a rule or a fixed slot does not allow it`;
    this.words.set(
      answer === null ? $localize`${where}\: no, ${why}.` : $localize`${where}\: ${pointsText(-answer.price)} points.`,
    );
  }

  /** Pins a session of a group in a slot, whatever it opens, or forbids it. */
  protected rule(kind: 'pin' | 'forbid', { group, slot }: Placed): void {
    const what = kind === 'pin' ? { pin: { group, slot } } : { forbid: { group, slot } };
    this.desk.change('pinPlan', { body: { id: uuid(), what } }, 'planBoard');
    const words = kind === 'pin' ? $localize`the next plan includes it.` : $localize`the next plan keeps clear of it.`;
    this.words.set(`${[group, slot].map(this.say()).join(', ')}: ${words}`);
  }

  protected showTold(): void {
    const told = this.toldPlan();
    if (told)
      this.store.dispatch(PlanJobEvents.draftChanged({ plan: told, words: $localize`Back to what people were told` }));
    this.words.set($localize`What people were told. Undo goes back.`);
  }

  protected setAside(): void {
    const plan = this.plan();
    if (!plan) return;
    const { sessions, staff } = plan;
    const name = $localize`copy ${this.aside().length + 1}\: ${sessions.length} sessions, ${staff.length} staff visits`;
    this.store.dispatch(PlanJobEvents.setAside({ plan: plain(plan), name }));
    this.words.set($localize`Saved for comparing\: ${name}.`);
  }

  protected pin(): void {
    const item = this.chosen();
    if (!item || item.kind === 'session') return;
    const what =
      item.kind === 'staff'
        ? { pin: { staff: true as const, hive: item.hive, slot: item.slot } }
        : { pin: { group: item.group, slot: item.slot, hives: [item.hive] } };
    this.desk.change('pinPlan', { body: { id: uuid(), what } }, 'planBoard');
    this.words.set($localize`Fixed\: the next plan keeps it.`);
  }

  protected leaveOut(): void {
    const [item, plan] = [this.chosen(), this.plan()];
    if (!item || item.kind === 'session' || !plan) return;
    const forbid =
      item.kind === 'staff'
        ? { slot: item.slot, hive: item.hive }
        : { group: item.group, slot: item.slot, hive: item.hive };
    this.desk.change('pinPlan', { body: { id: uuid(), what: { forbid } } }, 'planBoard');
    this.store.dispatch(PlanJobEvents.draftChanged({ plan: plain(without(plan, item)), words: $localize`Excluded` }));
    this.words.set($localize`Excluded\: re-plan to fill the gap.`);
    this.chosen.set(null);
  }

  protected withdraw(pin: string): void {
    this.desk.change('unpinPlan', { params: { pin } }, 'planBoard');
  }

  protected undo(): void {
    const last = this.drafts().at(-1);
    if (!last) return;
    this.store.dispatch(PlanJobEvents.undone());
    this.words.set($localize`Undone\: ${last.words}`);
  }

  protected readonly publishing = signal(false);
  protected readonly mayPublish = computed(
    () => !this.busy() && !this.publishing() && this.changed() && this.broken() === 0,
  );

  protected publish(): void {
    const data = this.touched();
    this.dialog
      .open<PlanPublish, PublishTouches, string | null>(PlanPublish, { data })
      .afterClosed()
      .subscribe((note) => {
        if (note !== null && note !== undefined) this.send(note);
      });
  }

  /** Groups and supervisors whose sessions are not as they were told. */
  private touched(): PublishTouches {
    const [plan, told, board] = [this.plan(), this.toldPlan(), this.board()];
    if (!plan || !told || !board) return { who: [], people: 0 };
    const sessions = differencesBetween(told, plan).flatMap(({ leave, come }) => [...leave.sessions, ...come.sessions]);
    const groups = board.groups.filter(({ id }) => sessions.some(({ group }) => group === id));
    const leaders = board.supervisors.filter(({ id }) => sessions.some(({ supervisor }) => supervisor === id));
    return {
      who: [...groups, ...leaders].map(({ name }) => name),
      people: groups.reduce((all, { size }) => all + size, leaders.length),
    };
  }

  private send(reason: string): void {
    const [plan, board] = [this.plan(), this.board()];
    if (!plan || !board) return;
    // Kept as a change by hand until the server has it: a refusal loses nothing.
    this.store.dispatch(PlanJobEvents.draftChanged({ plan: plain(plan), words: $localize`Sent to be published` }));
    this.publishing.set(true);
    const body = {
      id: uuid(),
      after: board.published?.version ?? null,
      forecast: board.forecast.issuedAt,
      sessions: plan.sessions,
      staff: plan.staff,
      reason,
    };
    this.desk.change('publishPlan', { body }, 'planBoard', false);
    this.words.set($localize`Publishing …`);
  }

  protected pinWords(what: PlanBoard['pins'][number]['what']): string {
    const part = 'pin' in what ? what.pin : what.forbid;
    const names = this.names();
    const hives = 'hives' in part && part.hives ? part.hives : 'hive' in part && part.hive ? [part.hive] : [];
    const who =
      'group' in part && part.group ? names.get(part.group) : 'staff' in part && part.staff ? $localize`Staff` : null;
    const slot = part.slot ? names.get(part.slot) : null;
    const words = [who, slot, ...hives.map((hive) => names.get(hive))];
    return `${'pin' in what ? $localize`Fixed` : $localize`Excluded`}: ${words.filter(Boolean).join(', ')}`;
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || !this.mayPlan()) return;
    const target = event.target as HTMLElement;
    if (['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName)) return;
    const key = event.key.toLowerCase();
    if (key === 'f') this.pin();
    else if (key === 'x') this.leaveOut();
    else if (key === 'u') this.undo();
    else return;
    event.preventDefault();
  }
}

const HOPELESS_WORDS: Readonly<Record<NonNullable<PlanBoard['hopeless']>, string>> = {
  'no-fit-hours': $localize`No hour of these days is fit for opening hives, not even in one forecast in twenty: the planned sessions cannot be held outdoors. Check again when the next forecast is in, or hold the session indoors.`,
  'no-slots': $localize`No hours of the coming days are likely to be fit for opening hives. Check again when the next forecast is in, or lower the odds your school asks for.`,
  'no-groups': $localize`There is no group to plan for.`,
  'no-supervisors': $localize`No supervisor can come in any of these hours. Change when they can come.`,
  'nobody-can-come': $localize`No hours suit a group and a supervisor together. Change when they can come.`,
  'no-hive-can-be-opened': $localize`Every colony is resting or must stay closed in the hours that suit. What is due shows from when each may be opened.`,
};

/** What an indoor session is an answer to. */
const WEATHER: ReadonlySet<PlanBoard['hopeless']> = new Set(['no-slots', 'no-fit-hours']);

const fitText = (fit: number): string =>
  fit < HARDLY ? $localize`hardly ever fit` : fit > ALWAYS ? $localize`always fit` : $localize`fit ${oddsText(fit)}`;

/** Whether two lists have the same things in the same order. */
const sameItems = <T>(a: readonly T[], b: readonly T[]) =>
  a.length === b.length && a.every((item, at) => item === b[at]);

const lockKey = (lock: PlanLock) => cellKey(lock.staff === true ? null : lock.group, lock.slot);

function fits(board: PlanBoard, plan: Assignments): boolean {
  const slots = new Set(board.slots.map(({ id }) => id));
  const hives = new Set(board.hives.map(({ id }) => id));
  return (
    plan.sessions.every((each) => slots.has(each.slot) && each.hives.every((hive) => hives.has(hive))) &&
    plan.staff.every(({ slot, hive }) => slots.has(slot) && hives.has(hive))
  );
}

const sessionAt = ({ sessions }: Assignments, { group, slot }: Placed) =>
  sessions.find((each) => each.group === group && each.slot === slot);

/** A plan without what it is worth, as a change by hand is kept. */
const plain = ({ sessions, staff }: Assignments): Assignments => ({ sessions, staff });

/** What people would notice of a plan. */
const keyOf = ({ sessions, staff }: Assignments): string =>
  [
    ...sessions.map(({ group, slot, supervisor, hives }) => `${group} ${slot} ${supervisor} ${hives.join()}`),
    ...staff.map(({ slot, hive }) => `staff ${slot} ${hive}`),
  ]
    .sort()
    .join('|');
