import { ChangeDetectionStrategy, Component, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatButtonToggle, MatButtonToggleGroup } from '@angular/material/button-toggle';
import { MatSnackBar } from '@angular/material/snack-bar';
import type { Output, endpoints } from '@brave-comb/contract';
import { saving } from '../api/saving';
import { FIELD } from '../parts/field';

type Session = Output<(typeof endpoints)['plannedSession']>;

const REASONS = [
  ['weather', $localize`Weather`],
  ['bees', $localize`Bees`],
  ['nobody-leads', $localize`Nobody to lead`],
  ['other', $localize`Other`],
] as const;

/** Calls a session off with a word to those concerned, or brings it back. */
@Component({
  selector: 'bc-call-off',
  imports: [FIELD, MatButton, MatButtonToggle, MatButtonToggleGroup],
  template: `
    <section class="sheet" [class.short]="session().status === 'planned'" aria-labelledby="off-title">
      @if (session().off; as off) {
        <h2 id="off-title" i18n>Called off</h2>
        <p i18n>by {{ off.by }}: {{ reasonName(off.why) }}</p>
        @if (off.word) {
          <p class="quiet">{{ off.word }}</p>
        }
      } @else {
        <h2 id="off-title" i18n>Call it off</h2>
        <p id="why-title" class="label" i18n>Why</p>
        <mat-button-toggle-group
          aria-labelledby="why-title"
          hideSingleSelectionIndicator
          [value]="why()"
          (change)="why.set($event.value)"
        >
          @for (reason of reasons; track reason[0]) {
            <mat-button-toggle [value]="reason[0]">{{ reason[1] }}</mat-button-toggle>
          }
        </mat-button-toggle-group>
      }
      <label bcField
        ><span i18n>Message</span
        ><mat-form-field>
          <textarea
            matInput
            rows="3"
            maxlength="400"
            [value]="word()"
            (input)="word.set($any($event.target).value)"
          ></textarea>
          <mat-hint i18n>Sent with the day, the place and the reason.</mat-hint>
        </mat-form-field></label
      >
      @if (save.fault(); as refused) {
        <p class="said bad" role="alert">{{ refused.message }}</p>
      }
      <p>
        @if (session().status === 'planned') {
          <button type="button" matButton="outlined" class="danger" [disabled]="save.busy()" (click)="send(true)" i18n>
            Call off and tell {{ session().told }}
          </button>
        } @else {
          <button type="button" matButton="filled" [disabled]="save.busy()" (click)="send(false)" i18n>
            Bring it back and tell {{ session().told }}
          </button>
        }
      </p>
      <p class="quiet" i18n>It can be brought back until its hours are over; those concerned are told again.</p>
    </section>
  `,
  styles: `
    .sheet {
      display: grid;
      gap: 8px;
      padding: 10px 16px 14px;
    }
    h2 {
      font-size: 16.5px;
    }
    p {
      margin: 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class CallOff {
  private readonly bar = inject(MatSnackBar);
  readonly session = input.required<Session>();
  protected readonly save = saving();
  protected readonly reasons = REASONS;
  protected readonly why = signal<(typeof REASONS)[number][0]>('weather');
  protected readonly word = signal('');

  protected reasonName(id: (typeof REASONS)[number][0]): string {
    return REASONS.find(([each]) => each === id)![1];
  }

  protected async send(off: boolean): Promise<void> {
    const done = await this.save.send('callOffSession', {
      params: { session: this.session().id },
      body: { off, why: this.why(), tell: true, word: this.word() },
    });
    if (!done) return;
    this.word.set('');
    this.bar.open(
      off
        ? $localize`Called off; ${done.told} people were told.`
        : $localize`It takes place after all; ${done.told} people were told.`,
      undefined,
      { duration: 8000 },
    );
  }
}
