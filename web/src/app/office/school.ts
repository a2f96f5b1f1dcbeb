import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { peopleFeature } from '../people/people.feature';

interface Step {
  readonly id: string;
  readonly name: string;
  readonly why: string;
  /** What there is of it; null for nothing yet. */
  readonly done: string | null;
  readonly link: string;
  readonly act: string;
}

/** What a school needs before its first session, in its order, and how far it is. */
@Component({
  selector: 'bc-school',
  imports: [MatButton, MatIcon, RouterLink, ViewState],
  template: `
    <bc-view-state [watched]="sites" name="The school" i18n-name />
    @if (steps(); as all) {
      <header class="office-head">
        <h1>{{ name() }}</h1>
        <p class="quiet" role="status">
          @if (next(); as step) {
            <ng-container i18n>Next: {{ step.name }}.</ng-container>
          } @else {
            <ng-container i18n>All is there for a session.</ng-container>
          }
        </p>
      </header>
      <section class="sheet" [class.chosen]="next()" aria-labelledby="steps-title">
        <h2 id="steps-title" i18n>To the first session</h2>
        <ol>
          @for (step of all; track step.id) {
            <li [class.done]="step.done !== null" [class.next]="step.id === next()?.id">
              <span class="mark" aria-hidden="true">
                @if (step.done !== null) {
                  <mat-icon svgIcon="check" />
                }
              </span>
              <div>
                <b>{{ step.name }}</b>
                <p class="quiet">{{ step.done ?? step.why }}</p>
              </div>
              <a [matButton]="step.id === next()?.id ? 'filled' : 'outlined'" [routerLink]="step.link">{{
                step.act
              }}</a>
            </li>
          }
        </ol>
      </section>
    }
  `,
  styleUrl: './office.scss',
  styles: `
    ol {
      padding: 0;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 34px minmax(0, 1fr) auto;
      gap: 4px 12px;
      align-items: center;
      padding: 10px 0;
      border-bottom: 1px solid var(--line-2);
    }
    .mark {
      display: grid;
      place-items: center;
      width: 28px;
      height: 28px;
      border: 2px dashed var(--ink-2);
      border-radius: 5px;
    }
    .done .mark {
      border: 0;
      background: var(--spruce);
      color: var(--sheet);
    }
    .next .mark {
      border: 2px solid var(--heather);
    }
    p {
      margin: 0;
    }
    @media screen and (width < 700px) {
      li {
        grid-template-columns: 34px minmax(0, 1fr);
      }
      li > a {
        grid-column: 2;
        justify-self: start;
      }
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SchoolScreen {
  private readonly desk = inject(ViewDesk);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  protected readonly name = computed(() => this.person()?.school.name ?? '');
  protected readonly sites = this.desk.watch('schoolSites', () => ({}));
  private readonly hives = this.desk.watch('schoolHives', () => ({}));
  private readonly members = this.desk.watch('members', () => ({}));
  private readonly checklist = this.desk.watch('checklist', () => ({}));
  private readonly sessions = this.desk.watch('mySessions', () => (this.sites.data()?.sites.length ? {} : null));

  protected readonly steps = computed((): readonly Step[] | null => {
    const [sites, hives, members] = [this.sites.data(), this.hives.data(), this.members.data()];
    if (!sites || !hives || !members) return null;
    const here = members.people.filter(({ retired }) => retired === null);
    const trainees = here.filter(({ role }) => role === 'trainee').length;
    const groups = members.groups.filter(({ retired }) => retired === null).length;
    const outside = here.filter(({ wayIn }) => wayIn === 'none' || wayIn === 'invitation-over').length;
    const standing = hives.hives.filter(({ retired }) => retired === null).length;
    const skills = this.checklist.data()?.inForce.skills.length ?? 0;
    const ahead = this.sessions.data()?.sessions.length ?? 0;
    const inUse = sites.sites.filter(({ retired }) => retired === null);
    return [
      {
        id: 'site',
        name: $localize`A site`,
        why: $localize`Its place gives the season, the forecast and the time; its emergency line stands on every day sheet.`,
        done: inUse.length > 0 ? inUse.map((site) => site.name).join(', ') : null,
        link: '/office/sites',
        act: $localize`Sites`,
      },
      {
        id: 'hives',
        name: $localize`Hives`,
        why: $localize`Paste them from a spreadsheet, whatever its columns are called.`,
        done: standing > 0 ? $localize`${standing} in use` : null,
        link: standing > 0 ? '/office/hives' : '/office/hives/paste',
        act: $localize`Hives`,
      },
      {
        id: 'people',
        name: $localize`Trainees in groups, and who leads them`,
        why: $localize`Paste the list of the course; a column for groups makes the groups.`,
        done:
          trainees > 0 && groups > 0
            ? outside > 0
              ? $localize`${trainees} trainees in ${groups} groups, ${here.length - trainees} staff; ${outside} not invited yet`
              : $localize`${trainees} trainees in ${groups} groups, ${here.length - trainees} staff`
            : null,
        link: trainees > 0 ? '/office/people' : '/office/people/paste',
        act: $localize`People`,
      },
      {
        id: 'checklist',
        name: $localize`Checklist`,
        why: $localize`What is to be shown, and when it counts as met.`,
        done: skills > 0 ? $localize`${skills} skills published; change what you teach otherwise` : null,
        link: '/office/checklist',
        act: $localize`Checklist`,
      },
      {
        id: 'session',
        name: $localize`The first session`,
        why: $localize`By hand for tomorrow in a minute, or by the planner for the coming weeks.`,
        done: ahead > 0 ? $localize`${ahead} ahead` : null,
        link: ahead > 0 ? '/ahead/sessions' : '/ahead/by-hand',
        act: $localize`Sessions`,
      },
    ];
  });
  protected readonly next = computed(() => this.steps()?.find(({ done }) => done === null) ?? null);
}
