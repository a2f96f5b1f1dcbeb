import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { timeOf } from '../shell/format';

/** Part of the allowed time from which closing starts. */
const START_CLOSING = 0.8;

/** How long the hive has been open. Counts on past its end and locks nothing: there may be a reason. */
@Component({
  selector: 'bc-open-clock',
  template: `
    <div
      class="clock"
      [class.late]="state() === 'late'"
      [class.soon]="state() === 'soon'"
      role="timer"
      [attr.aria-label]="label()"
    >
      <span class="done" [style.width.%]="share() * 100"></span>
      <span class="end"></span>
      <b class="open">{{ openText() }}</b>
      <b class="left">{{ leftText() }}</b>
      @if (openedAt()) {
        <b class="from">{{ closeText() }}</b>
        <b class="shut">shut by {{ shutBy() }}</b>
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

  private readonly open = computed(() => {
    const opened = this.openedAt();
    const until = this.closedAt();
    return opened ? Math.max(0, ((until ? Date.parse(until) : this.now()) - Date.parse(opened)) / 1000) : 0;
  });
  protected readonly share = computed(() => Math.min(1, this.open() / (this.allowed() * 60)));
  protected readonly state = computed(() =>
    this.share() >= 1 ? 'late' : this.share() >= START_CLOSING ? 'soon' : 'well',
  );
  protected readonly openText = computed(() => {
    if (!this.openedAt()) return 'Not open yet';
    const seconds = Math.floor(this.open());
    return `Open ${Math.floor(seconds / 60)} min ${`${seconds % 60}`.padStart(2, '0')} s`;
  });
  protected readonly leftText = computed(() => {
    if (this.closedAt()) return 'visit closed';
    if (!this.openedAt()) return `${this.allowed()} min allowed`;
    const left = this.allowed() - Math.floor(this.open() / 60);
    return left > 0 ? `${left} min left` : `allowed ${this.allowed()} min`;
  });
  protected readonly closeText = computed(() =>
    this.state() === 'late' ? 'shut now' : `close from ${this.at(START_CLOSING)}`,
  );
  protected readonly shutBy = computed(() => this.at(1));
  protected readonly label = computed(() => `${this.openText()}, ${this.leftText()}`);

  private at(share: number): string {
    const opened = this.openedAt();
    return opened ? timeOf(Date.parse(opened) + this.allowed() * 60_000 * share, this.zone()) : '';
  }
}
