import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { DaySheet } from '@brave-comb/contract';
import { timeOf } from '../ui/format';
import { PreparedVisits } from './prepared-visits';
import { MatButton } from '@angular/material/button';

/** Says what is on this device for a day without signal, and fetches it again. */
@Component({
  selector: 'bc-day-ready',
  imports: [MatButton],
  template: `
    <p role="status" [class.part]="part()">{{ says() }}</p>
    <button type="button" matButton class="small" [disabled]="fetching()" (click)="again()" i18n>
      Refresh offline copy
    </button>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 4px 10px;
      align-items: baseline;
      justify-content: space-between;
      margin-top: 8px;
      padding-top: 6px;
      border-top: 1px solid var(--line-2);
      font-size: var(--t-dense);
    }
    .part {
      color: var(--rust-text);
      font-weight: 650;
    }
    button {
      white-space: nowrap;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DayReadyLine {
  private readonly prepared = inject(PreparedVisits);
  readonly sheet = input.required<DaySheet>();

  private readonly ready = computed(() => {
    const ready = this.prepared.ready();
    return ready?.session === this.sheet().session.id ? ready : null;
  });
  protected readonly fetching = computed(() => this.ready()?.state === 'fetching');
  protected readonly part = computed(() => ['partly', 'page-only'].includes(this.ready()?.state ?? ''));
  protected readonly says = computed(() => {
    const ready = this.ready();
    if (!ready || ready.state === 'fetching') return $localize`Fetching the day for this device …`;
    const named = (numbers: readonly string[]) =>
      numbers.length === 1 ? $localize`hive ${numbers[0]}` : $localize`hives ${numbers.join(', ')}`;
    const at = timeOf(ready.at, this.sheet().session.zone);
    switch (ready.state) {
      case 'partly':
        return $localize`Not everything is saved on this device: ${named(ready.missing)} is missing. Refresh the offline copy where there is a signal.`;
      case 'page-only':
        return $localize`Saved on this device: ${named(ready.hives)}. This browser cannot reopen the page without a signal: keep it open.`;
      default:
        return ready.hives.length === 0
          ? $localize`Every visit of the day is closed.`
          : $localize`Saved for offline use: ${named(ready.hives)}, since ${at}.`;
    }
  });

  protected again(): void {
    void this.prepared.prepare(this.sheet());
  }
}
