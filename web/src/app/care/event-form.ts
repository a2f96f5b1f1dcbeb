import { MeasureField } from '../language/measure-field';
import { UnitName, unit } from '../language/units';
import { ChangeDetectionStrategy, Component, computed, effect, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { toSignal } from '@angular/core/rxjs-interop';
import { NonNullableFormBuilder, ReactiveFormsModule, Validators } from '@angular/forms';
import type { ColonyCalendar, endpoints } from '@brave-comb/contract';
import type { Sent } from '../api/contract-client';
import { Named, listed } from '../language/words';
import { dayText } from '../ui/format';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

/** Kinds of entry, in the words of the work. */
const KINDS = {
  feed: $localize`Fed`,
  patty: $localize`Protein patty given`,
  'feeder-empty': $localize`Feeder empty or taken off`,
  'super-on': $localize`Super put on`,
  'super-off': $localize`Super taken off`,
  'super-left-as-winter-food': $localize`Super left on as winter food`,
  queen: $localize`Queen or queen cell`,
  'eggs-seen': $localize`Eggs seen: she is laying`,
  treatment: $localize`Treatment given`,
  'treatment-out': $localize`Treatment taken out`,
  'drone-comb-in': $localize`Drone comb put in`,
  'drone-comb-out': $localize`Drone comb taken out`,
  'brood-stopped': $localize`Laying stopped (caged, brood taken)`,
  hived: $localize`Hived here`,
  suspicion: $localize`Suspicion of disease`,
  'suspicion-settled': $localize`Suspicion settled`,
  'ordered-by-the-inspector': $localize`Ordered by the inspector`,
} as const;
type Kind = keyof typeof KINDS;

const QUEEN_STARTS = {
  'cell-sealed': $localize`sealed queen cell seen`,
  'cell-with-larva': $localize`open cell with a larva seen`,
  'queen-lost': $localize`queen lost or taken out`,
  'virgin-emerged': $localize`virgin queen emerged`,
  'cell-put-in': $localize`ripe cell put in`,
  'queen-put-in': $localize`laying queen put in`,
} as const;
const HIVED = ['package', 'swarm', 'late-swarm', 'nucleus', 'split-with-the-queen', 'split-without-a-queen'] as const;
const FEEDS = ['thin-syrup', 'thick-syrup', 'fondant', 'dry-sugar'] as const;

/** What was done to a colony or seen on it, and when. */
export type LoggedEvent = Omit<Sent<(typeof endpoints)['logColonyEvent']>['body'], 'id'>;

/** Logs what was done to a colony or seen on it. */
@Component({
  selector: 'bc-event-form',
  imports: [DayField, FIELD, MatButton, MeasureField, UnitName, Named, ReactiveFormsModule],
  template: `
    <h3 i18n>Log for hive {{ hive() }}</h3>
    <form class="fields" [formGroup]="form" (ngSubmit)="submit()">
      <label bcField
        ><span i18n>What</span
        ><mat-form-field
          ><mat-select formControlName="kind" (selectionChange)="kind.set(form.controls.kind.value)">
            @for (option of kinds; track option.kind) {
              <mat-option [value]="option.kind">{{ option.name }}</mat-option>
            }
          </mat-select></mat-form-field
        >
      </label>
      <label bcField><span i18n>Day</span><bc-day formControlName="date" [max]="today()" /></label>
      @switch (kind()) {
        @case ('feed') {
          <label bcField
            ><span i18n>Feed</span
            ><mat-form-field
              ><mat-select formControlName="what">
                @for (option of feeds; track option) {
                  <mat-option [value]="option">{{ option | named: 'feed' }}</mat-option>
                }
              </mat-select></mat-form-field
            >
          </label>
          <label bcField
            ><span>{{ 'weight' | unit }}</span
            ><mat-form-field
              ><input matInput bcMeasure="weight" [least]="0.1" [most]="40" formControlName="kg" /></mat-form-field
          ></label>
        }
        @case ('patty') {
          <label bcField
            ><span>{{ 'weight' | unit }}</span
            ><mat-form-field
              ><input matInput bcMeasure="weight" [least]="0.05" [most]="5" formControlName="kg" /></mat-form-field
          ></label>
        }
        @case ('super-on') {
          <label bcField
            ><span i18n>Holds, {{ 'weight' | unit }}</span
            ><mat-form-field
              ><input matInput bcMeasure="weight" [least]="1" [most]="40" formControlName="kg" /></mat-form-field
          ></label>
        }
        @case ('queen') {
          <label bcField
            ><span i18n>Begins with</span
            ><mat-form-field
              ><mat-select formControlName="start">
                @for (option of starts; track option.start) {
                  <mat-option [value]="option.start">{{ option.name }}</mat-option>
                }
              </mat-select></mat-form-field
            >
          </label>
        }
        @case ('hived') {
          <label bcField
            ><span i18n>As</span
            ><mat-form-field
              ><mat-select formControlName="as">
                @for (option of hived; track option) {
                  <mat-option [value]="option">{{ option | named: 'newColony' }}</mat-option>
                }
              </mat-select></mat-form-field
            >
          </label>
        }
        @case ('ordered-by-the-inspector') {
          <label bcField
            ><span i18n>What, and by whom</span
            ><mat-form-field><input matInput type="text" maxlength="300" formControlName="text" /></mat-form-field
          ></label>
        }
        @case ('suspicion') {
          <label bcField
            ><span i18n>Of</span
            ><mat-form-field><input matInput type="text" maxlength="120" formControlName="text" /></mat-form-field
          ></label>
        }
        @case ('treatment-out') {
          <label bcField
            ><span i18n>Which</span
            ><mat-form-field
              ><mat-select formControlName="medicine">
                <mat-option value="" i18n>all that is in the hive</mat-option>
                @for (medicine of inHive(); track medicine) {
                  <mat-option [value]="medicine">{{ medicine }}</mat-option>
                }
              </mat-select></mat-form-field
            >
          </label>
        }
        @case ('treatment') {
          <label bcField
            ><span i18n>Active ingredient, form</span
            ><mat-form-field><input matInput type="text" maxlength="120" formControlName="text" /></mat-form-field
          ></label>
          <label bcField
            ><span i18n>Doses</span
            ><mat-form-field><input matInput type="number" min="1" max="20" formControlName="doses" /></mat-form-field
          ></label>
          <label bcField
            ><span i18n>Days between</span
            ><mat-form-field
              ><input matInput type="number" min="1" max="365" formControlName="repeatAfter" /></mat-form-field
          ></label>
          <label bcField
            ><span i18n>Out after, days</span
            ><mat-form-field
              ><input matInput type="number" min="1" max="365" formControlName="removeAfter" /></mat-form-field
          ></label>
          <label bcField
            ><span i18n>Withdrawal, days</span
            ><mat-form-field
              ><input matInput type="number" min="0" max="365" formControlName="withdrawal" /></mat-form-field
          ></label>
          <mat-checkbox formControlName="supersAllowed" i18n>The label allows it with honey supers on</mat-checkbox>
        }
      }
      <button matButton="filled" type="submit" i18n>Log it</button>
    </form>
    @if (kind() === 'treatment') {
      <p class="caution" i18n>
        Take every figure from the label: it, local law and the vet decide. Gloves, goggles and mask as the label says;
        never near open food, and never more than one person breathes the vapour.
      </p>
    }
    @if (superCaution(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
    @if (kind() === 'suspicion') {
      <p class="caution" i18n>
        Some diseases must be reported at once: stop, close the hive, move nothing, and call the bee inspector. Local
        law decides.
      </p>
    }
    @if (problem(); as text) {
      <p class="caution" role="alert">{{ text }}</p>
    }
  `,
  styles: `
    h3 {
      margin: 10px 0 4px;
      font-size: 14px;
    }
    .caution {
      margin-top: 6px;
      padding: 3px 8px;
      border-left: 4px solid var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
      font-size: var(--t-dense);
    }
    .tick {
      flex-direction: row;
      align-items: center;
      min-height: 24px;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class EventForm {
  readonly today = input.required<string>();
  readonly hive = input.required<string>();
  /** Medicines that lie in the hive. */
  readonly inHive = input<readonly string[]>([]);
  readonly honey = input<ColonyCalendar['honey'] | null>(null);
  readonly logged = output<LoggedEvent>();
  protected readonly kinds = (Object.keys(KINDS) as Kind[]).map((kind) => ({ kind, name: KINDS[kind] }));
  protected readonly starts = Object.entries(QUEEN_STARTS).map(([start, name]) => ({ start, name }));
  protected readonly hived = HIVED;
  protected readonly feeds = FEEDS;
  protected readonly kind = signal<Kind>('feed');
  private readonly tried = signal(0);

  private readonly build = inject(NonNullableFormBuilder);
  protected readonly form = this.build.group({
    kind: this.build.control<Kind>('feed'),
    date: ['', Validators.required],
    what: this.build.control<(typeof FEEDS)[number]>('thin-syrup'),
    kg: 2,
    start: this.build.control<keyof typeof QUEEN_STARTS>('cell-sealed'),
    as: this.build.control<(typeof HIVED)[number]>('swarm'),
    text: '',
    doses: 1,
    repeatAfter: this.build.control<number | null>(null),
    removeAfter: this.build.control<number | null>(null),
    withdrawal: this.build.control<number | null>(null),
    supersAllowed: false,
    medicine: '',
  });
  private readonly entered = toSignal(this.form.valueChanges);

  /** A super inside a withdrawal or beside a feed, and a feed under supers, are said before they are logged. */
  protected readonly superCaution = computed(() => {
    this.entered();
    const honey = this.honey();
    if (!honey) return null;
    if (this.kind() === 'feed' && honey.standing.length > 0)
      return honey.standing.length === 1
        ? $localize`${honey.standing[0]} stands on it\: feed is stored there as well, and its honey is then not for people. Take supers for harvest off first; only starving bees come before that.`
        : $localize`${listed(honey.standing)} stand on it\: feed is stored there as well, and its honey is then not for people. Take supers for harvest off first; only starving bees come before that.`;
    if (this.kind() !== 'super-on') return null;
    const { date } = this.form.getRawValue();
    if (honey.superOnFrom && date < honey.superOnFrom)
      return $localize`A new super for harvest may go on from ${dayText(honey.superOnFrom)}\: put on before, its honey is not for people. Mark the box, or wait.`;
    if (honey.fedUntil && date < honey.fedUntil)
      return $localize`They are storing feed until about ${dayText(honey.fedUntil)}\: put on before, sugar goes into the super. Take the feeder off first, or mark the box as their own food.`;
    return honey.unknown.length > 0
      ? $localize`The withdrawal of ${listed(honey.unknown)} was not entered\: read the label before you put a super on.`
      : null;
  });

  constructor() {
    effect(() => this.form.controls.date.setValue(this.today()));
  }

  protected readonly problem = computed(() => {
    if (this.tried() === 0) return null;
    this.entered();
    const { kind, date, text, kg, withdrawal } = this.form.getRawValue();
    if (!date) return $localize`Give the date on which it was done.`;
    if (date > this.today()) return $localize`That date is in the future.`;
    if (kind === 'treatment' && !text.trim())
      return $localize`Name the active ingredient and its form, as on the label.`;
    if (kind === 'treatment' && withdrawal === null)
      return $localize`Give the withdrawal for honey in days, from the label: 0 if it says none.`;
    if (kind === 'ordered-by-the-inspector' && !text.trim()) return $localize`Say what the inspector ordered, and who.`;
    if (kind === 'suspicion' && !text.trim()) return $localize`Say what is suspected.`;
    if ((kind === 'feed' || kind === 'patty' || kind === 'super-on') && !(kg > 0))
      return $localize`Give the weight in ${unit('weight')}.`;
    return null;
  });

  protected submit(): void {
    this.tried.update((count) => count + 1);
    if (this.problem()) return;
    this.logged.emit({ date: this.form.getRawValue().date, detail: this.detail() });
    this.tried.set(0);
  }

  private detail(): LoggedEvent['detail'] {
    const { kind, what, kg, start, as, text, medicine, ...treatment } = this.form.getRawValue();
    switch (kind) {
      case 'feed':
        return { kind, what, kg };
      case 'patty':
        return { kind, kg };
      case 'super-on':
        return { kind, holdsKg: kg };
      case 'queen':
        return { kind, start };
      case 'hived':
        return { kind, as };
      case 'suspicion':
        return { kind, of: text };
      case 'ordered-by-the-inspector':
        return { kind, what: text };
      case 'treatment': {
        const { doses, repeatAfter, removeAfter, withdrawal, supersAllowed } = treatment;
        return { kind, medicine: text, doses, repeatAfter, removeAfter, withdrawal, supersAllowed };
      }
      case 'treatment-out':
        return medicine === '' ? { kind } : { kind, medicine };
      default:
        return { kind };
    }
  }
}
