import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatDialogClose, MatDialogTitle } from '@angular/material/dialog';
import {
  DEFECT_IDS,
  type DefectId,
  REPAIR_BY,
  type RepairBy,
  STRAY_CAUSES,
  STRAY_CONTENTS,
  STRAY_PLACES,
  type StrayCause,
  type StrayContent,
  type StrayPlace,
  likelyCause,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { follows } from '../../ui/follows';
import { inspectionFeature } from '../../inspection/inspection.feature';
import { VisitDesk } from '../../inspection/visit-desk';
import { Choice } from '../choice';
import { named, Named } from '../../language/words';
import { MatButton } from '@angular/material/button';

const ABOUT = ['defect', 'stray-comb'] as const;
const REMOVED = ['removed', 'left'] as const;

/** What is wrong with the woodwork, or comb where none should be: each leaves a task with a date. */
@Component({
  selector: 'bc-defect-card',
  imports: [MatButton, Named, MatDialogClose, MatDialogTitle, Choice],
  template: `
    <h2 matDialogTitle i18n>Defect or stray comb</h2>
    <div class="scrolls" tabindex="0" role="group" aria-label="What it is" i18n-aria-label>
      <bc-choice
        legend="Note"
        i18n-legend
        [options]="abouts"
        [words]="aboutWords"
        [value]="about()"
        (chosen)="about.set($event)"
      />
      <bc-choice legend="At" i18n-legend [options]="parts()" [value]="part()" (chosen)="part.set($event)" />
      @if (about() === 'defect') {
        <bc-choice
          legend="What is wrong"
          i18n-legend
          [options]="defects"
          of="defect"
          [value]="defect()"
          (chosen)="defect.set($event)"
        />
        @if (defect(); as id) {
          <fieldset>
            <legend i18n>For now</legend>
            <div class="row">
              <button
                type="button"
                matButton="outlined"
                [class.sel]="helped()"
                [attr.aria-pressed]="helped()"
                (click)="helped.set(!helped())"
                i18n
              >
                {{ id | named: 'defectForNow' }}{!!helped(), select, true {: done} other {}}
              </button>
            </div>
          </fieldset>
          <bc-choice
            legend="Repair by"
            i18n-legend
            of="repairBy"
            [options]="untils"
            [value]="until()"
            (chosen)="until.set($event)"
          />
          <p class="why" i18n>To bring: {{ id | named: 'defectBring' }}.</p>
        }
      } @else {
        <bc-choice
          legend="Where"
          i18n-legend
          of="strayPlace"
          [options]="places"
          [value]="place()"
          (chosen)="where($event)"
        />
        <bc-choice
          legend="What is in it"
          i18n-legend
          of="strayContent"
          [options]="contents"
          [value]="content()"
          (chosen)="content.set($event)"
        />
        <bc-choice
          legend="Why it is there"
          i18n-legend
          of="strayCause"
          [options]="causes"
          [value]="cause()"
          (chosen)="cause.set($event)"
        />
        @if (place() === 'fallen-on-the-floor') {
          <p class="caution" i18n>
            Look for the queen before you take it out. Heat, or broken at an earlier visit? Record it: it is not blame,
            it is the cause.
          </p>
        }
        <bc-choice legend="It was" i18n-legend [options]="removes" [value]="removed()" (chosen)="removed.set($event)" />
        @if (cause(); as id) {
          <p class="why" i18n>To prevent it: {{ id | named: 'strayMend' }}.</p>
        }
        @if (removed() === 'removed') {
          <p class="why" i18n>Into the lidded bucket; check it for the queen first.</p>
        }
      }
      @if (kept(); as text) {
        <p role="status">{{ text }}</p>
      }
    </div>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="!whole()" (click)="keep()" i18n>Record it</button>
      <button type="button" matButton="outlined" matDialogClose i18n>Back to the hive</button>
    </div>
  `,
  styleUrl: './cards.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class DefectCard {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly stack = this.store.selectSignal(inspectionFeature.selectStack);
  private readonly box = this.store.selectSignal(inspectionFeature.selectBox);

  protected readonly abouts = ABOUT;
  protected readonly aboutWords = { defect: $localize`a defect`, 'stray-comb': $localize`stray comb` };
  protected readonly defects = DEFECT_IDS;
  protected readonly untils = REPAIR_BY;
  protected readonly places = STRAY_PLACES;
  protected readonly contents = STRAY_CONTENTS;
  protected readonly causes = STRAY_CAUSES;
  protected readonly removes = REMOVED;

  protected readonly about = signal<(typeof ABOUT)[number]>('defect');
  protected readonly part = follows<string | null>(() => this.box()?.id ?? null);
  protected readonly defect = signal<DefectId | null>(null);
  protected readonly helped = signal(false);
  protected readonly until = signal<RepairBy>('before-winter');
  protected readonly place = signal<StrayPlace | null>(null);
  protected readonly content = signal<StrayContent | null>(null);
  protected readonly cause = signal<StrayCause | null>(null);
  protected readonly removed = signal<(typeof REMOVED)[number]>('removed');
  protected readonly kept = signal<string | null>(null);

  protected readonly parts = computed(() => [
    ...this.stack()
      .map(({ id }) => id)
      .toReversed(),
    'stand',
  ]);
  protected readonly whole = computed(() =>
    this.about() === 'defect'
      ? this.part() !== null && this.defect() !== null
      : this.part() !== null && this.place() !== null && this.content() !== null && this.cause() !== null,
  );

  protected where(place: StrayPlace): void {
    this.place.set(place);
    this.cause.set(likelyCause(place));
  }

  protected keep(): void {
    const [part, defect, place, content, cause] = [
      this.part(),
      this.defect(),
      this.place(),
      this.content(),
      this.cause(),
    ];
    if (!part) return;
    if (this.about() === 'defect' && defect) {
      const forNow = this.helped() ? named('defectForNow', defect) : '';
      this.desk.enter({ kind: 'defect-noted', part, defect, forNow, until: this.until() });
      this.kept.set(
        $localize`${named('defect', defect)}, ${part}\: noted, to be repaired by ${named('repairBy', this.until())}.`,
      );
      this.defect.set(null);
    } else if (place && content && cause) {
      const removed = this.removed() === 'removed';
      this.desk.enter({ kind: 'stray-comb-noted', part, place, content, cause, removed });
      this.kept.set($localize`Stray comb ${named('strayPlace', place)}\: noted.`);
      this.place.set(null);
    }
  }
}
