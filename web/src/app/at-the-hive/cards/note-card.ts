import {
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  computed,
  effect,
  inject,
  signal,
  untracked,
} from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import { MOST_SECONDS, Voice } from '../../inspection/voice';
import { VisitDesk } from '../../inspection/visit-desk';
import { Clock } from '../../people/clock';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

/** Things said at many hives, as buttons for gloves. */
const READY = [
  $localize`Queen marked today`,
  $localize`Bees calm throughout`,
  $localize`Comb heavy, lift slowly`,
  $localize`Heavily propolised, take your time`,
  $localize`Brood nest has moved`,
  $localize`Fed today`,
  $localize`Frames left loose`,
  $localize`Look here first next time`,
] as const;

/** A note without a pen: spoken, tapped, or typed when the gloves are off. */
@Component({
  selector: 'bc-note-card',
  imports: [MatButton, FIELD, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle i18n>Note</h2>
    <p>{{ desk.where() }}</p>
    <button
      type="button"
      matButton="outlined"
      class="speak"
      [class.some]="speaking()"
      [attr.aria-pressed]="speaking()"
      (click)="speak()"
      i18n
    >
      {!!speaking(), select, true {Stop and save, {{ seconds() }} s} other {Speak a note}}
    </button>
    @if (problem(); as wrong) {
      <p class="stop" role="alert">{{ wrong }}</p>
    }
    @if (kept(); as text) {
      <p role="status">{{ text }}</p>
    }
    <fieldset>
      <legend i18n>Or choose</legend>
      <div class="row">
        @for (text of ready; track text) {
          <button type="button" matButton="outlined" (click)="write(text)">{{ text }}</button>
        }
      </div>
    </fieldset>
    <label bcField class="text"
      ><span i18n>Or type</span
      ><mat-form-field>
        <textarea
          matInput
          #words
          rows="2"
          maxlength="500"
          [value]="typed()"
          (input)="typed.set(words.value)"
        ></textarea>
      </mat-form-field>
    </label>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="typed().trim() === ''" (click)="write(typed().trim())" i18n>
        Save the note
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
    </div>
  `,
  styleUrl: './cards.scss',
  styles: `
    .speak {
      min-height: 76px;
      font-size: 20px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class NoteCard {
  protected readonly desk = inject(VisitDesk);
  private readonly voice = inject(Voice);
  private readonly now = inject(Clock).now;
  protected readonly ready = READY;
  protected readonly typed = signal('');
  protected readonly kept = signal<string | null>(null);
  protected readonly problem = signal<string | null>(null);
  protected readonly speaking = computed(() => this.voice.since() !== null);
  protected readonly seconds = computed(() => {
    this.now();
    return Math.max(0, Math.round((Date.now() - (this.voice.since() ?? Date.now())) / 1000));
  });

  constructor() {
    effect(() => {
      if (this.seconds() >= MOST_SECONDS) untracked(() => void this.stop());
    });
    // A note that is being spoken is kept also when somebody closes the card.
    inject(DestroyRef).onDestroy(() => this.speaking() && void this.stop());
  }

  protected async speak(): Promise<void> {
    if (this.speaking()) return this.stop();
    this.kept.set(null);
    this.problem.set(await this.voice.begin());
  }

  private async stop(): Promise<void> {
    const note = await this.voice.end(this.desk.spot());
    if (note)
      this.kept.set($localize`Saved, ${note.seconds} s\: it is on this device and is sent when there is a signal.`);
    else this.problem.set($localize`Nothing was recorded. Try again, or type it.`);
  }

  protected write(text: string): void {
    this.desk.enter({ kind: 'note-written', text: this.desk.spot() ? `${this.desk.where()}: ${text}` : text });
    this.kept.set($localize`Saved\: ${text}`);
    this.typed.set('');
  }
}
