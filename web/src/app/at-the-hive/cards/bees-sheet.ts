import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { MatBottomSheetRef } from '@angular/material/bottom-sheet';
import { MatButton, MatIconButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { MOODS } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Named } from '../../language/words';
import { Clock } from '../../people/clock';
import { timeOf } from '../../ui/format';
import { MoodLine } from '../mood-line';
import { smokeText } from '../smoke-text';

/** Mood, smoke and stings on a phone, where the bar below has room for one button. */
@Component({
  selector: 'bc-bees-sheet',
  imports: [MatButton, MatIconButton, MatIcon, MoodLine, Named],
  template: `
    <header>
      <h2 i18n>Bees, smoke, stings</h2>
      <button type="button" matIconButton aria-label="Close" i18n-aria-label (click)="ref.dismiss()">
        <mat-icon svgIcon="close" aria-hidden="true" />
      </button>
    </header>
    <div class="moods" role="group" aria-label="Mood of the bees" i18n-aria-label>
      @for (mood of moods; track mood; let index = $index) {
        <button
          type="button"
          class="big"
          matButton="outlined"
          [class.sel]="record().mood === index + 1"
          [attr.aria-pressed]="record().mood === index + 1"
          (click)="noted(index + 1)"
        >
          <span class="stack"><bc-mood-line [mood]="index + 1" />{{ mood | named: 'mood' }}</span>
        </button>
      }
    </div>
    <div class="two">
      <button type="button" class="big" matButton="outlined" (click)="smoke()">
        <mat-icon svgIcon="smoke" aria-hidden="true" />
        <span i18n
          ><b>Smoke</b><small>{{ record().smoke.length }} so far, {{ lastSmoke() }}</small></span
        >
      </button>
      <button type="button" class="big" matButton="outlined" (click)="ref.dismiss('sting')">
        <mat-icon svgIcon="sting" aria-hidden="true" />
        <span i18n
          ><b>Sting: who?</b><small>{{ stings() }}</small></span
        >
      </button>
    </div>
    @if (desk.mayRedo()) {
      <button type="button" class="big" matButton="outlined" (click)="redo()" i18n>Redo what was undone</button>
    }
  `,
  styleUrl: './sheets.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BeesSheet {
  protected readonly ref = inject<MatBottomSheetRef<BeesSheet, 'sting'>>(MatBottomSheetRef);
  protected readonly desk = inject(VisitDesk);
  private readonly store = inject(Store);
  private readonly clock = inject(Clock);
  protected readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  protected readonly moods = MOODS;
  protected readonly lastSmoke = computed(() => smokeText(this.record().smoke.at(-1)?.at ?? null, this.clock.now()));
  protected readonly stings = computed(() => {
    const { stings } = this.record();
    const last = stings.at(-1);
    if (!last) return $localize`none today`;
    const file = this.file();
    const name = file?.trainees.find(({ id }) => id === last.person)?.name ?? '';
    const at = timeOf(last.at, file?.visit.zone ?? 'utc');
    return $localize`${stings.length} today, the last ${[name, at].filter(Boolean).join(' ')}`;
  });

  protected noted(mood: number): void {
    this.desk.enter({ kind: 'mood-noted', mood });
    this.ref.dismiss();
  }

  protected smoke(): void {
    this.desk.enter({ kind: 'smoke-given', place: 'over-the-frames' });
    this.ref.dismiss();
  }

  protected redo(): void {
    this.desk.redo();
    this.ref.dismiss();
  }
}
