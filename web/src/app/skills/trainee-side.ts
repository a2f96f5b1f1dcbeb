import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { MatIcon } from '@angular/material/icon';
import { RouterLink } from '@angular/router';
import type { Coverage } from '@brave-comb/contract';
import { isOpen } from '@brave-comb/core/skills';
import { ViewDesk } from '../api/view-desk';
import { dayText } from '../ui/format';
import { LevelGlyph } from './level-glyph';
import { nextChance } from './next-chance';
import { Named } from '../language/words';
import { MatIconButton } from '@angular/material/button';

/** Skills that are listed before the rest is only counted. */
const LISTED = 7;
/** What comes first: what was held, then what is on its way. */
const ORDER = ['due-again', 'in-progress', 'not-met'];

/** One trainee beside the matrix: what is still open, and what each skill rests on. */
@Component({
  selector: 'bc-trainee-side',
  imports: [MatIconButton, MatButton, Named, LevelGlyph, MatIcon, RouterLink],
  template: `
    @if (data(); as record) {
      <div class="top">
        <h2>{{ record.trainee.name }}</h2>
        <button type="button" matIconButton aria-label="Close" i18n-aria-label (click)="closed.emit()">
          <mat-icon svgIcon="close" aria-hidden="true" />
        </button>
      </div>
      <p class="quiet" i18n>
        {{ record.groups.join(', ') }}. {{ stand() }} of {{ record.skills.length }} skills met,
        {{ open().length }} still needed for sign-off. Held frames in {{ record.held }} of {{ record.visits }} visits.
      </p>
      @if (record.gates.length > 0) {
        <p class="gate"><b i18n>No frames of a lively colony yet:</b> {{ record.gates.join('; ') }}.</p>
      }
      @if (one(); as skill) {
        <section aria-label="Chosen skill" i18n-aria-label>
          <h3>{{ skill.name }}</h3>
          <p>{{ skill.says }}.</p>
          <p class="quiet">{{ skill.rule }}</p>
          <ul class="evidence">
            @for (each of skill.evidence.slice(0, 5); track each.id) {
              <li [class.not]="!each.counts" i18n>
                {{ dayText(each.day, record.today) }}{!!each.hive, select, true {, hive {{ each.hive }}} other {}}:
                {{ each.level | named: 'skillLevel' }},
                {{ each.assessor ?? each.source }}
              </li>
            } @empty {
              <li i18n>Nothing shown yet.</li>
            }
          </ul>
        </section>
      }
      <ul class="open">
        @for (skill of listed(); track skill.id) {
          <li>
            <span class="way"
              ><bc-level-glyph
                [level]="skill.standing.level"
                [fading]="skill.standing.state === 'due-again'" /><mat-icon
                svgIcon="forward"
                aria-hidden="true" /><bc-level-glyph [level]="skill.asked"
            /></span>
            <span
              ><b>{{ skill.name }}</b
              ><br />{{ skill.says }}
              @if (skill.next; as next) {
                @if (next.chance; as chance) {
                  <br /><span class="next" [class.planned]="chance.planned">{{ chance.words }}</span>
                } @else {
                  <br /><span class="next none" i18n>no fair chance in these days</span>
                }
              }
            </span>
          </li>
        }
      </ul>
      @if (open().length > listed().length) {
        <p class="quiet" i18n>And {{ open().length - listed().length }} more in the passport.</p>
      }
      <a matButton="filled" [routerLink]="['/trainees', record.trainee.id]" i18n>Open the passport</a>
    } @else if (watched.fault(); as fault) {
      <p role="alert">{{ fault.message }}</p>
    } @else {
      <p role="status" i18n>Loading …</p>
    }
  `,
  styleUrl: './side.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class TraineeSide {
  readonly trainee = input.required<string>();
  readonly skill = input<string | null>(null);
  /** Group of the trainee, and what the planner knows of the next chances. */
  readonly group = input<string | null>(null);
  readonly coverage = input<Coverage | null>(null);
  readonly closed = output();
  protected readonly watched = inject(ViewDesk).watch('passport', () => ({ params: { trainee: this.trainee() } }));
  protected readonly data = this.watched.data;
  protected readonly dayText = dayText;
  protected readonly open = computed(() =>
    (this.data()?.skills ?? [])
      .filter(({ standing }) => isOpen(standing))
      .toSorted((a, b) => ORDER.indexOf(a.standing.state) - ORDER.indexOf(b.standing.state)),
  );
  protected readonly stand = computed(() => (this.data()?.skills.length ?? 0) - this.open().length);
  protected readonly listed = computed(() => {
    const [coverage, group] = [this.coverage(), this.group()];
    return this.open()
      .slice(0, LISTED)
      .map((skill) => ({ ...skill, next: coverage && group ? nextChance(coverage, [group], skill.id) : null }));
  });
  protected readonly one = computed(() => this.data()?.skills.find(({ id }) => id === this.skill()) ?? null);
}
