import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { momentOf } from '../ui/format';
import { SCHOOL_ZONE } from './school-zone';

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
  private readonly zone = inject(SCHOOL_ZONE);
  readonly at = input.required<string>();
  protected readonly words = computed(() => momentOf(this.at(), this.zone()));
}
