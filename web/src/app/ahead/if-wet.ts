import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { PlanReasons } from '@brave-comb/contract';
import { momentOf } from '../ui/format';

/** What is done when the weather does not come. */
@Component({
  selector: 'bc-if-wet',
  imports: [RouterLink],
  template: `
    <h3 i18n>If the weather does not come</h3>
    <ul>
      @for (line of lines(); track $index) {
        <li>{{ line }}</li>
      }
      @for (work of wet().indoors; track work.skill) {
        <li><b i18n>Indoors:</b> {{ work.name ?? work.skill }}. {{ work.how }}</li>
      }
    </ul>
    @if (group(); as id) {
      <a routerLink="/practice/indoors" [queryParams]="{ group: id }" i18n
        >Stations based on the group’s weakest drills</a
      >
    }
  `,
  styles: `
    h3 {
      margin: 8px 0 2px;
      font-size: 14px;
    }
    ul {
      margin: 0;
      padding: 0 0 0 8px;
      border-left: 3px solid var(--rain, var(--rust));
      list-style: none;
      font-size: var(--t-note);
    }
    li {
      padding: 1px 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class IfWet {
  readonly wet = input.required<NonNullable<PlanReasons['ifWet']>>();
  readonly zone = input.required<string>();
  /** Whose weakest drills make a session indoors; `null` for those who do not plan one. */
  readonly group = input<string | null>(null);

  protected readonly lines = computed(() => {
    const { reserve, staff } = this.wet();
    const when = (at: string) => momentOf(at, this.zone());
    return [
      reserve === null
        ? $localize`No other slot in these days: the session is lost.`
        : $localize`In reserve: ${when(reserve.startsAt)}, hive ${reserve.hives.join(', ')}, with ${reserve.supervisor}.`,
      ...staff.map(({ startsAt, hive }) => $localize`Hive ${hive} cannot wait: staff open it ${when(startsAt)}.`),
    ];
  });
}
