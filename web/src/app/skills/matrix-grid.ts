import { named, namesOf } from '../language/words';
import {
  afterNextRender,
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  ElementRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { nextChance } from './next-chance';
import type { Matrix, MatrixCell, MatrixFilter, MatrixRow } from './matrix-rows';
import { standsOut } from './matrix-rows';
import { MatTooltip } from '@angular/material/tooltip';

const [NAME, COUNT, HEAD, ROW, FOOT] = [128, 56, 146, 24, 26];
const SHORT: Readonly<Record<string, string>> = namesOf('skillShort');
/** Width of a column, px: where few are shown they stand wider. */
const [NARROW, WIDE, FEW] = [25, 54, 16];
/** Rows and columns that are drawn beyond what is seen. */
const BEYOND = 4;
const PAGE = 10;

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [0, -1],
  ArrowRight: [0, 1],
  ArrowUp: [-1, 0],
  ArrowDown: [1, 0],
  PageUp: [-PAGE, 0],
  PageDown: [PAGE, 0],
  Home: [0, -1000],
  End: [0, 1000],
};

/** Trainees down, skills across; only what is in sight is drawn, so that hundreds by sixty stay quick. */
@Component({
  selector: 'bc-matrix-grid',
  imports: [MatTooltip],
  templateUrl: './matrix-grid.html',
  styleUrl: './matrix-grid.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MatrixGrid {
  readonly skills = input.required<Matrix['skills']>();
  readonly rows = input.required<readonly MatrixRow[]>();
  readonly filter = input<MatrixFilter | null>(null);
  readonly chosen = input<string | null>(null);
  /** Next chance by skill, in the order of the skills; `null` until it is known. */
  readonly chances = input<readonly ReturnType<typeof nextChance>[] | null>(null);
  readonly picked = output<{ readonly trainee: string; readonly skill: string | null }>();

  private readonly box = viewChild.required<ElementRef<HTMLElement>>('box');
  private readonly sight = signal({ left: 0, top: 0, width: 900, height: 600 });
  protected readonly active = signal<{ readonly row: number; readonly skill: number } | null>(null);

  protected readonly column = computed(() => (this.skills().length > FEW ? NARROW : WIDE));
  protected readonly width = computed(() => NAME + this.skills().length * this.column() + COUNT + 8);
  protected readonly height = computed(() => HEAD + this.rows().length * ROW + FOOT);
  private readonly nobody = computed(() =>
    this.skills().map((_, at) =>
      this.rows().every((row) => row.kind === 'group' || (row.cells[at]?.level ?? null) === null),
    ),
  );
  /** Columns of skills that are still hidden on the right. */
  protected readonly beyond = computed(() => {
    const { left, width } = this.sight();
    return Math.max(0, this.skills().length - Math.floor((left + width - NAME - COUNT) / this.column()));
  });
  protected readonly heads = computed(() => {
    const { left, width } = this.sight();
    const [first, last] = [
      Math.floor((left - NAME) / this.column()) - BEYOND,
      Math.ceil((left + width - NAME) / this.column()) + BEYOND,
    ];
    return this.skills()
      .map(({ id, name, phase }, at) => ({
        id,
        name,
        short: SHORT[id] ?? name,
        phase: named('skillPhase', phase),
        at,
        left: NAME + at * this.column(),
        nobody: this.nobody()[at] ?? false,
      }))
      .slice(Math.max(0, first), last);
  });
  protected readonly foot = computed(() => {
    const chances = this.chances();
    if (!chances) return null;
    return this.heads().map(({ id, at, left, name }) => {
      const need = chances[at] ?? null;
      if (need === null) return { id, at, left, text: '–', says: $localize`${name}\: nobody needs it`, kind: 'done' };
      if (need.chance === null)
        return {
          id,
          at,
          left,
          text: $localize`no`,
          says: $localize`${name}\: no fair chance in these days`,
          kind: 'none',
        };
      return {
        id,
        at,
        left,
        text: need.chance.day,
        says: `${name}: ${need.chance.words}`,
        kind: need.chance.planned ? 'planned' : 'open',
      };
    });
  });
  protected readonly phases = computed(() => {
    const all = this.skills().map(({ phase }) => phase);
    return [...new Set(all)].map((phase) => {
      const [first, last] = [all.indexOf(phase), all.lastIndexOf(phase)];
      return {
        name: named('skillPhase', phase),
        left: NAME + first * this.column() + 2,
        width: (last - first + 1) * this.column() - 4,
      };
    });
  });
  protected readonly shownRows = computed(() => {
    const { top, height } = this.sight();
    const first = Math.max(0, Math.floor(top / ROW) - BEYOND);
    return this.rows()
      .slice(first, Math.ceil((top + height) / ROW) + BEYOND)
      .map((row, place) => ({ row, at: first + place, top: HEAD + (first + place) * ROW }));
  });
  protected readonly activeId = computed(() => {
    const at = this.active();
    return at ? this.cellId(at.row, at.skill) : null;
  });

  constructor() {
    const destroyed = inject(DestroyRef);
    afterNextRender(() => {
      this.scrolled();
      if (typeof ResizeObserver === 'undefined') return;
      const watch = new ResizeObserver(() => this.scrolled());
      watch.observe(this.box().nativeElement);
      destroyed.onDestroy(() => watch.disconnect());
    });
  }

  protected cellId(row: number, skill: number): string {
    return `cell-${row}-${skill}`;
  }

  protected outstanding(cell: MatrixCell, nobody: boolean): boolean {
    return standsOut(cell, this.filter(), nobody);
  }

  protected scrolled(): void {
    const { scrollLeft: left, scrollTop: top, clientWidth, clientHeight } = this.box().nativeElement;
    const { width, height } = this.sight();
    this.sight.set({ left, top, width: clientWidth || width, height: clientHeight || height });
  }

  protected clicked(event: Event): void {
    const place = (event.target as Element).closest<HTMLElement>('[data-row]')?.dataset;
    if (place) this.pick(Number(place.row), Number(place.skill ?? -1));
  }

  /** A cell by its places; −1 for the trainee's name. */
  private pick(row: number, skill: number): void {
    const found = this.rows()[row];
    if (found?.kind !== 'trainee') return;
    if (skill >= 0) this.active.set({ row, skill });
    this.picked.emit({ trainee: found.id, skill: this.skills()[skill]?.id ?? null });
  }

  protected key(event: KeyboardEvent): void {
    const step = STEPS[event.key];
    const at = this.active();
    if (step) this.go(at ?? { row: 0, skill: 0 }, at ? step : [1, 0]);
    else if ((event.key === 'Enter' || event.key === ' ') && at) this.pick(at.row, at.skill);
    else return;
    event.preventDefault();
  }

  /** To the next cell in a direction, past the rows of groups. */
  private go(from: { readonly row: number; readonly skill: number }, [down, across]: readonly [number, number]): void {
    const rows = this.rows();
    const skill = Math.min(this.skills().length - 1, Math.max(0, from.skill + across));
    const trainees = rows.flatMap(({ kind }, at) => (kind === 'trainee' ? [at] : []));
    const wanted = from.row + down;
    const row =
      down < 0
        ? (trainees.findLast((at) => at <= wanted) ?? trainees[0])
        : (trainees.find((at) => at >= wanted) ?? trainees.at(-1));
    if (row === undefined) return;
    this.active.set({ row, skill });
    this.show(row, skill);
  }

  private show(row: number, skill: number): void {
    const box = this.box().nativeElement;
    const [top, left] = [row * ROW, NAME + skill * this.column()];
    const { left: scrollLeft, top: scrollTop, width: clientWidth, height: clientHeight } = this.sight();
    if (top < scrollTop) box.scrollTop = top;
    else if (HEAD + top + ROW + FOOT > scrollTop + clientHeight) box.scrollTop = HEAD + top + ROW + FOOT - clientHeight;
    if (left < scrollLeft + NAME) box.scrollLeft = left - NAME;
    else if (left + this.column() > scrollLeft + clientWidth - COUNT)
      box.scrollLeft = left + this.column() + COUNT - clientWidth;
    this.scrolled();
  }
}
