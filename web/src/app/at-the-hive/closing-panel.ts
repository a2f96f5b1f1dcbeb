import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { CHECKS, guardsOf, guardsLeft } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { HiveStack, type StackPart, partName } from '../equipment/hive-stack';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { Named, named } from '../language/words';
import { SaidPipe } from '../language/said';
import { MatButton } from '@angular/material/button';

/** What is still to be put back or looked at, in order; each is done by a tap. */
@Component({
  selector: 'bc-closing-panel',
  imports: [MatButton, SaidPipe, Named, HiveStack],
  template: `
    @for (guard of guards(); track guard.id) {
      <p [class]="guard.bar === 'bars' ? 'stop' : 'caution'">
        {{ guard.says | said }}
        @if (guard.id === 'queen-not-accounted-for') {
          <span class="row">
            @for (how of queenHow; track how) {
              <button type="button" matButton="outlined" (click)="desk.enter({ kind: 'queen-accounted-for', how })">
                {{ how | named: 'queenAccounted' }}
              </button>
            }
          </span>
        }
      </p>
    }
    <div class="stacked">
      <bc-hive-stack [parts]="parts()" [width]="250" [boxWidth]="96" [off]="record().partsOff" [textSize]="15" />
      <ol>
        @for (task of tasks(); track task.says; let first = $first) {
          <li>
            <button type="button" matButton="outlined" [class.sel]="first" (click)="desk.close(task)">
              {{ task.says | said }}
            </button>
            @if (task.kind === 'check') {
              <button
                type="button"
                matButton="outlined"
                ariaLabel="{{ task.says | said }}: not so"
                i18n-ariaLabel
                (click)="desk.close(task, false)"
                i18n
              >
                no
              </button>
            }
          </li>
        } @empty {
          <li><b i18n>Nothing is left to put back.</b></li>
        }
      </ol>
    </div>
    @for (line of open(); track line) {
      <p class="caution">{{ line }}</p>
    }
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    :host {
      display: grid;
      gap: 10px;
      align-content: start;
    }
    .stacked {
      display: grid;
      grid-template-columns: minmax(150px, 260px) minmax(0, 1fr);
      gap: 16px;
      align-items: start;
    }
    ol {
      display: grid;
      gap: 7px;
    }
    li {
      display: grid;
      grid-template-columns: 1fr auto;
      gap: 7px;
    }
    li button {
      justify-content: flex-start;
    }
    p .row {
      margin-top: 6px;
    }
    @media (width < 700px) {
      .stacked {
        grid-template-columns: 1fr;
      }
      bc-hive-stack {
        max-width: 200px;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ClosingPanel {
  private readonly store = inject(Store);
  protected readonly desk = inject(VisitDesk);
  /** Checks of this moment only: while closing, or before leaving. */
  readonly leaving = input(false);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  protected readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly facts = this.store.selectSignal(inspectionFeature.selectGuardFacts);
  private readonly all = this.store.selectSignal(inspectionFeature.selectClosing);

  protected readonly queenHow = ['on-her-frame', 'seen-going-in', 'not-seen-again'] as const;
  protected readonly guards = computed(() =>
    guardsLeft(guardsOf({ do: 'close' }, this.facts()), this.record()).filter(
      ({ id }) => id !== 'parts-still-off' && id !== 'frames-still-out',
    ),
  );
  protected readonly tasks = computed(() =>
    this.all().filter((task) => this.leaving() || task.kind !== 'check' || CHECKS[task.check].when !== 'leaving'),
  );
  protected readonly parts = computed<readonly StackPart[]>(() =>
    this.stack().map((layer) => ({ layer, text: partName(layer) })),
  );
  /** What was found not to be so, with what follows. */
  protected readonly open = computed(() =>
    this.record()
      .checks.filter(({ check, ok }) => !ok && CHECKS[check].when !== 'before')
      .map(({ check }) => $localize`${named('check', check)}\: no. ${named('checkOtherwise', check)}`),
  );
}
