import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import {
  AMOUNTS,
  ENTRANCES,
  type OutsideLook,
  type PollenColour,
  TRAFFIC,
  entranceAdvice,
  outsideSays,
} from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { EntranceLook } from './entrance-look';
import { Choice } from './choice';
import { PollenSwatches } from './pollen-swatches';
import { Count } from './count';
import { Named, named } from '../language/words';
import { SaidPipe } from '../language/said';
import { FIELD } from '../parts/field';
import { MatButton } from '@angular/material/button';

const HOT = 28;

/** A look at the entrance, before opening and after closing; in cold weather the whole visit. */
@Component({
  selector: 'bc-outside-panel',
  imports: [MatButton, FIELD, SaidPipe, Named, Choice, Count, PollenSwatches],
  template: `
    @if (!entrance.changed() && !record().outside[when()]) {
      <p class="quiet" i18n>Nothing noted yet. Anything you leave untouched counts as not checked.</p>
    }
    <bc-choice
      legend="Traffic"
      i18n-legend
      [options]="traffic"
      of="traffic"
      [value]="look().traffic"
      (chosen)="set({ traffic: $event })"
    />
    <fieldset>
      <legend i18n>Pollen going in{{ colours() ? ': ' + colours() : '' }}</legend>
      <div class="row">
        @for (answer of [true, false]; track answer) {
          <button
            type="button"
            matButton="outlined"
            [class.sel]="look().pollenIn === answer"
            [attr.aria-pressed]="look().pollenIn === answer"
            (click)="set({ pollenIn: look().pollenIn === answer ? null : answer })"
            i18n
          >
            {!!answer, select, true {Pollen goes in} other {none seen}}
          </button>
        }
        <bc-pollen-swatches [chosen]="look().pollens ?? []" (tapped)="pollen($event)" />
      </div>
    </fieldset>
    <div class="two">
      <bc-choice
        legend="Dead bees"
        i18n-legend
        [options]="amounts"
        [value]="look().dead"
        (chosen)="set({ dead: $event, deadBees: $event !== 'none' })"
      />
      <bc-choice
        legend="Droppings"
        i18n-legend
        [options]="amounts"
        [value]="look().droppings"
        (chosen)="set({ droppings: $event })"
      />
    </div>
    <fieldset>
      <legend i18n>Also seen</legend>
      <div class="row">
        @for (sign of signs; track sign.id) {
          <button
            type="button"
            matButton="outlined"
            [class.sel]="look()[sign.id]"
            [attr.aria-pressed]="look()[sign.id] === true"
            (click)="flip(sign.id)"
          >
            {{ sign.name }}
          </button>
        }
      </div>
    </fieldset>
    <div class="row">
      <bc-count legend="Wasps a minute" i18n-legend [value]="wasps()" (counted)="wasps.set($event)" />
      <button
        type="button"
        matButton="outlined"
        [class.sel]="past()"
        [attr.aria-pressed]="past()"
        (click)="past.set(!past())"
        i18n
      >
        Past the guards
      </button>
    </div>
    <bc-choice
      legend="Entrance"
      i18n-legend
      of="entrance"
      [options]="widths"
      [value]="look().entrance"
      (chosen)="set({ entrance: $event })"
    />
    <p class="caution">
      <ng-container i18n
        >Entrance: <b>{{ advice().width | named: 'entrance' }}</b> ({{ advice().why | said }}).
      </ng-container>
      @if (advice().lookAfter; as look) {
        <ng-container i18n
          >Look again in {{ look.minutes }} minutes to see whether bees find it, and in {{ look.days }} days. No
          entrance block to hand? Grass, a cork or foam.
        </ng-container>
      }
    </p>
    @for (line of says(); track line) {
      <p class="caution">{{ line | said }}</p>
    }
    <label bcField class="text"
      ><span i18n>Anything else</span
      ><mat-form-field>
        <textarea
          matInput
          #note
          rows="2"
          maxlength="500"
          [value]="look().note"
          (input)="set({ note: note.value })"
        ></textarea>
      </mat-form-field>
    </label>
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    :host {
      display: grid;
      gap: 10px;
      align-content: start;
    }
    .two {
      display: flex;
      flex-wrap: wrap;
      gap: 10px 26px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class OutsidePanel {
  private readonly store = inject(Store);
  protected readonly entrance = inject(EntranceLook);
  readonly when = input.required<'before' | 'after'>();
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  protected readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  private readonly estimate = this.store.selectSignal(inspectionFeature.selectEstimate);

  protected readonly traffic = TRAFFIC;
  protected readonly amounts = AMOUNTS;
  protected readonly widths = ENTRANCES;
  protected readonly signs = [
    { id: 'intruders', name: $localize`Wasps or robbers` },
    { id: 'robbing', name: $localize`Robbing` },
    { id: 'bearding', name: $localize`Bearding at the entrance` },
    { id: 'leans', name: $localize`Hive leans` },
    { id: 'strapped', name: $localize`Strapped` },
  ] as const;
  protected readonly wasps = this.entrance.wasps;
  protected readonly past = this.entrance.pastGuards;
  protected readonly look = computed(() => this.entrance.look(this.when()));
  protected readonly colours = computed(() =>
    (this.look().pollens ?? []).map((colour) => named('pollenColour', colour)).join(', '),
  );
  protected readonly says = computed(() => outsideSays(this.look()));
  protected readonly advice = computed(() => {
    const wasps = this.wasps() ?? (this.look().intruders ? 3 : null);
    const bees = this.estimate()?.framesOfBees?.value ?? this.expectedFrames();
    const hot = this.look().bearding === true || (this.file()?.weather?.temperature ?? 0) > HOT;
    return entranceAdvice(
      bees,
      wasps === null ? null : { aMinute: wasps, pastGuards: this.past() },
      this.file()?.robbingSeason ?? false,
      hot,
    );
  });

  private expectedFrames(): number | null {
    return this.file()?.expected?.bees.value ?? null;
  }

  protected has(colour: PollenColour): boolean {
    return this.look().pollens?.includes(colour) ?? false;
  }

  protected set(change: Partial<OutsideLook>): void {
    this.entrance.changed.set({ ...this.look(), ...change });
  }

  protected flip(sign: (typeof this.signs)[number]['id']): void {
    this.set({ [sign]: this.look()[sign] === true ? (sign === 'intruders' ? null : undefined) : true });
  }

  protected pollen(colour: PollenColour): void {
    const now = this.look().pollens ?? [];
    const pollens = this.has(colour) ? now.filter((each) => each !== colour) : [...now, colour];
    this.set({ pollens, pollenIn: pollens.length > 0 ? true : this.look().pollenIn });
  }
}
