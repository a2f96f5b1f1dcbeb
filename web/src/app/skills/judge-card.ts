import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MAT_DIALOG_DATA, MatDialogClose, MatDialogRef, MatDialogTitle } from '@angular/material/dialog';
import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { Clock } from '../people/clock';
import { ViewDesk } from '../api/view-desk';
import { dateText } from '../ui/format';
import { LevelGlyph } from './level-glyph';
import type { Passport, PassportEvidence } from './passport-view';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

/** What is asked: a judgement in the debrief, a claim of one's own, or a later word on a judgement. */
export interface JudgeAsk {
  readonly about: 'judge' | 'claim' | 'correct';
  readonly record: Passport;
  readonly skill: string | null;
  readonly evidence: PassportEvidence | null;
}

const TITLES = {
  judge: $localize`Judge a skill`,
  claim: $localize`Claim a skill`,
  correct: $localize`Correct a judgement`,
} as const;

/** One judgement: which skill, how much help it took, when and where, and what was seen. */
@Component({
  selector: 'bc-judge-card',
  imports: [DayField, FIELD, MatButton, Named, LevelGlyph, MatDialogClose, MatDialogTitle],
  template: `
    <h2 matDialogTitle>{{ title }}</h2>
    @if (ask.evidence; as was) {
      <p i18n>
        {{ skill()?.name }}, {{ day(was.day) }}: {{ was.level | named: 'skillLevel' }}, judged by {{ was.assessor }}. It
        stays on record.
      </p>
    } @else {
      <label bcField
        ><span i18n>Skill</span
        ><mat-form-field
          ><mat-select #which [value]="skillId()" (selectionChange)="skillId.set(which.value)">
            @for (each of ask.record.skills; track each.id) {
              <mat-option [value]="each.id">{{ each.phase }}: {{ each.name }}</mat-option>
            }
          </mat-select></mat-form-field
        ></label
      >
    }
    <fieldset>
      <legend i18n>How much help it took</legend>
      <mat-radio-group [value]="level() ?? 'none'" (change)="level.set($event.value === 'none' ? null : $event.value)">
        @for (each of levels; track each; let at = $index) {
          <mat-radio-button [value]="each">
            <span class="level">
              <bc-level-glyph [level]="each" />
              <span
                ><b>{{ each | named: 'skillLevel' }}</b> {{ skill()?.sounds?.[at] }}</span
              >
            </span>
          </mat-radio-button>
        }
        @if (ask.about === 'correct') {
          <mat-radio-button value="none">
            <span class="level"
              ><span></span><span i18n><b>does not count</b> Recorded by mistake, or for the wrong person.</span></span
            >
          </mat-radio-button>
        }
      </mat-radio-group>
    </fieldset>
    @if (ask.about !== 'correct') {
      <div class="two">
        <label bcField><span i18n>Day</span><bc-day [max]="ask.record.today" [(value)]="on" /></label>
        <label bcField
          ><span i18n>Hive</span
          ><mat-form-field
            ><mat-select #where [value]="hive()" (selectionChange)="hive.set(where.value)">
              <mat-option value="" i18n>none</mat-option>
              @for (each of ask.record.hives; track each.id) {
                <mat-option [value]="each.id">{{ each.number }}</mat-option>
              }
            </mat-select></mat-form-field
          ></label
        >
      </div>
    }
    <label bcField
      ><span i18n>{ask.about, select, correct {Why} other {What was seen}}</span
      ><mat-form-field>
        <textarea matInput #words rows="2" maxlength="500" [value]="note()" (input)="note.set(words.value)"></textarea>
      </mat-form-field>
    </label>
    <div class="row">
      <button type="button" matButton="filled" [disabled]="!ready()" (click)="keep()" i18n>
        {ask.about, select, claim {Claim it} other {Save}}
      </button>
      <button type="button" matButton="outlined" matDialogClose i18n>Cancel</button>
    </div>
  `,
  styleUrl: './judge-card.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class JudgeCard {
  private readonly desk = inject(ViewDesk);
  private readonly clock = inject(Clock);
  private readonly dialog = inject(MatDialogRef<JudgeCard>);
  protected readonly ask = inject<JudgeAsk>(MAT_DIALOG_DATA);
  protected readonly title = TITLES[this.ask.about];
  protected readonly levels = SKILL_LEVELS;
  protected readonly day = dateText;
  protected readonly skillId = signal(this.ask.skill ?? this.ask.record.skills[0]?.id ?? '');
  protected readonly level = signal<SkillLevel | null>(this.ask.evidence?.level ?? 'alone');
  protected readonly on = signal<string>(this.ask.record.today);
  protected readonly hive = signal('');
  protected readonly note = signal('');
  protected readonly skill = computed(() => this.ask.record.skills.find(({ id }) => id === this.skillId()) ?? null);
  protected readonly ready = computed(() =>
    this.ask.about === 'correct'
      ? this.note().trim().length >= 3
      : this.level() !== null && this.on() !== '' && this.on() <= this.ask.record.today,
  );

  protected keep(): void {
    const [level, note] = [this.level(), this.note().trim()];
    if (this.ask.evidence) {
      const body = { id: this.desk.newId(), level, reason: note };
      const sent = { params: { demonstration: this.ask.evidence.id }, body };
      this.desk.change('correctDemonstration', sent, 'passport', false);
    } else if (level !== null) {
      const today = this.on() === this.ask.record.today;
      const body = {
        id: this.desk.newId(),
        skill: this.skillId(),
        level,
        at: today ? this.clock.instant() : `${this.on()}T12:00:00.000Z`,
        hive: this.hive() || null,
        session: null,
        note,
      };
      if (this.ask.about === 'claim') this.desk.change('claimSkill', { body }, 'passport', false);
      else
        this.desk.change(
          'judgeSkill',
          { params: { trainee: this.ask.record.trainee.id }, body: { ...body, prompt: '' } },
          'passport',
          false,
        );
    }
    this.dialog.close();
  }
}
