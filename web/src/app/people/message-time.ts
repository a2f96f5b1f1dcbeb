import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { Store } from '@ngrx/store';
import { seasonFeature } from '../season/season.feature';
import { dayOf, timeOf } from '../shell/format';

/** When a message was written, at the school's clock. */
@Component({
  selector: 'bc-message-time',
  template: `<time [attr.datetime]="at()">{{ words() }}</time>`,
  styles: `
    time {
      color: var(--ink-2);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MessageTime {
  private readonly strip = inject(Store).selectSignal(seasonFeature.selectStrip);
  readonly at = input.required<string>();
  protected readonly words = computed(() => {
    const zone = this.strip()?.site.zone ?? 'utc';
    return `${dayOf(this.at(), zone)}, ${timeOf(this.at(), zone)}`;
  });
}
