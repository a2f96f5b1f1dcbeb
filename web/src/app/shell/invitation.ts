import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButton } from '@angular/material/button';
import { MatProgressBar } from '@angular/material/progress-bar';
import { RouterLink } from '@angular/router';
import type { Output, endpoints as Table } from '@brave-comb/contract';
import { LEAST_PASSWORD } from '@brave-comb/core/people';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { FIELD } from '../parts/field';
import { ShowPassword } from '../parts/show-password';
import { PeopleEvents, peopleFeature } from '../people/people.feature';
import { dateInFull, civilDate } from '../ui/format';

type Invitation = Output<(typeof Table)['lookAtInvitation']>;

/** Who comes by a link chooses how to sign in. */
@Component({
  selector: 'bc-invitation',
  imports: [FIELD, MatButton, MatProgressBar, ReactiveFormsModule, RouterLink, ShowPassword],
  template: `
    <main id="content" tabindex="-1">
      @if (invitation(); as found) {
        <form class="sheet chosen" [formGroup]="form" (ngSubmit)="submit()" aria-labelledby="title">
          <h1 id="title" i18n>Welcome, {{ found.name }}</h1>
          <p i18n>
            {!!found.known, select,
              true {Choose another password for {{ found.school }}.}
              other {{{ found.school }} has a place for you here. Choose how you sign in.}
            }
          </p>
          <label bcField
            ><span i18n>Sign-in name</span
            ><mat-form-field>
              <input
                matInput
                formControlName="signIn"
                autocomplete="username"
                autocapitalize="none"
                spellcheck="false"
                maxlength="80"
              />
              @if (form.controls.signIn.invalid) {
                <mat-error i18n>Two or more characters without spaces; a mail address will do.</mat-error>
              }
            </mat-form-field></label
          >
          <label bcField
            ><span i18n>Password</span
            ><mat-form-field>
              <input
                #secret
                matInput
                type="password"
                formControlName="password"
                autocomplete="new-password"
                maxlength="200"
              />
              <bc-show-password matSuffix [of]="secret" />
              @if (form.controls.password.invalid) {
                <mat-error i18n>Use at least {{ least }} characters; a few plain words are fine.</mat-error>
              }
            </mat-form-field></label
          >
          <mat-progress-bar
            [value]="(100 * form.value.password!.length) / (2 * least)"
            aria-label="Length of the password"
            i18n-aria-label
          />
          <p class="quiet" i18n>The link is good once and until {{ day(found.until) }}.</p>
          @if (fault(); as refused) {
            <p class="said bad" role="alert">{{ refused.message }}</p>
          }
          <button matButton="filled" type="submit" disabledInteractive [disabled]="status() === 'signing in'" i18n>
            {status() === 'signing in', select, true {Coming in …} other {Come in}}
          </button>
        </form>
      } @else if (wrong(); as refused) {
        <section class="sheet no" role="alert">
          <h1 i18n>This link opens nothing</h1>
          <p>{{ refused.message }}</p>
          <a routerLink="/sign-in" i18n>To the sign-in</a>
        </section>
      } @else {
        <p role="status" i18n>Looking at the invitation …</p>
      }
    </main>
  `,
  styles: `
    main {
      width: min(460px, 100% - 28px);
      margin: 48px auto;
    }
    .sheet {
      display: grid;
      gap: 10px;
      padding: 14px 18px 18px;
    }
    h1 {
      font-size: 24px;
      overflow-wrap: anywhere;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class InvitationScreen {
  private readonly client = inject(ContractClient);
  private readonly store = inject(Store);
  protected readonly status = this.store.selectSignal(peopleFeature.selectStatus);
  protected readonly fault = this.store.selectSignal(peopleFeature.selectFault);
  protected readonly least = LEAST_PASSWORD;
  protected readonly invitation = signal<Invitation | null>(null);
  protected readonly wrong = signal<CallFault | null>(null);
  protected readonly form = inject(NonNullableFormBuilder).group({
    signIn: ['', [Validators.required, Validators.minLength(2), Validators.pattern(/^[^\s<>"]+$/)]],
    password: ['', [Validators.required, Validators.minLength(LEAST_PASSWORD)]],
  });
  /** Behind the `#` it is sent to no server by itself and stands in no log. */
  private readonly token = location.hash.slice(1);

  constructor() {
    void this.look();
  }

  private async look(): Promise<void> {
    try {
      const found = await firstValueFrom(this.client.call(endpoints.lookAtInvitation, { body: { token: this.token } }));
      this.form.controls.signIn.setValue(found.signIn);
      this.invitation.set(found);
    } catch (fault) {
      this.wrong.set(fault as CallFault);
    }
  }

  protected day(at: string): string {
    return dateInFull(civilDate(at, Intl.DateTimeFormat().resolvedOptions().timeZone));
  }

  protected submit(): void {
    this.form.markAllAsTouched();
    if (this.form.invalid || this.status() === 'signing in') return;
    this.store.dispatch(PeopleEvents.invitationAccepted({ wish: { token: this.token, ...this.form.getRawValue() } }));
  }
}
