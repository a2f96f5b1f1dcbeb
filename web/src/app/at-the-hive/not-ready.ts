import { listed } from '../language/words';
import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { HiveCards } from './cards/hive-cards';
import { HiveJobs } from './hive-jobs';
import { MatButton } from '@angular/material/button';

/** The bees have turned lively, and somebody holds frames who is not ready for that: the supervisor takes them, or says why not. */
@Component({
  selector: 'bc-not-ready',
  imports: [MatButton],
  template: `
    @if (names(); as who) {
      <div role="alert">
        <p>
          <b i18n
            >Lively bees. {{ who }} {roles.notReady().length, plural, =1 {is} other {are}} not ready for the frames.</b
          >
        </p>
        @if (leads()) {
          <div>
            <button type="button" matButton="filled" (click)="roles.takeFrames()" i18n>I will take the frames</button>
            <button type="button" matButton="outlined" (click)="goOn()" i18n>Continue, with a reason</button>
          </div>
        }
      </div>
    }
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    [role='alert'] {
      display: grid;
      gap: 6px;
      margin-bottom: 8px;
      padding: 6px 10px;
      border-left: 4px solid var(--rust);
      background: var(--rust-100);
      font-size: 15px;
      line-height: 1.2;
    }
    div > div {
      display: flex;
      gap: 6px;
    }
    button {
      flex: 1;
      min-height: 48px;
      font-size: 15px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NotReady {
  protected readonly roles = inject(HiveJobs);
  private readonly cards = inject(HiveCards);
  /** Whether whoever holds this device may decide it. */
  readonly leads = input(true);
  protected readonly names = computed(() => listed(this.roles.notReady().map(({ name }) => name)));

  protected goOn(): void {
    const [first] = this.roles.notReady();
    if (!first) return;
    this.cards
      .guards($localize`Frames stay with ${this.names()}`, first.against, $localize`Let them continue`)
      .subscribe((reason) => this.roles.letGoOn(reason));
  }
}
