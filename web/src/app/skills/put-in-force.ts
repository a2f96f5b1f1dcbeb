import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import type { Coverage, Input, Output } from '@brave-comb/contract';
import { skillOf } from '@brave-comb/core/skills';
import { addDays } from '@brave-comb/core/units';
import type { endpoints } from '../api/endpoints';
import { dateText } from '../ui/format';
import { ChecklistDraft } from './checklist-draft';
import { LevelGlyph } from './level-glyph';
import { ShowingsChart } from './showings-chart';
import { Named } from '../language/words';
import { SaidPipe } from '../language/said';
import { FIELD } from '../parts/field';
import { DayField } from '../parts/day-field';

export type ForceAsked = Pick<Input<typeof endpoints.enforceChecklist>['body'], 'standings' | 'from' | 'note'>;
type Preview = Output<typeof endpoints.previewChecklist>;

const POLICIES: readonly { readonly policy: ForceAsked['standings']; readonly what: string; readonly says: string }[] =
  [
    {
      policy: 'carried-over',
      what: $localize`is carried over`,
      says: $localize`only new showings count by the draft. Nobody drops back.`,
    },
    { policy: 'judged-again', what: $localize`is assessed again`, says: '' },
    {
      policy: 'from-the-next-course',
      what: $localize`stays with the published list until the next course`,
      says: $localize`what is achieved then is carried over.`,
    },
  ];

/** Changes that are listed before the rest is only counted. */
const LISTED = 12;

/** Whom a draft touches, what becomes of what was held, and the button that puts it in force. */
@Component({
  selector: 'bc-put-in-force',
  imports: [DayField, FIELD, MatButton, SaidPipe, Named, LevelGlyph, ShowingsChart],
  templateUrl: './put-in-force.html',
  styleUrl: './put-in-force.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class PutInForce {
  readonly list = input.required<Output<typeof endpoints.checklist>>();
  readonly preview = input.required<Preview | null>();
  readonly sending = input(false);
  /** What planned sessions offer of the chosen skill; `null` until it is known. */
  readonly offers = input<Coverage['skills'][number]['offers'] | null>(null);
  readonly asked = output<ForceAsked>();
  protected readonly draft = inject(ChecklistDraft);
  protected readonly policies = POLICIES;
  protected readonly policy = signal<ForceAsked['standings']>('carried-over');
  protected readonly note = signal('');
  /** Day from which a list for the next course is in force, once somebody chose one. */
  private readonly chosenStart = signal<string | null>(null);
  protected readonly start = computed(() => this.chosenStart() ?? this.list().nextCourse ?? '');
  protected readonly earliest = computed(() => addDays(this.list().today, 1));
  protected readonly ready = computed(
    () => this.policy() !== 'from-the-next-course' || this.start() > this.list().today,
  );
  protected readonly back = computed(
    () => new Set(this.preview()?.changes.flatMap((each) => (each.stepsBack ? [each.trainee.id] : []))).size,
  );
  protected readonly lines = computed(() => {
    const changes = this.preview()?.changes ?? [];
    return {
      shown: changes.slice(0, LISTED).map((change) => ({
        ...change,
        name: skillOf({ skills: this.draft.skills() }, change.skill)?.name ?? change.skill,
      })),
      more: Math.max(0, changes.length - LISTED),
    };
  });
  protected readonly dateText = dateText;
  /** Showings still asked for of the chosen skill. */
  protected readonly still = computed(() => {
    const chosen = this.draft.chosen();
    return this.preview()?.stillAsked.find(({ skill }) => skill === chosen) ?? null;
  });

  protected chooseStart(day: string): void {
    this.policy.set('from-the-next-course');
    this.chosenStart.set(day);
  }

  protected ask(): void {
    const standings = this.policy();
    this.asked.emit({
      standings,
      from: standings === 'from-the-next-course' ? this.start() : null,
      note: this.note().trim(),
    });
    this.note.set('');
  }
}
