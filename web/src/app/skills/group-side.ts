import { ChangeDetectionStrategy, Component, computed, inject, input, signal } from '@angular/core';
import { MatButton } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { endpoints } from '@brave-comb/contract';
import { SKILL_LEVELS, type SkillLevel } from '@brave-comb/core/inspection';
import type { Sent } from '../api/contract-client';
import { ViewDesk } from '../api/view-desk';
import { dateInFull, dateText } from '../ui/format';
import type { Matrix } from './matrix-rows';
import { needsOf } from './needs';
import { Named } from '../language/words';
import { FIELD } from '../parts/field';

/** Needs that are listed. */
const NEEDS = 9;
/** Visits with the group from which on somebody who only ever did one thing is named. */
const ENOUGH_VISITS = 2;

type ClaimWord = Sent<(typeof endpoints)['settleClaim']>['body'];
type PassportWord =
  | { readonly word: 'accept' }
  | { readonly word: 'take-out' }
  | { readonly word: 'turn-down'; readonly reason: string };

/** Beside the matrix while nobody is chosen: claims that wait, who never held a frame, who always smokes. */
@Component({
  selector: 'bc-group-side',
  imports: [FIELD, Named, MatButton, RouterLink],
  template: `
    <h2>{{ name() }}</h2>
    @for (each of passports(); track each.key) {
      <h3 i18n>{{ each.name }}: passport from {{ each.school }}</h3>
      <p>{{ each.says }}</p>
      <div class="row">
        <button type="button" matButton="filled" (click)="settleAll(each, { word: 'accept' })" i18n>Accept all</button>
        <button type="button" matButton="outlined" (click)="turning.set(turning() === each.key ? null : each.key)" i18n>
          Decline all
        </button>
        <button type="button" matButton="outlined" (click)="settleAll(each, { word: 'take-out' })" i18n>
          Remove: wrong person
        </button>
      </div>
      @if (turning() === each.key) {
        <label bcField class="why"
          ><span i18n>Why not</span
          ><mat-form-field
            ><input matInput #all type="text" maxlength="500" [value]="reason()" (input)="reason.set(all.value)"
          /></mat-form-field>
        </label>
        <button
          type="button"
          matButton="outlined"
          [disabled]="reason().trim().length < 3"
          (click)="settleAll(each, { word: 'turn-down', reason: reason().trim() })"
          i18n
        >
          Decline {{ each.count }}
        </button>
      }
    }
    @if (claims().length > 0) {
      <h3 i18n>Claims waiting: {{ claims().length }}</h3>
      <ul class="claims">
        @for (claim of claims().slice(0, 20); track claim.id) {
          <li>
            <p>
              <ng-container i18n
                ><b>{{ claim.trainee.name }}</b
                >, {{ claim.skillName }}, {{ day(claim.at)
                }}{!!claim.hive, select, true {, hive {{ claim.hive }}} other {}}. {{ claim.note }}
              </ng-container>
              @if (claim.elsewhere; as there) {
                <ng-container i18n>Judged by {{ there.assessor }}, {{ there.school }}. </ng-container>
              }
            </p>
            <div class="row">
              <label bcField
                ><span class="unseen" i18n>Level of {{ claim.trainee.name }}, {{ claim.skillName }}</span>
                <mat-form-field
                  ><mat-select #level [value]="claim.level">
                    @for (each of levels; track each) {
                      <mat-option [value]="each">{{ each | named: 'skillLevel' }}</mat-option>
                    }
                  </mat-select></mat-form-field
                ></label
              >
              <button type="button" matButton="filled" (click)="confirm(claim.id, level.value)" i18n>Confirm</button>
              <button
                type="button"
                matButton="outlined"
                (click)="turning.set(turning() === claim.id ? null : claim.id)"
                i18n
              >
                Decline …
              </button>
            </div>
            @if (turning() === claim.id) {
              <label bcField class="why"
                ><span i18n>Why not</span
                ><mat-form-field
                  ><input matInput #why type="text" maxlength="500" [value]="reason()" (input)="reason.set(why.value)"
                /></mat-form-field>
              </label>
              <button
                type="button"
                matButton="outlined"
                [disabled]="reason().trim().length < 3"
                (click)="turnDown(claim.id)"
                i18n
              >
                Decline
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
    <h3 i18n>Still to show, and by when</h3>
    <ul class="open needs">
      @for (need of needs(); track need.id) {
        <li>
          <b>{{ need.open }}</b>
          <span
            >{{ need.name }} <small [class.short]="need.short">{{ need.when }}</small></span
          >
        </li>
      } @empty {
        <li i18n>Nothing: everybody is ready.</li>
      }
    </ul>
    <p class="quiet" i18n>Choose a trainee or a cell to see the evidence.</p>
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
  /** Many showings from one school are settled together. */
  protected readonly passports = computed(() => {
    const found = new Map<
      string,
      { readonly trainee: string; readonly name: string; readonly school: string; claims: Matrix['claims'][number][] }
    >();
    for (const claim of this.claims()) {
      if (!claim.elsewhere) continue;
      const key = `${claim.trainee.id} ${claim.elsewhere.school}`;
      const known = found.get(key) ?? {
        trainee: claim.trainee.id,
        name: claim.trainee.name,
        school: claim.elsewhere.school,
        claims: [],
      };
      known.claims.push(claim);
      found.set(key, known);
    }
    return [...found].map(([key, { claims, ...rest }]) => {
      const days = claims.map(({ at }) => at.slice(0, 10)).sort();
      const assessors = [...new Set(claims.flatMap(({ elsewhere }) => elsewhere?.assessor ?? []))];
      return {
        ...rest,
        key,
        count: claims.length,
        says: $localize`${claims.length} showings, ${dateInFull(days[0]!)} to ${dateInFull(days.at(-1)!)}, judged by ${assessors.slice(0, 4).join(', ')}.`,
      };
    });
  });
  protected readonly turns = computed(() => {
    const known = this.trainees().filter(({ visits }) => visits >= ENOUGH_VISITS);
    return [
      { says: $localize`Never held a frame`, people: known.filter(({ held }) => held === 0) },
      { says: $localize`Smoked every time`, people: known.filter(({ smoked, visits }) => smoked === visits) },
      { says: $localize`Never smoked`, people: known.filter(({ smoked }) => smoked === 0) },
    ].filter(({ people }) => people.length > 0);
  });

  /** What most trainees still need, that with the fewest weeks left first. */
  protected readonly needs = computed(() => needsOf(this.matrix(), this.group()).slice(0, NEEDS));

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

  protected settleAll(of: { readonly trainee: string; readonly school: string }, word: PassportWord): void {
    const sent = { params: { trainee: of.trainee }, body: { ...word, school: of.school } };
    this.desk.change('settlePassport', sent, 'traineeMatrix', false);
    this.turning.set(null);
    this.reason.set('');
  }

  private settle(claim: string, body: ClaimWord): void {
    this.desk.change('settleClaim', { params: { claim }, body }, 'traineeMatrix', false);
  }
}
