import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  ElementRef,
  computed,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MatProgressBar } from '@angular/material/progress-bar';
import type { Debrief } from '@brave-comb/contract';

type Part = Debrief['talk'][number]['part'];
const TITLES: Readonly<Record<Part, string>> = {
  did: $localize`What we did`,
  found: $localize`What we found`,
  well: $localize`What went well`,
  learn: $localize`What to learn from`,
  next: $localize`What comes next`,
};
/** Seconds meant for a part. */
const MINUTE = 60;
/** Sizes of what is read aloud, px. */
const SIZES = [17, 20, 25] as const;

/** Five minutes at the gate: one part at a time, large enough to be read out, with a clock that stands still when one asks. */
@Component({
  selector: 'bc-debrief-talk',
  imports: [MatButton, MatIcon, MatProgressBar],
  templateUrl: './debrief-talk.html',
  styleUrl: './debrief-talk.scss',
  host: { '(document:keydown)': 'key($event)' },
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DebriefTalk {
  readonly parts = input.required<Debrief['talk']>();
  readonly closed = output();

  protected readonly at = signal(0);
  protected readonly seconds = signal(0);
  protected readonly running = signal(true);
  protected readonly size = signal(1);
  protected readonly sizes = SIZES;
  private readonly title = viewChild.required<ElementRef<HTMLElement>>('title');
  protected readonly all = computed(() => this.parts().map((part) => ({ ...part, title: TITLES[part.part] })));
  protected readonly part = computed(() => this.all()[this.at()]!);
  protected readonly clock = computed(() => {
    const seconds = this.seconds();
    return `${Math.floor(seconds / 60)}:${`${seconds % 60}`.padStart(2, '0')}`;
  });
  protected readonly share = computed(() => Math.min(100, (this.seconds() / (this.all().length * MINUTE)) * 100));
  protected readonly before = computed(() => this.all()[this.at() - 1] ?? null);
  protected readonly after = computed(() => this.all()[this.at() + 1] ?? null);

  constructor() {
    const ticking = setInterval(() => this.running() && this.seconds.update((count) => count + 1), 1000);
    inject(DestroyRef).onDestroy(() => clearInterval(ticking));
  }

  protected go(to: number): void {
    if (to < 0 || to >= this.all().length) return;
    this.at.set(to);
    this.title().nativeElement.focus();
  }

  protected resize(by: number): void {
    this.size.update((size) => Math.min(SIZES.length - 1, Math.max(0, size + by)));
  }

  /** Space stops the clock, arrows turn the parts; on a button the keys do what they do there. */
  protected key(event: KeyboardEvent): void {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const onControl = (event.target as HTMLElement).closest('button, a, input, mat-select') !== null;
    if (event.key === 'ArrowRight') this.go(this.at() + 1);
    else if (event.key === 'ArrowLeft') this.go(this.at() - 1);
    else if (event.key === ' ' && !onControl) this.running.update((on) => !on);
    else if (event.key === 'Escape') this.closed.emit();
    else return;
    event.preventDefault();
  }
}
