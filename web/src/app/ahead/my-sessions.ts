import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { MySession } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { dayOf, oddsText, timeOf } from '../ui/format';
import { IfWet } from './if-wet';

type Job = MySession['hives'][number]['jobs'][number];
/** What one does in a role, and what the role is called. */
const ROLES: Readonly<Record<Job['role'], readonly [string, string]>> = {
  frames: [$localize`hold frames`, $localize`Frames`],
  smoke: [$localize`smoke`, $localize`Smoke`],
  record: [$localize`record`, $localize`Record`],
  clock: [$localize`watch the clock`, $localize`Clock`],
  watch: [$localize`watch`, $localize`Watch`],
};

/** Own jobs turn by turn; those of a group by role, the turns one after another. */
function jobLines(jobs: readonly Job[], own: boolean): readonly { readonly head: string; readonly words: string }[] {
  if (own)
    return jobs.map(({ role, fromFrame, toFrame }) => ({
      head: $localize`frames ${fromFrame}–${toFrame}`,
      words: ROLES[role][0],
    }));
  return [...new Set(jobs.map(({ role }) => role))].map((role) => ({
    head: ROLES[role][1],
    words: jobs
      .filter((job) => job.role === role)
      .map(({ names }) => names.join($localize` and `))
      .join($localize`, then `),
  }));
}

/** The coming sessions of whoever is signed in: what they do and what they learn there. */
@Component({
  selector: 'bc-my-sessions',
  imports: [MatButton, RouterLink, ViewState, IfWet],
  templateUrl: './my-sessions.html',
  styleUrl: './my-sessions.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MySessionsScreen {
  protected readonly watched = inject(ViewDesk).watch('mySessions', () => ({}));
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  protected readonly oddsText = oddsText;
  protected readonly trainee = computed(() => this.person()?.role === 'trainee');
  protected readonly lead = computed(() => this.person()?.role === 'lead');
  protected readonly sessions = computed(() =>
    (this.watched.data()?.sessions ?? []).map((session) => ({
      ...session,
      day: dayOf(session.startsAt, session.zone),
      hours: `${timeOf(session.startsAt, session.zone)}–${timeOf(session.endsAt, session.zone)}`,
      odds: session.fit === null ? $localize`beyond the forecast` : $localize`fit in ${oddsText(session.fit)}`,
      openings: session.hives.map((hive) => ({
        ...hive,
        from: timeOf(hive.at, session.zone),
        jobs: jobLines(hive.jobs, this.trainee()),
      })),
    })),
  );
}
