import {
  ChangeDetectionStrategy,
  Component,
  ElementRef,
  computed,
  effect,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import { addDays, daysBetween } from '@brave-comb/core/units';
import { type D3BrushEvent, brushX } from 'd3-brush';
import { select } from 'd3-selection';
import { STORY, monthsOn, storyScale } from './story-scale';

const LEAST_DAYS = 21;

/** All that is told in one strip: drag over it to look closer. Arrow keys move the part that is looked at, plus and minus change its length. */
@Component({
  selector: 'bc-story-brush',
  template: `
    <svg
      [attr.viewBox]="'0 0 ' + end + ' 34'"
      role="slider"
      tabindex="0"
      aria-label="Days that are shown"
      i18n-aria-label
      [attr.aria-valuemin]="0"
      [attr.aria-valuemax]="length()"
      [attr.aria-valuenow]="from()"
      [attr.aria-valuetext]="window()[0] + ' – ' + window()[1]"
      (keydown)="key($event)"
    >
      @for (month of months(); track month.x) {
        <path [attr.d]="'M' + month.x + ' 0v34'" stroke="var(--line)" />
        <text [attr.x]="month.x + 3" y="11">{{ month.name }}</text>
      }
      @for (x of dots(); track x) {
        <path [attr.d]="'M' + x + ' 16v12'" stroke="var(--spruce)" stroke-width="2.4" />
      }
      <g #brush></g>
    </svg>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      min-width: 760px;
      background: var(--strip);
    }
    svg:focus-visible {
      outline: 3px solid var(--heather);
    }
    text {
      fill: var(--ink-2);
      font-size: 12px;
    }
    :host ::ng-deep .selection {
      fill: var(--heather);
      fill-opacity: 0.18;
      stroke: var(--heather);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StoryBrush {
  readonly all = input.required<readonly [string, string]>();
  readonly window = input.required<readonly [string, string]>();
  readonly visits = input.required<readonly string[]>();
  readonly moved = output<readonly [string, string]>();
  protected readonly end = STORY.end;
  private readonly group = viewChild.required<ElementRef<SVGGElement>>('brush');
  private readonly host = inject<ElementRef<HTMLElement>>(ElementRef);

  private readonly scale = computed(() => storyScale(this.all()));
  protected readonly months = computed(() => monthsOn(this.scale()));
  protected readonly dots = computed(() => this.visits().map((date) => this.scale()(new Date(date))));
  protected readonly length = computed(() => daysBetween(...this.all()));
  protected readonly from = computed(() => daysBetween(this.all()[0], this.window()[0]));

  constructor() {
    effect(() => {
      const scale = this.scale();
      const group = select(this.group().nativeElement);
      const brush = brushX<unknown>()
        .extent([
          [STORY.left, 0],
          [STORY.right, 34],
        ])
        .on('end', ({ selection, sourceEvent }: D3BrushEvent<unknown>) => {
          if (!sourceEvent) return;
          const span = selection as [number, number] | null;
          const days = span?.map((x) => scale.invert(x).toISOString().slice(0, 10)) as [string, string] | undefined;
          this.moved.emit(days && daysBetween(...days) >= LEAST_DAYS ? days : this.all());
        });
      const [from, to] = this.window();
      group.call(brush);
      brush.move(group, [scale(new Date(from)), scale(new Date(to))]);
    });
  }

  protected key(event: KeyboardEvent): void {
    const [from, to] = this.window();
    const [first, last] = this.all();
    const span = daysBetween(from, to);
    const move = { ArrowLeft: -7, ArrowRight: 7 }[event.key];
    const longer = { '-': 14, '+': -14 }[event.key];
    if (move !== undefined) {
      const days = Math.max(-daysBetween(first, from), Math.min(daysBetween(to, last), move));
      this.moved.emit([addDays(from, days), addDays(to, days)]);
    } else if (longer !== undefined && span + longer >= LEAST_DAYS) {
      const begin = addDays(from, -longer);
      this.moved.emit([begin < first ? first : begin, to]);
    } else return;
    event.preventDefault();
    this.host.nativeElement.querySelector<SVGElement>('svg')?.focus();
  }
}
