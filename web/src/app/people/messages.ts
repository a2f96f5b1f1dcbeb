import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { ViewDesk } from '../api/view-desk';
import { ViewState } from '../api/view-state';
import { MessageTime } from './message-time';

/** What one was told. */
@Component({
  selector: 'bc-messages',
  imports: [MatButton, RouterLink, ViewState, MessageTime],
  template: `
    <bc-view-state [watched]="watched" name="Your messages" i18n-name />
    @if (watched.data(); as data) {
      <section class="sheet" aria-labelledby="messages-title">
        <h1 id="messages-title" i18n>Messages</h1>
        <ul>
          @for (message of data.messages; track message.id) {
            <li [class.new]="!message.read">
              <p>
                <b>{{ message.subject }}</b> <bc-message-time [at]="message.at" />
                @if (!message.read) {
                  <button type="button" matButton="outlined" (click)="read(message.id)" i18n>Read</button>
                }
              </p>
              @for (line of message.lines; track $index) {
                <p class="line">{{ line }}</p>
              }
            </li>
          } @empty {
            <li>
              <p i18n>Nothing yet. You will be told here when one of your sessions changes.</p>
              <a matButton="outlined" routerLink="/ahead/sessions" i18n>To the coming sessions</a>
            </li>
          }
        </ul>
      </section>
    }
  `,
  styleUrl: './messages.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class MessagesScreen {
  private readonly desk = inject(ViewDesk);
  protected readonly watched = this.desk.watch('messages', () => ({}));

  protected read(message: string): void {
    this.desk.change('readMessage', { params: { message } }, 'messages');
  }
}
