import { ChangeDetectionStrategy, Component, computed, input, output } from '@angular/core';
import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { type EvidenceRule, ruleSaid } from '@brave-comb/core/skills';
import equal from 'fast-deep-equal';
import { Named } from '../language/words';
import { said } from '../language/said';
import { FIELD } from '../parts/field';
import { MatButton } from '@angular/material/button';

const UP_TO = (most: number, least = 1) => Array.from({ length: most - least + 1 }, (_, at) => least + at);
const MONTHS = [3, 6, 9, 10, 12, 14, 18, 24, 36] as const;
const WITHIN = [0.5, 1, 1.5, 2] as const;

/** The evidence rule as one sentence whose parts can be chosen; what differs from the list in force stands out. */
@Component({
  selector: 'bc-rule-sentence',
  imports: [MatButton, FIELD, Named],
  template: `
    <p class="sentence within">
      <ng-container i18n>Achieved when shown </ng-container
      ><mat-form-field
        ><mat-select
          [disabled]="fixed()"
          #level
          [class.changed]="changed('level')"
          aria-label="Level"
          i18n-aria-label
          [value]="rule().level"
          (selectionChange)="edit({ level: asLevel(level.value) })"
        >
          @for (each of levels; track each) {
            <mat-option [value]="each">{{ each | named: 'skillLevel' }}</mat-option>
          }
        </mat-select></mat-form-field
      >
      @for (part of parts; track part.key) {
        {{ part.before }}
        <mat-form-field
          ><mat-select
            [disabled]="fixed()"
            #number
            [class.changed]="changed(part.key)"
            [aria-label]="part.name"
            [value]="rule()[part.key]"
            (selectionChange)="count(part.key, number.value)"
          >
            @for (each of part.options; track each) {
              <mat-option [value]="each">{{ said(each, part.one, part.many) }}</mat-option>
            }
          </mat-select></mat-form-field
        >
      }
      <ng-container i18n> may come from practice, before </ng-container
      ><mat-form-field
        ><mat-select
          [disabled]="fixed()"
          #lead
          [class.changed]="changed('lead')"
          aria-label="Before whom"
          i18n-aria-label
          [value]="rule().lead ? 'lead' : 'any'"
          (selectionChange)="edit({ lead: lead.value === 'lead' })"
        >
          <mat-option value="any" i18n>any supervisor</mat-option>
          <mat-option value="lead" i18n>the lead once</mat-option></mat-select
        ></mat-form-field
      ><ng-container i18n> with hidden readings </ng-container
      ><mat-form-field
        ><mat-select
          [disabled]="fixed()"
          #within
          [class.changed]="changed('within')"
          aria-label="Readings"
          i18n-aria-label
          [value]="rule().within ?? ''"
          (selectionChange)="edit({ within: asNumber(within.value) })"
        >
          <mat-option value="" i18n>of any kind</mat-option>
          @for (each of withins; track each) {
            <mat-option [value]="each" i18n>
              within {each, plural, =1 {one eighth} other {{{ each }} eighths}}
            </mat-option>
          }
        </mat-select></mat-form-field
      ><ng-container i18n>. Valid for </ng-container
      ><mat-form-field
        ><mat-select
          [disabled]="fixed()"
          #months
          [class.changed]="changed('months')"
          aria-label="Holds"
          i18n-aria-label
          [value]="rule().months ?? ''"
          (selectionChange)="edit({ months: months.value === 'season' ? 'season' : asNumber(months.value) })"
        >
          @for (each of months_(); track each) {
            <mat-option [value]="each" i18n>{{ each }} months</mat-option>
          }
          <mat-option value="season" i18n>the season</mat-option>
          <mat-option value="" i18n>no time</mat-option></mat-select
        ></mat-form-field
      ><ng-container i18n> without being shown again.</ng-container>
    </p>
    @if (differs()) {
      <p class="was">
        <ng-container i18n
          >Published: <s>{{ wasText() }}</s> </ng-container
        ><button type="button" matButton class="small" (click)="edited.emit(was()!)" i18n>restore</button>
      </p>
    }
  `,
  styles: `
    .sentence {
      font-size: 16px;
      line-height: 2.3;
    }
    mat-form-field:has(.changed) {
      outline: 2px dashed var(--heather);
      background: var(--heather-100);
    }
    .was {
      color: var(--ink-2);
      font-size: var(--t-dense);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class RuleSentence {
  readonly rule = input.required<EvidenceRule>();
  /** The rule in force, `null` for a new skill. */
  readonly was = input<EvidenceRule | null>(null);
  /** Whether it can only be read. */
  readonly fixed = input(false);
  readonly edited = output<Partial<EvidenceRule>>();
  protected readonly levels = SKILL_LEVELS;
  protected readonly withins = WITHIN;
  protected readonly parts = [
    {
      key: 'times',
      name: $localize`Times`,
      before: '',
      one: $localize`once`,
      many: $localize`times`,
      options: UP_TO(12),
    },
    {
      key: 'days',
      name: $localize`Days`,
      before: $localize`on`,
      one: $localize`one day`,
      many: $localize`days`,
      options: UP_TO(10),
    },
    {
      key: 'colonies',
      name: $localize`Colonies`,
      before: $localize`at`,
      one: $localize`any colony`,
      many: $localize`colonies`,
      options: UP_TO(6),
    },
    {
      key: 'assessors',
      name: $localize`People`,
      before: $localize`judged by`,
      one: $localize`one person`,
      many: $localize`people`,
      options: UP_TO(4),
    },
    {
      key: 'indoors',
      name: $localize`From practice`,
      before: $localize`and of these`,
      one: $localize`one`,
      many: '',
      options: UP_TO(6, 0),
    },
  ] as const;
  protected readonly months_ = computed(() => {
    const own = this.rule().months;
    return typeof own !== 'number' || MONTHS.some((each) => each === own)
      ? MONTHS
      : [...MONTHS, own].sort((a, b) => a - b);
  });
  protected readonly differs = computed(() => {
    const was = this.was();
    return was !== null && !equal(was, this.rule());
  });
  protected readonly wasText = computed(() => {
    const was = this.was();
    return was ? said(ruleSaid(was)) : '';
  });

  protected changed(key: keyof EvidenceRule): boolean {
    const was = this.was();
    return was !== null && was[key] !== this.rule()[key];
  }

  protected said(number: number, one: string, many: string): string {
    if (number === 1) return one;
    return number === 0 ? $localize`none` : `${number} ${many}`;
  }

  protected asLevel(text: string): SkillLevel {
    return SKILL_LEVELS.find((level) => level === text) ?? 'alone';
  }

  protected asNumber(text: string): number | null {
    return text === '' ? null : Number(text);
  }

  protected count(key: (typeof this.parts)[number]['key'], text: string): void {
    this.edited.emit({ [key]: Number(text) });
  }

  protected edit(change: Readonly<Partial<Record<keyof EvidenceRule, unknown>>>): void {
    this.edited.emit(change as Partial<EvidenceRule>);
  }
}
