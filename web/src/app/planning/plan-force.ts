import { ChangeDetectionStrategy, Component, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { PlanLock } from '@brave-comb/core/planning';
import { FIELD } from '../parts/field';

interface Choice {
  readonly id: string;
  readonly name: string;
}
export interface Placed {
  readonly group: string;
  readonly slot: string;
}

/** Holds a session of a group at hours of one's own choice, or forbids it. */
@Component({
  selector: 'bc-plan-force',
  imports: [FIELD, MatButton],
  template: `
    <div class="fields">
      <label bcField
        ><span i18n>Group</span
        ><mat-form-field
          ><mat-select #group [value]="groups()[0]?.id">
            @for (each of groups(); track each.id) {
              <mat-option [value]="each.id">{{ each.name }}</mat-option>
            }
          </mat-select></mat-form-field
        >
      </label>
      <label bcField class="hours"
        ><span i18n>Hours</span
        ><mat-form-field
          ><mat-select #slot [value]="slots()[0]?.id">
            @for (each of slots(); track each.id) {
              <mat-option [value]="each.id">{{ each.name }}</mat-option>
            }
          </mat-select></mat-form-field
        >
      </label>
    </div>
    <div class="tools">
      <button type="button" matButton="outlined" (click)="priced.emit(lock(group.value, slot.value))" i18n>
        What would it cost?
      </button>
      <button type="button" matButton="filled" (click)="held.emit(lock(group.value, slot.value))" i18n>
        Add session
      </button>
      <button type="button" matButton="outlined" (click)="pinned.emit({ group: group.value, slot: slot.value })" i18n>
        Fix this slot
      </button>
      <button
        type="button"
        matButton="outlined"
        (click)="forbidden.emit({ group: group.value, slot: slot.value })"
        i18n
      >
        Exclude this slot
      </button>
    </div>
  `,
  styles: `
    .fields > * {
      flex: 1 1 130px;
    }
    .fields > .hours {
      flex: 1 1 250px;
    }
    .tools {
      display: flex;
      flex-wrap: wrap;
      gap: 6px;
      margin-top: 8px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PlanForce {
  readonly groups = input.required<readonly Choice[]>();
  readonly slots = input.required<readonly Choice[]>();
  readonly priced = output<PlanLock>();
  readonly held = output<PlanLock>();
  readonly pinned = output<Placed>();
  readonly forbidden = output<Placed>();

  protected lock(group: string, slot: string): PlanLock {
    return { group, slot };
  }
}
