import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import { Store } from '@ngrx/store';
import { peopleFeature } from '../people/people.feature';
import { Worded } from '../parts/worded';
import { UndoBar } from '../parts/undo-bar';
import { ViewDesk } from '../api/view-desk';
import { dayText } from '../ui/format';
import type { Passport, PassportEvidence, PassportSkill } from './passport-view';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';

const SOURCE_WORDS = {
  visit: $localize`in a visit`,
  debrief: $localize`in the debrief`,
  practice: $localize`indoors`,
  claim: $localize`claimed`,
  passport: $localize`from a passport`,
} as const;

/** What a standing rests on: the rule, every showing with later words on it, the signatures. */
@Component({
  selector: 'bc-skill-detail',
  imports: [FIELD, MatButton, Named, RouterLink, Worded],
  template: `
    <p i18n>
      <b>{{ skill().says }}.</b> Shown by: <bc-worded [text]="skill().shownBy" />.
    </p>
    <p class="quiet">{{ skill().rule }}</p>
    @if (skill().waitsFor.length > 0) {
      <p class="quiet" i18n>Comes after: {{ skill().waitsFor.join('; ') }}.</p>
    }
    <ul>
      @for (each of skill().evidence; track each.id) {
        <li>
          <p [class.gone]="each.withdrawn">
            <ng-container i18n
              ><b>{{ day(each.day) }}, {{ each.level | named: 'skillLevel' }}</b
              >{each.first && !each.withdrawn && each.first !== each.level, select,
                true {&ngsp;(first: {{ each.first ?? each.level | named: 'skillLevel' }})}
                other {}
              }, {{ words[each.source] }}{!!each.hive, select, true {, hive {{ each.hive }}} other {}
              }{{ each.weather ? ', ' + each.weather : '' }}. {{ judgedBy(each) }}
            </ng-container>
            @if (each.prompt) {
              <ng-container i18n>Helped: {{ each.prompt }}. </ng-container>
            }
            {{ each.note }}
            @if (each.visit) {
              <a [routerLink]="['/afterwards', each.visit]" i18n>Visit</a>
            }
          </p>
          @for (word of each.corrections; track $index) {
            <p class="word" i18n>
              {{ word.by }}:
              {!!word.level, select,
                true {rather {{ word.level ?? 'alone' | named: 'skillLevel' }}}
                other {does not count}
              }. {{ word.reason }}
            </p>
          }
          @if (!each.counts && !each.withdrawn && each.assessor) {
            <p class="word" i18n>Does not count under today’s rule.</p>
          }
          @if (staff() && each.assessor && !each.withdrawn) {
            <button type="button" matButton="outlined" (click)="corrected.emit(each)" i18n>Correct it</button>
          }
        </li>
      } @empty {
        <li i18n>Nothing shown yet.</li>
      }
    </ul>
    @for (each of skill().signOffs; track each.id) {
      <p>
        <ng-container i18n
          >{each.kind, select, signed {Signed} other {Carried over}} by {{ each.by }}, {{ day(each.day) }}, list version
          {{ each.version }}. {{ each.note }}
        </ng-container>
        @if (each.withdrawn; as gone) {
          <b i18n>Withdrawn by {{ gone.by }}:</b> {{ gone.reason }}
        }
      </p>
    }
    @if (lead()) {
      <label bcField
        ><span i18n>{!!signed(), select,
          true {Why it is withdrawn}
          other {Why it is signed off, if the rule is not met}
        }</span
        ><mat-form-field
          ><input
            matInput
            #why
            type="text"
            maxlength="500"
            [value]="reason()"
            (input)="reason.set(why.value)" /></mat-form-field
      ></label>
      @if (signed(); as signOff) {
        <button
          type="button"
          matButton="outlined"
          [disabled]="reason().trim().length < 3"
          (click)="withdraw(signOff)"
          i18n
        >
          Withdraw the sign-off
        </button>
      } @else {
        <button type="button" matButton="filled" [disabled]="mustSay() && reason().trim() === ''" (click)="sign()" i18n>
          Sign off
        </button>
      }
    }
  `,
  styles: `
    :host {
      display: grid;
      gap: 6px;
      padding: 6px 0 10px;
      justify-items: start;
    }
    li {
      padding: 5px 0;
      border-top: 1px solid var(--line-2);
    }
    ul {
      justify-self: stretch;
    }
    label {
      display: grid;
      gap: 3px;
      width: min(100%, 480px);
    }
    .quiet,
    .word {
      color: var(--ink-2);
    }
    .word {
      padding-left: 12px;
    }
    .gone {
      text-decoration: line-through;
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class SkillDetail {
  private readonly desk = inject(ViewDesk);
  private readonly undoBar = inject(UndoBar);
  private readonly person = inject(Store).selectSignal(peopleFeature.selectPerson);
  readonly record = input.required<Passport>();
  readonly skill = input.required<PassportSkill>();
  readonly corrected = output<PassportEvidence>();
  protected readonly reason = signal('');
  protected readonly words = SOURCE_WORDS;
  protected day(date: string): string {
    return dayText(date, this.record().today);
  }
  protected readonly lead = computed(() => this.person()?.role === 'lead');
  protected readonly staff = computed(() => this.person()?.role !== 'trainee');
  protected readonly signed = computed(
    () => this.skill().signOffs.findLast(({ kind, withdrawn }) => kind === 'signed' && withdrawn === null)?.id ?? null,
  );
  protected readonly mustSay = computed(() => this.skill().standing.state !== 'shown');

  protected judgedBy({ assessor, lead, source }: PassportEvidence): string {
    if (assessor) return $localize`Judged by ${assessor}${lead ? $localize`, lead` : ''}.`;
    return source === 'practice' ? $localize`Practice counts little by itself.` : $localize`Waiting for a supervisor.`;
  }

  protected sign(): void {
    const skills = [{ id: this.desk.newId(), skill: this.skill().id }];
    const [trainee, note] = [this.record().trainee.id, this.reason().trim()];
    this.desk.change('signOffSkills', { params: { trainee }, body: { skills, note } }, 'passport', false);
    this.reason.set('');
    const takenBack = {
      signOffs: skills.map(({ id }) => id),
      reason: $localize`signed off by mistake, undone at once`,
    };
    this.undoBar.show($localize`Signed off\: ${this.skill().name}`, () => {
      this.desk.change('withdrawSignOffs', { params: { trainee }, body: takenBack }, 'passport', false);
    });
  }

  protected withdraw(signOff: string): void {
    const reason = this.reason().trim();
    this.desk.change('withdrawSignOff', { params: { signOff }, body: { reason } }, 'passport', false);
    this.reason.set('');
  }
}
