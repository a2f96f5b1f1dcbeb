import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  Injector,
  input,
  linkedSignal,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { LOW_ODDS, type PlanItem, type PlanLock } from '@brave-comb/core/planning';
import { type Offer, PlanRow } from './plan-row';
import { cellKey, openingKey, type Row } from './plan-rows';

export interface SlotHead {
  readonly id: string;
  readonly day: string;
  readonly hours: string;
  readonly fit: number;
  readonly odds: string;
  readonly site: string;
  readonly temperature: number;
}

/** Width of the groups' names, and the least of a slot, px. */
const [NAME, LEAST] = [112, 152];

const ARROWS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** Slots across, groups down, hives as tokens that can be carried by pointer or keyboard. One stop of the Tab key. */
@Component({
  selector: 'bc-plan-grid',
  imports: [MatIcon, MatIconButton, PlanRow],
  templateUrl: './plan-grid.html',
  styleUrl: './plan-grid.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(keydown)': 'key($event)', '(focusin)': 'enter($event)' },
})
export class PlanGrid {
  private readonly element = inject<ElementRef<HTMLElement>>(ElementRef).nativeElement;
  private readonly injector = inject(Injector);
  readonly slots = input.required<readonly SlotHead[]>();
  readonly rows = input.required<readonly Row[]>();
  readonly chosen = input<PlanItem | null>(null);
  readonly offers = input<ReadonlyMap<string, Offer>>(new Map<string, Offer>());
  readonly mayMove = input(false);
  readonly picked = output<PlanItem>();
  /** A hive is carried from its place; null when it is put back. */
  readonly carried = output<PlanItem | null>();
  readonly over = output<{ readonly cell: string; readonly item: PlanItem; readonly lock: PlanLock }>();
  readonly placed = output<{ readonly item: PlanItem; readonly lock: PlanLock }>();

  protected readonly load = signal<PlanItem | null>(null);
  protected readonly target = signal<string | null>(null);
  protected readonly shownOffers = computed(() => (this.load() === null ? null : this.offers()));
  private readonly chosenKey = computed(() => {
    const item = this.chosen();
    if (item === null || item.kind === 'session') return null;
    return { row: item.kind === 'staff' ? null : item.group, key: `${keyOf(item)} ${item.hive}` };
  });

  protected readonly risky = LOW_ODDS;
  private readonly box = viewChild.required<ElementRef<HTMLElement>>('box');
  private readonly width = signal(NAME + 7 * LEAST);
  private readonly left = signal(0);
  /** Slots that are in sight at a time. */
  private readonly across = computed(() =>
    Math.max(1, Math.min(this.slots().length, Math.floor((this.width() - NAME) / LEAST))),
  );
  private readonly column = computed(() => Math.floor((this.width() - NAME - 2) / this.across()));
  protected readonly columns = computed(() => `${NAME}px repeat(${this.slots().length}, ${this.column()}px)`);
  protected readonly before = computed(() => Math.round(this.left() / this.column()));
  protected readonly last = computed(() => Math.min(this.slots().length, this.before() + this.across()));
  protected readonly after = computed(() => this.slots().length - this.last());

  /** The hive that the Tab key leads to: where somebody was last, else the first. */
  private readonly stop = linkedSignal<readonly Row[], string | null>({
    source: this.rows,
    computation: (rows, was) => {
      const all = rows.flatMap(({ cells }) =>
        cells.flatMap(({ group, slot, tokens }) => tokens.map(({ hive }) => openingKey(group, slot, hive))),
      );
      return was?.value && all.includes(was.value) ? was.value : (all[0] ?? null);
    },
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      const box = this.box().nativeElement;
      if (typeof ResizeObserver === 'undefined') return;
      const watch = new ResizeObserver(() => this.width.set(box.clientWidth));
      watch.observe(box);
      destroyed.onDestroy(() => watch.disconnect());
    });
  }

  protected scrolled(): void {
    this.left.set(this.box().nativeElement.scrollLeft);
  }

  /** Slots further left or right, a sight at a time. */
  protected page(direction: -1 | 1): void {
    const box = this.box().nativeElement;
    box.scrollLeft = (this.before() + direction * this.across()) * this.column();
    this.scrolled();
  }

  protected enter({ target }: FocusEvent): void {
    const opening = (target as HTMLElement).getAttribute('data-opening');
    if (opening !== null) this.stop.set(opening);
  }

  protected stopIn(row: Row): string | null {
    const stop = this.stop();
    return stop?.startsWith(`${row.id ?? 'staff'} `) === true ? stop : null;
  }

  protected chosenIn(row: Row): string | null {
    const chosen = this.chosenKey();
    return chosen !== null && chosen.row === row.id ? chosen.key : null;
  }

  protected targetIn(row: Row): string | null {
    const target = this.target();
    return target?.startsWith(`${row.id ?? 'staff'} `) === true ? target : null;
  }

  protected grab(item: PlanItem): void {
    this.load.set(item);
    this.target.set(null);
    this.carried.emit(item);
  }

  protected aim(cell: string | null): void {
    if (cell === this.target()) return;
    this.target.set(cell);
    const item = this.load();
    const lock = this.lock();
    if (cell !== null && item !== null && lock !== null) this.over.emit({ cell, item, lock });
  }

  protected put(): void {
    const [item, lock] = [this.load(), this.lock()];
    this.load.set(null);
    this.target.set(null);
    if (item !== null && lock !== null) this.placed.emit({ item, lock });
    else this.carried.emit(null);
  }

  /** What putting the carried hive into the cell would be; null at its own place. */
  private lock(): PlanLock | null {
    const [item, target] = [this.load(), this.target()];
    if (item === null || item.kind === 'session' || target === null || target === keyOf(item)) return null;
    const cells = this.rows().flatMap((row) => row.cells);
    const cell = cells.find(({ group, slot }) => cellKey(group, slot) === target);
    if (cell === undefined) return null;
    const { group, slot } = cell;
    return group === null ? { staff: true, slot, hive: item.hive } : { group, slot, hives: [item.hive] };
  }

  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const arrow = ARROWS[event.key];
    const carrying = this.load();
    if (carrying !== null && arrow) this.step(carrying, arrow);
    else if (carrying !== null && (event.key === 'Enter' || event.key === ' ')) this.put();
    else if (carrying !== null && event.key === 'Escape') this.putBack();
    else if (carrying === null && arrow) {
      if (!focusNext(this.element, event.target as HTMLElement, arrow)) return;
    } else if (carrying === null && event.key.toLowerCase() === 'm') {
      if (!this.pickUp(event.target as HTMLElement)) return;
    } else return;
    event.preventDefault();
  }

  private pickUp(token: HTMLElement): boolean {
    const [cell, opening] = [
      token.closest('[data-cell]')?.getAttribute('data-cell'),
      token.getAttribute('data-opening'),
    ];
    if (!cell || !opening || !this.mayMove() || token.classList.contains('pinned')) return false;
    const found = this.rows()
      .flatMap((row) => row.cells)
      .find(({ group, slot }) => cellKey(group, slot) === cell);
    if (found === undefined) return false;
    const hive = opening.slice(cell.length + 1);
    const { group, slot } = found;
    this.grab(group === null ? { kind: 'staff', slot, hive } : { kind: 'hive', group, slot, hive });
    return true;
  }

  private putBack(): void {
    this.load.set(null);
    this.target.set(null);
    this.carried.emit(null);
  }

  private step(item: PlanItem, [dx, dy]: readonly [number, number]): void {
    const rows = this.rows();
    const at = this.target() ?? keyOf(item);
    const y = rows.findIndex((row) => at.startsWith(`${row.id ?? 'staff'} `));
    const x = rows[y]?.cells.findIndex(({ group, slot }) => cellKey(group, slot) === at) ?? -1;
    const cell = rows[y + dy]?.cells[x + dx];
    if (cell === undefined) return;
    const key = cellKey(cell.group, cell.slot);
    this.aim(key);
    const show = () =>
      [...this.element.querySelectorAll('[data-cell]')]
        .find((each) => each.getAttribute('data-cell') === key)
        ?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
    afterNextRender({ read: show }, { injector: this.injector });
  }

  /** Puts the focus on the chosen hive where it now is. */
  focusChosen(): void {
    const focus = () => this.element.querySelector<HTMLElement>('button.token[aria-pressed="true"]')?.focus();
    afterNextRender({ read: focus }, { injector: this.injector });
  }
}

const keyOf = (item: PlanItem) => cellKey(item.kind === 'staff' ? null : item.group, item.slot);

/** Moves the focus to the nearest token in a direction. */
function focusNext(board: HTMLElement, from: HTMLElement, [dx, dy]: readonly [number, number]): boolean {
  if (!from.classList.contains('token')) return false;
  const here = from.getBoundingClientRect();
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
