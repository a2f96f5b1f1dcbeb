import {
  ChangeDetectionStrategy,
  Component,
  type ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  signal,
  untracked,
  viewChild,
  DestroyRef,
} from '@angular/core';
import {
  type CombPicture,
  type Touch,
  CELL_MM,
  LOOKS,
  ROW_MM,
  cellAt,
  middleOf,
  patchesOf,
  zonesOf,
} from '@brave-comb/core/practice';
import { cellPoint, combSize, paintComb, zoneMiddles, zoneWalls } from './comb-painter';
import { LIGHTS, type Light } from './comb-sprites';
import { said } from '../language/said';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';

/** A part of the comb: left, top, width and height in widths of a cell. */
export type Sight = readonly [left: number, top: number, width: number, height: number];

/** What is laid over a comb once it was answered. */
export interface Overlay {
  /** Walls between zones, with the eighths of each. */
  readonly zones: boolean;
  /** Cells that are ringed: what was meant. */
  readonly ringed: readonly number[];
  /** Cells that were found. */
  readonly found: readonly number[];
  /** Touches that hit something else. */
  readonly wrong: readonly Touch[];
}

const NO_OVERLAY: Overlay = { zones: false, ringed: [], found: [], wrong: [] };
/** Rings over the painted comb: the same colours in every theme, as the comb itself. */
const [FOUND, MISSED, WRONG] = ['#17544b', '#5e3a78', '#a8481c'];
const ZOOMS = [1, 2, 3] as const;
/** A finger that moves further than this drags, px. */
const DRAG = 6;
const PATCH_COLUMNS = 8;
const PATCH_ROWS = 5;
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
  PageUp: [0, -8],
  PageDown: [0, 8],
  Home: [-8, 0],
  End: [8, 0],
};

/** A comb in its frame: lit, drawn closer, dragged, walked through by keys; and a table of what its patches look like. */
@Component({
  selector: 'bc-comb-stage',
  imports: [MatButton, MatButtonToggle, MatButtonToggleGroup],
  templateUrl: './comb-stage.html',
  styleUrl: './comb-stage.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CombStage {
  readonly picture = input.required<CombPicture>();
  /** Touches count: somebody looks for something. */
  readonly finding = input(false);
  readonly touches = input<readonly Touch[]>([]);
  readonly overlay = input<Overlay>(NO_OVERLAY);
  readonly touched = output<Touch>();
  /** What part of the comb somebody looks at from now on: left, top, width and height in widths of a cell. */
  readonly looked = output<Sight>();

  private readonly sheet = viewChild.required<ElementRef<HTMLCanvasElement>>('sheet');
  private readonly frame = viewChild.required<ElementRef<HTMLElement>>('frame');
  protected readonly lights = LIGHTS;
  protected readonly lightWords: Readonly<Record<Light, string>> = {
    'from-above': $localize`from above`,
    'along-the-cells': $localize`along the cells`,
    'from-behind': $localize`from behind`,
    'dull-day': $localize`dull day`,
  };
  protected readonly light = signal<Light>('from-above');
  protected readonly zoom = signal<number>(1);
  /** Upper left corner of what is shown, in widths of a cell. */
  private readonly corner = signal<readonly [number, number]>([0, 0]);
  protected readonly cursor = signal<number | null>(null);
  protected readonly asTable = signal(false);
  /** The comb is told in a table of counts. */
  readonly tabled = output();
  private readonly width = signal(790);
  private readonly size = computed(() => combSize(this.picture()));
  /** Width of a cell as shown, px. */
  private readonly cellPx = computed(() => (this.width() / this.size()[0]) * this.zoom());
  protected readonly height = computed(() => Math.round((this.width() / this.size()[0]) * this.size()[1]));
  protected readonly stageName = computed(() => {
    const cells = this.picture().side.kinds.length;
    return this.finding()
      ? $localize`Simulated comb of ${cells} cells. Arrow keys walk from cell to cell, page and home keys in steps of eight. Space touches a cell.`
      : $localize`Simulated comb of ${cells} cells. Arrow keys walk from cell to cell, page and home keys in steps of eight.`;
  });
  protected readonly says = computed(() => {
    const cell = this.cursor();
    if (cell === null) return '';
    const { grid, kinds } = this.picture().side;
    return $localize`Row ${Math.floor(cell / grid.columns) + 1}, cell ${(cell % grid.columns) + 1}\: ${said(LOOKS[kinds[cell]!])}${this.beeHere(cell)}`;
  });
  protected readonly patches = computed(() => {
    const patches = patchesOf(this.picture().side, PATCH_COLUMNS, PATCH_ROWS);
    return Array.from({ length: PATCH_ROWS }, (_, row) =>
      patches
        .slice(row * PATCH_COLUMNS, (row + 1) * PATCH_COLUMNS)
        .map(({ looks }) => looks.slice(0, 3).map(({ kind, cells }) => `${cells} × ${said(LOOKS[kind])}`)),
    );
  });
  protected readonly patchColumns = Array.from({ length: PATCH_COLUMNS }, (_, column) => column + 1);
  private painted: { readonly key: string; readonly picture: CombPicture; readonly sheet: HTMLCanvasElement } | null =
    null;
  private down: { readonly x: number; readonly y: number; readonly corner: readonly [number, number] } | null = null;
  private dragged = false;

  constructor() {
    const destroyed = inject(DestroyRef);
    effect(() => {
      this.picture();
      untracked(() => {
        this.zoom.set(1);
        this.corner.set([0, 0]);
        this.cursor.set(null);
      });
    });
    // What was meant is ringed all over the comb: it is shown whole again.
    effect(() => {
      if (this.overlay().ringed.length > 0)
        untracked(() => {
          this.zoom.set(1);
          this.corner.set([0, 0]);
        });
    });
    effect((onCleanup) => {
      const element = this.frame().nativeElement;
      const measure = () => {
        if (element.clientWidth > 0) this.width.set(element.clientWidth);
      };
      const observer = new ResizeObserver(measure);
      observer.observe(element);
      measure();
      onCleanup(() => {
        observer.disconnect();
      });
    });
    effect(() => {
      const [cell, [left, top]] = [this.cellPx(), this.corner()];
      const [wide, high] = [this.width() / cell, this.height() / cell];
      untracked(() => this.looked.emit([left, top, wide, high]));
    });
    let asked = 0;
    effect(() => {
      this.picture();
      this.light();
      this.corner();
      this.cursor();
      this.touches();
      this.overlay();
      this.cellPx();
      this.height();
      cancelAnimationFrame(asked);
      asked = requestAnimationFrame(() => {
        this.draw();
      });
    });
    destroyed.onDestroy(() => {
      cancelAnimationFrame(asked);
    });
  }

  protected draw(): void {
    const sheet = this.sheet().nativeElement;
    const ink = sheet.getContext('2d');
    if (!ink) return;
    const scale = Math.min(2, globalThis.devicePixelRatio || 1);
    const cell = this.cellPx() * scale;
    const [width, height] = [Math.round(this.width() * scale), Math.round(this.height() * scale)];
    if (sheet.width !== width || sheet.height !== height) Object.assign(sheet, { width, height });
    const [left, top] = this.corner();
    ink.drawImage(this.whole(cell), -left * cell, -top * cell);
    ink.save();
    ink.translate(-left * cell, -top * cell);
    this.drawOver(ink, cell);
    ink.restore();
  }

  /** The whole comb at a size: drawn once, then only moved. */
  private whole(cell: number): HTMLCanvasElement {
    const picture = this.picture();
    const key = `${this.light()} ${cell}`;
    if (this.painted?.key === key && this.painted.picture === picture) return this.painted.sheet;
    const [width, height] = this.size();
    const sheet = Object.assign(document.createElement('canvas'), {
      width: Math.ceil(width * cell),
      height: Math.ceil(height * cell),
    });
    const ink = sheet.getContext('2d');
    if (ink) paintComb(ink, picture, this.light(), cell);
    this.painted = { key, picture, sheet };
    return sheet;
  }

  private drawOver(ink: CanvasRenderingContext2D, cell: number): void {
    const picture = this.picture();
    const { zones, ringed, found, wrong } = this.overlay();
    const ring = (at: number, colour: string) => {
      const [x, y] = cellPoint(picture, at, cell);
      this.circle(ink, x, y, cell * 0.62, colour);
    };
    const hit = new Set(found);
    for (const at of ringed) if (!hit.has(at)) ring(at, MISSED);
    for (const at of found) ring(at, FOUND);
    for (const [x, y] of wrong) this.square(ink, x * cell, (y + 0.15) * cell, cell);
    if (zones) this.drawZones(ink, cell);
    for (const [x, y] of this.touches()) this.cross(ink, x * cell, (y + 0.15) * cell, cell);
    const cursor = this.cursor();
    if (cursor !== null) {
      const [x, y] = cellPoint(picture, cursor, cell);
      this.circle(ink, x, y, cell * 0.8, '#5e3a78');
    }
  }

  private circle(ink: CanvasRenderingContext2D, x: number, y: number, radius: number, colour: string): void {
    for (const [width, stroke] of [
      [3.4, '#fff'],
      [1.8, colour],
    ] as const) {
      ink.lineWidth = width;
      ink.strokeStyle = stroke;
      ink.beginPath();
      ink.arc(x, y, radius, 0, 2 * Math.PI);
      ink.stroke();
    }
  }

  private square(ink: CanvasRenderingContext2D, x: number, y: number, cell: number): void {
    const half = cell * 0.55;
    for (const [width, stroke, dash] of [
      [4.6, '#fff', []],
      [2.4, WRONG, [5, 3]],
    ] as const) {
      ink.lineWidth = width;
      ink.strokeStyle = stroke;
      ink.setLineDash([...dash]);
      ink.strokeRect(x - half, y - half, 2 * half, 2 * half);
    }
    ink.setLineDash([]);
  }

  private cross(ink: CanvasRenderingContext2D, x: number, y: number, cell: number): void {
    const arm = cell * 0.5;
    for (const [width, stroke] of [
      [5, '#fff'],
      [2.4, '#1b2a2a'],
    ] as const) {
      ink.lineWidth = width;
      ink.strokeStyle = stroke;
      ink.beginPath();
      ink.moveTo(x - arm, y - arm);
      ink.lineTo(x + arm, y + arm);
      ink.moveTo(x + arm, y - arm);
      ink.lineTo(x - arm, y + arm);
      ink.stroke();
    }
  }

  private drawZones(ink: CanvasRenderingContext2D, cell: number): void {
    const picture = this.picture();
    const zones = zonesOf(picture.side);
    const walls = zoneWalls(picture, zones, cell);
    ink.lineCap = 'round';
    for (const [width, stroke] of [
      [4.6, '#fff'],
      [2, '#1b2a2a'],
    ] as const) {
      ink.lineWidth = width;
      ink.strokeStyle = stroke;
      ink.stroke(walls);
    }
    ink.font = "700 16px 'Atkinson Hyperlegible Next Variable', sans-serif";
    ink.textAlign = 'center';
    ink.textBaseline = 'middle';
    const { truth, grid } = picture.side;
    for (const { letter, cell: at } of zoneMiddles(picture.side, zones)) {
      const text = `${letter} ${(truth[letter] ?? 0).toFixed(1)}`;
      const wide = ink.measureText(text).width + 14;
      const [mx, my] = middleOf(grid, at);
      const x = Math.min(Math.max(mx * cell, wide / 2 + 2), this.size()[0] * cell - wide / 2 - 2);
      const y = Math.min(Math.max(my * cell, 16), this.size()[1] * cell - 16);
      ink.fillStyle = '#fff';
      ink.strokeStyle = '#1b2a2a';
      ink.lineWidth = 1.4;
      ink.beginPath();
      ink.roundRect(x - wide / 2, y - 13, wide, 26, 4);
      ink.fill();
      ink.stroke();
      ink.fillStyle = '#1b2a2a';
      ink.fillText(text, x, y + 1);
    }
  }

  protected closer(by: number): void {
    const before = this.cellPx();
    const [left, top] = this.corner();
    const middle = [left + this.width() / before / 2, top + this.height() / before / 2] as const;
    const place = Math.min(ZOOMS.length - 1, Math.max(0, ZOOMS.indexOf(this.zoom() as 1) + by));
    this.zoom.set(ZOOMS[place]!);
    const now = this.cellPx();
    this.moveTo(middle[0] - this.width() / now / 2, middle[1] - this.height() / now / 2);
  }

  private moveTo(left: number, top: number): void {
    const [width, height] = this.size();
    const cell = this.cellPx();
    this.corner.set([
      Math.min(Math.max(0, left), Math.max(0, width - this.width() / cell)),
      Math.min(Math.max(0, top), Math.max(0, height - this.height() / cell)),
    ]);
  }

  protected press(event: PointerEvent): void {
    this.down = { x: event.clientX, y: event.clientY, corner: this.corner() };
    this.dragged = false;
    (event.target as HTMLElement).setPointerCapture(event.pointerId);
  }

  protected move(event: PointerEvent): void {
    if (!this.down) return;
    const [dx, dy] = [event.clientX - this.down.x, event.clientY - this.down.y];
    if (Math.hypot(dx, dy) > DRAG) this.dragged = true;
    const cell = this.cellPx();
    if (this.dragged) this.moveTo(this.down.corner[0] - dx / cell, this.down.corner[1] - dy / cell);
  }

  protected lift(event: PointerEvent): void {
    const tapped = this.down !== null && !this.dragged;
    this.down = null;
    if (!tapped) return;
    const box = this.sheet().nativeElement.getBoundingClientRect();
    const cell = this.cellPx();
    const [left, top] = this.corner();
    const x = (event.clientX - box.left) / cell + left;
    const y = (event.clientY - box.top) / cell + top - 0.15;
    const at = cellAt(this.picture().side.grid, x, y);
    if (at !== null) this.cursor.set(at);
    if (this.finding()) this.touched.emit([x, y]);
  }

  protected key(event: KeyboardEvent): void {
    const step = STEPS[event.key];
    if (step) {
      event.preventDefault();
      this.walk(step);
    } else if (this.finding() && (event.key === ' ' || event.key === 'x')) {
      event.preventDefault();
      const cursor = this.cursor();
      if (cursor !== null) this.touched.emit(middleOf(this.picture().side.grid, cursor));
    }
  }

  private walk([columns, rows]: readonly [number, number]): void {
    const { grid } = this.picture().side;
    const from = this.cursor() ?? Math.floor(grid.rows / 2) * grid.columns + Math.floor(grid.columns / 2);
    const column = Math.min(grid.columns - 1, Math.max(0, (from % grid.columns) + columns));
    const row = Math.min(grid.rows - 1, Math.max(0, Math.floor(from / grid.columns) + rows));
    this.cursor.set(row * grid.columns + column);
    const [x, y] = [column + 0.5, (row + 0.5) * (ROW_MM / CELL_MM)];
    const cell = this.cellPx();
    const [left, top] = this.corner();
    const [wide, high] = [this.width() / cell, this.height() / cell];
    if (x < left || x > left + wide || y < top || y > top + high) this.moveTo(x - wide / 2, y - high / 2);
  }

  /** Who stands on a cell, for those who walk through it by keys. */
  private beeHere(cell: number): string {
    const { side, bees } = this.picture();
    const [x, y] = middleOf(side.grid, cell);
    const bee = bees.find((each) => Math.hypot(each.x - x, each.y - y) < each.length / 2);
    if (!bee) return '';
    const looks = {
      worker: $localize`a bee stands over it`,
      drone: $localize`a stout bee with large eyes stands over it`,
      queen: $localize`a long bee with short wings stands over it, others face her`,
    };
    return `; ${looks[bee.caste]}`;
  }
}
