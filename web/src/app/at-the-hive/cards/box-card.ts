import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { BOXES, isBox } from '@brave-comb/core/equipment';
import type { BoxSummary } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { Count } from '../count';
import { FIELD } from '../../parts/field';
import { MatButton } from '@angular/material/button';

const ASKED = [
  { id: 'seams', name: $localize`Seams of bees from above` },
  { id: 'brood', name: $localize`Frames with brood` },
  { id: 'food', name: $localize`Frames with food` },
  { id: 'drawn', name: $localize`Frames of drawn comb` },
  { id: 'bare', name: $localize`Frames of undrawn foundation` },
] as const;
const BLANK: BoxSummary = { seams: null, brood: null, food: null, drawn: null, bare: null, note: '' };

/** A box summed up in five numbers, from above or by a few frames: for many visits that is enough. */
@Component({
  selector: 'bc-box-card',
  imports: [MatButton, FIELD, MatDialogClose, MatDialogTitle, Choice, Count],
  template: `
    <h2 matDialogTitle i18n>Assess a box from above</h2>
    <bc-choice legend="Box" i18n-legend [options]="boxes()" [value]="box()" (chosen)="choose($event)" />
    @for (each of asked; track each.id) {
      <bc-count
        [legend]="each.name"
        [value]="now()[each.id]"
        [step]="0.5"
        [most]="most()"
        (counted)="set(each.id, $event)"
      />
    }
    <label bcField class="text"
      ><span i18n>In words</span
      ><mat-form-field
        ><input matInput #words type="text" maxlength="500" [value]="now().note" (change)="set('note', words.value)"
      /></mat-form-field>
    </label>
    <div class="row">
      <button type="button" matButton="filled" (click)="keep()" i18n>Save</button>
      <button type="button" matButton="outlined" matDialogClose i18n>Cancel</button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class BoxCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly dialog = inject(MatDialogRef<BoxCard>);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly current = this.store.selectSignal(inspectionFeature.selectBox);
  protected readonly asked = ASKED;
  private readonly layers = computed(() => this.stack().filter(isBox));
  protected readonly boxes = computed(() => this.layers().map(({ id }) => id));
  protected readonly box = signal(this.current()?.id ?? '');
  private readonly changed = signal<BoxSummary | null>(null);
  protected readonly now = computed(() => this.changed() ?? this.record().summaries[this.box()] ?? BLANK);
  protected readonly most = computed(() => {
    const layer = this.layers().find(({ id }) => id === this.box());
    return layer ? BOXES[layer.box].frames + 1 : 40;
  });

  protected choose(box: string): void {
    this.box.set(box);
    this.changed.set(null);
  }

  protected set(key: keyof BoxSummary, value: number | string | null): void {
    this.changed.set({ ...this.now(), [key]: value });
  }

  protected keep(): void {
    this.desk.enter({ kind: 'box-summed-up', box: this.box(), summary: this.now() });
    this.dialog.close();
  }
}
