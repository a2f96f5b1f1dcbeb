import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { MySession } from '@brave-comb/contract';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { ViewDesk } from '../season/view-desk';
import { ViewState } from '../season/view-state';
import { dayOf, oddsText, timeOf } from '../shell/format';
import { IfWet } from './if-wet';

const ROLE_WORDS: Readonly<Record<MySession['hives'][number]['jobs'][number]['role'], string>> = {
  frames: 'hold frames',
  smoke: 'smoke',
  record: 'record',
  clock: 'watch the clock',
  watch: 'watch',
};

/** The coming sessions of whoever is signed in: what they do and what they learn there. */
@Component({
  selector: 'bc-my-sessions',
  imports: [RouterLink, ViewState, IfWet],
  templateUrl: './my-sessions.html',
  styleUrl: './my-sessions.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MySessionsScreen {
  protected readonly watched = inject(ViewDesk).watch('mySessions', () => ({}));
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  protected readonly trainee = computed(() => this.person()?.role === 'trainee');
  protected readonly sessions = computed(() =>
    (this.watched.data()?.sessions ?? []).map((session) => ({
      ...session,
      day: dayOf(session.startsAt, session.zone),
      hours: `${timeOf(session.startsAt, session.zone)}–${timeOf(session.endsAt, session.zone)}`,
      odds: session.fit === null ? 'beyond the forecast' : `fit in ${oddsText(session.fit)}`,
      openings: session.hives.map((hive) => ({
        ...hive,
        from: timeOf(hive.at, session.zone),
        jobs: hive.jobs.map(({ role, fromFrame, toFrame, names }) => ({
          frames: `frames ${fromFrame}–${toFrame}`,
          words: names.length === 0 ? ROLE_WORDS[role] : `${names.join(', ')} ${ROLE_WORDS[role]}`,
        })),
      })),
    })),
  );
}
