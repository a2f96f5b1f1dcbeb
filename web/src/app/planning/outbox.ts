import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { MessageTime } from '../people/message-time';

/** Plans that were published with what they changed, and the mails that would have gone out. */
@Component({
  selector: 'bc-outbox',
  imports: [RouterLink, ViewState, MessageTime],
  template: `
    <h1 i18n>Versions and messages</h1>
    <p><a routerLink="/ahead/planner" i18n>Planner</a></p>
    @if (versions.data(); as data) {
      <section class="sheet" aria-labelledby="versions-title">
        <h2 id="versions-title" i18n>Plans that were published</h2>
        <ul>
          @for (version of data.versions; track version.version) {
            <li>
              <p>
                <ng-container i18n
                  ><b>Version {{ version.version }}</b> by {{ version.by }}, </ng-container
                ><bc-message-time [at]="version.at" />
                @if (version.reason) {
                  <i>{{ version.reason }}</i>
                }
              </p>
              @for (line of version.changes; track $index) {
                <p class="line">{{ line }}</p>
              } @empty {
                <p class="line" i18n>Nothing moved.</p>
              }
            </li>
          } @empty {
            <li i18n>None yet.</li>
          }
        </ul>
      </section>
    }
    <bc-view-state [watched]="watched" name="The outbox" i18n-name />
    @if (watched.data(); as data) {
      <section class="sheet" aria-labelledby="outbox-title">
        <h2 id="outbox-title" i18n>Messages that went out</h2>
        <p class="quiet" i18n>
          {!!data.sends, select,
            true {
              What each person was told stands here and under their own messages; whoever has a mail address gets it by
              mail too.
            }
            other {
              This installation sends no email itself: what each person was told is listed here and under their own
              messages.
            }
          }
        </p>
        <ul>
          @for (mail of data.mails; track mail.id) {
            <li>
              <p>
                <b>{{ mail.to }}</b> <bc-message-time [at]="mail.at" />: {{ mail.subject }}
              </p>
              @for (line of mail.lines; track $index) {
                <p class="line">{{ line }}</p>
              }
              @if (data.sends && mail.mail; as state) {
                @if (state.sent) {
                  <p class="quiet"><ng-container i18n>By mail </ng-container><bc-message-time [at]="state.sent" /></p>
                } @else if (state.tries >= given) {
                  <p class="said bad" i18n>Not sent by mail, given up: {{ state.fault }}</p>
                } @else if (state.fault) {
                  <p class="said bad" i18n>Not sent by mail yet: {{ state.fault }}. It is tried again.</p>
                } @else {
                  <p class="quiet" i18n>Waits to be sent by mail.</p>
                }
              }
            </li>
          } @empty {
            <li i18n>Nothing yet: messages are written when a plan is published.</li>
          }
        </ul>
      </section>
    }
  `,
  styleUrl: '../people/messages.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OutboxScreen {
  /** Tries after which a mail is given up. */
  protected readonly given = 6;
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('outbox', () => ({}));
  protected readonly versions = this.desk.watch('planVersions', () => ({}));
}
