import { ChangeDetectionStrategy, Component, computed, input, linkedSignal, output, signal } from '@angular/core';
import { MatIcon } from '@angular/material/icon';
import type { VisitFile } from '@brave-comb/contract';
import { SKILL_LEVELS, type SkillLevel, type VisitRecord } from '@brave-comb/core/inspection';
import { LevelGlyph } from '../skills/level-glyph';
import { FIELD } from '../parts/field';

/** Judges one skill of one trainee: who, what, how much help it took. */
@Component({
  selector: 'bc-skill-judge',
  imports: [FIELD, LevelGlyph, MatIcon],
  template: `
    <button type="button" class="whose" [attr.aria-expanded]="choosing()" (click)="choosing.set(!choosing())">
      <b>{{ name() }}</b> {{ skillTitle() }}
    </button>
    <div class="who" [class.choosing]="choosing()">
      <label bcField
        ><span class="unseen" i18n>Trainee</span>
        <mat-form-field
          ><mat-select #who [value]="trainee()" (selectionChange)="trainee.set(who.value)">
            @for (each of file().trainees; track each.id) {
              <mat-option [value]="each.id">{{ each.name }}</mat-option>
            }
          </mat-select></mat-form-field
        >
      </label>
      <label bcField
        ><span class="unseen" i18n>Skill</span>
        <mat-form-field
          ><mat-select #what [value]="skill()" (selectionChange)="skill.set(what.value)">
            @for (each of skills(); track each.id) {
              <mat-option [value]="each.id" i18n>
                {{ each.name }}{!!each.open, select, true {} other {, held}}
              </mat-option>
            }
          </mat-select></mat-form-field
        >
      </label>
      <button type="button" class="next" aria-label="Next trainee" i18n-aria-label (click)="nextTrainee()">
        <mat-icon svgIcon="forward" aria-hidden="true" />
      </button>
    </div>
    <div class="levels" role="group" ariaLabel="How much help {{ name() }} needed" i18n-ariaLabel>
      @for (level of levels; track level) {
        <button
          type="button"
          [class.sel]="level === judged()"
          [attr.aria-pressed]="level === judged()"
          (click)="judge(level)"
        >
          <bc-level-glyph [level]="level" /><span>{{ words[level] }}</span>
        </button>
      }
    </div>
    <p class="says">{{ says() }}</p>
  `,
  styleUrl: './skill-judge.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SkillJudge {
  readonly file = input.required<VisitFile>();
  readonly record = input.required<VisitRecord>();
  /** Trainee and skill that the step suggests. */
  readonly suggested = input<{ readonly trainee: string | null; readonly skill: string }>({
    trainee: null,
    skill: 'lifts-straight',
  });
  readonly judgedAs = output<{ readonly trainee: string; readonly skill: string; readonly level: SkillLevel }>();

  protected readonly levels = SKILL_LEVELS;
  protected readonly words: Readonly<Record<SkillLevel, string>> = {
    'saw-it': $localize`saw it`,
    helped: $localize`helped`,
    'with-a-word': $localize`prompt`,
    alone: $localize`alone`,
    'can-teach': $localize`teach`,
  };
  // Computed first, so that a choice made by hand stands until the suggestion itself changes.
  private readonly suggestedTrainee = computed(() => this.suggested().trainee ?? this.file().trainees[0]?.id ?? '');
  private readonly suggestedSkill = computed(() => {
    const { skills } = this.file();
    const { skill } = this.suggested();
    return (skills.find(({ id }) => id === skill) ?? skills[0])?.id ?? '';
  });
  protected readonly trainee = linkedSignal(() => this.suggestedTrainee());
  protected readonly skill = linkedSignal(() => this.suggestedSkill());
  protected readonly name = computed(() => this.file().trainees.find((each) => each.id === this.trainee())?.name ?? '');
  protected readonly skills = computed(() =>
    this.file().skills.map((skill) => ({ ...skill, open: skill.open.includes(this.trainee()) })),
  );
  /** What the level that was tapped sounds like, or what the skill is shown by. */
  protected readonly says = computed(() => {
    const skill = this.skills().find(({ id }) => id === this.skill());
    const level = this.judged();
    return (level === null ? skill?.shownBy : skill?.says[SKILL_LEVELS.indexOf(level)]) ?? '';
  });
  protected readonly judged = computed(
    () =>
      this.record().judgements.find((each) => each.trainee === this.trainee() && each.skill === this.skill())?.level ??
      null,
  );

  protected readonly skillTitle = computed(() => this.skills().find(({ id }) => id === this.skill())?.name ?? '');
  /** On a phone trainee and skill are a button until somebody changes them. */
  protected readonly choosing = signal(false);

  protected nextTrainee(): void {
    const { trainees } = this.file();
    const index = trainees.findIndex((each) => each.id === this.trainee());
    this.trainee.set(trainees[(index + 1) % trainees.length]?.id ?? '');
  }

  protected judge(level: SkillLevel): void {
    this.judgedAs.emit({ trainee: this.trainee(), skill: this.skill(), level });
  }
}
