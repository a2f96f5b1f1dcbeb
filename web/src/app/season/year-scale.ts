import { ElementRef, type Signal, effect, signal } from '@angular/core';
import { type ScaleLinear, scaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { type D3ZoomEvent, type ZoomBehavior, zoom, zoomIdentity } from 'd3-zoom';

const DEEPEST = 16;
const STEP = 1.6;

/** A horizontal scale of days that can be drawn closer and moved, by wheel, drag, buttons and keys. */
export class YearScale {
  /** Days of the year of growth to pixels. */
  readonly x = signal<ScaleLinear<number, number>>(scaleLinear([0, 365], [0, 1000]));
  readonly closeness = signal(1);
  private behaviour: ZoomBehavior<SVGSVGElement, unknown> | null = null;
  private element: SVGSVGElement | null = null;

  constructor(
    private readonly span: Signal<{ readonly days: number; readonly left: number; readonly right: number }>,
    private readonly svg: Signal<ElementRef<SVGSVGElement> | undefined>,
  ) {
    effect(() => {
      const element = this.svg()?.nativeElement;
      const { days, left, right } = this.span();
      if (!element || right <= left) return;
      const whole = scaleLinear([0, days], [left, right]);
      this.element = element;
      this.behaviour = zoom<SVGSVGElement, unknown>()
        .scaleExtent([1, DEEPEST])
        .extent([
          [left, 0],
          [right, 1],
        ])
        .translateExtent([
          [left, -Infinity],
          [right, Infinity],
        ])
        .filter((event: Event) => !(event instanceof WheelEvent) || event.ctrlKey || event.shiftKey || event.metaKey)
        .on('zoom', ({ transform }: D3ZoomEvent<SVGSVGElement, unknown>) => {
          this.x.set(transform.rescaleX(whole));
          this.closeness.set(transform.k);
        });
      const chart = select(element).call(this.behaviour).on('dblclick.zoom', null);
      this.behaviour.transform(chart, zoomIdentity);
    });
  }

  closer(times = STEP): void {
    if (this.element) this.behaviour?.scaleBy(select(this.element), times);
  }

  wider(): void {
    this.closer(1 / STEP);
  }

  whole(): void {
    if (this.element) this.behaviour?.transform(select(this.element), zoomIdentity);
  }

  /** Moves the view by a share of its width. */
  move(share: number): void {
    if (!this.element) return;
    const { left, right } = this.span();
    this.behaviour?.translateBy(select(this.element), (-share * (right - left)) / this.closeness(), 0);
  }

  /** Shows some days around one. */
  around(day: number, days: number): void {
    if (!this.element) return;
    const span = this.span();
    const k = Math.min(DEEPEST, span.days / days);
    const at = span.left + ((span.right - span.left) * day) / span.days;
    this.behaviour?.transform(
      select(this.element),
      zoomIdentity.translate((span.left + span.right) / 2 - k * at, 0).scale(k),
    );
  }

  /** Arrows move, plus and minus draw closer and wider, nought shows the whole year. */
  key(event: KeyboardEvent): void {
    const act = {
      ArrowLeft: () => this.move(-0.2),
      ArrowRight: () => this.move(0.2),
      '+': () => this.closer(),
      '=': () => this.closer(),
      '-': () => this.wider(),
      '0': () => this.whole(),
    }[event.key];
    if (!act) return;
    act();
    event.preventDefault();
  }
}
