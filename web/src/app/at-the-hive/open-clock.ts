import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { START_CLOSING, readClock } from '@brave-comb/core/inspection';
import { timeOf } from '../ui/format';

/** How long the hive has been open. Counts on past its end and locks nothing: there may be a reason. */
@Component({
  selector: 'bc-open-clock',
  template: `
    <div
      class="clock"
      [class.late]="clock().state === 'shut-now'"
      [class.soon]="clock().state === 'start-closing'"
      role="timer"
      [attr.aria-label]="label()"
    >
      <span class="done" [style.width.%]="share() * 100"></span>
      <span class="end"></span>
      <b class="open">{{ openText() }}</b>
      <b class="left">{{ leftText() }}</b>
      @if (openedAt()) {
        <b class="from">{{ closeText() }}</b>
        <b class="shut" i18n>close by {{ shutBy() }}</b>
      }
    </div>
  `,
  styleUrl: './open-clock.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OpenClock {
  readonly openedAt = input.required<string | null>();
  readonly closedAt = input<string | null>(null);
  readonly now = input.required<number>();
  readonly allowed = input.required<number>();
  readonly zone = input.required<string>();

  protected readonly clock = computed(() => {
    const [opened, closed] = [this.openedAt(), this.closedAt()];
    return readClock(
      opened ? Date.parse(opened) : null,
      closed ? Date.parse(closed) : null,
      this.now(),
      this.allowed(),
    );
  });
  protected readonly share = computed(() => Math.min(1, this.clock().minutes / this.allowed()));
  protected readonly openText = computed(() => {
    if (!this.openedAt()) return $localize`Not open yet`;
    const seconds = Math.floor(this.clock().minutes * 60 + 1e-6);
    return $localize`Open ${Math.floor(seconds / 60)} min ${`${seconds % 60}`.padStart(2, '0')} s`;
  });
  protected readonly leftText = computed(() => {
    if (this.closedAt()) return $localize`visit closed`;
    if (!this.openedAt()) return $localize`${this.allowed()} min allowed`;
    const left = this.allowed() - Math.floor(this.clock().minutes);
    return left > 0 ? $localize`${left} min left` : $localize`${this.allowed()} min allowed`;
  });
  protected readonly closeText = computed(() =>
    this.clock().state === 'shut-now' ? $localize`close now` : $localize`close from ${this.at(START_CLOSING)}`,
  );
  protected readonly shutBy = computed(() => this.at(1));
  protected readonly label = computed(() => `${this.openText()}, ${this.leftText()}`);

  private at(share: number): string {
    const opened = this.openedAt();
    return opened ? timeOf(Date.parse(opened) + this.allowed() * 60_000 * share, this.zone()) : '';
  }
}
