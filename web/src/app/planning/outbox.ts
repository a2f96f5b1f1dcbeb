import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import { ViewDesk } from '../season/view-desk';
import { ViewState } from '../season/view-state';
import { MessageTime } from '../people/message-time';

/** Mails that would have gone out. */
@Component({
  selector: 'bc-outbox',
  imports: [RouterLink, ViewState, MessageTime],
  template: `
    <bc-view-state [watched]="watched" name="The outbox" />
    @if (watched.data(); as data) {
      <section class="sheet" aria-labelledby="outbox-title">
        <h1 id="outbox-title">Messages that went out</h1>
        <p class="quiet">
          This installation sends no mail by itself: what each person was told stands here and under the person's own
          messages. <a routerLink="/ahead/planner">Planner</a>
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
            </li>
          } @empty {
            <li>Nothing yet: messages are written when a plan is published.</li>
          }
        </ul>
      </section>
    }
  `,
  styleUrl: '../people/messages.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OutboxScreen {
  protected readonly watched = inject(ViewDesk).watch('outbox', () => ({}));
}
