import { ChangeDetectionStrategy, Component, inject, input, linkedSignal, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { FIELD } from '../parts/field';

/** Asks for a link for a new password. */
@Component({
  selector: 'bc-lost-password',
  imports: [FIELD, MatButton],
  template: `
    <form (submit)="ask($event)" aria-label="Lost password" i18n-aria-label>
      <label bcField
        ><span i18n>Sign-in name or mail address</span
        ><mat-form-field>
          <input
            matInput
            name="lost"
            autocomplete="username"
            autocapitalize="none"
            spellcheck="false"
            maxlength="254"
            [value]="whose()"
            (input)="whose.set($any($event.target).value)"
          /> </mat-form-field
      ></label>
      <button matButton="outlined" type="submit" disabledInteractive [disabled]="busy() || whose().trim() === ''" i18n>
        Send me a link
      </button>
    </form>
    @if (refused(); as fault) {
      <p class="said bad" role="alert">{{ fault }}</p>
    }
    @switch (mails()) {
      @case (true) {
        <p role="status" i18n>
          If this name is known here with a mail address, a link is on its way to it. It is good once and for seven
          days.
        </p>
      }
      @case (false) {
        <p role="status" i18n>
          This installation sends no mail. Ask your lead instructor for a link: they make one under Office, People.
        </p>
      }
    }
  `,
  styles: `
    form {
      display: grid;
      gap: 8px;
      margin-top: 12px;
    }
    button {
      justify-self: start;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LostPassword {
  private readonly client = inject(ContractClient);
  /** What was typed above. */
  readonly name = input('');
  protected readonly whose = linkedSignal(() => this.name());
  protected readonly busy = signal(false);
  protected readonly mails = signal<boolean | null>(null);
  protected readonly refused = signal('');

  protected async ask(event: Event): Promise<void> {
    event.preventDefault();
    if (this.busy() || this.whose().trim() === '') return;
    this.busy.set(true);
    this.refused.set('');
    this.mails.set(null);
    try {
      const body = { name: this.whose().trim() };
      this.mails.set((await firstValueFrom(this.client.call(endpoints.lostPassword, { body }))).mails);
    } catch (error) {
      this.refused.set((error as CallFault).message);
    } finally {
      this.busy.set(false);
    }
  }
}
