import { Measured, figure, keptFigure, typedFigure, unit } from '../language/units';
import { named } from '../language/words';
import { type Quantity, upperFirst } from '@brave-comb/core/units';
import { DEPTHS } from '@brave-comb/core/weather';
import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Trust } from '@brave-comb/contract';
import { follows } from '../ui/follows';
import { ViewDesk } from '../api/view-desk';
import { FIELD } from '../parts/field';

type Limits = Trust['limits'];
type Depth = keyof Limits;

const ROWS = DEPTHS.map((depth) => [depth, upperFirst(named('depthLook', depth))] as const);
const FIGURES = [
  ['warmth', $localize`Least, ${unit('temperature')}`, 'temperature'],
  ['heat', $localize`Most, ${unit('temperature')}`, 'temperature'],
  ['gust', $localize`Gusts, ${unit('speed')}`, 'speed'],
  ['rain', $localize`Rain, ${unit('rain')}`, 'rain'],
  ['light', $localize`Light, ° of sun`, null],
] as const;

/** House practice: what the weather must be for each depth of opening. */
@Component({
  selector: 'bc-limits-form',
  imports: [FIELD, MatButton, Measured],
  template: `
    <section class="sheet" aria-labelledby="limits-title">
      <h2 id="limits-title" i18n>House limits for each depth</h2>
      <div class="wide-table">
        <table class="plain-table">
          <thead>
            <tr>
              <th scope="col" i18n>Opening</th>
              @for (figure of figures; track figure[0]) {
                <th scope="col">{{ figure[1] }}</th>
              }
              <th scope="col" i18n>Bees out</th>
            </tr>
          </thead>
          <tbody>
            @for (row of rows; track row[0]) {
              <tr>
                <th scope="row">{{ row[1] }}</th>
                @for (figure of figures; track figure[0]) {
                  <td>
                    <mat-form-field
                      ><input
                        matInput
                        #field
                        type="number"
                        step="any"
                        [value]="typed(figure[2], limits()[row[0]][figure[0]])"
                        [disabled]="!all().mayLead"
                        [attr.aria-label]="row[1] + ', ' + figure[1]"
                        (change)="change(row[0], figure[0], kept(figure[2], field.value))"
                    /></mat-form-field>
                  </td>
                }
                <td>
                  <mat-checkbox
                    [checked]="limits()[row[0]].beesOut"
                    [disabled]="!all().mayLead"
                    aria-label="{{ row[1] }}, only while bees fly"
                    i18n-aria-label
                    (change)="change(row[0], 'beesOut', $event.checked)"
                  />
                </td>
              </tr>
            }
          </tbody>
        </table>
      </div>
      @if (all().mayLead) {
        <button type="button" matButton="filled" (click)="keep()" i18n>Save</button>
      }
      <p class="quiet" i18n>
        Practice differs: some open fully from {{ 14 | measured: 'temperature' }}, others wait for
        {{ 21 | measured: 'temperature' }}; a few frames at about {{ 13 | measured: 'temperature' }}; under a lid from
        {{ figure('temperature', 10) }} to {{ 16 | measured: 'temperature' }}. In cool weather keep frames out only
        briefly. Light is the sun’s height, less ten under a closed sky.
      </p>
    </section>
  `,
  styles: `
    .mat-mdc-button-base {
      margin: 6px 0;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class LimitsForm {
  private readonly desk = inject(ViewDesk);
  readonly all = input.required<Trust>();
  protected readonly rows = ROWS;
  protected readonly figures = FIGURES;
  protected readonly limits = follows<Limits>(() => this.all().limits);

  protected readonly figure = figure;
  protected readonly typed = (of: Quantity | null, value: number) => (of === null ? value : typedFigure(of, value));
  protected readonly kept = (of: Quantity | null, text: string): number =>
    of === null ? Number(text) : (keptFigure(of, text) ?? 0);

  protected change(depth: Depth, figure: keyof Limits[Depth], value: number | boolean): void {
    this.limits.update((limits) => ({ ...limits, [depth]: { ...limits[depth], [figure]: value } }));
  }

  protected keep(): void {
    this.desk.change('setLimits', { body: this.limits() }, 'forecastTrust', false);
  }
}
