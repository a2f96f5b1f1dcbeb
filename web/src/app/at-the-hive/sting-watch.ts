import { ChangeDetectionStrategy, Component, computed, effect, inject, untracked } from '@angular/core';
import { REACTIONS, REACTION_TEXT, type Reaction, stingWatches } from '@brave-comb/core/inspection';
import { Store } from '@ngrx/store';
import { inspectionFeature } from '../inspection/inspection.feature';
import { VisitDesk } from '../inspection/visit-desk';
import { Clock } from '../people/clock';
import { Alarm } from './alarm';
import { HiveCards } from './cards/hive-cards';
import { SaidPipe, said } from '../language/said';
import { MatButton } from '@angular/material/button';

/** Keeps an eye on whoever was stung: when to ask, what was answered, and the emergency card where it goes beyond the sting. */
@Component({
  selector: 'bc-sting-watch',
  imports: [MatButton, SaidPipe],
  template: `
    @for (each of watched(); track each.person) {
      <section
        [class.now]="each.state !== 'watch'"
        [attr.role]="each.state === 'watch' ? 'group' : 'alert'"
        ariaLabel="{{ each.name }}, stung"
        i18n-ariaLabel
      >
        <p i18n>
          <b>{{ each.name }}</b> was stung {each.stings > 1, select, true {{{ each.stings }} times, last} other {}}
          {each.minutes < 1, select, true {just now} other {{{ each.whole }} min ago}
          }{each.now === '', select, true {} other {, now {{ each.now }}}}. {{ each.says | said }}
        </p>
        <div class="row" role="group" ariaLabel="How {{ each.name }} is" i18n-ariaLabel>
          @for (reaction of reactions; track reaction) {
            <button
              type="button"
              matButton="outlined"
              [class.sel]="each.reaction === reaction"
              [attr.aria-pressed]="each.reaction === reaction"
              (click)="answer(each.person, reaction)"
            >
              {{ words[reaction] | said }}
            </button>
          }
        </div>
      </section>
    }
  `,
  styleUrl: './hive-parts.scss',
  styles: `
    section {
      display: flex;
      flex-wrap: wrap;
      gap: 6px 14px;
      align-items: center;
      justify-content: space-between;
      padding: 3px 16px;
      border-left: 6px solid var(--rust);
      background: var(--rust-100);
      color: var(--rust-text);
      font-size: 16px;
    }
    section.now {
      border-color: var(--madder);
      background: var(--madder-100);
      color: var(--madder-800);
    }
  `,
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class StingWatchStrip {
  private readonly store = inject(Store);
  private readonly desk = inject(VisitDesk);
  private readonly cards = inject(HiveCards);
  private readonly alarm = inject(Alarm);
  private readonly now = inject(Clock).now;
  private readonly file = this.store.selectSignal(inspectionFeature.selectFile);
  private readonly record = this.store.selectSignal(inspectionFeature.selectRecord);
  protected readonly reactions = REACTIONS;
  protected readonly words = REACTION_TEXT;

  private readonly names = computed(() => {
    const file = this.file();
    return new Map(
      [...(file?.trainees ?? []), ...(file ? [file.visit.supervisor] : [])].map(({ id, name }) => [id, name]),
    );
  });
  protected readonly watched = computed(() =>
    stingWatches(this.record().stings, this.record().stingsAskedAfter, this.now())
      .filter(({ state }) => state !== 'over')
      .map((each) => ({
        ...each,
        whole: Math.floor(each.minutes),
        now: each.reaction ? said(REACTION_TEXT[each.reaction]) : '',
        name: this.names().get(each.person) ?? $localize`Somebody`,
      })),
  );
  /** By itself, so that the alarm rings when somebody is to be asked and not with every tick. */
  private readonly toAsk = computed(() => this.watched().filter(({ state }) => state === 'ask-now').length);

  constructor() {
    effect(() => {
      if (this.toAsk() > 0) untracked(() => this.alarm.ring('gentle'));
    });
  }

  protected answer(person: string, reaction: Reaction): void {
    this.desk.enter({ kind: 'sting-asked-after', person, reaction });
    if (reaction === 'elsewhere-too' || reaction === 'breath-faint-sick') this.cards.emergency();
  }
}
