import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { DaySheet } from '@brave-comb/contract';
import { ViewDesk } from '../api/view-desk';
import { oddsText } from '../ui/format';

/** What a trainee has still to show: first what the hives of this session give the chance of, with odds. */
@Component({
  selector: 'bc-can-show',
  imports: [MatButton, RouterLink],
  template: `
    <h2 id="show" i18n>You can show</h2>
    @for (skill of here(); track skill.name) {
      <p>
        <span>{{ skill.name }}</span><b>{{ skill.odds }}</b>
      </p>
    }
    @if (open().length === 0) {
      <p i18n>Nothing is left: every skill is achieved.</p>
    } @else if (rest().length > 0) {
      <details>
        <summary>{{ more() }}</summary>
        <ul>
          @for (skill of rest(); track skill) {
            <li>{{ skill }}</li>
          }
        </ul>
      </details>
    }
    <a matButton="outlined" routerLink="/practice" i18n>Practise, 5 minutes</a>
  `,
  styles: `
    p {
      display: grid;
      grid-template-columns: minmax(0, 1fr) auto;
      gap: 10px;
      padding: 3px 0;
      border-bottom: 1px solid var(--line-2);
    }
    b {
      color: var(--spruce);
      white-space: nowrap;
    }
    details {
      margin: 6px 0;
    }
    summary {
      min-height: 24px;
      cursor: pointer;
    }
    li {
      padding: 1px 0 1px 10px;
      color: var(--ink-2);
    }
    a {
      margin-top: 6px;
      width: 100%;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CanShow {
  readonly sheet = input.required<DaySheet>();
  readonly open = input.required<readonly string[]>();
  private readonly sessions = inject(ViewDesk).watch('mySessions', () => ({})).data;
  protected readonly here = computed(() => {
    const { id } = this.sheet().session;
    const best = new Map<string, number>();
    for (const { session, hives } of this.sessions()?.sessions ?? [])
      if (session === id)
        for (const { name, chance } of hives.flatMap(({ learn }) => learn))
          best.set(name, Math.max(chance, best.get(name) ?? 0));
    return [...best]
      .filter(([name]) => this.open().includes(name))
      .sort(([, a], [, b]) => b - a)
      .map(([name, chance]) => ({ name, odds: oddsText(chance) }));
  });
  protected readonly rest = computed(() => {
    const named = new Set(this.here().map(({ name }) => name));
    return this.open().filter((name) => !named.has(name));
  });
  protected readonly more = computed(() => {
    const { length } = this.rest();
    return this.here().length > 0 ? $localize`Still to show: ${length} more` : $localize`Still to show: ${length}`;
  });
}
