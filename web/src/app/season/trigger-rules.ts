import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { Store } from '@ngrx/store';
import type { Happenings } from '@brave-comb/contract';
import { follows } from '../ui/follows';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';

type Trigger = Happenings['triggers'][number];

/** House practice: which tasks an event sets going, with both schools' reasons. The lead switches and dates them. */
@Component({
  selector: 'bc-trigger-rules',
  imports: [FIELD, MatButton, Named],
  template: `
    <details>
      <summary i18n>Tasks started by an event: house practice</summary>
      <div class="wide-table">
        <table class="plain-table">
          <thead>
            <tr>
              <th scope="col" i18n>On</th>
              <th scope="col" i18n>Event</th>
              <th scope="col" i18n>Task</th>
              <th scope="col" i18n>From, due (days)</th>
            </tr>
          </thead>
          <tbody>
            @for (rule of rules(); track rule.id) {
              <tr>
                <td>
                  <mat-checkbox
                    [checked]="rule.active"
                    [disabled]="!lead()"
                    aria-label="{{ rule.task }}, in use"
                    i18n-aria-label
                    (change)="change(rule, { active: $event.checked })"
                  />
                </td>
                <td>{{ rule.on | named: 'happening' }}{{ rule.plant ? ': ' + plantName(rule.plant) : '' }}</td>
                <th scope="row">
                  {{ rule.task }}<i>{{ rule.why }}</i>
                </th>
                <td class="days">
                  <mat-form-field
                    ><input
                      matInput
                      #from
                      type="number"
                      min="0"
                      max="365"
                      [value]="rule.from"
                      [disabled]="!lead()"
                      ariaLabel="{{ rule.task }}, from day"
                      i18n-ariaLabel
                      (change)="change(rule, { from: +from.value })"
                  /></mat-form-field>
                  <mat-form-field
                    ><input
                      matInput
                      #due
                      type="number"
                      min="0"
                      max="365"
                      [value]="rule.due"
                      [disabled]="!lead()"
                      ariaLabel="{{ rule.task }}, due by day"
                      i18n-ariaLabel
                      (change)="change(rule, { due: +due.value })"
                  /></mat-form-field>
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (lead()) {
        <button type="button" matButton="filled" (click)="keep()" i18n>Save</button>
      }
    </details>
  `,
  styles: `
    details {
      margin-top: 8px;
      font-size: var(--t-dense);
    }
    i {
      display: block;
      color: var(--ink-2);
      font-weight: 400;
      font-style: normal;
    }
    .days {
      white-space: nowrap;
    }
    .mat-mdc-button-base {
      margin-top: 6px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TriggerRules {
  private readonly desk = inject(ViewDesk);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  readonly all = input.required<Happenings>();
  protected readonly rules = follows<readonly Trigger[]>(() => this.all().triggers);

  protected lead(): boolean {
    return this.person()?.role === 'lead';
  }

  protected plantName(id: string): string {
    return this.all().plants.find((plant) => plant.id === id)?.name ?? id.replaceAll('-', ' ');
  }

  protected change(rule: Trigger, change: Partial<Trigger>): void {
    this.rules.update((rules) => rules.map((each) => (each.id === rule.id ? { ...each, ...change } : each)));
  }

  protected keep(): void {
    this.desk.change('setTriggers', { body: { triggers: this.rules() } }, 'happenings', false);
  }
}
