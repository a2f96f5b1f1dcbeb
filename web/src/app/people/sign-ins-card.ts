import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { LEAST_PASSWORD } from '@brave-comb/core/people';
import { saving } from '../api/saving';
import { WHO } from '../api/who';
import { ViewDesk } from '../api/view-desk';
import { FIELD } from '../parts/field';
import { momentOf } from '../ui/format';

/** One's own password, and where one is signed in. */
@Component({
  selector: 'bc-sign-ins-card',
  imports: [FIELD, MatButtonModule, MatDialogModule, ReactiveFormsModule],
  template: `
    <h2 mat-dialog-title i18n>Password and sign-ins</h2>
    <mat-dialog-content>
      <h3 i18n>Where you are signed in</h3>
      <ul>
        @for (session of watched.data()?.sessions ?? []; track session.id) {
          <li>
            <span>
              <b>{{ session.device || unknown }}</b>
              @if (session.here) {
                <ng-container i18n>, here</ng-container>
              }
              <small class="quiet" i18n>since {{ moment(session.since) }}, last used {{ moment(session.used) }}</small>
            </span>
            @if (!session.here) {
              <button
                type="button"
                matButton
                class="small"
                ariaLabel="Sign out {{ session.device || unknown }}"
                i18n-ariaLabel
                (click)="end(session.id)"
                i18n
              >
                Sign out
              </button>
            }
          </li>
        }
      </ul>
      @if ((watched.data()?.sessions?.length ?? 0) > 1) {
        <button type="button" matButton="outlined" (click)="end(null)" i18n>Sign out everywhere else</button>
      }
      <h3 i18n>What is kept of you</h3>
      <p>
        <a matButton="outlined" [href]="'/api/archive/people/' + id()" download i18n>Download all of it</a>
      </p>
      <h3 i18n>Another password</h3>
      <form [formGroup]="form" (ngSubmit)="change()">
        <label bcField
          ><span i18n>Password so far</span
          ><mat-form-field>
            <input matInput type="password" formControlName="password" autocomplete="current-password" />
            @if (form.controls.password.invalid) {
              <mat-error i18n>Type the password that you have now.</mat-error>
            }
          </mat-form-field></label
        >
        <label bcField
          ><span i18n>New password, {{ least }} characters or more</span
          ><mat-form-field>
            <input matInput type="password" formControlName="next" autocomplete="new-password" maxlength="200" />
            @if (form.controls.next.invalid) {
              <mat-error i18n>Use at least {{ least }} characters; a few plain words are fine.</mat-error>
            }
          </mat-form-field></label
        >
      </form>
      @if (save.fault(); as refused) {
        <p class="caution" role="alert">{{ refused.message }}</p>
      }
      <p role="status">{{ words() }}</p>
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="outlined" mat-dialog-close i18n>Close</button>
      <button type="button" matButton="filled" [disabled]="save.busy()" (click)="change()" i18n>Change it</button>
    </mat-dialog-actions>
  `,
  styles: `
    ul {
      padding: 0;
      list-style: none;
    }
    li {
      display: flex;
      gap: 10px;
      align-items: center;
      justify-content: space-between;
      padding: 6px 0;
      border-bottom: 1px solid var(--line-2);
    }
    small {
      display: block;
    }
    h3 {
      margin: 14px 0 4px;
      font-size: 15px;
    }
    form {
      display: grid;
      gap: 8px;
    }
    .caution {
      color: var(--madder-800);
      font-weight: 650;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SignInsCard {
  protected readonly id = inject(WHO);
  protected readonly watched = inject(ViewDesk).watch('mySignIns', () => ({}));
  protected readonly save = saving();
  protected readonly least = LEAST_PASSWORD;
  protected readonly unknown = $localize`another device`;
  protected readonly words = signal('');
  private readonly zone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  protected readonly form = inject(NonNullableFormBuilder).group({
    password: ['', Validators.required],
    next: ['', [Validators.required, Validators.minLength(LEAST_PASSWORD)]],
  });

  protected moment(at: string): string {
    return momentOf(at, this.zone);
  }

  protected async end(id: string | null): Promise<void> {
    if (await this.save.send('endSignIns', { body: { id } })) this.words.set($localize`Signed out there.`);
  }

  protected async change(): Promise<void> {
    this.form.markAllAsTouched();
    if (this.form.invalid) return;
    const done = await this.save.send('changePassword', { body: this.form.getRawValue() });
    if (!done) return;
    this.form.reset();
    this.words.set(
      done.ended > 0
        ? $localize`The password is changed; you are signed out elsewhere.`
        : $localize`The password is changed.`,
    );
  }
}
