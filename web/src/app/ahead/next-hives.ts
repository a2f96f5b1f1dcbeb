import { ChangeDetectionStrategy, Component, computed, effect, inject, input, untracked } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { DaySheet } from '@brave-comb/contract';
import { Clock } from '../people/clock';
import { ViewDesk } from '../api/view-desk';
import { spanText } from '../ui/format';

const EVERY = 120_000;

/** Which hives each group opens in the minutes that are left. */
@Component({
  selector: 'bc-next-hives',
  imports: [MatButton, RouterLink],
  template: `
    <h2 id="next" i18n>If there is time left</h2>
    @for (group of groups(); track group.id) {
      <h3 i18n>
        {{ group.name }}, <b>{{ group.left }}</b> left
      </h3>
      <ol>
        @for (hive of group.open; track hive.id) {
          <li>
            <ng-container i18n
              ><b>Hive {{ hive.number }}</b> {{ hive.minutes }} min, then {{ hive.leaves }} left
            </ng-container>
            @if (sheet().mayStart) {
              <a
                matButton="outlined"
                [routerLink]="['/at-the-hive/hive', hive.id]"
                [queryParams]="{ session: sheet().session.id }"
                ariaLabel="Start hive {{ hive.number }}"
                i18n-ariaLabel
                i18n
                >Start</a
              >
            }
          </li>
        } @empty {
          <li i18n>No time for another: close up and debrief.</li>
        }
      </ol>
      @if (group.others.length > 0) {
        <details>
          <summary i18n>Why not {{ group.names }}</summary>
          <ul>
            @for (hive of group.others; track hive.id) {
              <li>{{ hive.says }}</li>
            }
          </ul>
        </details>
      }
    } @empty {
      <p i18n>Working it out …</p>
    }
  `,
  styles: `
    h3 {
      margin: 6px 0 0;
      font-size: var(--t-dense);
    }
    ol,
    ul {
      margin: 0;
      padding: 0 0 0 4px;
      list-style: none;
    }
    li {
      padding: 1px 0;
    }
    details {
      color: var(--ink-2);
      font-size: var(--t-note);
    }
    summary {
      min-height: 24px;
      cursor: pointer;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NextHives {
  private readonly clock = inject(Clock);
  readonly sheet = input.required<DaySheet>();
  private readonly watched = inject(ViewDesk).watch('nextHives', () => ({
    params: { session: this.sheet().session.id },
  }));

  constructor() {
    // Asked for again as time goes by, and whenever a visit was begun or closed.
    const moment = computed(
      () =>
        `${Math.floor(this.clock.now() / EVERY)} ${this.sheet()
          .groups.map(({ visit }) => visit?.closed)
          .join()}`,
    );
    let first = true;
    effect(() => {
      moment();
      if (!first) untracked(() => this.watched.reload());
      first = false;
    });
  }

  protected readonly groups = computed(() => {
    const names = new Map(this.sheet().groups.map(({ group }) => [group.id, group.name]));
    return (this.watched.data()?.groups ?? []).map(({ group, minutesLeft, hives }) => {
      const others = hives.filter(({ says }) => says !== null);
      return {
        id: group,
        name: names.get(group) ?? '',
        left: spanText(minutesLeft),
        open: hives.filter(({ says }) => says === null),
        others,
        names: others.map(({ number }) => number).join(', '),
      };
    });
  });
}
