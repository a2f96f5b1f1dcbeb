import { Directive, output } from '@angular/core';
import { EIGHTHS } from '@brave-comb/core/inspection';

/** From so many ms on a press is a long one. */
const LONG_PRESS = 500;
/** A glove that moves so many px sideways is sliding; every further step of so many is an eighth more. */
const SLIDE = { from: 16, step: 24 } as const;

/** A press with a glove: a tap, a long one, or a slide sideways that says a number of eighths. */
@Directive({
  selector: 'button[bcPress]',
  host: {
    '[style.touch-action]': "'pan-y'",
    '(pointerdown)': 'down($event)',
    '(pointermove)': 'moved($event)',
    '(pointerup)': 'up()',
    '(pointercancel)': 'over()',
    '(contextmenu)': '$event.preventDefault()',
    '(click)': 'click()',
  },
})
export class Press {
  readonly tapped = output();
  readonly held = output();
  /** So many eighths, 1 to 8, once the glove is lifted. */
  readonly slid = output<number>();
  /** So many eighths while it slides, 0 back where it began, `null` when it is over. */
  readonly sliding = output<number | null>();
  private from: number | null = null;
  private eighths: number | null = null;
  private timer: ReturnType<typeof setTimeout> | null = null;
  /** The click that ends a long press or a slide is no tap. */
  private spent = false;

  protected down(event: PointerEvent): void {
    this.over();
    this.spent = false;
    this.from = event.clientX;
    (event.currentTarget as Element).setPointerCapture(event.pointerId);
    this.timer = setTimeout(() => {
      this.over();
      this.spent = true;
      this.held.emit();
    }, LONG_PRESS);
  }

  protected moved(event: PointerEvent): void {
    if (this.from === null) return;
    const way = Math.abs(event.clientX - this.from);
    if (way < SLIDE.from && this.eighths === null) return;
    this.waitNoMore();
    this.eighths = way < SLIDE.from ? 0 : Math.min(EIGHTHS, 1 + Math.floor((way - SLIDE.from) / SLIDE.step));
    this.sliding.emit(this.eighths);
  }

  protected up(): void {
    const eighths = this.eighths;
    this.over();
    // The click of this press comes before anything else; one of the keyboard later is a tap again.
    setTimeout(() => (this.spent = false));
    if (eighths === null) return;
    this.spent = true;
    if (eighths > 0) this.slid.emit(eighths);
  }

  /** The press is over, whatever it was to be. */
  protected over(): void {
    this.waitNoMore();
    if (this.eighths !== null) this.sliding.emit(null);
    this.from = this.eighths = null;
  }

  protected click(): void {
    if (!this.spent) this.tapped.emit();
    this.spent = false;
  }

  private waitNoMore(): void {
    if (this.timer !== null) clearTimeout(this.timer);
    this.timer = null;
  }
}
