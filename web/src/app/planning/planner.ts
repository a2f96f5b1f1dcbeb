import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  Injector,
  afterNextRender,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { PlanBoard } from '@brave-comb/contract';
import {
  type InspectionPlan,
  objectiveOf,
  type PlanItem,
  type PlanLock,
  planOf,
  type PlanningProblem,
  type WhyNot,
  without,
} from '@brave-comb/core/planning';
import { Store } from '@ngrx/store';
import { v7 as uuid } from 'uuid';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../season/view-desk';
import { ViewState } from '../season/view-state';
import { oddsText, shortDate, timeOf } from '../shell/format';
import { PlanCourse } from './plan-course';
import { PlanJobEvents, planJobFeature } from './plan-job.feature';
import { PlanThinker } from './plan-thinker';
import type { Answers } from './plan-thoughts';
import { PlanWhy } from './plan-why';

const SECONDS = 60;

interface Token {
  readonly hive: string;
  readonly number: string;
  readonly pinned: boolean;
}
interface Cell {
  readonly slot: string;
  readonly group: string | null;
  readonly tokens: readonly Token[];
  readonly supervisor: string;
  /** Why nobody of the row can come. */
  readonly away: string | null;
  readonly unsure: boolean;
}

/** The planner board: slots across, groups down, hives as tokens. */
@Component({
  selector: 'bc-planner',
  imports: [MatIcon, ViewState, PlanCourse, PlanWhy],
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
  private readonly injector = inject(Injector);
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  protected readonly watched = this.desk.watch('planBoard', () => ({}));
  protected readonly board = this.watched.data;
  protected readonly told = this.store.selectSignal(planJobFeature.selectJob);
  protected readonly fault = this.store.selectSignal(planJobFeature.selectFault);
  protected readonly drafts = this.store.selectSignal(planJobFeature.selectDrafts);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly mayPlan = computed(() => this.person()?.role === 'lead');

  protected readonly job = computed(() => {
    const [told, stored] = [this.told(), this.board()?.job ?? null];
    return told ?? stored;
  });
  protected readonly busy = computed(() => ['waiting', 'running'].includes(this.job()?.status ?? ''));
  /** What the board shows: changes made by hand, else the best plan of the job, else the published one. */
  protected readonly plan = computed((): InspectionPlan | null => {
    const board = this.board();
    if (!board) return null;
    const found = this.job()?.plan ?? null;
    return this.drafts().at(-1)?.plan ?? (found !== null && this.fits(board, found) ? found : toldPlan(board));
  });
  protected readonly chosen = signal<PlanItem | null>(null);
  protected readonly why = signal<Answers['why'] | null>(null);
  protected readonly places = signal<Answers['places'] | null>(null);
  protected readonly notPlaced = signal<readonly WhyNot[]>([]);
  protected readonly words = signal('');
  private readonly names = computed(() => namesOf(this.board()));

  protected readonly all = signal(false);
  /** Slots in the plan, and those that a group and a supervisor could use; all of them on request. */
  private readonly shown = computed(() => {
    const board = this.board();
    const plan = this.plan();
    if (!board) return [];
    const used = new Set([...(plan?.sessions ?? []), ...(plan?.staff ?? [])].map(({ slot }) => slot));
    const led = new Set(board.problem.supervisors.flatMap(({ slots }) => slots));
    const open = new Set(board.problem.groups.flatMap(({ slots }) => slots.filter((slot) => led.has(slot))));
    return board.slots.filter(({ id }) => this.all() || used.has(id) || open.has(id));
  });
  protected readonly hidden = computed(() => (this.board()?.slots.length ?? 0) - this.shown().length);

  protected readonly slots = computed(() => {
    const used = new Set([...(this.plan()?.sessions ?? []), ...(this.plan()?.staff ?? [])].map(({ slot }) => slot));
    return this.shown().map((slot) => ({
      ...slot,
      day: shortDate(slot.date),
      hours: `${timeOf(slot.startsAt, slot.zone)}–${timeOf(slot.endsAt, slot.zone)}`,
      odds: oddsText(slot.fit),
      used: used.has(slot.id),
    }));
  });

  protected readonly rows = computed(() => {
    const board = this.board();
    const plan = this.plan();
    if (!board || !plan) return [];
    const numbers = new Map(board.hives.map(({ id, number }) => [id, number]));
    const people = new Map(board.supervisors.map(({ id, name }) => [id, name.split(' ')[0] ?? name]));
    const locks = board.problem.locks as readonly PlanLock[];
    const pinned = (group: string | null, slot: string, hive: string) =>
      locks.some((lock) =>
        lock.staff === true
          ? group === null && lock.slot === slot && lock.hive === hive
          : lock.group === group &&
            lock.slot === slot &&
            ((lock.hives ?? []).length === 0 || lock.hives?.includes(hive) === true),
      );
    const token = (group: string | null, slot: string, hive: string): Token => ({
      hive,
      number: numbers.get(hive) ?? '?',
      pinned: pinned(group, slot, hive),
    });
    const groups = board.groups.map((group) => ({
      id: group.id,
      name: group.name,
      about: [`${group.size} trainees`, `${group.openSkills} skills open`],
      cells: this.shown().map((slot): Cell => {
        const session = plan.sessions.find((each) => each.group === group.id && each.slot === slot.id);
        return {
          slot: slot.id,
          group: group.id,
          tokens: (session?.hives ?? []).map((hive) => token(group.id, slot.id, hive)),
          supervisor: people.get(session?.supervisor ?? '') ?? '',
          away: board.away[`${group.id} ${slot.id}`] ?? null,
          unsure: slot.fit < 0.6,
        };
      }),
    }));
    const staff = {
      id: null,
      name: 'Staff',
      about: ['alone', 'care only'],
      cells: this.shown().map((slot): Cell => ({
        slot: slot.id,
        group: null,
        tokens: plan.staff.filter((each) => each.slot === slot.id).map(({ hive }) => token(null, slot.id, hive)),
        supervisor: '',
        away: null,
        unsure: slot.fit < 0.6,
      })),
    };
    return [...groups, staff];
  });

  protected readonly changed = computed(() => {
    const plan = this.plan();
    const board = this.board();
    if (!plan || !board) return false;
    const key = (sessions: readonly { group: string; slot: string; hives: readonly string[] }[]) =>
      sessions
        .map(({ group, slot, hives }) => `${group} ${slot} ${[...hives].sort().join()}`)
        .sort()
        .join('|');
    return key(plan.sessions) !== key(board.problem.published?.sessions ?? []) || plan.staff.length > 0;
  });
  protected readonly hopeless = computed(() => {
    const board = this.board();
    return board?.hopeless ? HOPELESS_WORDS[board.hopeless] : null;
  });
  protected readonly conflict = computed(() => {
    const conflict = this.board()?.conflict;
    return conflict ? { ...conflict, rules: conflict.rules.map(({ says }) => this.named(says)) } : null;
  });

  constructor() {
    effect(() => {
      const problem = this.board()?.problem as PlanningProblem | undefined;
      if (problem) void this.thinker.ask({ about: 'problem', problem });
    });
    effect(() => {
      const stored = this.board()?.job;
      if (stored && ['waiting', 'running'].includes(stored.status) && !untracked(this.told))
        this.store.dispatch(PlanJobEvents.watched({ id: stored.id }));
    });
    effect(() => {
      const [plan, board] = [this.plan(), this.board()];
      if (!plan || !board || this.busy()) return;
      void this.thinker.ask({ about: 'not placed', plan }).then((answer) => this.notPlaced.set(answer));
    });
    effect(() => {
      const [plan, item] = [this.plan(), this.chosen()];
      this.why.set(null);
      this.places.set(null);
      if (!plan || !item || !holds(plan, item)) return;
      void this.thinker.ask({ about: 'why', plan, item }).then((answer) => this.why.set(answer));
      if (untracked(this.mayPlan))
        void this.thinker.ask({ about: 'places', plan, item }).then((answer) => this.places.set(answer));
    });
  }

  private fits(board: PlanBoard, plan: InspectionPlan): boolean {
    const slots = new Set(board.slots.map(({ id }) => id));
    return [...plan.sessions, ...plan.staff].every(({ slot }) => slots.has(slot));
  }

  protected named(words: string): string {
    return [...this.names()].reduce((text, [id, name]) => text.replaceAll(id, name), words);
  }

  protected titleOf(item: PlanItem): string {
    const hive = item.kind === 'session' ? 'this session' : (this.names().get(item.hive) ?? 'this hive').toLowerCase();
    return `Why ${hive}`;
  }

  protected placeOf(item: PlanItem): string {
    const slot = this.slots().find(({ id }) => id === item.slot);
    const who = item.kind === 'staff' ? 'Staff' : (this.names().get(item.group) ?? '');
    return `${who}, ${slot?.day ?? ''}, ${slot?.hours ?? ''}, ${slot?.site ?? ''}`;
  }

  protected ask(): void {
    const seed = 1 + Math.floor((Date.parse(this.board()?.forecast.issuedAt ?? '2026-01-01') / 60_000) % 1_000_000);
    this.store.dispatch(PlanJobEvents.asked({ id: uuid(), seconds: SECONDS, seed }));
  }

  protected stop(): void {
    const job = this.job();
    if (job) this.store.dispatch(PlanJobEvents.stopAsked({ id: job.id }));
  }

  protected resume(): void {
    const job = this.job();
    if (job) this.store.dispatch(PlanJobEvents.resumeAsked({ id: job.id, seconds: SECONDS }));
  }

  protected choose(cell: Cell, hive: string): void {
    this.chosen.set(
      cell.group === null
        ? { kind: 'staff', slot: cell.slot, hive }
        : { kind: 'hive', group: cell.group, slot: cell.slot, hive },
    );
  }

  protected isChosen(cell: Cell, hive: string): boolean {
    const item = this.chosen();
    return (
      item !== null &&
      item.kind !== 'session' &&
      item.slot === cell.slot &&
      item.hive === hive &&
      (item.kind === 'staff' ? cell.group === null : item.group === cell.group)
    );
  }

  /** Moves the chosen hive: the plan is mended around it, and the price is shown. */
  protected async force(lock: PlanLock): Promise<void> {
    const [plan, item] = [this.plan(), this.chosen()];
    if (!plan) return;
    const from = item ? without(plan, item) : plan;
    const forced = await this.thinker.ask({ about: 'force', plan: from, lock });
    if (forced === null) {
      this.words.set('A rule or a pin does not allow this. The reason stands beside the place.');
      return;
    }
    const price = plan.objective - forced.plan.objective;
    const words = price > 0.05 ? `Moved, ${price.toFixed(1)} points less` : `Moved, ${(-price).toFixed(1)} points more`;
    this.store.dispatch(PlanJobEvents.draftChanged({ plan: { ...forced.plan, bound: plan.bound, gap: null }, words }));
    this.words.set(words);
    this.chosen.set(
      lock.staff === true
        ? { kind: 'staff', slot: lock.slot, hive: lock.hive }
        : { kind: 'hive', group: lock.group, slot: lock.slot, hive: lock.hives?.[0] ?? '' },
    );
    // The button that was pressed goes with the old prices: the focus follows the hive.
    const focus = () => this.element.querySelector<HTMLElement>('button.token[aria-pressed="true"]')?.focus();
    afterNextRender({ read: focus }, { injector: this.injector });
  }

  protected pin(): void {
    const item = this.chosen();
    if (!item || item.kind === 'session') return;
    const what =
      item.kind === 'staff'
        ? { pin: { staff: true as const, hive: item.hive, slot: item.slot } }
        : { pin: { group: item.group, slot: item.slot, hives: [item.hive] } };
    this.desk.change('pinPlan', { body: { id: uuid(), what } }, 'planBoard');
    this.words.set('Pinned: the next plan keeps it.');
  }

  protected leaveOut(): void {
    const item = this.chosen();
    if (!item || item.kind === 'session') return;
    const forbid =
      item.kind === 'staff'
        ? { slot: item.slot, hive: item.hive }
        : { group: item.group, slot: item.slot, hive: item.hive };
    this.desk.change('pinPlan', { body: { id: uuid(), what: { forbid } } }, 'planBoard');
    const plan = this.plan();
    if (plan) {
      const left = { ...plan, ...without(plan, item) };
      this.store.dispatch(PlanJobEvents.draftChanged({ plan: left, words: 'Left out' }));
    }
    this.words.set('Left out: plan again to fill the gap.');
    this.chosen.set(null);
  }

  protected withdraw(pin: string): void {
    this.desk.change('unpinPlan', { params: { pin } }, 'planBoard');
  }

  protected undo(): void {
    const last = this.drafts().at(-1);
    if (!last) return;
    this.store.dispatch(PlanJobEvents.undone());
    this.words.set(`Undone: ${last.words}`);
  }

  protected publish(): void {
    const [plan, board] = [this.plan(), this.board()];
    if (!plan || !board) return;
    this.desk.change(
      'publishPlan',
      {
        body: {
          id: uuid(),
          after: board.published?.version ?? null,
          forecast: board.forecast.issuedAt,
          sessions: plan.sessions,
          staff: plan.staff,
          reason: '',
        },
      },
      'planBoard',
      false,
    );
    this.store.dispatch(PlanJobEvents.published());
    this.words.set('Publishing …');
  }

  protected pinWords(what: PlanBoard['pins'][number]['what']): string {
    const part = 'pin' in what ? what.pin : what.forbid;
    const names = this.names();
    const hives = 'hives' in part && part.hives ? part.hives : 'hive' in part && part.hive ? [part.hive] : [];
    const who = 'group' in part && part.group ? names.get(part.group) : 'staff' in part && part.staff ? 'Staff' : null;
    const slot = part.slot ? this.slots().find(({ id }) => id === part.slot) : null;
    const words = [who, slot ? `${slot.day} ${slot.hours}` : null, ...hives.map((hive) => names.get(hive))];
    return `${'pin' in what ? 'Pinned' : 'Left out'}: ${words.filter(Boolean).join(', ')}`;
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey || !this.mayPlan()) return;
    const target = event.target as HTMLElement;
    if (['INPUT', 'SELECT', 'TEXTAREA'].includes(target.tagName)) return;
    if (event.key === 'p' || event.key === 'P') this.pin();
    else if (event.key === 'u' || event.key === 'U') this.undo();
    else if (event.key.startsWith('Arrow')) {
      if (!step(target, event.key)) return;
    } else return;
    event.preventDefault();
  }
}

const HOPELESS_WORDS: Readonly<Record<NonNullable<PlanBoard['hopeless']>, string>> = {
  'no slots':
    'No hours of the coming days are likely fit for opening hives. Look again when the next forecast is in, or lower the odds that the house asks for.',
  'no groups': 'There is no group to plan for.',
  'no supervisors': 'No supervisor can come in any of these hours. Change when they can come.',
  'nobody can come': 'No hours suit a group and a supervisor together. Change when they can come.',
  'no hive can be opened':
    'Every colony rests or must stay shut in the hours that suit. The dues say from when each may be opened.',
};

/** Moves the focus to the nearest token in a direction. */
function step(from: HTMLElement, key: string): boolean {
  const board = from.closest('table');
  if (!board) return false;
  const here = from.getBoundingClientRect();
  const [dx, dy] = key === 'ArrowLeft' ? [-1, 0] : key === 'ArrowRight' ? [1, 0] : key === 'ArrowUp' ? [0, -1] : [0, 1];
  const score = (box: DOMRect) => {
    const [x, y] = [box.left - here.left, box.top - here.top];
    const along = x * dx + y * dy;
    return along <= 4 ? Infinity : along + 4 * Math.abs(dx === 0 ? x : y);
  };
  const [next] = [...board.querySelectorAll<HTMLElement>('button.token')]
    .map((token) => ({ token, score: score(token.getBoundingClientRect()) }))
    .filter((each) => Number.isFinite(each.score))
    .sort((a, b) => a.score - b.score);
  next?.token.focus();
  return next !== undefined;
}

const holds = (plan: InspectionPlan, item: PlanItem): boolean =>
  item.kind === 'staff'
    ? plan.staff.some((each) => each.slot === item.slot && each.hive === item.hive)
    : plan.sessions.some(
        (each) =>
          each.group === item.group &&
          each.slot === item.slot &&
          (item.kind === 'session' || each.hives.includes(item.hive)),
      );

/** The plan as people were told it. */
function toldPlan({ problem, told }: PlanBoard): InspectionPlan {
  const objective = objectiveOf(problem, told);
  return planOf(problem, told, objective, null);
}

function namesOf(board: PlanBoard | null): ReadonlyMap<string, string> {
  if (!board) return new Map();
  return new Map([
    ...board.groups.map(({ id, name }) => [id, name] as const),
    ...board.supervisors.map(({ id, name }) => [id, name] as const),
    ...board.hives.map(({ id, number }) => [id, `Hive ${number}`] as const),
    ...board.slots.map((slot) => [slot.id, `${shortDate(slot.date)}, ${timeOf(slot.startsAt, slot.zone)}`] as const),
  ]);
}
