import { MeasureField } from '../language/measure-field';
import { UnitName, measured } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import { lightningClear, lightningDistance } from '@brave-comb/core/weather';
import { Clock } from '../people/clock';
import { ViewDesk } from '../api/view-desk';
import { timeOf } from '../ui/format';
import { FIELD } from '../parts/field';

/** What the thermometer, the wind and the sky show at the site now: it takes the place of the forecast for this hour. */
@Component({
  selector: 'bc-observation-form',
  imports: [FIELD, MatButton, MeasureField, UnitName, ReactiveFormsModule],
  template: `
    <section class="sheet" aria-labelledby="observed-title">
      <h2 id="observed-title" i18n>Measured at {{ site().name }} now</h2>
      <form class="fields" [formGroup]="form" (ngSubmit)="keep()">
        <label bcField
          ><span i18n>Shade, {{ 'temperature' | unit }}</span
          ><mat-form-field
            ><input
              matInput
              bcMeasure="temperature"
              [least]="-70"
              [most]="60"
              formControlName="temperature" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Wind, {{ 'speed' | unit }}</span
          ><mat-form-field
            ><input matInput bcMeasure="speed" [least]="0" [most]="300" formControlName="wind" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Gusts, {{ 'speed' | unit }}</span
          ><mat-form-field
            ><input matInput bcMeasure="speed" [least]="0" [most]="400" formControlName="gust" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Rain in the hour, {{ 'rain' | unit }}</span
          ><mat-form-field
            ><input matInput bcMeasure="rain" [least]="0" [most]="300" formControlName="rain" /></mat-form-field
        ></label>
        <label bcField
          ><span i18n>Sky covered, eighths</span
          ><mat-form-field><input matInput type="number" min="0" max="8" formControlName="eighths" /></mat-form-field
        ></label>
        <mat-checkbox formControlName="thunder" i18n>Thunder heard</mat-checkbox>
        <button matButton="filled" type="submit" [disabled]="form.invalid" i18n>Save</button>
      </form>
      @if (form.controls.thunder.value) {
        <div class="fields">
          <label bcField
            ><span i18n>Seconds from flash to thunder</span
            ><mat-form-field
              ><input
                matInput
                #seconds
                type="number"
                min="0"
                max="120"
                (input)="flash.set(+seconds.value)" /></mat-form-field
          ></label>
        </div>
        <p class="caution" role="status">
          <ng-container i18n
            >Close the hives and go indoors or into a car now. Not before {{ clear() }}, and later with each thunder.
          </ng-container>
          @if (flash() > 0) {
            <ng-container i18n>The strike was {{ away() }} away. </ng-container>
          }
        </p>
      }
      @if (said(); as text) {
        <p class="quiet" role="status">{{ text }}</p>
      }
    </section>
  `,
  styles: `
    .caution {
      margin-top: 6px;
      color: var(--madder-800);
      font-weight: 650;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class ObservationForm {
  private readonly desk = inject(ViewDesk);
  private readonly clock = inject(Clock);
  readonly site = input.required<{ readonly id: string; readonly name: string; readonly zone: string }>();
  protected readonly said = signal<string | null>(null);
  protected readonly flash = signal(0);
  protected readonly away = computed(() => measured('distance', lightningDistance(this.flash()), 1));
  protected readonly clear = computed(() => timeOf(lightningClear([this.clock.now()])!, this.site().zone));
  private readonly build = inject(NonNullableFormBuilder);
  protected readonly form = this.build.group({
    temperature: this.build.control<number | null>(null),
    wind: this.build.control<number | null>(null),
    gust: this.build.control<number | null>(null),
    rain: this.build.control<number | null>(null),
    eighths: this.build.control<number | null>(null),
    thunder: false,
  });

  protected keep(): void {
    const { eighths, thunder, ...figures } = this.form.getRawValue();
    const cloud = eighths === null ? null : eighths / 8;
    if (!thunder && cloud === null && Object.values(figures).every((figure) => figure === null)) {
      this.said.set($localize`Enter at least one figure.`);
      return;
    }
    const { id, zone } = this.site();
    const at = new Date(this.clock.now()).toISOString();
    this.desk.change(
      'enterObservation',
      { params: { site: id }, body: { ...figures, cloud, thunder: thunder ? true : null, at } },
      'forecastTrust',
      false,
    );
    this.said.set($localize`Saved for ${timeOf(at, zone)}\: it replaces the forecast.`);
    this.form.reset();
  }
}
