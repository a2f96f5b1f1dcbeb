import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import { STANDING_STATES, type StandingState } from '@brave-comb/core/skills';
import { daysBetween } from '@brave-comb/core/units';
import { ViewDesk } from '../season/view-desk';
import { dateText } from '../shell/format';
import { type Matrix, weeksLeft } from './matrix-rows';

/** Needs that are listed; weeks left from which one presses. */
const [NEEDS, SHORT] = [9, 6];
const HELD: readonly StandingState[] = ['shown', 'signed off'];
/** Visits with the group from which on somebody who only ever did one thing is named. */
const ENOUGH_VISITS = 2;

/** Beside the matrix while nobody is chosen: claims that wait, who never held a frame, who always smokes. */
@Component({
  selector: 'bc-group-side',
  imports: [RouterLink],
  template: `
    <h2>{{ name() }}</h2>
    @if (claims().length > 0) {
      <h3>Claims that wait: {{ claims().length }}</h3>
      <ul class="claims">
        @for (claim of claims().slice(0, 20); track claim.id) {
          <li>
            <p>
              <b>{{ claim.trainee.name }}</b>, {{ claim.skillName }}, {{ day(claim.at)
              }}{{ claim.hive ? ', hive ' + claim.hive : '' }}.
              {{ claim.note }}
            </p>
            <div class="row">
              <label
                ><span class="unseen">Level of {{ claim.trainee.name }}, {{ claim.skillName }}</span>
                <select #level [value]="claim.level">
                  @for (each of levels; track each) {
                    <option [value]="each" [selected]="each === claim.level">{{ each }}</option>
                  }
                </select></label
              >
              <button type="button" class="btn" (click)="confirm(claim.id, level.value)">Confirm</button>
              <button type="button" class="btn line" (click)="turning.set(turning() === claim.id ? null : claim.id)">
                Not so
              </button>
            </div>
            @if (turning() === claim.id) {
              <label class="why"
                >Why not<input #why type="text" maxlength="500" [value]="reason()" (input)="reason.set(why.value)" />
              </label>
              <button
                type="button"
                class="btn line"
                [disabled]="reason().trim().length < 3"
                (click)="turnDown(claim.id)"
              >
                Turn it down
              </button>
            }
          </li>
        }
      </ul>
    }
    @for (line of turns(); track line.says) {
      <h3>{{ line.says }}</h3>
      <p>
        @for (each of line.people; track each.id; let last = $last) {
          <a [routerLink]="['/trainees', each.id]">{{ each.name }}</a>{{ last ? '.' : ', ' }}
        }
      </p>
    }
    <h3>Still to show, and by when</h3>
    <ul class="open needs">
      @for (need of needs(); track need.id) {
        <li>
          <b>{{ need.open }}</b>
          <span
            >{{ need.name }} <small [class.short]="need.short">{{ need.when }}</small></span
          >
        </li>
      } @empty {
        <li>Nothing: everybody is ready.</li>
      }
    </ul>
    <p class="quiet">Choose a trainee or a cell to see what it rests on.</p>
  `,
  styleUrl: './side.scss',
  changeDetection: ChangeDetectionStrategy.OnPush,
})
export class GroupSide {
  private readonly desk = inject(ViewDesk);
  readonly matrix = input.required<Matrix>();
  readonly group = input<string | null>(null);
  protected readonly levels = SKILL_LEVELS;
  protected readonly turning = signal<string | null>(null);
  protected readonly reason = signal('');

  private readonly groups = computed(() =>
    this.matrix().groups.filter(({ id }) => this.group() === null || id === this.group()),
  );
  protected readonly name = computed(() =>
    this.groups()
      .map(({ name }) => name)
      .join(', '),
  );
  private readonly trainees = computed(() => this.groups().flatMap(({ trainees }) => trainees));
  protected readonly claims = computed(() => {
    const here = new Set(this.trainees().map(({ id }) => id));
    return this.matrix().claims.filter(({ trainee }) => here.has(trainee.id));
  });
  protected readonly turns = computed(() => {
    const known = this.trainees().filter(({ visits }) => visits >= ENOUGH_VISITS);
    return [
      { says: 'Never held a frame', people: known.filter(({ held }) => held === 0) },
      { says: 'Smoked every time', people: known.filter(({ smoked, visits }) => smoked === visits) },
      { says: 'Never smoked', people: known.filter(({ smoked }) => smoked === 0) },
    ].filter(({ people }) => people.length > 0);
  });

  /** What most trainees still need, that with the fewest weeks left first. */
  protected readonly needs = computed(() => {
    const { skills, today } = this.matrix();
    const until =
      this.groups()
        .flatMap((group) => group.until ?? [])
        .sort()[0] ?? null;
    const over = until !== null && until < today;
    const course = until === null || over ? null : Math.ceil((daysBetween(today, until) + 1) / 7);
    const open = (at: number) =>
      this.trainees().filter(({ standings }) => !HELD.includes(STANDING_STATES[standings[at]?.[0] ?? 0]!)).length;
    return skills
      .map((skill, at) => {
        const text = weeksLeft(skill, today);
        const season = text === '–' || text.startsWith('in') ? null : Number(text);
        const weeks = Math.min(season ?? Infinity, course ?? Infinity);
        const when = over
          ? 'the course is over'
          : text.startsWith('in')
            ? `to be seen ${text} weeks`
            : weeks === Infinity
              ? 'any time'
              : weeks <= 0
                ? 'no more this season'
                : `${weeks} ${weeks === 1 ? 'week' : 'weeks'} left`;
        return { id: skill.id, name: skill.name, open: open(at), weeks, when, short: !over && weeks < SHORT };
      })
      .filter((need) => need.open > 0)
      .sort((a, b) => a.weeks - b.weeks || b.open - a.open)
      .slice(0, NEEDS);
  });

  protected day(at: string): string {
    return dateText(at.slice(0, 10));
  }

  protected confirm(claim: string, level: string): void {
    this.settle(claim, { confirmed: true, level: level as SkillLevel });
  }

  protected turnDown(claim: string): void {
    this.settle(claim, { confirmed: false, reason: this.reason().trim() });
    this.turning.set(null);
    this.reason.set('');
  }

  private settle(claim: string, body: object): void {
    this.desk.change('settleClaim', { params: { claim }, body }, 'traineeMatrix', false);
  }
}
