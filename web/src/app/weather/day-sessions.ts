import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { DayPage } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { Named } from '../language/words';
import { peopleFeature } from '../people/people.feature';
import { seasonFeature } from '../season/season.feature';
import { civilDate, oddsText, shortDate, timeOf } from '../ui/format';

/** Sessions and days named after a day. */
const MOST = 3;
/** Under these odds a session is risky. */
const RISKY = 0.6;

/** What is opened on a day; for a day without a session, that it has none, and which come next. */
@Component({
  selector: 'bc-day-sessions',
  imports: [MatButton, Named, RouterLink],
  template: `
    @for (session of day().sessions; track session.id) {
      @if ($first) {
        <h2 i18n>Sessions on this day</h2>
      }
      <p class="row">
        <b>{{ time(session.startsAt) }}–{{ time(session.endsAt) }}</b>
        <span>{{ session.depth | named: 'depthLook' }}, {{ session.status | named: 'sessionStatus' }}</span>
        <a matButton="filled" [routerLink]="['/ahead', session.id]" i18n
          >Day sheet<span class="unseen">, {{ time(session.startsAt) }}</span></a
        >
      </p>
    } @empty {
      <h2 i18n>No session</h2>
      <p i18n>
        {past(), select, true {No hive was opened in a session on this day.} other {No hive is opened on this day.}}
      </p>
    }
    @if (!past()) {
      <h3 i18n>The next sessions</h3>
      @for (session of next(); track session.id) {
        <p class="row">
          <b>{{ session.date }}</b>
          <span
            >{{ session.hours }}<br />{{ session.who
            }}<i [class.risky]="session.risky"><br />{{ session.odds }}</i></span
          >
          <a matButton="outlined" [routerLink]="['/ahead', session.id]" i18n
            >Show it<span class="unseen">, {{ session.date }}</span></a
          >
        </p>
      } @empty {
        <p i18n>None is planned for you after this day.</p>
      }
      @if (staff()) {
        <h3 i18n>Due after this day</h3>
        @for (due of dues(); track due.date) {
          <p class="row due">
            <b>{{ due.date }}</b>
            <span>
              @for (line of due.lines; track line.question) {
                <span class="line"
                  ><b i18n>Hive {{ line.hives }}</b> {{ line.question }}</span
                >
              }
            </span>
          </p>
        } @empty {
          <p i18n>No hive’s last day falls in the days on the strip after it.</p>
        }
        @if (mayPlan() && day().sessions.length === 0) {
          <a matButton="outlined" routerLink="/ahead/planner" i18n>Add a session in the planner</a>
        }
      }
    }
  `,
  styles: `
    :host {
      display: block;
    }
    h3 {
      margin: 12px 0 2px;
      font-size: 14px;
    }
    .row {
      display: grid;
      grid-template-columns: 96px minmax(0, 1fr) auto;
      gap: 10px;
      align-items: center;
      padding: 6px 0;
      border-bottom: 1px solid var(--line-2);
    }
    .due {
      grid-template-columns: 96px minmax(0, 1fr);
      align-items: baseline;
      padding: 3px 0;
    }
    .line {
      display: block;
    }
    i {
      color: var(--ink-2);
      font-style: normal;
    }
    .risky {
      color: var(--rust-text);
    }
    a {
      justify-self: start;
      margin-top: 8px;
    }
    .row a {
      margin: 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DaySessions {
  readonly day = input.required<DayPage>();
  private readonly store = inject(Store);
  private readonly strip = this.store.selectSignal(seasonFeature.selectStrip);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly staff = computed(() => this.person()?.role !== 'trainee');
  protected readonly mayPlan = computed(() => this.person()?.role === 'lead');
  private readonly mine = inject(ViewDesk).watch('mySessions', () => ({})).data;
  protected readonly past = computed(() => this.day().date < this.day().today);
  protected readonly next = computed(() => {
    const { date } = this.day();
    const after = (this.mine()?.sessions ?? []).filter(({ startsAt, zone }) => civilDate(startsAt, zone) > date);
    const ids = [...new Set(after.map(({ session }) => session))].slice(0, MOST);
    return ids.map((id) => {
      const groups = after.filter(({ session }) => session === id);
      const { startsAt, endsAt, zone, fit } = groups[0]!;
      return {
        id,
        date: shortDate(civilDate(startsAt, zone)),
        hours: `${timeOf(startsAt, zone)}–${timeOf(endsAt, zone)}`,
        who: groups
          .map(({ group, hives }) => $localize`${group}, hive ${hives.map(({ number }) => number).join(', ')}`)
          .join('; '),
        odds: fit === null ? $localize`beyond the forecast` : $localize`fit in ${oddsText(fit)}`,
        risky: fit !== null && fit < RISKY,
      };
    });
  });
  protected readonly dues = computed(() => {
    const { date, site } = this.day();
    const strip = this.strip();
    if (strip?.site.id !== site.id) return [];
    const after = strip.due.filter(({ due, done }) => !done && due > date);
    const days = [...new Set(after.map(({ due }) => due))].sort().slice(0, MOST);
    return days.map((day) => {
      const due = after.filter((each) => each.due === day);
      const questions = [...new Set(due.map(({ question }) => question))];
      return {
        date: shortDate(day),
        lines: questions.map((question) => ({
          question,
          hives: [...new Set(due.filter((each) => each.question === question).map(({ hive }) => hive))].join(', '),
        })),
      };
    });
  });

  protected time(at: string): string {
    return timeOf(at, this.day().site.zone);
  }
}
