import { ChangeDetectionStrategy, Component, computed, inject, linkedSignal, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatDialogModule } from '@angular/material/dialog';
import { MatRadioModule } from '@angular/material/radio';
import { UNIT_SYSTEMS, type UnitSystem } from '@brave-comb/core/units';
import { Store } from '@ngrx/store';
import { firstValueFrom } from 'rxjs';
import { type CallFault, ContractClient } from '../api/contract-client';
import { endpoints } from '../api/endpoints';
import { DeviceStore } from '../device/device-store';
import { PeopleEvents, peopleFeature } from './people.feature';

const NAMES: Readonly<Record<UnitSystem, string>> = {
  metric: $localize`Metric\: °C, km/h, kg, litres, mm`,
  british: $localize`British habit\: °C, mph, lb, pints, mm`,
  imperial: $localize`Imperial, as in the United States\: °F, mph, lb, US pints, inches`,
};

/** In which units one reads and enters figures; the lead chooses for whoever did not choose. */
@Component({
  selector: 'bc-units-card',
  imports: [MatButtonModule, MatDialogModule, MatRadioModule],
  template: `
    <h2 mat-dialog-title i18n>Units</h2>
    <mat-dialog-content>
      <p id="own-units" i18n>Figures are shown to you, and typed by you, in these:</p>
      <mat-radio-group aria-labelledby="own-units" [value]="own()" (change)="own.set($event.value)">
        <mat-radio-button [value]="null">
          <ng-container i18n>Same as the school: </ng-container>{{ names[schools()] }}
        </mat-radio-button>
        @for (system of systems; track system) {
          <mat-radio-button [value]="system">{{ names[system] }}</mat-radio-button>
        }
      </mat-radio-group>
      @if (lead()) {
        <p id="school-units" i18n>School default, for everyone who has not chosen:</p>
        <mat-radio-group aria-labelledby="school-units" [value]="schools()" (change)="schools.set($event.value)">
          @for (system of systems; track system) {
            <mat-radio-button [value]="system">{{ names[system] }}</mat-radio-button>
          }
        </mat-radio-group>
      }
      <p class="quiet" i18n>Files are exported and imported in metric units.</p>
      @if (problem(); as text) {
        <p class="caution" role="alert">{{ text }}</p>
      }
    </mat-dialog-content>
    <mat-dialog-actions>
      <button type="button" matButton="outlined" mat-dialog-close i18n>Cancel</button>
      <button type="button" matButton="filled" (click)="keep()" i18n>Save</button>
    </mat-dialog-actions>
  `,
  styles: `
    mat-radio-group {
      display: grid;
    }
    .caution {
      color: var(--madder-800);
      font-weight: 650;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class UnitsCard {
  private readonly client = inject(ContractClient);
  private readonly device = inject(DeviceStore);
  private readonly store = inject(Store);
  private readonly person = this.store.selectSignal(peopleFeature.selectPerson);
  protected readonly names = NAMES;
  protected readonly systems = UNIT_SYSTEMS;
  protected readonly lead = computed(() => this.person()?.role === 'lead');
  protected readonly own = linkedSignal<UnitSystem | null>(() => this.person()?.units.own ?? null);
  protected readonly schools = linkedSignal<UnitSystem>(() => this.person()?.units.school ?? 'metric');
  protected readonly problem = signal<string | null>(null);

  protected async keep(): Promise<void> {
    this.problem.set(null);
    const body = { own: this.own(), ...(this.lead() ? { school: this.schools() } : {}) };
    try {
      const person = await firstValueFrom(this.client.call(endpoints.chooseUnits, { body }));
      await this.device.belongTo(person);
      this.store.dispatch(PeopleEvents.unitsChosen({ person }));
    } catch (fault) {
      this.problem.set((fault as CallFault).message);
    }
  }
}
